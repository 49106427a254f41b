using System.Text.Json.Serialization;

namespace UpperStill.Core.Record.Readings;

/// <summary>Which way a parameter is the better one.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<BetterWhen>))]
public enum BetterWhen
{
    /// <summary>Neither.</summary>
    [JsonStringEnumMemberName("neither")]
    Neither,

    /// <summary>Higher.</summary>
    [JsonStringEnumMemberName("higher")]
    Higher,

    /// <summary>Lower.</summary>
    [JsonStringEnumMemberName("lower")]
    Lower,
}
