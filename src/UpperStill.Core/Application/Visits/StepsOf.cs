using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Visits;

/// <summary>The steps of a visit in the order of work: what each gave, what it lacks, and which is next.</summary>
internal sealed class StepsOf
{
    /// <summary>The step that ends a visit.</summary>
    internal const string Leave = "leave";

    private readonly Dictionary<string, Read<StepSkippedBody>> skipped;
    private readonly IReadOnlyList<PartStep> byPart;
    private readonly IReadOnlyList<PartStep> steps;

    internal StepsOf(SheetDraft draft)
    {
        skipped = draft.Standing(VisitKinds.StepSkipped).GroupBy(s => s.Body.Step).ToDictionary(g => g.Key, g => g.Last());
        var parts = VisitParts.Of(draft.Context.Programme);
        byPart = Asked(draft, [.. parts.SelectMany(p => p.Steps(draft))]);
        steps = [.. byPart.OrderBy(s => s.Rank)];
        if (draft.Latest(VisitKinds.StepOrder) is { } chosen)
        {
            var planned = steps.Select(s => s.Name).ToList();
            steps = StepOrder.Sort(steps, chosen.Body);
            draft.Findings.AddRange(
                StepOrder
                    .Warnings(planned, [.. steps.Select(s => s.Name)], [.. parts.SelectMany(p => p.MoveCosts)])
                    .Select(f => f.On(Beside.Header, chosen.Entry.Id))
            );
        }
    }

    /// <summary>The step on whose page a finding is answered: the one that stands beside its words; null where none is.</summary>
    internal string? Answering(Finding finding)
    {
        if (finding.Beside == Beside.Leaving)
        {
            return Leave;
        }

        if (finding.Beside == Beside.Observation)
        {
            return finding.At?.Split('/')[0];
        }

        // The same words may stand in two steps: each then knows its own entries.
        List<PartStep> here = [.. byPart.Where(s => s.Stops.Contains(finding.Beside))];
        return (
            here.Find(s => s.Own is { } own && finding.About.Count > 0 && finding.About.All(own.Contains))
            ?? here.Find(s => s.Own is null)
            ?? here.FirstOrDefault()
        )?.Name;
    }

    /// <summary>Steps that were asked for, are not done, and are not left out with a reason, in the order of work.</summary>
    internal IEnumerable<PartStep> Unfilled => steps.Where(Open);

    /// <summary>What those that know better than that they are empty say of it, in the order of the parts.</summary>
    internal IEnumerable<Finding> Missing => byPart.Where(Open).Select(s => s.Missing).OfType<Finding>();

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
            shown.Add(
                new SheetStep(
                    step.Name,
                    done ? StepState.Done
                        : skip is not null ? StepState.Skipped
                        : StepState.ToDo,
                    !done && skip is not null ? $"not done: {skip.Entry.Why}" : step.Summary,
                    skip?.Entry.Id
                )
                {
                    Title = step.Title,
                    Way = step.Way,
                }
            );
        }

        shown.Add(
            new SheetStep(
                Leave,
                closed ? StepState.Done : StepState.ToDo,
                closed ? "visit ended"
                    : left == 0 ? "every box is full"
                    : left == 1 ? "1 thing still unfilled"
                    : $"{left} things still unfilled"
            )
            {
                Title = "Leave",
                Way = "leaving",
            }
        );
        var next = closed ? -1 : shown.FindIndex(s => s.State == StepState.ToDo && !steps.Any(p => p.Name == s.Name && p.Waits));
        return [.. shown.Select((s, i) => s with { State = i == next ? StepState.Next : s.State, Then = After(shown.Skip(i + 1)) })];
    }

    private string After(IEnumerable<SheetStep> rest)
    {
        var open = rest.FirstOrDefault(s => s.State == StepState.ToDo)?.Name;
        return open is null or Leave && rest.FirstOrDefault(s => steps.Any(p => p.Name == s.Name && p.ReadOff)) is { } read
            ? read.Name
            : open ?? Leave;
    }

    // On a beach, a bridge or a bank nothing is asked but the head of the sheet and what is due there; the depth only where something
    // rests on it.
    private static IReadOnlyList<PartStep> Asked(SheetDraft draft, IReadOnlyList<PartStep> steps)
    {
        if (!draft.Asks || draft.Context.Station.Kind is null or StationKind.Boat)
        {
            return steps;
        }

        List<PartStep> asked = [.. steps.Where(s => s.Required || s.Done || s.Begun || s.Rank == StepRank.Arrive)];
        return asked.Exists(s => s.NeedsDepth) ? asked : [.. asked.Where(s => !s.GivesDepth || s.Done)];
    }

    private bool Open(PartStep step) => step is { Done: false, Required: true } && !skipped.ContainsKey(step.Name);
}
