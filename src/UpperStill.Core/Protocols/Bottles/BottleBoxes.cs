using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>The boxes of a cast of the sampler that are answered with one touch.</summary>
internal static class BottleBoxes
{
    public static readonly IReadOnlyList<Box> All =
    [
        LineLean.Asked("cast.angleDeg", "The line hangs"),
        Box.Count("cast.rinses", "Rinsed at depth, times", 0, 3),
        Box.Names(
            "cast.outcome",
            "It came up",
            ("closed", "closed, full"),
            ("open", "open"),
            ("leaking", "leaking"),
            ("not-full", "not full"),
            ("touched", "it touched bottom")
        ),
        new("cast.sediment", "The water is", [new BoxChoice("clean", Yes: false), new BoxChoice("sediment or weed", Yes: true)]),
        Box.Plain("cast.smell", "Smell", "none", "earth", "rotten eggs"),
    ];
}
