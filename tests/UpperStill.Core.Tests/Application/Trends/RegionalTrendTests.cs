using UpperStill.Core.Application.Trends;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Application.Trends;

/// <summary>Many stations: each counted once, and their scores together.</summary>
public sealed class RegionalTrendTests
{
    [Fact]
    public void Two_stations_that_say_little_say_something_together()
    {
        // Two series of eight years with S = 12 and variance 8·7·21/18 = 65.333…: Z = 23/√130.667 = 2.01207, both sides 0.04421, worked
        // outside of this code.
        var region = RegionalTrend.Together(
            Parameter.Clarity,
            [new RegionalStation(12, 196 / 3.0, 0.1736, 0.4), new RegionalStation(12, 196 / 3.0, 0.1736, 0.2)]
        );
        Assert.Equal((0, 0, 2, 0), (region.Rising, region.Falling, region.Unclear, region.TooFew));
        Assert.Equal(0.04421, region.P!.Value, 4);
        Assert.Equal(0.3, region.MedianPerDecade!.Value, 9);
        Assert.Equal("Over 2 stations together clarity is rising.", region.Headline);
        Assert.StartsWith(
            "0 rising, 0 falling, 2 not to be told from chance. All together p = 0.044;",
            region.Detail,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Stations_that_go_opposite_ways_cancel_and_are_still_counted()
    {
        var region = RegionalTrend.Together(
            Parameter.Clarity,
            [new RegionalStation(28, 196 / 3.0, 0.0008, 0.9), new RegionalStation(-28, 196 / 3.0, 0.0008, -0.9), new RegionalStation()]
        );
        Assert.Equal((1, 1, 0, 1, 1.0), (region.Rising, region.Falling, region.Unclear, region.TooFew, region.P));
        Assert.Equal("Over 2 stations together no change in clarity can be told from chance.", region.Headline);
        Assert.Contains("1 with too few years", region.Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_years_enough_anywhere_nothing_is_said()
    {
        var region = RegionalTrend.Together(Parameter.Chlorophyll, [new RegionalStation(), new RegionalStation()]);
        Assert.Equal(
            ("No station has years enough for a trend of chlorophyll.", "2 stations have fewer than 8 years.", (double?)null),
            (region.Headline, region.Detail, region.P)
        );
    }

    [Fact]
    public void A_station_enters_with_the_test_that_its_own_page_shows()
    {
        var answer = TrendRule.Answer(
            new TrendRequest(
                Parameter.Clarity,
                [.. Enumerable.Range(2010, 9).Select(y => new SeriesPoint(Guid.CreateVersion7(), new DateOnly(y, 7, 1), y - 2005))],
                new SummarySettings(6, 9, 1)
            )
        );
        Assert.Equal(new RegionalStation(36, answer.Annual!.Variance, answer.Annual.P, 10), RegionalStation.Of(answer));
        Assert.Null(RegionalStation.Of(answer with { Annual = null }).S);
    }
}
