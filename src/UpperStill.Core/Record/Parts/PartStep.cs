using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Parts;

/// <summary>A step of a part on a visit.</summary>
internal sealed record PartStep
{
    /// <summary>Its name.</summary>
    internal required string Name { get; init; }

    /// <summary>The same as people read it, as a heading.</summary>
    internal required string Title { get; init; }

    /// <summary>The same as it ends "On to …".</summary>
    internal required string Way { get; init; }

    /// <summary>Where it stands in the order of work; see <see cref="StepRank"/>.</summary>
    internal required int Rank { get; init; }

    /// <summary>True once what it asks is written.</summary>
    internal required bool Done { get; init; }

    /// <summary>What it gave, or what it waits for.</summary>
    internal required string Summary { get; init; }

    /// <summary>Where a stop stands that keeps it from being done.</summary>
    internal IReadOnlyList<Beside> Stops { get; init; } = [];

    /// <summary>Where another step stands beside the same words: the entries that are this one's.</summary>
    internal IReadOnlyCollection<Guid>? Own { get; init; }

    /// <summary>False where the visit may end without it.</summary>
    internal bool Required { get; init; } = true;

    /// <summary>What leaving says where it is open; null where that it is empty says enough.</summary>
    internal Finding? Missing { get; init; }

    /// <summary>True where leaving asks for it on visits of before it was asked what is due, too.</summary>
    internal bool AskedBefore { get; init; }

    /// <summary>True where something of it is written already.</summary>
    internal bool Begun { get; init; }

    /// <summary>True where it rests on the depth of the water.</summary>
    internal bool NeedsDepth { get; init; }

    /// <summary>True where it is gone to though it is done: what it gave is still to be read off.</summary>
    internal bool ReadOff { get; init; }

    /// <summary>True for the step that gives that depth.</summary>
    internal bool GivesDepth { get; init; }

    /// <summary>False where it is never the next thing to do.</summary>
    internal bool Waits { get; init; }
}
