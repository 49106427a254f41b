namespace UpperStill.Core.Science.Statistics;

/// <summary>How many years of a series show a trend of a given size with 80 % power: would our effort tell?</summary>
/// <remarks>
/// A table instead of a simulation for each question, because only the ratio of trend and scatter counts. Its numbers come from 40 000
/// made-up series:
/// normal scatter, nothing of one year left in the next, Mann–Kendall at 5 % on both sides. The tests simulate it again.
/// </remarks>
public static class YearsToKnow
{
    // Fewer years are never significant, however steep the trend.
    private const int Fewest = 5;

    // Trend per year over scatter that 80 % of the series of 5, 6, … years show.
    private static readonly double[] Steepness =
    [
        2.301,
        1.427,
        0.857,
        0.646,
        0.473,
        0.388,
        0.338,
        0.284,
        0.250,
        0.217,
        0.194,
        0.178,
        0.161,
        0.143,
        0.135,
        0.122,
        0.112,
        0.104,
        0.0986,
        0.0920,
        0.0852,
        0.0805,
        0.0761,
        0.0716,
        0.0670,
        0.0635,
        0.0607,
        0.0574,
        0.0548,
        0.0527,
        0.0505,
        0.0481,
        0.0463,
        0.0442,
        0.0428,
        0.0410,
        0.0394,
        0.0380,
        0.0367,
        0.0354,
        0.0341,
        0.0330,
        0.0319,
        0.0309,
        0.0300,
        0.0292,
        0.0282,
        0.0274,
        0.0267,
        0.0259,
        0.0251,
        0.0245,
        0.0238,
        0.0233,
        0.0226,
        0.0221,
    ];

    /// <summary>The longest series that is known, years.</summary>
    public static int Most => Fewest + Steepness.Length - 1;

    /// <summary>The fewest years from <paramref name="least"/> on; null where even <see cref="Most"/> do not show it.</summary>
    /// <param name="slope">The trend that is asked for, per year.</param>
    /// <param name="scatter">Standard deviation of a year round the trend, in the same unit.</param>
    /// <param name="least">Fewest years that a test is made of.</param>
    public static int? Of(double slope, double scatter, int least)
    {
        var steep = Math.Abs(slope);
        for (var years = Math.Max(least, Fewest); steep > 0 && years <= Most; years++)
        {
            if (steep >= Steepness[years - Fewest] * scatter)
            {
                return years;
            }
        }

        return null;
    }
}
