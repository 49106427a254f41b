using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Rake;

/// <summary>The words of what a throw finds.</summary>
internal static class RakeFindings
{
    internal static readonly FindingWords ThrowFailed = new(
        "rake-throw",
        FindingLevel.Check,
        "The rake came up {how}.",
        "It did not drag along the bottom.",
        "Throw once more."
    );
    internal static readonly FindingWords SideUnset = new(
        "rake-side-unset",
        FindingLevel.Check,
        "The side was written after the rake was judged.",
        "Chosen after looking? Then it shows the thickest.",
        "Throw once more."
    );
    internal static readonly FindingWords KindOverTotal = new(
        "kind-over-total",
        FindingLevel.Check,
        "{kind} {a}, rake {b}.",
        "A part is not more than the whole.",
        "One is misjudged. Judge again."
    );
    internal static readonly FindingWords PlantsDeeper = new(
        "plants-deeper",
        FindingLevel.Note,
        "Plants at {depth}, kept as “> {depth}”.",
        "Where they end was not reached.",
        "Throw deeper."
    );

    internal static IReadOnlyList<FindingWords> All { get; } = [ThrowFailed, SideUnset, KindOverTotal, PlantsDeeper, CleanGear.Unclean];
}
