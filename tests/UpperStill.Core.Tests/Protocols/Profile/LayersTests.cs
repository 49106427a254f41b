using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Protocols.Profile;

/// <summary>What makes a layer, and what counts in it.</summary>
public sealed class LayersTests
{
    [Fact]
    public void Twelve_kilograms_of_salt_in_a_metre_are_a_layer_though_the_water_is_equally_warm()
    {
        var figures = Work([new(0.5m, 15m, null, 2), new(1.5m, 15m, null, 2), new(2.5m, 15.1m, null, 18), new(3.5m, 15.1m, null, 18)]);

        Assert.Equal(("Halocline, by density", 2m), (figures["thermocline"].Label, figures["thermocline"].DepthM!.Value));
        Assert.DoesNotContain(figures.Values, f => f.Text.Contains("mixed", StringComparison.Ordinal));
        Assert.Equal("nowhere", figures["degree"].Text);
    }

    [Fact]
    public void Half_a_degree_in_fresh_water_is_no_layer() =>
        Assert.Equal("none, mixed", Work([new(1, 20, null, 0), new(2, 19.8m, null, 0), new(3, 19.5m, null, 0)])["thermocline"].Text);

    [Theory]
    [InlineData("1.1", "1.1", "3.3")] // 1.1 °C in 1.1 m: in binary a little less than one
    [InlineData("0.3", "0.3", "0.9")]
    [InlineData("1", "1", "3")]
    [InlineData("0.7", "0.7", "2.1")]
    public void Exactly_a_degree_a_metre_is_a_degree_a_metre_whatever_the_step(string step, string falls, string bottom)
    {
        var (by, off) = (Number(step), Number(falls));
        var figures = Work([
            new(0, 20, null, 0),
            new(by, 20 - off, null, 0),
            new(2 * by, 20 - (2 * off), null, 0),
            new(3 * by, 20 - (3 * off), null, 0),
            new(4 * by, 20 - (3 * off), null, 0),
        ]);

        // 0.9 °C in all is a step of the surface, and not said.
        Assert.Equal(Number(bottom) < 1 ? "nowhere" : $"0.0 m–{Number(bottom):0.0} m", figures["degree"].Text);
    }

    [Fact]
    public void The_buoyancy_frequency_is_that_of_the_steepest_layer()
    {
        var figure = Work([new(0, 20, null, 0), new(1, 20, null, 0), new(2, 10, null, 0), new(3, 10, null, 0)])["buoyancy"];

        // 9.80665 / 998.951 × (999.700 − 998.203): the densities of EOS-80 at 20 and 10 °C.
        Assert.Equal(0.0147, (double)figure.Value!.Value, 4);
        Assert.Contains("g / ρ̄ × dρ/dz", figure.Working!.Steps[0], StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("0:1000 5:500 10:-1", "hypsography-negative")]
    [InlineData("0:1000 5:2000 10:0", "hypsography-order")]
    [InlineData("1:1000 5:500 10:0", "hypsography-surface")]
    [InlineData("0:1000 5:500 5:400", "hypsography-order")]
    [InlineData("0:1000 5:500 10:0", null)]
    public void A_table_of_areas_that_is_none_is_said_and_nothing_is_integrated_over_it(string rows, string? code)
    {
        AreaAtDepth[] table = [.. rows.Split(' ').Select(r => r.Split(':')).Select(r => new AreaAtDepth(Number(r[0]), Number(r[1])))];
        var result = ProfileRule.Work(new ProfileRequest([new(1, 20, 9, 0), new(8, 10, 1, 0)], table));

        Assert.Equal(code, result.Findings.SingleOrDefault()?.Code);
        Assert.Equal(code is null, result.Figures.Any(f => f.Key == "stability"));
    }

    [Fact]
    public void The_area_without_oxygen_comes_from_the_profile()
    {
        // 1 mg/L is crossed at 7 m; there the table has 300 of 1000 m².
        var figure = ProfileRule
            .Work(new ProfileRequest([new(0, 20, 9, 0), new(6, 10, 2, 0), new(8, 10, 0, 0)], [new(0, 1000), new(10, 0)]))
            .Figures.Single(f => f.Key == "anoxic-area");

        Assert.Equal(("30 %", 30m), (figure.Text, figure.Value!.Value));
    }

    [Fact]
    public void A_number_with_an_open_stop_counts_nowhere_and_counts_once_it_is_answered()
    {
        var visit = Begun(("0.3", "20", "9"), ("1", "20", "9"));
        var odd = visit.Level("2", "19", "98"); // mg/L? per cent
        var profile = Fold(visit);

        Assert.True(profile.Levels[2].OxygenOpen);
        Assert.Null(profile.Levels[2].CountedMgL);
        Assert.Equal(19, profile.Levels[2].CountedC);
        Assert.Equal("9.0 mg/L at 1.0 m", profile.Figures.Single(f => f.Key == "bottom-oxygen").Text);

        visit.Keep("oxygen-as-percent", "it is so", odd);
        Assert.Equal("98.0 mg/L at 2.0 m", Fold(visit).Figures.Single(f => f.Key == "bottom-oxygen").Text);
        Assert.False(Fold(visit).Levels[2].OxygenOpen);
    }

    [Fact]
    public void A_temperature_with_an_open_stop_takes_its_level_out_of_the_column()
    {
        var visit = Begun(("0.3", "20", null), ("1", "19", null));
        visit.Level("2", "64.4"); // °F
        var profile = Fold(visit);

        Assert.True(profile.Levels[2].TemperatureOpen);
        Assert.Equal([0.3m, 1], profile.Asked.Levels.Select(l => l.DepthM));
    }

    [Fact]
    public void With_a_check_open_what_follows_is_about_right_and_says_so()
    {
        var visit = Begun(("0.3", "20", null), ("1", "20", null), ("2", "16", null));
        var inverted = visit.Level("3", "17");
        Assert.StartsWith("about ", Fold(visit).Figures.Single(f => f.Key == "thermocline").Text, StringComparison.Ordinal);

        visit.Keep("density-falls", "a spring is here", inverted);
        Assert.Equal("1.5 m", Fold(visit).Figures.Single(f => f.Key == "thermocline").Text);
    }

    private static SheetProfile Fold(SampleVisit visit) => visit.Fold(SampleVisit.Metric).Profile!;

    private static SampleVisit Begun(params (string Depth, string Celsius, string? Oxygen)[] levels)
    {
        var visit = SampleVisit.MetricBegun(Protocol.Profile);
        visit.SoundMetres("12.0");
        visit.Calibrate();
        foreach (var (depth, celsius, oxygen) in levels)
        {
            visit.Level(depth, celsius, oxygen);
        }

        return visit;
    }

    private static Dictionary<string, ProfileFigure> Work(IReadOnlyList<ProfileLevel> levels) =>
        ProfileRule.Work(new ProfileRequest(levels)).Figures.ToDictionary(f => f.Key);

    private static decimal Number(string written) => decimal.Parse(written, System.Globalization.CultureInfo.InvariantCulture);
}
