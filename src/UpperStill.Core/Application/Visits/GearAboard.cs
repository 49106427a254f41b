using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Leaving;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Application.Visits;

/// <summary>What went over the side and must be back aboard.</summary>
internal static class GearAboard
{
    internal static IReadOnlyList<SheetAboard> Fold(SheetDraft draft)
    {
        if (!draft.Asks)
        {
            return [];
        }

        var answers = draft.Standing(LeavingKinds.Aboard);
        List<string> things = [.. VisitParts.Of(draft.Context.Programme).SelectMany(p => p.Overboard(draft))];
        things.AddRange(answers.Select(a => a.Body.Thing).Where(t => !things.Contains(t)).Distinct());
        List<SheetAboard> aboard =
        [
            .. things.Select(t =>
                answers.LastOrDefault(a => a.Body.Thing == t) is { } answer
                    ? new SheetAboard(t, answer.Body.Aboard, answer.Entry.Id)
                    : new SheetAboard(t)
            ),
        ];
        var missing = aboard.Where(a => a.Aboard == false).ToList();
        if (missing.Count > 0)
        {
            draft.Findings.Add(
                Finding
                    .Check(
                        "left-behind",
                        $"{string.Join(", ", missing.Select(m => m.Thing))} not back aboard.",
                        "What lies in the lake is lost to the next visit, and harms.",
                        "Look for it before you cast off."
                    )
                    .On(Beside.Leaving, missing.Select(m => m.Entry!.Value))
            );
        }

        return aboard;
    }
}
