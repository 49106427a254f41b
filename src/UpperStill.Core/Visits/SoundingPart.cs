using UpperStill.Core.Findings;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Visits;

/// <summary>The sounding's part of the sheet.</summary>
internal static class SoundingPart
{
    internal static void Fold(SheetDraft draft)
    {
        var soundings = draft.Standing(EntryKinds.Sounding);
        draft.Disagreement(Beside.Sounding, "the sounding", [.. soundings.Select(s => s.Entry)], e => Words(draft, soundings.First(s => s.Entry == e)));
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
        if (draft.Context.Station.KnownDepth.Read().Length is not { } known || known.Metres == 0 || draft.Context.Programme.Chooses("station.depth-tolerance", "none"))
        {
            return;
        }

        var off = Math.Abs(depth.Metres - known.Metres);
        // A reservoir drawn down, or the tide, moves the depth by more than a drift of the boat would.
        var allowed = Math.Max(known.Metres * checks.SoundingDiffersPercent / 100, checks.SoundingDiffersLeastM) + draft.Context.Station.LevelAllowanceM;
        if (off > allowed)
        {
            // The same number on a finder that shows the other unit.
            var other = Length.IsFootBased(depth.Unit) ? new Length(depth.Metres / Length.MetresPerFoot, LengthUnit.Metre, 0.1m) : new Length(depth.Metres, LengthUnit.Foot, 0.1m);
            if (Math.Abs(other.Metres - known.Metres) <= allowed)
            {
                draft.Sounding = draft.Sounding! with { Likelier = new WrittenLength(Decimals.Text(other.Value), other.Unit), LikelierText = LengthText.Write(other) };
                draft.Findings.Add(Finding.Check(
                    "unit-unlikely", $"{LengthText.Write(depth)} is unusual here; {LengthText.Write(other)} would be usual.", "Read in another unit, everything planned from it lies wrong.", "Which was it? Strike it, and write it with its unit.") with
                { Beside = Beside.Sounding, About = about });
                return;
            }

            draft.Findings.Add(Finding.Check(
                "sounding-differs", $"{draft.Show(depth)} here, {draft.Show(known)} known: {Decimals.Fixed(off / known.Metres * 100, 0)} % off.",
                "You may be off the deep spot, or the level has changed.", "Look round, read the stage, sound again.") with
            { Beside = Beside.Sounding, About = about });
        }
    }

    private static string Words(SheetDraft draft, Read<SoundingBody> sounding) =>
        sounding.Body.Depth.Read().Length is { } length ? draft.Show(length) : sounding.Body.Depth.Written;
}
