namespace UpperStill.Core.Record.Parts;

/// <summary>What can hurt on an outing. Local law, the programme's safety plan and the substance's safety sheet come before anything
/// here.</summary>
internal static class Caution
{
    internal const string Law = "Local law, permits, the rules of the boat and your programme’s safety plan come first.";

    internal const string Bloom =
        "Scum or paint on the water may be poisonous: do not touch it, keep dogs out, gloves on, tell the coordinator.";

    internal const string Caps = "Fingers clear of the end caps: they close with force, and not only when they should.";

    internal const string Acid = "Acid and fixatives burn: gloves and glasses, upwind, and what the substance’s safety sheet says.";

    internal const string Alcohol = "Alcohol and stain: no flame, gloves, upwind.";

    internal const string Wading =
        "Wading: cold shock, slips, deep mud. Feel ahead with a pole, turn back when it holds the boot; flotation on. Somebody "
        + "ashore watches.";

    internal const string Germs = "Germs: cover cuts, wash before eating.";

    internal const string Fast =
        "Fast water: no wading above the knee, nor where depth in m times speed in m/s passes 0.6, nor in a spate.";

    internal const string Surf = "Surf: never your back to it; one wave in many runs far, and the tide may close the way back.";

    internal const string Traffic =
        "Traffic: only where standing is lawful, bright vest, lookout. The line never round a hand; if it snags, let go.";

    internal const string Jaws = "Jaws: the pin is in whenever it is aboard, hands and feet clear, two lift.";

    internal const string Rope = "Rope: nobody behind the throw, foot off the rope.";

    internal const string Fixative = "Fixative is poison: trained people, gloves, eye protection, over a tray.";

    internal const string Alone = "Alone only ashore, with somebody told where you are and when you are back.";

    /// <summary>By the letter with which a protocol of the group’s own names it; null for none of them.</summary>
    internal static string? ByLetter(string letter) =>
        letter switch
        {
            "W" => Wading,
            "F" => Fast,
            "S" => Surf,
            "T" => Traffic,
            "J" => Jaws,
            "R" => Rope,
            "A" => Alcohol,
            "X" => Fixative,
            "K" => Acid,
            "B" => Bloom,
            "G" => Germs,
            "L" => Alone,
            _ => null,
        };

    /// <summary>What can hurt on the water, or beside it.</summary>
    internal static string Of(bool shore) =>
        shore
            ? "Slippery ramps and rungs, deep mud, rising tide and surf: never with your back to the water."
            : "Cold shock, capsize, lightning; keep the anchor line clear of the propeller. Flotation is worn, not stowed.";
}
