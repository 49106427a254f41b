using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Fills;

/// <summary>What fills and what was added to them say of samples.</summary>
internal static class FillSteps
{
    internal static IEnumerable<SampleStepTaken> Of(SheetDraft draft)
    {
        foreach (var fill in FillChecks.Counting(draft).DistinctBy(f => SampleNumber.Body(f.Body.Sample)))
        {
            if (draft.Context.Programme.TypeOf(fill.Body.Type) is not { } type)
            {
                continue;
            }

            yield return new(fill.Entry, SampleStep.Take, [fill.Body.Sample], FillChecks.Words(fill.Body)) { CollectedAt = fill.Entry.At };
            if (type.Added is { Inside: true } || fill.Body.Drops > 0 || fill.Body.Preserved == true)
            {
                var added =
                    type.Added is { Inside: true } held ? held.Name
                    : fill.Body.Drops is { } drops ? $"{drops} {(drops == 1 ? "drop" : "drops")} of {type.Added?.Name}"
                    : type.Added?.Words ?? "preserved";
                yield return new(fill.Entry, SampleStep.Preserve, [fill.Body.Sample], added) { Added = added };
            }
        }

        foreach (var preserved in draft.Standing(FillKinds.Preserved))
        {
            yield return new(preserved.Entry, SampleStep.Preserve, preserved.Body.Samples, preserved.Body.Added)
            {
                Added = preserved.Body.Added,
            };
        }
    }
}
