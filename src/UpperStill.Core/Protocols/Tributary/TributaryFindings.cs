using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Tributary;

/// <summary>The words of what a stream finds.</summary>
internal static class TributaryFindings
{
    internal static readonly FindingWords WadingFast = new(
        "wading-fast",
        FindingLevel.Stop,
        "{depth} at {speed}.",
        "That is enough to take your feet.",
        "Out; use bank, bridge or gauge."
    );
    internal static readonly FindingWords StageOutside = new(
        "stage-outside-table",
        FindingLevel.Check,
        "{stage} is beyond the table ({low}–{high}).",
        "Beyond its rows a table is a guess.",
        "No flow is worked out. Gauge it, or take the gauge’s figure."
    );
    internal static readonly FindingWords TableFalls = new(
        "flow-table",
        FindingLevel.Check,
        "The group’s table is missing, or does not rise from row to row.",
        "A stage would have two flows, or none.",
        "Mend it in Set-up, at the station."
    );
    internal static readonly FindingWords VerticalsFew = new(
        "verticals-few",
        FindingLevel.Check,
        "{n} of {needed} verticals.",
        "Between them the stream is guessed.",
        "Add between the deepest."
    );
    internal static readonly FindingWords PanelLarge = new(
        "panel-large",
        FindingLevel.Note,
        "{percent} % passes in one panel.",
        "An error there is an error of the whole.",
        "Add one beside {tape}."
    );
    internal static readonly FindingWords Outside = new(
        "vertical-outside",
        FindingLevel.Stop,
        "{tape} lies outside the edges ({low}–{high}).",
        "There is no water there.",
        "Read the tape again, or the edge."
    );
    internal static readonly FindingWords SpeedTwice = new(
        "vertical-speeds",
        FindingLevel.Check,
        "{depth} deep with one speed.",
        "From 0.75 m on the speed changes too much with depth for one.",
        "Read at 0.2 and at 0.8 of the depth; until then the one is taken as the mean."
    );
    internal static readonly FindingWords MeterRange = new(
        "value-unusual",
        FindingLevel.Check,
        "{value}; the meter reads {low}–{high}.",
        "Outside its range it shows something else.",
        "Read once more, or take another place or way."
    );
    internal static readonly FindingWords FlowDiffers = new(
        "flow-differs",
        FindingLevel.Check,
        "{a} and {b}.",
        "Unit, stage or a vertical is off.",
        "Choose one, strike the other."
    );
    internal static readonly FindingWords TimeApart = new(
        "flow-time-apart",
        FindingLevel.Note,
        "{gap} between flow and sample.",
        "In a rising stream the load is off.",
        "Read the gauge again nearer to the bottle’s time."
    );
    internal static readonly FindingWords Estimated = new(
        "flow-estimated",
        FindingLevel.Note,
        "Flow by a float.",
        "The surface runs faster than the whole, by a share that is only usual.",
        "Loads from it are “about”."
    );
    internal static readonly FindingWords TimesFew = new(
        "times-few",
        FindingLevel.Check,
        "{n} of 3 timed.",
        "One time is a chance.",
        "Time it once more; until then the mean is of what there is."
    );

    internal static IReadOnlyList<FindingWords> All { get; } =
    [WadingFast, StageOutside, TableFalls, VerticalsFew, PanelLarge, Outside, SpeedTwice, FlowDiffers, TimeApart, Estimated, TimesFew];
}
