using System.Globalization;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Plastics;

/// <summary>The boxes of a beach and its water.</summary>
internal static class PlasticsFields
{
    private static readonly FieldChoice[] InBand = [new("between", "between wrack and high-tide line"), new("outside", "outside")];

    internal static readonly ChecklistField Ready = new(
        "ready",
        "Before anybody walks on it",
        new("jars", "six jars"),
        new("general", "general part of the sheet"),
        new("markers", "three markers counted out"),
        new("spoon", "metal spoon, ruler in mm")
    );
    internal static readonly PhotoField Photos = new("photo", "Photographs of the shore", 3) { Required = false };
    internal static readonly TimeField LowWater = new("low-water", "Low water today");
    internal static readonly ChoiceField BandNorth = new("band-1", "Marker 1, the northernmost", InBand);
    internal static readonly ChoiceField BandMiddle = new("band-2", "Marker 2", InBand);
    internal static readonly ChoiceField BandSouth = new("band-3", "Marker 3", InBand);
    internal static readonly PositionField North = new("north", "Marker 1");
    internal static readonly PositionField South = new("south", "Marker 3");
    internal static readonly EquipmentField Quadrat = new("quadrat", "Quadrat", KitKind.Quadrat);
    internal static readonly EquipmentField Jars = new("jar-lot", "Jars, their lot", KitKind.Bottles);
    internal static readonly TallyField Debris = new(
        "debris",
        "Visible, picked out",
        new("hard", "hard plastic"),
        new("film", "film"),
        new("foam", "foam"),
        new("line", "line"),
        new("pellet", "pellets"),
        new("filter", "filter tips"),
        new("glass", "glass"),
        new("metal", "metal"),
        new("paper", "paper")
    );
    internal static readonly NumbersField Depths = new("depths", "Depth at the corners and in the middle", 5, 0, 60, "mm")
    {
        Usual = (15, 25),
    };
    internal static readonly NumberField Off = new("off", "Straight off sand", 1, 3) { Whole = true };
    internal static readonly PositionField Where = new("position", "Where you stand") { Required = false };
    internal static readonly LengthField Depth = new("depth", "Depth where you stand", 0.2m, 1) { UsualM = KneeDeep.Range };
    internal static readonly TimerField Wait = new("wait", "Waited", 60, "Sand that you stirred drifts by.");
    internal static readonly ChoiceField Current = new(
        "current",
        "The current runs",
        new("left", "left"),
        new("right", "right"),
        new("in", "in"),
        new("out", "out")
    );
    internal static readonly CounterField Rinses = new("rinses", "Whole fills poured down-current", 3);
    internal static readonly ChoiceField Capped = new("capped", "Capped", new("under-water", "under water"), new("in-air", "in air"));
    internal static readonly ChoiceField Holds = new(
        "holds",
        "In the jar",
        new("clear", "clear water"),
        new("weed", "weed"),
        new("jelly", "jelly"),
        new("litter", "litter"),
        new("sand", "sand")
    );
    internal static readonly ChecklistField Back = new(
        "back",
        "Back from the beach",
        new("markers", "three markers"),
        new("jars", "six jars"),
        new("tools", "quadrat, spoon, tape"),
        new("rubbish", "all rubbish")
    )
    {
        Unticked = PlasticsFindings.LeftBehind,
    };
    internal static readonly NumberField SandItems = new("sand-items", "Items in the sand jar", 0, 9999) { Whole = true, Required = false };
    internal static readonly NumberField WaterItems = new("water-items", "Items in the water jar", 0, 9999)
    {
        Whole = true,
        Required = false,
    };
    internal static readonly NumberField WaterL = new(
        "water-volume",
        "Water in the jar",
        0.01m,
        5,
        new FieldUnit("L"),
        new FieldUnit("mL", 0.001m)
    )
    {
        Required = false,
    };

    internal static readonly Repeat Sand = Pairs("sand");
    internal static readonly Repeat Water = Pairs("water");

    /// <summary>Pairs of sand and water.</summary>
    internal const int Places = 3;

    private static Repeat Pairs(string code) =>
        new(code, code, Places, Places)
        {
            Asked = _ =>
                [
                    .. Enumerable
                        .Range(1, Places)
                        .Select(n => n.ToString(CultureInfo.InvariantCulture))
                        .Select(n => new RepeatItem(n, $"{code} {n}")),
                ],
        };
}
