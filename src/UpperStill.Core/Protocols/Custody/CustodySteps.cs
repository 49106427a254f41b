using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>What labels, shelves, manifests and the laboratory’s door say of samples.</summary>
internal static class CustodySteps
{
    internal static IEnumerable<SampleStepTaken> Of(SheetDraft draft)
    {
        var start = draft.Start!.Entry;
        foreach (
            var added in draft
                .Standing(CustodyKinds.SampleAdded)
                .Where(a => draft.Context.Programme.TypeOf(a.Body.Type) is { FilledAt: FilledAt.Water })
        )
        {
            yield return new(
                added.Entry,
                SampleStep.Take,
                [added.Body.Sample],
                $"{added.Body.Kin.ToString().ToLowerInvariant()} of {added.Body.Of}"
            )
            {
                CollectedAt = start.At,
            };
        }

        foreach (var label in draft.Standing(CustodyKinds.Labelled))
        {
            var missing = label.Body.Missing is { Count: > 0 } list ? list : null;
            yield return new(
                label.Entry,
                SampleStep.Label,
                label.Body.Samples,
                missing is null ? "label complete" : $"label lacks {string.Join(", ", missing)}"
            )
            {
                Labelled = missing is null,
            };
        }

        foreach (var stored in draft.Standing(CustodyKinds.Stored))
        {
            var place = string.Join(", ", new[] { stored.Body.In.ToString().ToLowerInvariant(), stored.Body.Spot }.OfType<string>());
            yield return new(
                stored.Entry,
                SampleStep.Store,
                stored.Body.Samples,
                $"into the {place}{(stored.Body.Foil == true ? ", in foil" : string.Empty)}"
            )
            {
                Where = place,
                TemperatureC = stored.Body.TemperatureC,
                Stored = new StoredIn(stored.Body.In, stored.Body.Spot, stored.Body.Foil),
            };
        }

        foreach (var handed in draft.Standing(CustodyKinds.HandedOver))
        {
            var how =
                handed.Body.By == TravelBy.Carrier
                    ? $"by carrier{(handed.Body.Waybill is { } bill ? $", {bill}" : string.Empty)}"
                    : "by hand";
            yield return new(
                handed.Entry,
                SampleStep.HandOver,
                handed.Body.Samples,
                $"handed over to {handed.Body.To}, {how}, signed {handed.Body.Signature}"
            )
            {
                Where = handed.Body.To,
                TemperatureC = handed.Body.TemperatureC,
                Sent = new SentWith(handed.Body.Manifest, handed.Body.To),
            };
        }

        foreach (var lost in draft.Standing(CustodyKinds.SampleLost))
        {
            yield return new(lost.Entry, SampleStep.Lose, lost.Body.Samples, $"lost: {lost.Entry.Why}");
        }

        foreach (var received in draft.Standing(CustodyKinds.Received))
        {
            var how = received.Body.As == ArrivedAs.Good ? "in good order" : received.Body.As.ToString().ToLowerInvariant();
            yield return new(received.Entry, SampleStep.Receive, received.Body.Samples, $"received {how}, signed {received.Body.Signature}")
            {
                Where = "the laboratory",
                TemperatureC = received.Body.TemperatureC,
            };
        }

        foreach (var rejected in draft.Standing(CustodyKinds.SampleRejected))
        {
            yield return new(rejected.Entry, SampleStep.Reject, rejected.Body.Samples, $"rejected: {rejected.Entry.Why}");
        }
    }
}
