using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class FilteringOptions
{
    /// <summary>Pushing the syringe.</summary>
    public static readonly Method Pace = Method.Of(
        MethodGroup.Samples,
        "filter.pace",
        "Pushing the syringe",
        "A jet tears the filter.",
        ["quick-drops: quick drops, not faster than 35 s for 50 mL", "drop-by-drop: drop by drop, 35–40 s for 50 mL"]
    );

    /// <summary>How to push it, at the head of the fills.</summary>
    internal static string Push(Programme programme) =>
        programme.Chooses(Pace, "drop-by-drop")
            ? "Push drop by drop: 35 to 40 s for 50 mL. Watch the rim for leaks."
            : "Push slowly, quick drops, not a jet: not faster than 35 s for 50 mL. Watch the rim for leaks.";

    /// <summary>Water to filter: a note after, h.</summary>
    public static readonly Threshold FilterWithinNote = new(
        "filter.within-note",
        MethodGroup.Samples,
        "Water to filter: a note after",
        "h",
        4,
        1,
        24
    );

    /// <summary>Water to filter: at most, h.</summary>
    public static readonly Threshold FilterWithin = new("filter.within", MethodGroup.Samples, "Water to filter: at most", "h", 24, 2, 72);

    /// <summary>Filtered volume too little under, mL.</summary>
    public static readonly Threshold VolumeLow = new(
        "checks.volume-low",
        MethodGroup.Samples,
        "Filtered volume too little under",
        "mL",
        20,
        1,
        500
    );

    /// <summary>Filter in direct light longer than, min.</summary>
    public static readonly Threshold FilterInLight = new(
        "checks.filter-in-light",
        MethodGroup.Samples,
        "Filter in direct light longer than",
        "min",
        1,
        0.1m,
        30
    );

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [Pace];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [FilterWithinNote, FilterWithin, VolumeLow, FilterInLight];
}
