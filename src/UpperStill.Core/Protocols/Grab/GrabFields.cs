using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Grab;

/// <summary>The boxes of a grab.</summary>
internal static class GrabFields
{
    internal static readonly EquipmentField GrabItem = new("grab", "Grab", KitKind.Grab);
    internal static readonly EquipmentField Sieve = new("sieve", "Sieve", KitKind.Sieve) { Required = false };
    internal static readonly ChecklistField Look = new(
        "look",
        "Looked over",
        new("safety-pin", "safety pin"),
        new("spring-pin", "spring pin"),
        new("hinges", "hinges"),
        new("knot", "knot")
    );
    internal static readonly RoleField LineHand = new("line-hand", "Line hand", "Grab and line.") { Required = false };
    internal static readonly RoleField SieveHand = new("sieve-hand", "Sieve hand", "Sieve, jars, alcohol.") { Required = false };
    internal static readonly LengthField Depth = new("depth", "Depth of the water here", 0, 200);
    internal static readonly ChoiceField Jaws = new(
        "jaws",
        "The jaws came up",
        new("closed", "closed"),
        new("held-open", "held open"),
        new("empty", "closed on nothing")
    );
    internal static readonly ChoiceField Fullness = new(
        "fullness",
        "How full",
        new("under-half", "under half"),
        new("half", "half"),
        new("full", "full"),
        new("over", "over the top")
    );
    internal static readonly ChoiceField Bottom = new(
        "bottom",
        "The bottom is",
        new("mud", "mud"),
        new("sand", "sand"),
        new("gravel", "gravel"),
        new("stones", "stones"),
        new("clay", "clay"),
        new("peat", "peat"),
        new("shell", "shell"),
        new("plants", "plants")
    )
    {
        Many = true,
    };
    internal static readonly ChoiceField Smell = new(
        "smell",
        "It smells of",
        new("none", "nothing"),
        new("sulphide", "bad eggs"),
        new("oil", "oil")
    );
    internal static readonly YesNoField OverRim = new("over-rim", "Some went over the rim of the sieve");
    internal static readonly ChoiceField Share = new(
        "share",
        "Share of the jar that was picked",
        new("all", "all"),
        new("half", "half"),
        new("quarter", "a quarter"),
        new("eighth", "an eighth")
    );
    internal static readonly TallyField Counts = new(
        "counts",
        "Picked",
        new("worms", "worms"),
        new("midges", "midge larvae"),
        new("snails", "snails"),
        new("mussels", "mussels"),
        new("mayflies", "mayflies"),
        new("caddis", "caddis flies"),
        new("shrimps", "shrimps and slaters"),
        new("beetles", "beetles and bugs"),
        new("leeches", "leeches"),
        new("other", "other"),
        new(ListedKind.Code, "on the list of invaders")
    );
}
