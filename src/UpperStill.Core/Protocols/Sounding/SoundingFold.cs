using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>The depth of the water, for the parts after it.</summary>
/// <param name="Read">As it was written.</param>
/// <param name="Sheet">As the sheet shows it; null where it cannot be read.</param>
internal sealed record Sounded(Read<SoundingBody> Read, SheetSounding? Sheet);

/// <summary>The sounding's part of the sheet.</summary>
internal static class SoundingFold
{
    internal static void Fold(SheetDraft draft)
    {
        var soundings = draft.Standing(SoundingKinds.Sounding);
        draft.Disagreement(Beside.Sounding, "the sounding", [.. soundings.Select(s => s.Entry)], e =>
            Words(draft, soundings.First(s => s.Entry == e))
        );
        if (soundings.Count == 0)
        {
            return;
        }

        draft.UnderWay = true;
        var (length, finding) = soundings[^1].Body.Depth.Read();
        Guid[] about = [soundings[^1].Entry.Id];
        if (finding is not null)
        {
            draft.Findings.Add(finding with { Beside = Beside.Sounding, About = about });
        }

        var sheet = length is { } depth
            ? Differs(draft, depth, new SheetSounding(Decimals.Published(depth.Metres), draft.Show(depth), about[0]))
            : null;
        draft.Add(new Sounded(soundings[^1], sheet));
    }

    private static SheetSounding Differs(SheetDraft draft, Length depth, SheetSounding sheet)
    {
        Guid[] about = [sheet.Entry];
        var checks = draft.Context.Programme.Checks;
        if (
            draft.Context.Station.KnownDepth.Read().Length is not { } known
            || known.Metres == 0
            || draft.Context.Programme.Chooses(SoundingOptions.DepthTolerance, "none")
        )
        {
            return sheet;
        }

        var off = Math.Abs(depth.Metres - known.Metres);
        // A reservoir drawn down, or the tide, moves the depth by more than a drift of the boat would.
        var allowed =
            Math.Max(known.Metres * checks.SoundingDiffersPercent / 100, checks.SoundingDiffersLeastM)
            + draft.Context.Station.LevelAllowanceM;
        if (off > allowed)
        {
            // The same number on a finder that shows the other unit.
            var other = Length.IsFootBased(depth.Unit)
                ? new Length(depth.Metres / Length.MetresPerFoot, LengthUnit.Metre, 0.1m)
                : new Length(depth.Metres, LengthUnit.Foot, 0.1m);
            if (Math.Abs(other.Metres - known.Metres) <= allowed)
            {
                var likelier = sheet with
                {
                    Likelier = new WrittenLength(Decimals.Text(other.Value), other.Unit),
                    LikelierText = LengthText.Write(other),
                };
                draft.Findings.Add(
                    Finding.Check(
                        "unit-unlikely",
                        $"{LengthText.Write(depth)} is unusual here; {LengthText.Write(other)} would be usual.",
                        "Read in another unit, everything planned from it lies wrong.",
                        "Which was it? Strike it, and write it with its unit."
                    ) with
                    {
                        Beside = Beside.Sounding,
                        About = about,
                    }
                );
                return likelier;
            }

            draft.Findings.Add(
                Finding.Check(
                    "sounding-differs",
                    $"{draft.Show(depth)} here, {draft.Show(known)} known: {Decimals.Fixed(off / known.Metres * 100, 0)} % off.",
                    "You may be off the deep spot, or the level has changed.",
                    "Look round, read the stage, sound again."
                ) with
                {
                    Beside = Beside.Sounding,
                    About = about,
                }
            );
        }

        return sheet;
    }

    private static string Words(SheetDraft draft, Read<SoundingBody> sounding) =>
        sounding.Body.Depth.Read().Length is { } length ? draft.Show(length) : sounding.Body.Depth.Written;
}
