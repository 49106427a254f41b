using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>The boxes of putting away, handing over and taking in that are answered with one touch.</summary>
internal static class CustodyBoxes
{
    public static readonly IReadOnlyList<Box> All =
    [
        Box.Plain("stored.in", "Where", "freezer", "refrigerator", "cooler", "cupboard"),
        Box.Names("handed-over.by", "How", ("hand", "brought to the door"), ("carrier", "by carrier or post")),
        Box.Names(
            "handed-over.on",
            "On",
            ("ice", "ice"),
            ("frozen-packs", "frozen packs"),
            ("dry-ice", "dry ice"),
            ("nothing", "nothing needed")
        ),
        Box.Names(
            "received.as",
            "How did it arrive?",
            ("good", "in good order"),
            ("thawed", "thawed"),
            ("warm", "warm"),
            ("leaking", "leaking or broken"),
            ("unwrapped", "not in foil"),
            ("unlabelled", "label missing or unreadable")
        ),
    ];
}
