namespace UpperStill.Core.Science.Statistics;

/// <summary>
/// The slopes between all pairs of a series, by rank, without keeping them: a pair's slope is at most m where y - m t does not rise from
/// the
/// one to the other, so that counting falls in a sorted list counts slopes (Cole, Salowe, Steiger &amp; Szemerédi 1989, SIAM J. Comput. 18,
/// 792–810).
/// Time n log n for each step of a search by halves, memory n. Few slopes are simply sorted.
/// </summary>
internal sealed class SlopeRanks
{
    private const long Few = 400_000;
    private readonly TrendPoint[][] groups;
    private readonly double[]? sorted;
    private readonly double least;
    private readonly double most;
    private readonly long same;
    private readonly double[] heights = [];
    private readonly double[] room = [];

    /// <summary>Slopes within each of some groups; pairs of different groups are none.</summary>
    /// <param name="series">Values that are not censored, group by group.</param>
    internal SlopeRanks(IEnumerable<IEnumerable<TrendPoint>> series)
    {
        groups = [.. series.Select(g => g.OrderBy(p => p.T).ThenBy(p => p.Y).ToArray())];
        foreach (var group in groups)
        {
            var (pairs, alike, twice) = Count(group);
            Total += pairs - alike;
            same += twice;
        }

        if (Total <= Few)
        {
            sorted = [.. groups.SelectMany(Slopes)];
            Array.Sort(sorted);
            return;
        }

        var longest = groups.Max(g => g.Length);
        (heights, room) = (new double[longest], new double[longest]);

        // The steepest slope lies between neighbours in time.
        var beside = groups.SelectMany(Beside).ToList();
        (least, most) = (beside.Min(), beside.Max());
    }

    /// <summary>How many slopes there are.</summary>
    internal long Total { get; }

    /// <summary>The median slope; null without any.</summary>
    internal double? Median =>
        Total == 0 ? null
        : Total % 2 == 1 ? At((Total + 1) / 2)
        : (At(Total / 2) + At((Total / 2) + 1)) / 2;

    /// <summary>The slope of a rank from 1 to <see cref="Total"/>, straight between two ranks; null beyond them.</summary>
    internal double? Between(double rank)
    {
        if (rank < 1 || rank > Total)
        {
            return null;
        }

        var whole = (long)Math.Floor(rank);
        var below = At(whole);
        return whole < rank ? below + ((rank - whole) * (At(whole + 1) - below)) : below;
    }

    private double At(long rank)
    {
        if (sorted is not null)
        {
            return sorted[rank - 1];
        }

        var (low, high) = (least, most);
        for (var step = 0; step < 200 && high - low > 1e-13 * Math.Max(Math.Abs(low), Math.Abs(high)); step++)
        {
            var middle = low + ((high - low) / 2);
            if (middle <= low || middle >= high)
            {
                break;
            }

            (low, high) = AtMost(middle) >= rank ? (low, middle) : (middle, high);
        }

        return AtMost(low) >= rank ? low : high;
    }

    private long AtMost(double slope) => groups.Sum(g => Falls(g, slope)) - same;

    private long Falls(TrendPoint[] group, double slope)
    {
        for (var i = 0; i < group.Length; i++)
        {
            heights[i] = group[i].Y - (slope * (group[i].T - group[0].T));
        }

        return Merge(heights, room, 0, group.Length);
    }

    // Counts pairs i < j whose first is at least the second, while sorting.
    private static long Merge(double[] values, double[] room, int from, int until)
    {
        if (until - from < 2)
        {
            return 0;
        }

        var middle = (from + until) / 2;
        var count = Merge(values, room, from, middle) + Merge(values, room, middle, until);
        var (i, j) = (from, middle);
        for (var k = from; k < until; k++)
        {
            if (j < until && (i >= middle || values[j] <= values[i]))
            {
                count += middle - i;
                room[k] = values[j++];
            }
            else
            {
                room[k] = values[i++];
            }
        }

        Array.Copy(room, from, values, from, until - from);
        return count;
    }

    private static IEnumerable<double> Slopes(TrendPoint[] group)
    {
        for (var i = 0; i < group.Length; i++)
        {
            for (var j = i + 1; j < group.Length; j++)
            {
                if (group[j].T > group[i].T)
                {
                    yield return (group[j].Y - group[i].Y) / (group[j].T - group[i].T);
                }
            }
        }
    }

    private static IEnumerable<double> Beside(TrendPoint[] group)
    {
        var times = group.GroupBy(p => p.T).Select(g => (T: g.Key, Low: g.First().Y, High: g.Last().Y)).ToList();
        return times
            .Zip(times.Skip(1))
            .SelectMany(p =>
                new[] { (p.Second.Low - p.First.High) / (p.Second.T - p.First.T), (p.Second.High - p.First.Low) / (p.Second.T - p.First.T) }
            );
    }

    // All pairs, those at one time, and among these the ones with one value: the last are counted as falls at every slope.
    private static (long Pairs, long AtOneTime, long Same) Count(TrendPoint[] group)
    {
        static long Of(long n) => n * (n - 1) / 2;
        return (
            Of(group.Length),
            group.GroupBy(p => p.T).Sum(g => Of(g.LongCount())),
            group.GroupBy(p => (p.T, p.Y)).Sum(g => Of(g.LongCount()))
        );
    }
}
