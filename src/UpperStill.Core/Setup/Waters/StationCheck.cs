using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Hydraulics;

namespace UpperStill.Core.Setup.Waters;

/// <summary>What is wrong with a station as it is set up.</summary>
public static class StationCheck
{
    private const double NearShoreM = 200;

    /// <summary>Stops keep it from being saved; checks are shown.</summary>
    /// <param name="station">The station.</param>
    /// <param name="water">Its water.</param>
    /// <param name="others">The other stations of the group.</param>
    public static IReadOnlyList<FieldFinding> Findings(Station station, Water water, IReadOnlyList<Station> others)
    {
        ArgumentNullException.ThrowIfNull(station);
        ArgumentNullException.ThrowIfNull(water);
        ArgumentNullException.ThrowIfNull(others);
        return [.. Names(station, others), .. Place(station, water, others), .. Marks(station), .. Table(station)];
    }

    /// <summary>The same numbers read another way, where only that lies inside the outline: swapped, or a sign lost.</summary>
    public static Position? Meant(Position at, IReadOnlyList<IReadOnlyList<Position>>? outline)
    {
        if (outline is not { Count: > 0 } || (Shape.InRange(at) && Shape.Holds(outline, at)))
        {
            return null;
        }

        return ReadOtherwise(at).Where(r => Shape.Holds(outline, r)).Select(r => (Position?)r).FirstOrDefault();
    }

    /// <summary>The same numbers with latitude and longitude swapped, or a sign lost, where they are positions.</summary>
    internal static IEnumerable<Position> ReadOtherwise(Position at) =>
        new Position[]
        {
            new(at.LongitudeDeg, at.LatitudeDeg),
            new(at.LatitudeDeg, -at.LongitudeDeg),
            new(-at.LatitudeDeg, at.LongitudeDeg),
            new(-at.LatitudeDeg, -at.LongitudeDeg),
            new(at.LongitudeDeg, -at.LatitudeDeg),
            new(-at.LongitudeDeg, at.LatitudeDeg),
            new(-at.LongitudeDeg, -at.LatitudeDeg),
        }.Where(Shape.InRange);

    private static IEnumerable<FieldFinding> Table(Station station)
    {
        if (station.StageTable is { } table && !StageTable.Rises(table))
        {
            yield return Finding
                .Stop(
                    "flow-table",
                    "The table of flow does not rise from row to row.",
                    "A stage would have two flows, or none.",
                    "At least two rows, the lowest first, stage and flow rising."
                )
                .At("stageTable");
        }
    }

    private static IEnumerable<FieldFinding> Names(Station station, IReadOnlyList<Station> others)
    {
        if (!Codes.IsCode(station.Code))
        {
            yield return Finding
                .Stop(
                    "code-format",
                    $"“{station.Code}” cannot be a code.",
                    "It stands on labels and in addresses.",
                    "Use letters, digits and -, at most 40, for example HAR-1."
                )
                .At("code");
        }

        if (Practice.Reserved(station.Code) is { } reserved)
        {
            yield return reserved;
        }

        if (others.FirstOrDefault(o => string.Equals(o.Code, station.Code, StringComparison.OrdinalIgnoreCase)) is { } used)
        {
            yield return Finding
                .Stop(
                    "code-used",
                    $"{used.Code} is {used.Name} on {used.Water}.",
                    "Two stations would share one record.",
                    "Choose another code."
                )
                .At("code");
        }

        if (string.IsNullOrWhiteSpace(station.Name))
        {
            yield return Finding
                .Stop(
                    "name-missing",
                    "The station has no name.",
                    "Two stations on one water must be told apart.",
                    "Write what people call it, for example Deep Hole."
                )
                .At("name");
        }

        var (depth, finding) = station.KnownDepth.Read();
        if (depth is null)
        {
            yield return finding!.At("knownDepth");
        }
        else if (depth.Value.Metres <= 0)
        {
            yield return Finding
                .Stop(
                    "depth-none",
                    "The known depth is nothing.",
                    "Soundings are checked against it.",
                    "Sound the station, and write what you read."
                )
                .At("knownDepth");
        }

        if (station.RadiusM is <= 0 or > 1000)
        {
            yield return Finding
                .Stop(
                    "radius-range",
                    $"A radius of {station.RadiusM} m does not tell a place.",
                    "Every fix would pass, or none.",
                    "30 m is usual on lakes."
                )
                .At("radiusM");
        }
    }

    private static IEnumerable<FieldFinding> Place(Station station, Water water, IReadOnlyList<Station> others)
    {
        if (Meant(station.At, water.Outline) is { } meant)
        {
            yield return Finding
                .Stop(
                    "position-format",
                    $"{PlaceText.Words(station.At)} lies outside {water.Name}; {PlaceText.Words(meant)} lies inside.",
                    "Latitude and longitude, or the sign, may be swapped.",
                    "Accept the other reading, or type it again."
                )
                .At("position");
        }
        else if (!Shape.InRange(station.At))
        {
            yield return Finding
                .Stop(
                    "position-format",
                    $"{PlaceText.Words(station.At)} is not a position.",
                    "Latitude runs to 90, longitude to 180.",
                    "Type decimal degrees, latitude first."
                )
                .At("position");
        }
        else if (water.Outline is { Count: > 0 } outline && !Shape.Holds(outline, station.At))
        {
            var ashore = outline.Min(ring => ShoreDistance.ToM(ring, station.At));
            var seen =
                $"{PlaceText.Words(station.At)} lies {ashore.ToString("F0", CultureInfo.InvariantCulture)} m outside the outline of "
                + $"{water.Name}.";
            yield return ashore > NearShoreM
                ? Finding
                    .Stop(
                        "position-outside",
                        seen,
                        "The station would stand on another water, or on land.",
                        "Type it again, or correct the outline."
                    )
                    .At("position")
                : Finding
                    .Check("position-outside", seen, "A pier may stand there; a lake’s station does not.", "Look at the sketch map.")
                    .At("position");
        }

        if (
            others.FirstOrDefault(o => o.WaterCode == station.WaterCode && Shape.DistanceM(o.At, station.At) < (double)station.RadiusM) is
            { } near
        )
        {
            yield return Finding
                .Check(
                    "station-near",
                    $"{near.Code} {near.Name} lies within the radius of this one.",
                    "A fix could not tell them apart; one record may be split in two.",
                    "Use that station, or a smaller radius."
                )
                .At("position");
        }
    }

    private static IEnumerable<FieldFinding> Marks(Station station)
    {
        if (station.Transits is { Count: > 0 } transits)
        {
            var crossing = TransitCrossing.Work(new TransitRequest(transits));
            foreach (var finding in crossing.Findings)
            {
                yield return finding;
            }

            if (crossing.At is { } at && Apart(station, at) is { } apart)
            {
                yield return Finding
                    .Check(
                        "transits-elsewhere",
                        $"The lines cross {apart} from the position.",
                        "One of the two is wrong, and next year somebody will follow it.",
                        "Go there and look along both lines."
                    )
                    .At("transits");
            }
        }

        if (station.Bearings is { Count: > 0 } bearings)
        {
            var resection = Resection.Work(new ResectionRequest(bearings, station.DeclinationDeg, station.RadiusM));
            foreach (var finding in resection.Findings)
            {
                yield return finding;
            }

            if (resection.At is { } at && Apart(station, at) is { } apart)
            {
                yield return Finding
                    .Check(
                        "bearings-elsewhere",
                        $"The bearings meet {apart} from the position.",
                        "One of the two is wrong.",
                        "Take the position from the bearings, or take the bearings again."
                    )
                    .At("bearings");
            }
        }
    }

    private static string? Apart(Station station, Position at)
    {
        var distance = Shape.DistanceM(station.At, at);
        return distance > Math.Max(50, 2 * (double)station.RadiusM) ? distance.ToString("F0", CultureInfo.InvariantCulture) + " m" : null;
    }
}
