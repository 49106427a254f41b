using UpperStill.Core.Protocols.Secchi;

namespace UpperStill.Core.Tests.Protocols.Secchi;

public class ColourChartTests
{
    [Theory]
    [InlineData(new[] { 7 }, null, "moss")]
    [InlineData(new[] { 8, 7 }, null, "between moss and straw")]
    [InlineData(new[] { 7 }, true, "moss, murky")]
    [InlineData(new int[0], false, "clear")]
    [InlineData(new[] { 12 }, null, "step 12")]
    public void A_colour_is_said_in_words(int[] steps, bool? murky, string words) =>
        Assert.Equal(words, ColourChart.Work(new ColourBody(steps, murky)).Text);

    [Fact]
    public void The_chart_runs_from_one_to_eleven_each_with_a_name_of_its_own()
    {
        var chart = ColourChart.Work(new ColourBody()).Chart;

        Assert.Equal(Enumerable.Range(1, 11), chart.Select(c => c.Step));
        Assert.Equal(11, chart.Select(c => c.Name).Distinct().Count());
        Assert.All(chart, c => Assert.Matches("^#[0-9a-f]{6}$", c.Hex));
    }
}
