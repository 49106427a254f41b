using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>The wind told by what it moves, without an instrument: Beaufort's forces 0 to 6 by their signs on land.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<WindForce>))]
public enum WindForce
{
    /// <summary>Smoke rises straight.</summary>
    [JsonStringEnumMemberName("calm")]
    Calm,

    /// <summary>Smoke drifts.</summary>
    [JsonStringEnumMemberName("light-air")]
    LightAir,

    /// <summary>Felt on the face.</summary>
    [JsonStringEnumMemberName("felt-on-the-face")]
    FeltOnTheFace,

    /// <summary>Leaves move.</summary>
    [JsonStringEnumMemberName("leaves-move")]
    LeavesMove,

    /// <summary>Branches move.</summary>
    [JsonStringEnumMemberName("branches-move")]
    BranchesMove,

    /// <summary>Small trees sway.</summary>
    [JsonStringEnumMemberName("small-trees-sway")]
    SmallTreesSway,

    /// <summary>Large branches sway.</summary>
    [JsonStringEnumMemberName("large-branches-sway")]
    LargeBranchesSway,
}

/// <summary>Rain as somebody remembers it, without a gauge.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<RainFallen>))]
public enum RainFallen
{
    /// <summary>None.</summary>
    [JsonStringEnumMemberName("none")]
    None,

    /// <summary>Some, under 5 mm.</summary>
    [JsonStringEnumMemberName("under-5-mm")]
    Under5,

    /// <summary>5 to 25 mm.</summary>
    [JsonStringEnumMemberName("5-to-25-mm")]
    From5To25,

    /// <summary>More than 25 mm.</summary>
    [JsonStringEnumMemberName("over-25-mm")]
    Over25,
}

/// <summary>The water's face.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<WaveState>))]
public enum WaveState
{
    /// <summary>Flat: 1 of the programme's scale.</summary>
    [JsonStringEnumMemberName("flat")]
    Flat = 1,

    /// <summary>Ripples: 2.</summary>
    [JsonStringEnumMemberName("ripples")]
    Ripples,

    /// <summary>Choppy: 3.</summary>
    [JsonStringEnumMemberName("choppy")]
    Choppy,

    /// <summary>White caps: 4.</summary>
    [JsonStringEnumMemberName("white-caps")]
    WhiteCaps,
}

/// <summary>The classes of the weather: their intervals and their words.</summary>
/// <remarks>Wind: World Meteorological Organization, Manual on Codes (WMO-No. 306), code table 1100, m/s.</remarks>
internal static class WeatherClasses
{
    private static readonly (decimal Least, decimal Most, string Code, string Words)[] Forces =
    [
        (0, 0.2m, "calm", "calm"),
        (0.3m, 1.5m, "light-air", "light air"),
        (1.6m, 3.3m, "felt-on-the-face", "felt on the face"),
        (3.4m, 5.4m, "leaves-move", "leaves move"),
        (5.5m, 7.9m, "branches-move", "branches move"),
        (8.0m, 10.7m, "small-trees-sway", "small trees sway"),
        (10.8m, 13.8m, "large-branches-sway", "large branches sway"),
    ];

    private static readonly (string Code, string Words)[] Waved =
    [
        ("flat", "flat"),
        ("ripples", "ripples"),
        ("choppy", "choppy"),
        ("white-caps", "white caps"),
    ];

    private static readonly (decimal Least, decimal? Most, string Code, string Words)[] Rains =
    [
        (0, 0, "none", "none"),
        (0, 5, "under-5-mm", "under 5 mm"),
        (5, 25, "5-to-25-mm", "5 to 25 mm"),
        (25, null, "over-25-mm", "over 25 mm"),
    ];

    internal static Box Wind { get; } = Box.Names("conditions.wind", "Wind", [.. Forces.Select(f => (f.Code, f.Words))]);

    internal static Box Waves { get; } = Box.Names("conditions.waveState", "Waves", Waved);

    // The number that earlier builds kept in place of each class.
    private static readonly decimal[] WindOnce = [0, 1, 2.5m, 4.5m, 6.5m, 9.5m, 12.5m];
    private static readonly decimal[] RainOnce = [0, 2, 15, 40];

    internal static Told Of(WindForce force)
    {
        var (least, most, _, words) = Forces[(int)force];
        return new Told(least, most, $"{words}, {Decimals.Text(least)} to {Decimals.Text(most)} m/s");
    }

    internal static Told Of(RainFallen rain)
    {
        var (least, most, _, words) = Rains[(int)rain];
        return new Told(least, most, rain == RainFallen.None ? "no rain" : $"rain {words}");
    }

    internal static Box Rain(string code, string label) => Box.Names(code, label, [.. Rains.Select(r => (r.Code, r.Words))]);

    internal static string Words(WaveState waves) => Waved[(int)waves - 1].Words;

    internal static WindForce? WindTouched(decimal? metresPerSecond) => Touched<WindForce>(WindOnce, metresPerSecond);

    internal static RainFallen? RainTouched(decimal? millimetres) => Touched<RainFallen>(RainOnce, millimetres);

    private static T? Touched<T>(decimal[] once, decimal? number)
        where T : struct, Enum => number is { } n && Array.IndexOf(once, n) is >= 0 and var at ? (T)Enum.ToObject(typeof(T), at) : null;
}
