using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Results;

/// <summary>What laboratories measure and report.</summary>
public sealed class ResultsPart() : VisitPart("results")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => ResultKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => ResultsOptions.Thresholds;
}
