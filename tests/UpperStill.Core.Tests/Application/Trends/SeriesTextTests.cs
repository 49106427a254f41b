using UpperStill.Core.Application.Trends;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Application.Trends;

public sealed class SeriesTextTests
{
    [Theory]
    [InlineData("2013-06-15 4.2", "2013-06-15", 4.2, Censoring.None)]
    [InlineData("2013-06-15, 4.2", "2013-06-15", 4.2, Censoring.None)]
    [InlineData("2013-06-15,4.2", "2013-06-15", 4.2, Censoring.None)]
    [InlineData("2013-06-15;4,2", "2013-06-15", 4.2, Censoring.None)]
    [InlineData("15.6.2013\t> 3", "2013-06-15", 3, Censoring.Above)]
    [InlineData("2013-06-15 <0.5", "2013-06-15", 0.5, Censoring.Below)]
    [InlineData("2013 -1.5", "2013-07-01", -1.5, Censoring.None)]
    public void A_line_is_a_day_or_a_year_and_a_value(string line, string day, double value, Censoring censored)
    {
        var read = SeriesText.Read(new SeriesTextRequest(line));
        Assert.Empty(read.Findings);
        var point = read.Points.Single();
        Assert.Equal(
            (day, (decimal)value, censored),
            (point.Day.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture), point.Value, point.Censored)
        );
    }

    [Fact]
    public void A_line_that_cannot_be_read_is_named_and_the_others_stay()
    {
        var read = SeriesText.Read(new SeriesTextRequest("2013-06-15 4.2\nclear\n\n2014-06-15 four\n2015-06-15 4.4"));
        Assert.Equal([2013, 2015], read.Points.Select(p => p.Day.Year));
        Assert.Equal(
            ["Line 2, “clear”, is not a day and a value.", "Line 4, “2014-06-15 four”, is not a day and a value."],
            read.Findings.Select(f => f.Seen)
        );
        Assert.Equal(read.Points.Count, read.Points.DistinctBy(p => p.Visit).Count());
    }

    [Fact]
    public void One_day_tells_the_order_of_all_and_without_it_an_ambiguous_day_is_not_guessed()
    {
        Assert.Equal([6, 6], SeriesText.Read(new SeriesTextRequest("5/6/2013 4\n15/6/2013 4")).Points.Select(p => p.Day.Month));
        Assert.Empty(SeriesText.Read(new SeriesTextRequest("5/6/2013 4")).Points);
    }

    [Fact]
    public void Of_many_bad_lines_only_the_first_are_named() =>
        Assert.Equal(10, SeriesText.Read(new SeriesTextRequest(string.Join('\n', Enumerable.Repeat("?", 5000)))).Findings.Count);
}
