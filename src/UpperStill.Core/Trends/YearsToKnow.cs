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

        // Each run is one series of sixty years; its score grows year by year, so that every length is tried at once.
        var (chance, seen) = (new SameChance(), new int[Most + 1]);
        var values = new double[Most];
        for (var run = 0; run < Runs; run++)
        {
            var score = 0;
            for (var year = 0; year < Most; year++)
            {
                // Box & Muller 1958, Ann. Math. Stat. 29, 610–611.
                var value = (steep * year) + (scatter * Math.Sqrt(-2 * Math.Log(1 - chance.Next())) * Math.Cos(2 * Math.PI * chance.Next()));
                for (var before = 0; before < year; before++)
                {
                    score += value > values[before] ? 1 : value < values[before] ? -1 : 0;
                }

                values[year] = value;
                seen[year + 1] += score - 1 > Needed[year + 1] ? 1 : 0;
            }
        }

        for (var years = least; years <= Most; years++)
        {
            if (seen[years] >= Power * Runs)
            {
                return years;
            }
        }

        return null;
    }

    // The score that a series of so many years must pass.
    private static readonly double[] Needed = [.. Enumerable.Range(0, Most + 1).Select(n => Distributions.NormalQuantile(1 - (Level / 2)) * Math.Sqrt(n * (n - 1.0) * ((2 * n) + 5) / 18))];

    /// <summary>The same numbers between 0 and 1 for everybody: no chance enters the answer (SplitMix64; Steele, Lea &amp; Flood 2014, OOPSLA, 453–472).</summary>
    private sealed class SameChance
    {
        private ulong state = 20260812;

        internal double Next()
        {
            state = unchecked(state + 0x9E3779B97F4A7C15);
            var z = unchecked((state ^ (state >> 30)) * 0xBF58476D1CE4E5B9);
            z = unchecked((z ^ (z >> 27)) * 0x94D049BB133111EB);
            return ((z ^ (z >> 31)) >> 11) * (1.0 / (1UL << 53));
        }
    }
}
