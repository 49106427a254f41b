using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Tests.Setup.Seasons;

namespace UpperStill.Core.Tests.Setup.Laboratories;

/// <summary>The latest hand-over: last closing before collection + hold, less travel.</summary>
public class LaboratoryTests
{
    [Theory]
    [InlineData("2026-08-12T10:30", "2026-08-13T09:30")] // Wednesday: 24 h are over on Thursday while the lab is open; less an hour's travel
    [InlineData("2026-08-13T10:30", "2026-08-14T09:30")] // Thursday: on Friday morning
    [InlineData("2026-08-13T13:00", "2026-08-14T10:00")] // Thursday afternoon: before the late-morning close
    [InlineData("2026-08-14T09:00", "2026-08-14T10:00")] // Friday early: the same morning
    [InlineData("2026-08-14T10:30", null)] // Friday too late: the weekend
    [InlineData("2026-08-15T12:00", null)] // Saturday: never
    [InlineData("2026-08-16T06:30", null)] // Sunday before the lab opens a day later
    [InlineData("2026-08-16T12:00", "2026-08-17T11:00")] // Sunday from noon
    public void Leave_by(string collected, string? leaveBy) =>
        Assert.Equal(
            leaveBy is null ? null : DateTime.Parse(leaveBy, System.Globalization.CultureInfo.InvariantCulture),
            SampleSeason.Lab.LeaveBy(DateTime.Parse(collected, System.Globalization.CultureInfo.InvariantCulture), 24)
        );

    [Fact]
    public void A_closed_day_is_no_day() =>
        Assert.Null((SampleSeason.Lab with { ClosedDays = [new DateOnly(2026, 8, 17)] }).LeaveBy(new DateTime(2026, 8, 16, 12, 0, 0), 24));

    [Fact]
    public void Six_hours_reach_the_lab_on_the_same_day_only() =>
        Assert.Equal(new DateTime(2026, 8, 12, 14, 0, 0), SampleSeason.Lab.LeaveBy(new DateTime(2026, 8, 12, 10, 0, 0), 6));

    [Fact]
    public void Hours_that_cannot_be_are_refused_with_the_day()
    {
        Assert.Empty(LaboratoryCheck.Findings(SampleSeason.Lab));
        Assert.Equal(
            "On Monday the laboratory closes before it opens.",
            Assert
                .Single(
                    LaboratoryCheck.Findings(
                        SampleSeason.Lab with
                        {
                            Openings = [new(DayOfWeek.Monday, new TimeOnly(15, 0), new TimeOnly(8, 0))],
                        }
                    )
                )
                .Seen
        );
        Assert.Equal("travel-range", Assert.Single(LaboratoryCheck.Findings(SampleSeason.Lab with { TravelMinutes = -1 })).Code);
        Assert.Equal("name-missing", Assert.Single(LaboratoryCheck.Findings(SampleSeason.Lab with { Name = " " })).Code);
    }

    [Theory]
    [InlineData("2026-03-28T14:00", "2026-03-29T14:00")] // clocks go forward in the night: 24 h end at 15:00
    [InlineData("2026-10-24T14:00", "2026-10-25T12:00")] // and back: they end at 13:00
    [InlineData("2026-08-12T14:00", "2026-08-13T13:00")]
    public void Hours_pass_also_while_the_clocks_are_changed(string collected, string leaveBy)
    {
        Laboratory always = new(
            "Lab",
            [.. Enum.GetValues<DayOfWeek>().Select(d => new Opening(d, new TimeOnly(0, 0), new TimeOnly(23, 59)))],
            []
        );
        var zone = TimeZoneInfo.FindSystemTimeZoneById("Europe/London");

        Assert.Equal(
            DateTime.Parse(leaveBy, System.Globalization.CultureInfo.InvariantCulture),
            always.LeaveBy(DateTime.Parse(collected, System.Globalization.CultureInfo.InvariantCulture), 24, zone)
        );
    }
}
