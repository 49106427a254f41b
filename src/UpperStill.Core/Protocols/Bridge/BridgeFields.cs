using UpperStill.Core.Protocols.Streams;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Bridge;

/// <summary>The boxes of a sampler from a bridge.</summary>
internal static class BridgeFields
{
    internal static readonly RoleField Sampler = new("sampler", "Sampler", "Rope, sampler, bottles.") { Required = false };
    internal static readonly RoleField Lookout = new("lookout", "Lookout", "The phone, and eyes on the road.") { Required = false };
    internal static readonly ChecklistField Safe = new(
        "safe",
        "Before anything goes over the rail",
        new("vest", "vest on"),
        new("lookout", "lookout, or a closed footway"),
        new("place", "a lawful place to stand")
    )
    {
        Safety = true,
    };
    internal static readonly LengthField Stage = new("stage", "The staff shows", -10, 50);
    internal static readonly NumberField Flow = FlowField.Of("flow", "Flow, if it is posted", false);
    internal static readonly EquipmentField Bottle = new("bottle-sampler", "Sampler", KitKind.BottleSampler);
    internal static readonly ChecklistField Ready = new(
        "ready",
        "Looked over",
        new("clamps", "clamps tight"),
        new("rope", "rope sound at the trip"),
        new("drain", "drain tube shut"),
        new("seals", "seals firm"),
        new("messenger", "messenger and carrier")
    )
    {
        Unticked = BridgeFindings.Unready,
    };
    internal static readonly ChoiceField Debris = new(
        "debris",
        "Coming down the stream",
        new("none", "nothing"),
        new("leaves", "leaves"),
        new("wood", "wood"),
        new("ice", "ice")
    );
    internal static readonly CounterField Dips = new("dips", "Dips to rinse the sampler", 3);
    internal static readonly LengthField Depth = new("depth", "Depth of the sampler under the surface", 0.1m, 2) { UsualM = (0.2m, 0.4m) };
    internal static readonly LengthField Height = new("height", "Height of the hand above the water", 0.5m, 40);
    internal static readonly BeatField Beat = new("beat", "Three upright passes, tapped") { Required = false };
    internal static readonly TimerField Trip = new("trip-s", "From letting go until it trips", 0, "") { Required = false };
    internal static readonly YesNoField Felt = new("felt", "The trip was felt");
    internal static readonly ChoiceField CameUp = new(
        "came-up",
        "It came up",
        new("closed", "closed"),
        new("open", "open"),
        new("leaking", "leaking"),
        new("short", "short of water"),
        new("touched", "it touched the bed")
    );
    internal static readonly CounterField Shakes = new("shakes", "Shaken before this bottle", 1) { Required = false, Asked = false };
    internal static readonly YesNoField Lip = new("lip", "The tube touched the lip");
    internal static readonly TemperatureField Water = new("water", "Temperature of what is left, never in a bottle");
}
