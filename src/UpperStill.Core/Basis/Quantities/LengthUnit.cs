using System.Text.Json.Serialization;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>The units in which lines, finders and tapes are marked.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<LengthUnit>))]
public enum LengthUnit
{
    /// <summary>Metres, decimal.</summary>
    [JsonStringEnumMemberName("m")]
    Metre,

    /// <summary>Centimetres.</summary>
    [JsonStringEnumMemberName("cm")]
    Centimetre,

    /// <summary>Feet with a decimal fraction.</summary>
    [JsonStringEnumMemberName("ft")]
    Foot,

    /// <summary>Feet and inches; the value is held in inches.</summary>
    [JsonStringEnumMemberName("ft-in")]
    FootInch,

    /// <summary>Inches.</summary>
    [JsonStringEnumMemberName("in")]
    Inch,
}
