using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Protocols.Results;

/// <summary>What is typed of an extract, by the method of the laboratory.</summary>
internal static class ExtractBoxes
{
    public static readonly IReadOnlyList<Box> All =
    [
        Box.Names(
            "measured.method",
            "How",
            ("monochromatic", "acetone, with acid"),
            ("hot-ethanol", "hot ethanol, with acid"),
            ("trichromatic", "three wavelengths"),
            ("fluorometric", "fluorescence, with acid")
        ),
        Box.Names(
            "measured.monochromatic",
            "Absorbance",
            ("at664Before", "664 before acid"),
            ("at750Before", "750 before acid"),
            ("at665After", "665 after acid"),
            ("at750After", "750 after acid")
        ),
        Box.Names(
            "measured.trichromatic",
            "Absorbance",
            ("at664Before", "664"),
            ("at647", "647"),
            ("at630", "630"),
            ("at750Before", "750")
        ),
        Box.Names(
            "measured.hot-ethanol",
            "Absorbance",
            ("at665Before", "665 before acid"),
            ("at750Before", "750 before acid"),
            ("at665After", "665 after acid"),
            ("at750After", "750 after acid")
        ),
        Box.Names("measured.fluorometric", "Fluorescence", ("fluorescenceBefore", "before acid"), ("fluorescenceAfter", "after acid")),
        Box.Typed("measured.extractMl", "Extract", "mL", usual: 10),
        Box.Typed("measured.pathCm", "Path", "cm", usual: 1),
    ];
}
