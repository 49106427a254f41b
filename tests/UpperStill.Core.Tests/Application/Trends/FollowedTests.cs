using UpperStill.Core.Application.Trends;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Application.Trends;

/// <summary>Which value of a visit a series follows.</summary>
public sealed class FollowedTests
{
    [Theory]
    [InlineData("deep surface composite", "composite")]
    [InlineData("deep surface", "surface")]
    [InlineData("layer-2 deep", "deep")]
    public void The_composite_stands_before_the_surface_and_that_before_the_rest(string places, string followed) =>
        Assert.Equal(followed, Subjects.Followed(places.Split(' '), p => p));

    [Fact]
    public void The_whole_stands_before_its_kinds() =>
        Assert.Equal(string.Empty, Subjects.Followed(["daphnia", string.Empty, "composite"], p => p));

    [Fact]
    public void A_result_of_the_laboratory_is_followed_under_the_analyte_s_code() =>
        Assert.Equal(
            ["clarity", "chlorophyll-a", "total-phosphorus"],
            new[] { Parameter.Clarity, Parameter.Chlorophyll, Parameter.Phosphorus }.Select(Subjects.ReadingCode)
        );

    [Theory]
    [InlineData("clarity profile", "thermocline", "clarity")]
    [InlineData("bacteria", "bacteria", "bacteria")]
    [InlineData("bacteria", "", "clarity")]
    [InlineData("bacteria", "bacteria clarity", "clarity")]
    [InlineData(null, "bacteria", "clarity")]
    public void A_station_where_no_clarity_is_read_begins_with_what_is(string? asked, string read, string first) =>
        Assert.Equal(
            new Parameter(first),
            Subjects.First(
                SampleVisit.Metric.Programme with
                {
                    Season = asked
                        ?.Split(' ')
                        .Select(p => new ProtocolPlan(new Protocol(p), Rhythm.Days, new DayOfYear(5, 1), new DayOfYear(9, 30)))
                        .ToList(),
                },
                [.. read.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(p => new Parameter(p))]
            )
        );

    [Fact]
    public void No_two_parts_give_one_code_with_two_meanings() =>
        Assert.All(VisitParts.All.SelectMany(p => p.Parameters).GroupBy(p => p.Code), g =>
            Assert.Single(g.Select(p => (p.Unit, p.Hanging, p.Log)).Distinct())
        );

    [Theory]
    [InlineData("Clarity", "clarity")]
    [InlineData("BottomOxygen", "bottom-oxygen")]
    [InlineData("bottom-oxygen", "bottom-oxygen")]
    public void What_an_earlier_build_kept_is_the_same_parameter(string kept, string code) =>
        Assert.Equal(new Parameter(code), Parameter.Kept(kept));
}
