using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>How a reading of the disc is mended.</summary>
internal static class DiscRepairs
{
    internal static IEnumerable<Repair> Of(Finding finding, SheetDraft draft) =>
        finding switch
        {
            { Beside: Beside.Leaving, Code: "clarity-reading-missing" } => [Repair.Ask("Read it now", RepairAsk.Step, "clarity")],
            { Beside: not Beside.Clarity } => [],
            { Code: "clarity-reappear-deeper", About: [var first, var second, ..] } => Swapped(draft, first, second),
            { Code: "clarity-at-bottom" } when draft.Section<Sounded>()?.Sheet is not null =>
            [
                Repair.Write(
                    "It was in sight on the bottom",
                    SecchiKinds.DiscOutcome.Anew(new DiscOutcomeBody(Secchi.DiscOutcome.OnBottom))
                ),
            ],
            { Level: FindingLevel.Check } when draft.Section<SheetClarity>()!.Boxes.Any(b => b is { Extra: true, Entry: null }) =>
            [
                Repair.Ask("Read once more", RepairAsk.Reading),
            ],
            _ => [],
        };

    // Two corrections, each striking the mark that it replaces: what was first written stays on the page.
    private static IEnumerable<Repair> Swapped(SheetDraft draft, Guid first, Guid second)
    {
        var marks = draft.Standing(SecchiKinds.DiscMark);
        if (marks.FirstOrDefault(m => m.Entry.Id == first) is { } one && marks.FirstOrDefault(m => m.Entry.Id == second) is { } other)
        {
            yield return Repair.Write(
                "Swap them",
                SecchiKinds.DiscMark.Anew(one.Body with { Depth = other.Body.Depth }, first, "swapped"),
                SecchiKinds.DiscMark.Anew(other.Body with { Depth = one.Body.Depth }, second, "swapped")
            );
        }
    }
}
