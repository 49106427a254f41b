using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>Clean, drain, dry: what protocols ask that dig in the bottom or its plants.</summary>
internal static class CleanGear
{
    /// <summary>What is said where it is not ticked.</summary>
    internal static readonly FindingWords Unclean = new(
        "gear-unclean",
        FindingLevel.Check,
        "Not ticked: {list}.",
        "Hitch-hikers move on wet gear; a fragment starts a stand.",
        "Clean, drain, dry first."
    );

    /// <summary>The list.</summary>
    internal static readonly ChecklistField List = new(
        "clean",
        "Before another water",
        new("clean", "cleaned"),
        new("drain", "drained"),
        new("dry", "dried, or on its way to dry")
    )
    {
        Unticked = Unclean,
    };
}
