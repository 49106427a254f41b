using CsCheck;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Setup.Equipment;

public class LineCorrectionTests
{
    private static readonly ClaritySettings Pair = new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.HundredthMetre);

    [Fact]
    public void A_single_factor_holds_along_the_whole_line()
    {
        // True length / marked length: 10 m by the marks is 10.30 m by the tape, so 4 m is 4.12 m.
        var result = Clarity(Rope(new DateOnly(2026, 4, 11), ("10", "10.30")), "4.00", "4.00");

        Assert.Equal((4.12m, "4.12 m", "4.00 m"), (result.ClarityM, result.Text, result.AsReadText));
        Assert.Contains(result.Working!.Steps, s => s.Contains("the mark 10 m is at 10.30 m", StringComparison.Ordinal));
    }

    [Fact]
    public void Between_marks_that_were_taped_it_changes_evenly()
    {
        var rope = Rope(new DateOnly(2026, 4, 11), ("5", "5.00"), ("10", "10.40"));

        Assert.Equal(3.00m, Clarity(rope, "3.00", "3.00").ClarityM);
        Assert.Equal(7.70m, Clarity(rope, "7.50", "7.50").ClarityM);
        Assert.Equal(20.80m, Clarity(rope, "20.00", "20.00").ClarityM);
    }

    [Fact]
    public void A_rope_that_was_true_changes_nothing()
    {
        var result = Clarity(Rope(new DateOnly(2026, 4, 11), ("10", "10.00")), "4.00", "3.80");

        Assert.Equal((3.90m, null), (result.ClarityM, result.AsReadText));
    }

    [Theory]
    [InlineData("2026-07-01", "4.12")] // before the check of the same year: taped when somebody wondered
    [InlineData("2026-08-12", "4.12")]
    [InlineData("2025-08-12", "4.04")] // the check of its own year
    [InlineData("2024-08-12", "4.00")] // nothing is known of that year
    [InlineData("2027-05-01", "4.12")] // not taped yet that year: the last one known
    public void The_check_of_the_year_holds(string day, string clarity)
    {
        var rope = Rope(new DateOnly(2026, 7, 30), ("10", "10.30"));
        rope = rope with { Checks = [.. rope.Checks!, new LineCheck(new DateOnly(2025, 4, 11), [Taped("10", "10.10")])] };

        Assert.Equal(
            clarity,
            Decimals.Fixed(
                Clarity(rope, "4.00", "4.00", DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture)).ClarityM!.Value,
                2
            )
        );
    }

    [Fact]
    public void Of_two_checks_of_one_day_the_later_stands()
    {
        var rope = Rope(new DateOnly(2026, 4, 11), ("10", "10.30"));
        rope = rope with { Checks = [.. rope.Checks!, new LineCheck(new DateOnly(2026, 4, 11), [Taped("10", "10.10")])] };

        Assert.Equal(4.04m, Clarity(rope, "4.00", "4.00").ClarityM);
        Assert.Equal(4.04m, Clarity(rope, "4.00", "4.00", new DateOnly(2026, 2, 1)).ClarityM);
    }

    [Fact]
    public void A_struck_check_corrects_nothing()
    {
        var check = new KitCheck(Guid.NewGuid(), KitCheckKind.Taped, new DateOnly(2026, 4, 11), "Ada", [Taped("10", "10.30")]);
        var item = new KitItem(
            "R-9",
            "rope",
            KitKind.Line,
            Marks: new LineMarks(LengthUnit.Metre, new WrittenLength("0.1", LengthUnit.Metre), new WrittenLength("40", LengthUnit.Metre))
        )
        {
            Checks = [check],
        };

        Assert.Equal(4.12m, Clarity(item.AsLine()!, "4.00", "4.00").ClarityM);
        Assert.Equal(4.00m, Clarity((item with { Checks = [check with { Struck = "misread tape" }] }).AsLine()!, "4.00", "4.00").ClarityM);
    }

    [Fact]
    public void The_composite_is_marked_where_the_stretched_line_is_truly_so_deep()
    {
        var rope = Rope(new DateOnly(2026, 4, 11), ("10", "10.25"));
        var result = CompositeRule.Work(
            new CompositeRequest(
                new CompositeSettings(
                    CompositeDepthRule.Factor,
                    2,
                    new WrittenLength("1", LengthUnit.Metre),
                    CompositeMethod.WeightedBottle
                ),
                4.10m,
                false,
                new WrittenLength("30", LengthUnit.Metre),
                rope,
                Day: new DateOnly(2026, 8, 12)
            )
        );

        // 8.2 m of depth is 8.0 m by its marks.
        Assert.Equal(("8.0 m", 8.2m), (result.Text, result.MarkM));
    }

    [Fact]
    public void A_longer_reading_is_never_truly_shorter_and_the_way_back_leads_home() =>
        Gen.Select(Gen.Int[95, 105].Array[1, 5], Gen.Int[1, 4000], Gen.Int[1, 4000])
            .Sample(
                (factors, a, b) =>
                {
                    var marks = factors.Select((f, i) => (Mark: (i + 1) * 500, Tape: ((i + 1) * 500) + ((f - 100) * 5))).ToList();
                    var rope = Rope(new DateOnly(2026, 4, 11), [.. marks.Select(m => (Cm(m.Mark), Cm(m.Tape)))]);
                    var correction = rope.CorrectionOn(new DateOnly(2026, 5, 1));
                    if (correction is null)
                    {
                        Assert.All(factors, f => Assert.Equal(100, f));
                        return;
                    }

                    var (low, high) = (Math.Min(a, b) / 100m, Math.Max(a, b) / 100m);
                    Assert.True(correction.TrueM(low) <= correction.TrueM(high));
                    Assert.Equal(low, correction.MarkM(correction.TrueM(low)), 10);
                }
            );

    private static string Cm(int centimetres) => Decimals.Fixed(centimetres / 100m, 2);

    private static TapedMark Taped(string mark, string tape) =>
        new(new WrittenLength(mark, LengthUnit.Metre), new WrittenLength(tape, LengthUnit.Metre));

    private static Line Rope(DateOnly day, params (string Mark, string Tape)[] marks) =>
        new(
            "R-9",
            "rope",
            LengthUnit.Metre,
            new WrittenLength("0.1", LengthUnit.Metre),
            new WrittenLength("40", LengthUnit.Metre),
            [new LineCheck(day, [.. marks.Select(m => Taped(m.Mark, m.Tape))])]
        );

    private static ClarityResult Clarity(Line line, string lost, string seen, DateOnly? day = null) =>
        ClarityRule.Work(
            new ClarityRequest(
                Pair,
                [
                    new DiscMark(1, DiscEvent.Disappeared, new WrittenLength(lost, LengthUnit.Metre)),
                    new DiscMark(1, DiscEvent.Reappeared, new WrittenLength(seen, LengthUnit.Metre)),
                ],
                Line: line,
                Day: day ?? new DateOnly(2026, 8, 12)
            )
        );
}
