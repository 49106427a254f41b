using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class CustodyOptions
{
    /// <summary>Labelling.</summary>
    public static readonly Method When = Method.Of(
        MethodGroup.Samples, "label.when", "Labelling", "The time is not known yet.",
        ["before-dry: before, dry, without the time", "before-time: before, with the time", "path: at the path’s head, before it is wet", "on-site: on site", "after: afterwards", "verify: pre-labelled, verify"]);

    /// <summary>Writing tool.</summary>
    public static readonly Method Tool = Method.Of(
        MethodGroup.Samples, "label.tool", "Writing tool", "Survives wet.",
        ["printed: printed, the rest in pencil", "pencil: pencil", "marker: permanent or waterproof marker", "pen: pen"]);

    /// <summary>Keeping.</summary>
    public static readonly Method Keep = Method.Of(
        MethodGroup.Samples, "sample.keep", "Keeping", "Each analyte fades in its own way.",
        ["by-type: by sample type", "frozen: frozen", "refrigerated: refrigerated", "ice-packs: ice packs", "ice-then-cold: ice, then refrigerator", "stable: stable once fixed", "alcohol: alcohol"]);

    /// <summary>Bacteria to the lab.</summary>
    public static readonly Method Within = Method.Of(
        MethodGroup.Samples, "bacteria.within", "Bacteria to the lab", "Counts drift.",
        ["6-h: 6 h, and 2 h in the lab", "24-h: 24 h", "same-outing: same outing", "unasked: not asked"]);

    /// <summary>Arrived warmer than, where ice is asked, °C.</summary>
    public static readonly Threshold Thawed = new("checks.thawed", MethodGroup.Samples, "Arrived warmer than, where ice is asked", "°C", 6, 1, 15);

    /// <summary>Volumes of replicates differ by more than, %.</summary>
    public static readonly Threshold ReplicateVolumesApart = new("checks.replicate-volumes-apart", MethodGroup.Samples, "Volumes of replicates differ by more than", "%", 20, 1, 100);

    /// <summary>How long a sample may wait, where its type says a time, h.</summary>
    internal static Threshold Hold(SampleType type) => new(type.HoldSetting, MethodGroup.Samples, $"To the lab within: {type.Measures}, {type.Container}", "h", type.HoldHours ?? 0, 1, 8760);

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [When, Tool, Keep, Within];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [Thawed, ReplicateVolumesApart, .. SampleTypes.All.Where(t => t.HoldHours is not null).Select(Hold)];
}
