using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class CustodyOptions
{
    /// <summary>Labelling.</summary>
    public static readonly Method When = Method.Of(
        MethodGroup.Samples,
        "label.when",
        "Labelling",
        "The time is not known yet.",
        [
            "before-dry: before, dry, without the time",
            "before-time: before, with the time",
            "path: at the path’s head, before it is wet",
            "on-site: on site",
            "after: afterwards",
            "verify: pre-labelled, verify",
        ],
        guideOnly: true
    );

    /// <summary>Writing tool.</summary>
    public static readonly Method Tool = Method.Of(
        MethodGroup.Samples,
        "label.tool",
        "Writing tool",
        "Survives wet.",
        ["printed: printed, the rest in pencil", "pencil: pencil", "marker: permanent or waterproof marker", "pen: pen"]
    );

    /// <summary>What labels are written with, as it is packed.</summary>
    internal static string Pens(Programme programme) =>
        programme.ChoiceOf(Tool) switch
        {
            "marker" => "waterproof markers",
            "pen" => "pens",
            "pencil" => "pencils, for labels written by hand",
            _ => "pencils",
        };

    /// <summary>Arrived warmer than, where ice is asked, °C.</summary>
    public static readonly Threshold Thawed = new(
        "checks.thawed",
        MethodGroup.Samples,
        "Arrived warmer than, where ice is asked",
        "°C",
        6,
        1,
        15
    );

    /// <summary>Volumes of replicates differ by more than, %.</summary>
    public static readonly Threshold ReplicateVolumesApart = new(
        "checks.replicate-volumes-apart",
        MethodGroup.Samples,
        "Volumes of replicates differ by more than",
        "%",
        20,
        1,
        100
    );

    /// <summary>How long a sample may wait, where its type says a time, h.</summary>
    internal static Threshold Hold(SampleType type) =>
        new(
            type.HoldSetting,
            MethodGroup.Samples,
            $"To the lab within: {type.Measures}, {type.Container}",
            "h",
            type.HoldHours ?? 0,
            1,
            8760
        );

    /// <summary>How long water of a type may wait by a programme, h; null where it keeps.</summary>
    internal static decimal? HoldHours(Programme programme, SampleType type) => type.HoldHours is null ? null : programme.Of(Hold(type));

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [When, Tool, ContainerOptions.Keep, ContainerOptions.Bacteria];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } =
    [Thawed, ReplicateVolumesApart, .. SampleTypes.All.Where(t => t.HoldHours is not null).Select(Hold)];
}
