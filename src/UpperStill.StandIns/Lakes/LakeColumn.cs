using UpperStill.Core.Science.Oxygen;

namespace UpperStill.StandIns.Lakes;

/// <summary>
/// The water column of a simulated water on one day: what a probe would find at each depth. A deep lake warms above and stays cold below,
/// and from
/// May on its deep water loses oxygen, a little faster each year; a shallow one is mixed; the sea is mixed by the tide, with fresher water
/// on top.
/// </summary>
/// <param name="DepthM">Depth of the water here today, m.</param>
/// <param name="Sea">True where it is salt.</param>
/// <param name="Day">The day.</param>
/// <param name="YearShift">How much warmer this year is than others, in standard deviations.</param>
public sealed record LakeColumn(double DepthM, bool Sea, DateOnly Day, double YearShift = 0)
{
    /// <summary>Air pressure over every simulated water, kPa.</summary>
    public const double AirKpa = 100.6;

    private const int FirstYear = 2013;
    private const double DeepC = 5.8;

    // Where lakes of less depth are mixed by the wind all summer.
    private const double LeastLayeredM = 7;

    /// <summary>Depth of the middle of the thermocline, m; it sinks through the summer. Null where the water is mixed.</summary>
    public double? ThermoclineM =>
        !Sea && DepthM >= LeastLayeredM && SurfaceC > DeepC + 3
            ? Math.Min(DepthM * 0.55, 5.2 + (0.022 * Math.Max(0, Day.DayOfYear - 150)))
            : null;

    /// <summary>Temperature at the surface, °C.</summary>
    public double SurfaceC => (Sea ? 8.5 + (7 * Warmth) : 4.2 + (18.2 * Warmth)) + (0.7 * YearShift);

    private double Warmth => Math.Exp(-Math.Pow((Day.DayOfYear - 208) / 72.0, 2));

    /// <summary>Temperature, °C.</summary>
    /// <param name="depthM">Depth, m.</param>
    public double TemperatureC(double depthM) =>
        ThermoclineM is { } middle
            ? DeepC + ((SurfaceC - (0.06 * depthM) - DeepC) / (1 + Math.Exp((depthM - middle) / 0.85)))
            : SurfaceC - ((Sea ? 0.12 : 0.25) * depthM);

    /// <summary>Practical salinity; 0 in fresh water.</summary>
    /// <param name="depthM">Depth, m.</param>
    public double Salinity(double depthM) => Sea ? 33.6 - (2.1 * Math.Exp(-depthM / 1.5)) : 0;

    /// <summary>Dissolved oxygen, mg/L.</summary>
    /// <param name="depthM">Depth, m.</param>
    public double OxygenMgPerL(double depthM)
    {
        var holds = Solubility.AtPressure(TemperatureC(depthM), Salinity(depthM), AirKpa);
        if (ThermoclineM is not { } middle)
        {
            return holds * (1.04 - (0.05 * depthM / Math.Max(1, DepthM)));
        }

        // Used up since the layers formed, mostly near the mud.
        var days = Math.Max(0, Day.DayOfYear - 125);
        var below = 1 / (1 + Math.Exp(-(depthM - middle - 1) / 0.7));
        var near = 0.35 + (0.65 * depthM / DepthM);
        var used = below * near * days * 0.075 * (1 + (0.03 * (Day.Year - FirstYear)));
        var bloom = 0.6 * Math.Exp(-Math.Pow((depthM - (middle - 1.2)) / 0.9, 2));
        return Math.Max(0.08, (holds * (1.03 - (0.09 * below))) + bloom - used);
    }

    /// <summary>Specific conductance at 25 °C, µS/cm: the water over an airless bottom holds more.</summary>
    /// <param name="depthM">Depth, m.</param>
    public double ConductivityUs(double depthM) =>
        Sea ? 1490 * Salinity(depthM) : 212 + (depthM / Math.Max(1, DepthM) * 14) + (OxygenMgPerL(depthM) < 1 ? 22 : 0);

    /// <summary>pH.</summary>
    /// <param name="depthM">Depth, m.</param>
    public double Ph(double depthM) => Sea ? 8.06 : 7.1 + (1.25 * Math.Clamp(OxygenMgPerL(depthM) / 9.5, 0, 1));
}
