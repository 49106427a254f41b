using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Rake;

/// <summary>The boxes of a throw.</summary>
internal static class RakeFields
{
    private static readonly FieldChoice[] Grades =
    [
        new("1", "1 trace: a few strands"),
        new("2", "2 some: under half the tines"),
        new("3", "3 much"),
        new("4", "4 full: tines hidden"),
    ];

    internal static readonly EquipmentField Item = new("rake", "Rake", KitKind.Rake) { Required = false };
    internal static readonly RoleField Thrower = new("thrower", "Thrower", "Rake and rope.") { Required = false };
    internal static readonly RoleField Recorder = new("recorder", "Recorder", "The phone, finder and plant guide.") { Required = false };
    internal static readonly ChoiceField Side = new(
        "side",
        "Side",
        new("bow", "bow"),
        new("stern", "stern"),
        new("left", "left"),
        new("right", "right")
    );
    internal static readonly LengthField Depth = new("depth", "Depth of the water here", 0, 10);
    internal static readonly ChoiceField Outcome = new(
        "outcome",
        "It came up",
        new("good", "good"),
        new("turned", "turned over"),
        new("fouled", "fouled")
    );
    internal static readonly ChoiceField Fullness = new("fullness", "How full is the rake", [new("0", "0 none"), .. Grades]);
    internal static readonly YesNoField Present = new("present", "Plants are on it");
    internal static readonly ChoiceField KindFullness = new("kind-fullness", "How much of it", Grades);
    internal static readonly ChoiceField State = new("state", "It is", new("live", "live"), new("dying", "dying"), new("dead", "dead"));
    internal static readonly WordsField Looks = new("looks", "What it looks like, and the bag’s number") { Required = false };
    internal static readonly PhotoField Photo = new("photo", "Photograph of it") { Required = false };

    internal static readonly FieldChoice[] Plants =
    [
        new("stonewort", "stonewort"),
        new("milfoil", "milfoil"),
        new("pondweed-broad", "pondweed, broad leaves"),
        new("pondweed-fine", "pondweed, fine leaves"),
        new("water-lily", "water lily"),
        new("quillwort", "quillwort"),
        new("shoreweed", "shoreweed"),
        new("water-crowfoot", "water crowfoot"),
        new("hornwort", "hornwort"),
        new("waterweed", "waterweed"),
        new("moss", "moss"),
        new("thread-algae", "thread algae"),
        new(ListedKind.Code, "on the list of invaders"),
        new("unknown", "not known"),
    ];
}
