using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Paper;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Protocols.Paper;

public class WorkedByHandTests
{
    // 12 ft 9 in and 11 ft 3 in: the mean is 12 ft, twice it 24 ft.
    private static SampleVisit Feet()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        visit.Lost("12 9");
        visit.Seen("11 3");
        return visit;
    }

    [Theory]
    [InlineData(HandSum.Clarity, "12 7", Beside.Clarity)]
    [InlineData(HandSum.Layer, "22", Beside.Composite)]
    [InlineData(HandSum.Composite, "25", Beside.Composite)]
    public void A_sum_that_slipped_is_shown_beside_the_worked_figure(HandSum sum, string typed, Beside beside)
    {
        var visit = Feet();
        visit.Write(PaperKinds.WorkedByHand, new WorkedByHandBody(sum, new WrittenLength(typed, LengthUnit.FootInch)));

        var finding = Assert.Single(visit.Fold().Findings, f => f.Code == "working-differs");

        Assert.Equal((FindingLevel.Check, beside), (finding.Level, finding.Beside));
        Assert.Equal("12 ft 0 in", visit.Fold().Clarity.Result.Text);
    }

    [Theory]
    [InlineData(HandSum.Clarity, "12 6")]
    [InlineData(HandSum.Layer, "24")]
    [InlineData(HandSum.Composite, "23 6")]
    public void Within_half_a_foot_the_sum_of_the_sheet_agrees(HandSum sum, string typed)
    {
        var visit = Feet();
        visit.Write(PaperKinds.WorkedByHand, new WorkedByHandBody(sum, new WrittenLength(typed, LengthUnit.FootInch)));

        var sheet = visit.Fold();

        Assert.DoesNotContain(sheet.Findings, f => f.Code == "working-differs");
        Assert.Equal(sum, Assert.Single(sheet.Sums).Sum);
    }

    // A rope that reads 10 % short: 40 ft of marks are 44 ft.
    [Theory]
    [InlineData(HandSum.Clarity, "12", false)]
    [InlineData(HandSum.Clarity, "13 2", true)]
    [InlineData(HandSum.Layer, "24", false)]
    [InlineData(HandSum.Layer, "26 5", true)]
    [InlineData(HandSum.Composite, "24", false)]
    [InlineData(HandSum.Composite, "26 5", true)]
    public void Sums_by_the_marks_of_a_stretched_line_are_no_slip(HandSum sum, string typed, bool slipped)
    {
        var visit = Feet();
        visit.Write(PaperKinds.WorkedByHand, new WorkedByHandBody(sum, new WrittenLength(typed, LengthUnit.FootInch)));
        var mark = new TapedMark(new WrittenLength("40", LengthUnit.FootInch), new WrittenLength("44", LengthUnit.FootInch));
        var stretched = SampleVisit.Context with
        {
            Lines = [SampleVisit.Context.Lines[0] with { Checks = [new LineCheck(new DateOnly(2026, 4, 11), [mark])] }],
        };

        var sheet = visit.Fold(stretched);

        Assert.InRange(sheet.Clarity.Result.MeanM!.Value, 4.02m, 4.03m); // 13.2 ft
        Assert.Equal(slipped, sheet.Findings.Any(f => f.Code == "working-differs"));
    }

    [Fact]
    public void In_metres_a_tenth_is_allowed_and_the_programme_may_say_otherwise()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity);
        visit.SoundMetres("11.9");
        visit.LostMetres("3.4");
        visit.Write(PaperKinds.WorkedByHand, new WorkedByHandBody(HandSum.Clarity, new WrittenLength("3.6", LengthUnit.Metre)));

        Assert.Equal(
            "You wrote 3.6 m; the marks give 3.4 m.",
            Assert.Single(visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "working-differs").Seen
        );

        var generous = SampleVisit.Metric with
        {
            Programme = SampleVisit.Metric.Programme with
            {
                Thresholds = new Dictionary<string, decimal> { ["checks.working-differs"] = 0.3m },
            },
        };
        Assert.DoesNotContain(visit.Fold(generous).Findings, f => f.Code == "working-differs");
    }

    [Fact]
    public void A_sum_that_cannot_be_read_says_so_and_struck_it_is_gone()
    {
        var visit = Feet();
        var sum = visit.Write(
            PaperKinds.WorkedByHand,
            new WorkedByHandBody(HandSum.Clarity, new WrittenLength("about 12", LengthUnit.FootInch))
        );
        Assert.Contains(visit.Fold().Findings, f => f.About.Contains(sum.Id) && f.Beside == Beside.Clarity);

        visit.Strike(sum);
        Assert.Empty(visit.Fold().Sums);
        Assert.DoesNotContain(visit.Fold().Findings, f => f.About.Contains(sum.Id));
    }
}
