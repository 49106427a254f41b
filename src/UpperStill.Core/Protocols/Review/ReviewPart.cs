using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Review;

/// <summary>Questions, answers and sign-offs.</summary>
public sealed class ReviewPart() : VisitPart("review")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => ReviewKinds.All;
}
