using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Described;

/// <summary>Body of the entry <c>observation</c>: one value of a described protocol, at its address <c>protocol / step / item /
/// try</c>.</summary>
/// <param name="Protocol">The protocol's code.</param>
/// <param name="Version">The version of its description.</param>
/// <param name="Step">The step's code.</param>
/// <param name="Field">The field's code.</param>
/// <param name="Value">What was recorded, as it was read.</param>
/// <param name="Item">Which of what the step is repeated for, such as a drop or a sub-sample; null where it is done once.</param>
/// <param name="Try">Which try of it, from 1.</param>
public sealed record ObservationBody(
    Protocol Protocol,
    [property: Within(1, 10000)] int Version,
    string Step,
    string Field,
    ObservedValue Value,
    string? Item = null,
    [property: Within(1, 999)] int Try = 1
);

/// <summary>A value as it was recorded: what its field asks is filled, the rest is not there.</summary>
public sealed record ObservedValue
{
    /// <summary>A number as it was read.</summary>
    public string? Written { get; init; }

    /// <summary>The unit in which it was read, by its code; null where it is not known.</summary>
    public string? Unit { get; init; }

    /// <summary>One of the field's choices, by its code.</summary>
    public string? Choice { get; init; }

    /// <summary>Some of the field's choices.</summary>
    public IReadOnlyList<string>? Choices { get; init; }

    /// <summary>Words: what was asked, or what “other” is.</summary>
    public string? Words { get; init; }

    /// <summary>Yes or no.</summary>
    public bool? Yes { get; init; }

    /// <summary>A moment; of a timer that at which it began.</summary>
    public DateTimeOffset? At { get; init; }

    /// <summary>The moment at which a timer ended.</summary>
    public DateTimeOffset? Until { get; init; }

    /// <summary>A day.</summary>
    public DateOnly? Day { get; init; }

    /// <summary>Several numbers as they were read.</summary>
    public IReadOnlyList<string>? Listed { get; init; }

    /// <summary>A position.</summary>
    public Position? Position { get; init; }

    /// <summary>How good the position is, m.</summary>
    [Within(0, 1e7, "m")]
    public decimal? AccuracyM { get; init; }

    /// <summary>Somebody’s id; null for people without an account.</summary>
    public Guid? Person { get; init; }

    /// <summary>Somebody’s name at the time.</summary>
    public string? Name { get; init; }

    /// <summary>What was counted.</summary>
    [Within(0, 1e6)]
    public int? Count { get; init; }

    /// <summary>What was counted, by kind.</summary>
    [Within(0, 1e6)]
    public IReadOnlyDictionary<string, int>? Counts { get; init; }

    /// <summary>The lines of a list that are ticked, by their codes.</summary>
    public IReadOnlyList<string>? Ticked { get; init; }

    /// <summary>A photograph.</summary>
    public Guid? Photo { get; init; }
}
