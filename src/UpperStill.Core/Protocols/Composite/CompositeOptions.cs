using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Composite;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class CompositeOptions
{
    /// <summary>Down and up.</summary>
    public static readonly Method Lowering = Method.Of(
        MethodGroup.Bottles,
        "composite.lowering",
        "Down and up",
        "The rise does the sampling.",
        ["free-steady: free fall, slow steady rise", "fast-fill: as fast as it will, rise so it just fills", "slow: slow down"],
        breaks: true
    );

    /// <summary>Came up at least so full, %.</summary>
    public static readonly Threshold FillMin = new("composite.fill-min", MethodGroup.Bottles, "Came up at least so full", "%", 50, 10, 100);

    /// <summary>Came up less full than, %.</summary>
    public static readonly Threshold FillMax = new("composite.fill-max", MethodGroup.Bottles, "Came up less full than", "%", 100, 50, 100);

    /// <summary>Composite taken off its target by more than, m.</summary>
    public static readonly Threshold CompositeDepthDiffers = new(
        "checks.composite-depth-differs",
        MethodGroup.Bottles,
        "Composite taken off its target by more than",
        "m",
        0.15m,
        0.01m,
        2
    );

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [Lowering];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [FillMin, FillMax, CompositeDepthDiffers];
}
