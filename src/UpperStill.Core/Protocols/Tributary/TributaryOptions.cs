using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Tributary;

/// <summary>What a programme may choose of a tributary.</summary>
public static class TributaryOptions
{
    /// <summary>How its flow is found.</summary>
    public static readonly Method FlowFrom = Method.Of(
        MethodGroup.Other,
        "flow.from",
        "Flow of a stream",
        "Where there is a gauge nobody wades.",
        [
            "gauge: the gauge’s own figure",
            "table: the staff and the group’s table",
            "velocity-area: verticals across the stream",
            "float: a float, about",
            "pail: a pail under a spout",
            "none: not asked",
        ],
        breaks: true
    );

    /// <summary>Where in the water the bottle is filled.</summary>
    public static readonly Method Depth = Method.Of(
        MethodGroup.Other,
        "tributary.depth",
        "A stream is sampled at",
        "Solids are uneven.",
        ["mid-depth: mid-depth", "0.3-m: 0.3 m under the surface"],
        guideOnly: true
    );

    /// <summary>Two sources of flow are apart from, %.</summary>
    public static readonly Threshold FlowDiffers = new(
        "checks.flow-differs",
        MethodGroup.Other,
        "Two figures of one flow are apart from",
        "%",
        20,
        1,
        100
    );

    internal static IReadOnlyList<Method> Methods { get; } = [FlowFrom, Depth];

    internal static IReadOnlyList<Threshold> Thresholds { get; } = [FlowDiffers];
}
