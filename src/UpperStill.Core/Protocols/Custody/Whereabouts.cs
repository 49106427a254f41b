using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>In whose hands a sample is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Whereabouts>))]
public enum Whereabouts
{
    /// <summary>It does not exist yet.</summary>
    [JsonStringEnumMemberName("planned")]
    Planned,

    /// <summary>In the group's.</summary>
    [JsonStringEnumMemberName("hand")]
    Hand,

    /// <summary>On the road.</summary>
    [JsonStringEnumMemberName("road")]
    Road,

    /// <summary>In the laboratory's.</summary>
    [JsonStringEnumMemberName("lab")]
    Lab,

    /// <summary>Nothing more will happen to it.</summary>
    [JsonStringEnumMemberName("ended")]
    Ended,
}
