namespace UpperStill.Core.Science.Statistics;

/// <summary>The scatter of single years round their trend: what a trend has to stand out from.</summary>
/// <remarks>
/// Residuals of the least-squares line with n − 2 degrees of freedom; the root of an unbiased variance reads low in a short series, which
/// c4 makes good
/// (Holtzman 1950, Am. Stat. 4, 28–29). A median of deviations would be a quarter too small at eight years. Limits by χ², for normal
/// scatter.
/// </remarks>
public static class YearScatter
{
    private const double Outside = 0.05;

    /// <summary>Standard deviation round the line, in the unit of the values; unbiased for normal scatter. 0 with fewer than three
    /// years.</summary>
    /// <param name="years">One value a year, none of them censored.</param>
    public static double Of(IReadOnlyList<TrendPoint> years)
    {
        ArgumentNullException.ThrowIfNull(years);
        var degrees = years.Count - 2;
        if (degrees < 1)
        {
            return 0;
        }

        var (t, y) = (years.Average(p => p.T), years.Average(p => p.Y));
        var slope = years.Sum(p => (p.T - t) * (p.Y - y)) / years.Sum(p => (p.T - t) * (p.T - t));
        var squares = years.Sum(p => Math.Pow(p.Y - y - (slope * (p.T - t)), 2));
        return Math.Sqrt(squares / degrees) / C4(degrees);
    }

    /// <summary>Between which the true scatter lies, with 90 % confidence.</summary>
    /// <param name="scatter">As of <see cref="Of"/>.</param>
    /// <param name="years">How many years it rests on, three or more.</param>
    public static (double Small, double Great) Limits(double scatter, int years)
    {
        var degrees = years - 2;
        ArgumentOutOfRangeException.ThrowIfLessThan(degrees, 1, nameof(years));
        var squares = degrees * Math.Pow(scatter * C4(degrees), 2);
        return (
            Math.Sqrt(squares / Distributions.ChiSquareQuantile(1 - Outside, degrees)),
            Math.Sqrt(squares / Distributions.ChiSquareQuantile(Outside, degrees))
        );
    }

    // √(2/ν) Γ((ν + 1)/2) / Γ(ν/2), by its steps of two from ν = 1 and ν = 2.
    private static double C4(int degrees)
    {
        var (at, ratio) = degrees % 2 == 1 ? (1, 1 / Math.Sqrt(Math.PI)) : (2, Math.Sqrt(Math.PI) / 2);
        for (; at < degrees; at += 2)
        {
            ratio *= (at + 1.0) / at;
        }

        return Math.Sqrt(2.0 / degrees) * ratio;
    }
}
