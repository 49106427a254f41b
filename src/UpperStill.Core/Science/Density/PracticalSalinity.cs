namespace UpperStill.Core.Science.Density;

/// <summary>Practical salinity, and what stands for it in fresh water.</summary>
public static class PracticalSalinity
{
    /// <summary>Where the practical salinity scale is published.</summary>
    public const string Scale = "Practical Salinity Scale 1978: UNESCO 1983, Technical Papers in Marine Science 44 (Fofonoff & Millard)";

    /// <summary>Where the salinity of fresh and brackish water from its conductance is published.</summary>
    public const string ByConductance = "USGS 2011, Office of Water Quality Technical Memorandum 2011.03";

    /// <summary>Conductivity of sea water of salinity 35 at 15 °C and one atmosphere, mS/cm.</summary>
    public const double StandardMsCm = 42.914;

    /// <summary>The most specific conductance for which <see cref="OfConductance"/> is used, µS/cm.</summary>
    public const decimal MostConductance = 60_000;

    private static readonly double[] A = [0.0080, -0.1692, 25.3851, 14.0941, -7.0261, 2.7081];
    private static readonly double[] B = [0.0005, -0.0056, -0.0066, -0.0375, 0.0636, -0.0144];

    /// <summary>True where the scale holds: -2–35 °C and salinity 2–42.</summary>
    public static bool Holds(double temperatureC, double salinity) => temperatureC is >= -2 and <= 35 && salinity is >= 2 and <= 42;

    /// <summary>Practical salinity from the ratio of conductivities.</summary>
    /// <param name="ratio">Conductivity over that of <see cref="StandardMsCm"/>; no unit.</param>
    /// <param name="temperatureC">Water, °C (IPTS-68; the difference to ITS-90 is under 0.001 in salinity).</param>
    /// <param name="pressureDbar">Pressure of the water above, dbar; about 1 for a metre.</param>
    public static double OfRatio(double ratio, double temperatureC, double pressureDbar = 0)
    {
        var (t, p) = (temperatureC, pressureDbar);
        var cold = 0.6766097 + (t * (2.00564e-2 + (t * (1.104259e-4 + (t * (-6.9698e-7 + (t * 1.0031e-9)))))));
        var pressed =
            1
            + (
                p
                * (2.070e-5 + (p * (-6.370e-10 + (p * 3.989e-15))))
                / (1 + (3.426e-2 * t) + (4.464e-4 * t * t) + ((4.215e-1 - (3.107e-3 * t)) * ratio))
            );
        var root = Math.Sqrt(ratio / (cold * pressed));
        return Sum(A, root) + ((t - 15) / (1 + (0.0162 * (t - 15))) * Sum(B, root));
    }

    /// <summary>Salinity that stands for fresh and brackish water in the solubility of oxygen: 5.572e-4 SC + 2.02e-9 SC².</summary>
    /// <param name="conductance">Specific conductance at 25 °C, µS/cm, 0–60 000.</param>
    public static decimal OfConductance(decimal conductance) => (5.572e-4m * conductance) + (2.02e-9m * conductance * conductance);

    /// <summary>Conductance brought to 25 °C: C / (1 + 0.0191 (t − 25)).</summary>
    /// <param name="conductivity">As it is at its temperature, any unit.</param>
    /// <param name="temperatureC">That temperature, °C, above −27.</param>
    /// <remarks>Standard Methods 2510 B.</remarks>
    public static decimal At25(decimal conductivity, decimal temperatureC) => conductivity / Compensation(temperatureC);

    /// <summary>The inverse: the conductivity at a temperature of what conducts so much at 25 °C.</summary>
    /// <param name="conductance">At 25 °C, any unit.</param>
    /// <param name="temperatureC">The temperature, °C.</param>
    public static decimal AtTemperature(decimal conductance, decimal temperatureC) => conductance * Compensation(temperatureC);

    private static decimal Compensation(decimal temperatureC) => 1 + (0.0191m * (temperatureC - 25));

    private static double Sum(double[] by, double root) =>
        by[0] + (root * (by[1] + (root * (by[2] + (root * (by[3] + (root * (by[4] + (root * by[5])))))))));
}
