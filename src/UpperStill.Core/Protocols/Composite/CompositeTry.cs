using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Composite;

/// <summary>How full the sampler's bottle came up, by eye.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<CameUp>))]
public enum CameUp
{
    /// <summary>Empty.</summary>
    [JsonStringEnumMemberName("empty")]
    Empty,

    /// <summary>About a quarter.</summary>
    [JsonStringEnumMemberName("a-quarter")]
    AQuarter,

    /// <summary>Under half.</summary>
    [JsonStringEnumMemberName("under-half")]
    UnderHalf,

    /// <summary>About half: it may be less.</summary>
    [JsonStringEnumMemberName("half")]
    Half,

    /// <summary>Over half.</summary>
    [JsonStringEnumMemberName("over-half")]
    OverHalf,

    /// <summary>Three quarters and more.</summary>
    [JsonStringEnumMemberName("three-quarters")]
    ThreeQuarters,

    /// <summary>Nearly full.</summary>
    [JsonStringEnumMemberName("nearly-full")]
    NearlyFull,

    /// <summary>Full.</summary>
    [JsonStringEnumMemberName("full")]
    Full,
}

/// <summary>Body of the entry <c>composite-try</c>: one lowering of the composite sampler. How full it came up stands once: as read from
/// its marks, or by eye.</summary>
/// <param name="Depth">The mark to which it went.</param>
/// <param name="FillPercent">How full it came up by the bottle's own marks, 0–100 %. In version 1 also the middle of a class.</param>
/// <param name="RaiseS">Seconds that the rise took; null where it was not timed.</param>
/// <param name="BeforeSurface">True where it was full before it reached the surface.</param>
/// <param name="LineEnd">True where the line ended before the target.</param>
/// <param name="Fill">How full it came up, by eye.</param>
public sealed record CompositeTryBody(
    WrittenLength Depth,
    [property: Within(0, 100, "%")] int? FillPercent = null,
    [property: Within(0, 3600, "s")] decimal? RaiseS = null,
    bool? BeforeSurface = null,
    bool? LineEnd = null,
    CameUp? Fill = null
)
{
    // The number that version 1 kept in place of each class.
    private static readonly int[] Once = [0, 25, 40, 50, 60, 75, 90, 100];

    /// <summary>How full, %; null where it is not said.</summary>
    internal Told? Filled =>
        FillPercent is { } read
            ? new Told(read, read, read >= 100 ? "full" : $"{read} % full")
            : Fill switch
            {
                CameUp.Empty => new Told(0, 0, "empty"),
                CameUp.AQuarter => new Told(10, 40, "about a quarter full"),
                CameUp.UnderHalf => new Told(30, 50, "under half full"),
                CameUp.Half => new Told(45, 55, "about half full"),
                CameUp.OverHalf => new Told(50, 75, "over half full"),
                CameUp.ThreeQuarters => new Told(75, 90, "three quarters full"),
                CameUp.NearlyFull => new Told(85, 99, "nearly full"),
                CameUp.Full => new Told(100, 100, "full"),
                _ => null,
            };

    internal CompositeTryBody OfVersion(int version) =>
        version == 1 && FillPercent is { } number && Array.IndexOf(Once, number) is >= 0 and var at
            ? this with
            {
                FillPercent = null,
                Fill = (CameUp)at,
            }
            : this;
}
