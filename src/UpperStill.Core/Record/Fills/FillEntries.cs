using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Fills;

/// <summary>Where a bottle was filled from.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FilledFrom>))]
public enum FilledFrom
{
    /// <summary>The sampler's tap.</summary>
    [JsonStringEnumMemberName("sampler")]
    Sampler,

    /// <summary>The plain bottle of the same water.</summary>
    [JsonStringEnumMemberName("plain-bottle")]
    PlainBottle,

    /// <summary>The lake, by hand.</summary>
    [JsonStringEnumMemberName("lake")]
    Lake,

    /// <summary>The composite.</summary>
    [JsonStringEnumMemberName("composite")]
    Composite,

    /// <summary>The cup of a net.</summary>
    [JsonStringEnumMemberName("net")]
    Net,
}

/// <summary>How full a bottle is, beside what its type asks.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FilledTo>))]
public enum FilledTo
{
    /// <summary>As asked.</summary>
    [JsonStringEnumMemberName("as-asked")]
    AsAsked,

    /// <summary>Less.</summary>
    [JsonStringEnumMemberName("less")]
    Less,

    /// <summary>More.</summary>
    [JsonStringEnumMemberName("more")]
    More,
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
    bool? Bubbles = null
)
{
    /// <summary>True where neck or inside of the cap was touched.</summary>
    public bool? InsideTouched { get; init; }

    /// <summary>True where its label was scanned; else it was chosen from the list.</summary>
    public bool? Scanned { get; init; }
}
