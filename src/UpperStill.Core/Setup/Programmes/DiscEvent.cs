using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>What was seen when a mark was read.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<DiscEvent>))]
public enum DiscEvent
{
    /// <summary>The disc was just lost on the way down.</summary>
    [JsonStringEnumMemberName("disappeared")]
    Disappeared,

    /// <summary>The disc was seen again on the way up.</summary>
    [JsonStringEnumMemberName("reappeared")]
    Reappeared,

    /// <summary>The middle between the two, where the line is folded between two clips.</summary>
    [JsonStringEnumMemberName("midpoint")]
    Midpoint,
}
