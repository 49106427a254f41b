using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Setup.Composed;

// What a file leaves out arrives as nothing, whatever stands here: each list makes an empty one of it.

/// <summary>A protocol that a group composed of the parts that all protocols are made of. It is data: a programme carries it, and a visit
/// keeps the version of its programme.</summary>
/// <param name="Code">Its name, for ever, <c>own-</c> and the words of its title; empty while it is being composed.</param>
/// <param name="Version">Counts up from 1 with each change that is published.</param>
/// <param name="Title">For people.</param>
/// <param name="Purpose">What it is for.</param>
/// <param name="Rank">Where it stands in the order of a visit, 10–99.</param>
/// <param name="Steps">Its steps.</param>
public sealed record ComposedProtocol(
    string Code,
    [property: Within(0, 1000000)] int Version,
    string Title,
    string Purpose,
    [property: Within(0, 1000)] int Rank,
    IReadOnlyList<ComposedStep> Steps
)
{
    /// <summary>True where it stirs what a container is filled from afterwards.</summary>
    public bool Stirs { get; init; }

    /// <summary>Where it is done; none for anywhere.</summary>
    public IReadOnlyList<StationKind> Places
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>How many people it needs.</summary>
    [Within(1, 20)]
    public int People
    {
        get;
        init => field = Math.Max(1, value);
    } = 1;

    /// <summary>Its parts of the work, at most three; none where anybody does anything.</summary>
    public IReadOnlyList<ComposedRole> Roles
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>True where no two of its parts are in the same hands.</summary>
    public bool RolesApart { get; init; }

    /// <summary>What its repeated steps are done for; null where each is done once.</summary>
    public ComposedRepeat? Repeat { get; init; }

    /// <summary>What it fills.</summary>
    public IReadOnlyList<ComposedContainer> Containers
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>What is packed for it, a line each.</summary>
    public IReadOnlyList<string> Pack
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>What it works out.</summary>
    public IReadOnlyList<ComposedSum> Sums
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>Every box, in order.</summary>
    internal IEnumerable<ComposedField> Fields => Steps.SelectMany(s => s.Fields);

    /// <summary>A box by its code; null where there is none.</summary>
    internal ComposedField? Field(string? code) => Fields.FirstOrDefault(f => f.Code == code);

    /// <summary>The code of the series that a sum gives.</summary>
    internal string SeriesCode(ComposedSum sum) => $"{Code}-{sum.Code}";

    /// <summary>The code under which its own sort of sample is kept.</summary>
    internal string SampleCode(int container) => container == 0 ? Code : $"{Code}-{Decimals.Text(container + 1)}";
}
