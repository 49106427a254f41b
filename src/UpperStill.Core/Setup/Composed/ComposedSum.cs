using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Composed;

/// <summary>How a composed protocol works a number out: the list is closed.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ComposedRule>))]
public enum ComposedRule
{
    /// <summary>How many tries have it.</summary>
    [JsonStringEnumMemberName("count")]
    Count,

    /// <summary>Their sum.</summary>
    [JsonStringEnumMemberName("sum")]
    Sum,

    /// <summary>Their mean, rounded once to the step of the readings.</summary>
    [JsonStringEnumMemberName("mean")]
    Mean,

    /// <summary>Their median, rounded once to the step of the readings.</summary>
    [JsonStringEnumMemberName("median")]
    Median,

    /// <summary>The least.</summary>
    [JsonStringEnumMemberName("least")]
    Least,

    /// <summary>The greatest.</summary>
    [JsonStringEnumMemberName("greatest")]
    Greatest,

    /// <summary>The depth of a slanted line: its length, and its lean.</summary>
    [JsonStringEnumMemberName("line-depth")]
    LineDepth,

    /// <summary>Flow caught in a bucket: litres, and seconds.</summary>
    [JsonStringEnumMemberName("bucket-flow")]
    BucketFlow,

    /// <summary>How many on a square metre: a count, and the area in cm².</summary>
    [JsonStringEnumMemberName("per-area")]
    PerArea,
}

/// <summary>A number that a composed protocol works out, and gives to the record as a series.</summary>
/// <param name="Code">Its name, for ever; empty while it is being composed, then made of its name.</param>
/// <param name="Name">For people, as it stands in a sentence.</param>
/// <param name="Rule">How.</param>
/// <param name="Field">The box that it is of, by its code.</param>
public sealed record ComposedSum(string Code, string Name, ComposedRule Rule, string Field)
{
    /// <summary>The second box of an equation; null for a summary.</summary>
    public string? Second { get; init; }

    /// <summary>True where its axis hangs: a depth.</summary>
    public bool Downward { get; init; }

    /// <summary>A change in ten years that people would want to see, in its unit.</summary>
    [Within(0, 1000000)]
    public decimal AskedPerDecade
    {
        get;
        init => field = value == 0 ? 1 : value;
    } = 1;

    /// <summary>True where it is an equation of two boxes.</summary>
    internal bool IsEquation => Rule is ComposedRule.LineDepth or ComposedRule.BucketFlow or ComposedRule.PerArea;
}
