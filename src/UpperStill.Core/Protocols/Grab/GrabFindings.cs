using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Grab;

/// <summary>The words of what a grab finds.</summary>
internal static class GrabFindings
{
    internal static readonly FindingWords Open = new(
        "grab-open",
        FindingLevel.Check,
        "The jaws were {jaws}.",
        "Something held them, or nothing was there, and the catch washed out.",
        "Empty it away from the spot, again 1 m aside."
    );
    internal static readonly FindingWords DepthOff = new(
        "grab-depth-off",
        FindingLevel.Check,
        "{depth} for {target}.",
        "Animals change within half a metre.",
        "Move, or keep the true depth."
    );
    internal static readonly FindingWords Full = new(
        "grab-fullness",
        FindingLevel.Check,
        "{fullness}: too little bottom, or washed out at the top.",
        "What a square metre holds rests on a whole bite.",
        "Again 1 m aside."
    );
    internal static readonly FindingWords SieveOver = new(
        "sieve-over",
        FindingLevel.Check,
        "Some went over the rim.",
        "What is gone is not counted.",
        "Kept as “at least”, or again."
    );

    internal static IReadOnlyList<FindingWords> All { get; } = [Open, DepthOff, Full, SieveOver, CleanGear.Unclean];
}
