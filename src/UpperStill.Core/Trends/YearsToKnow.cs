namespace UpperStill.Core.Trends;

/// <summary>How many years of a series show a trend of a given size with 80 % power: would our effort tell?</summary>
public static class YearsToKnow
{
    private const int Runs = 400;
    private const double Power = 0.8;
    private const double Level = 0.05;

    /// <summary>The longest series that is tried, years.</summary>
    public const int Most = 60;

    /// <summary>The fewest years from <paramref name="least"/> on; null where even 60 do not show it.</summary>
    /// <param name="slope">The trend that is asked for, per year.</param>
    /// <param name="scatter">Standard deviation of a year round the trend, in the same unit; nothing of one year is left in the next.</param>
    /// <param name="least">Fewest years that a test is made of.</param>
    /// <remarks>By simulation with a fixed seed: normal scatter, Mann–Kendall at 5 %, both sides.</remarks>
    public static int? Of(double slope, double scatter, int least)
    {
        var steep = Math.Abs(slope);
        if (steep <= 0)
        {
            return null;
        }

        if (!Shows(steep, scatter, Most))
        {
            return null;
        }

        // Power grows with the years: search by halves.
        var (low, high) = (least - 1, Most);
        while (high - low > 1)
        {
            var middle = (low + high) / 2;
            (low, high) = Shows(steep, scatter, middle) ? (low, middle) : (middle, high);
        }

        return high;
    }

    private static bool Shows(double slope, double scatter, int years)
    {
        var chance = new Random(20260812);
        var needed = Distributions.NormalQuantile(1 - (Level / 2)) * Math.Sqrt(years * (years - 1.0) * ((2 * years) + 5) / 18);
        var seen = 0;
        var values = new double[years];
        for (var run = 0; run < Runs; run++)
        {
            for (var i = 0; i < years; i++)
            {
                // Box & Muller 1958, Ann. Math. Stat. 29, 610–611.
                values[i] = (slope * i) + (scatter * Math.Sqrt(-2 * Math.Log(1 - chance.NextDouble())) * Math.Cos(2 * Math.PI * chance.NextDouble()));
            }

            seen += Score(values) - 1 > needed ? 1 : 0;
        }

        return seen >= Power * Runs;
    }

    private static int Score(double[] values)
    {
        var s = 0;
        for (var i = 0; i < values.Length; i++)
        {
            for (var j = i + 1; j < values.Length; j++)
            {
                s += Math.Sign(values[j] - values[i]);
            }
        }

        return s;
    }
}
