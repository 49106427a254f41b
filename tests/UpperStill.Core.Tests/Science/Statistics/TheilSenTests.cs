using CsCheck;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Science.Statistics;

public sealed class TheilSenTests
{
    private static readonly Gen<TrendPoint[]> AnySeries = (
        from t in Gen.Int[0, 30]
        from y in Gen.Double[-5, 5]
        select new TrendPoint(t, Math.Round(y, 2))
    )
        .Array[2, 30]
        .Where(s => s.Select(p => p.T).Distinct().Count() > 1);

    [Fact]
    public void Sens_own_example()
    {
        // Sen 1968, J. Am. Stat. Assoc. 63, 1379–1389: seven points, slope 4.
        int[] t = [1, 2, 3, 4, 10, 12, 18],
            y = [9, 15, 19, 20, 45, 55, 78];
        var line = TheilSen.Of([.. t.Zip(y, (a, b) => new TrendPoint(a, b))]);
        Assert.Equal((4, 21L), (line.Slope!.Value, line.Slopes));
        Assert.Equal(4, line.Intercept, 9); // median(y) - 4 median(t) = 20 - 16
    }

    [Fact]
    public void Worked_from_the_definitions_alone()
    {
        var line = TheilSen.Of(KendallScoreTests.Thirteen);
        Assert.Equal(-0.075, line.Slope!.Value, 9);
        Assert.Equal(-0.1, line.Low!.Value, 9);
        Assert.Equal(-0.05, line.High!.Value, 9);
        Assert.Equal(156.6, line.Intercept, 6);
    }

    [Fact]
    public void Shifted_it_is_the_same_stretched_it_stretches_and_reversed_in_time_it_turns() =>
        Gen.Select(AnySeries, Gen.Double[0.1, 9], Gen.Double[-50, 50])
            .Sample(
                (series, by, shift) =>
                {
                    var line = TheilSen.Of(series);
                    Same(line.Slope! * by, TheilSen.Of([.. series.Select(p => p with { Y = (p.Y * by) + shift })]).Slope);
                    Same(line.Slope! / by, TheilSen.Of([.. series.Select(p => p with { T = (p.T * by) - shift })]).Slope);
                    var reversed = TheilSen.Of([.. series.Select(p => p with { T = -p.T })]);
                    Same(-line.Slope!, reversed.Slope);
                    Same(-line.High, reversed.Low);
                }
            );

    [Fact]
    public void The_limits_hold_the_slope_between_them() =>
        AnySeries.Sample(series =>
        {
            var line = TheilSen.Of(series);
            Assert.True(line.Low is null || line.Low <= line.Slope);
            Assert.True(line.High is null || line.High >= line.Slope);
        });

    [Fact]
    public void Censored_values_have_no_slope()
    {
        var line = TheilSen.Of([new(1, 1), new(2, 2), new(3, 9, Censoring.Above), new(4, 4)]);
        Assert.Equal((1.0, 3L), (line.Slope!.Value, line.Slopes));
        Assert.Null(TheilSen.Of([new(1, 3, Censoring.Above), new(2, 3, Censoring.Above)]).Slope);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void Of_many_points_the_slopes_are_counted_and_not_kept_with_the_same_answer(bool ties)
    {
        // 1500 points have 1.1 million slopes: above what is sorted.
        var chance = new Random(7);
        TrendPoint[] series =
        [
            .. Enumerable
                .Range(0, 1500)
                .Select(i => new TrendPoint(ties ? i / 3 : i, (0.01 * i) + (ties ? chance.Next(0, 4) : chance.NextDouble()))),
        ];
        double[] all =
        [
            .. (
                from i in Enumerable.Range(0, series.Length)
                from j in Enumerable.Range(i + 1, series.Length - i - 1)
                where series[j].T > series[i].T
                select (series[j].Y - series[i].Y) / (series[j].T - series[i].T)
            ).Order(),
        ];
        var line = TheilSen.Of(series);
        Assert.Equal(all.LongLength, line.Slopes);
        Assert.Equal((all[(all.Length - 1) / 2] + all[all.Length / 2]) / 2, line.Slope!.Value, 10);
        var half = Distributions.NormalQuantile(0.975) * Math.Sqrt(KendallScore.Of(series).Variance);
        Assert.InRange(line.Low!.Value, all[(int)((all.Length - half) / 2) - 2] - 1e-9, all[(int)((all.Length - half) / 2) + 1] + 1e-9);
    }

    [Fact]
    public void Forty_thousand_points_need_no_memory_of_their_pairs()
    {
        var chance = new Random(11);
        TrendPoint[] series = [.. Enumerable.Range(0, 40_000).Select(i => new TrendPoint(i, (0.002 * i) + chance.NextDouble()))];
        var before = GC.GetAllocatedBytesForCurrentThread();
        var line = TheilSen.Of(series);
        Assert.Equal(0.002, line.Slope!.Value, 6);
        Assert.Equal(799_980_000, line.Slopes);

        // Its eight hundred million slopes would take 6.4 GB; what is taken and given back again stays far below.
        Assert.True(GC.GetAllocatedBytesForCurrentThread() - before < 200_000_000);
    }

    private static void Same(double? expected, double? actual)
    {
        Assert.Equal(expected is null, actual is null);
        Assert.True(
            expected is null || Math.Abs(expected.Value - actual!.Value) <= 1e-9 * (1 + Math.Abs(expected.Value)),
            $"{expected} and {actual}"
        );
    }
}
