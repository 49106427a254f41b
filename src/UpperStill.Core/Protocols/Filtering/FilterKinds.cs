using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>Kinds of entry of filtering.</summary>
public static class FilterKinds
{
    /// <summary>One filter.</summary>
    public static readonly EntryKind<FilterBody> Filter = new(
        "filter",
        1,
        "Answers on one filter, from its bottle to its vial; an entry carries only what was answered with it.",
        () => FilterJson.Default.FilterBody,
        (b, _) => FilterPart.Words(b)
    )
    {
        Vouched = Vouched.Results,
    };

    /// <summary>One fill pushed through a filter.</summary>
    public static readonly EntryKind<FilterFillBody> FilterFill = new(
        "filter-fill",
        1,
        "One fill pushed through a filter: what went through, or where it began and what was left.",
        () => FilterJson.Default.FilterFillBody,
        (b, _) => $"{b.Sample}: {FilterPart.Words(b)}"
    )
    {
        Vouched = Vouched.Results,
    };

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [Filter, FilterFill];
}
