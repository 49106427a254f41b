using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Tests.Setup.Seasons;

namespace UpperStill.Core.Tests.Protocols.Custody;

public class SampleClocksTests
{
    private static readonly TimeZoneInfo London = TimeZoneInfo.FindSystemTimeZoneById("Europe/London");
    private static readonly LabDoor Door = LabDoor.Of(
        SampleSeason.Lab with
        {
            TurnIns = [new DateOnly(2026, 10, 2)],
            TurnInPlace = "the back door",
        },
        new DateOnly(2026, 8, 10),
        90,
        London
    );

    [Theory]
    [InlineData("2026-08-12T13:00", ClockState.Calm, "better within 80 min")] // 14:20 is better
    [InlineData("2026-08-12T15:00", ClockState.Soon, "19 h left")]
    [InlineData("2026-08-13T10:19", ClockState.Soon, "1 min left")]
    [InlineData("2026-08-13T10:21", ClockState.Overdue, "1 min past the limit")]
    public void Water_to_filter_is_calm_for_four_hours_and_overdue_after_a_day(string now, ClockState state, string text)
    {
        var clock = Assert.Single(Clocks(now, Water("C1")));

        Assert.Equal((state, text), (clock.State, clock.Text));
        Assert.Equal(state == ClockState.Overdue, clock.Finding?.Code == "hold-over");
    }

    [Theory]
    [InlineData("2026-08-13T10:30", ClockState.Soon, "set out by Fri 10:00", null)] // Thursday, under a quarter of 24 h left only on Friday: 23.5 h to the door
    [InlineData("2026-08-14T09:30", ClockState.Soon, "set out by Fri 10:00", "hold-soon")]
    [InlineData("2026-08-14T10:30", ClockState.Soon, "the lab opens Mon 08:00", "cannot-reach-lab")]
    public void Fresh_water_is_brought_to_the_door_before_it_closes(string now, ClockState state, string move, string? finding)
    {
        var from = At("2026-08-13T12:00");
        var clock = Assert.Single(
            Clocks(
                now,
                new WaitingSample(
                    "L1",
                    Guid.Empty,
                    SampleState.Stored,
                    new SampleHold(from, from.AddHours(24), "at the lab within 24 h", Fresh: true)
                )
            )
        );

        Assert.Equal((move, finding), (clock.MoveText, clock.Finding?.Code));
        Assert.True(clock.State == state || finding is null);
    }

    // Bacteria: six hours, the lab takes in until 15:00, the way takes one.
    [Theory]
    [InlineData("2026-08-12T11:40", "set out by Wed 14:00", null)]
    [InlineData("2026-08-12T16:00", "the lab opens Thu 08:00", "cannot-reach-lab")]
    public void A_bottle_of_bacteria_is_on_its_way_by_two_or_does_not_reach_the_lab(string collected, string move, string? finding)
    {
        var from = At(collected);
        var clock = Assert.Single(
            Clocks(
                collected,
                new WaitingSample(
                    "E1",
                    Guid.Empty,
                    SampleState.Stored,
                    new SampleHold(from, from.AddHours(6), "at the lab within 6 h", Fresh: true)
                )
            )
        );

        Assert.Equal((move, finding), (clock.MoveText, clock.Finding?.Code));
    }

    [Theory]
    [InlineData("2026-09-01T10:00", ClockState.Calm, null)]
    [InlineData("2026-09-27T10:00", ClockState.Calm, "turn-in-near")]
    [InlineData("2026-10-01T13:00", ClockState.Soon, "turn-in-near")]
    public void Frozen_vials_wait_for_the_turn_in(string now, ClockState state, string? finding)
    {
        var from = At("2026-08-12T13:00");
        var clock = Assert.Single(
            Clocks(
                now,
                new WaitingSample(
                    "F1",
                    Guid.Empty,
                    SampleState.Stored,
                    new SampleHold(from, from.AddDays(100), "at the lab within 100 days", TurnIn: true)
                )
            )
        );

        Assert.Equal((state, finding, "turn-in Fri 2 Oct before noon"), (clock.State, clock.Finding?.Code, clock.MoveText));
    }

    [Fact]
    public void A_turn_in_beyond_the_hold_is_said_while_there_is_time()
    {
        var from = At("2026-08-12T13:00");
        var clock = Assert.Single(
            Clocks(
                "2026-08-20T13:00",
                new WaitingSample(
                    "F1",
                    Guid.Empty,
                    SampleState.Stored,
                    new SampleHold(from, from.AddDays(28), "at the lab within 28 days", TurnIn: true)
                )
            )
        );

        Assert.Equal(
            ("hold-soon", true),
            (clock.Finding?.Code, clock.Finding!.Seen.Contains("22 days past its hold", StringComparison.Ordinal))
        );
    }

    [Fact]
    public void What_must_move_next_stands_first()
    {
        var from = At("2026-08-12T13:00");
        var clocks = Clocks(
            "2026-08-12T14:00",
            new WaitingSample("ended", Guid.Empty, SampleState.Reported),
            new WaitingSample(
                "F1",
                Guid.Empty,
                SampleState.Stored,
                new SampleHold(from, from.AddDays(100), "at the lab within 100 days", TurnIn: true)
            ),
            new WaitingSample(
                "late",
                Guid.Empty,
                SampleState.Stored,
                new SampleHold(from.AddDays(-3), from.AddDays(-2), "at the lab within 24 h")
            ),
            Water("C1")
        );

        Assert.Equal(["late", "C1", "F1", "ended"], clocks.Select(c => c.Number));
    }

    // A clock that runs backward gives nobody an hour, and one that jumps ahead takes none.
    [Theory]
    [InlineData("2026-10-24T14:00:00+01:00", "2026-10-25T13:30:00+00:00")] // clocks went back: by the wall 23.5 h, in truth 24.5
    [InlineData("2026-03-28T14:00:00+00:00", "2026-03-29T15:01:00+01:00")] // clocks went forward: by the wall 25 h, in truth 24
    public void Twenty_four_hours_are_over_by_the_hours_that_passed(string collected, string now)
    {
        var from = DateTimeOffset.Parse(collected, System.Globalization.CultureInfo.InvariantCulture);
        var sample = new WaitingSample(
            "C1",
            Guid.Empty,
            SampleState.Taken,
            new SampleHold(from, from.AddHours(24), "filter within 24 h, better 4 h", from.AddHours(4))
        );
        var at = DateTimeOffset.Parse(now, System.Globalization.CultureInfo.InvariantCulture);

        Assert.Equal(ClockState.Overdue, SampleClocks.Work(new SampleClocksRequest(at, [sample])).Clocks[0].State);
        Assert.Equal(ClockState.Soon, SampleClocks.Work(new SampleClocksRequest(at.AddHours(-1), [sample])).Clocks[0].State);
    }

    [Fact]
    public void The_same_moment_in_two_zones_is_one_moment()
    {
        var there = At("2026-08-12T15:00").ToOffset(TimeSpan.FromHours(-7));

        Assert.Equivalent(
            Clocks("2026-08-12T15:00", Water("C1"))[0],
            SampleClocks.Work(new SampleClocksRequest(there, [Water("C1")], Door)).Clocks[0],
            strict: true
        );
    }

    [Fact]
    public void The_door_opens_by_the_laboratorys_wall_also_after_the_clocks_are_changed()
    {
        var door = LabDoor.Of(SampleSeason.Lab, new DateOnly(2026, 10, 23), 5, London);

        Assert.Equal(
            ["2026-10-23T08:00:00+01:00", "2026-10-26T08:00:00+00:00", "2026-10-27T08:00:00+00:00"],
            door.Open.Select(o => o.From.ToString("yyyy-MM-dd'T'HH:mm:sszzz", System.Globalization.CultureInfo.InvariantCulture))
        );
    }

    [Fact]
    public void A_closed_day_has_no_door() =>
        Assert.DoesNotContain(
            LabDoor.Of(SampleSeason.Lab with { ClosedDays = [new DateOnly(2026, 8, 31)] }, new DateOnly(2026, 8, 31), 2, London).Open,
            o => o.From.Day == 31
        );

    private static WaitingSample Water(string number)
    {
        var from = At("2026-08-12T10:20");
        return new WaitingSample(
            number,
            Guid.Empty,
            SampleState.Taken,
            new SampleHold(from, from.AddHours(24), "filter within 24 h, better 4 h", from.AddHours(4))
        );
    }

    private static IReadOnlyList<SampleClock> Clocks(string now, params WaitingSample[] samples) =>
        SampleClocks.Work(new SampleClocksRequest(At(now), samples, Door)).Clocks;

    private static DateTimeOffset At(string local)
    {
        var time = DateTime.Parse(local, System.Globalization.CultureInfo.InvariantCulture);
        return new DateTimeOffset(time, London.GetUtcOffset(time));
    }
}
