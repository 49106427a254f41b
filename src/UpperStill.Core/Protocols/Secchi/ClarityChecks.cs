using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>The checks on a clarity at the moment of entry.</summary>
internal static class ClarityChecks
{
    /// <summary>One lowering with both marks: swapped, too far apart, or the same.</summary>
    internal static IEnumerable<Finding> Pair(Lowering lowering, ReadMarks marks)
    {
        if (lowering.At(DiscEvent.Disappeared) is not { } lost || lowering.At(DiscEvent.Reappeared) is not { } seen)
        {
            yield break;
        }

        if (seen.Metres > lost.Metres)
        {
            yield return Finding
                .Stop(
                    "clarity-reappear-deeper",
                    $"Seen again at {marks.Show(seen)}, lost at {marks.Show(lost)}.",
                    "It comes back on the way up, so it cannot be deeper.",
                    "Swap them, or lower again."
                )
                .At(lowering);
        }
        else if (marks.Apart(lost.Metres, seen.Metres))
        {
            yield return Finding
                .Check(
                    "clarity-pair-apart",
                    $"Lost at {marks.Show(lost)}, seen at {marks.Show(seen)}: {marks.Show(lost.Metres - seen.Metres)} apart.",
                    "A drifting boat or a misread mark does that.",
                    "Do the pair again."
                )
                .At(lowering);
        }
        else if (seen.Metres == lost.Metres)
        {
            yield return Finding
                .Note(
                    "clarity-pair-same",
                    $"Both marks at {marks.Show(lost)}.",
                    "Usually it comes back a little higher.",
                    "If it was not lowered well past, do it again."
                )
                .At(lowering);
        }
    }

    /// <summary>The readings beside each other, the bottom, the line and the month's history.</summary>
    internal static IEnumerable<Finding> Whole(
        ClarityRequest request,
        ReadMarks marks,
        List<Lowering> readings,
        Length reported,
        MonthBand? band
    )
    {
        if (readings.Count >= 2)
        {
            foreach (var finding in Between(request, marks, readings))
            {
                yield return finding;
            }
        }

        if (marks.Sounding is { } sounding && Bottom(marks, readings, reported, sounding) is { } bottom)
        {
            yield return bottom with
            {
                Beside = Beside.Clarity,
                About = [.. readings.SelectMany(r => r.Entries)],
            };
        }

        if (band is not null && MonthComparison.Unusual(request, marks, reported, band) is { } unusual)
        {
            yield return unusual with
            {
                About = [.. readings.SelectMany(r => r.Entries)],
            };
        }
    }

    private static IEnumerable<Finding> Between(ClarityRequest request, ReadMarks marks, List<Lowering> readings)
    {
        var (first, second) = (readings[0], readings[1]);
        var (a, b) = (first.DepthM!.Value, second.DepthM!.Value);
        var about = new[] { first, second };
        if (request.Settings.Observers == ObserverMethod.Swap)
        {
            if (first.By is { } one && second.By is { } other && new KnownPeople(request.People).Same(one, other))
            {
                yield return Finding
                    .Check(
                        "clarity-same-observer",
                        $"Both readings are {first.Observer}’s.",
                        "The swap shows the difference between eyes.",
                        "Let the other read."
                    )
                    .At(about);
            }

            if (Math.Abs(a - b) > (a + b) / 2 * marks.Limits.ObserversDifferPercent / 100 && marks.BeyondAMark(a, b))
            {
                yield return Finding
                    .Check(
                        "clarity-observers-differ",
                        $"{first.Observer ?? "The first"} reads {marks.Show(a)}, {second.Observer ?? "the second"} reads {marks.Show(b)}.",
                        "Marks or shade may differ between the two sides.",
                        "Check marks and shade, then each once more. Both are kept."
                    )
                    .At(about);
            }
        }
        else if (readings.Count == 2 && marks.Apart(a, b))
        {
            yield return Finding
                .Check(
                    "clarity-readings-apart",
                    $"{marks.Show(a)} and {marks.Show(b)}: {marks.Show(Math.Abs(a - b))} apart.",
                    "One of the two is off, and their mean hides which.",
                    "Take a third; then the median of the three stands."
                )
                .At(about);
        }
    }

    private static Finding? Bottom(ReadMarks marks, List<Lowering> readings, Length reported, Length sounding)
    {
        // Judged on the unrounded depth, so that rounding alone can never put the disc below the bottom.
        var depth = readings.Max(r => r.DepthM!.Value);
        if (depth > sounding.Metres + marks.Limits.BottomToleranceM)
        {
            return Finding.Stop(
                "clarity-below-bottom",
                $"{marks.Show(depth)} is deeper than the water ({marks.Show(sounding)}).",
                "One of the two is misread.",
                "Check marks and sounding."
            );
        }

        return depth >= sounding.Metres - marks.Limits.BottomToleranceM
            ? Finding.Check(
                "clarity-at-bottom",
                $"{marks.Show(reported)} is the bottom.",
                $"If the disc was still in sight there, it counts as “deeper than {marks.Show(sounding)}”.",
                "Was it in sight when it lay there? Then choose “on the bottom”."
            )
            : null;
    }

    private static Finding At(this Finding finding, params Lowering[] lowerings) =>
        finding with
        {
            Beside = Beside.Clarity,
            About = [.. lowerings.SelectMany(l => l.Entries)],
        };
}
