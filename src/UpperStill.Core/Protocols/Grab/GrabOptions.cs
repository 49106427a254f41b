using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Grab;

/// <summary>What a programme may choose of a grab.</summary>
public static class GrabOptions
{
    /// <summary>At which depths.</summary>
    public static readonly Method Depths = Method.Of(
        MethodGroup.Other,
        "grab.depths",
        "The bottom is grabbed at",
        "Where animals change fastest.",
        ["half-metres: the shore, 0.5, 1, 1.5, 2, 3 m", "metres: the shore, 1, 2, 3 m", "three: 1, 2, 3 m"],
        breaks: true
    );

    /// <summary>How many grabs at each depth.</summary>
    public static readonly Method Count = Method.Of(
        MethodGroup.Other,
        "grab.count",
        "Grabs at each depth",
        "A jar takes hours to pick.",
        ["one: one", "three: three, a jar for each"]
    );

    /// <summary>Through which mesh.</summary>
    public static readonly Method Mesh = Method.Of(
        MethodGroup.Other,
        "sieve.mesh",
        "Bottom animals are sieved through",
        "500 µm washes quickly.",
        ["500: 500 µm", "250: 250 µm"],
        breaks: true
    );

    /// <summary>How far the depth of a grab may be off its target, m.</summary>
    public static readonly Threshold DepthOff = new(
        "checks.grab-depth-off",
        MethodGroup.Other,
        "A grab is off its depth by more than",
        "m",
        0.25m,
        0.05m,
        2
    );

    internal static IReadOnlyList<Method> Methods { get; } = [Depths, Count, Mesh, ContainerOptions.BottomAnimals];

    internal static IReadOnlyList<Threshold> Thresholds { get; } = [DepthOff];

    /// <summary>The depths, m; 0 for the shore.</summary>
    internal static IReadOnlyList<decimal> DepthsM(Programme programme) =>
        programme.ChoiceOf(Depths) switch
        {
            "metres" => [0, 1, 2, 3],
            "three" => [1, 2, 3],
            _ => [0, 0.5m, 1, 1.5m, 2, 3],
        };

    /// <summary>How many grabs at each.</summary>
    internal static int Each(Programme programme) => programme.Chooses(Count, "three") ? 3 : 1;

    /// <summary>The grabs of a visit.</summary>
    internal static IReadOnlyList<RepeatItem> Items(Programme programme, decimal? waterM) =>
        DepthItems.Of(DepthsM(programme), Each(programme), "grab", waterM);
}
