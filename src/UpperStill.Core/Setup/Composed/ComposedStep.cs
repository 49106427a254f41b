namespace UpperStill.Core.Setup.Composed;

/// <summary>A step of a composed protocol.</summary>
/// <param name="Code">Its name, for ever; empty while it is being composed, then made of its words.</param>
/// <param name="Do">What to do.</param>
/// <param name="Why">Why.</param>
/// <param name="Fields">What is recorded, in order.</param>
public sealed record ComposedStep(string Code, string Do, string Why, IReadOnlyList<ComposedField> Fields)
{
    /// <summary>Whose part it is, by the code of the part; null where anybody does it.</summary>
    public string? Role { get; init; }

    /// <summary>What can hurt, by the letters of <see cref="ComposedCautions"/>.</summary>
    public IReadOnlyList<string> Cautions
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>What else can hurt, in words of the group; null for nothing.</summary>
    public string? OwnCaution { get; init; }

    /// <summary>True where it is done once for each of what the protocol is repeated for.</summary>
    public bool Repeated { get; init; }

    /// <summary>True where it is done ashore, later.</summary>
    public bool Bench { get; init; }

    /// <summary>Steps that it waits for, by their codes.</summary>
    public IReadOnlyList<string> After
    {
        get;
        init => field = value ?? [];
    } = [];
}

/// <summary>What the repeated steps of a composed protocol are done for.</summary>
/// <param name="Label">One of them, for people: spot, drop, throw.</param>
/// <param name="Names">Those that have names, in order; none where they are counted.</param>
/// <param name="Count">How many, where they are counted.</param>
public sealed record ComposedRepeat(string Label, IReadOnlyList<string> Names, [property: Basis.Quantities.Within(1, 12)] int Count = 1)
{
    /// <summary>How often each repeated step is done.</summary>
    internal int Times => Names.Count > 0 ? Names.Count : Math.Max(1, Count);
}

/// <summary>A part of the work, in somebody’s hands.</summary>
/// <param name="Code">Its name, for ever; empty while it is being composed.</param>
/// <param name="Label">For people.</param>
/// <param name="Touches">What whoever has it may touch.</param>
public sealed record ComposedRole(string Code, string Label, string Touches);
