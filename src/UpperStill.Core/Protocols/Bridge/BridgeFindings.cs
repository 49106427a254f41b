using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Bridge;

/// <summary>The words of what a sampler from a bridge finds.</summary>
internal static class BridgeFindings
{
    internal static readonly FindingWords Unready = new(
        "sampler-unready",
        FindingLevel.Check,
        "Not ticked: {list}.",
        "An open vent or a loose clamp costs the cast.",
        "Look now."
    );
    internal static readonly FindingWords DebrisPassing = new(
        "debris-passing",
        FindingLevel.Check,
        "{what} is coming down.",
        "It takes the sampler, and the line with it.",
        "Wait until it has passed."
    );
    internal static readonly FindingWords TooDeep = new(
        "bottle-too-deep",
        FindingLevel.Stop,
        "{depth} and the sampler’s {length}, in {water} of water.",
        "It would stir the bed.",
        "{best} is the deepest."
    );
    internal static readonly FindingWords Unfelt = new(
        "trip-unfelt",
        FindingLevel.Check,
        "No trip was felt.",
        "Tripped early or late means water from another depth.",
        "Tug once; if nothing, raise slowly and look."
    );
    internal static readonly FindingWords Failed = new(
        "sampler-failed",
        FindingLevel.Stop,
        "It came up {how}.",
        "This water is not from that depth alone.",
        "Empty it away from the spot, rinse, lower again."
    );
    internal static readonly FindingWords Touched = new(
        "sampler-touched",
        FindingLevel.Stop,
        "It touched the bed.",
        "Mud is in the water; it is too shallow here for this sampler.",
        "No bottle from it. Take the stream by hand, or go where it is deeper."
    );
    internal static readonly FindingWords NotShaken = new(
        "not-shaken",
        FindingLevel.Check,
        "{sample} came from the same cast without a shake.",
        "Solids settled; this bottle has less.",
        "Shake, fill anew, or mark it."
    );
    internal static readonly FindingWords LipTouched = new(
        "lip-touched",
        FindingLevel.Check,
        "The tube touched the lip.",
        "What hung on the tube is in the bottle.",
        "New bottle, or mark it."
    );
    internal static readonly FindingWords WaterShort = new(
        "water-short",
        FindingLevel.Note,
        "{need} for the bottles, {have} each cast.",
        "The last bottle would stay short, and is never topped up from another cast.",
        "Plan {casts}."
    );
    internal static readonly FindingWords WaterCast = new(
        "fill-from-bad-cast",
        FindingLevel.Stop,
        "{sample} was filled from a cast that {how}.",
        "That water does not count.",
        "Empty it, and fill it from a good cast."
    );

    internal static IReadOnlyList<FindingWords> All { get; } =
    [Unready, DebrisPassing, TooDeep, Unfelt, Failed, Touched, NotShaken, LipTouched, WaterShort, WaterCast];
}
