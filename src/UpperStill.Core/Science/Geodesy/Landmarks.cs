using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Geodesy;

/// <summary>Something ashore that is seen from the water and will stand there in ten years.</summary>
/// <param name="Name">What it is, for example <c>chapel tower</c>.</param>
/// <param name="LatitudeDeg">Decimal degrees; null where it is not charted.</param>
/// <param name="LongitudeDeg">Decimal degrees; null where it is not charted.</param>
/// <param name="Photo">A photograph of it as it is seen from the station.</param>
public sealed record Landmark(
    string Name,
    [property: Within(-90, 90, "°")] double? LatitudeDeg = null,
    [property: Within(-180, 180, "°")] double? LongitudeDeg = null,
    Guid? Photo = null
)
{
    /// <summary>Where it stands; null where it is not charted.</summary>
    internal Position? At => LatitudeDeg is { } latitude && LongitudeDeg is { } longitude ? new Position(latitude, longitude) : null;
}

/// <summary>Two landmarks that stand in line when seen from the station.</summary>
/// <param name="Near">The nearer mark.</param>
/// <param name="Far">The farther mark, behind it.</param>
public sealed record Transit(Landmark Near, Landmark Far);

/// <summary>A compass bearing from the station to a landmark.</summary>
/// <param name="Mark">The landmark.</param>
/// <param name="BearingDeg">As read on the compass, 0–360, clockwise from magnetic north.</param>
public sealed record Bearing(Landmark Mark, [property: Within(0, 360, "°")] double BearingDeg);
