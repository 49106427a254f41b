using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.NetTow;

/// <summary>The boxes of a tow.</summary>
internal static class NetTowFields
{
    internal static readonly ChecklistField Look = new(
        "look",
        "Looked over",
        new("holes", "no holes"),
        new("cup", "cup screwed"),
        new("clip", "clip shut"),
        new("weight", "weight on")
    );
    internal static readonly EquipmentField Net = new("net", "Net", KitKind.Net);
    internal static readonly ChoiceField Direction = new(
        "direction",
        "Direction",
        new("vertical", "vertical"),
        new("horizontal", "horizontal")
    );
    internal static readonly LengthField From = new("from", "From a depth of", 0, 200);
    internal static readonly LengthField LineOut = new("line-out", "Line out", 0.5m, 200);
    internal static readonly NumberField Angle = new("angle", "Lean of the line", 0, 89, new FieldUnit("°")) { Usual = (0, 10) };
    internal static readonly TimerField Haul = new("tow-s", "Haul", 3, "Fast, water spills past.") { MostS = 900 };
    internal static readonly ChoiceField Went = new("went", "It came up", new("through", "without a stop"), new("stopped", "with a stop"));
    internal static readonly PositionField Start = new("start", "Start of a horizontal tow") { Required = false };
    internal static readonly PositionField End = new("end", "End of a horizontal tow") { Required = false };
    internal static readonly NumberField Turns = new("turns", "Turns of the flow meter", 0, 1000000) { Whole = true, Required = false };
    internal static readonly YesNoField Touched = new("touched", "The net touched the bottom");
    internal static readonly CounterField Washes = new("washes", "Washed down from outside", 3);
    internal static readonly ChoiceField WashWater = new(
        "wash-water",
        "Washed with",
        new("filtered", "filtered water"),
        new("site", "water of the site")
    );
    internal static readonly ChoiceField Drained = new(
        "drained",
        "It drained",
        new("freely", "freely"),
        new("slowly", "slowly"),
        new("coated", "hardly: the mesh is coated")
    );
    internal static readonly CounterField CupRinses = new("cup-rinses", "Cup rinsed into the jar", 3);
    internal static readonly NumberField CatchMl = new("catch", "Catch with its water", 5, 500, new FieldUnit("mL")) { Required = false };
    internal static readonly EquipmentField Alcohol = new("alcohol", "Alcohol", KitKind.Reagent) { Required = false };
    internal static readonly NumberField AlcoholMl = new("alcohol-ml", "Alcohol added", 0, 2000, new FieldUnit("mL")) { Required = false };
    internal static readonly WordsField Colour = new("colour", "Colour") { Required = false };
    internal static readonly NumberField MadeUpMl = new("made-up", "Made up to", 10, 2000, new FieldUnit("mL"));
    internal static readonly NumberField SubMl = new("sub", "Each sub-sample", 0.1m, 10, new FieldUnit("mL"));
    internal static readonly TallyField Counts = new(
        "counts",
        "Counted",
        new("water-fleas", "water fleas"),
        new("copepods", "copepods"),
        new("nauplii", "nauplii"),
        new("rotifers", "rotifers"),
        new("midge-larvae", "phantom midge larvae"),
        new("colonies", "algae in colonies"),
        new("other", "other")
    );
}
