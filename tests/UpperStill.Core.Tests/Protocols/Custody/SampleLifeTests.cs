using UpperStill.Core.Protocols.Custody;
using State = UpperStill.Core.Protocols.Custody.SampleState;
using Step = UpperStill.Core.Record.Parts.SampleStep;

namespace UpperStill.Core.Tests.Protocols.Custody;

/// <summary>Every step from every state, as people who keep samples would say it.</summary>
public class SampleLifeTests
{
    private static readonly Dictionary<State, (Step Step, State After)[]> Follows = new()
    {
        [State.Planned] = [(Step.Label, State.Labelled), (Step.Take, State.Taken), (Step.Lose, State.Lost)],
        [State.Labelled] = [(Step.Label, State.Labelled), (Step.Take, State.Taken), (Step.Lose, State.Lost)],
        [State.Taken] =
        [
            (Step.Label, State.Taken),
            (Step.Preserve, State.Preserved),
            (Step.Store, State.Stored),
            (Step.Filter, State.Filtered),
            (Step.HandOver, State.HandedOver),
            (Step.Count, State.Counted),
            (Step.Lose, State.Lost),
        ],
        [State.Preserved] =
        [
            (Step.Label, State.Preserved),
            (Step.Preserve, State.Preserved),
            (Step.Store, State.Stored),
            (Step.Filter, State.Filtered),
            (Step.HandOver, State.HandedOver),
            (Step.Count, State.Counted),
            (Step.Lose, State.Lost),
        ],
        [State.Stored] =
        [
            (Step.Label, State.Stored),
            (Step.Preserve, State.Stored),
            (Step.Store, State.Stored),
            (Step.Filter, State.Filtered),
            (Step.HandOver, State.HandedOver),
            (Step.Count, State.Counted),
            (Step.Lose, State.Lost),
        ],
        [State.Filtered] = [(Step.Label, State.Filtered), (Step.Filter, State.Filtered), (Step.Lose, State.Lost)],
        [State.HandedOver] =
        [
            (Step.Label, State.HandedOver),
            (Step.Receive, State.Received),
            (Step.Lose, State.Lost),
            (Step.Reject, State.Rejected),
        ],
        [State.Received] =
        [
            (Step.Label, State.Received),
            (Step.Measure, State.Analysed),
            (Step.Report, State.Reported),
            (Step.Lose, State.Lost),
            (Step.Reject, State.Rejected),
        ],
        [State.Analysed] =
        [
            (Step.Label, State.Analysed),
            (Step.Measure, State.Analysed),
            (Step.Report, State.Reported),
            (Step.Lose, State.Lost),
            (Step.Reject, State.Rejected),
        ],
        [State.Reported] =
        [
            (Step.Label, State.Reported),
            (Step.Measure, State.Reported),
            (Step.Report, State.Reported),
            (Step.Reject, State.Rejected),
        ],
        [State.Lost] = [],
        [State.Rejected] = [],
        [State.Counted] = [(Step.Label, State.Counted), (Step.Store, State.Counted), (Step.Count, State.Counted), (Step.Lose, State.Lost)],
    };

    // Facts whose link before them nobody wrote down: they count, and are marked.
    private static readonly Dictionary<State, (Step Step, State After)[]> Early = new()
    {
        [State.Planned] =
        [
            (Step.Store, State.Stored),
            (Step.HandOver, State.HandedOver),
            (Step.Receive, State.Received),
            (Step.Measure, State.Analysed),
            (Step.Report, State.Reported),
            (Step.Count, State.Counted),
        ],
        [State.Labelled] =
        [
            (Step.Store, State.Stored),
            (Step.HandOver, State.HandedOver),
            (Step.Receive, State.Received),
            (Step.Measure, State.Analysed),
            (Step.Report, State.Reported),
            (Step.Count, State.Counted),
        ],
        [State.Taken] = [(Step.Receive, State.Received), (Step.Measure, State.Analysed), (Step.Report, State.Reported)],
        [State.Preserved] = [(Step.Receive, State.Received), (Step.Measure, State.Analysed), (Step.Report, State.Reported)],
        [State.Stored] = [(Step.Receive, State.Received), (Step.Measure, State.Analysed), (Step.Report, State.Reported)],
        [State.HandedOver] = [(Step.Measure, State.Analysed), (Step.Report, State.Reported)],
    };

    public static TheoryData<State, Step> Every =>
        [.. from state in Enum.GetValues<State>() from step in Enum.GetValues<Step>() select (state, step)];

    [Theory]
    [MemberData(nameof(Every))]
    public void A_step_follows_comes_early_or_is_refused(State state, Step step)
    {
        var expected = Of(Follows, StepVerdict.Follows) ?? Of(Early, StepVerdict.Early) ?? (StepVerdict.Refused, state);

        Assert.Equal(expected, SampleLife.After(state, step));

        (StepVerdict, State)? Of(Dictionary<State, (Step Step, State After)[]> table, StepVerdict verdict) =>
            table
                .GetValueOrDefault(state, [])
                .Where(f => f.Step == step)
                .Select(f => ((StepVerdict, State)?)(verdict, f.After))
                .FirstOrDefault();
    }

    [Fact]
    public void Nothing_leaves_the_end_of_a_life_and_nothing_in_hands_has_ended() =>
        Assert.All(Enum.GetValues<State>(), s => Assert.False(s.Ended() && s.InHands()));
}
