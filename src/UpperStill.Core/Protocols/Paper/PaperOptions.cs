using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Paper;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class PaperOptions
{
    /// <summary>A sum done by hand differs from the working by more than, m.</summary>
    public static readonly Threshold WorkingDiffers = new(
        "checks.working-differs",
        MethodGroup.Visit,
        "A sum done by hand differs from the working by more than",
        "m",
        0.1m,
        0.01m,
        1
    );

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [WorkingDiffers];
}
