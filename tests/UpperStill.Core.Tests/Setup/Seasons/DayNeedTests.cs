using UpperStill.Core.Application.Outings;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;
using static UpperStill.Core.Tests.Setup.Seasons.SampleSeason;

namespace UpperStill.Core.Tests.Setup.Seasons;

/// <summary>What a protocol asks of its day: notice, days of the week, low water, a rhythm of its own.</summary>
public class DayNeedTests
{
    private static readonly ProtocolPlan Mercury = new(new("ultra-clean"), Rhythm.Once, new(7, 15), new(9, 15));
    private static readonly ProtocolPlan Plastics = new(new("plastics"), Rhythm.Once, new(8, 1), new(8, 31));

    private static readonly DayNeed Clean = new(Mercury.Protocol)
    {
        Weekdays = [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday],
        NoticeDays = 14,
        CompanionDays = 14,
    };

    [Fact]
    public void Mercury_is_proposed_from_Monday_to_Wednesday_with_the_day_by_which_the_lab_is_told()
    {
        for (var day = 1; day <= 31; day++)
        {
            var date = Assert.Single(Plan(Inlet(), Day(7, day)).Ahead());

            Assert.Contains(date.Day.DayOfWeek, Clean.Weekdays!);
            Assert.True(date.Day >= Day(7, day).AddDays(14), $"{date.Day} needs notice before {Day(7, day)}");
        }

        var why = Plan(Inlet(), Day(7, 1)).Ahead()[0].Why;
        Assert.Contains("the lab is told by Mon 3 Aug, 14 days before", why);
        Assert.Contains("ultra clean is collected on Monday to Wednesday", why);
        Assert.Contains(why, w => w.StartsWith("its companion between ", StringComparison.Ordinal));
    }

    [Fact]
    public void Whoever_chose_the_day_has_told_the_laboratory()
    {
        var pinned = Inlet() with { Pinned = [new SetDay(Day(8, 12), "told on 29 July")] };

        var date = Assert.Single(Plan(pinned, Day(8, 12)).Ahead());

        Assert.Equal((Day(8, 12), DateState.Today), (date.Day, date.State));
        Assert.Equal("chosen by hand: told on 29 July", date.Why[0]);
    }

    [Fact]
    public void A_Thursday_is_not_kept_even_where_it_was_chosen()
    {
        var plan = Plan(Inlet() with { Pinned = [new SetDay(Day(8, 13), "as agreed")] }, Day(7, 1));

        Assert.Contains(plan.Findings, f =>
            f.Code == "pin-conflict" && f.Seen.Contains("collected on Monday to Wednesday", StringComparison.Ordinal)
        );
        Assert.DoesNotContain(plan.Dates, d => d.Day == Day(8, 13));
    }

    [Fact]
    public void Where_notice_leaves_no_day_it_is_said()
    {
        Assert.Contains(Plan(Inlet(), Day(9, 10)).Findings, f => f.Code == "once-conflict");
        Assert.DoesNotContain(Plan(Inlet(), Day(7, 20)).Findings, f => f.Code == "once-conflict");
    }

    [Fact]
    public void A_beach_is_done_on_a_day_with_low_water_in_its_hours_and_says_when()
    {
        var beach = new StationSeason("SKA-3", [Plastics], Hours, [])
        {
            Needs = [new DayNeed(Plastics.Protocol) { LowWater = true }],
            LowWaters = [new(2026, 8, 12, 11, 53, 0), new(2026, 8, 19, 19, 30, 0), new(2026, 8, 15, 8, 0, 0)],
        };

        var date = Assert.Single(Plan(beach, Day(8, 1)).Ahead());

        Assert.Equal(Day(8, 12), date.Day);
        Assert.Contains("low water 11:53", date.Why);
        Assert.Null(date.Alternate);
        Assert.Contains(Plan(beach, Day(8, 13)).Findings, f => f.Code == "once-conflict");
    }

    [Fact]
    public void Where_the_tide_is_not_known_no_day_is_ruled_out()
    {
        var beach = new StationSeason("SKA-3", [Plastics], Hours, []) { Needs = [new DayNeed(Plastics.Protocol) { LowWater = true }] };

        Assert.Single(Plan(beach, Day(8, 1)).Ahead());
    }

    [Fact]
    public void What_goes_by_a_slower_rhythm_is_not_taken_on_each_day_of_the_quicker_one()
    {
        var weekly = new ProtocolPlan(Protocol.Seawater, Rhythm.Days, new(5, 1), new(9, 30), 7, 5, 9);

        var dates = Plan(new StationSeason("SKA-1", [Fortnights, weekly], Hours, []), Day(4, 20)).Ahead();

        var discs = dates.Where(d => d.Protocols.Contains(Protocol.Clarity)).Select(d => d.Day.DayNumber).ToList();
        Assert.All(discs.Zip(discs.Skip(1)), p => Assert.InRange(p.Second - p.First, Fortnights.LeastGapDays, Fortnights.GreatestGapDays));
        Assert.Equal(dates.Count, dates.Count(d => d.Protocols.Contains(Protocol.Seawater)));
    }

    [Fact]
    public void The_programme_says_what_its_protocols_ask()
    {
        var programme = Presets.All[0].Programme with { Season = [Mercury, Plastics] };

        var needs = SeasonNeeds.Of(programme);

        Assert.Equal([Mercury.Protocol, Plastics.Protocol], needs.Select(n => n.Protocol).Order().Reverse());
        Assert.Equal(14, needs.Single(n => n.Protocol == Mercury.Protocol).NoticeDays);
        Assert.True(needs.Single(n => n.Protocol == Plastics.Protocol).LowWater);
    }

    [Theory]
    [InlineData("bacteria", 6)]
    [InlineData("tributary", 24)]
    [InlineData("ultra-clean", null)]
    [InlineData("mesh", null)]
    public void Where_a_plan_does_not_say_how_long_its_water_may_stand_its_containers_do(string protocol, int? hours)
    {
        var programme = Presets.All[0].Programme with { Season = [Mercury with { Protocol = new(protocol) }] };

        Assert.Equal(hours, Assert.Single(SeasonNeeds.Plans(programme)).HoldHours);
        Assert.Contains(VisitParts.Described, p => p.Code == protocol);
    }

    [Fact]
    public void What_the_laboratory_said_of_its_hold_counts_in_the_season_as_in_the_ledger()
    {
        var programme = Presets.All[0].Programme with
        {
            Season = [Mercury with { Protocol = new("bacteria") }],
            Thresholds = new Dictionary<string, decimal> { ["hold.bacteria"] = 8 },
        };

        Assert.Equal(8, Assert.Single(SeasonNeeds.Plans(programme)).HoldHours);
    }

    [Theory]
    [InlineData(true, "pin-conflict")]
    [InlineData(false, null)]
    public void A_day_without_low_water_is_not_kept_where_nobody_goes_but_then(bool atLowWater, string? code)
    {
        var monthly = new StationSeason("SKA-2", [Months], Hours, [], Pinned: [new SetDay(Day(6, 17), "as agreed")])
        {
            AtLowWater = atLowWater,
            LowWaters = [new(2026, 6, 16, 12, 0, 0)],
        };

        Assert.Equal(code, Plan(monthly, Day(6, 1)).Findings.Select(f => f.Code).FirstOrDefault(c => c == "pin-conflict"));
    }

    private static StationSeason Inlet() => new("SAL-2", [Mercury], Hours, []) { Needs = [Clean] };
}
