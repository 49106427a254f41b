using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class SoundingOptions
{
    /// <summary>Depth check of the station.</summary>
    public static readonly Method DepthTolerance = Method.Of(
        MethodGroup.Visit,
        "station.depth-tolerance",
        "Depth check of the station",
        "10 %, never finer than 0.3 m: a shallow lake’s level moves that much.",
        ["percent: within the limit below", "none: no check"]
    );

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [DepthTolerance];
}
