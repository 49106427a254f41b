using System.Text.Json.Serialization;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Setup.Waters;

/// <summary>What sort of water it is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<WaterKind>))]
public enum WaterKind
{
    /// <summary>A lake or tarn.</summary>
    [JsonStringEnumMemberName("lake")]
    Lake,

    /// <summary>A reservoir, whose level is drawn down.</summary>
    [JsonStringEnumMemberName("reservoir")]
    Reservoir,

    /// <summary>A pond.</summary>
    [JsonStringEnumMemberName("pond")]
    Pond,

    /// <summary>A river or stream.</summary>
    [JsonStringEnumMemberName("river")]
    River,

    /// <summary>The sea, an inlet or an estuary, with a tide.</summary>
    [JsonStringEnumMemberName("sea")]
    Sea,
}

/// <summary>A line of equal depth.</summary>
/// <param name="DepthM">m below the usual surface.</param>
/// <param name="Line">Its course; closed where the first point is the last.</param>
public sealed record DepthContour(decimal DepthM, IReadOnlyList<Position> Line);

/// <summary>A body of water.</summary>
/// <param name="Code">Identity in the group, for example <c>harrowmere</c>.</param>
/// <param name="Name">The name people use.</param>
/// <param name="District">The district or county, since many waters share a name.</param>
/// <param name="Kind">What sort of water.</param>
/// <param name="TimeZone">IANA name of its time zone, for example <c>Europe/London</c>.</param>
/// <param name="AltitudeM">Height of its surface above sea level, m.</param>
/// <param name="OtherNames">Names it also goes by.</param>
/// <param name="Outline">Its shore as closed rings: the first the outer shore, the others islands.</param>
/// <param name="Contours">Lines of equal depth.</param>
/// <param name="Hypsography">Area by depth, from the surface down.</param>
public sealed record Water(
    string Code,
    string Name,
    string District,
    WaterKind Kind,
    string TimeZone,
    decimal AltitudeM = 0,
    IReadOnlyList<string>? OtherNames = null,
    IReadOnlyList<IReadOnlyList<Position>>? Outline = null,
    IReadOnlyList<DepthContour>? Contours = null,
    IReadOnlyList<AreaAtDepth>? Hypsography = null
);
