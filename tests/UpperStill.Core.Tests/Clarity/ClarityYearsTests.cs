using UpperStill.Core.Clarity;
using UpperStill.Core.Programmes;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Tests.Clarity;

public class ClarityYearsTests
{
    private static readonly SummarySettings Summer = new(6, 9, 4);

    [Fact]
    public void A_year_with_enough_readings_has_a_mean_of_the_window_only()
    {
        var year = Assert.Single(Work(Point(2025, 5, 9m), Point(2025, 6, 4m), Point(2025, 7, 5m), Point(2025, 8, 5m), Point(2025, 9, 4m), Point(2025, 10, 9m)).Years);

        Assert.Equal((4, 4.5m, 4m, 5m, true), (year.Count, year.MeanM, year.LowM, year.HighM, year.Enough));
    }

    [Fact]
    public void A_missed_month_leaves_no_mean_and_says_how_many_there_were()
    {
        var year = Assert.Single(Work(Point(2025, 6, 4m), Point(2025, 7, 5m), Point(2025, 8, 5m)).Years);

        Assert.Null(year.MeanM);
        Assert.Equal("not enough (3 of 4)", year.Text);
    }

    [Fact]
    public void A_year_without_visits_stands_empty_between_its_neighbours() =>
        Assert.Equal([2023, 2024, 2025], Work(Point(2023, 6, 4m), Point(2025, 6, 4m)).Years.Select(y => y.Year));

    [Fact]
    public void Censored_readings_are_counted_and_named_and_never_averaged()
    {
        var year = Assert.Single(Work(Point(2025, 6, 2.6m, censored: true), Point(2025, 7, 1.8m), Point(2025, 8, 1.4m), Point(2025, 9, 2.0m), Point(2025, 9, 2.6m, censored: true)).Years);

        Assert.Null(year.MeanM);
        Assert.Equal(2.0m, year.MedianM);
        Assert.Equal("median 2.0 m; 2 of 5 on the bottom", year.Text);
    }

    [Fact]
    public void A_median_that_hangs_on_a_censored_value_is_not_given()
    {
        var year = Assert.Single(Work(Point(2025, 6, 1.0m, censored: true), Point(2025, 7, 1.8m), Point(2025, 8, 1.4m), Point(2025, 9, 2.0m)).Years);

        Assert.Null(year.MedianM);
    }

    [Fact]
    public void A_reading_with_an_open_stop_is_drawn_but_stays_out_of_the_mean()
    {
        var result = Work(Point(2025, 6, 4m), Point(2025, 7, 4m), Point(2025, 8, 4m), Point(2025, 9, 4m), Point(2025, 9, 90m) with { Usable = false });

        Assert.Equal(5, result.Points.Count);
        Assert.Equal(4m, Assert.Single(result.Years).MeanM);
    }

    [Fact]
    public void An_empty_record_is_an_empty_chart() => Assert.Empty(Work().Years);

    private static ClarityPoint Point(int year, int month, decimal depth, bool censored = false) =>
        new(Guid.CreateVersion7(), new DateOnly(year, month, 12), depth, censored, true);

    private static ClarityYearsResult Work(params ClarityPoint[] points) =>
        ClarityYears.Work(new ClarityYearsRequest(points, Summer, LengthUnit.Metre));
}
