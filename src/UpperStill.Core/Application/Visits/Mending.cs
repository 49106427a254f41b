using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Application.Visits;

/// <summary>Where each finding of a visit is answered, and how it is mended.</summary>
internal sealed class Mending(SheetDraft draft, StepsOf steps, IReadOnlyList<SheetStep> shown, IReadOnlyList<SheetEntry> entries)
{
    /// <summary>The finding with its step; while it is open, with the ways to mend it.</summary>
    internal Finding With(Finding finding) =>
        finding with
        {
            Step = steps.Answering(finding),
            Repairs = finding.Kept is null && Ways(finding) is { Count: > 0 } ways ? ways : null,
        };

    // What the parts know of it; else what holds for findings of any part.
    private List<Repair> Ways(Finding finding) =>
        VisitParts.Of(draft.Context.Programme).SelectMany(p => p.Repairs(finding, draft)).ToList() is { Count: > 0 } own ? own
        : finding.Beside == Beside.Leaving ? ToOpenStep()
        : finding.Code is "devices-disagree" or "number-called-twice" ? Either(finding)
        : [];

    private List<Repair> ToOpenStep() =>
        shown.FirstOrDefault(s => s.State is StepState.ToDo or StepState.Next && s.Name is not ("arrive" or StepsOf.Leave)) is { } open
            ? [Repair.Ask("Fill it now", RepairAsk.Step, open.Name)]
            : [];

    // Of entries that say different things one is struck; it stays legible.
    private List<Repair> Either(Finding finding) =>
        [
            .. entries
                .Where(e => finding.About.Contains(e.Id))
                .Select(e =>
                    Repair.Write(
                        $"Strike {e.Text} ({e.Device})",
                        VisitKinds.Strike.Anew(new EmptyBody(), e.Id, "the other number stands")
                    ) with
                    {
                        Either = true,
                    }
                ),
        ];
}
