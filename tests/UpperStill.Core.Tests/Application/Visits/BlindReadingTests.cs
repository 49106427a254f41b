using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Application.Visits;

/// <summary>Of two observers none knows the other's number before both have read: not from a box, a finding, a sum or the log.</summary>
public sealed class BlindReadingTests
{
    private static readonly VisitContext Swap = SampleVisit.Metric with
    {
        Programme = SampleVisit.Metric.Programme with
        {
            Clarity = new ClaritySettings(EndPoint.Disappear, 2, ObserverMethod.Swap, RoundingMethod.TenthMetre),
        },
    };

    [Fact]
    public void The_first_number_stands_nowhere_on_the_sheet_until_the_second_is_in()
    {
        var visit = Begun();
        Read(visit, 1, "Asa", "13.7"); // deeper than the water: a stop, and it waits
        var sheet = visit.Fold(Swap);

        Assert.True(sheet.Clarity.Blind);
        Assert.DoesNotContain("13.7", SampleVisit.Json(sheet), StringComparison.Ordinal);
        Assert.DoesNotContain(sheet.Findings, f => f.Beside == Beside.Clarity && f.Code == "clarity-below-bottom");
        Assert.Equal("1 of 2", sheet.Steps.Single(s => s.Name == "clarity").Summary);

        Read(visit, 2, "Tomas", "3.4");
        sheet = visit.Fold(Swap);
        Assert.False(sheet.Clarity.Blind);
        Assert.Contains(sheet.Findings, f => f.Code == "clarity-below-bottom");
        Assert.Equal("13.7 m", sheet.Clarity.Boxes[0].Text);
    }

    [Fact]
    public void Two_numbers_of_two_phones_for_the_first_reading_wait_too()
    {
        var visit = Begun();
        Read(visit, 1, "Asa", "3.7");
        Read(visit, 1, "Asa", "4.9", device: "tablet");
        Assert.DoesNotContain(visit.Fold(Swap).Findings, f => f.Code == "devices-disagree");

        Read(visit, 2, "Tomas", "3.8");
        Assert.Contains(visit.Fold(Swap).Findings, f => f.Code == "devices-disagree");
    }

    [Fact]
    public void Whoever_ends_the_visit_or_says_why_one_must_do_sees_what_there_is()
    {
        var closed = Begun();
        Read(closed, 1, "Asa", "3.7");
        closed.Close();
        Assert.Equal(3.7m, closed.Fold(Swap).Clarity.Result.ClarityM);

        var alone = Begun();
        Read(alone, 1, "Asa", "3.7");
        alone.Keep("clarity-reading-missing", "the other cannot see it");
        Assert.Equal(3.7m, alone.Fold(Swap).Clarity.Result.ClarityM);
    }

    [Fact]
    public void One_observer_is_never_blind_for_the_own_number()
    {
        var visit = Begun();
        Read(visit, 1, "Asa", "3.7");

        Assert.Equal("3.7 m", visit.Fold(SampleVisit.Metric).Clarity.Boxes[0].Text);
    }

    [Theory]
    [InlineData("8", "7", false)] // one mark apart, though 0.3 m and more than a tenth
    [InlineData("8", "6", true)]
    public void A_pair_on_a_rope_marked_in_whole_feet_is_not_repeated_for_one_foot(string lost, string seen, bool apart)
    {
        var feet = SampleVisit.Context with
        {
            Lines =
            [
                new Line(
                    "R-3",
                    "rope",
                    LengthUnit.FootInch,
                    new WrittenLength("1", LengthUnit.Foot),
                    new WrittenLength("110", LengthUnit.FootInch)
                ),
            ],
        };
        var visit = SampleVisit.Begun();
        visit.Sound("98");
        visit.Lost(lost);
        visit.Seen(seen);

        Assert.Equal(apart, visit.Fold(feet).Findings.Any(f => f.Code == "clarity-pair-apart"));
    }

    private static SampleVisit Begun()
    {
        var visit = SampleVisit.MetricBegun();
        visit.SoundMetres("12.0");
        return visit;
    }

    private static void Read(SampleVisit visit, int lowering, string who, string written, string device = "phone") =>
        visit.Write(
            SecchiKinds.DiscMark,
            new DiscMarkBody(lowering, DiscEvent.Disappeared, new WrittenLength(written, LengthUnit.Metre), who),
            device: device
        );
}
