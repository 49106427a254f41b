using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;
using static UpperStill.Core.Tests.Setup.Seasons.SampleSeason;

namespace UpperStill.Core.Tests.Setup.Seasons;

/// <summary>A southern summer, November to April, is one season.</summary>
public class SeasonOverNewYearTests
{
    private static readonly ProtocolPlan Disc = Fortnights with { From = new(11, 1), Until = new(4, 30) };
    private static readonly ProtocolPlan Filter = Months with { From = new(11, 1), Until = new(4, 30) };

    [Fact]
    public void It_is_planned_through_the_new_year_with_every_gap_and_every_month()
    {
        var plan = Of(new DateOnly(2026, 10, 1));

        Assert.Empty(plan.Findings);
        var days = plan.Ahead().ConvertAll(d => d.Day);
        Assert.All(days.Zip(days.Skip(1)), p =>
            Assert.InRange(p.Second.DayNumber - p.First.DayNumber, Disc.LeastGapDays, Disc.GreatestGapDays)
        );
        Assert.InRange(days[0], new DateOnly(2026, 11, 1), new DateOnly(2026, 11, 18));
        Assert.InRange(days[^1], new DateOnly(2027, 4, 12), new DateOnly(2027, 4, 30));
        Assert.Equal([11, 12, 1, 2, 3, 4], plan.Ahead().Where(d => d.Protocols.Contains(Protocol.Chlorophyll)).Select(d => d.Day.Month));
    }

    [Fact]
    public void In_January_what_was_done_in_November_belongs_to_it_and_December_was_missed()
    {
        var plan = Of(
            new DateOnly(2027, 1, 4),
            year: 2027,
            new DoneVisit(new DateOnly(2026, 11, 4), [Protocol.Clarity, Protocol.Chlorophyll]),
            new DoneVisit(new DateOnly(2026, 11, 18), [Protocol.Clarity])
        );

        Assert.Equal(2, plan.Dates.Count(d => d.State == DateState.Done));
        Assert.Contains(plan.Dates, d => d.State == DateState.Missed && d.Day.Month == 12 && d.Protocols.Contains(Protocol.Chlorophyll));
        Assert.Equal(
            (1, 4),
            (
                plan.Counts.Single(c => c.Protocol == Protocol.Chlorophyll).Done,
                plan.Counts.Single(c => c.Protocol == Protocol.Chlorophyll).Planned
            )
        );
    }

    [Fact]
    public void A_date_chosen_by_hand_beyond_the_new_year_is_kept()
    {
        var pinned = new DateOnly(2027, 2, 10);

        Assert.Contains(Of(new DateOnly(2026, 10, 1), pinned).Ahead(), d =>
            d.Day == pinned && d.Why[0].StartsWith("chosen by hand", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(2026, 10, 1, 2026, "2026/27")]
    [InlineData(2027, 2, 1, 2027, "2026/27")]
    [InlineData(2027, 2, 1, 2028, "2027/28")]
    [InlineData(2027, 2, 1, 2025, "2024/25")]
    public void The_year_that_is_looked_at(int year, int month, int day, int asked, string name) =>
        Assert.Equal(name, new SeasonSpan(asked, new DateOnly(year, month, day), [Disc]).Name);

    [Fact]
    public void A_window_within_the_year_is_planned_in_the_calendars_year() =>
        Assert.Equal(
            (new DateOnly(2026, 1, 1), new DateOnly(2026, 12, 31), "2026"),
            Named(new SeasonSpan(2026, new DateOnly(2026, 8, 1), [Fortnights]))
        );

    [Theory]
    [InlineData(2026, 10, 31, false)]
    [InlineData(2026, 11, 1, true)]
    [InlineData(2026, 12, 31, true)]
    [InlineData(2027, 1, 1, true)]
    [InlineData(2027, 4, 30, true)]
    [InlineData(2027, 5, 1, false)]
    public void A_visit_is_proposed_what_is_open_on_its_day(int year, int month, int day, bool open) =>
        Assert.Equal(
            open,
            OpenProtocols
                .Work(new OpenProtocolsRequest(Presets.All[0].Programme with { Season = [Filter] }, new DateOnly(year, month, day)))
                .Open.Contains(Protocol.Chlorophyll)
        );

    [Fact]
    public void What_is_taken_once_has_a_window_over_the_new_year_too()
    {
        var once = new ProtocolPlan(Protocol.Phosphorus, Rhythm.Once, new(12, 15), new(1, 20));
        var plan = SeasonPlanner
            .Work(new SeasonRequest(2026, new DateOnly(2026, 10, 1), [new StationSeason("HAR-1", [once], Hours, [])], Lab))
            .Stations[0];

        Assert.InRange(Assert.Single(plan.Ahead()).Day, new DateOnly(2026, 12, 30), new DateOnly(2027, 1, 5));
    }

    private static (DateOnly, DateOnly, string) Named(SeasonSpan span) => (span.First, span.Last, span.Name);

    private static StationPlan Of(DateOnly today, DateOnly pinned) =>
        SeasonPlanner
            .Work(
                new SeasonRequest(
                    2026,
                    today,
                    [new StationSeason("HAR-1", [Disc, Filter], Hours, [], Pinned: [new SetDay(pinned, "as agreed")])],
                    Lab
                )
            )
            .Stations[0];

    private static StationPlan Of(DateOnly today, int year = 2026, params DoneVisit[] done) =>
        SeasonPlanner.Work(new SeasonRequest(year, today, [new StationSeason("HAR-1", [Disc, Filter], Hours, done)], Lab)).Stations[0];
}
