using CsCheck;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.History;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Protocols.Secchi;

public class ClarityRuleTests
{
    private static readonly ClaritySettings Pair = new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.QuarterFoot);
    private static readonly ClaritySettings MetricPair = Pair with { RoundTo = RoundingMethod.TenthMetre };
    private static readonly ClaritySettings TwoPairs = new(EndPoint.Mean, 2, ObserverMethod.Same, RoundingMethod.Inch);
    private static readonly ClaritySettings Swap = new(EndPoint.Reappear, 2, ObserverMethod.Swap, RoundingMethod.TenthMetre);
    private static readonly ClaritySettings DisappearOnly = new(EndPoint.Disappear, 1, ObserverMethod.Same, RoundingMethod.WholeMetre);

    [Fact]
    public void The_mean_of_a_pair_is_what_two_people_adding_aloud_get_wrong()
    {
        var result = Work(Pair, Lost("12 9"), Seen("11 3"));

        Assert.Equal(3.6576m, result.MeanM);
        Assert.Equal("12 ft 0 in", result.Text);
        Assert.Equal(
            [
                "Reading 1: (12 ft 9 in + 11 ft 3 in) / 2 = 12 ft 0 in = 3.6576 m",
                "Reported to the nearest quarter foot, half away from zero, once: 12 ft 0 in",
            ],
            result.Working!.Steps
        );
        Assert.Equal(["12 ft 9 in", "11 ft 3 in"], result.Working.Inputs.Select(i => i.Text));
    }

    [Fact]
    public void Disappear_only_takes_the_one_mark_and_rounds_on_a_metre_wheel()
    {
        var result = Work(DisappearOnly, Lost("17.5", unit: LengthUnit.Metre));

        Assert.Equal(17.5m, result.MeanM);
        Assert.Equal("18 m", result.Text);
    }

    [Fact]
    public void Two_pairs_are_averaged_each_first_and_rounded_once()
    {
        // Midpoints 10 ft 0.5 in and 10 ft 2 in: rounded singly they would give 10 ft 2 in.
        var result = Work(TwoPairs, Lost("10 3"), Seen("9 10"), Lost("10 4", 2), Seen("10 0", 2));

        Assert.Equal(121.25m * 0.0254m, result.MeanM);
        Assert.Equal("10 ft 1 in", result.Text);
    }

    [Fact]
    public void Two_observers_read_where_it_comes_back()
    {
        var result = Work(Swap, Seen("4.6", 1, "Asa", LengthUnit.Metre), Seen("4.9", 2, "Bea", LengthUnit.Metre));

        Assert.Equal(4.75m, result.MeanM);
        Assert.Equal("4.8 m", result.Text);
        Assert.Equal(["Asa", "Bea"], result.Readings.Select(r => r.Observer));
        Assert.Empty(result.Findings);
    }

    [Fact]
    public void One_reading_where_two_are_asked_is_kept_used_and_said()
    {
        var result = Work(Swap, Seen("4.6", 1, "Asa", LengthUnit.Metre));

        Assert.Equal("4.6 m", result.Text);
        Assert.Contains("1 of 2 readings", result.Working!.Rule, StringComparison.Ordinal);
    }

    [Fact]
    public void Half_a_pair_is_not_a_reading() => Assert.Null(Work(Pair, Lost("12 9")).Text);

    [Fact]
    public void Two_pairs_far_apart_ask_for_a_third_and_then_the_median_stands()
    {
        DiscMark[] two =
        [
            Lost("10", 1, unit: LengthUnit.Foot),
            Seen("10", 1, unit: LengthUnit.Foot),
            Lost("15", 2, unit: LengthUnit.Foot),
            Seen("15", 2, unit: LengthUnit.Foot),
        ];
        Assert.Contains(Work(TwoPairs, two).Findings, f => f.Code == "clarity-readings-apart");

        var result = Work(TwoPairs, [.. two, Lost("11", 3, unit: LengthUnit.Foot), Seen("11", 3, unit: LengthUnit.Foot)]);

        Assert.Equal("11 ft 0 in", result.Text);
    }

    [Theory]
    [InlineData("11 3", "12 9", "clarity-reappear-deeper", FindingLevel.Stop)]
    [InlineData("12 9", "10 3", "clarity-pair-apart", FindingLevel.Check)]
    [InlineData("12 9", "12 9", "clarity-pair-same", FindingLevel.Note)]
    public void A_pair_is_questioned(string lost, string seen, string code, FindingLevel level)
    {
        var finding = Assert.Single(Work(Pair, Lost(lost), Seen(seen)).Findings);

        Assert.Equal((code, level), (finding.Code, finding.Level));
        Assert.Equal(2, finding.About.Count);
    }

    [Fact]
    public void A_pair_is_apart_only_beyond_both_limits()
    {
        // 0.4 m apart is more than 0.3 m, but not more than a tenth of 8 m.
        Assert.Empty(Work(MetricPair, Lost("8.2", unit: LengthUnit.Metre), Seen("7.8", unit: LengthUnit.Metre)).Findings);
    }

    [Theory]
    [InlineData("2.75", "clarity-below-bottom", FindingLevel.Stop)]
    [InlineData("2.7", "clarity-at-bottom", FindingLevel.Check)]
    [InlineData("2.5", "clarity-at-bottom", FindingLevel.Check)]
    public void The_sounding_is_the_floor(string depth, string code, FindingLevel level)
    {
        var finding = Assert.Single(
            Work(
                DisappearOnly with
                {
                    RoundTo = RoundingMethod.HundredthMetre,
                },
                sounding: "2.6",
                Lost(depth, unit: LengthUnit.Metre)
            ).Findings
        );

        Assert.Equal((code, level), (finding.Code, finding.Level));
    }

    [Fact]
    public void A_reading_well_above_the_bottom_is_left_alone() =>
        Assert.Empty(Work(DisappearOnly, sounding: "2.6", Lost("2.4", unit: LengthUnit.Metre)).Findings);

    [Fact]
    public void On_the_bottom_in_sight_is_greater_than_the_sounding_and_has_no_mean()
    {
        var result = ClarityRule.Work(
            new ClarityRequest(MetricPair, [], DiscOutcome.OnBottom, Sounding: new WrittenLength("2.6", LengthUnit.Metre))
        );

        Assert.Equal(("> 2.6 m", true, 2.6m, null), (result.Text, result.Censored, result.ClarityM, result.MeanM));
        Assert.Equal("clarity-on-bottom", Assert.Single(result.Findings).Code);
    }

    [Fact]
    public void On_the_bottom_needs_a_sounding() =>
        Assert.Contains(ClarityRule.Work(new ClarityRequest(MetricPair, [], DiscOutcome.OnBottom)).Findings, f =>
            f is { Code: "sounding-missing", Level: FindingLevel.Stop }
        );

    [Theory]
    [InlineData(DiscOutcome.InPlants, "lost in plants")]
    [InlineData(DiscOutcome.InMud, "lost in stirred sediment")]
    [InlineData(DiscOutcome.NotTaken, "not taken: fog")]
    public void What_is_not_a_clarity_gives_no_number_even_where_marks_stand(DiscOutcome outcome, string text)
    {
        var result = ClarityRule.Work(
            new ClarityRequest(MetricPair, [Lost("2", unit: LengthUnit.Metre), Seen("2", unit: LengthUnit.Metre)], outcome, "fog")
        );

        Assert.Equal((text, null, null), (result.Text, result.ClarityM, result.MeanM));
    }

    [Fact]
    public void Observers_who_differ_are_both_kept()
    {
        var result = Work(Swap, Seen("4.0", 1, "Asa", LengthUnit.Metre), Seen("5.0", 2, "Bea", LengthUnit.Metre));

        Assert.Equal("4.5 m", result.Text);
        Assert.Equal("clarity-observers-differ", Assert.Single(result.Findings).Code);
    }

    [Fact]
    public void Two_readings_of_one_person_are_not_two_observers() =>
        Assert.Equal(
            "clarity-same-observer",
            Assert.Single(Work(Swap, Seen("4.6", 1, "Asa", LengthUnit.Metre), Seen("4.6", 2, "asa", LengthUnit.Metre)).Findings).Code
        );

    [Fact]
    public void Unusual_for_the_month_needs_ten_values_and_more_than_three_and_a_half_deviations()
    {
        // Median 4.5 m, median absolute deviation 0.3 m: the limit is 4.5 ± 3.5 × 1.4826 × 0.3 = 2.94 to 6.06 m.
        decimal[] august = [4.0m, 4.1m, 4.2m, 4.3m, 4.4m, 4.6m, 4.7m, 4.8m, 4.9m, 5.0m];
        ClarityPoint[] history =
        [
            .. august.Select((d, i) => new ClarityPoint(Guid.CreateVersion7(), new DateOnly(2016 + i, 8, 12), d, false, true)),
        ];

        Assert.Contains("clarity-unusual", Codes("6.06", history));
        Assert.DoesNotContain("clarity-unusual", Codes("6.05", history));
        Assert.DoesNotContain("clarity-unusual", Codes("9", [.. history.Skip(1)]));
        Assert.DoesNotContain("clarity-unusual", Codes("9", [.. history.Select(h => h with { Censored = true })]));

        static IEnumerable<string> Codes(string depth, ClarityPoint[] history) =>
            ClarityRule
                .Work(
                    new ClarityRequest(
                        DisappearOnly with
                        {
                            RoundTo = RoundingMethod.HundredthMetre,
                        },
                        [Lost(depth, unit: LengthUnit.Metre)],
                        Day: new DateOnly(2026, 8, 12),
                        History: history
                    )
                )
                .Findings.Select(f => f.Code);
    }

    [Theory]
    [InlineData("3.25", LengthUnit.Metre, "0.1", LengthUnit.Metre, true)]
    [InlineData("3.2", LengthUnit.Metre, "0.1", LengthUnit.Metre, false)]
    [InlineData("11'1\"", LengthUnit.FootInch, "3", LengthUnit.Inch, true)]
    [InlineData("11'3\"", LengthUnit.FootInch, "3", LengthUnit.Inch, false)]
    public void A_reading_between_the_lines_marks_is_noted(string written, LengthUnit unit, string every, LengthUnit everyUnit, bool noted)
    {
        var line = new Line("R-9", "rope", unit, new WrittenLength(every, everyUnit), new WrittenLength("20", LengthUnit.Metre));
        var codes = ClarityRule
            .Work(new ClarityRequest(DisappearOnly, [Lost(written, unit: unit)], Line: line))
            .Findings.Select(f => f.Code);

        Assert.Equal(noted, codes.Contains("off-the-marks"));
    }

    [Fact]
    public void The_clarity_lies_between_the_marks_and_does_not_mind_their_order() =>
        Gen.Select(Gen.Int[1, 3000], Gen.Int[0, 100], Gen.Int[1, 3000], Gen.Int[0, 100])
            .Sample(
                (a, up1, b, up2) =>
                {
                    DiscMark[] marks =
                    [
                        Lost(Cm(a + up1), unit: LengthUnit.Centimetre),
                        Seen(Cm(a), unit: LengthUnit.Centimetre),
                        Lost(Cm(b + up2), 2, LengthUnit.Centimetre),
                        Seen(Cm(b), 2, null, LengthUnit.Centimetre),
                    ];
                    var result = Work(TwoPairs, marks);

                    Assert.InRange(result.MeanM!.Value * 100, Math.Min(a, b), Math.Max(a + up1, b + up2));
                    Assert.Equal(result.MeanM, Work(TwoPairs, [.. marks.Reverse()]).MeanM);
                }
            );

    private static string Cm(int value) => value.ToString(System.Globalization.CultureInfo.InvariantCulture);

    private static DiscMark Lost(string written, int lowering = 1, LengthUnit unit = LengthUnit.FootInch) =>
        new(lowering, DiscEvent.Disappeared, new WrittenLength(written, unit), null, Guid.CreateVersion7());

    private static DiscMark Seen(string written, int lowering = 1, string? observer = null, LengthUnit unit = LengthUnit.FootInch) =>
        new(lowering, DiscEvent.Reappeared, new WrittenLength(written, unit), observer, Guid.CreateVersion7());

    private static ClarityResult Work(ClaritySettings settings, params DiscMark[] marks) =>
        ClarityRule.Work(new ClarityRequest(settings, marks));

    private static ClarityResult Work(ClaritySettings settings, string sounding, params DiscMark[] marks) =>
        ClarityRule.Work(new ClarityRequest(settings, marks, Sounding: new WrittenLength(sounding, LengthUnit.Metre)));
}
