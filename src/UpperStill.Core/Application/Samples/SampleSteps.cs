using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Application.Samples;

/// <summary>A step written in an entry.</summary>
/// <param name="Entry">The entry.</param>
/// <param name="Step">The step.</param>
/// <param name="Numbers">The samples.</param>
/// <param name="Text">In words.</param>
/// <param name="Where">Where they then are.</param>
/// <param name="TemperatureC">What a thermometer showed, °C, as read.</param>
/// <param name="Change">What else it says of each sample.</param>
internal sealed record SampleStepTaken(
    Entry Entry,
    SampleStep Step,
    IReadOnlyList<string> Numbers,
    string Text,
    string? Where = null,
    string? TemperatureC = null,
    Action<SampleDraft>? Change = null
);

/// <summary>Reads the steps in the lives of a visit's samples from its entries.</summary>
internal static class SampleSteps
{
    internal static IEnumerable<SampleStepTaken> Of(SheetDraft draft)
    {
        var start = draft.Start!.Entry;
        return Filling(draft, start).Concat(Bench(draft, start)).Concat(Custody(draft)).Concat(Laboratory(draft));
    }

    private static IEnumerable<SampleStepTaken> Filling(SheetDraft draft, Entry start)
    {
        foreach (var fill in FillChecks.Counting(draft).DistinctBy(f => SampleNumber.Body(f.Body.Sample)))
        {
            if (draft.Context.Programme.TypeOf(fill.Body.Type) is not { } type)
            {
                continue;
            }

            yield return new(fill.Entry, SampleStep.Take, [fill.Body.Sample], FillChecks.Words(fill.Body), Change: s =>
                s.CollectedAt = fill.Entry.At
            );
            if (type.Added is { Inside: true } || fill.Body.Drops > 0 || fill.Body.Preserved == true)
            {
                var added =
                    type.Added is { Inside: true } held ? held.Name
                    : fill.Body.Drops is { } drops ? $"{drops} {(drops == 1 ? "drop" : "drops")} of {type.Added?.Name}"
                    : type.Added?.Words ?? "preserved";
                yield return new(fill.Entry, SampleStep.Preserve, [fill.Body.Sample], added, Change: s => s.Added = added);
            }
        }

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
                $"{added.Body.Kin.ToString().ToLowerInvariant()} of {added.Body.Of}",
                Change: s => s.CollectedAt = start.At
            );
        }
    }

    private static IEnumerable<SampleStepTaken> Bench(SheetDraft draft, Entry start)
    {
        foreach (
            var filter in draft
                .Standing(FilterKinds.Filter)
                .Where(f => f.Body.Folded == true)
                .DistinctBy(f => SampleNumber.Body(f.Body.Sample))
        )
        {
            var from = draft
                .Standing(FilterKinds.Filter)
                .LastOrDefault(f => SampleNumber.Same(f.Body.Sample, filter.Body.Sample) && f.Body.From is not null)
                ?.Body.From;
            var collected = from is null
                ? null
                : FillChecks.Counting(draft).FirstOrDefault(f => SampleNumber.Same(f.Body.Sample, from))?.Entry;
            yield return new(
                filter.Entry,
                SampleStep.Take,
                [filter.Body.Sample],
                from is null ? "filtered, in its vial" : $"filtered from {from}, in its vial",
                Change: s => s.CollectedAt = (collected ?? start).At
            );
            if (collected is not null)
            {
                yield return new(filter.Entry, SampleStep.Filter, [from!], $"filtered onto {filter.Body.Sample}");
            }
        }

        foreach (var label in draft.Standing(CustodyKinds.Labelled))
        {
            var missing = label.Body.Missing is { Count: > 0 } list ? list : null;
            yield return new(
                label.Entry,
                SampleStep.Label,
                label.Body.Samples,
                missing is null ? "label complete" : $"label lacks {string.Join(", ", missing)}",
                Change: s => s.Labelled = missing is null
            );
        }
    }

    private static IEnumerable<SampleStepTaken> Custody(SheetDraft draft)
    {
        foreach (var preserved in draft.Standing(FillKinds.Preserved))
        {
            yield return new(preserved.Entry, SampleStep.Preserve, preserved.Body.Samples, preserved.Body.Added, Change: s =>
                s.Added = preserved.Body.Added
            );
        }

        foreach (var stored in draft.Standing(CustodyKinds.Stored))
        {
            var place = string.Join(", ", new[] { stored.Body.In.ToString().ToLowerInvariant(), stored.Body.Spot }.OfType<string>());
            yield return new(
                stored.Entry,
                SampleStep.Store,
                stored.Body.Samples,
                $"into the {place}{(stored.Body.Foil == true ? ", in foil" : string.Empty)}",
                place,
                stored.Body.TemperatureC,
                s => (s.In, s.Spot, s.Foil) = (stored.Body.In, stored.Body.Spot, stored.Body.Foil ?? s.Foil)
            );
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
                $"handed over to {handed.Body.To}, {how}, signed {handed.Body.Signature}",
                handed.Body.To,
                handed.Body.TemperatureC,
                s => (s.Manifest, s.To, s.In, s.Spot) = (handed.Body.Manifest, handed.Body.To, null, null)
            );
        }

        foreach (var lost in draft.Standing(CustodyKinds.SampleLost))
        {
            yield return new(lost.Entry, SampleStep.Lose, lost.Body.Samples, $"lost: {lost.Entry.Why}");
        }
    }

    private static IEnumerable<SampleStepTaken> Laboratory(SheetDraft draft)
    {
        foreach (var received in draft.Standing(CustodyKinds.Received))
        {
            var how = received.Body.As == ArrivedAs.Good ? "in good order" : received.Body.As.ToString().ToLowerInvariant();
            yield return new(
                received.Entry,
                SampleStep.Receive,
                received.Body.Samples,
                $"received {how}, signed {received.Body.Signature}",
                "the laboratory",
                received.Body.TemperatureC
            );
        }

        foreach (var rejected in draft.Standing(CustodyKinds.SampleRejected))
        {
            yield return new(rejected.Entry, SampleStep.Reject, rejected.Body.Samples, $"rejected: {rejected.Entry.Why}");
        }

        foreach (var measured in draft.Standing(ResultKinds.Measured))
        {
            yield return new(
                measured.Entry,
                SampleStep.Measure,
                [measured.Body.Sample],
                $"extract measured, {measured.Body.Readings.Method.ToString().ToLowerInvariant()}"
            );
        }

        // Of a file with many analytes the life says it once.
        foreach (var result in draft.Standing(ResultKinds.Result).DistinctBy(r => (SampleNumber.Body(r.Body.Sample), r.Entry.At)))
        {
            yield return new(
                result.Entry,
                SampleStep.Report,
                [result.Body.Sample],
                result.Body.File is { } file ? $"results, {file}" : "results"
            );
        }

        foreach (var reported in draft.Standing(ResultKinds.Reported))
        {
            yield return new(reported.Entry, SampleStep.Report, reported.Body.Samples, "results released");
        }
    }
}
