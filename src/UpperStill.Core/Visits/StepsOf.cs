using UpperStill.Core.Composites;
using UpperStill.Core.Findings;

namespace UpperStill.Core.Visits;

/// <summary>The steps of a visit in the order of work, and which is next.</summary>
internal static class StepsOf
{
    internal static IReadOnlyList<SheetStep> Visit(
        SheetDraft draft, SheetClarity clarity, CompositeResult composite, List<Finding> stops, bool closed)
    {
        var clarityDone = clarity.Outcome is not null || (clarity.Result.Readings.Count >= clarity.Result.Needed && clarity.Boxes.All(b => b.Entry is not null || b.Extra));
        (string Name, bool Done, string Summary)[] steps =
        [
            ("sounding", draft.Sounding is not null && !Open(Beside.Sounding), draft.Sounding is { } s ? Sounded(draft, s) : "depth not yet measured"),
            ("clarity", clarityDone && !Open(Beside.Clarity), ClaritySummary(clarity)),
            ("composite", composite.Text is not null && clarityDone && !Open(Beside.Composite) && !Open(Beside.Clarity) && !Open(Beside.Sounding), composite.Text is { } text ? $"mark the line at {text}" : "waits for sounding and clarity"),
            ("leave", closed, closed ? "visit ended" : Unfilled(stops)),
        ];
        var next = closed ? -1 : Array.FindIndex(steps, p => !p.Done && p.Name != "composite");
        return [.. steps.Select((p, i) => new SheetStep(p.Name, p.Done ? StepState.Done : i == next ? StepState.Next : StepState.ToDo, p.Summary))];

        bool Open(Beside beside) => stops.Any(f => f.Beside == beside);
    }

    private static string Sounded(SheetDraft draft, SheetSounding sounding) =>
        draft.Context.Station.KnownDepth.Read().Length is { } known ? $"{sounding.Text}, {draft.Show(known)} known" : sounding.Text;

    private static string ClaritySummary(SheetClarity clarity)
    {
        var result = clarity.Result;
        return result.Text is null ? $"0 of {result.Needed}"
            : clarity.Outcome is null && result.Readings.Count < result.Needed ? $"{result.Text} · {result.Readings.Count} of {result.Needed}" : result.Text;
    }

    private static string Unfilled(List<Finding> stops)
    {
        var left = stops.Count(f => f.Beside == Beside.Leaving);
        return left == 0 ? "every box is full" : left == 1 ? "1 thing still unfilled" : $"{left} things still unfilled";
    }
}
