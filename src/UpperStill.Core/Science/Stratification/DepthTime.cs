namespace UpperStill.Core.Science.Stratification;

/// <summary>What a depth–time map is of.</summary>
[System.Text.Json.Serialization.JsonConverter(typeof(System.Text.Json.Serialization.JsonStringEnumConverter<MapOf>))]
public enum MapOf
{
    /// <summary>Temperature, °C.</summary>
    [System.Text.Json.Serialization.JsonStringEnumMemberName("temperature")]
    Temperature,

    /// <summary>Dissolved oxygen, mg/L.</summary>
    [System.Text.Json.Serialization.JsonStringEnumMemberName("oxygen")]
    Oxygen,
}

/// <summary>Profiles to be laid out over depth and time.</summary>
/// <param name="Profiles">In any order.</param>
/// <param name="Of">What is drawn.</param>
public sealed record DepthTimeRequest(IReadOnlyList<EarlierProfile> Profiles, MapOf Of);

/// <summary>A stretch of visits without a gap, as a grid.</summary>
/// <param name="From">First day.</param>
/// <param name="StepDays">Days between two columns.</param>
/// <param name="Columns">How many columns.</param>
/// <param name="Values">Row by row from the surface down, column by column; null below the deepest reading.</param>
public sealed record DepthTimeBlock(DateOnly From, double StepDays, int Columns, IReadOnlyList<double?> Values);

/// <summary>A depth–time map.</summary>
/// <param name="Blocks">Stretches without a gap of more than 45 days; a visit that stands alone has none.</param>
/// <param name="Rows">How many rows a block has.</param>
/// <param name="StepM">Metres between two rows.</param>
/// <param name="Visits">Days of visits with a profile.</param>
/// <param name="Low">Least value.</param>
/// <param name="High">Greatest value.</param>
/// <param name="Gaps">Gaps that are left empty, in words.</param>
/// <param name="Contours">Where lines are drawn, rising; of oxygen also at 1 and 2 mg/L, below which water is hypoxic.</param>
public sealed record DepthTimeResult(
    IReadOnlyList<DepthTimeBlock> Blocks,
    int Rows,
    double StepM,
    IReadOnlyList<DateOnly> Visits,
    double Low,
    double High,
    IReadOnlyList<string> Gaps,
    IReadOnlyList<double> Contours
);

/// <summary>Lays profiles out over depth and time: straight between levels and between visits, never across a gap of more than 45
/// days.</summary>
public static class DepthTime
{
    private const int GreatestGapDays = 45;
    private const int Rows = 60;
    private const double StepDays = 2;
    private static readonly double[] OxygenContours = [1, 2, 4, 6, 8, 10, 12];
    private static readonly double[] TemperatureContours = [4, 6, 8, 10, 12, 14, 16, 18, 20, 22, 24];

    /// <summary>The map.</summary>
    public static DepthTimeResult Work(DepthTimeRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        double? Read(EarlierLevel level) => (double?)(request.Of == MapOf.Temperature ? level.Celsius : level.OxygenMgL);
        var contours = request.Of == MapOf.Oxygen ? OxygenContours : TemperatureContours;
        var profiles = request
            .Profiles.GroupBy(p => p.Day)
            .OrderBy(g => g.Key)
            .Select(g => new Column(
                g.Key,
                [.. g.First().Levels.Where(l => Read(l) is not null).Select(l => ((double)l.DepthM, Read(l)!.Value)).OrderBy(l => l.Item1)]
            ))
            .Where(c => c.Levels.Length > 1)
            .ToList();
        if (profiles.Count == 0)
        {
            return new DepthTimeResult([], Rows, 1, [], 0, 0, [], contours);
        }

        var step = profiles.Max(p => p.Levels[^1].DepthM) / (Rows - 1);
        List<List<Column>> stretches =
        [
            [profiles[0]],
        ];
        List<string> gaps = [];
        foreach (var (before, next) in profiles.Zip(profiles.Skip(1)))
        {
            if (next.Day.DayNumber - before.Day.DayNumber > GreatestGapDays)
            {
                stretches.Add([]);
                gaps.Add(
                    FormattableString.Invariant(
                        $"{before.Day:d MMM} to {next.Day:d MMM}: {next.Day.DayNumber - before.Day.DayNumber} days without a profile"
                    )
                );
            }

            stretches[^1].Add(next);
        }

        return new DepthTimeResult(
            [.. stretches.Where(s => s.Count > 1).Select(s => Block(s, step))],
            Rows,
            step,
            [.. profiles.Select(p => p.Day)],
            profiles.Min(p => p.Levels.Min(l => l.Value)),
            profiles.Max(p => p.Levels.Max(l => l.Value)),
            gaps,
            contours
        );
    }

    private static DepthTimeBlock Block(List<Column> stretch, double stepM)
    {
        var days = stretch[^1].Day.DayNumber - stretch[0].Day.DayNumber;
        var columns = Math.Max(2, (int)Math.Ceiling(days / StepDays) + 1);
        var step = days / (columns - 1.0);
        var values = new double?[Rows * columns];
        for (int column = 0, next = 1; column < columns; column++)
        {
            var day = stretch[0].Day.DayNumber + (column * step);
            while (next < stretch.Count - 1 && stretch[next].Day.DayNumber < day)
            {
                next++;
            }

            var (before, after) = (stretch[next - 1], stretch[next]);
            var share = (day - before.Day.DayNumber) / (after.Day.DayNumber - before.Day.DayNumber);
            for (var row = 0; row < Rows; row++)
            {
                values[(row * columns) + column] =
                    before.At(row * stepM) is { } a && after.At(row * stepM) is { } b ? Math.Round(a + (share * (b - a)), 3) : null;
            }
        }

        return new DepthTimeBlock(stretch[0].Day, step, columns, values);
    }

    /// <summary>The levels of one day.</summary>
    private sealed record Column(DateOnly Day, (double DepthM, double Value)[] Levels)
    {
        private const double Reach = 1.0;

        /// <summary>Straight between levels, the first up to the surface; null more than a metre below the last.</summary>
        internal double? At(double depthM)
        {
            if (depthM > Levels[^1].DepthM)
            {
                return depthM <= Levels[^1].DepthM + Reach ? Levels[^1].Value : null;
            }

            var below = Array.FindIndex(Levels, l => l.DepthM >= depthM);
            if (below == 0)
            {
                return Levels[0].Value;
            }

            var (top, bottom) = (Levels[below - 1], Levels[below]);
            return top.Value + ((bottom.Value - top.Value) * (depthM - top.DepthM) / (bottom.DepthM - top.DepthM));
        }
    }
}
