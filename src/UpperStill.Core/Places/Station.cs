using UpperStill.Core.Quantities;

namespace UpperStill.Core.Places;

/// <summary>A place on a water where readings are made again and again.</summary>
/// <param name="Code">Unique in the programme, for example <c>HAR-1</c>.</param>
/// <param name="WaterCode">The code of its water.</param>
/// <param name="Water">The water body's name.</param>
/// <param name="District">The district, since many waters share a name.</param>
/// <param name="Name">The station's own name.</param>
/// <param name="KnownDepth">The depth on file, as it was sounded.</param>
/// <param name="LatitudeDeg">Decimal degrees, north positive.</param>
/// <param name="LongitudeDeg">Decimal degrees, east positive.</param>
public sealed record Station(
    string Code, string WaterCode, string Water, string District, string Name, WrittenLength KnownDepth, double LatitudeDeg, double LongitudeDeg);
