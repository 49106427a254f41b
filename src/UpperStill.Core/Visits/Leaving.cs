using UpperStill.Core.Findings;

namespace UpperStill.Core.Visits;

/// <summary>What is still unfilled when the station is left: it cannot be fetched back from shore.</summary>
internal static class Leaving
{
    internal static void Fold(SheetDraft draft, SheetClarity clarity)
    {
        if (draft.Start is null)
        {
            return;
        }

        if (draft.Sounding is null)
        {
            draft.Findings.Add(Finding.Stop("field-empty", "Still empty: sounding.", "It cannot be fetched back from shore.", "Fill it, or say why not.") with { Beside = Beside.Leaving });
        }

        var read = clarity.Result.Readings.Count;
        if (clarity.Outcome is null && read < clarity.Result.Needed)
        {
            draft.Findings.Add(Finding.Stop(
                "clarity-reading-missing", $"{read} of {clarity.Result.Needed} clarity readings.", "You cannot add one from shore.", "Take it, or say why not.") with
            { Beside = Beside.Leaving });
        }
    }
}
