using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Results;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class ResultsOptions
{
    /// <summary>Results of replicates differ by more than, %.</summary>
    public static readonly Threshold ReplicatesApart = new(
        "checks.replicates-apart",
        MethodGroup.Samples,
        "Results of replicates differ by more than",
        "%",
        20,
        1,
        100
    );

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [ReplicatesApart];
}
