using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Application.Visits;

/// <summary>What is still unfilled when the station is left: it cannot be fetched back from shore.</summary>
internal static class Leaving
{
    internal static void Fold(SheetDraft draft, SheetClarity clarity, SheetBottles? bottles, StepsOf steps)
    {
        if (draft.Start is null || draft.Imported)
        {
            return;
        }

        var open = steps.Unfilled.ToList();
        var first = draft.Findings.Count;
        var read = clarity.Read;
        if (clarity.Outcome is null && read < clarity.Result.Needed && open.Remove("clarity"))
        {
            draft.Findings.Add(Finding.Stop(
                "clarity-reading-missing", $"{read} of {clarity.Result.Needed} clarity readings.", "You cannot add one from shore.", "Take it, or say why not.").On(Beside.Leaving));
        }

        foreach (var place in bottles?.Places ?? [])
        {
            var step = place.Place switch { "surface" => "surface", "composite" => "composite", _ => "bottles" };
            if (open.Contains(step) && Bottle(place) is { } missing)
            {
                draft.Findings.Add(missing.On(Beside.Leaving));
                open.Remove(step);
            }
        }

        // Rules of before that were asked only for the sounding.
        var empty = draft.Asks ? open : open.Where(s => s == "sounding").ToList();
        if (empty.Count > 0)
        {
            draft.Findings.Insert(first, Finding.Stop("field-empty", $"Still empty: {string.Join(", ", empty)}.", "It cannot be fetched back from shore.", "Fill it, or say why not.").On(Beside.Leaving));
        }
    }

    private static Finding? Bottle(SheetPlace place)
    {
        var (full, all) = (place.Bottles.Count(b => b.Entry is not null), place.Bottles.Count);
        if (full == all)
        {
            return null;
        }

        if (full > 0)
        {
            return Finding.Stop("replicate-missing", $"{place.Title}: {full} of {all} bottles.", "Take the other from the same water.", "Fill it, or say why not.");
        }

        return place.Place == "deep" && place.DepthM is not null
            ? Finding.Stop("deep-sample-missing", $"The deep bottle at {place.Text} is still to take.", "It cannot be had from shore.", "Take it, or say why not.")
            : null;
    }
}
