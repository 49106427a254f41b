using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Record.Fills;

/// <summary>A bottle of the plan, filled or still to fill.</summary>
/// <param name="Number">Its number, as on the label.</param>
/// <param name="Type">Its sample type.</param>
/// <param name="Replicate">0 for the sample, 1 and on for its replicates.</param>
/// <param name="From">Where it is usually filled from.</param>
/// <param name="Entry">The entry that filled it; null while it is empty.</param>
/// <param name="Text">How it was filled.</param>
public sealed record SheetBottle(string Number, SampleType Type, int Replicate, FilledFrom From, Guid? Entry = null, string? Text = null)
{
    /// <summary>True where its rinses are counted in a step, and not asked for again when it is filled.</summary>
    public bool RinsesCounted { get; init; }
}
