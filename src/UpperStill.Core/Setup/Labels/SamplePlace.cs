using System.Text.Json;
using System.Text.Json.Serialization;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Labels;

/// <summary>Where in the water a sample is taken, by its code: a place of the plan, the protocol that takes it in its own way, or the depth
/// that an old table gave.</summary>
/// <param name="Code">As it is kept: <c>composite</c>, <c>surface</c>, <c>deep</c>, <c>layer-1</c> to <c>layer-3</c>, <c>other</c>.</param>
[JsonConverter(typeof(SamplePlaceConverter))]
public readonly record struct SamplePlace(string Code)
{
    /// <summary>From the surface through the lit layer.</summary>
    public static readonly SamplePlace Composite = new("composite");

    /// <summary>By hand, just under the surface, or as the method has it.</summary>
    public static readonly SamplePlace Surface = new("surface");

    /// <summary>Above the bottom.</summary>
    public static readonly SamplePlace Deep = new("deep");

    /// <summary>Beside the plan.</summary>
    public static readonly SamplePlace Other = new("other");

    /// <summary>The upper layer.</summary>
    public static readonly SamplePlace Upper = new("layer-1");

    /// <summary>At the thermocline.</summary>
    public static readonly SamplePlace AtThermocline = new("layer-2");

    /// <summary>The lower layer.</summary>
    public static readonly SamplePlace Lower = new("layer-3");

    /// <summary>Where a sampler is closed.</summary>
    public static IReadOnlyList<SamplePlace> Closed { get; } = [Surface, Deep, Upper, AtThermocline, Lower];

    /// <summary>The places from which a plan fills.</summary>
    /// <param name="from">From where.</param>
    /// <param name="protocol">Whose plan it is.</param>
    public static IReadOnlyList<SamplePlace> Of(SampleFrom from, Protocol protocol) =>
        from switch
        {
            SampleFrom.Composite => [Composite],
            SampleFrom.Surface => [Surface],
            SampleFrom.Protocol => [new SamplePlace(protocol.Code)],
            SampleFrom.Deep => [Deep],
            _ => [Upper, AtThermocline, Lower],
        };

    private static readonly Dictionary<string, (string Title, string Words)> Names = new(StringComparer.Ordinal)
    {
        [Composite.Code] = ("Composite", "composite"),
        [Surface.Code] = ("Surface water", "surface"),
        [Deep.Code] = ("Deep bottle", "deep"),
        [Upper.Code] = ("Upper layer", "upper layer"),
        [AtThermocline.Code] = ("Thermocline", "at the thermocline"),
        [Lower.Code] = ("Lower layer", "lower layer"),
    };

    /// <summary>As a heading; empty for what is no place of a plan.</summary>
    public string Title => Names.GetValueOrDefault(Code).Title ?? string.Empty;

    /// <summary>True where the label is left room for the depth, which is known once it is taken.</summary>
    public bool DepthOpen => this != Surface;

    /// <summary>What a label says of it before it is taken; the depth is written after it.</summary>
    public string Before =>
        this == Composite ? $"{Words} 0 to"
        : this == Deep ? $"{Words}, at"
        : Words;

    /// <summary>The same once its depth is known, or is known not to be written.</summary>
    /// <param name="depth">The depth for the reader; null where none is written.</param>
    public string At(string? depth) =>
        depth is null ? Words
        : this == Composite ? $"0 to {depth}, {Words}"
        : this == Deep ? $"{Words}, {depth}"
        : $"{Words} {depth}";

    /// <summary>The code.</summary>
    public override string ToString() => Code;

    private string Words => Names.GetValueOrDefault(Code).Words ?? string.Empty;
}

/// <summary>Reads and writes a place as its code.</summary>
public sealed class SamplePlaceConverter : JsonConverter<SamplePlace>
{
    /// <inheritdoc/>
    public override SamplePlace Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.TokenType == JsonTokenType.String && reader.GetString() is { } code
            ? new SamplePlace(code)
            : throw new JsonException("A place of a sample is named by its code.");

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, SamplePlace value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.Code);
}
