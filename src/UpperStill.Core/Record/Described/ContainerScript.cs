using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Described;

/// <summary>A container that a protocol fills where its plan names none.</summary>
/// <param name="type">The sample type’s code.</param>
internal sealed class ContainerScript(string type)
{
    /// <summary>Where it is filled from.</summary>
    internal FilledFrom From { get; init; } = FilledFrom.Lake;

    /// <summary>It is filled only where the programme chooses this option; null for always.</summary>
    internal (Method Method, string Option)? When { get; init; }

    /// <summary>How many there are, by the programme.</summary>
    internal Func<Programme, int> Count { get; init; } = _ => 1;

    /// <summary>How many of them a visit needs; null for all that were planned.</summary>
    internal Func<SheetDraft, int>? Needed { get; init; }

    /// <summary>The step in which it is filled; null for the first that fills.</summary>
    internal string? Step { get; init; }

    /// <summary>Which of what its step is repeated for it belongs to, by its place among them; null for the step as a whole.</summary>
    internal Func<SheetDraft, int, string?>? Of { get; init; }

    /// <summary>True where its rinses are counted in a step, and not asked for again when it is filled.</summary>
    internal bool RinsesCounted { get; init; }

    /// <summary>Where drops are added in a later step: their count.</summary>
    internal CounterField? Fixed { get; init; }

    /// <summary>The box at the bench in which what is inside is counted: no laboratory waits for it then.</summary>
    internal Field? CountedIn { get; init; }

    /// <summary>Further ones of the same water.</summary>
    internal int Replicates { get; init; }

    /// <summary>The place of the plan that it is of; the protocol’s own where there is none.</summary>
    internal SampleFrom Place { get; init; } = SampleFrom.Protocol;

    internal string Type => type;

    internal bool Chosen(Programme programme) => When is not var (method, option) || programme.Chooses(method, option);

    internal IEnumerable<BottlePlan> Plans(Programme programme) =>
        Enumerable.Repeat(new BottlePlan(type, Place, Replicates) { Own = true }, Math.Max(0, Count(programme)));

    internal ContainerDescription Describe() => new(type, When?.Method.Setting, When?.Option);
}

/// <summary>A container that a protocol fills where its plan names none.</summary>
/// <param name="Type">The sample type’s code.</param>
/// <param name="Method">It is filled only where this method has <paramref name="Option"/>; null for always.</param>
/// <param name="Option">The option.</param>
public sealed record ContainerDescription(string Type, string? Method = null, string? Option = null);
