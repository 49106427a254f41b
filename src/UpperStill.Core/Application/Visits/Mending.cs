using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Application.Visits;

/// <summary>Where each finding of a visit is answered, and how it is mended.</summary>
internal sealed class Mending(SheetDraft draft, IReadOnlyList<SheetStep> steps, IReadOnlyList<SheetEntry> entries)
{
    /// <summary>The finding with its step; while it is open, with the ways to mend it.</summary>
    internal Finding With(Finding finding) =>
        finding with
        {
            Step = StepOf(finding),
            Repairs = finding.Kept is null && Ways(finding).ToList() is { Count: > 0 } ways ? ways : null,
        };

    private IEnumerable<Repair> Ways(Finding finding) =>
        VisitParts
            .All.SelectMany(p => p.Repairs(finding, draft))
            .Concat(
                finding.Beside switch
                {
                    Beside.Profile or Beside.Bottles or Beside.Composite => [],
                    Beside.Leaving => finding.Code == "clarity-reading-missing" ? [] : ToOpenStep(),
                    _ => Between(finding),
                }
            );

    private IEnumerable<Repair> ToOpenStep() =>
        steps.FirstOrDefault(s => s.State is StepState.ToDo or StepState.Next && s.Name is not ("arrive" or "leave")) is { } open
            ? [Repair.Ask("Fill it now", RepairAsk.Step, open.Name)]
            : [];

    // Of entries that say different things one is struck; it stays legible.
    private IEnumerable<Repair> Between(Finding finding) =>
        finding.Code is "devices-disagree" or "number-called-twice"
            ? entries
                .Where(e => finding.About.Contains(e.Id))
                .Select(e =>
                    Repair.Write(
                        $"Strike {e.Text} ({e.Device})",
                        VisitKinds.Strike.Anew(new EmptyBody(), e.Id, "the other number stands")
                    ) with
                    {
                        Either = true,
                    }
                )
            : [];

    private string? StepOf(Finding finding) =>
        finding.Beside switch
        {
            Beside.Sounding => "sounding",
            Beside.Clarity => "clarity",
            Beside.Profile => "profile",
            Beside.Composite => "composite",
            Beside.Bottles => AtSurface(finding) || !Has("bottles") ? "surface" : "bottles",
            Beside.Header => Has("arrive") ? "arrive" : null,
            Beside.Observation => finding.At?.Split('/')[0],
            Beside.Leaving => "leave",
            _ => null,
        };

    private bool Has(string step) => steps.Any(s => s.Name == step);

    private bool AtSurface(Finding finding)
    {
        var surface = draft.Section<SheetBottles>()?.Places.FirstOrDefault(p => p.Place == "surface");
        HashSet<Guid?> there = [.. surface?.Casts.Select(c => (Guid?)c.Entry) ?? [], .. surface?.Bottles.Select(b => b.Entry) ?? []];
        return finding.About.Count > 0 && finding.About.All(id => there.Contains(id));
    }
}
