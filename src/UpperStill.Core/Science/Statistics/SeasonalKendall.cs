namespace UpperStill.Core.Science.Statistics;

/// <summary>A season's part in a seasonal test.</summary>
/// <param name="Season">Its number, such as the month.</param>
/// <param name="Score">Kendall's score of its years.</param>
public sealed record SeasonScore(int Season, KendallScore Score);

/// <summary>Kendall's test over seasons: a value is held only against values of its own season in other years.</summary>
/// <param name="Seasons">The seasons.</param>
/// <param name="S">The sum of their scores.</param>
/// <param name="Variance">Its variance where seasons know nothing of each other.</param>
/// <param name="CovarianceVariance">Its variance where they do; null where there are fewer than ten years.</param>
/// <param name="Slope">The median of all slopes within seasons, with its limits.</param>
/// <param name="HeterogeneityChiSquare">ΣZ² − m Z̄² of the m seasons, a χ² with m − 1 degrees of freedom; null with fewer than two.</param>
/// <param name="HeterogeneityP">How likely the seasons are to differ so much by chance; null with fewer than two seasons.</param>
/// <param name="Years">Years with any value.</param>
/// <remarks>
/// Hirsch, Slack &amp; Smith 1982, Water Resour. Res. 18, 107–121; the covariance form, Hirsch &amp; Slack 1984, Water Resour. Res. 20,
/// 727–732, with midranks
/// for missing values after Dietz &amp; Killeen 1981, J. Am. Stat. Assoc. 76, 169–174; whether seasons agree, van Belle &amp; Hughes 1984,
/// Water Resour. Res. 20, 127–136.
/// </remarks>
public sealed record SeasonalKendall(
    IReadOnlyList<SeasonScore> Seasons,
    long S,
    double Variance,
    double? CovarianceVariance,
    TheilSen Slope,
    double? HeterogeneityChiSquare,
    double? HeterogeneityP,
    int Years
)
{
    private const int LeastYearsForCovariance = 10;

    /// <summary>The variance that the test is read with: the covariance form where there are years enough.</summary>
    public double UsedVariance => CovarianceVariance ?? Variance;

    /// <summary>The score as a standard normal deviate.</summary>
    public double Z => UsedVariance <= 0 || S == 0 ? 0 : (S - Math.Sign(S)) / Math.Sqrt(UsedVariance);

    /// <summary>How likely so large a score is by chance, both sides.</summary>
    public double P => Distributions.BothSides(Z);

    /// <summary>The test.</summary>
    /// <param name="points">Values with year and season; at most one for each season of a year.</param>
    /// <param name="covariance">False to take seasons as independent whatever the number of years.</param>
    /// <param name="confidence">Of the limits of the slope, 0–1.</param>
    public static SeasonalKendall Of(IReadOnlyList<(int Season, TrendPoint Point)> points, bool covariance = true, double confidence = 0.95)
    {
        ArgumentNullException.ThrowIfNull(points);
        var seasons = points
            .GroupBy(p => p.Season)
            .OrderBy(g => g.Key)
            .Select(g => (Season: g.Key, Points: (IReadOnlyList<TrendPoint>)[.. g.Select(p => p.Point).OrderBy(p => p.T)]))
            .ToList();
        List<SeasonScore> scores = [.. seasons.Select(s => new SeasonScore(s.Season, KendallScore.Of(s.Points)))];
        var years = points.Select(p => p.Point.T).Distinct().Order().ToList();
        var variance = scores.Sum(s => s.Score.Variance);
        double? with =
            covariance && years.Count >= LeastYearsForCovariance ? variance + Covariances([.. seasons.Select(s => s.Points)], years) : null;

        // Limits rest on the values that have slopes: all of them, where none is censored.
        IReadOnlyList<IReadOnlyList<TrendPoint>> plain = [.. seasons.Select(s => s.Points)];
        var spread = with ?? variance;
        if (points.Any(p => p.Point.Censored != Censoring.None))
        {
            plain = [.. plain.Select(s => s.Where(p => p.Censored == Censoring.None).ToList())];
            spread = plain.Sum(p => KendallScore.Of(p).Variance) + (with is null ? 0 : Covariances(plain, years));
        }

        var apart = Heterogeneity(scores);
        return new SeasonalKendall(
            scores,
            scores.Sum(s => s.Score.S),
            variance,
            with > 0 ? with : null,
            TheilSen.Of(plain, Math.Max(0, spread), confidence),
            apart?.ChiSquare,
            apart?.P,
            years.Count
        );
    }

    private static (double ChiSquare, double P)? Heterogeneity(List<SeasonScore> scores)
    {
        double[] z = [.. scores.Where(s => s.Score.Variance > 0).Select(s => s.Score.S / Math.Sqrt(s.Score.Variance))];
        if (z.Length < 2)
        {
            return null;
        }

        var square = z.Sum(one => one * one) - (z.Length * z.Average() * z.Average());
        return (square, Distributions.ChiSquareAbove(square, z.Length - 1));
    }

    // Twice the sum of the covariances of all pairs of seasons.
    private static double Covariances(IReadOnlyList<IReadOnlyList<TrendPoint>> seasons, List<double> years)
    {
        var n = years.Count;
        var tables = seasons.Select(s => new SeasonTable(s, years)).ToList();
        var sum = 0.0;
        for (var g = 0; g < tables.Count; g++)
        {
            for (var h = g + 1; h < tables.Count; h++)
            {
                var (one, other) = (tables[g], tables[h]);
                double k = 0,
                    r = 0;
                for (var i = 0; i < n; i++)
                {
                    r += one.Ranks[i] * other.Ranks[i];
                    for (var j = i + 1; j < n; j++)
                    {
                        k += one.Sign(i, j) * other.Sign(i, j);
                    }
                }

                sum += 2 * (k + (4 * r) - (n * (one.Count + 1.0) * (other.Count + 1.0))) / 3;
            }
        }

        return sum;
    }

    /// <summary>A season's values by year, with midranks; a missing year has the middle rank.</summary>
    private sealed class SeasonTable
    {
        private readonly TrendPoint?[] values;

        internal SeasonTable(IReadOnlyList<TrendPoint> points, List<double> years)
        {
            Count = points.Count;
            values = new TrendPoint?[years.Count];
            Ranks = new double[years.Count];
            Array.Fill(Ranks, (Count + 1) / 2.0);
            var balance = KendallScore.Balance(points);
            for (var i = 0; i < points.Count; i++)
            {
                var at = years.BinarySearch(points[i].T);
                values[at] = points[i];
                Ranks[at] = (Count + 1 + balance[i]) / 2.0;
            }
        }

        internal int Count { get; }

        internal double[] Ranks { get; }

        internal int Sign(int i, int j) =>
            values[i] is not { } a || values[j] is not { } b ? 0
            : a.High.CompareTo(b.Low) < 0 ? 1
            : b.High.CompareTo(a.Low) < 0 ? -1
            : 0;
    }
}
