using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Setup.Waters;

/// <summary>What is wrong with a water as it is set up.</summary>
public static class WaterCheck
{
    private const int LeastCorners = 4;
    private const double LongestAcrossM = 500_000;

    /// <summary>Stops keep it from being saved; checks are shown.</summary>
    /// <param name="water">The water.</param>
    /// <param name="others">The other waters of the group.</param>
    /// <param name="zoneKnown">True where the time zone is one that the machine knows.</param>
    public static IReadOnlyList<FieldFinding> Findings(Water water, IReadOnlyList<Water> others, bool zoneKnown)
    {
        ArgumentNullException.ThrowIfNull(water);
        ArgumentNullException.ThrowIfNull(others);
        return [.. Names(water, others, zoneKnown), .. Outline(water), .. Depths(water)];
    }

    private static IEnumerable<FieldFinding> Names(Water water, IReadOnlyList<Water> others, bool zoneKnown)
    {
        if (!Codes.IsCode(water.Code))
        {
            yield return Finding
                .Stop(
                    "code-format",
                    $"“{water.Code}” cannot be a code.",
                    "It stands in addresses and on labels.",
                    "Use small or capital letters, digits and -, at most 40."
                )
                .At("code");
        }

        if (Practice.Reserved(water.Code) is { } reserved)
        {
            yield return reserved;
        }

        if (string.IsNullOrWhiteSpace(water.Name))
        {
            yield return Finding
                .Stop(
                    "name-missing",
                    "The water has no name.",
                    "People look for it by its name.",
                    "Write the name on the map, and other names beside it."
                )
                .At("name");
        }

        if (string.IsNullOrWhiteSpace(water.District))
        {
            yield return Finding
                .Stop(
                    "district-missing",
                    "The water has no district.",
                    "Many waters share a name; a record could go to the wrong one.",
                    "Write the district or county."
                )
                .At("district");
        }

        if (others.FirstOrDefault(o => Same(o.Name, water.Name) && Same(o.District, water.District)) is { } twin)
        {
            yield return Finding
                .Stop(
                    "water-twice",
                    $"{twin.District} has a water called {twin.Name} already.",
                    "Two records would look like one.",
                    "Set up a station on that one, or add what tells them apart to the name."
                )
                .At("name");
        }

        if (!zoneKnown)
        {
            yield return Finding
                .Stop(
                    "time-zone-unknown",
                    $"“{water.TimeZone}” is not a time zone.",
                    "Hours, the sun and the lab’s closing depend on it.",
                    "Write it as Area/City, for example Europe/London."
                )
                .At("timeZone");
        }
    }

    private static IEnumerable<FieldFinding> Outline(Water water)
    {
        var outline = water.Outline ?? [];
        if (outline.SelectMany(r => r).Concat((water.Contours ?? []).SelectMany(c => c.Line)).Any(p => !Shape.InRange(p)))
        {
            yield return Finding
                .Stop(
                    "position-format",
                    "A corner of the outline is not a position.",
                    "Latitude runs to 90, longitude to 180; the two may be swapped.",
                    "In GeoJSON longitude comes first. Correct the file and bring it again."
                )
                .At("outline");
            yield break;
        }

        if (outline.Any(r => r.Count < LeastCorners || r[0] != r[^1]))
        {
            yield return Finding
                .Stop(
                    "outline-open",
                    "A ring of the outline is not closed.",
                    "Inside and outside could not be told apart.",
                    "The last corner of each ring is its first, with at least three between."
                )
                .At("outline");
        }
        else if (outline.Count > 0 && outline[0].Max(p => Shape.DistanceM(outline[0][0], p)) > LongestAcrossM)
        {
            yield return Finding
                .Check(
                    "outline-large",
                    "The outline is over 500 km across.",
                    "Latitude and longitude may be swapped, or the unit may not be degrees.",
                    "Look at the sketch map."
                )
                .At("outline");
        }
    }

    private static IEnumerable<FieldFinding> Depths(Water water)
    {
        foreach (var finding in AreaTable.Findings(water.Hypsography ?? []))
        {
            yield return finding.At("hypsography");
        }

        if ((water.Contours ?? []).Any(c => c.DepthM <= 0))
        {
            yield return Finding
                .Stop(
                    "contour-depth",
                    "A depth contour has no depth.",
                    "It could not be drawn in its place.",
                    "Give each contour its depth in metres, downward positive."
                )
                .At("contours");
        }
    }

    private static bool Same(string a, string b) => string.Equals(a.Trim(), b.Trim(), StringComparison.OrdinalIgnoreCase);
}
