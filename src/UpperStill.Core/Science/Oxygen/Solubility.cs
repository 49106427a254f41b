namespace UpperStill.Core.Science.Oxygen;

/// <summary>How much oxygen water holds in balance with moist air.</summary>
/// <remarks>
/// Benson &amp; Krause 1980, Limnol. Oceanogr. 25: 662–671, and 1984, Limnol. Oceanogr. 29: 620–632, in the form of Standard
/// Methods 4500-O. Valid for 0–40 °C and salinity 0–40.
/// </remarks>
public static class Solubility
{
    /// <summary>Where the equations are published.</summary>
    public const string Source = "Benson & Krause 1980, 1984; Standard Methods 4500-O";

    /// <summary>One standard atmosphere, kPa, exactly.</summary>
    public const double StandardKpa = 101.325;

    /// <summary>Share of oxygen in dry air.</summary>
    /// <remarks>Benson &amp; Krause 1984.</remarks>
    public const double ShareOfAir = 0.20946;

    private const double Kelvin = 273.15;

    /// <summary>True where the equations hold.</summary>
    public static bool Holds(double temperatureC, double salinity) => temperatureC is >= 0 and <= 40 && salinity is >= 0 and <= 40;

    /// <summary>Solubility at one atmosphere, mg/L.</summary>
    /// <param name="temperatureC">Water, 0–40 °C.</param>
    /// <param name="salinity">Practical salinity, 0–40.</param>
    /// <exception cref="ArgumentOutOfRangeException">Outside the range of the equations.</exception>
    public static double AtOneAtmosphere(double temperatureC, double salinity)
    {
        Check(temperatureC, salinity);
        var t = temperatureC + Kelvin;
        return Math.Exp(
            -139.34411
                + (1.575701e5 / t)
                - (6.642308e7 / (t * t))
                + (1.243800e10 / (t * t * t))
                - (8.621949e11 / (t * t * t * t))
                - (salinity * (1.7674e-2 - (10.754 / t) + (2140.7 / (t * t))))
        );
    }

    /// <summary>Solubility at the pressure of the station, mg/L.</summary>
    /// <param name="temperatureC">Water, 0–40 °C.</param>
    /// <param name="salinity">Practical salinity, 0–40.</param>
    /// <param name="pressureKpa">True pressure at the station, kPa: not the weather report's, which is brought to the sea.</param>
    /// <exception cref="ArgumentOutOfRangeException">Outside the range of the equations.</exception>
    public static double AtPressure(double temperatureC, double salinity, double pressureKpa)
    {
        Check(temperatureC, salinity);
        var p = pressureKpa / StandardKpa;
        var vapour = VapourAtm(temperatureC);
        var theta = 0.000975 - (1.426e-5 * temperatureC) + (6.436e-8 * temperatureC * temperatureC);
        return AtOneAtmosphere(temperatureC, salinity) * p * (1 - (vapour / p)) * (1 - (theta * p)) / ((1 - vapour) * (1 - theta));
    }

    /// <summary>Vapour pressure of water, atm: ln u = 11.8571 − 3840.70/T − 216961/T².</summary>
    /// <param name="temperatureC">Water, 0–40 °C.</param>
    public static double VapourAtm(double temperatureC)
    {
        var t = temperatureC + Kelvin;
        return Math.Exp(11.8571 - (3840.70 / t) - (216_961 / (t * t)));
    }

    /// <summary>Pressure of the standard atmosphere at a height above the sea, kPa.</summary>
    /// <param name="altitudeM">m, -500 to 9000.</param>
    /// <remarks>International Standard Atmosphere, ISO 2533:1975.</remarks>
    public static double PressureKpa(double altitudeM) => StandardKpa * Math.Pow(1 - (2.25577e-5 * altitudeM), 5.25588);

    private static void Check(double temperatureC, double salinity)
    {
        if (!Holds(temperatureC, salinity))
        {
            throw new ArgumentOutOfRangeException(nameof(temperatureC), "The equations hold for 0–40 °C and salinity 0–40.");
        }
    }
}
