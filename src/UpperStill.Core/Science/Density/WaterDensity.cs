namespace UpperStill.Core.Science.Density;

/// <summary>Density of water at one atmosphere by the international equation of state.</summary>
/// <remarks>EOS-80: Millero &amp; Poisson 1981, Deep-Sea Res. 28A: 625–629. Valid for -2–40 °C and salinity 0–42.</remarks>
public static class WaterDensity
{
    /// <summary>Where the equation is published.</summary>
    public const string Source = "EOS-80; Millero & Poisson 1981, Deep-Sea Res. 28A: 625–629";

    /// <summary>True where the equation holds.</summary>
    public static bool Holds(double temperatureC, double salinity) => temperatureC is >= -2 and <= 40 && salinity is >= 0 and <= 42;

    /// <summary>Density, kg/m³.</summary>
    /// <param name="temperatureC">Water, -2–40 °C.</param>
    /// <param name="salinity">Practical salinity, 0–42.</param>
    /// <exception cref="ArgumentOutOfRangeException">Outside the range of the equation.</exception>
    public static double KgPerM3(double temperatureC, double salinity = 0)
    {
        if (!Holds(temperatureC, salinity))
        {
            throw new ArgumentOutOfRangeException(nameof(temperatureC), "The equation holds for -2–40 °C and salinity 0–42.");
        }

        var (t, s) = (temperatureC, salinity);
        var pure = Horner(t, 999.842594, 6.793952e-2, -9.095290e-3, 1.001685e-4, -1.120083e-6, 6.536332e-9);
        var a = Horner(t, 8.24493e-1, -4.0899e-3, 7.6438e-5, -8.2467e-7, 5.3875e-9);
        var b = Horner(t, -5.72466e-3, 1.0227e-4, -1.6546e-6);
        return pure + (a * s) + (b * s * Math.Sqrt(s)) + (4.8314e-4 * s * s);
    }

    private static double Horner(double x, params ReadOnlySpan<double> coefficients)
    {
        var sum = 0.0;
        for (var i = coefficients.Length - 1; i >= 0; i--)
        {
            sum = (sum * x) + coefficients[i];
        }

        return sum;
    }
}
