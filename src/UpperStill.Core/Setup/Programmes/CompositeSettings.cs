using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>How the depth of a composite is found.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<CompositeDepthRule>))]
public enum CompositeDepthRule
{
    /// <summary>A factor times today's clarity (1, 2, 2.5 or 2.7).</summary>
    [JsonStringEnumMemberName("factor")]
    Factor,

    /// <summary>The coordinator's depth for this station.</summary>
    [JsonStringEnumMemberName("preset")]
    Preset,
}

/// <summary>How the water of a composite is collected.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<CompositeMethod>))]
public enum CompositeMethod
{
    /// <summary>Weighted bottle: free fall, slow steady rise.</summary>
    [JsonStringEnumMemberName("weighted-bottle")]
    WeightedBottle,

    /// <summary>Open bottle that just fills at the surface.</summary>
    [JsonStringEnumMemberName("just-fills")]
    JustFills,

    /// <summary>To 5.0 m whole-metre bottles pooled; deeper, an integrated tube.</summary>
    [JsonStringEnumMemberName("pooled-or-tube")]
    PooledOrTube,
}

/// <summary>A composite method.</summary>
/// <param name="DepthRule">Factor of the clarity, or preset.</param>
/// <param name="Factor">Times the clarity; used by the factor rule.</param>
/// <param name="Clearance">How far to keep off the bottom, as the programme writes it: <c>3 ft</c> or <c>1 m</c>.</param>
/// <param name="Method">How the water is collected.</param>
/// <param name="Preset">The coordinator's depth; used by the preset rule.</param>
public sealed record CompositeSettings(
    CompositeDepthRule DepthRule,
    [property: Within(0.1, 10)] decimal Factor,
    WrittenLength Clearance,
    CompositeMethod Method,
    WrittenLength? Preset = null
);
