namespace UpperStill.Core.Setup.Programmes;

/// <summary>What a programme may choose about the season: methods, each with the reason of the usual one.</summary>
public static class SeasonOptions
{
    /// <summary>Stations on a water.</summary>
    public static readonly Method Stations = Method.Of(
        MethodGroup.Visit,
        "season.stations",
        "Stations on a water",
        "Basins differ.",
        ["basin: one per basin", "deepest: one, at the deepest point", "size: more with the size of the lake"]
    );

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [Stations];
}
