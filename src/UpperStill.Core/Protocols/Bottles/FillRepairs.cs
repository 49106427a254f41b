using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>How a bottle that was filled wrong is mended.</summary>
internal static class FillRepairs
{
    private static readonly HashSet<string> FilledAgain =
    [
        "fill-wrong",
        "rinses-short",
        "bottle-never-rinsed",
        "acid-bottle-direct",
        "acid-bottle-over",
        "sample-has-sediment",
        "sample-has-bubbles",
        "inside-touched",
    ];

    internal static IEnumerable<Repair> Of(Finding finding, SheetDraft draft)
    {
        if (
            finding.Beside is not (Beside.Bottles or Beside.Composite)
            || draft
                .Section<SheetBottles>()
                ?.Places.SelectMany(p => p.Bottles)
                .FirstOrDefault(b => b.Entry is { } entry && finding.About.Contains(entry))
                is not { Entry: { } filled } bottle
        )
        {
            yield break;
        }

        if (finding.Code is "preservative-missing" or "preservative-count")
        {
            if (bottle.Type.Added is { } added)
            {
                yield return Repair.Write("Added now", FillKinds.Preserved.Anew(new PreservedBody([bottle.Number], added.Words)));
            }
        }
        else if (FilledAgain.Contains(finding.Code))
        {
            yield return Repair.Ask("Fill it again", RepairAsk.Bottle, filled.ToString());
        }
    }
}
