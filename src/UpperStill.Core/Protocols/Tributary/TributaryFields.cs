using UpperStill.Core.Protocols.Streams;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Tributary;

/// <summary>The boxes of a tributary.</summary>
internal static class TributaryFields
{
    internal static readonly ChoiceField WaterAt = new(
        "water-at",
        "The water stands",
        new("bank", "you stay on the bank"),
        new("ankle", "to the ankle"),
        new("knee", "to the knee"),
        new("above", "above the knee")
    );
    internal static readonly LengthField Stage = new("stage", "The staff shows", -10, 50) { Required = false };
    internal static readonly TimerField Wait = new("wait", "Waited until it is clear", 60, "Your feet stir.");
    internal static readonly CounterField Rinses = new("rinses", "Plain bottle rinsed, behind you", 3);
    internal static readonly YesNoField Sediment = new("sediment", "Sediment came into the bottle");
    internal static readonly TemperatureField Water = new("water", "Thermometer in the stream");
    internal static readonly NumberField Flow = FlowField.Of("flow", "The gauge says", true);
    internal static readonly TimeField ReadAt = new("read-at", "The gauge’s time");
    internal static readonly EquipmentField Meter = new("meter", "Current meter", KitKind.CurrentMeter) { Required = false };
    internal static readonly LengthField EdgeLeft = new("edge-left", "Tape at the left edge of the water", 0, 200) { Offered = ["m"] };
    internal static readonly LengthField EdgeRight = new("edge-right", "Tape at the right edge", 0, 200) { Offered = ["m"] };
    internal static readonly LengthField Tape = new("tape", "Tape", 0, 200) { Offered = ["m"] };
    internal static readonly LengthField Depth = new("depth", "Depth", 0, 2) { Offered = ["m", "cm"] };
    internal static readonly TimerField Held = new("held", "Meter held", 40, "A stream pulses.") { Required = false };
    internal static readonly NumberField Speed = new("v", "Speed at 0.6 of the depth from the surface", -0.5m, 3, new FieldUnit("m/s"))
    {
        Required = false,
        Usual = (0, 1.5m),
    };
    internal static readonly NumberField SpeedHigh = new("v-02", "Speed at 0.2 of the depth", -0.5m, 3, new FieldUnit("m/s"))
    {
        Required = false,
        Usual = (0, 1.5m),
    };
    internal static readonly NumberField SpeedLow = new("v-08", "Speed at 0.8 of the depth", -0.5m, 3, new FieldUnit("m/s"))
    {
        Required = false,
        Usual = (0, 1.5m),
    };
    internal static readonly NumberField Area = new("area", "Area of the cross-section", 0.001m, 500, new FieldUnit("m²"));
    internal static readonly NumberField Run = new("run", "The float runs", 2, 50, new FieldUnit("m"));
    internal static readonly TimerField Ran = new("ran", "Run", 0, string.Empty);
    internal static readonly NumberField Litres = new("litres", "The pail holds", 1, 30, new FieldUnit("L"));
    internal static readonly TimerField FilledIn = new("filled-in", "Filled", 0, string.Empty);

    internal static readonly Repeat Vertical = new("vertical", "vertical", 1, 40);
    internal static readonly Repeat Runs = new("run", "run", 3, 6);
    internal static readonly Repeat Fills = new("pail", "fill", 3, 6);

    internal static bool By(SheetDraft draft, string way) => draft.Context.Programme.Chooses(TributaryOptions.FlowFrom, way);
}
