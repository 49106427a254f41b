using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Seawater;

/// <summary>The boxes of a seawater bottle.</summary>
internal static class SeawaterFields
{
    internal static readonly ChecklistField Drawn = new(
        "drawn",
        "Bucket",
        new("rinsed", "rinsed with the sea"),
        new("above", "stands above the high-tide mark")
    );
    internal static readonly CodeField Bottle = new("bottle", "Number of the bottle");
    internal static readonly CounterField Rinses = new("rinses", "Rinsed with the same water", 3);
    internal static readonly YesNoField Bubbles = new("bubbles", "Bubbles stayed in it");
    internal static readonly TemperatureField Water = new("water", "Water, to 0.1");
    internal static readonly TimerField Steady = new("steady", "Thermometer held", 60, "The bulb is slow.");
    internal static readonly ChoiceField In = new(
        "thermometer-in",
        "The thermometer was in",
        new("bucket", "the bucket"),
        new("bottle", "the bottle")
    );
    internal static readonly NumberField Salinity = new("salinity", "Salinity", 0, 100, new FieldUnit("ppt"));
    internal static readonly EquipmentField Lot = new("fixative", "Fixative, its lot", KitKind.Reagent) { Required = false };
    internal static readonly CounterField Drops = new("drops", "Drops of fixative", 1) { Asked = false };
    internal static readonly CounterField Turns = new(
        "turns",
        "Turned over",
        5,
        new FindingWords(
            "turns-few",
            Basis.Findings.FindingLevel.Check,
            "{count} of {wanted} turns.",
            "What is not mixed goes on living.",
            "Turn it over, do not shake."
        )
    );
    internal static readonly YesNoField FreshCap = new("fresh-cap", "The cap is fresh");
    internal static readonly YesNoField Dark = new("dark", "It is in the dark box");

    /// <summary>Bubbles ask for another filling.</summary>
    internal static readonly Repeat Fill = new("fill", "filling", 1, 1);
}
