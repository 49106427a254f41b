using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>How a sampler came up.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<CastOutcome>))]
public enum CastOutcome
{
    /// <summary>Closed and full.</summary>
    [JsonStringEnumMemberName("closed")] Closed,

    /// <summary>Open.</summary>
    [JsonStringEnumMemberName("open")] Open,

    /// <summary>Leaking.</summary>
    [JsonStringEnumMemberName("leaking")] Leaking,

    /// <summary>Not full.</summary>
    [JsonStringEnumMemberName("not-full")] NotFull,

    /// <summary>It touched the bottom.</summary>
    [JsonStringEnumMemberName("touched")] Touched,
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
/// <param name="Smell">What it smells of.</param>
/// <param name="Colour">Its colour.</param>
public sealed record CastBody(
    string Place,
    WrittenLength LineOut,
    CastOutcome Outcome,
    string? Sampler = null,
    [property: Within(0, 180, "°")] decimal? AngleDeg = null,
    IReadOnlyList<string>? Ready = null,
    [property: Within(0, 20)] int? Rinses = null,
    [property: Within(0, 3600, "s")] decimal? TripS = null,
    bool? Felt = null,
    bool? Sediment = null,
    string? Smell = null,
    string? Colour = null);

/// <summary>Body of the entry <c>bottle-depth</c>: a planned depth moved by the sampler.</summary>
/// <param name="Place">Which bottle depth of the plan.</param>
/// <param name="Depth">The depth now wanted.</param>
public sealed record BottleDepthBody(string Place, WrittenLength Depth);

/// <summary>Where a bottle was filled from.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FilledFrom>))]
public enum FilledFrom
{
    /// <summary>The sampler's tap.</summary>
    [JsonStringEnumMemberName("sampler")] Sampler,

    /// <summary>The plain bottle of the same water.</summary>
    [JsonStringEnumMemberName("plain-bottle")] PlainBottle,

    /// <summary>The lake, by hand.</summary>
    [JsonStringEnumMemberName("lake")] Lake,

    /// <summary>The composite.</summary>
    [JsonStringEnumMemberName("composite")] Composite,
}

/// <summary>How full a bottle is, beside what its type asks.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FilledTo>))]
public enum FilledTo
{
    /// <summary>As asked.</summary>
    [JsonStringEnumMemberName("as-asked")] AsAsked,

    /// <summary>Less.</summary>
    [JsonStringEnumMemberName("less")] Less,

    /// <summary>More.</summary>
    [JsonStringEnumMemberName("more")] More,
}

/// <summary>Body of the entry <c>fill</c>: a bottle filled.</summary>
/// <param name="Sample">Its number, as on the label.</param>
/// <param name="Type">Its sample type.</param>
/// <param name="From">Where the water came from.</param>
/// <param name="To">How full.</param>
/// <param name="Cast">The cast it came from.</param>
/// <param name="Rinses">How often it was rinsed.</param>
/// <param name="Drops">Drops of preservative.</param>
/// <param name="Preserved">True where what the type asks was added.</param>
/// <param name="Sediment">True where sediment, weed or debris is in it.</param>
/// <param name="Bubbles">True where bubbles stayed in it.</param>
/// <param name="InsideTouched">True where neck or inside of the cap was touched.</param>
/// <param name="Scanned">True where its label was scanned; else it was chosen from the list.</param>
public sealed record FillBody(
    string Sample,
    string Type,
    FilledFrom From,
    FilledTo To,
    Guid? Cast = null,
    [property: Within(0, 20)] int? Rinses = null,
    [property: Within(0, 500)] int? Drops = null,
    bool? Preserved = null,
    bool? Sediment = null,
    bool? Bubbles = null,
    bool? InsideTouched = null,
    bool? Scanned = null);
