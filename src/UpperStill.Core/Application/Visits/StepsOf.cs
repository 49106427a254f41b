using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Visits;

/// <summary>The steps of a visit in the order of work: what each gave, what it lacks, and which is next.</summary>
internal sealed class StepsOf
{
    private readonly SheetDraft draft;
    private readonly Dictionary<string, Read<StepSkippedBody>> skipped;
    private readonly List<Step> steps;

    internal StepsOf(SheetDraft draft, SheetArrival arrival, SheetClarity clarity, CompositeResult composite, SheetTries tries, SheetProfile? profile, SheetBottles? bottles)
    {
        this.draft = draft;
        List<Step> steps = [];
        skipped = draft.Standing(VisitKinds.StepSkipped).GroupBy(s => s.Body.Step).ToDictionary(g => g.Key, g => g.Last());
        var surface = bottles?.Places.Where(p => p.Place == "surface").ToList() ?? [];
        var deep = bottles?.Places.Where(p => p.Place is not "surface" and not "composite").ToList() ?? [];
        var pour = bottles?.Places.FirstOrDefault(p => p.Place == "composite");
        if (draft.Asks)
        {
            steps.Add(new Step("arrive", arrival.Boxes.Count > 0 || arrival.Anchored is not null, arrival.Text, [Beside.Header], Required: false));
        }

        steps.Add(new Step("sounding", draft.Section<Sounded>()?.Sheet is not null, draft.Section<Sounded>()?.Sheet is { } s ? Sounded(draft, s) : "depth not yet measured", [Beside.Sounding]));
        var disc = new Step("clarity", ClarityDone(clarity), ClaritySummary(clarity), [Beside.Clarity], Required: !draft.Asks || draft.Wants(Protocol.Clarity));
        var order = draft.Context.Programme.SchoolOf("visit.order");
        if (surface.Count > 0)
        {
            steps.Add(Bottles("surface", surface));
        }

        if (order != "samples-first")
        {
            steps.Insert(order == "clarity-first" && surface.Count > 0 ? steps.Count - 1 : steps.Count, disc);
        }

        if (profile is not null)
        {
            var left = profile.ToRead.Count(t => t.Wanted == LevelWanted.Planned);
            steps.Add(new Step(
                "profile", profile.Levels.Count > 0 && left == 0, profile.Levels.Count == 0 ? $"{profile.Planned} levels" : left == 0 ? $"{profile.Levels.Count} levels" : $"{profile.Levels.Count} of {profile.Levels.Count + left} levels",
                [Beside.Profile], Required: draft.Wants(Protocol.Profile)));
        }

        if (deep.Count > 0)
        {
            steps.Add(Bottles("bottles", deep));
        }

        if (order == "samples-first")
        {
            steps.Add(disc);
        }

        if (!draft.Asks || pour is not null)
        {
            // Before bottles were entered the depth was all there was.
            var poured = pour?.Done ?? composite.Text is not null && ClarityDone(clarity);
            steps.Add(new Step(
                "composite", poured && (pour is null || tries.Good),
                pour is not null && tries.Tries.Count > 0 ? $"{(tries.Good ? "taken" : "again")}, {Filled([pour])}" : composite.Text is { } text ? $"mark the line at {text}" : "waits for sounding and clarity",
                pour is null ? [Beside.Composite, Beside.Clarity, Beside.Sounding] : [Beside.Composite], Required: pour is not null));
        }

        if (draft.Latest(VisitKinds.StepOrder) is { } chosen)
        {
            var planned = steps.Select(s => s.Name).ToList();
            steps = [.. StepOrder.Sort(steps, s => s.Name, chosen.Body)];
            draft.Findings.AddRange(StepOrder.Warnings(planned, [.. steps.Select(s => s.Name)]).Select(f => f.On(Beside.Header, chosen.Entry.Id)));
        }

        this.steps = steps;
    }

    /// <summary>Steps that were asked for, are not done, and are not left out with a reason.</summary>
    internal IEnumerable<string> Unfilled => steps.Where(s => s is { Done: false, Required: true } && !skipped.ContainsKey(s.Name)).Select(s => s.Name);

    /// <summary>True where the step is left out with a reason.</summary>
    internal bool Skips(string step) => skipped.ContainsKey(step);

    /// <summary>The steps for the page.</summary>
    /// <param name="stops">Open stops.</param>
    /// <param name="closed">True once the visit has ended.</param>
    internal IReadOnlyList<SheetStep> Visit(List<Finding> stops, bool closed)
    {
        var left = stops.Count(f => f.Beside == Beside.Leaving);
        List<SheetStep> shown = [];
        foreach (var step in steps)
        {
            var skip = skipped.GetValueOrDefault(step.Name);
            var done = step.Done && !stops.Any(f => step.Stops.Contains(f.Beside));
            shown.Add(new SheetStep(
                step.Name, done ? StepState.Done : skip is not null ? StepState.Skipped : StepState.ToDo, !done && skip is not null ? $"not done: {skip.Entry.Why}" : step.Summary, skip?.Entry.Id));
        }

        shown.Add(new SheetStep("leave", closed ? StepState.Done : StepState.ToDo, closed ? "visit ended" : left == 0 ? "every box is full" : left == 1 ? "1 thing still unfilled" : $"{left} things still unfilled"));
        var next = closed ? -1 : shown.FindIndex(s => s.State == StepState.ToDo && (draft.Asks || s.Name != "composite"));
        return [.. shown.Select((s, i) => i == next ? s with { State = StepState.Next } : s)];
    }

    private static Step Bottles(string name, List<SheetPlace> places) => new(name, places.All(p => p.Done || p.Needless), Summary(places), [Beside.Bottles], Required: places.Any(p => !p.Needless));

    private static string Summary(List<SheetPlace> places)
    {
        var depths = places.Where(p => p.Text is not null).Select(p => p.Text).ToList();
        return depths.Count == 0 ? places[0].Waits ?? Filled(places) : $"{string.Join(" and ", depths)}, {Filled(places)}";
    }

    private static string Filled(List<SheetPlace> places)
    {
        var bottles = places.SelectMany(p => p.Bottles).ToList();
        return $"{bottles.Count(b => b.Entry is not null)} of {(bottles.Count == 1 ? "1 bottle" : $"{bottles.Count} bottles")}";
    }

    private static bool ClarityDone(SheetClarity clarity) =>
        clarity.Outcome is not null || (clarity.Read >= clarity.Result.Needed && clarity.Boxes.All(b => b.Entry is not null || b.Extra));

    private static string Sounded(SheetDraft draft, SheetSounding sounding) =>
        draft.Context.Station.KnownDepth.Read().Length is { } known ? $"{sounding.Text}, {draft.Show(known)} known" : sounding.Text;

    private static string ClaritySummary(SheetClarity clarity)
    {
        var result = clarity.Result;
        return result.Text is null ? $"{clarity.Read} of {result.Needed}"
            : clarity.Outcome is null && clarity.Read < result.Needed ? $"{result.Text} · {clarity.Read} of {result.Needed}" : result.Text;
    }

    private sealed record Step(string Name, bool Done, string Summary, Beside[] Stops, bool Required = true);
}
