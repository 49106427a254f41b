using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Record.Fills;

/// <summary>Kinds of entry of containers, whatever they are filled by.</summary>
public static class FillKinds
{
    /// <summary>A bottle filled.</summary>
    public static readonly EntryKind<FillBody> Fill = new(
        "fill",
        1,
        "A bottle filled: from where, how full, what was added.",
        () => FillJson.Default.FillBody,
        (b, _) => $"{b.Sample} {FillChecks.Words(b)}"
    )
    {
        NumbersBeside = Beside.Bottles,
    };

    /// <summary>What keeps samples was added.</summary>
    public static readonly EntryKind<PreservedBody> Preserved = new(
        "preserved",
        1,
        "What keeps samples was added after they were filled.",
        () => FillJson.Default.PreservedBody,
        (b, _) => $"{string.Join(", ", b.Samples)}: {b.Added} added"
    )
    {
        Vouched = Vouched.Nothing,
    };
}
