using System.Text.Json.Serialization;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>Where a sample is in its life.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<SampleState>))]
public enum SampleState
{
    /// <summary>Due today, still empty.</summary>
    [JsonStringEnumMemberName("planned")]
    Planned,

    /// <summary>Its label was looked at.</summary>
    [JsonStringEnumMemberName("labelled")]
    Labelled,

    /// <summary>Filled, or a filter in its vial.</summary>
    [JsonStringEnumMemberName("taken")]
    Taken,

    /// <summary>What keeps it was added.</summary>
    [JsonStringEnumMemberName("preserved")]
    Preserved,

    /// <summary>In a freezer, refrigerator, cooler or cupboard.</summary>
    [JsonStringEnumMemberName("stored")]
    Stored,

    /// <summary>Its water went through a filter; the bottle is empty.</summary>
    [JsonStringEnumMemberName("filtered")]
    Filtered,

    /// <summary>On the road.</summary>
    [JsonStringEnumMemberName("handed-over")]
    HandedOver,

    /// <summary>At the laboratory.</summary>
    [JsonStringEnumMemberName("received")]
    Received,

    /// <summary>Measured.</summary>
    [JsonStringEnumMemberName("analysed")]
    Analysed,

    /// <summary>Its results are out.</summary>
    [JsonStringEnumMemberName("reported")]
    Reported,

    /// <summary>Lost, for a reason.</summary>
    [JsonStringEnumMemberName("lost")]
    Lost,

    /// <summary>Rejected by the laboratory, for a reason.</summary>
    [JsonStringEnumMemberName("rejected")]
    Rejected,

    /// <summary>Counted at the group’s own bench: no laboratory waits for it.</summary>
    [JsonStringEnumMemberName("counted")]
    Counted,
}

/// <summary>What the life of a sample says of a step.</summary>
public enum StepVerdict
{
    /// <summary>It follows.</summary>
    Follows,

    /// <summary>Something before it was not written down; it counts, and a finding says so.</summary>
    Early,

    /// <summary>It cannot be: it does not count, and a finding says so.</summary>
    Refused,
}

/// <summary>The life of a sample, one table: planned, labelled, taken, preserved, stored, handed over, received, analysed, reported; or
/// counted at the own bench; or lost, or rejected.</summary>
public static class SampleLife
{
    // One letter a step, in the order above: the state after it; a capital follows, a small letter comes early, a point is refused.
    private static readonly Dictionary<SampleState, string> Table = new()
    {
        //                          L T P S F H R M O X J C
        [SampleState.Planned] = "L T . s . h r m o X . c",
        [SampleState.Labelled] = "L T . s . h r m o X . c",
        [SampleState.Taken] = "T . P S F H r m o X . C",
        [SampleState.Preserved] = "P . P S F H r m o X . C",
        [SampleState.Stored] = "S . S S F H r m o X . C",
        [SampleState.Filtered] = "F . . . F . . . . X . .",
        [SampleState.HandedOver] = "H . . . . . R m o X J .",
        [SampleState.Received] = "R . . . . . . M O X J .",
        [SampleState.Analysed] = "M . . . . . . M O X J .",
        [SampleState.Reported] = "O . . . . . . O O . J .",
        [SampleState.Lost] = ". . . . . . . . . . . .",
        [SampleState.Rejected] = ". . . . . . . . . . . .",
        [SampleState.Counted] = "C . . C . . . . . X . C",
    };

    /// <summary>What becomes of a sample in a state by a step.</summary>
    /// <returns>The verdict, and the state after it: the same where it is refused.</returns>
    public static (StepVerdict Verdict, SampleState After) After(SampleState state, SampleStep step)
    {
        var cell = Table[state][2 * (int)step];
        return cell == '.'
            ? (StepVerdict.Refused, state)
            : (char.IsUpper(cell) ? StepVerdict.Follows : StepVerdict.Early, Of(char.ToUpperInvariant(cell)));
    }

    /// <summary>True where the group still has it in its hands.</summary>
    public static bool InHands(this SampleState state) => state.Whereabouts() == Custody.Whereabouts.Hand;

    /// <summary>In whose hands a sample is.</summary>
    public static Whereabouts Whereabouts(this SampleState state) =>
        state switch
        {
            SampleState.Planned or SampleState.Labelled => Custody.Whereabouts.Planned,
            SampleState.Taken or SampleState.Preserved or SampleState.Stored => Custody.Whereabouts.Hand,
            SampleState.HandedOver => Custody.Whereabouts.Road,
            SampleState.Received or SampleState.Analysed => Custody.Whereabouts.Lab,
            _ => Custody.Whereabouts.Ended,
        };

    /// <summary>True where nothing more will happen to it.</summary>
    public static bool Ended(this SampleState state) =>
        state is SampleState.Filtered or SampleState.Reported or SampleState.Lost or SampleState.Rejected or SampleState.Counted;

    /// <summary>A state in words.</summary>
    public static string Words(this SampleState state) =>
        state switch
        {
            SampleState.HandedOver => "on the road",
            SampleState.Received => "at the lab",
            SampleState.Filtered => "filtered",
            _ => state.ToString().ToLowerInvariant(),
        };

    /// <summary>A step in words.</summary>
    internal static string Words(this SampleStep step) =>
        step switch
        {
            SampleStep.Label => "label looked at",
            SampleStep.Take => "filled",
            SampleStep.Preserve => "preserved",
            SampleStep.Store => "put away",
            SampleStep.Filter => "filtered",
            SampleStep.HandOver => "handed over",
            SampleStep.Receive => "received",
            SampleStep.Measure => "measured",
            SampleStep.Report => "reported",
            SampleStep.Lose => "lost",
            SampleStep.Count => "counted",
            _ => "rejected",
        };

    private static SampleState Of(char letter) =>
        letter switch
        {
            'L' => SampleState.Labelled,
            'T' => SampleState.Taken,
            'P' => SampleState.Preserved,
            'S' => SampleState.Stored,
            'F' => SampleState.Filtered,
            'H' => SampleState.HandedOver,
            'R' => SampleState.Received,
            'M' => SampleState.Analysed,
            'O' => SampleState.Reported,
            'X' => SampleState.Lost,
            'C' => SampleState.Counted,
            _ => SampleState.Rejected,
        };
}
