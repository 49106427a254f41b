using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Setup.Waters;

/// <summary>What a visit needs to know of its water.</summary>
/// <param name="Kind">What sort of water.</param>
/// <param name="AltitudeM">Height of its surface above the sea, m.</param>
/// <param name="TimeZone">IANA name of its zone.</param>
/// <param name="Hypsography">Area by depth.</param>
public sealed record WaterFacts(
    WaterKind Kind,
    [property: Within(-1000, 10000, "m")] decimal AltitudeM,
    string TimeZone,
    IReadOnlyList<AreaAtDepth>? Hypsography = null
)
{
    /// <summary>The facts of a water.</summary>
    public static WaterFacts Of(Water water)
    {
        ArgumentNullException.ThrowIfNull(water);
        return new WaterFacts(water.Kind, water.AltitudeM, water.TimeZone, water.Hypsography);
    }
}
