using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Application.Visits;

/// <summary>What is still unfilled when the station is left: it cannot be fetched back from shore.</summary>
internal static class Leaving
{
    internal static void Fold(SheetDraft draft, StepsOf steps)
    {
        if (draft.Start is null || draft.Imported)
        {
            return;
        }

        var empty = steps.Unfilled.Where(s => s.Missing is null && (draft.Asks || s.AskedBefore)).Select(s => s.Name).ToList();
        if (empty.Count > 0)
        {
            draft.Findings.Add(
                Finding
                    .Stop(
                        "field-empty",
                        $"Still empty: {string.Join(", ", empty)}.",
                        "It cannot be fetched back from shore.",
                        "Fill it, or say why not."
                    )
                    .On(Beside.Leaving)
            );
        }

        draft.Findings.AddRange(steps.Missing);
    }
}
