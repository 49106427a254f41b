using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Plastics;

/// <summary>The words of what a beach finds.</summary>
internal static class PlasticsFindings
{
    internal static readonly FindingWords TideNotLow = new(
        "tide-not-low",
        FindingLevel.Note,
        "Low water is {time}, {gap} away.",
        "Part of the beach is still covered.",
        "Wait if you can."
    );
    internal static readonly FindingWords OutsideBand = new(
        "outside-tide-band",
        FindingLevel.Check,
        "This mark is outside the band.",
        "Counts are not comparable.",
        "Move it between wrack line and high-tide line."
    );
    internal static readonly FindingWords Spacing = new(
        "marker-spacing",
        FindingLevel.Check,
        "{distance} apart, {asked} asked.",
        "The stretch is what the counts are of.",
        "Tape again."
    );
    internal static readonly FindingWords Swapped = new(
        "markers-swapped",
        FindingLevel.Check,
        "Marker 1 lies south of marker 3.",
        "Sand and water are numbered from the north: the pairs would be crossed.",
        "Strike both and write them the other way round."
    );
    internal static readonly FindingWords SandDepths = new(
        "sand-depths",
        FindingLevel.Check,
        "{list} mm.",
        "Depth makes the volume.",
        "Measure the missing one; keep the true figure."
    );
    internal static readonly FindingWords VolumeOdd = new(
        "sand-volume-odd",
        FindingLevel.Check,
        "{volume} dug, jar {jar}.",
        "Depth or quadrat is off.",
        "Measure again."
    );
    internal static readonly FindingWords Mispaired = new(
        "sand-water-mispaired",
        FindingLevel.Stop,
        "Water {i} is off sand {j}.",
        "The pairs are the point.",
        "Correct the number."
    );
    internal static readonly FindingWords LeftBehind = new(
        "left-behind",
        FindingLevel.Check,
        "{list} not back.",
        "Litter here is data gone wrong.",
        "Look for it before you leave."
    );

    internal static IReadOnlyList<FindingWords> All { get; } =
    [TideNotLow, OutsideBand, Spacing, Swapped, SandDepths, VolumeOdd, Mispaired, LeftBehind];
}
