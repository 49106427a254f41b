using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Record.Parts;

/// <summary>The order of the steps, where the sampler has changed it, and what that costs.</summary>
internal static class StepOrder
{
    /// <summary>The steps in the chosen order. Arriving stays first.</summary>
    /// <param name="steps">In the programme's order.</param>
    /// <param name="chosen">The order that the sampler chose.</param>
    internal static IReadOnlyList<PartStep> Sort(IReadOnlyList<PartStep> steps, StepOrderBody chosen) =>
        [.. steps.OrderBy(s => s.Rank == StepRank.Arrive ? -1 : IndexOf(chosen.Steps, s.Name))];

    /// <summary>What the chosen order costs against the programme's.</summary>
    /// <param name="planned">The programme's order.</param>
    /// <param name="taken">The chosen one.</param>
    /// <param name="costs">What the parts say of it.</param>
    internal static IEnumerable<Finding> Warnings(IReadOnlyList<string> planned, IReadOnlyList<string> taken, IReadOnlyList<MoveCost> costs)
    {
        for (var i = 0; i < planned.Count; i++)
        {
            var before = planned.Skip(i + 1).Where(later => IndexOf(taken, later) < IndexOf(taken, planned[i])).ToList();
            if (
                before.Count > 0
                && costs.FirstOrDefault(c => c.First == planned[i] && (c.Then is null || before.Contains(c.Then)))
                    is { Lost: { } lost } cost
            )
            {
                var first = cost.Then ?? string.Join(" and ", before);
                yield return Finding.Check(
                    "order-changed",
                    $"{Sentence.Begun(first)} before {planned[i]}; the programme has it the other way round.",
                    lost,
                    "Go back to the programme’s order, or say why not."
                );
            }
        }
    }

    private static int IndexOf(IReadOnlyList<string> names, string name)
    {
        for (var i = 0; i < names.Count; i++)
        {
            if (names[i] == name)
            {
                return i;
            }
        }

        return names.Count;
    }
}
