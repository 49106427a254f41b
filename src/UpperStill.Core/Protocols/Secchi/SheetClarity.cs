using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>A box for one mark of the disc, filled or still empty.</summary>
/// <param name="Lowering">Which lowering, from 1.</param>
/// <param name="Event">Lost or seen again.</param>
/// <param name="Observer">Whose turn it is, or whose it was.</param>
/// <param name="Extra">True where the programme did not ask for this lowering.</param>
/// <param name="Entry">The entry in it; null while empty.</param>
/// <param name="DepthM">m; null while empty or unreadable.</param>
/// <param name="Text">The mark as read, for the reader.</param>
/// <param name="ObserverId">Who the observer is; null in visits of earlier builds.</param>
public sealed record DiscBox(
    int Lowering,
    DiscEvent Event,
    string? Observer,
    bool Extra,
    Guid? Entry = null,
    decimal? DepthM = null,
    string? Text = null,
    Guid? ObserverId = null
);

/// <summary>The disc's part of the sheet.</summary>
/// <param name="Boxes">The marks, read and still to read.</param>
/// <param name="Result">The clarity worked out.</param>
/// <param name="Outcome">A special outcome, where one stands.</param>
/// <param name="OutcomeEntry">The entry it stands in.</param>
/// <param name="Blind">True while the second observer is to read without knowing what the first has read: no number of it stands anywhere
/// on the sheet.</param>
/// <param name="Read">Readings that are whole; told while they are blind, too.</param>
public sealed record SheetClarity(
    IReadOnlyList<DiscBox> Boxes,
    ClarityResult Result,
    DiscOutcome? Outcome = null,
    Guid? OutcomeEntry = null,
    bool Blind = false,
    int Read = 0
)
{
    /// <summary>What the programme calls it.</summary>
    public string Name { get; init; } = "Clarity";

    /// <summary>True once every box that was asked for is full, or it ended otherwise.</summary>
    internal bool Done => Outcome is not null || (Read >= Result.Needed && Boxes.All(b => b.Entry is not null || b.Extra));
}
