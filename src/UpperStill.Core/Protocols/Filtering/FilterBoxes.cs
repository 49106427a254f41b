using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>The boxes of the bench that are answered with one touch.</summary>
internal static class FilterBoxes
{
    public static readonly IReadOnlyList<Box> All =
    [
        Box.Names(
            "filter.by",
            "Pushed by",
            ("syringe", $"a syringe, {Decimals.Text(FilterPart.SyringeMl)} mL"),
            ("pump", "a pump and funnel")
        ),
        Box.Names(
            "filter.trouble",
            "Trouble with the filter?",
            ("torn", "torn"),
            ("leaked", "leaked at the rim"),
            ("fingers", "touched"),
            ("dropped", "dropped")
        ),
        Box.Typed(
            "filter.vacuumKpa",
            "Vacuum of the pump",
            "kPa",
            $"Under {Decimals.Text(FilterPart.MostVacuumKpa)} kPa: more breaks cells."
        ),
        Box.Typed("filter.diameterMm", "Diameter of the filter", "mm"),
        Box.Typed("filter.poreUm", "Pore, nominal", "µm", "Usually 0.7.", 0.7m),
        Box.Typed("filter.drops", "Drops of MgCO3 on the filter", null, "0 where none."),
        Box.Typed("filter.lightMin", "How long in direct light?", "min"),
    ];
}
