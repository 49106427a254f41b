using UpperStill.Core.Application.Reports;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Application.Reports;

/// <summary>Each sentence of the coordinator's summary against the numbers that it stands on.</summary>
public sealed class CoordinatorSummaryTests
{
    private static readonly double[] Wobble = [0.1, -0.2, 0.15, 0.05, -0.1, 0.2, -0.15, 0, 0.1, -0.05];

    [Fact]
    public void What_was_done_is_counted()
    {
        var summary = CoordinatorSummary.Write(
            new SummaryRequest(2022, 3, [Station("North Arm", 8), Station("Deep Hole", 0), Station("Pier", 1, water: "Skarn Sound")])
        );
        Assert.Equal("3 people made 9 visits to 2 of 3 stations of 2 waters in 2022.", summary.Done);
        Assert.Contains("Nobody has been to Harrowmere, Deep Hole in 2022.", summary.ToDo);
        Assert.Equal("Nobody went out in 2022.", CoordinatorSummary.Write(new SummaryRequest(2022, 0, [Station("Deep Hole", 0)])).Done);
    }

    [Fact]
    public void What_moves_is_named_with_its_headline_and_the_rest_is_not_called_still()
    {
        var up = Trend((year, _) => 4 + (0.1 * year) + Wobble[year]);
        var summary = CoordinatorSummary.Write(
            new SummaryRequest(2022, 2, [Station("Deep Hole", 4, up), Station("North Arm", 4, Trend((year, _) => 4 + (year % 2)))])
        );
        Assert.Equal([$"Harrowmere, Deep Hole: {up.Headline}"], summary.Changing);
        Assert.Equal("In 1 series no change could be told from chance; that is not the same as no change.", summary.Still);
    }

    [Fact]
    public void Too_short_a_series_is_called_too_short()
    {
        var summary = CoordinatorSummary.Write(new SummaryRequest(2022, 2, [Station("Deep Hole", 4, Trend((_, _) => 4, from: 2019))]));
        Assert.Empty(summary.Changing);
        Assert.Equal("1 series is too short for a trend.", summary.Still);
    }

    [Fact]
    public void What_waits_stands_in_the_order_in_which_it_presses()
    {
        var summary = CoordinatorSummary.Write(
            new SummaryRequest(2022, 2, [Station("Deep Hole", 4, Trend((_, _) => 4, least: 6)) with { Waiting = 2, Open = 3, Lost = 1 }])
        );
        Assert.Equal(
            [
                "2 visits wait for sign-off and count in no trend yet: Harrowmere, Deep Hole (2).",
                "3 findings are open: Harrowmere, Deep Hole (3).",
                "Clarity of 2022 has no value yet at Harrowmere, Deep Hole (4 of 6).",
                "1 sample was lost or rejected: Harrowmere, Deep Hole (1).",
            ],
            summary.ToDo
        );
        Assert.Empty(CoordinatorSummary.Write(new SummaryRequest(2022, 2, [Station("Deep Hole", 4, Trend((_, _) => 4))])).ToDo);
    }

    [Fact]
    public void Of_many_stations_only_some_are_named()
    {
        var summary = CoordinatorSummary.Write(
            new SummaryRequest(2022, 2, [.. Enumerable.Range(1, 200).Select(i => Station($"S{i}", 1) with { Open = 1 })])
        );
        Assert.Equal(
            "200 findings are open: Harrowmere, S1 (1), Harrowmere, S2 (1), Harrowmere, S3 (1), Harrowmere, S4 (1), Harrowmere, S5 "
                + "(1) and 195 more.",
            summary.ToDo.Single()
        );
    }

    [Fact]
    public void A_year_stands_beside_the_median_of_those_before_it()
    {
        var beside = YearBeside.Of(Trend((year, _) => 4 + (0.1 * year)), 2022)!;
        Assert.Equal((4.9m, 4.4m, 9, 9), (beside.Value, beside.Median, beside.Earlier, beside.Below));
        Assert.Equal("4.4 m is the median of 9 earlier years; 9 of them lay below this one", beside.Words);
        Assert.Null(YearBeside.Of(Trend((_, _) => 4), 2023));

        var early = YearBeside.Of(Trend((_, _) => 4), 2014)!;
        Assert.Equal((null, null), (early.Median, early.Words));
        Assert.Equal("4 of 6", YearBeside.Of(Trend((_, _) => 4, least: 6), 2022)!.Text);
    }

    [Fact]
    public void The_numbers_of_a_station_stand_beside_the_words()
    {
        var year = StationYear.Of(Station("Deep Hole", 4, Trend((year, _) => 4 + (0.1 * year))) with { Waiting = 1, Lost = 2 });
        Assert.Equal(("Deep Hole", 4, 1, 0, 2), (year.Name, year.Visits, year.Waiting, year.Open, year.Lost));
        Assert.Equal(4.9m, year.Years["clarity"].Value);
        Assert.Empty(StationYear.Of(Station("Deep Hole", 0)).Years);
    }

    private static SummaryStation Station(string name, int visits, SeriesAnswer? clarity = null, string water = "Harrowmere") =>
        new(
            new Station("S", "w", water, "Aldwick", name, new WrittenLength("14.5", LengthUnit.Metre), 51.8, -21.4),
            visits,
            0,
            0,
            0,
            clarity is null ? [] : [SummaryTrend.Of(clarity, 2022)]
        );

    private static SeriesAnswer Trend(Func<int, int, double> value, int from = 2013, int least = 4) =>
        TrendRule.Answer(
            new TrendRequest(
                Parameter.Clarity,
                [
                    .. Enumerable
                        .Range(from, 2023 - from)
                        .SelectMany(year =>
                            Enumerable
                                .Range(6, 4)
                                .Select(month => new SeriesPoint(
                                    Guid.CreateVersion7(),
                                    new DateOnly(year, month, 15),
                                    decimal.Round((decimal)value(year - 2013, month), 2)
                                ))
                        ),
                ],
                new SummarySettings(6, 9, least)
            )
        );
}
