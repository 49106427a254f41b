namespace UpperStill.Core.Science.Hydraulics;

/// <summary>Flow of a stream by simple means.</summary>
public static class StreamFlow
{
    /// <summary>The surface runs faster than the whole: a float’s speed times this is the mean.</summary>
    public const decimal FloatFactor = 0.85m;

    /// <summary>m³/s by a float: area × 0.85 × run / mean time. “About”.</summary>
    /// <param name="areaM2">Area of the cross-section, m².</param>
    /// <param name="runM">How far the float ran, m.</param>
    /// <param name="seconds">Its times, s; at least one, all above 0.</param>
    public static decimal ByFloat(decimal areaM2, decimal runM, IReadOnlyCollection<decimal> seconds) =>
        areaM2 * FloatFactor * runM / seconds.Average();

    /// <summary>m³/s by a pail: litres / mean time.</summary>
    /// <param name="litres">What the pail holds, L.</param>
    /// <param name="seconds">Times in which it filled, s; at least one, all above 0.</param>
    public static decimal ByPail(decimal litres, IReadOnlyCollection<decimal> seconds) => litres * FlowUnits.Litre / seconds.Average();
}
