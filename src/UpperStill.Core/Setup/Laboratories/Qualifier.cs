using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Laboratories;

/// <summary>What a laboratory says beside a value.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Qualifier>))]
public enum Qualifier
{
    /// <summary>Below the detection limit.</summary>
    [JsonStringEnumMemberName("below")]
    Below,

    /// <summary>Above the range.</summary>
    [JsonStringEnumMemberName("above")]
    Above,

    /// <summary>Estimated.</summary>
    [JsonStringEnumMemberName("estimated")]
    Estimated,

    /// <summary>Rejected: kept, never used.</summary>
    [JsonStringEnumMemberName("rejected")]
    Rejected,
}
