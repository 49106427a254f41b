using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>Body of the entry <c>sounding</c>.</summary>
/// <param name="Depth">The depth of the water as read.</param>
/// <param name="By">How it was sounded; a lead or the disc stirs the bottom.</param>
public sealed record SoundingBody(WrittenLength Depth, SoundedBy? By = null);

/// <summary>How the depth was found.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<SoundedBy>))]
public enum SoundedBy
{
    /// <summary>Depth finder.</summary>
    [JsonStringEnumMemberName("finder")]
    Finder,

    /// <summary>Weighted line.</summary>
    [JsonStringEnumMemberName("lead")]
    Lead,

    /// <summary>The disc let down to the bottom.</summary>
    [JsonStringEnumMemberName("disc")]
    Disc,

    /// <summary>The stand-in finder.</summary>
    [JsonStringEnumMemberName("simulated")]
    Simulated,
}
