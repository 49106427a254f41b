using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Composed;

/// <summary>A box of a composed protocol.</summary>
/// <param name="Code">Its name, for ever; empty while it is being composed, then made of its label.</param>
/// <param name="Label">For people.</param>
/// <param name="Kind">What it holds.</param>
/// <param name="Required">False where its step is done without it.</param>
public sealed record ComposedField(string Code, string Label, ComposedKind Kind, bool Required = true)
{
    /// <summary>The unit of a number, as it stands on the instrument.</summary>
    public string? Unit { get; init; }

    /// <summary>The least that it may be, in its unit; of a length in m.</summary>
    [Within(-1000000, 1000000)]
    public decimal? Least { get; init; }

    /// <summary>The most that it may be.</summary>
    [Within(-1000000, 1000000)]
    public decimal? Most { get; init; }

    /// <summary>The least that is usual.</summary>
    [Within(-1000000, 1000000)]
    public decimal? UsualLeast { get; init; }

    /// <summary>The most that is usual.</summary>
    [Within(-1000000, 1000000)]
    public decimal? UsualMost { get; init; }

    /// <summary>What may be chosen, or the lines to tick; none for other kinds.</summary>
    public IReadOnlyList<string> Choices
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>How many are wanted of what is counted or photographed; the seconds that are waited.</summary>
    [Within(0, 9999)]
    public int? Wanted { get; init; }

    /// <summary>The answers by which a try does not count: words of a choice, or <c>yes</c> or <c>no</c>.</summary>
    public IReadOnlyList<string> FailsOn
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>True where a try does not count whose number is not a usual one.</summary>
    public bool FailsUnusual { get; init; }

    /// <summary>True for what is a number.</summary>
    internal bool IsNumber => Kind is ComposedKind.Number or ComposedKind.Whole;

    /// <summary>True for what can be summed up.</summary>
    internal bool Sums => IsNumber || Kind is ComposedKind.Counter or ComposedKind.Length or ComposedKind.Temperature or ComposedKind.Timer;

    /// <summary>True for what is chosen or ticked from a list.</summary>
    internal bool Lists => Kind is ComposedKind.OneOf or ComposedKind.SomeOf or ComposedKind.Checklist;
}
