using System.Text.Json;
using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>What a visit may take along, by its code: a part of the visit, or a protocol that describes itself.</summary>
/// <param name="Code">Small letters, digits and -, at most 40, for example <c>clarity</c>; a code that was published is never given another
/// meaning.</param>
[JsonConverter(typeof(ProtocolConverter))]
public readonly record struct Protocol(string Code) : IComparable<Protocol>
{
    /// <summary>A Secchi reading.</summary>
    public static readonly Protocol Clarity = new("clarity");

    /// <summary>Chlorophyll from a composite.</summary>
    public static readonly Protocol Chlorophyll = new("chlorophyll");

    /// <summary>Phosphorus.</summary>
    public static readonly Protocol Phosphorus = new("phosphorus");

    /// <summary>Temperature and oxygen by depth.</summary>
    public static readonly Protocol Profile = new("profile");

    /// <summary>A bottle of sea water for carbonate work.</summary>
    public static readonly Protocol Seawater = new("seawater");

    private static readonly string[] First = ["clarity", "chlorophyll", "phosphorus", "profile", "seawater"];

    /// <summary>True where a text can be a code.</summary>
    public static bool IsCode(string? code) => Codes.IsName(code);

    /// <summary>The oldest as they were always named, then by code.</summary>
    public int CompareTo(Protocol other)
    {
        var (own, others) = (Array.IndexOf(First, Code), Array.IndexOf(First, other.Code));
        return own >= 0 && others >= 0 ? own.CompareTo(others)
            : own >= 0 ? -1
            : others >= 0 ? 1
            : string.CompareOrdinal(Code, other.Code);
    }

    /// <summary>By the order of <see cref="CompareTo"/>.</summary>
    public static bool operator <(Protocol left, Protocol right) => left.CompareTo(right) < 0;

    /// <summary>By the order of <see cref="CompareTo"/>.</summary>
    public static bool operator <=(Protocol left, Protocol right) => left.CompareTo(right) <= 0;

    /// <summary>By the order of <see cref="CompareTo"/>.</summary>
    public static bool operator >(Protocol left, Protocol right) => left.CompareTo(right) > 0;

    /// <summary>By the order of <see cref="CompareTo"/>.</summary>
    public static bool operator >=(Protocol left, Protocol right) => left.CompareTo(right) >= 0;

    /// <summary>The code.</summary>
    public override string ToString() => Code;
}

/// <summary>Reads and writes a protocol as its code.</summary>
public sealed class ProtocolConverter : JsonConverter<Protocol>
{
    /// <inheritdoc/>
    public override Protocol Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.TokenType == JsonTokenType.String && reader.GetString() is { } code && Protocol.IsCode(code)
            ? new Protocol(code)
            : throw new JsonException("A protocol is named by its code.");

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, Protocol value, JsonSerializerOptions options) => writer.WriteStringValue(value.Code);
}
