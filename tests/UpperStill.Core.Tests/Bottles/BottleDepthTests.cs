using CsCheck;
using UpperStill.Core.Bottles;
using UpperStill.Core.Kit;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Tests.Bottles;

public class BottleDepthTests
{
    [Theory]
    [InlineData("14.7", 13)] // the handbook of the trade: whole metre, 1–2 m above the bottom
    [InlineData("14.0", 13)]
    [InlineData("5.0", 4)]
    public void The_deep_bottle_closes_at_the_whole_metre_above_the_bottom(string sounding, int depth) => Assert.Equal(depth, Deep(sounding).DepthM);

    [Fact]
    public void In_shallow_water_there_is_no_deep_bottle()
    {
        var result = Deep("4.9");

        Assert.Null(result.DepthM);
        Assert.True(result.Needless);
        Assert.Equal("deep-sample-needless", Assert.Single(result.Findings).Code);
    }

    [Theory]
    [InlineData("marks", "12.0", 11)]
    [InlineData("touch", "12.0", 11)]
    [InlineData("whole-metre", "12.0", 11)]
    public void Every_school_of_the_deep_bottle_keeps_off_the_bottom(string school, string sounding, int depth) =>
        Assert.Equal(depth, BottleDepthRule.Work(new BottleDepthRequest("deep", DeepSchool: school, Sounding: Metres(sounding))).DepthM);

    [Theory]
    [InlineData("1.5-m", false, "1.5")]
    [InlineData("1.5-m", true, "0.3")]
    [InlineData("zero", false, "0")]
    [InlineData("one-foot", false, "0.3")]
    [InlineData("arm", false, "0.4")]
    public void The_surface_bottle_closes_by_its_school(string school, bool byHand, string depth) =>
        Assert.Equal(decimal.Parse(depth, System.Globalization.CultureInfo.InvariantCulture), BottleDepthRule.Work(new BottleDepthRequest("surface", school, ByHand: byHand, Sounding: Metres("12.0"), Line: Rope)).DepthM);

    [Fact]
    public void On_a_rope_in_feet_the_surface_bottle_closes_at_five_feet()
    {
        var rope = new Line("R-3", "rope", LengthUnit.FootInch, new WrittenLength("3", LengthUnit.Inch), new WrittenLength("110", LengthUnit.FootInch));
        var result = BottleDepthRule.Work(new BottleDepthRequest("surface", Sounding: new WrittenLength("102", LengthUnit.FootInch), Line: rope));

        Assert.Equal(("5 ft 0 in", "5 0", 1.524m), (result.MarkText, result.Mark!.Written, result.DepthM));
    }

    [Fact]
    public void Layers_come_from_todays_profile_and_wait_for_it()
    {
        Assert.Equal("waits for the profile", Layer(1, null).Waits);
        Assert.Equal("no layers today: the water is mixed", Layer(1, null, read: true).Waits);
        Assert.Equal((false, true), (Layer(1, null).Needless, Layer(1, null, read: true).Needless));
        Assert.Equal([3m, 7.2m, 10.2m], Enumerable.Range(1, 3).Select(i => Layer(i, 7.2m).DepthM!.Value));

        static BottleDepthResult Layer(int number, decimal? thermocline, bool read = false) => BottleDepthRule.Work(new BottleDepthRequest(
            $"layer-{number}", Sounding: Metres("12.0"), ThermoclineM: thermocline, TopM: thermocline is null ? null : 6, BottomM: thermocline is null ? null : 8.4m, ProfileRead: read, Line: Rope));
    }

    [Fact]
    public void A_depth_moved_into_the_mud_is_a_stop()
    {
        var result = BottleDepthRule.Work(new BottleDepthRequest("deep", Sounding: Metres("12.0"), Moved: Metres("11.4")));

        Assert.Equal("11.40 m leaves 0.60 m above the bottom.".Replace(".40", ".4", StringComparison.Ordinal).Replace(".60", ".6", StringComparison.Ordinal), Assert.Single(result.Findings).Seen);
        Assert.Empty(BottleDepthRule.Work(new BottleDepthRequest("deep", Sounding: Metres("12.0"), Moved: Metres("11.0"))).Findings);
    }

    [Fact]
    public void A_line_that_is_too_short_is_said() =>
        Assert.Contains(BottleDepthRule.Work(new BottleDepthRequest("deep", Sounding: Metres("52"), Line: Rope)).Findings, f => f.Code == "line-too-short");

    [Fact]
    public void No_depth_ever_lies_within_the_clearance_nor_off_a_mark() =>
        Gen.Select(Gen.Int[20, 4000], Gen.Int[1, 50], Gen.OneOfConst("deep", "layer-1", "layer-2", "layer-3")).Sample((depth, mark, place) =>
        {
            var sounding = depth / 100m;
            var every = mark / 100m;
            var line = Rope with { MarkEvery = new WrittenLength(Decimals.Text(every), LengthUnit.Metre) };
            var result = BottleDepthRule.Work(new BottleDepthRequest(place, Sounding: Metres(Decimals.Text(sounding)), ThermoclineM: sounding * 0.6m, TopM: sounding * 0.5m, BottomM: sounding * 0.7m, ProfileRead: true, Line: line));

            if (result.DepthM is { } at && !result.Findings.Any(f => f.Level == Findings.FindingLevel.Stop))
            {
                Assert.True(at <= sounding - 1, $"{at} of {sounding}");
                Assert.True(at < every || at % every == 0, $"{at} on marks of {every}");
            }
        });

    private static readonly Line Rope = new("R-5", "rope", LengthUnit.Metre, new WrittenLength("0.1", LengthUnit.Metre), new WrittenLength("40", LengthUnit.Metre));

    private static BottleDepthResult Deep(string sounding) => BottleDepthRule.Work(new BottleDepthRequest("deep", Sounding: Metres(sounding), Line: Rope));

    private static WrittenLength Metres(string written) => new(written, LengthUnit.Metre);
}
