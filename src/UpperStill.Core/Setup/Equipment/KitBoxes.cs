using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>What each check of a thing of the kit asks.</summary>
internal static class KitBoxes
{
    private static readonly string[] Meters = ["%", "mg/L", "µS/cm", "pH"];

    /// <summary>All of them, by <see cref="KitCheckKind"/>.</summary>
    public static IReadOnlyList<Box> All { get; } =
    [
        Of(
            "taped",
            "Wet and under its load, from the face of the disc. One mark gives one factor; several give a factor that changes along the "
                + "line."
        ),
        // The chamber of saturated air.
        Of("calibrated", "Write what it read before you set it: the difference is its drift.", Meters) with
        {
            Usual = 100,
        },
        Of("end-check", "The same standard again, without setting it.", Meters),
        Of("ice-point", "Crushed ice and a little water, well stirred, until it holds still.", "°C", "°F"),
        Of("zeroed", "A drop of distilled water, before you turn the screw.", "ppt"),
        Of("timed", "Let the messenger go on a line of known length."),
        Of("counted", "Lay every part out."),
        Of("looked-over", "Tick what is well; what is not ticked stays open."),
    ];

    private static Box Of(string kind, string hint, params string[] units) =>
        Box.Plain($"kit-check.{kind}", "It is read in", units) with
        {
            Hint = hint,
        };
}
