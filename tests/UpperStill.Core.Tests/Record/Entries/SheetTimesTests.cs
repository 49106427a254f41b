using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Record.Entries;

public class SheetTimesTests
{
    private static readonly DateTimeOffset Now = new(2026, 8, 12, 18, 0, 0, TimeSpan.FromHours(1));
    private static readonly DateOnly Day = new(2026, 8, 12);

    [Fact]
    public void The_time_of_a_sheet_is_local_to_where_it_is_typed()
    {
        var read = SheetTimes.Work(new SheetTimeRequest(Day, Now, new TimeOnly(10, 20)));

        Assert.Equal(new DateTimeOffset(2026, 8, 12, 10, 20, 0, TimeSpan.FromHours(1)), read.At);
        Assert.Empty(read.Findings);
    }

    [Fact]
    public void A_sheet_without_a_time_stops_and_asks_for_an_estimate()
    {
        var read = SheetTimes.Work(new SheetTimeRequest(Day, Now));

        Assert.Null(read.At);
        var finding = Assert.Single(read.Findings);
        Assert.Equal(("time-missing", FindingLevel.Stop, true), (finding.Code, finding.Level, finding.NoWayRound));
    }

    [Fact]
    public void A_sheet_from_later_than_now_is_refused()
    {
        Assert.Equal("time-ahead", Assert.Single(SheetTimes.Work(new SheetTimeRequest(Day, Now, new TimeOnly(18, 1))).Findings).Code);
        Assert.Empty(SheetTimes.Work(new SheetTimeRequest(Day, Now, new TimeOnly(18, 0))).Findings);
    }

    [Theory]
    [InlineData(2, HalfDay.Pm, 14)]
    [InlineData(13, HalfDay.Am, 1)]
    [InlineData(12, HalfDay.Am, 0)]
    [InlineData(0, HalfDay.Pm, 12)]
    public void A_half_of_the_day_that_contradicts_offers_the_other_time(int hour, HalfDay half, int other)
    {
        var read = SheetTimes.Work(new SheetTimeRequest(Day, Now, new TimeOnly(hour, 15), half));

        Assert.Equal("half-day-contradicts", Assert.Single(read.Findings).Code);
        Assert.Equal(hour, read.At!.Value.Hour);
        Assert.Equal((other, 15), (read.Other!.Value.Hour, read.Other.Value.Minute));
    }

    [Theory]
    [InlineData(0, HalfDay.Am)]
    [InlineData(11, HalfDay.Am)]
    [InlineData(12, HalfDay.Pm)]
    [InlineData(17, HalfDay.Pm)]
    public void A_half_of_the_day_that_agrees_says_nothing(int hour, HalfDay half) =>
        Assert.Empty(SheetTimes.Work(new SheetTimeRequest(Day, Now, new TimeOnly(hour, 15), half)).Findings);

    [Fact]
    public void The_other_time_is_not_offered_where_it_lies_ahead() =>
        Assert.Null(SheetTimes.Work(new SheetTimeRequest(Day, Now, new TimeOnly(10, 20), HalfDay.Pm)).Other);

    [Fact]
    public void A_visit_whose_sheet_contradicts_itself_shows_it_until_it_is_answered()
    {
        var visit = new SampleVisit();
        var begun = visit.Write(
            VisitKinds.VisitStarted,
            new VisitStartedBody("HAR-2", "layered", 1, ["Asa"], "R-5", [Protocol.Clarity], true, HalfDay.Pm, true)
        );

        var open = visit.Fold(SampleVisit.Metric);
        Assert.Equal("10:23 is an estimate.", Assert.Single(open.Findings, f => f.Code == "time-estimated").Seen);
        Assert.Null(Assert.Single(open.Findings, f => f.Code == "half-day-contradicts").Kept);
        Assert.EndsWith("typed from a sheet, the time estimated", open.Entries[0].Text, StringComparison.Ordinal);

        visit.Keep("half-day-contradicts", "10:23 stands", begun);
        Assert.Equal("10:23 stands", Assert.Single(visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "half-day-contradicts").Kept);
        Assert.DoesNotContain(SampleVisit.MetricBegun(Protocol.Clarity).Fold(SampleVisit.Metric).Findings, f =>
            f.Code is "half-day-contradicts" or "time-estimated"
        );
    }
}
