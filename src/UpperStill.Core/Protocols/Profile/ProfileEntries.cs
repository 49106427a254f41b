using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Oxygen;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>Body of the entry <c>level</c>: what the meter showed at one depth.</summary>
/// <param name="Depth">Depth as read on the display or the cable.</param>
/// <param name="Temperature">Water temperature.</param>
/// <param name="Oxygen">Dissolved oxygen.</param>
/// <param name="Conductivity">Specific conductance at 25 °C, µS/cm, as typed.</param>
/// <param name="Ph">pH, as typed.</param>
/// <param name="Salinity">Practical salinity, as typed.</param>
/// <param name="Settled">True where it held still, false where it was taken moving; null where that was not asked.</param>
/// <param name="From">Where it came from, if it was not typed.</param>
/// <param name="Cast">The entry of the logged cast that it was made from; it falls with it.</param>
/// <param name="Rows">How many rows of that cast it is the median of.</param>
public sealed record LevelBody(
    WrittenLength Depth,
    WrittenTemperature? Temperature = null,
    WrittenOxygen? Oxygen = null,
    string? Conductivity = null,
    string? Ph = null,
    string? Salinity = null,
    bool? Settled = null,
    LevelSource? From = null,
    Guid? Cast = null,
    [property: Within(0, 1e7)] int? Rows = null
);

/// <summary>Where a level came from, if it was not typed.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<LevelSource>))]
public enum LevelSource
{
    /// <summary>A sonde, live.</summary>
    [JsonStringEnumMemberName("sonde")]
    Sonde,

    /// <summary>The stand-in sonde, live.</summary>
    [JsonStringEnumMemberName("simulated")]
    Simulated,

    /// <summary>A logged cast.</summary>
    [JsonStringEnumMemberName("logged")]
    Logged,
}

/// <summary>Body of the entry <c>logged-cast</c>: a file of a meter's memory from which levels were made. The file itself is kept beside
/// the log.</summary>
/// <param name="File">Its name.</param>
/// <param name="Sha256">The SHA-256 of its bytes, in lower-case hexadecimal.</param>
/// <param name="Bytes">Its length.</param>
/// <param name="Rows">Rows of numbers in it.</param>
/// <param name="Used">Rows of the way down.</param>
/// <param name="WayUp">True where the way up was taken for want of a way down.</param>
/// <param name="Columns">Which column was taken for what, such as <c>depth</c> and its header.</param>
public sealed record LoggedCastBody(
    string File,
    string Sha256,
    [property: Within(0, 1e10, "bytes")] long Bytes,
    [property: Within(0, 1e7)] int Rows,
    [property: Within(0, 1e7)] int Used,
    bool WayUp,
    IReadOnlyDictionary<string, string> Columns
);

/// <summary>What of a level is read anew in another unit.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<RereadAs>))]
public enum RereadAs
{
    /// <summary>Oxygen as per cent of saturation.</summary>
    [JsonStringEnumMemberName("oxygen-percent")]
    OxygenPercent,

    /// <summary>Oxygen as mg/L.</summary>
    [JsonStringEnumMemberName("oxygen-mgl")]
    OxygenMgPerL,

    /// <summary>Temperature as °F.</summary>
    [JsonStringEnumMemberName("fahrenheit")]
    Fahrenheit,

    /// <summary>Temperature as °C.</summary>
    [JsonStringEnumMemberName("celsius")]
    Celsius,

    /// <summary>Oxygen a tenth of what is written: the point was lost.</summary>
    [JsonStringEnumMemberName("oxygen-tenth")]
    OxygenTenth,
}

/// <summary>Body of the entry <c>reread</c>: levels whose numbers are read in another unit; what was written stays.</summary>
/// <param name="Levels">The entries of the levels.</param>
/// <param name="As">How they are read.</param>
public sealed record RereadBody(IReadOnlyList<Guid> Levels, RereadAs As);

/// <summary>Body of the entry <c>meter-check</c>: calibration, the display and the depth sensor; an entry carries only what was
/// done.</summary>
/// <param name="Meter">The meter's code.</param>
/// <param name="AtEnd">True for the check after the cast.</param>
/// <param name="Expected">What it should read.</param>
/// <param name="Read">What it read before it was set.</param>
/// <param name="PressureKpa">Air pressure, kPa.</param>
/// <param name="FromWeatherReport">True where that pressure was brought to the sea.</param>
/// <param name="Display">What the display shows now.</param>
/// <param name="AtSurface">What the depth sensor showed at the surface.</param>
public sealed record MeterCheckBody(
    string Meter,
    bool AtEnd = false,
    WrittenOxygen? Expected = null,
    WrittenOxygen? Read = null,
    [property: Within(30, 120, "kPa")] decimal? PressureKpa = null,
    bool? FromWeatherReport = null,
    OxygenUnit? Display = null,
    WrittenLength? AtSurface = null
);
