using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Setup.Composed;

/// <summary>A container that a composed protocol fills.</summary>
/// <param name="Step">The step in which it is filled, by its code.</param>
/// <param name="Type">A sample type of the list; null for the group’s own.</param>
/// <param name="Own">The group’s own sort; null for one of the list.</param>
/// <param name="Replicates">Further ones of the same water.</param>
public sealed record ComposedContainer(
    string Step,
    string? Type = null,
    ComposedSample? Own = null,
    [property: Within(0, 9)] int Replicates = 0
);

/// <summary>A group’s own sort of sample.</summary>
/// <param name="Measures">What is measured, as it stands on the label.</param>
/// <param name="Container">The container, in words.</param>
/// <param name="Fill">How full.</param>
/// <param name="Rinses">Times; 0 for never.</param>
/// <param name="Keep">How it is kept.</param>
public sealed record ComposedSample(string Measures, string Container, string Fill, [property: Within(0, 9)] int Rinses, Keeping Keep)
{
    /// <summary>Stands in the number of any group’s own sample.</summary>
    public const string Letter = "J";

    /// <summary>What is added, in words; null where nothing is.</summary>
    public string? Added { get; init; }

    /// <summary>Hours from collection within which the lab has it; null where it keeps.</summary>
    [Within(1, 10000, "h")]
    public int? HoldHours { get; init; }

    /// <summary>What comes on the label on top.</summary>
    public IReadOnlyList<string> LabelAlso
    {
        get;
        init => field = value ?? [];
    } = [];

    /// <summary>As a sample type of the list, under a code of the protocol’s own.</summary>
    internal SampleType As(string code) =>
        new(
            code,
            Letter,
            Measures,
            Container,
            Added is null ? null : new Preservative(Added, Added),
            new FillLevel(Fill),
            new RinseRule(Rinses, Rinses == 0 ? "never" : $"{Decimals.Text(Rinses)}, of the same water"),
            HoldHours: HoldHours
        )
        {
            Keep = Keep,
            Hold = HoldHours is { } hours ? $"{Decimals.Text(hours)} h" : "it keeps",
            LabelAlso = LabelAlso,
        };
}
