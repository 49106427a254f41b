using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Record.Parts;

/// <summary>The order of the steps, where the sampler has changed it, and what that costs.</summary>
public static class StepOrder
{
    // The earlier step, the later one ("" for any), and what is lost where they change places.
    private static readonly (string First, string Then, string Lost)[] Costs =
    [
        ("sounding", "", "Touching bottom unawares spoils the sample."),
        ("surface", "", "What stirs the water ends up in the bottle."),
        ("clarity", "composite", "The depth of the composite comes from today’s clarity."),
        ("profile", "bottles", "The depths of the bottles come from today’s profile."),
        ("profile", "composite", "The profile shows where the layers meet."),
        ("bottles", "clarity", "The disc and its line stir what is sampled after it."),
    ];

    /// <summary>The steps in the chosen order. Arriving stays first.</summary>
    /// <typeparam name="T">A step.</typeparam>
    /// <param name="steps">In the programme's order.</param>
    /// <param name="name">The name of a step.</param>
    /// <param name="chosen">The order that the sampler chose.</param>
    public static IReadOnlyList<T> Sort<T>(IReadOnlyList<T> steps, Func<T, string> name, StepOrderBody chosen)
    {
        ArgumentNullException.ThrowIfNull(chosen);
        return [.. steps.OrderBy(s => name(s) == "arrive" ? -1 : IndexOf(chosen.Steps, name(s)))];
    }

    /// <summary>What the chosen order costs against the programme's.</summary>
    /// <param name="planned">The programme's order.</param>
    /// <param name="taken">The chosen one.</param>
    public static IEnumerable<Finding> Warnings(IReadOnlyList<string> planned, IReadOnlyList<string> taken)
    {
        ArgumentNullException.ThrowIfNull(planned);
        for (var i = 0; i < planned.Count; i++)
        {
            var before = planned.Skip(i + 1).Where(later => IndexOf(taken, later) < IndexOf(taken, planned[i])).ToList();
            if (before.Count > 0 && Costs.FirstOrDefault(c => c.First == planned[i] && (c.Then.Length == 0 || before.Contains(c.Then))) is { Lost: { } lost } cost)
            {
                var first = cost.Then.Length == 0 ? string.Join(" and ", before) : cost.Then;
                yield return Finding.Check(
                    "order-changed", $"{char.ToUpperInvariant(first[0])}{first[1..]} before {planned[i]}; the programme has it the other way round.", lost, "Go back to the programme’s order, or say why not.");
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
