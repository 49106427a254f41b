using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Setup.Waters;

/// <summary>A station as far as its place goes.</summary>
/// <param name="Code">The station.</param>
/// <param name="At">Where it is.</param>
/// <param name="RadiusM">How near a fix must be to count as there, m.</param>
public sealed record StationAt(string Code, Position At, [property: Within(0, 100000, "m")] decimal RadiusM = Station.UsualRadiusM);

/// <summary>Asks which station lies at a position.</summary>
/// <param name="At">Where the boat is.</param>
/// <param name="Stations">Those that are known.</param>
/// <param name="AccuracyM">How good the position is, m.</param>
public sealed record StationsHereRequest(
    Position At,
    IReadOnlyList<StationAt> Stations,
    [property: Within(0, 1e7, "m")] decimal? AccuracyM = null
);

/// <summary>A station and how far it is.</summary>
/// <param name="Code">The station.</param>
/// <param name="DistanceM">m.</param>
/// <param name="Text">Distance and direction in words.</param>
/// <param name="Here">True within its radius and the accuracy of the position.</param>
public sealed record StationNear(string Code, decimal DistanceM, string Text, bool Here);

/// <summary>The stations by distance.</summary>
/// <param name="Stations">The nearest first.</param>
/// <param name="Finding">Says so where none is here.</param>
public sealed record StationsHereResult(IReadOnlyList<StationNear> Stations, Finding? Finding = null);

/// <summary>Which station is here.</summary>
public static class StationsHere
{
    /// <summary>Orders stations by their distance from a position.</summary>
    public static StationsHereResult Work(StationsHereRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (!Shape.InRange(request.At))
        {
            return new StationsHereResult(
                [],
                Finding.Stop(
                    "position-format",
                    $"{PlaceText.Words(request.At)} is no position.",
                    "Latitude runs to 90, longitude to 180.",
                    "Take a fix again."
                )
            );
        }

        var near = request.Stations.Select(s => Near(request, s)).OrderBy(s => s.DistanceM).ToList();
        return new StationsHereResult(
            near,
            near.Any(s => s.Here)
                ? null
                : Finding.Stop(
                    "station-unknown",
                    near.Count > 0
                        ? $"No station is known here; {near[0].Code} is the nearest, {near[0].Text}."
                        : "No station is known here.",
                    "A reading without a place cannot join a record.",
                    "Choose the station or fill in the new-station form."
                )
        );
    }

    private static StationNear Near(StationsHereRequest request, StationAt station)
    {
        var (east, north) = Shape.OnPlane(request.At, station.At);
        var distance = decimal.Round((decimal)Shape.DistanceM(request.At, station.At), 1);
        var here = distance <= station.RadiusM + (request.AccuracyM ?? 0);
        return new StationNear(
            station.Code,
            distance,
            here ? "here" : $"{PlaceText.Distance(distance)} {PlaceText.Towards((Shape.Degrees(Math.Atan2(east, north)) + 360) % 360)}",
            here
        );
    }
}
