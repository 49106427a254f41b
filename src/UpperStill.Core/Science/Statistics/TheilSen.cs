namespace UpperStill.Core.Science.Statistics;

/// <summary>A slope by the median of all pairwise slopes, with its confidence limits.</summary>
/// <param name="Slope">Per unit of time; null where no pair has one.</param>
/// <param name="Low">Lower limit; null where the series is too short for one.</param>
/// <param name="High">Upper limit.</param>
/// <param name="Intercept">median(y) - slope · median(t).</param>
/// <param name="Slopes">How many slopes it rests on.</param>
/// <param name="HalfWidth">C: half the width of the limits in ranks.</param>
/// <param name="UsualT">The median time: the line goes through it at the median value.</param>
/// <remarks>
/// Theil 1950, Proc. K. Ned. Akad. Wet. 53, 386–392; Sen 1968, J. Am. Stat. Assoc. 63, 1379–1389; limits by rank as in Gilbert 1987,
/// Statistical Methods
/// for Environmental Pollution Monitoring, 218–219. A slope needs both numbers: pairs with a censored value have none.
/// </remarks>
public sealed record TheilSen(double? Slope, double? Low, double? High, double Intercept, long Slopes, double HalfWidth, double UsualT)
{
    /// <summary>The slope of a series.</summary>
    /// <param name="points">In any order.</param>
    /// <param name="confidence">Of the limits, 0–1.</param>
    public static TheilSen Of(IReadOnlyList<TrendPoint> points, double confidence = 0.95)
    {
        ArgumentNullException.ThrowIfNull(points);
        var plain = points.Where(p => p.Censored == Censoring.None).ToList();
        return Of([plain], KendallScore.Of(plain).Variance, confidence);
    }

    /// <summary>The slope of a series that falls into seasons: pairs of one season only.</summary>
    /// <param name="seasons">Values that are not censored, season by season.</param>
    /// <param name="variance">Variance of Kendall's score of these values.</param>
    /// <param name="confidence">Of the limits, 0–1.</param>
    internal static TheilSen Of(IReadOnlyList<IReadOnlyList<TrendPoint>> seasons, double variance, double confidence)
    {
        var ranks = new SlopeRanks(seasons);
        if (ranks.Median is not { } slope)
        {
            return new TheilSen(null, null, null, 0, 0, 0, 0);
        }

        // Ranks M1 and M2 + 1 of the slopes in order.
        var half = Distributions.NormalQuantile((1 + confidence) / 2) * Math.Sqrt(variance);
        var (t, y) = (Median(seasons.SelectMany(s => s).Select(p => p.T)), Median(seasons.SelectMany(s => s).Select(p => p.Y)));
        return new TheilSen(
            slope,
            ranks.Between((ranks.Total - half) / 2),
            ranks.Between(((ranks.Total + half) / 2) + 1),
            y - (slope * t),
            ranks.Total,
            half,
            t
        );
    }

    /// <summary>The median; the mean of the middle two where the count is even. At least one value.</summary>
    internal static double Median(IEnumerable<double> values)
    {
        double[] sorted = [.. values.Order()];
        return sorted.Length % 2 == 1 ? sorted[sorted.Length / 2] : (sorted[(sorted.Length / 2) - 1] + sorted[sorted.Length / 2]) / 2;
    }
}
