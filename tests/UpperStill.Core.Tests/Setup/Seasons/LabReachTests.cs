using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;

namespace UpperStill.Core.Tests.Setup.Seasons;

public class LabReachTests
{
    private static readonly HoursWindow Hours = new(new TimeOnly(10, 0), new TimeOnly(16, 0));

    // Open Monday to Thursday to 15:00, Friday to 11:00; an hour at the station, an hour on the road, 24 h.
    [Theory]
    [InlineData("2026-08-13", null)] // Thursday: Friday morning is in time
    [InlineData("2026-08-14", "Sunday 16 August")] // Friday: too late for its closing, too old on Monday
    [InlineData("2026-08-15", "Sunday 16 August")] // Saturday, never
    [InlineData("2026-08-16", null)] // Sunday from noon
    public void A_Saturday_is_known_before_anybody_casts_off(string day, string? better)
    {
        var finding = LabReach.Check(
            SampleSeason.Lab,
            DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture),
            Hours,
            [new ProtocolPlan(Protocol.Chlorophyll, Rhythm.Monthly, new(5, 1), new(9, 30), HoldHours: 24)]
        );

        Assert.Equal(better is null, finding is null);
        Assert.Contains(better ?? string.Empty, finding?.Act ?? string.Empty, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_frozen_does_not_care() =>
        Assert.Null(
            LabReach.Check(
                SampleSeason.Lab,
                new DateOnly(2026, 8, 15),
                Hours,
                [new ProtocolPlan(Protocol.Chlorophyll, Rhythm.Monthly, new(5, 1), new(9, 30), TurnIn: true)]
            )
        );

    [Fact]
    public void A_laboratory_that_never_opens_has_no_better_day() =>
        Assert.Contains(
            "Ask the laboratory",
            LabReach
                .Check(
                    SampleSeason.Lab with
                    {
                        Openings = [],
                    },
                    new DateOnly(2026, 8, 12),
                    Hours,
                    [new ProtocolPlan(Protocol.Chlorophyll, Rhythm.Monthly, new(5, 1), new(9, 30), HoldHours: 24)]
                )!
                .Act,
            StringComparison.Ordinal
        );
}
