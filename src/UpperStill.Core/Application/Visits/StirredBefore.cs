using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Visits;

/// <summary>Clean water that was filled after something had stirred the spot.</summary>
internal static class StirredBefore
{
    internal static void Fold(SheetDraft draft)
    {
        var stirred = Stirred(draft).ToList();
        if (stirred.Count == 0)
        {
            return;
        }

        foreach (var fill in draft.Standing(FillKinds.Fill))
        {
            if (
                draft.Context.Programme.TypeOf(fill.Body.Type) is { Water: true }
                && stirred.Find(s => s.At < fill.Entry.At && (!s.OnlyByHand || fill.Body.From == FilledFrom.Lake)) is { } before
            )
            {
                var (beside, at) = Place(draft, fill.Body.Sample);
                var finding = Finding.Check(
                    "order-broken",
                    $"{before.What} came before {fill.Body.Sample}.",
                    "Stirred bottom ends up in the bottle.",
                    "Move away from it, wait, or come another day."
                );
                draft.Findings.Add(FillChecks.Standing(draft, fill, finding.On(beside, fill.Entry.Id) with { At = at }));
            }
        }
    }

    // Beside the step of the protocol that fills it, or among the bottles of the plan.
    private static (Beside Beside, string? At) Place(SheetDraft draft, string sample)
    {
        foreach (var protocol in draft.Described())
        {
            if (protocol.StepOf(sample) is { } step)
            {
                return (
                    Beside.Observation,
                    $"{ProtocolRun.Address(protocol.Protocol, step.Step, step.Item, step.Try)}{RunContainers.Open}"
                );
            }
        }

        return (Beside.Bottles, null);
    }

    private static IEnumerable<Stir> Stirred(SheetDraft draft)
    {
        foreach (var protocol in VisitParts.DescribedIn(draft.Context.Programme).Where(p => p.Stirring.Count > 0))
        {
            var first = draft
                .Standing(ObservationKinds.Observation)
                .Where(o => o.Body.Protocol.Code == protocol.Code && protocol.Stirring.Contains(o.Body.Step))
                .Select(o => (DateTimeOffset?)o.Entry.At)
                .Min();
            if (first is { } at)
            {
                yield return new Stir(protocol.Description.Title, at, false);
            }
        }

        // A sampler goes down beside where a lead or the disc lay.
        if (draft.Section<Sounded>()?.Read is { Body.By: SoundedBy.Lead or SoundedBy.Disc } sounding)
        {
            yield return new Stir(
                sounding.Body.By == SoundedBy.Lead ? "The lead on the bottom" : "The disc on the bottom",
                sounding.Entry.At,
                true
            );
        }
    }

    private sealed record Stir(string What, DateTimeOffset At, bool OnlyByHand);
}
