using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>The boxes of the check of an oxygen meter.</summary>
internal static class MeterBoxes
{
    public static readonly IReadOnlyList<Box> All =
    [
        Box.Plain("meter-check.display", "The display now shows", "mg/L", "%"),
        // In air that is saturated with water vapour, whatever its pressure.
        Box.Typed("meter-check.expected", "It should read", "%", usual: 100),
    ];
}
