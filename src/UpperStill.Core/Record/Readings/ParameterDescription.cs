using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Readings;

/// <summary>A parameter that a part of a visit gives to the record: series, years, trend, limits, report and files know it by this
/// alone.</summary>
public sealed record ParameterDescription
{
    /// <summary>Its code, for ever.</summary>
    public required Parameter Code { get; init; }

    /// <summary>Its name in a sentence.</summary>
    public required string Name { get; init; }

    /// <summary>Its unit; empty for a count.</summary>
    public required string Unit { get; init; }

    /// <summary>Decimals of a value for the reader.</summary>
    [Within(0, 9)]
    public int Decimals { get; init; } = 1;

    /// <summary>How a season is summed up.</summary>
    public SeasonSummary Summary { get; init; } = SeasonSummary.Mean;

    /// <summary>True where its axis is logarithmic.</summary>
    public bool Log { get; init; }

    /// <summary>Which way is the better one.</summary>
    public BetterWhen Better { get; init; } = BetterWhen.Neither;

    /// <summary>True where it is a depth: its axis hangs, and it is shown in the reader's unit.</summary>
    public bool Hanging { get; init; }

    /// <summary>A change in ten years that people would want to see.</summary>
    [Within(0, 1e6)]
    public decimal AskedPerDecade { get; init; } = 1;

    /// <summary>What a rise means: a sentence with the amount at {0}.</summary>
    [JsonIgnore]
    public string? Rising { get; init; }

    /// <summary>What a fall means: a sentence with the amount at {0}.</summary>
    [JsonIgnore]
    public string? Falling { get; init; }

    /// <summary>The parameter of a laboratory's results that it follows; null where it is read on the visit.</summary>
    public string? Analyte { get; init; }

    /// <summary>The protocol by whose plan it is summed up; null for the programme's own summary.</summary>
    public Setup.Programmes.Protocol? Protocol { get; init; }

    /// <summary>The mean of the last results by which it is judged; null where it is not.</summary>
    [JsonIgnore]
    public RunningMean? Running { get; init; }

    /// <summary>Where it stands among the others; the lowest first.</summary>
    [Within(0, 1000)]
    public int Rank { get; init; } = 100;

    /// <summary>True for what people who live by a water ask after, whatever it says; the rest is told where it moves.</summary>
    public bool AskedAfter { get; init; }

    /// <summary>True for what a report draws.</summary>
    public bool Pictured { get; init; }
}
