namespace UpperStill.Core.Science.Statistics;

/// <summary>A smooth line through a series, for the eye only: locally weighted, robust regression.</summary>
/// <remarks>Cleveland 1979, J. Am. Stat. Assoc. 74, 829–836.</remarks>
public static class Lowess
{
    /// <summary>The smooth value at each point, in the order of time.</summary>
    /// <param name="points">In order of time.</param>
    /// <param name="share">Share of the points that each value looks at, 0–1.</param>
    /// <param name="rounds">How often points that lie far off are given less weight.</param>
    public static IReadOnlyList<double> Of(IReadOnlyList<TrendPoint> points, double share = 2.0 / 3, int rounds = 3)
    {
        ArgumentNullException.ThrowIfNull(points);
        var n = points.Count;
        if (n < 3)
        {
            return [.. points.Select(p => p.Y)];
        }

        var near = Math.Clamp((int)((share * n) + 1e-7), 2, n);
        var robust = Enumerable.Repeat(1.0, n).ToArray();
        var smooth = new double[n];
        for (var round = 0; round <= rounds; round++)
        {
            for (int i = 0, left = 0; i < n; i++)
            {
                while (left + near < n && points[i].T - points[left].T > points[left + near].T - points[i].T)
                {
                    left++;
                }

                smooth[i] = Fit(
                    points,
                    robust,
                    points[i].T,
                    Math.Max(points[i].T - points[left].T, points[left + near - 1].T - points[i].T)
                ) ?? points[i].Y;
            }

            var off = points.Select((p, i) => Math.Abs(p.Y - smooth[i])).ToArray();
            var six = 6 * TheilSen.Median(off);
            if (six <= 1e-12 * off.Sum())
            {
                break;
            }

            robust =
            [
                .. off.Select(o =>
                    o >= 0.999 * six ? 0
                    : o <= 0.001 * six ? 1
                    : Math.Pow(1 - Math.Pow(o / six, 2), 2)
                ),
            ];
        }

        return smooth;
    }

    private static double? Fit(IReadOnlyList<TrendPoint> points, double[] robust, double at, double reach)
    {
        double sum = 0,
            mean = 0;
        var weights = new double[points.Count];
        for (var i = 0; i < points.Count; i++)
        {
            var far = Math.Abs(points[i].T - at);
            weights[i] = far > 0.999 * reach ? 0 : robust[i] * (far <= 0.001 * reach ? 1 : Math.Pow(1 - Math.Pow(far / reach, 3), 3));
            sum += weights[i];
            mean += weights[i] * points[i].T;
        }

        if (sum <= 0)
        {
            return null;
        }

        mean /= sum;
        double square = 0,
            flat = 0,
            rise = 0;
        for (var i = 0; i < points.Count; i++)
        {
            square += weights[i] * Math.Pow(points[i].T - mean, 2);
            flat += weights[i] * points[i].Y;
            rise += weights[i] * (points[i].T - mean) * points[i].Y;
        }

        var straight = Math.Sqrt(square / sum) > 0.001 * (points[^1].T - points[0].T) ? rise / square * (at - mean) : 0;
        return (flat / sum) + straight;
    }
}
