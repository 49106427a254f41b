using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Geodesy;

/// <summary>A position on the earth, WGS 84.</summary>
/// <param name="LatitudeDeg">Decimal degrees, north positive, -90 to 90.</param>
/// <param name="LongitudeDeg">Decimal degrees, east positive, -180 to 180.</param>
[method: JsonConstructor]
public readonly record struct Position(
    [property: Within(-90, 90, "°")] double LatitudeDeg,
    [property: Within(-180, 180, "°")] double LongitudeDeg
);
