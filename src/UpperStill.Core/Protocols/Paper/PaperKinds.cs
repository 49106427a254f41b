using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Paper;

/// <summary>Kinds of entry of what stands worked out on a sheet of paper.</summary>
public static class PaperKinds
{
    /// <summary>A sum done by hand.</summary>
    public static readonly EntryKind<WorkedByHandBody> WorkedByHand = new(
        "worked-by-hand",
        1,
        "A mean, double or depth as it stands worked out on the sheet.",
        () => PaperJson.Default.WorkedByHandBody,
        (b, r) =>
            $"On the sheet, {b.Sum switch { HandSum.Clarity => "mean clarity", HandSum.Layer => "depth of the layer", _ => "depth of the composite" }}: {LengthText.AsRead(b.Value, r)}"
    );

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [WorkedByHand];
}
