using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>Kinds of entry of bottles and containers.</summary>
public static class BottleKinds
{
    /// <summary>A planned bottle depth moved.</summary>
    public static readonly EntryKind<BottleDepthBody> BottleDepth = new(
        "bottle-depth",
        1,
        "A planned depth moved by the sampler.",
        () => BottleJson.Default.BottleDepthBody,
        (b, r) => $"Bottle depth {b.Place} moved to {LengthText.AsRead(b.Depth, r)}"
    );

    /// <summary>One lowering of a bottle sampler.</summary>
    public static readonly EntryKind<CastBody> Cast = new(
        "cast",
        1,
        "One lowering of a bottle sampler, and how it came up.",
        () => BottleJson.Default.CastBody,
        CastChecks.Words
    )
    {
        NumbersBeside = Beside.Bottles,
    };

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [BottleDepth, Cast, FillKinds.Fill, FillKinds.Preserved];
}
