using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>The checks on the bottles of a visit together: the plan, the casts, the order.</summary>
internal static class BottleFills
{
    internal static IEnumerable<Finding> Of(
        SheetDraft draft,
        List<PlannedSample> planned,
        IReadOnlyList<Read<FillBody>> fills,
        IReadOnlyList<Read<CastBody>> casts
    )
    {
        var counting = FillChecks.Counting(draft);
        foreach (var fill in fills)
        {
            var beside =
                planned.FirstOrDefault(p => SampleNumber.Same(p.Number, fill.Body.Sample))?.Place == SamplePlace.Composite
                    ? Beside.Composite
                    : Beside.Bottles;
            var type = draft.Context.Programme.TypeOf(fill.Body.Type);
            foreach (var finding in type is null ? [] : FillChecks.Of(draft, fill.Body, type))
            {
                yield return FillChecks.Standing(draft, fill, finding.On(beside, fill.Entry.Id));
            }

            if (!planned.Any(p => SampleNumber.Same(p.Number, fill.Body.Sample)))
            {
                yield return Finding
                    .Check(
                        "label-differs",
                        $"{fill.Body.Sample} is not of this visit’s plan.",
                        "A label of another day or water sends the result to the wrong record.",
                        "Look at the label; strike it, or say why."
                    )
                    .On(beside, fill.Entry.Id);
            }

            // A cast that was struck or failed leaves its bottles without water.
            if (fill.Body.Cast is { } cast && !casts.Any(c => c.Entry.Id == cast))
            {
                yield return Finding
                    .Check(
                        "sampler-failed",
                        $"The cast that filled {fill.Body.Sample} is struck.",
                        "This water is not from that depth.",
                        "Fill it again from another cast, or say why it stands."
                    )
                    .On(beside, fill.Entry.Id);
            }
        }

        foreach (var twice in counting.Where(fills.Contains).GroupBy(f => SampleNumber.Body(f.Body.Sample)).Where(g => g.Count() > 1))
        {
            yield return Finding
                .Stop(
                    "sample-number-used",
                    $"{twice.Key} is filled twice.",
                    "Two bottles would become one.",
                    "Strike one, or give it another label."
                )
                .On(Beside.Bottles, twice.Select(f => f.Entry.Id)) with
            {
                NoWayRound = true,
            };
        }
    }
}
