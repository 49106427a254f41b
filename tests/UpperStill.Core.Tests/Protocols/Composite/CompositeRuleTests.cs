using CsCheck;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Protocols.Composite;

public class CompositeRuleTests
{
    private static readonly CompositeSettings Twice = new(
        CompositeDepthRule.Factor,
        2,
        new WrittenLength("3", LengthUnit.FootInch),
        CompositeMethod.WeightedBottle
    );
    private static readonly CompositeSettings TwiceMetric = Twice with { Clearance = new WrittenLength("1", LengthUnit.Metre) };
    private static readonly Line Rope = new(
        "R-3",
        "rope",
        LengthUnit.FootInch,
        new WrittenLength("1", LengthUnit.FootInch),
        new WrittenLength("60", LengthUnit.FootInch)
    );

    [Fact]
    public void Twice_twelve_feet_is_twenty_four_not_twenty_five()
    {
        var result = Work(Twice, 3.6576m, "102", LengthUnit.FootInch, Rope);

        Assert.Equal(("24 ft 0 in", 7.3152m, 7.3152m), (result.Text, result.TargetM, result.LayerM));
        Assert.Empty(result.Findings);
        Assert.Equal(
            [
                "min(24 ft 0 in, 102 ft − 3 ft = 99 ft 0 in) = 24 ft 0 in = 7.3152 m",
                "Nearest mark of R-3 (every 1 ft), never past the clearance: 24 ft 0 in = 7.3152 m",
            ],
            result.Working!.Steps
        );
    }

    [Theory]
    [InlineData("4.0", "30", "8.0 m")]
    [InlineData("4.0", "8.5", "7.5 m")] // the clearance takes half a metre
    [InlineData("4.0", "9.0", "8.0 m")] // both rules agree
    public void It_is_the_lesser_of_twice_the_clarity_and_the_sounding_less_the_clearance(string clarity, string sounding, string text) =>
        Assert.Equal(
            text,
            Work(TwiceMetric, decimal.Parse(clarity, System.Globalization.CultureInfo.InvariantCulture), sounding, LengthUnit.Metre).Text
        );

    [Theory]
    [InlineData("1", "4.0 m")]
    [InlineData("2.5", "10.0 m")]
    [InlineData("2.7", "10.8 m")]
    public void The_factor_is_the_methods(string factor, string text) =>
        Assert.Equal(
            text,
            Work(
                TwiceMetric with
                {
                    Factor = decimal.Parse(factor, System.Globalization.CultureInfo.InvariantCulture),
                },
                4,
                "31",
                LengthUnit.Metre
            ).Text
        );

    [Fact]
    public void The_unrounded_clarity_is_doubled() => Assert.Equal(7.57m, Work(TwiceMetric, 3.785m, "31", LengthUnit.Metre).TargetM);

    [Fact]
    public void A_censored_clarity_is_never_doubled()
    {
        var result = CompositeRule.Work(new CompositeRequest(TwiceMetric, null, true, new WrittenLength("2.6", LengthUnit.Metre)));

        Assert.Equal(("1.6 m", null), (result.Text, result.LayerM));
        Assert.Equal("composite-from-bottom", Assert.Single(result.Findings).Code);
    }

    [Theory]
    [InlineData("7.4", "7 ft 0 in")]
    [InlineData("7.6", "8 ft 0 in")]
    [InlineData("7.5", "7 ft 0 in")] // a tie goes to the shallower mark
    public void It_goes_to_the_nearest_mark_of_the_line(string feet, string text) =>
        Assert.Equal(
            text,
            Work(
                Twice with
                {
                    Factor = 1,
                },
                decimal.Parse(feet, System.Globalization.CultureInfo.InvariantCulture) * 0.3048m,
                "40",
                LengthUnit.FootInch,
                Rope
            ).Text
        );

    [Fact]
    public void A_mark_past_the_clearance_gives_way_to_the_shallower_one()
    {
        // Limit 10 ft 8 in: the nearest mark, 11 ft, would be past it.
        Assert.Equal("10 ft 0 in", Work(Twice, 20 * 0.3048m, "13 8", LengthUnit.FootInch, Rope).Text);
    }

    [Fact]
    public void A_line_too_short_stops_and_names_its_end()
    {
        var result = Work(Twice, 40 * 0.3048m, "102", LengthUnit.FootInch, Rope);

        Assert.Equal("line-too-short", Assert.Single(result.Findings).Code);
        Assert.Equal("60 ft 0 in", result.Text);
    }

    [Fact]
    public void Without_clarity_or_sounding_there_is_no_depth()
    {
        Assert.Equal(
            "composite-no-clarity",
            Assert
                .Single(CompositeRule.Work(new CompositeRequest(Twice, Sounding: new WrittenLength("30", LengthUnit.Metre))).Findings)
                .Code
        );
        Assert.Equal("sounding-missing", Assert.Single(CompositeRule.Work(new CompositeRequest(Twice, 3)).Findings).Code);
    }

    [Fact]
    public void Water_shallower_than_the_clearance_has_no_composite()
    {
        var result = Work(TwiceMetric, 0.4m, "0.8", LengthUnit.Metre);

        Assert.Equal("composite-too-deep", Assert.Single(result.Findings).Code);
        Assert.Null(result.Text);
    }

    [Theory]
    [InlineData("5.0", new[] { 5, 4, 3, 2, 1 })]
    [InlineData("4.6", new[] { 4, 3, 2, 1 })]
    [InlineData("5.1", new int[0])] // deeper: the tube
    public void A_preset_depth_to_five_metres_is_pooled_from_whole_metres(string preset, int[] casts)
    {
        var settings = TwiceMetric with
        {
            DepthRule = CompositeDepthRule.Preset,
            Method = CompositeMethod.PooledOrTube,
            Preset = new WrittenLength(preset, LengthUnit.Metre),
        };

        Assert.Equal(casts, CompositeRule.Work(new CompositeRequest(settings, Sounding: new WrittenLength("20", LengthUnit.Metre))).Casts!);
    }

    [Fact]
    public void A_preset_below_the_clearance_stops_and_names_the_best()
    {
        var settings = TwiceMetric with { DepthRule = CompositeDepthRule.Preset, Preset = new WrittenLength("6", LengthUnit.Metre) };
        var finding = Assert.Single(
            CompositeRule.Work(new CompositeRequest(settings, Sounding: new WrittenLength("6.5", LengthUnit.Metre))).Findings
        );

        Assert.Equal((FindingLevel.Stop, "Set 5.5 m."), (finding.Level, finding.Act));
    }

    [Fact]
    public void It_never_comes_nearer_the_bottom_than_the_clearance_nor_further_than_half_a_mark_from_the_target() =>
        Gen.Select(Gen.Int[1, 2000], Gen.Int[110, 4000], Gen.OneOfConst("0.1", "0.5", "1"))
            .Sample(
                (clarityCm, soundingCm, every) =>
                {
                    var line = new Line(
                        "R-1",
                        "rope",
                        LengthUnit.Metre,
                        new WrittenLength(every, LengthUnit.Metre),
                        new WrittenLength("100", LengthUnit.Metre)
                    );
                    var result = Work(TwiceMetric, clarityCm / 100m, $"{soundingCm / 100m}", LengthUnit.Metre, line);
                    var step = line.MarkEvery.Read().Length!.Value.Metres;

                    Assert.True(result.MarkM <= (soundingCm / 100m) - 1);
                    Assert.True(result.TargetM - result.MarkM < step);
                    Assert.True(result.MarkM - result.TargetM < step / 2);
                }
            );

    private static CompositeResult Work(
        CompositeSettings settings,
        decimal clarityM,
        string sounding,
        LengthUnit unit,
        Line? line = null
    ) => CompositeRule.Work(new CompositeRequest(settings, clarityM, false, new WrittenLength(sounding, unit), line));
}
