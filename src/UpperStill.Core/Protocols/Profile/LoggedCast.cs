namespace UpperStill.Core.Protocols.Profile;

/// <summary>Picks from the log of a meter the rows that make a profile: the way down, without the soak at the surface and without what the
/// swell lifted.</summary>
public static class LoggedCast
{
    // A sensor at the surface moves this much with the waves.
    private const double SoakM = 0.15;

    // Shallower than what was reached already by more than this: lifted by the swell.
    private const double LiftedM = 0.05;

    // A file whose way down covers less than this part of the depth was started at the bottom.
    private const double LeastDown = 0.5;

    /// <summary>The rows of the way down, in order; of the way up, deepest last, where the file has nothing else.</summary>
    /// <param name="depthsM">Depth of each row, m; rows above the surface or without a depth are not a number.</param>
    /// <returns>Their places, and true where they are of the way up.</returns>
    public static (IReadOnlyList<int> Rows, bool WayUp) Pick(ReadOnlySpan<double> depthsM)
    {
        var (deepest, shallowest, any) = (-1, double.MaxValue, false);
        for (var i = 0; i < depthsM.Length; i++)
        {
            if (!double.IsNaN(depthsM[i]))
            {
                deepest = deepest < 0 || depthsM[i] >= depthsM[deepest] ? i : deepest;
                shallowest = Math.Min(shallowest, depthsM[i]);
                any = true;
            }
        }

        if (!any)
        {
            return ([], false);
        }

        var range = depthsM[deepest] - shallowest;
        var down = Falling(depthsM, deepest, -1);
        if (range <= SoakM || depthsM[deepest] - depthsM[down[0]] >= LeastDown * range)
        {
            return (down, false);
        }

        return (Falling(depthsM, deepest, 1), true);
    }

    // From the shallowest place before (or after) the deepest row on: each row at least as deep as all between.
    private static List<int> Falling(ReadOnlySpan<double> depthsM, int deepest, int step)
    {
        var lowest = double.MaxValue;
        for (var i = deepest; i >= 0 && i < depthsM.Length; i += step)
        {
            lowest = double.IsNaN(depthsM[i]) ? lowest : Math.Min(lowest, depthsM[i]);
        }

        var from = deepest;
        while (double.IsNaN(depthsM[from]) || depthsM[from] > lowest + SoakM)
        {
            from += step;
        }

        List<int> rows = [];
        var reached = double.MinValue;
        for (var i = from; i != deepest - step; i -= step)
        {
            if (depthsM[i] >= reached - LiftedM)
            {
                rows.Add(i);
                reached = Math.Max(reached, depthsM[i]);
            }
        }

        return rows;
    }

    /// <summary>Which rows belong to which level: those nearer to it than to its neighbours, and no further off than half the way to the
    /// nearer one.</summary>
    /// <param name="depthsM">Depth of each row, m.</param>
    /// <param name="rows">The rows that were picked.</param>
    /// <param name="levelsM">The levels, m, from the surface down.</param>
    public static IReadOnlyList<IReadOnlyList<int>> Bin(
        ReadOnlySpan<double> depthsM,
        IReadOnlyList<int> rows,
        IReadOnlyList<double> levelsM
    )
    {
        ArgumentNullException.ThrowIfNull(rows);
        ArgumentNullException.ThrowIfNull(levelsM);
        var bins = new List<int>[levelsM.Count];
        for (var i = 0; i < bins.Length; i++)
        {
            bins[i] = [];
        }

        foreach (var row in rows)
        {
            var nearest = Nearest(depthsM[row], levelsM);
            if (nearest >= 0 && Math.Abs(depthsM[row] - levelsM[nearest]) <= Half(levelsM, nearest))
            {
                bins[nearest].Add(row);
            }
        }

        return bins;
    }

    /// <summary>The median of some numbers, those that are missing left out; not a number where all are. In floating point, unlike
    /// <see cref="Basis.Quantities.Decimals.Median"/>: a level may have thousands of rows.</summary>
    /// <param name="values">All values.</param>
    /// <param name="rows">The rows meant.</param>
    public static double Median(ReadOnlySpan<double> values, IReadOnlyList<int> rows)
    {
        ArgumentNullException.ThrowIfNull(rows);
        List<double> here = [];
        foreach (var row in rows)
        {
            if (!double.IsNaN(values[row]))
            {
                here.Add(values[row]);
            }
        }

        here.Sort();
        var middle = here.Count / 2;
        return here.Count == 0 ? double.NaN
            : here.Count % 2 == 1 ? here[middle]
            : (here[middle - 1] + here[middle]) / 2;
    }

    private static int Nearest(double depth, IReadOnlyList<double> levels)
    {
        var (low, high) = (0, levels.Count - 1);
        while (low < high)
        {
            var middle = (low + high) / 2;
            if (levels[middle] + levels[middle + 1] < 2 * depth)
            {
                low = middle + 1;
            }
            else
            {
                high = middle;
            }
        }

        return levels.Count == 0 ? -1 : low;
    }

    private static double Half(IReadOnlyList<double> levels, int i)
    {
        var above = i > 0 ? levels[i] - levels[i - 1] : double.MaxValue;
        var below = i < levels.Count - 1 ? levels[i + 1] - levels[i] : double.MaxValue;
        var gap = Math.Min(above, below);
        return gap == double.MaxValue ? 0.5 : gap / 2;
    }
}
