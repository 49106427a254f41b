using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>Where a position came from.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FixSource>))]
public enum FixSource
{
    /// <summary>The device's own receiver.</summary>
    [JsonStringEnumMemberName("device")]
    Device,

    /// <summary>A receiver on the boat.</summary>
    [JsonStringEnumMemberName("receiver")]
    Receiver,

    /// <summary>The stand-in receiver.</summary>
    [JsonStringEnumMemberName("simulated")]
    Simulated,

    /// <summary>Typed.</summary>
    [JsonStringEnumMemberName("typed")]
    Typed,
}

/// <summary>Body of the entry <c>fix</c>: where the boat is. The first of a visit is where it anchored; later ones show drift.</summary>
/// <param name="LatitudeDeg">Decimal degrees, north positive, WGS 84.</param>
/// <param name="LongitudeDeg">Decimal degrees, east positive.</param>
/// <param name="Source">Where it came from.</param>
/// <param name="AccuracyM">As the receiver says, m.</param>
public sealed record FixBody(
    [property: Within(-90, 90, "°")] double LatitudeDeg,
    [property: Within(-180, 180, "°")] double LongitudeDeg,
    FixSource Source,
    [property: Within(0, 1e7, "m")] decimal? AccuracyM = null
);

/// <summary>Body of the entry <c>landmarks</c>: whether a transit is in line.</summary>
/// <param name="Transit">Which of the station's transits, from 0.</param>
/// <param name="InLine">True where near and far mark stand in line.</param>
public sealed record LandmarksBody([property: Within(0, 99)] int Transit, bool InLine);

/// <summary>What the surface looks like.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<WaterSurface>))]
public enum WaterSurface
{
    /// <summary>Clear.</summary>
    [JsonStringEnumMemberName("clear")]
    Clear,

    /// <summary>Scum.</summary>
    [JsonStringEnumMemberName("scum")]
    Scum,

    /// <summary>Foam.</summary>
    [JsonStringEnumMemberName("foam")]
    Foam,

    /// <summary>Pollen.</summary>
    [JsonStringEnumMemberName("pollen")]
    Pollen,

    /// <summary>Debris.</summary>
    [JsonStringEnumMemberName("debris")]
    Debris,
}

/// <summary>
/// Body of the entry <c>conditions</c>: the head of the sheet. Each box may be written by itself; an entry carries only what was
/// answered with it.
/// </summary>
/// <param name="People">How many are aboard.</param>
/// <param name="Anchored">True once the anchor holds.</param>
/// <param name="Air">Air temperature, read before the thermometer is wet.</param>
/// <param name="CloudEighths">Cloud, 0–8.</param>
/// <param name="WindMs">Mean wind by an anemometer, m/s. In version 1 also the middle of a class.</param>
/// <param name="WindFrom">Where it comes from, for example <c>SW</c>.</param>
/// <param name="Waves">By number: 1 flat, 2 ripples, 3 choppy, 4 white caps.</param>
/// <param name="Rain24Mm">Rain of the last 24 h by a gauge, mm. In version 1 also a number for a class.</param>
/// <param name="Rain72Mm">Rain of the last 72 h by a gauge, mm. In version 1 also a number for a class.</param>
/// <param name="Surface">The surface of the water.</param>
public sealed record ConditionsBody(
    [property: Within(1, 100)] int? People = null,
    bool? Anchored = null,
    WrittenTemperature? Air = null,
    [property: Within(0, 8, "eighths")] int? CloudEighths = null,
    [property: Within(0, 80, "m/s")] decimal? WindMs = null,
    string? WindFrom = null,
    [property: Within(1, 4)] int? Waves = null,
    [property: Within(0, 1500, "mm")] decimal? Rain24Mm = null,
    [property: Within(0, 3000, "mm")] decimal? Rain72Mm = null,
    WaterSurface? Surface = null
)
{
    /// <summary>What it smells of; <c>none</c> where of nothing.</summary>
    public string? Smell { get; init; }

    /// <summary>Level of the water on the staff, as read.</summary>
    public WrittenLength? Stage { get; init; }

    /// <summary>True where one sees less than a kilometre.</summary>
    public bool? Fog { get; init; }

    /// <summary>True where it was heard in the last half hour.</summary>
    public bool? Thunder { get; init; }

    /// <summary>Birds, boats, weeds, anything else.</summary>
    public string? Remark { get; init; }

    /// <summary>Water at the surface by thermometer: in a cup from one foot down, or in a container just filled; in shade.</summary>
    public WrittenTemperature? Water { get; init; }

    /// <summary>True where the thermometer held still for a minute.</summary>
    public bool? WaterSteady { get; init; }

    /// <summary>The same by a second thermometer beside the first.</summary>
    public WrittenTemperature? WaterSecond { get; init; }

    /// <summary>The wind by what it moves.</summary>
    public WindForce? Wind { get; init; }

    /// <summary>The waves, by name.</summary>
    public WaveState? WaveState { get; init; }

    /// <summary>Rain of the last 24 h, as remembered.</summary>
    public RainFallen? Rain24 { get; init; }

    /// <summary>Rain of the last 72 h, as remembered.</summary>
    public RainFallen? Rain72 { get; init; }

    /// <summary>The wind, as a class or as measured; null where nobody told it.</summary>
    internal Told? WindTold =>
        WindMs is { } measured ? new Told(measured, measured, $"{Decimals.Text(measured)} m/s")
        : Wind is { } force ? WeatherClasses.Of(force)
        : null;

    /// <summary>The waves, by name or by their number on the scale; null where nobody told them or the scale has no such number.</summary>
    internal WaveState? WavesTold => WaveState ?? (Waves is >= 1 and <= 4 ? (WaveState)Waves.Value : null);

    /// <summary>The rain of the last 24 h, as a class or as measured.</summary>
    internal Told? Rain24Told => Rained(Rain24Mm, Rain24);

    /// <summary>The rain of the last 72 h, as a class or as measured.</summary>
    internal Told? Rain72Told => Rained(Rain72Mm, Rain72);

    // The interface of version 1 kept a number for each class; no instrument could be written with it.
    internal ConditionsBody OfVersion(int version)
    {
        if (version > 1)
        {
            return this;
        }

        var (wind, rain24, rain72) = (
            WeatherClasses.WindTouched(WindMs),
            WeatherClasses.RainTouched(Rain24Mm),
            WeatherClasses.RainTouched(Rain72Mm)
        );
        return this with
        {
            Wind = wind ?? Wind,
            WindMs = wind is null ? WindMs : null,
            Rain24 = rain24 ?? Rain24,
            Rain24Mm = rain24 is null ? Rain24Mm : null,
            Rain72 = rain72 ?? Rain72,
            Rain72Mm = rain72 is null ? Rain72Mm : null,
        };
    }

    private static Told? Rained(decimal? gauge, RainFallen? remembered) =>
        gauge is { } mm ? new Told(mm, mm, $"rain {Decimals.Text(mm)} mm")
        : remembered is { } rain ? WeatherClasses.Of(rain)
        : null;
}
