namespace UpperStill.Core.Setup.Laboratories;

/// <summary>A sample that a laboratory is asked to measure.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Station">The station's code.</param>
/// <param name="Day">The day.</param>
/// <param name="Type">The sample type's code.</param>
/// <param name="VolumeMl">What went through the filter, mL.</param>
/// <param name="Blank">True for a blank.</param>
public sealed record LabItem(string Number, string Station, DateOnly Day, string Type, decimal? VolumeMl = null, bool Blank = false);

/// <summary>A vial that a laboratory rejects.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Why">Why.</param>
public sealed record LabRejection(string Number, string Why);

/// <summary>What a laboratory answers to a manifest so far.</summary>
/// <param name="Rejected">Vials that it rejected.</param>
/// <param name="FileName">Name of the results file; null while it works.</param>
/// <param name="File">The file.</param>
/// <param name="More">True where some results are still to come.</param>
/// <param name="ReadyAt">When to ask again; null where nothing more comes.</param>
public sealed record LabAnswer(IReadOnlyList<LabRejection> Rejected, string? FileName, string? File, bool More, DateTimeOffset? ReadyAt);

/// <summary>A laboratory that takes manifests and answers with files.</summary>
public interface ILaboratoryLink
{
    /// <summary>True where the answers are made up and must be marked so on the screen.</summary>
    bool Simulated { get; }

    /// <summary>What it has to say of a manifest that left at a moment.</summary>
    /// <param name="manifest">The manifest.</param>
    /// <param name="leftAt">When it left.</param>
    /// <param name="items">Its samples.</param>
    /// <param name="cancel">Gives up waiting.</param>
    Task<LabAnswer> AskAsync(Guid manifest, DateTimeOffset leftAt, IReadOnlyList<LabItem> items, CancellationToken cancel);
}
