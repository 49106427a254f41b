using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>The checks on the levels of a profile.</summary>
internal static class ProfileChecks
{
    private const decimal MudM = 0.5m;
    private const decimal BelowBottomM = 0.1m;
    private const decimal PointNearMgL = 2;
    private const decimal PointClearlyMgL = 0.5m;
    private const decimal JumpMgL = 2;
    private const decimal JumpC = 1;

    /// <summary>All findings; levels that may not be water are put into <paramref name="marked"/>.</summary>
    /// <param name="draft">The visit.</param>
    /// <param name="levels">By depth.</param>
    /// <param name="read">The same in the order in which they were read.</param>
    /// <param name="planned">Levels that the method asks for, m.</param>
    /// <param name="marked">Filled with levels in the mud or under the bottom.</param>
    internal static List<Finding> Of(
        SheetDraft draft,
        List<ReadLevel> levels,
        List<ReadLevel> read,
        IReadOnlyList<decimal> planned,
        HashSet<Guid> marked
    )
    {
        var checks = new Checks(draft, levels, marked);
        checks.Order(read, planned);
        for (var i = 0; i < levels.Count; i++)
        {
            checks.Level(i);
        }

        return checks.Found;
    }

    private sealed class Checks(SheetDraft draft, List<ReadLevel> levels, HashSet<Guid> marked)
    {
        private readonly bool sea = draft.Context.Water?.Kind == WaterKind.Sea;
        private readonly decimal mostMgL = draft.Context.Programme.Of(ProfileOptions.OxygenMgl);
        private readonly decimal mostPercent = draft.Context.Programme.Of(ProfileOptions.OxygenPercent);
        private readonly decimal jumpPercent = draft.Context.Programme.Of(ProfileOptions.OxygenJump);
        private readonly decimal densityFalls = draft.Context.Programme.Of(ProfileOptions.DensityFalls);
        private readonly Length? sounded = draft.Section<Sounded>()?.Read.Body.Depth.Read().Length;
        private bool percentAbove;

        internal List<Finding> Found { get; } = [];

        internal void Order(List<ReadLevel> read, IReadOnlyList<decimal> planned)
        {
            var deepest = read.Count > 0 ? read[0].DepthM : 0;
            for (var i = 1; i < read.Count; i++)
            {
                var level = read[i];
                if (level.DepthM > deepest && !ReadLevel.Same(level.DepthM, deepest))
                {
                    // Deeper than all before, as it should be: nothing to compare.
                    deepest = level.DepthM;
                    continue;
                }

                var (again, above, below) = (false, false, false);
                for (var j = 0; j < i; j++)
                {
                    again |= ReadLevel.Same(read[j].DepthM, level.DepthM);
                    above |= read[j].DepthM < level.DepthM;
                    below |= read[j].DepthM > level.DepthM;
                }

                // Going back up to a level that was asked for, or between two that were read, is no slip.
                var back = level.DepthM < read[i - 1].DepthM && !(above && below) && !planned.Any(p => ReadLevel.Same(p, level.DepthM));
                if (again || back)
                {
                    Add(
                        level,
                        Finding.Check(
                            "profile-level-repeated",
                            $"{draft.Show(level.Depth)} again.",
                            "If a mark was miscounted, all below are shifted.",
                            "Count from the surface."
                        )
                    );
                }
            }

            if (levels.Count == 0)
            {
                return;
            }

            // The levels of today's plan say nothing of years before it.
            List<decimal> missing = draft.Imported
                ? []
                : planned.Where(p => p < levels[^1].DepthM && !levels.Exists(l => ReadLevel.Same(l.DepthM, p))).ToList();
            if (missing.Count > 0)
            {
                var below = levels.First(l => l.DepthM > missing[0]);
                var words =
                    missing.Count > 3
                        ? $"{missing.Count} levels are missing, from {draft.Show(missing[0])} on"
                        : $"{string.Join(", ", missing.Select(draft.Show))} is missing";
                Add(below, Finding.Check("profile-level-missing", $"{words}.", "A mark miscounted?", "Take it on the way up."));
            }
        }

        internal void Level(int i)
        {
            var level = levels[i];
            Temperatures(level);
            Oxygen(level, i);
            Salinity(level);
            Bottom(level, i);
            if (level.Body.Settled == false)
            {
                Add(
                    level,
                    Finding.Check(
                        "not-settled",
                        "Still moving.",
                        "A wandering number is picked by eye.",
                        "Wait until it holds still; keep the probe in motion."
                    )
                );
            }

            // Noise of the meter is no inversion.
            if (
                i > 0
                && level.Density is { } here
                && levels[i - 1].Density is { } above
                && above - here > densityFalls
                && !marked.Contains(level.Entry)
            )
            {
                Add(
                    level,
                    Finding.Check(
                        "density-falls",
                        $"Lighter water under heavier at {draft.Show(level.Depth)}.",
                        "Usually a misread number.",
                        "Read again."
                    )
                );
            }
        }

        private void Temperatures(ReadLevel level)
        {
            if (
                level.Celsius is { } c
                && WaterTemperature.Doubt(draft, c, level.CelsiusAsWritten is not null && level.TemperatureUnit == TemperatureUnit.Celsius)
                    is { } doubt
            )
            {
                Add(level, doubt);
            }
        }

        private void Oxygen(ReadLevel level, int i)
        {
            if (
                level.OxygenShown is not { } shown
                || level.OxygenUnit is not { } unit
                || level.Holds is not { } holds
                || level.Percent is not { } percent
            )
            {
                return;
            }

            if (unit == OxygenUnit.MgPerL && (shown > mostMgL || shown / holds * 100 > mostPercent))
            {
                var tenth = shown / 10;
                var neighbour = levels.Take(i).LastOrDefault(l => l.MgPerL is not null)?.MgPerL
                    ?? levels.Skip(i + 1).FirstOrDefault(l => l.MgPerL < mostMgL)?.MgPerL;
                if (
                    !percentAbove
                    && neighbour is { } near
                    && near < mostMgL
                    && Math.Abs(tenth - near) <= PointNearMgL
                    && !AsPercentFits(shown, holds, near)
                )
                {
                    Add(
                        level,
                        Finding.Check(
                            "oxygen-point-lost",
                            $"{Decimals.Text(shown)}, or {Decimals.Text(tenth)}?",
                            $"The level above reads {Decimals.Fixed(near, 1)} mg/L.",
                            "A point was lost, or another unit. Read it again."
                        )
                    );
                    return;
                }

                var doubt = OxygenRule.Doubt(shown, unit, percent, holds, level.DepthM, mostMgL, mostPercent);
                if (percentAbove && doubt?.Code != "oxygen-as-percent")
                {
                    // Below a column that is in per cent even a small number is.
                    doubt = OxygenRule.AsPercent(shown, holds);
                }

                percentAbove |= doubt?.Code == "oxygen-as-percent";
                if (doubt is not null)
                {
                    Add(level, doubt);
                    return;
                }
            }

            if (OxygenRule.Doubt(shown, unit, percent, holds, level.DepthM, mostMgL, mostPercent) is { } odd)
            {
                Add(level, odd);
            }
            else if (
                i > 0
                && levels[i - 1] is { MgPerL: { } a, Celsius: { } warm }
                && level.MgPerL is { } b
                && a <= mostMgL
                && Math.Abs(a - b) > JumpMgL
                && Math.Abs(a - b) > Math.Max(a, b) * jumpPercent / 100
                && Math.Abs(warm - level.Celsius!.Value) < JumpC
            )
            {
                Add(
                    level,
                    Finding.Check(
                        "oxygen-jump",
                        $"From {Decimals.Fixed(a, 1)} to {Decimals.Fixed(b, 1)} mg/L with hardly a change in temperature.",
                        "Misheard, or another unit?",
                        "Go back up and read again."
                    )
                );
            }
        }

        // 74 below 8.4 mg/L: a meter left on per cent is commoner than a lost point, which must fit clearly better.
        private static bool AsPercentFits(decimal shown, decimal holds, decimal near) =>
            shown is >= 40 and <= 160 && Math.Abs((shown * holds / 100) - near) < Math.Abs((shown / 10) - near) + PointClearlyMgL;

        private void Salinity(ReadLevel level)
        {
            if (level.Salinity is not { } s)
            {
                return;
            }

            if (sea ? s is < 0.5m or > 42 : s >= 0.5m)
            {
                Add(
                    level,
                    Finding.Check(
                        "salinity-unusual",
                        $"{Decimals.Text(s)} is not usual here ({(sea ? "0.5–42" : "0–0.5")}).",
                        "A dirty glass or a wrong zero shifts it; after rain or at another tide it may be right.",
                        "Rinse and zero, repeat."
                    )
                );
            }
            else if (sea && s is < 12 or (> 25 and < 30))
            {
                Add(
                    level,
                    Finding.Note(
                        "salinity-in-gap",
                        $"{Decimals.Text(s)} is brackish, but outside the common 12–25.",
                        "It may be right at this tide.",
                        "Clean the glass, take another drop."
                    )
                );
            }
        }

        private void Bottom(ReadLevel level, int i)
        {
            if (sounded is not { } sounding)
            {
                return;
            }

            var above = i > 0 ? levels[i - 1] : null;
            if (level.DepthM > sounding.Metres + BelowBottomM)
            {
                marked.Add(level.Entry);
                Add(
                    level,
                    Finding.Check(
                        "profile-below-bottom",
                        $"{draft.Show(level.Depth)} is deeper than the sounding {draft.Show(sounding)}.",
                        "Probe in mud, line at a slant, or boat moved.",
                        "Check and lift."
                    )
                );
            }
            else if (
                sounding.Metres - level.DepthM <= MudM
                && (
                    level.Conductivity > above?.Conductivity * 1.2m
                    || (level.MgPerL is { } o && above?.MgPerL is { } over && over > 0.5m && o < over / 2)
                )
            )
            {
                marked.Add(level.Entry);
                Add(
                    level,
                    Finding.Check(
                        "probe-in-mud",
                        "Looks like mud, not water.",
                        "Mud holds no oxygen and much salt.",
                        "Lift half a metre, let it clear. Marked, not removed."
                    )
                );
            }
        }

        private void Add(ReadLevel level, Finding finding) => Found.Add(finding.On(Beside.Profile, level.Entry));
    }
}
