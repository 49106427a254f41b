using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Survey;

/// <summary>The words of what a survey finds.</summary>
internal static class SurveyFindings
{
    internal static readonly FindingWords Between = new(
        "colour-between",
        FindingLevel.Note,
        "Between {a} and {b}.",
        "Two neighbours are one answer.",
        "Both kept, drawn halfway."
    );
    internal static readonly FindingWords TwoFar = new(
        "colour-apart",
        FindingLevel.Check,
        "{list} are no neighbours.",
        "A colour lies at one step, or between two neighbours.",
        "Look again; choose one step, or two neighbours."
    );
    internal static readonly FindingWords Bloom = new(
        "bloom-seen",
        FindingLevel.Check,
        "Scum: it may be a harmful bloom.",
        "Some are poisonous to people and dogs.",
        "Do not touch, keep dogs out. Write it down as a bloom, tell the coordinator."
    );
    internal static readonly FindingWords Apart = new(
        "opinions-apart",
        FindingLevel.Note,
        "{a} and {b}.",
        "Both stand; they are opinions.",
        "Nothing to do."
    );

    internal static IReadOnlyList<FindingWords> All { get; } = [Between, TwoFar, Bloom, Apart];
}
