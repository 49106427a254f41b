using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Composite;

/// <summary>Kinds of entry of the composite.</summary>
public static class CompositeKinds
{
    /// <summary>One lowering of the composite sampler.</summary>
    public static readonly EntryKind<CompositeTryBody> CompositeTry = new(
        "composite-try",
        2,
        "One lowering of the composite sampler, and how full it came up: by eye, or by the marks of its bottle.",
        () => CompositeJson.Default.CompositeTryBody,
        CompositeFold.Words,
        older: (b, version) => b.OfVersion(version)
    )
    {
        NumbersBeside = Beside.Composite,
    };

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [CompositeTry];
}
