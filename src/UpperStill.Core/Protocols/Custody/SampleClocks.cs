using System.Globalization;
using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>How pressing a sample is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ClockState>))]
public enum ClockState
{
    /// <summary>Past its limit.</summary>
    [JsonStringEnumMemberName("overdue")]
    Overdue,

    /// <summary>To be moved next.</summary>
    [JsonStringEnumMemberName("soon")]
    Soon,

    /// <summary>There is time.</summary>
    [JsonStringEnumMemberName("calm")]
    Calm,

    /// <summary>Nothing runs.</summary>
    [JsonStringEnumMemberName("none")]
    None,
}

/// <summary>A sample that waits.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Visit">Its visit.</param>
/// <param name="State">Where it is in its life.</param>
/// <param name="Hold">How long it may wait.</param>
/// <param name="Day">Its day, to order by.</param>
public sealed record WaitingSample(string Number, Guid Visit, SampleState State, SampleHold? Hold = null, DateOnly? Day = null);

/// <summary>Samples and the moment at which they are looked at.</summary>
/// <param name="Now">The moment.</param>
/// <param name="Samples">The samples.</param>
/// <param name="Laboratory">The laboratory; null where none is set up.</param>
public sealed record SampleClocksRequest(DateTimeOffset Now, IReadOnlyList<WaitingSample> Samples, LabDoor? Laboratory = null);

/// <summary>The clock of a sample.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Visit">Its visit.</param>
/// <param name="State">How pressing.</param>
/// <param name="Text">How long it still has, in words.</param>
/// <param name="MoveBy">When it must be on its way; null where that is not known.</param>
/// <param name="MoveText">What to do by then.</param>
/// <param name="Finding">What to look at.</param>
public sealed record SampleClock(
    string Number,
    Guid Visit,
    ClockState State,
    string Text,
    DateTimeOffset? MoveBy = null,
    string? MoveText = null,
    Finding? Finding = null
);

/// <summary>The clocks.</summary>
/// <param name="Clocks">What must move next stands first.</param>
public sealed record SampleClocksResult(IReadOnlyList<SampleClock> Clocks);

/// <summary>Holding clocks: calm, soon, overdue, what must move next first. Time is counted between instants, so a clock that is put back
/// gives nobody an hour.</summary>
public static class SampleClocks
{
    private const double QuarterOfTheHold = 0.25;
    private static readonly TimeSpan Little = TimeSpan.FromHours(2);
    private static readonly TimeSpan NearTurnIn = TimeSpan.FromDays(7);
    private static readonly TimeSpan AtTurnIn = TimeSpan.FromDays(1);

    /// <summary>Works them out.</summary>
    public static SampleClocksResult Work(SampleClocksRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var clocks = request.Samples.Select(s => (Sample: s, Clock: One(s, request.Now, request.Laboratory)));
        return new SampleClocksResult([
            .. clocks
                .OrderBy(c => c.Clock.State == ClockState.None)
                .ThenBy(c => c.Clock.MoveBy ?? DateTimeOffset.MaxValue)
                .ThenByDescending(c => c.Sample.Day)
                .ThenBy(c => c.Sample.Number, StringComparer.Ordinal)
                .ThenBy(c => c.Sample.Visit)
                .Select(c => c.Clock),
        ]);
    }

    private static SampleClock One(WaitingSample sample, DateTimeOffset now, LabDoor? laboratory)
    {
        if (sample.Hold is not { } hold)
        {
            return new SampleClock(sample.Number, sample.Visit, ClockState.None, string.Empty);
        }

        if (now > hold.Limit)
        {
            return new SampleClock(
                sample.Number,
                sample.Visit,
                ClockState.Overdue,
                $"{Spans.Words(now - hold.Limit)} past the limit",
                hold.Limit,
                hold.What,
                Finding
                    .Check(
                        "hold-over",
                        $"{Spans.Words(now - hold.Limit)} past the limit.",
                        $"{sample.Number} should have been {What(hold)}.",
                        hold.Better is null ? "Hand it in; the result is marked." : "Filter it now; the time goes with it."
                    )
                    .On(Beside.Sample)
            );
        }

        if (hold.TurnIn && sample.State.InHands() && laboratory is not null)
        {
            return TurnIn(sample, hold, now, laboratory);
        }

        return hold.Fresh && sample.State.InHands() && laboratory is { Open.Count: > 0 }
            ? ToTheDoor(sample, hold, now, laboratory)
            : Left(sample, hold, now, hold.Better > now ? hold.Better.Value : hold.Limit, hold.What, hold.Better < now);
    }

    private static SampleClock Left(
        WaitingSample sample,
        SampleHold hold,
        DateTimeOffset now,
        DateTimeOffset by,
        string what,
        bool pressing
    )
    {
        var left = by - now;

        // What were better is no limit: it presses once it has passed.
        var soon = pressing || (by == hold.Limit && left < Little) || LittleLeft(hold, now);
        return new SampleClock(
            sample.Number,
            sample.Visit,
            soon ? ClockState.Soon : ClockState.Calm,
            by == hold.Better ? $"better within {Spans.Words(left)}" : $"{Spans.Words(left)} left",
            by,
            what,
            soon
                ? Finding
                    .Note("hold-soon", $"{Spans.Words(left)} left for {sample.Number}.", $"It is to be {What(hold)}.", "See to it next.")
                    .On(Beside.Sample)
                : null
        );
    }

    private static SampleClock ToTheDoor(WaitingSample sample, SampleHold hold, DateTimeOffset now, LabDoor laboratory)
    {
        var arrive = now.AddMinutes(laboratory.TravelMinutes);
        if (laboratory.LeaveBy(arrive, hold.Limit) is { } leave)
        {
            var soon = leave - now < Little || LittleLeft(hold, now);
            return new SampleClock(
                sample.Number,
                sample.Visit,
                soon ? ClockState.Soon : ClockState.Calm,
                $"{Spans.Words(leave - now)} left",
                leave,
                $"set out by {Clock(leave)}",
                soon
                    ? Finding
                        .Note(
                            "hold-soon",
                            $"{Spans.Words(leave - now)} left for {sample.Number}.",
                            $"{laboratory.Name} takes it in until {Clock(leave.AddMinutes(laboratory.TravelMinutes))}.",
                            "Set out with it."
                        )
                        .On(Beside.Sample)
                    : null
            );
        }

        var next = laboratory.OpenAt(arrive);
        var limit = next is null ? hold.Limit : hold.Limit.ToOffset(next.From.Offset);
        return new SampleClock(
            sample.Number,
            sample.Visit,
            ClockState.Soon,
            $"{Spans.Words(hold.Limit - now)} left",
            hold.Limit,
            next is null ? "the lab is closed" : $"the lab opens {Clock(next.From)}",
            Finding
                .Check(
                    "cannot-reach-lab",
                    $"It must be there by {Clock(limit)}; the lab is closed.",
                    "By the next opening it is past its limit.",
                    $"Ring {laboratory.Name} now; hand it in {(next is null ? "when it opens" : Clock(next.From))}, marked."
                )
                .On(Beside.Sample)
        );
    }

    private static SampleClock TurnIn(WaitingSample sample, SampleHold hold, DateTimeOffset now, LabDoor laboratory)
    {
        if (laboratory.TurnIns.FirstOrDefault(t => t >= now) is var date && date == default)
        {
            return Left(sample, hold, now, hold.Limit, "no turn-in date is left", true);
        }

        var left = date - now;
        var place = laboratory.TurnInPlace is { } at ? $" at {at}" : string.Empty;
        var words = $"turn-in {date.ToString("ddd d MMM", CultureInfo.InvariantCulture)} before noon";
        var near =
            left < NearTurnIn
                ? (Finding?)
                    (
                        left < AtTurnIn
                            ? Finding.Check(
                                "turn-in-near",
                                $"T{words[1..]}{place}.",
                                "A missed date loses months of samples.",
                                "Frozen, in foil, with the manifest."
                            )
                            : Finding.Note(
                                "turn-in-near",
                                $"T{words[1..]}{place}.",
                                "A missed date loses months of samples.",
                                "See who goes."
                            )
                    ).On(Beside.Sample)
                : null;

        // The date is the rule; that it lies past the hold is said.
        var late = date > hold.Limit;
        return new SampleClock(
            sample.Number,
            sample.Visit,
            near?.Level == FindingLevel.Check || (late && LittleLeft(hold, now)) ? ClockState.Soon : ClockState.Calm,
            $"{Spans.Words(left)} left",
            date,
            words,
            near
                ?? (
                    late
                        ? Finding
                            .Note(
                                "hold-soon",
                                $"The {words} lies {Spans.Words(date - hold.Limit)} past its hold.",
                                $"{sample.Number} is to be {What(hold)}.",
                                "Ask the lab whether it may come before."
                            )
                            .On(Beside.Sample)
                        : null
                )
        );
    }

    private static bool LittleLeft(SampleHold hold, DateTimeOffset now) => hold.Limit - now < QuarterOfTheHold * (hold.Limit - hold.From);

    private static string What(SampleHold hold) =>
        hold.Better is null ? hold.What : hold.What.Replace("filter", "filtered", StringComparison.Ordinal);

    private static string Clock(DateTimeOffset at) => at.ToString("ddd HH:mm", CultureInfo.InvariantCulture);
}
