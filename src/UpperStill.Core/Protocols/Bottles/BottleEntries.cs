using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>How a sampler came up.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<CastOutcome>))]
public enum CastOutcome
{
    /// <summary>Closed and full.</summary>
    [JsonStringEnumMemberName("closed")]
    Closed,

    /// <summary>Open.</summary>
    [JsonStringEnumMemberName("open")]
    Open,

    /// <summary>Leaking.</summary>
    [JsonStringEnumMemberName("leaking")]
    Leaking,

    /// <summary>Not full.</summary>
    [JsonStringEnumMemberName("not-full")]
    NotFull,

    /// <summary>It touched the bottom.</summary>
    [JsonStringEnumMemberName("touched")]
    Touched,
}

/// <summary>Body of the entry <c>cast</c>: one lowering of a bottle sampler.</summary>
/// <param name="Place">Which bottle depth of the plan: <c>surface</c>, <c>deep</c>, <c>layer-1</c>, <c>composite</c>.</param>
/// <param name="LineOut">The mark at the water's surface.</param>
/// <param name="Outcome">How it came up.</param>
/// <param name="Sampler">The sampler's code.</param>
/// <param name="AngleDeg">Lean of the line from the vertical, degrees.</param>
/// <param name="Ready">What was looked at before.</param>
/// <param name="Rinses">Rinses at the depth.</param>
/// <param name="TripS">Seconds from letting the messenger go to feeling it; null where it was not timed.</param>
/// <param name="Felt">Whether the trip was felt.</param>
/// <param name="Sediment">True where sediment, weed or debris is seen.</param>
public sealed record CastBody(
    SamplePlace Place,
    WrittenLength LineOut,
    CastOutcome Outcome,
    string? Sampler = null,
    [property: Within(0, 180, "°")] decimal? AngleDeg = null,
    IReadOnlyList<string>? Ready = null,
    [property: Within(0, 20)] int? Rinses = null,
    [property: Within(0, 3600, "s")] decimal? TripS = null,
    bool? Felt = null,
    bool? Sediment = null
)
{
    /// <summary>What it smells of.</summary>
    public string? Smell { get; init; }

    /// <summary>Its colour.</summary>
    public string? Colour { get; init; }
}

/// <summary>Body of the entry <c>bottle-depth</c>: a planned depth moved by the sampler.</summary>
/// <param name="Place">Which bottle depth of the plan.</param>
/// <param name="Depth">The depth now wanted.</param>
public sealed record BottleDepthBody(SamplePlace Place, WrittenLength Depth);
