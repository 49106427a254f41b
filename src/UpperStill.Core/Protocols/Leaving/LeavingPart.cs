using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Leaving;

/// <summary>Leaving the station: what is aboard, what was taken along.</summary>
public sealed class LeavingPart() : VisitPart("leaving")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => LeavingKinds.All;

    /// <inheritdoc/>
    internal override IEnumerable<string> Overboard(SheetDraft draft) => ["rubbish, gear clean and drained"];

    /// <inheritdoc/>
    internal override IEnumerable<Protocol> Took(SheetDraft draft) => draft.Standing(VisitKinds.Taken).Select(t => t.Body.Protocol);

    /// <inheritdoc/>
    internal override StepGuideResult? Guide(string step, ChosenMethods methods) =>
        step == "leave" ? StepGuideResult.Of(LeavingGuide.Lines) : null;

    /// <inheritdoc/>
    internal override IEnumerable<PaperPiece> Paper(PlannedStop stop) =>
        [
            new PaperPiece("Leaving", StepRank.Leave)
            {
                Boxes = [new("Ended (24 h)")],
                Ticks = ["gear counted", "samples counted", "clean, drain, dry", "told ashore"],
            },
        ];
}
