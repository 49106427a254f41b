using CsCheck;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;
using static UpperStill.Core.Tests.Setup.Seasons.SampleSeason;

namespace UpperStill.Core.Tests.Setup.Seasons;

public class SeasonPlannerTests
{
    [Fact]
    public void Where_it_is_still_yesterday_yesterday_can_still_be_kept()
    {
        var today = SampleSeason.Day(5, 15);
        var station = SampleSeason.Station(SampleSeason.Took(5, 1, Protocol.Clarity, Protocol.Chlorophyll));
        var behind = SampleSeason.Plan(
            station with
            {
                Today = today.AddDays(-1),
                Pinned = [new SetDay(today.AddDays(-1), "as agreed")],
            },
            today
        );

        Assert.Contains(behind.Dates, d => d.Day == today.AddDays(-1) && d.State == DateState.Today);
    }

    [Fact]
    public void A_whole_season_has_its_fortnights_and_its_five_months()
    {
        var plan = Plan(Station(), Day(4, 1));

        Assert.Empty(plan.Findings);
        Assert.Equal([5, 6, 7, 8, 9], plan.Ahead().Where(d => d.Protocols.Contains(Protocol.Chlorophyll)).Select(d => d.Day.Month));
        Assert.InRange(plan.Ahead().Count, 10, 12);
        Assert.All(plan.Ahead(), d => Assert.NotNull(d.Alternate));
        Assert.All(plan.Ahead(), d => Assert.NotEmpty(d.Why));
    }

    [Fact]
    public void Water_for_the_lab_is_never_taken_on_a_day_from_which_it_cannot_arrive()
    {
        var days = Plan(Station(), Day(4, 1)).Ahead().Where(d => d.Protocols.Contains(Protocol.Chlorophyll)).ToList();

        // Friday from 10 and Saturday are too late for the weekend; each says when to leave.
        Assert.All(days, d => Assert.False(d.Day.DayOfWeek is DayOfWeek.Friday or DayOfWeek.Saturday));
        Assert.All(days, d => Assert.NotNull(d.LeaveBy));
    }

    [Fact]
    public void The_peoples_day_is_taken_where_the_gaps_allow()
    {
        var wednesdays = Plan(Station() with { Volunteers = [DayOfWeek.Wednesday] }, Day(4, 1)).Ahead();

        Assert.All(wednesdays, d => Assert.Equal(DayOfWeek.Wednesday, d.Day.DayOfWeek));
        Assert.Contains(wednesdays[0].Welcome, w => w == "its people can go on a Wednesday");
    }

    [Fact]
    public void A_pass_or_a_shared_day_draws_a_visit_that_is_near()
    {
        var plain = Plan(Station(Took(5, 4)), Day(5, 5)).Ahead()[0].Day;
        var drawn = Plan(Station(Took(5, 4)) with { Passes = [plain.AddDays(1)] }, Day(5, 5)).Ahead()[0];

        Assert.Equal(plain.AddDays(1), drawn.Day);
        Assert.Contains("a satellite looks down", drawn.Welcome);
    }

    [Fact]
    public void A_made_up_pass_says_so_wherever_it_stands()
    {
        var station = Station(Took(5, 4)) with { Passes = [Day(5, 18)] };
        var plan = SeasonPlanner.Work(new SeasonRequest(Year, Day(5, 5), [station], Lab, PassesSimulated: true)).Stations[0];

        Assert.Contains("a satellite looks down (simulated)", plan.Ahead()[0].Welcome);
    }

    [Fact]
    public void A_month_that_had_its_sampling_is_not_asked_again_for_what_was_left_out()
    {
        var station = Station(Took(7, 22), Took(8, 5, Protocol.Clarity, Protocol.Chlorophyll));
        station = station with
        {
            Protocols = [.. station.Protocols, Months with { Protocol = Protocol.Profile, HoldHours = null, Least = 0 }],
        };

        Assert.DoesNotContain(Plan(station, Day(8, 12)).Findings, f => f.Code == "month-conflict");
    }

    [Fact]
    public void Until_the_ice_has_gone_the_plan_says_what_it_waits_for()
    {
        var once = new ProtocolPlan(Protocol.Phosphorus, Rhythm.Once, new(3, 15), new(5, 31)) { DaysAfterIceOut = 7 };

        Assert.Equal(
            "7 days after ice-out are asked; until its day is known, the middle of the window",
            Assert.Single(Plan(new StationSeason("HAR-1", [once], Hours, []), Day(3, 1)).Ahead()).Why[0]
        );
    }

    [Fact]
    public void A_date_says_whether_a_bottle_comes_home()
    {
        var plan = Plan(Station(), Day(4, 1)).Ahead();

        Assert.All(plan, d => Assert.Equal(d.Protocols.Contains(Protocol.Chlorophyll), d.Bottled));
    }

    [Fact]
    public void A_missed_month_is_told_with_what_is_left()
    {
        var done = new[]
        {
            Took(5, 6, Protocol.Clarity, Protocol.Chlorophyll),
            Took(5, 20),
            Took(7, 8, Protocol.Clarity, Protocol.Chlorophyll),
            Took(7, 22),
            Took(8, 5),
        };
        var plan = Plan(Station(done), Day(8, 12));

        Assert.Contains(plan.Dates, d => d.State == DateState.Missed && d.Day.Month == 6 && d.Protocols.Contains(Protocol.Chlorophyll));
        var risk = Assert.Single(plan.Findings, f => f.Code == "season-at-risk");
        Assert.Equal("June was missed. 2 dates left, 2 needed for a 2026 mean of chlorophyll.", risk.Seen);
        Assert.Equal(FindingLevel.Note, risk.Level);
        Assert.Equal(
            [new SeasonCount(Protocol.Clarity, 5, plan.Ahead().Count, 6), new SeasonCount(Protocol.Chlorophyll, 2, 2, 4)],
            plan.Counts
        );
    }

    [Fact]
    public void Too_few_left_is_a_check()
    {
        var plan = Plan(Station(Took(5, 6, Protocol.Clarity, Protocol.Chlorophyll)), Day(8, 12));

        Assert.Equal(
            FindingLevel.Check,
            Assert.Single(plan.Findings, f => f.Code == "season-at-risk" && f.Seen.Contains("chlorophyll", StringComparison.Ordinal)).Level
        );
    }

    [Fact]
    public void What_is_overdue_comes_as_soon_as_can_be()
    {
        var plan = Plan(Station(Took(7, 1)), Day(8, 12));

        Assert.Contains(plan.Findings, f =>
            f.Code == "interval-off" && f.Seen.StartsWith("42 days since the last", StringComparison.Ordinal)
        );
        Assert.Equal(Day(8, 12), plan.Ahead()[0].Day);
        Assert.Equal(DateState.Today, plan.Ahead()[0].State);
        Assert.Equal([Day(7, 15), Day(7, 29)], plan.Dates.Where(d => d.State == DateState.Missed && d.Day > Day(7, 1)).Select(d => d.Day));
    }

    [Fact]
    public void A_day_chosen_by_hand_is_kept_and_the_rest_goes_round_it()
    {
        var pin = new SetDay(Day(8, 27), "Bea is back");
        var plan = Plan(Station(Took(8, 5)) with { Pinned = [pin] }, Day(8, 12));

        Assert.Contains(plan.Ahead(), d => d.Day == pin.Day && d.Why[0] == "chosen by hand: Bea is back");
        AssertRules(Station(Took(8, 5)) with { Pinned = [pin] }, Day(8, 12), plan, Lab);
    }

    [Theory]
    [InlineData(8, 10, "it is 5 days after the date before; the least is 10")]
    [InlineData(11, 3, "it lies outside the season")]
    [InlineData(8, 20, "that day is blocked: regatta")]
    public void A_day_chosen_by_hand_against_a_rule_says_which(int month, int day, string rule)
    {
        var station = Station(Took(8, 5)) with
        {
            Pinned = [new SetDay(Day(month, day), "wish")],
            Blocked = [new SetDay(Day(8, 20), "regatta")],
        };
        var plan = Plan(station, Day(8, 6));

        Assert.Contains(rule, Assert.Single(plan.Findings, f => f.Code == "pin-conflict").Seen, StringComparison.Ordinal);
        Assert.DoesNotContain(plan.Ahead(), d => d.Day == Day(month, day));
    }

    [Fact]
    public void Gaps_that_cannot_be_met_name_what_stands_against_them()
    {
        var away = Enumerable.Range(0, 25).Select(i => new SetDay(Day(8, 13).AddDays(i), "boat in repair")).ToList();
        var plan = Plan(Station(Took(8, 5, Protocol.Clarity, Protocol.Chlorophyll)) with { Blocked = away }, Day(8, 12));

        Assert.Contains(plan.Findings, f => f.Code == "gap-conflict" && f.Seen.Contains("7 September", StringComparison.Ordinal));
    }

    [Fact]
    public void A_month_without_a_lab_day_says_so()
    {
        var shut = Lab with { ClosedDays = [.. Enumerable.Range(0, 40).Select(i => Day(7, 28).AddDays(i))] };
        var plan = Plan(Station(), Day(7, 1), shut);

        var conflict = Assert.Single(plan.Findings, f => f.Code == "month-conflict");
        Assert.Equal("No date in August for chlorophyll: the lab is closed whenever the water would arrive.", conflict.Seen);
        Assert.DoesNotContain(plan.Ahead(), d => d.Day.Month == 8 && d.Protocols.Contains(Protocol.Chlorophyll));
    }

    [Fact]
    public void A_lab_without_an_open_day_stops_the_plan() =>
        Assert.Contains(Plan(Station(), Day(4, 1), Lab with { Openings = [] }).Findings, f =>
            f.Code == "cannot-reach-lab" && f.Level == FindingLevel.Stop
        );

    [Theory]
    [InlineData(14, 19, 18, "season-gaps")]
    [InlineData(9, 10, 18, "season-gaps")]
    [InlineData(14, 0, 18, "season-gaps")]
    public void Gaps_without_room_between_are_refused(int every, int least, int greatest, string code) =>
        Assert.Contains(PlanCheck.Findings(Fortnights with { EveryDays = every, LeastGapDays = least, GreatestGapDays = greatest }), f =>
            f.Code == code
        );

    [Theory]
    [InlineData(13, 1, 9, 30)]
    [InlineData(5, 32, 9, 30)]
    public void A_window_that_no_year_has_is_refused(int fromMonth, int fromDay, int untilMonth, int untilDay) =>
        Assert.Contains(PlanCheck.Findings(Fortnights with { From = new(fromMonth, fromDay), Until = new(untilMonth, untilDay) }), f =>
            f.Code == "season-window"
        );

    [Fact]
    public void Spring_phosphorus_goes_with_the_visit_nearest_to_its_day_after_ice_out()
    {
        var once = new ProtocolPlan(Protocol.Phosphorus, Rhythm.Once, new(3, 15), new(5, 31)) { DaysAfterIceOut = 7 };
        var alone = Plan(new StationSeason("HAR-1", [once], Hours, []) { IceOut = Day(4, 4) }, Day(3, 1));
        var together = Plan(new StationSeason("HAR-1", [Fortnights, once], Hours, []) { IceOut = Day(5, 12) }, Day(3, 1));

        Assert.Equal(Day(4, 11), Assert.Single(alone.Ahead()).Day);
        var with = Assert.Single(together.Ahead(), d => d.Protocols.Contains(Protocol.Phosphorus));
        Assert.Contains(Protocol.Clarity, with.Protocols);
        Assert.InRange(with.Day, Day(5, 10), Day(5, 28));
    }

    [Fact]
    public void A_beach_is_visited_on_days_of_low_tide_only()
    {
        var low = Enumerable.Range(0, 60).Select(i => Day(5, 1).AddDays(i * 3)).ToList();
        var plan = Plan(
            Station() with
            {
                AtLowWater = true,
                LowWaters = [.. low.Select(d => d.ToDateTime(new TimeOnly(12, 0)))],
                Protocols = [Fortnights],
            },
            Day(4, 1)
        );

        Assert.All(plan.Ahead(), d => Assert.Contains(d.Day, low));
    }

    private static readonly Gen<StationSeason> Stations =
        from done in Gen.Select(Gen.Int[0, 150], Gen.Bool).Array[0, 6]
        from blocked in Gen.Int[0, 200].Array[0, 40]
        from pinned in Gen.Int[0, 200].Array[0, 3]
        from people in Gen.Enum<DayOfWeek>().Array[0, 3]
        from least in Gen.Int[3, 12]
        from room in Gen.Int[2, 12]
        from monthly in Gen.Bool
        let clarity = Fortnights with
        {
            LeastGapDays = least,
            EveryDays = least + (room / 2),
            GreatestGapDays = least + room,
        }
        select new StationSeason(
            "X-1",
            monthly ? [clarity, Months] : [clarity],
            Hours,
            [
                .. done.Select(d => new DoneVisit(
                        Day(5, 1).AddDays(d.Item1),
                        d.Item2 ? [Protocol.Clarity, Protocol.Chlorophyll] : [Protocol.Clarity]
                    ))
                    .DistinctBy(d => d.Day),
            ],
            Blocked: [.. blocked.Select(b => new SetDay(Day(5, 1).AddDays(b), "away"))],
            Pinned: [.. pinned.Select(p => new SetDay(Day(5, 1).AddDays(p), "wish"))],
            Volunteers: [.. people.Distinct()]
        );

    private static readonly Gen<DateOnly> Todays = Gen.Int[0, 180].Select(d => Day(4, 1).AddDays(d));

    [Fact]
    public void No_hard_rule_is_ever_broken() =>
        Gen.Select(Stations, Todays)
            .Sample(
                (station, today) =>
                {
                    station = station with { Done = [.. station.Done.Where(d => d.Day <= today)] };
                    AssertRules(station, today, Plan(station, today), Lab);
                },
                iter: 300
            );

    [Fact]
    public void Keeping_to_the_plan_changes_nothing_in_the_rest_of_it() =>
        Gen.Select(Stations, Todays)
            .Sample(
                (station, today) =>
                {
                    station = station with { Done = [.. station.Done.Where(d => d.Day < today)] };
                    var plan = Plan(station, today).Ahead();
                    if (plan.Count < 2)
                    {
                        return;
                    }

                    var kept = station with { Done = [.. station.Done, new DoneVisit(plan[0].Day, plan[0].Protocols)] };
                    var after = Plan(kept, plan[0].Day.AddDays(1)).Ahead();

                    Assert.Equal(plan.Skip(1).Select(d => d.Day), after.Select(d => d.Day));
                },
                iter: 300
            );

    [Fact]
    public void As_many_months_are_met_as_any_way_through_the_season_meets() =>
        Gen.Select(Gen.Bool.Array[75], Gen.Int[5, 7], Gen.Int[1, 4])
            .Sample(
                (open, least, room) =>
                {
                    var clarity = Fortnights with
                    {
                        Until = new(7, 14),
                        LeastGapDays = least,
                        EveryDays = least,
                        GreatestGapDays = least + room,
                    };
                    var chlorophyll = Months with { Until = new(7, 14) };
                    var station = new StationSeason(
                        "X-1",
                        [clarity, chlorophyll],
                        Hours,
                        [],
                        Blocked: [.. open.Index().Where(o => !o.Item).Select(o => new SetDay(Day(5, 1).AddDays(o.Index), "away"))]
                    );
                    var plan = Plan(station, Day(5, 1));
                    if (plan.Findings.Any(f => f.Code == "gap-conflict"))
                    {
                        return;
                    }

                    var most = MostMonths(
                        d => open[d] && Day(5, 1).AddDays(d).DayOfWeek is not (DayOfWeek.Friday or DayOfWeek.Saturday),
                        d => open[d],
                        least,
                        least + room
                    );
                    Assert.Equal(most, plan.Ahead().Count(d => d.Protocols.Contains(Protocol.Chlorophyll)));
                },
                iter: 200
            );

    /// <summary>By trying every way, forward and without costs: an oracle that shares nothing with the planner.</summary>
    private static int MostMonths(Func<int, bool> lab, Func<int, bool> open, int least, int greatest)
    {
        Dictionary<(int, int), int> known = [];
        var most = -1;
        for (var d = 0; d <= greatest && d < 75; d++)
        {
            most = Math.Max(most, From(d, -100));
        }

        return most;

        // The best count when one goes on day d and took the last sample on day s; -1000 where no way reaches the end.
        int From(int d, int s)
        {
            if (!open(d))
            {
                return -1000;
            }

            if (known.TryGetValue((d, s), out var value))
            {
                return value;
            }

            var mayTake = lab(d) && d - s >= 21 && (s < 0 || Day(5, 1).AddDays(s).Month != Day(5, 1).AddDays(d).Month);
            var result = Math.Max(Onward(d, s), mayTake ? 1 + Onward(d, d) : -1000);
            known[(d, s)] = result;
            return result;
        }

        int Onward(int d, int s)
        {
            var closedToTheEnd = d + greatest > 74 && !Enumerable.Range(d + least, Math.Max(0, 75 - d - least)).Any(open);
            var result = d + least > 74 || closedToTheEnd ? 0 : -1000;
            for (var next = d + least; next <= Math.Min(74, d + greatest); next++)
            {
                result = Math.Max(result, From(next, s));
            }

            return result;
        }
    }

    private static void AssertRules(StationSeason station, DateOnly today, StationPlan plan, Laboratory lab)
    {
        var clarity = station.Protocols.First(p => p.Protocol == Protocol.Clarity);
        var ahead = plan.Ahead();
        var last = station.Done.Select(d => (DateOnly?)d.Day).Max();
        DateOnly? lastSample = station.Done.Where(d => d.Took.Contains(Protocol.Chlorophyll)).Select(d => (DateOnly?)d.Day).Max();
        foreach (var date in ahead)
        {
            Assert.True(date.Day >= today, "a date in the past");
            Assert.DoesNotContain(station.Blocked ?? [], b => b.Day == date.Day);
            Assert.InRange(date.Day, clarity.From.In(Year), clarity.Until.In(Year));
            Assert.True(
                last is null || date.Day.DayNumber - last.Value.DayNumber >= clarity.LeastGapDays,
                $"{date.Day} too soon after {last}"
            );
            var overdue =
                last is { } l && date == ahead[0] && today.DayNumber - l.DayNumber + 1 > clarity.GreatestGapDays - clarity.LeastGapDays;
            Assert.True(
                last is null
                    || date.Day.DayNumber - last.Value.DayNumber <= clarity.GreatestGapDays
                    || overdue
                    || plan.Findings.Any(f => f.Code is "gap-conflict" or "interval-off"),
                $"{date.Day} too late after {last}"
            );
            if (date.Protocols.Contains(Protocol.Chlorophyll))
            {
                Assert.Contains(Enumerable.Range(10, 7), hour => lab.LeaveBy(date.Day.ToDateTime(new TimeOnly(hour, 0)), 24) is not null);
                Assert.True(
                    lastSample is null
                        || (lastSample.Value.Month != date.Day.Month && date.Day.DayNumber - lastSample.Value.DayNumber >= 21)
                );
                lastSample = date.Day;
            }

            if (date.Alternate is { } alternate)
            {
                Assert.NotEqual(date.Day, alternate);
                Assert.DoesNotContain(station.Blocked ?? [], b => b.Day == alternate);
                Assert.True(last is null || alternate.DayNumber - last.Value.DayNumber >= clarity.LeastGapDays);
                Assert.True(alternate >= today);
            }

            last = date.Day;
        }
    }
}
