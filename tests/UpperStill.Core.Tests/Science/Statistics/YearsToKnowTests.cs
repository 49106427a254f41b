using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Science.Statistics;

public sealed class YearsToKnowTests
{
    [Fact]
    public void More_scatter_needs_more_years_and_a_greater_trend_fewer()
    {
        int?[] calmer = [.. new[] { 0.1, 0.2, 0.4, 0.8 }.Select(scatter => YearsToKnow.Of(0.05, scatter, 8))];
        Assert.Equal(calmer.Order(), calmer);
        Assert.True(calmer[0] < calmer[^1]);
        Assert.True(YearsToKnow.Of(0.1, 0.4, 8) < YearsToKnow.Of(0.05, 0.4, 8));
    }

    [Fact]
    public void Only_the_ratio_of_trend_and_scatter_counts_and_a_fall_needs_as_long_as_a_rise()
    {
        Assert.Equal(YearsToKnow.Of(0.05, 0.3, 8), YearsToKnow.Of(0.5, 3, 8));
        Assert.Equal(YearsToKnow.Of(0.05, 0.3, 8), YearsToKnow.Of(-0.05, 0.3, 8));
    }

    [Fact]
    public void The_years_agree_with_the_power_of_a_regression()
    {
        // A straight line fitted to n years has slope variance 12 σ²/(n³ - n); 80 % power at 5 % needs slope/se = 2.80. With slope 0.1 and
        // σ = 0.5: n³ - n = 2354, n = 13.3.
        // Mann–Kendall has 98 % of its efficiency, and t instead of z costs about a year.
        Assert.InRange(YearsToKnow.Of(0.1, 0.5, 8)!.Value, 13, 16);
    }

    [Theory]
    [InlineData(8)]
    [InlineData(12)]
    [InlineData(20)]
    [InlineData(35)]
    public void Made_up_series_of_so_many_years_show_the_trend_four_times_in_five(int years)
    {
        // The flattest trend that is promised to show after so many years, found by halving.
        var (low, high) = (0.0, 3.0);
        for (var i = 0; i < 40; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = YearsToKnow.Of(middle, 1, 8) is { } needed && needed <= years ? (low, middle) : (middle, high);
        }

        var chance = new Random(20260812);
        var seen = Enumerable
            .Range(0, 4000)
            .Count(_ =>
                KendallScore.Of([.. Enumerable.Range(0, years).Select(y => new TrendPoint(y, (high * y) + Bell(chance)))])
                    is { P: < 0.05, S: > 0 }
            );
        Assert.InRange(seen / 4000.0, 0.775, 0.825);
    }

    // Box & Muller 1958, Ann. Math. Stat. 29, 610–611.
    private static double Bell(Random chance) =>
        Math.Sqrt(-2 * Math.Log(1 - chance.NextDouble())) * Math.Cos(2 * Math.PI * chance.NextDouble());

    [Fact]
    public void Without_scatter_the_least_number_of_years_is_enough_and_without_a_trend_none_is()
    {
        Assert.Equal(8, YearsToKnow.Of(0.05, 0, 8));
        Assert.Null(YearsToKnow.Of(0, 0.3, 8));
        Assert.Null(YearsToKnow.Of(0.001, 5, 8));
    }
}
