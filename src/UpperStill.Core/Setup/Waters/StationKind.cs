using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Waters;

/// <summary>From where a station is worked; it decides what is asked there.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<StationKind>))]
public enum StationKind
{
    /// <summary>From a boat.</summary>
    [JsonStringEnumMemberName("boat")]
    Boat,

    /// <summary>From a pier.</summary>
    [JsonStringEnumMemberName("pier")]
    Pier,

    /// <summary>From a bridge.</summary>
    [JsonStringEnumMemberName("bridge")]
    Bridge,

    /// <summary>On a beach.</summary>
    [JsonStringEnumMemberName("beach")]
    Beach,

    /// <summary>From the bank of a stream.</summary>
    [JsonStringEnumMemberName("bank")]
    Bank,

    /// <summary>At a pond.</summary>
    [JsonStringEnumMemberName("pond")]
    Pond,
}
