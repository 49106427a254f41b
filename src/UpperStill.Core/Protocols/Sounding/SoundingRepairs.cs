using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>How an unusual sounding is mended.</summary>
internal static class SoundingRepairs
{
    internal static IEnumerable<Repair> Of(Finding finding, SheetDraft draft)
    {
        if (
            finding is not { Beside: Beside.Sounding, Code: "unit-unlikely" or "sounding-differs" }
            || draft.Section<Sounded>()?.Sheet is not { } sounding
            || !finding.About.Contains(sounding.Entry)
        )
        {
            yield break;
        }

        if (
            sounding.Likelier is { } likelier
            && draft.Standing(SoundingKinds.Sounding).FirstOrDefault(s => s.Entry.Id == sounding.Entry) is { } written
        )
        {
            yield return Repair.Write(
                $"It was {sounding.LikelierText}",
                SoundingKinds.Sounding.Anew(written.Body with { Depth = likelier }, sounding.Entry, "the other unit")
            );
        }

        yield return Repair.Write("Sound it again", VisitKinds.Strike.Anew(new EmptyBody(), sounding.Entry, "sounded again"));
    }
}
