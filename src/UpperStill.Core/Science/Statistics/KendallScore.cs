namespace UpperStill.Core.Science.Statistics;

/// <summary>Kendall's score of a series: how many pairs rise less how many fall, where the order of a pair is certain.</summary>
/// <param name="S">Rising pairs less falling pairs.</param>
/// <param name="Variance">Variance of S where order in time means nothing.</param>
/// <param name="Certain">Pairs at different times whose order is certain.</param>
/// <param name="Count">Values.</param>
/// <remarks>
/// Mann 1945, Econometrica 13, 245–259; Kendall 1975, Rank Correlation Methods, 4th ed. The variance is that of the general
/// correlation coefficient over all orders (Daniels 1944, Biometrika 33, 129–135): without ties n(n-1)(2n+5)/18, with ties
/// less Σt(t-1)(2t+5)/18, and it holds for censored values as well. Time n log n, memory n.
/// </remarks>
public sealed record KendallScore(long S, double Variance, long Certain, int Count)
{
    /// <summary>The score as a standard normal deviate, with the correction for continuity; 0 where the variance is 0.</summary>
    public double Z => Variance <= 0 || S == 0 ? 0 : (S - Math.Sign(S)) / Math.Sqrt(Variance);

    /// <summary>How likely so large a score is by chance, both sides.</summary>
    public double P => Distributions.BothSides(Z);

    /// <summary>The score of a series.</summary>
    /// <param name="points">In any order; two values at one time are no pair.</param>
    public static KendallScore Of(IReadOnlyList<TrendPoint> points)
    {
        ArgumentNullException.ThrowIfNull(points);
        var n = points.Count;
        TrendPoint[] sorted = [.. points.OrderBy(p => p.T)];
        (double, int)[] edges = [.. sorted.SelectMany(p => new[] { p.Low, p.High }).Distinct().Order()];
        int[] low = [.. sorted.Select(p => Array.BinarySearch(edges, p.Low))];
        int[] high = [.. sorted.Select(p => Array.BinarySearch(edges, p.High))];
        var (s, certain) = Pairs(sorted, low, high, edges.Length);
        return new KendallScore(s, Spread(n, Scores(low, high, edges.Length), Times(sorted)), certain, n);
    }

    /// <summary>For each value, how many others lie certainly below it less how many certainly above.</summary>
    internal static long[] Balance(IReadOnlyList<TrendPoint> points)
    {
        (double, int)[] edges = [.. points.SelectMany(p => new[] { p.Low, p.High }).Distinct().Order()];
        int[] low = [.. points.Select(p => Array.BinarySearch(edges, p.Low))];
        int[] high = [.. points.Select(p => Array.BinarySearch(edges, p.High))];
        return [.. Scores(low, high, edges.Length).Select(c => c.Below - c.Above)];
    }

    private static (long S, long Certain) Pairs(TrendPoint[] sorted, int[] low, int[] high, int ranks)
    {
        var (highs, lows) = (new Tally(ranks), new Tally(ranks));
        long s = 0,
            certain = 0;
        for (var from = 0; from < sorted.Length; )
        {
            var until = from;
            while (until < sorted.Length && sorted[until].T.Equals(sorted[from].T))
            {
                var rising = highs.Below(low[until]);
                var falling = from - lows.Below(high[until] + 1);
                s += rising - falling;
                certain += rising + falling;
                until++;
            }

            for (; from < until; from++)
            {
                highs.Add(high[from]);
                lows.Add(low[from]);
            }
        }

        return (s, certain);
    }

    private static (long Below, long Above)[] Scores(int[] low, int[] high, int ranks)
    {
        var (highs, lows) = (new Tally(ranks), new Tally(ranks));
        for (var i = 0; i < low.Length; i++)
        {
            highs.Add(high[i]);
            lows.Add(low[i]);
        }

        return [.. low.Select((l, i) => (highs.Below(l), low.Length - lows.Below(high[i] + 1)))];
    }

    private static (long Below, long Above)[] Times(TrendPoint[] sorted)
    {
        var scores = new (long, long)[sorted.Length];
        for (var from = 0; from < sorted.Length; )
        {
            var until = from;
            while (until < sorted.Length && sorted[until].T.Equals(sorted[from].T))
            {
                until++;
            }

            Array.Fill(scores, (from, sorted.Length - until), from, until - from);
            from = until;
        }

        return scores;
    }

    private static double Spread(int n, (long Below, long Above)[] values, (long Below, long Above)[] times)
    {
        if (n < 2)
        {
            return 0;
        }

        var (a2, a) = Sums(values);
        var (b2, b) = Sums(times);
        var triples = n > 2 ? (a2 - a) * (b2 - b) / (n * (n - 1.0) * (n - 2)) : 0;
        return triples + (a * b / (2 * n * (n - 1.0)));
    }

    private static (double Squares, double Pairs) Sums((long Below, long Above)[] scores) =>
        (scores.Sum(s => (double)(s.Below - s.Above) * (s.Below - s.Above)), scores.Sum(s => (double)(s.Below + s.Above)));

    /// <summary>Counts of what was seen, by rank (Fenwick 1994, Softw. Pract. Exper. 24, 327–336).</summary>
    private sealed class Tally(int ranks)
    {
        private readonly long[] sums = new long[ranks + 1];

        internal void Add(int rank)
        {
            for (var i = rank + 1; i < sums.Length; i += i & -i)
            {
                sums[i]++;
            }
        }

        /// <summary>How many have a rank below this one.</summary>
        internal long Below(int rank)
        {
            long sum = 0;
            for (var i = rank; i > 0; i -= i & -i)
            {
                sum += sums[i];
            }

            return sum;
        }
    }
}
