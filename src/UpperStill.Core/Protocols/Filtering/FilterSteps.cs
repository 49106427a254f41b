using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>What the bench says of filters and of the bottles they come from.</summary>
internal static class FilterSteps
{
    internal static IEnumerable<SampleStepTaken> Of(SheetDraft draft)
    {
        var start = draft.Start!.Entry;
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
                from is null ? "filtered, in its vial" : $"filtered from {from}, in its vial"
            )
            {
                CollectedAt = (collected ?? start).At,
            };
            if (collected is not null)
            {
                yield return new(filter.Entry, SampleStep.Filter, [from!], $"filtered onto {filter.Body.Sample}");
            }
        }
    }
}
