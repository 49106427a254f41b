using CsCheck;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Tests.Protocols.Bottles;

public class BottleDepthTests
{
    [Theory]
    [InlineData("14.7", 13)] // the handbook of the trade: whole metre, 1–2 m above the bottom
    [InlineData("14.0", 13)]
    [InlineData("5.0", 4)]
    public void The_deep_bottle_closes_at_the_whole_metre_above_the_bottom(string sounding, int depth) =>
        Assert.Equal(depth, Deep(sounding).DepthM);

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
    public void Every_method_of_the_deep_bottle_keeps_off_the_bottom(string method, string sounding, int depth) =>
        Assert.Equal(
            depth,
            BottleDepthRule.Work(new BottleDepthRequest(new("deep"), DeepSchool: method, Sounding: Metres(sounding))).DepthM
        );

    [Theory]
    [InlineData("1.5-m", false, "1.5")]
    [InlineData("1.5-m", true, "0.3")]
    [InlineData("zero", false, "0")]
    [InlineData("one-foot", false, "0.3")]
    [InlineData("arm", false, "0.4")]
    public void The_surface_bottle_closes_by_its_method(string method, bool byHand, string depth) =>
        Assert.Equal(
            decimal.Parse(depth, System.Globalization.CultureInfo.InvariantCulture),
            BottleDepthRule
                .Work(new BottleDepthRequest(new("surface"), method, ByHand: byHand, Sounding: Metres("12.0")) { Line = Rope })
                .DepthM
        );

    [Fact]
    public void On_a_rope_in_feet_the_surface_bottle_closes_at_five_feet()
    {
        var rope = new Line(
            "R-3",
            "rope",
            LengthUnit.FootInch,
            new WrittenLength("3", LengthUnit.Inch),
            new WrittenLength("110", LengthUnit.FootInch)
        );
        var result = BottleDepthRule.Work(
            new BottleDepthRequest(new("surface"), Sounding: new WrittenLength("102", LengthUnit.FootInch)) { Line = rope }
        );

        Assert.Equal(("5 ft 0 in", "5 0", 1.524m), (result.MarkText, result.Mark!.Written, result.DepthM));
    }

    [Fact]
    public void Layers_come_from_todays_profile_and_wait_for_it()
    {
        Assert.Equal("waits for the profile", Layer(1, null).Waits);
        Assert.Equal("no layers today: the water is mixed", Layer(1, null, read: true).Waits);
        Assert.Equal((false, true), (Layer(1, null).Needless, Layer(1, null, read: true).Needless));
        Assert.Equal([3m, 7.2m, 10.2m], Enumerable.Range(1, 3).Select(i => Layer(i, 7.2m).DepthM!.Value));

        static BottleDepthResult Layer(int number, decimal? thermocline, bool read = false) =>
            BottleDepthRule.Work(
                new BottleDepthRequest(new($"layer-{number}"), Sounding: Metres("12.0"), ThermoclineM: thermocline)
                {
                    TopM = thermocline is null ? null : 6,
                    BottomM = thermocline is null ? null : 8.4m,
                    ProfileRead = read,
                    Line = Rope,
                }
            );
    }

    [Fact]
    public void A_depth_moved_into_the_mud_is_a_stop()
    {
        var result = BottleDepthRule.Work(new BottleDepthRequest(new("deep"), Sounding: Metres("12.0")) { Moved = Metres("11.4") });

        Assert.Equal(
            "11.40 m leaves 0.60 m above the bottom."
                .Replace(".40", ".4", StringComparison.Ordinal)
                .Replace(".60", ".6", StringComparison.Ordinal),
            Assert.Single(result.Findings).Seen
        );
        Assert.Empty(
            BottleDepthRule.Work(new BottleDepthRequest(new("deep"), Sounding: Metres("12.0")) { Moved = Metres("11.0") }).Findings
        );
    }

    [Fact]
    public void A_line_that_is_too_short_is_said() =>
        Assert.Contains(BottleDepthRule.Work(new BottleDepthRequest(new("deep"), Sounding: Metres("52")) { Line = Rope }).Findings, f =>
            f.Code == "line-too-short"
        );

    [Fact]
    public void No_depth_that_a_method_proposes_lies_within_the_clearance_or_off_a_mark_or_is_stopped() =>
        Gen.Select(
                Gen.Int[20, 4000],
                Gen.Int[1, 50],
                Gen.Int[0, 500],
                Gen.OneOfConst("deep", "layer-1", "layer-2", "layer-3"),
                Gen.OneOfConst("whole-metre", "marks", "touch", "fixed", "layers")
            )
            .Sample(
                (depth, mark, off, place, method) =>
                {
                    var (sounding, every, clearance) = (depth / 100m, mark / 100m, off / 100m);
                    var line = Rope with { MarkEvery = new WrittenLength(Decimals.Text(every), LengthUnit.Metre) };
                    var result = BottleDepthRule.Work(
                        new BottleDepthRequest(
                            new(place),
                            DeepSchool: method,
                            Sounding: Metres(Decimals.Text(sounding)),
                            ClearanceM: clearance,
                            ThermoclineM: sounding * 0.6m
                        )
                        {
                            TopM = sounding * 0.5m,
                            BottomM = sounding * 0.7m,
                            ProfileRead = true,
                            Line = line,
                        }
                    );

                    Assert.DoesNotContain(result.Findings, f => f.Level == Core.Basis.Findings.FindingLevel.Stop);
                    if (result.DepthM is { } at)
                    {
                        Assert.InRange(at, 0, sounding - clearance);
                        Assert.True(at < every || at % every == 0, $"{at} on marks of {every}");
                    }
                    else
                    {
                        Assert.True(result.Needless && result.Waits is not null);
                    }
                }
            );

    [Theory]
    [InlineData("12.5", "2", 10)] // 1–2 m above the bottom would be 11 m: within the clearance
    [InlineData("12.5", "0.5", 11)]
    [InlineData("12.0", "2", 10)]
    public void A_clearance_of_more_than_a_metre_lifts_the_deep_bottle(string sounding, string clearance, int depth)
    {
        var result = BottleDepthRule.Work(
            new BottleDepthRequest(
                new("deep"),
                Sounding: Metres(sounding),
                ClearanceM: decimal.Parse(clearance, System.Globalization.CultureInfo.InvariantCulture)
            )
            {
                Line = Rope,
            }
        );

        Assert.Equal((depth, 0), (result.DepthM, result.Findings.Count));
    }

    [Fact]
    public void The_fixed_depth_and_the_layer_are_what_they_say()
    {
        Assert.Equal(8, Of("fixed").DepthM);
        Assert.Equal(11, Of("fixed", fixedM: 20).DepthM); // the clearance stands before it
        Assert.Equal(10.2m, Of("layers").DepthM); // the middle of 8.4 to 12 m

        static BottleDepthResult Of(string method, decimal fixedM = 8) =>
            BottleDepthRule.Work(
                new BottleDepthRequest(new("deep"), DeepSchool: method, Sounding: Metres("12.0"), DeepFixedM: fixedM, ThermoclineM: 7)
                {
                    TopM = 6,
                    BottomM = 8.4m,
                    ProfileRead = true,
                    Line = Rope,
                }
            );
    }

    [Fact]
    public void Names_that_nobody_knows_and_depths_below_zero_are_refused()
    {
        var deep = new BottleDepthRequest(new("deep"), Sounding: Metres("12.0"));

        Assert.All(
            [
                deep with
                {
                    Place = new("middle"),
                },
                deep with
                {
                    DeepSchool = "deepest",
                },
                deep with
                {
                    Place = new("surface"),
                    SurfaceSchool = "ankle",
                },
                deep with
                {
                    ClearanceM = -1,
                },
                deep with
                {
                    DeepLeastM = -1,
                },
                deep with
                {
                    TopM = -0.1m,
                },
            ],
            request => Assert.Throws<ArgumentOutOfRangeException>(() => BottleDepthRule.Work(request))
        );
    }

    private static readonly Line Rope = new(
        "R-5",
        "rope",
        LengthUnit.Metre,
        new WrittenLength("0.1", LengthUnit.Metre),
        new WrittenLength("40", LengthUnit.Metre)
    );

    private static BottleDepthResult Deep(string sounding) =>
        BottleDepthRule.Work(new BottleDepthRequest(new("deep"), Sounding: Metres(sounding)) { Line = Rope });

    private static WrittenLength Metres(string written) => new(written, LengthUnit.Metre);
}
