using UpperStill.Core.Application.Trends;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Application.Trends;

public sealed class YearSumsTests
{
    private static readonly SummarySettings Summer = new(6, 9, 4);

    [Fact]
    public void A_year_with_enough_readings_has_a_mean_of_the_window_only()
    {
        var year = Assert.Single(
            Years(Point(2025, 5, 9m), Point(2025, 6, 4m), Point(2025, 7, 5m), Point(2025, 8, 5m), Point(2025, 9, 4m), Point(2025, 10, 9m))
        );
        Assert.Equal((4, 4.5m, 4.5m, 4m, 5m, true), (year.Count, year.Mean, year.Median, year.Low, year.High, year.Enough));

        // s² = (0.25 + 0.25 + 0.25 + 0.25) / 3, by hand; its root over √4.
        Assert.Equal(0.288675m, year.StandardError);
    }

    [Fact]
    public void A_year_without_visits_stands_empty_between_its_neighbours() =>
        Assert.Equal([(2023, 1), (2024, 0), (2025, 1)], Years(Point(2023, 6, 4m), Point(2025, 6, 4m)).Select(y => (y.Year, y.Count)));

    [Fact]
    public void Censored_readings_are_counted_and_named_and_never_averaged()
    {
        var year = Assert.Single(
            Years(
                Point(2025, 6, 2.6m, Censoring.Above),
                Point(2025, 7, 1.8m),
                Point(2025, 8, 1.4m),
                Point(2025, 9, 2.0m),
                Point(2025, 9, 2.6m, Censoring.Above, day: 20)
            )
        );
        Assert.Equal((null, 2.0m, 2), (year.Mean, year.Median, year.CensoredCount));
        Assert.Equal("median 2.0 m of 5; 2 beyond a limit", year.Text);
    }

    [Fact]
    public void A_median_that_hangs_on_a_censored_value_is_a_limit()
    {
        var year = Assert.Single(
            Years(Point(2025, 6, 1.0m, Censoring.Above), Point(2025, 7, 1.8m), Point(2025, 8, 1.4m), Point(2025, 9, 2.0m))
        );
        Assert.Equal(
            (null, 1.6m, Censoring.Above, "median > 1.6 m of 4; 1 beyond a limit"),
            (year.Median, year.Value, year.Censored, year.Text)
        );
    }

    [Fact]
    public void A_reading_with_an_open_stop_is_drawn_but_stays_out_of_the_mean()
    {
        var result = Work(
            Point(2025, 6, 4m),
            Point(2025, 7, 4m),
            Point(2025, 8, 4m),
            Point(2025, 9, 4m),
            Point(2025, 9, 90m, day: 20) with
            {
                Usable = false,
            }
        );
        Assert.Equal((5, 4m), (result.Points.Count, Assert.Single(result.Years).Mean));
    }

    // The five counts of a beach: their mean is drawn up by one bad day, their geometric mean is not.
    [Fact]
    public void A_geometric_mean_stands_for_the_year_where_it_is_asked_and_the_median_where_a_value_lies_below_a_limit()
    {
        SeriesPoint[] counts = [.. new[] { 20m, 45, 10, 130, 88 }.Select((n, i) => Point(2025, 7, n, day: i + 1))];
        var year = Assert.Single(TrendRule.Work(new TrendRequest(Parameter.Value, counts, Summer, AnnualStatistic.GeometricMean)).Years);
        Assert.Equal(40.04m, decimal.Round(year.Value!.Value, 2));
        Assert.StartsWith("geometric mean 40.0", year.Text, StringComparison.Ordinal);

        var censored = Assert.Single(
            TrendRule
                .Work(
                    new TrendRequest(
                        Parameter.Value,
                        [counts[0] with { Censored = Censoring.Below }, .. counts[1..]],
                        Summer,
                        AnnualStatistic.GeometricMean
                    )
                )
                .Years
        );
        Assert.Equal(45m, censored.Value);
        Assert.StartsWith("median 45", censored.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_window_may_run_over_the_turn_of_the_year() =>
        Assert.Equal(
            [(2025, 2)],
            TrendRule
                .Work(
                    new TrendRequest(
                        Parameter.Clarity,
                        [Point(2024, 12, 3m), Point(2025, 1, 3m), Point(2025, 6, 3m)],
                        new SummarySettings(11, 2, 1)
                    )
                )
                .Years.Select(y => (y.Year, y.Count))
        );

    [Fact]
    public void An_empty_record_is_an_empty_chart() => Assert.Empty(Years());

    private static IReadOnlyList<YearSummary> Years(params SeriesPoint[] points) => Work(points).Years;

    private static TrendResult Work(params SeriesPoint[] points) => TrendRule.Work(new TrendRequest(Parameter.Clarity, points, Summer));

    private static SeriesPoint Point(int year, int month, decimal depth, Censoring censored = Censoring.None, int day = 12) =>
        new(Guid.CreateVersion7(), new DateOnly(year, month, day), depth, censored);
}
