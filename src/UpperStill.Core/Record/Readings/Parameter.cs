using System.Text.Json;
using System.Text.Json.Serialization;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Readings;

/// <summary>What a series of the record is of, by its code.</summary>
/// <param name="Code">Small letters, digits and -, at most 40, for example <c>bottom-oxygen</c>; a code that was published is never given
/// another meaning.</param>
[JsonConverter(typeof(ParameterConverter))]
public readonly record struct Parameter(string Code)
{
    /// <summary>Clarity (Secchi depth), m.</summary>
    public static readonly Parameter Clarity = new("clarity");

    /// <summary>Chlorophyll a, µg/L.</summary>
    public static readonly Parameter Chlorophyll = new("chlorophyll");

    /// <summary>Total phosphorus, µg/L as P.</summary>
    public static readonly Parameter Phosphorus = new("phosphorus");

    /// <summary>Dissolved oxygen at the deepest level, mg/L.</summary>
    public static readonly Parameter BottomOxygen = new("bottom-oxygen");

    /// <summary>Temperature at the shallowest level, °C.</summary>
    public static readonly Parameter SurfaceTemperature = new("surface-temperature");

    /// <summary>Depth of the thermocline by density, m.</summary>
    public static readonly Parameter Thermocline = new("thermocline");

    /// <summary>Schmidt stability, J/m².</summary>
    public static readonly Parameter Stability = new("stability");

    /// <summary>Any number, such as a pasted table's.</summary>
    public static readonly Parameter Value = new("value");

    /// <summary>A parameter as it was kept; earlier builds wrote <c>BottomOxygen</c>.</summary>
    public static Parameter Kept(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return new(
            string.Concat(
                text.Select(
                    (c, i) => char.IsAsciiLetterUpper(c) ? $"{(i > 0 ? "-" : string.Empty)}{char.ToLowerInvariant(c)}" : c.ToString()
                )
            )
        );
    }

    /// <summary>The code.</summary>
    public override string ToString() => Code;
}

/// <summary>Reads and writes a parameter as its code.</summary>
public sealed class ParameterConverter : JsonConverter<Parameter>
{
    /// <inheritdoc/>
    public override Parameter Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.TokenType == JsonTokenType.String && reader.GetString() is { } code && Protocol.IsCode(code)
            ? new Parameter(code)
            : throw new JsonException("A parameter is named by its code.");

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, Parameter value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.Code);
}
