using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>The boxes of the sounding that are answered with one touch.</summary>
internal static class SoundingBoxes
{
    private const string Stirs = "It stirs the bottom: on the other side of the boat, after the clean surface water.";

    public static readonly IReadOnlyList<Box> All =
    [
        new(
            "sounding.by",
            "Sounded by",
            [
                new BoxChoice("depth finder", "finder"),
                new BoxChoice("weighted line", "lead", Note: Stirs),
                new BoxChoice("the disc, to the bottom", "disc", Note: Stirs),
            ]
        ),
    ];
}
