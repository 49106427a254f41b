using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Setup.Waters;

/// <summary>The choices of waters and stations.</summary>
internal static class WaterBoxes
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Box> All { get; } =
    [
        // It decides what is asked there.
        Box.Names(
            "station.kind",
            "It is worked from",
            ("boat", "a boat"),
            ("pier", "a pier"),
            ("bridge", "a bridge"),
            ("beach", "a beach"),
            ("bank", "the bank of a stream"),
            ("pond", "the edge of a pond")
        ),
    ];
}
