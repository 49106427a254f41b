using UpperStill.Core.Findings;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Visits;

/// <summary>The sounding's part of the sheet.</summary>
internal static class SoundingPart
{
    internal static void Fold(SheetDraft draft)
    {
        var soundings = draft.Standing(EntryKinds.Sounding);
        draft.Disagreement("the sounding", [.. soundings.Select(s => s.Entry)], e => Words(draft, soundings.First(s => s.Entry == e)));
        if (soundings.Count == 0)
        {
            return;
        }

        draft.SoundingRead = soundings[^1];
        var (length, finding) = soundings[^1].Body.Depth.Read();
        Guid[] about = [soundings[^1].Entry.Id];
        if (finding is not null)
        {
            draft.Findings.Add(finding with { Beside = Beside.Sounding, About = about });
        }

        if (length is { } depth)
        {
            draft.Sounding = new SheetSounding(Decimals.Published(depth.Metres), draft.Show(depth), about[0]);
            Differs(draft, depth, about);
        }
    }

    private static void Differs(SheetDraft draft, Length depth, Guid[] about)
    {
        var checks = draft.Context.Programme.Checks;
        if (draft.Context.Station.KnownDepth.Read().Length is not { } known || known.Metres == 0)
        {
            return;
        }

        var off = Math.Abs(depth.Metres - known.Metres);
        // A reservoir drawn down, or the tide, moves the depth by more than a drift of the boat would.
        if (off > Math.Max(known.Metres * checks.SoundingDiffersPercent / 100, checks.SoundingDiffersLeastM) + draft.Context.Station.LevelAllowanceM)
        {
            draft.Findings.Add(Finding.Check(
                "sounding-differs", $"{draft.Show(depth)} here, {draft.Show(known)} known: {Decimals.Fixed(off / known.Metres * 100, 0)} % off.",
                "You may be off the deep spot, or the level has changed.", "Look round, read the stage, sound again.") with
            { Beside = Beside.Sounding, About = about });
        }
    }

    private static string Words(SheetDraft draft, Read<SoundingBody> sounding) =>
        sounding.Body.Depth.Read().Length is { } length ? draft.Show(length) : sounding.Body.Depth.Written;
}
