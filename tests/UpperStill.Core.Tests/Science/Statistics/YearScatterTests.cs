using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Science.Statistics;

public sealed class YearScatterTests
{
    [Theory]
    [InlineData(4)]
    [InlineData(5)]
    [InlineData(8)]
    [InlineData(15)]
    [InlineData(40)]
    public void However_short_the_series_the_scatter_is_on_average_the_true_one(int years)
    {
        var random = new Random(20260812);
        var mean = Enumerable.Range(0, 20_000).Average(_ => YearScatter.Of(Series(random, years)));

        // Standard error of this mean: under 0.5 %.
        Assert.InRange(mean, 0.985, 1.015);
    }

    [Theory]
    [InlineData(5)]
    [InlineData(8)]
    [InlineData(20)]
    public void Nine_times_in_ten_the_true_scatter_lies_between_the_limits(int years)
    {
        var random = new Random(7);
        var hit = Enumerable
            .Range(0, 10_000)
            .Count(_ => YearScatter.Limits(YearScatter.Of(Series(random, years)), years) is var (small, great) && small <= 1 && great >= 1);

        Assert.InRange(hit / 10_000.0, 0.89, 0.91);
    }

    [Fact]
    public void A_line_without_scatter_has_none() =>
        Assert.Equal(0, YearScatter.Of([.. Enumerable.Range(2000, 9).Select(t => new TrendPoint(t, 0.5 * t))]), 9);

    // A trend that does not matter, and normal scatter of one.
    private static List<TrendPoint> Series(Random random, int years) =>
        [.. Enumerable.Range(0, years).Select(i => new TrendPoint(2000 + i, (0.3 * i) + Normal(random)))];

    private static double Normal(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
