namespace UpperStill.Core.Setup.Programmes;

/// <summary>What a programme may choose about the season: methods and thresholds, each with the reason of the usual one.</summary>
public static class SeasonOptions
{
    /// <summary>Stations on a water.</summary>
    public static readonly Method Stations = Method.Of(
        MethodGroup.Visit, "season.stations", "Stations on a water", "Basins differ.",
        ["basin: one per basin", "deepest: one, at the deepest point", "size: more with the size of the lake"]);

    /// <summary>Refractometer.</summary>
    public static readonly Method Drops = Method.Of(
        MethodGroup.Season, "refractometer.drops", "Refractometer", "More runs off.",
        ["one: one drop, if it covers the glass", "two: two drops"]);

    /// <summary>Companion samples within, days.</summary>
    public static readonly Threshold CompanionWindow = new("checks.companion-window", MethodGroup.Season, "Companion samples within", "days", 14, 1, 60);

    /// <summary>Coordinator told before ultra-clean work, at least, days.</summary>
    public static readonly Threshold NoticeShort = new("checks.notice-short", MethodGroup.Season, "Coordinator told before ultra-clean work, at least", "days", 14, 1, 60);

    /// <summary>From low water where low water is asked, at most, h.</summary>
    public static readonly Threshold TideNotLow = new("checks.tide-not-low", MethodGroup.Season, "From low water where low water is asked, at most", "h", 2, 0.5m, 6);

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [Stations, Drops];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [CompanionWindow, NoticeShort, TideNotLow];
}
