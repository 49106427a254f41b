namespace UpperStill.Core.Science.Hydraulics;

/// <summary>Units in which flow is posted.</summary>
public static class FlowUnits
{
    /// <summary>m³ in a cubic foot: 0.3048³, exactly.</summary>
    public const decimal CubicFoot = 0.028316846592m;

    /// <summary>m³ in a litre.</summary>
    public const decimal Litre = 0.001m;

    /// <summary>m³/s in one of a unit: <c>m³/s</c>, <c>L/s</c> or <c>ft³/s</c>; null for any other.</summary>
    public static decimal? CubicMetres(string unit)
    {
        ArgumentNullException.ThrowIfNull(unit);
        return unit.Replace('3', '³') switch
        {
            "m³/s" => 1,
            "L/s" => Litre,
            "ft³/s" => CubicFoot,
            _ => null,
        };
    }
}
