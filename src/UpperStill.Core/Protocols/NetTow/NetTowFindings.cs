using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.NetTow;

/// <summary>The words of what a tow finds.</summary>
internal static class NetTowFindings
{
    internal static readonly FindingWords NoThermocline = new(
        "tow-no-thermocline",
        FindingLevel.Check,
        "No thermocline today.",
        "The tow would have no lower end.",
        "Tow from {clearance} off the bottom, or as the programme says."
    );
    internal static readonly FindingWords TooLong = new(
        "tow-too-long",
        FindingLevel.Stop,
        "{length} of tow in {water} of water.",
        "The net would drag.",
        "Use {best}."
    );
    internal static readonly FindingWords Speed = new(
        "tow-speed",
        FindingLevel.Check,
        "{speed} m/s.",
        "Slow, they swim out; fast, water spills past.",
        "Again if there is time."
    );
    internal static readonly FindingWords Stopped = new(
        "tow-stopped",
        FindingLevel.Check,
        "It stopped on the way.",
        "While it hangs, they swim out.",
        "Empty the net and tow again."
    );
    internal static readonly FindingWords Touched = new(
        "tow-touched",
        FindingLevel.Stop,
        "Mud is in the net.",
        "What lives on the bottom is counted as if it drifted, and the mesh is shut.",
        "Wash it, move, again from {best}."
    );
    internal static readonly FindingWords Coated = new(
        "net-coated",
        FindingLevel.Check,
        "It drained {how}.",
        "Less water went through than worked out: numbers are “at least”.",
        "Shorter tow, coarser mesh."
    );
    internal static readonly FindingWords WashUnfiltered = new(
        "wash-unfiltered",
        FindingLevel.Note,
        "Washed with water of the site.",
        "Site water adds its own animals.",
        "Carry filtered water next time."
    );
    internal static readonly FindingWords Uneven = new(
        "subsamples-uneven",
        FindingLevel.Check,
        "{list}: more uneven than chance.",
        "Settled jars give uneven drops.",
        "Stir, count one more."
    );
    internal static readonly FindingWords CountLow = new(
        "count-low",
        FindingLevel.Note,
        "{n} counted of {kind}: {low}–{high}.",
        "Few animals say little of many.",
        "More cells narrow it."
    );
    internal static readonly FindingWords ValueMissing = new(
        "kit-value-missing",
        FindingLevel.Check,
        "{item} has no {value}.",
        "Counts are kept; per-litre figures wait for it.",
        "Enter it in Set-up, under Kit."
    );
    internal static readonly FindingWords StrengthWeak = new(
        "alcohol-weak",
        FindingLevel.Check,
        "{item} has {strength} %.",
        "It cannot bring the catch to 70 %.",
        "Use stronger alcohol."
    );

    internal static IReadOnlyList<FindingWords> All { get; } =
    [NoThermocline, TooLong, Speed, Stopped, Touched, Coated, WashUnfiltered, Uneven, CountLow, ValueMissing, StrengthWeak];
}
