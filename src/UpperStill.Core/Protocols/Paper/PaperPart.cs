using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Paper;

/// <summary>Sums that stand worked out on a sheet of paper.</summary>
public sealed class PaperPart() : VisitPart("paper")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => PaperKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => PaperOptions.Thresholds;

    /// <inheritdoc/>
    internal override void Fold(SheetDraft draft) =>
        draft.Add(WorkedByHand.Fold(draft, draft.Section<SheetClarity>()!.Result, draft.Section<CompositeResult>()!));
}
