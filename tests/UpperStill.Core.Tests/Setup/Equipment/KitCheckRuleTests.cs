using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Tests.Setup.Equipment;

public class KitCheckRuleTests
{
    private static readonly DateOnly Today = new(2026, 8, 12);

    private static readonly KitItem Rope = new(
        "R-4",
        "Old rope",
        KitKind.Line,
        Marks: new LineMarks(LengthUnit.FootInch, Inches("3"), Feet("80"))
    );

    [Fact]
    public void A_stretched_rope_is_said_with_the_day_from_which_readings_are_recomputed()
    {
        var finding = Assert.Single(Judge(Rope, Taped(("40", "40 11"))).Findings).Finding;

        Assert.Equal(("line-stretched", FindingLevel.Check), (finding.Code, finding.Level));
        Assert.Equal("R-4 reads 2.3 % off.", finding.Seen);
        Assert.Contains("since 1 Jan 2026", finding.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void After_an_earlier_check_of_the_year_it_holds_from_its_own_day() =>
        Assert.Contains(
            "since 30 Jul 2026",
            Judge(
                Rope with
                {
                    Checks = [Taped(("40", "40")) with { Id = Guid.NewGuid(), Day = new DateOnly(2026, 4, 11) }],
                },
                Taped(("40", "40 11"))
            )
                .Findings[0]
                .Finding.Why,
            StringComparison.Ordinal
        );

    [Theory]
    [InlineData("40", "40 4", false)] // 0.83 %
    [InlineData("40", "40 6", true)] // 1.25 %
    [InlineData("40", "39 6", true)]
    public void More_than_one_per_cent_asks_for_new_marks(string mark, string tape, bool stretched) =>
        Assert.Equal(stretched, Judge(Rope, Taped((mark, tape))).Findings.Any(f => f.Finding.Code == "line-stretched"));

    [Theory]
    [InlineData("factor-impossible", "40", "28")] // shrinks 30 %
    [InlineData("factor-impossible", "40", "52")]
    [InlineData("inches-too-many", "40", "40 13")]
    [InlineData("length-zero", "0", "0")]
    public void A_check_that_no_rope_could_give_is_not_kept(string code, string mark, string tape)
    {
        var finding = Assert.Single(Judge(Rope, Taped((mark, tape))).Findings).Finding;

        Assert.Equal((code, FindingLevel.Stop), (finding.Code, finding.Level));
    }

    [Fact]
    public void Marks_whose_tape_runs_backwards_are_not_kept() =>
        Assert.Equal("marks-order", Judge(Rope, Taped(("20", "20 5"), ("21", "20 4"))).Findings[0].Finding.Code);

    [Fact]
    public void A_check_without_marks_or_of_tomorrow_is_not_kept()
    {
        Assert.Equal("marks-missing", Judge(Rope, Check(KitCheckKind.Taped)).Findings[0].Finding.Code);
        Assert.Equal("day-ahead", Judge(Rope, Taped(("40", "40")) with { Day = Today.AddDays(1) }).Findings[0].Finding.Code);
    }

    [Theory]
    [InlineData(KitCheckKind.Calibrated, 100, 96.6, "%", "calibration-off")]
    [InlineData(KitCheckKind.Calibrated, 100, 97.2, "%", null)]
    [InlineData(KitCheckKind.EndCheck, 9.1, 8.7, "mg/L", "calibration-drift")]
    [InlineData(KitCheckKind.EndCheck, 9.1, 8.9, "mg/L", null)]
    [InlineData(KitCheckKind.Calibrated, 100, 90, "", "calibration-figures")]
    public void A_meter_that_drifted_is_said(KitCheckKind kind, double expected, double read, string unit, string? code) =>
        Assert.Equal(
            code,
            Judge(
                new KitItem("M-1", "Meter", KitKind.Meter),
                Check(kind) with
                {
                    Expected = (decimal)expected,
                    Read = (decimal)read,
                    Unit = unit,
                }
            )
                .Findings.SingleOrDefault()
                ?.Finding.Code
        );

    [Theory]
    [InlineData(0.2, "°C", null)]
    [InlineData(0.8, "°C", "thermometer-off")]
    [InlineData(32.5, "°F", null)]
    [InlineData(34, "°F", "thermometer-off")]
    [InlineData(0, "K", "ice-point-figures")]
    public void A_thermometer_reads_nothing_in_melting_ice(double read, string unit, string? code) =>
        Assert.Equal(
            code,
            Judge(
                new KitItem("T-1", "Thermometer", KitKind.Thermometer),
                Check(KitCheckKind.IcePoint) with
                {
                    Read = (decimal)read,
                    Unit = unit,
                }
            )
                .Findings.SingleOrDefault()
                ?.Finding.Code
        );

    [Fact]
    public void The_messengers_fall_is_a_speed() =>
        Assert.Equal(
            "3.08 m/s",
            Judge(
                new KitItem("V-1", "Sampler", KitKind.BottleSampler),
                Check(KitCheckKind.Timed) with
                {
                    Expected = 20,
                    Read = 6.5m,
                }
            ).Summary
        );

    [Fact]
    public void A_part_that_is_missing_is_said() =>
        Assert.Equal(
            "4 of 5 parts of C-1.",
            Judge(
                new KitItem("C-1", "Composite bottle", KitKind.CompositeSampler, Parts: 5),
                Check(KitCheckKind.Counted) with
                {
                    Counted = 4,
                }
            )
                .Findings[0]
                .Finding.Seen
        );

    [Fact]
    public void Each_kind_is_checked_in_its_own_way_only()
    {
        foreach (var (rule, kind) in KitRules.All.SelectMany(r => Enum.GetValues<KitCheckKind>().Select(k => (r, k))))
        {
            var refused = Judge(new KitItem("X-1", "thing", rule.Kind), Check(kind)).Findings.Any(f => f.Finding.Code == "check-unfit");
            Assert.Equal(!rule.Checks.Contains(kind), refused);
        }
    }

    [Theory]
    [InlineData("2026-04-11", false)]
    [InlineData("2025-04-11", true)]
    public void A_rope_falls_due_each_season(string day, bool overdue) =>
        Assert.Equal(
            overdue,
            KitDue
                .Of(
                    Rope with
                    {
                        Checks =
                        [
                            Taped(("40", "40")) with
                            {
                                Day = DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture),
                            },
                        ],
                    },
                    Today
                )!
                .Overdue
        );

    [Fact]
    public void A_meter_falls_due_after_thirty_days_and_says_since_when()
    {
        var due = KitDue.Of(
            new KitItem("M-1", "Meter", KitKind.Meter)
            {
                Checks = [Check(KitCheckKind.Calibrated) with { Day = new DateOnly(2026, 7, 8) }],
            },
            Today
        )!;

        Assert.Equal((new DateOnly(2026, 8, 7), true), (due.On, due.Overdue));
        Assert.Equal("M-1 was due 7 Aug 2026: last calibrated 8 Jul 2026.", due.Finding!.Seen);
    }

    [Fact]
    public void What_the_last_check_found_wrong_is_due_until_it_is_mended()
    {
        var stretched = Rope with { Checks = [Taped(("40", "40 11"))] };

        Assert.Equal("line-stretched", KitDue.Of(stretched, Today)!.Finding!.Code);
        Assert.False(
            KitDue
                .Of(stretched with { Checks = [.. stretched.Checks!, Taped(("40", "40")) with { Day = new DateOnly(2026, 8, 1) }] }, Today)!
                .Overdue
        );
    }

    [Fact]
    public void What_is_past_its_date_is_overdue_and_what_is_retired_never()
    {
        var lot = new KitItem("F-25", "Filters", KitKind.Filters, UsableUntil: new DateOnly(2026, 8, 11));

        Assert.True(KitDue.Of(lot, Today)!.Overdue);
        Assert.False(KitDue.Of(lot with { UsableUntil = Today }, Today)!.Overdue);
        Assert.Null(KitDue.Of(lot with { Condition = Condition.Retired }, Today));
        Assert.Null(KitDue.Of(Rope with { Condition = Condition.Mending }, Today));
    }

    [Theory]
    [InlineData(0, false)]
    [InlineData(2, true)]
    public void A_refractometer_that_is_off_in_distilled_water_shifts_every_salinity(int read, bool off) =>
        Assert.Equal(
            off,
            Judge(new KitItem("S-1", "Refractometer", KitKind.Refractometer), Check(KitCheckKind.Zeroed) with { Read = read })
                .Findings.Any(f => f.Finding.Code == "refractometer-off")
        );

    [Theory]
    [InlineData(6, false)]
    [InlineData(5, true)]
    public void Parts_that_are_not_all_there_are_missed(int counted, bool missing) =>
        Assert.Equal(
            missing,
            Judge(
                new KitItem("K-1", "Composite sampler", KitKind.CompositeSampler, Parts: 6),
                Check(KitCheckKind.Counted) with
                {
                    Counted = counted,
                }
            )
                .Findings.Any(f => f.Finding.Code == "parts-missing")
        );

    [Theory]
    [InlineData(0, 1, "parts-range")]
    [InlineData(100, 1, "parts-range")]
    [InlineData(99, 0, "figure-range")]
    [InlineData(99, 1, null)]
    public void Parts_and_figures_of_an_item_are_numbers_that_can_be(int parts, int volume, string? code) =>
        Assert.Equal(
            code,
            KitItemCheck
                .Findings(
                    new KitItem("V-1", "Sampler", KitKind.BottleSampler, Parts: parts, Figures: [new KitFigure("volume-l", volume)]),
                    []
                )
                .SingleOrDefault()
                ?.Finding.Code
        );

    [Theory]
    [InlineData("R 4", "rope", "code-format")]
    [InlineData("R-3", "rope", "code-used")]
    [InlineData("R-9", " ", "name-missing")]
    public void An_item_has_a_name_and_a_code_of_its_own(string code, string name, string finding) =>
        Assert.Contains(KitItemCheck.Findings(Rope with { Code = code, Name = name }, ["r-3"]), f =>
            f.Finding.Code == finding && f.Finding.Level == FindingLevel.Stop
        );

    [Fact]
    public void A_line_without_marks_that_can_be_read_is_not_kept()
    {
        Assert.Contains(KitItemCheck.Findings(Rope with { Marks = null }, []), f => f.Finding.Code == "marks-missing");
        Assert.Contains(KitItemCheck.Findings(Rope with { Marks = Rope.Marks! with { Usable = Feet("long") } }, []), f =>
            f.Field == "usable"
        );
        Assert.Empty(KitItemCheck.Findings(Rope, []));
    }

    private static KitCheckResult Judge(KitItem item, KitCheck check) => KitCheckRule.Judge(item, check, Today);

    private static KitCheck Check(KitCheckKind kind) => new(Guid.Empty, kind, new DateOnly(2026, 7, 30), "Ada");

    private static KitCheck Taped(params (string Mark, string Tape)[] marks) =>
        Check(KitCheckKind.Taped) with
        {
            Marks = [.. marks.Select(m => new TapedMark(Feet(m.Mark), Feet(m.Tape)))],
        };

    private static WrittenLength Feet(string written) => new(written, LengthUnit.FootInch);

    private static WrittenLength Inches(string written) => new(written, LengthUnit.Inch);
}
