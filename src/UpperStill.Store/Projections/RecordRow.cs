using UpperStill.Core.Science.Statistics;

namespace UpperStill.Store.Projections;

/// <summary>Any number of the record, one a row: readings and the levels of profiles together. Read from the view <c>Record</c>.</summary>
public sealed record RecordRow
{
    /// <summary>The visit.</summary>
    public Guid Visit { get; init; }

    /// <summary>The station's code.</summary>
    public required string Station { get; init; }

    /// <summary>Local day.</summary>
    public DateOnly Day { get; init; }

    /// <summary>What was taken; empty where that is not known.</summary>
    public required string Protocol { get; init; }

    /// <summary>The code of its parameter, or of an analyte.</summary>
    public required string Parameter { get; init; }

    /// <summary>What or where it is of.</summary>
    public required string Item { get; init; }

    /// <summary>Depth of a level, m.</summary>
    public double? DepthM { get; init; }

    /// <summary>Depth or interval in words; empty where there is none.</summary>
    public required string Depth { get; init; }

    /// <summary>In its unit; the limit where it is censored.</summary>
    public decimal Value { get; init; }

    /// <summary>Its unit; empty for a count.</summary>
    public required string Unit { get; init; }

    /// <summary>What is known of it.</summary>
    public Censoring Censored { get; init; }

    /// <summary>False where a stop stands open.</summary>
    public bool Usable { get; init; }

    /// <summary>True where a laboratory gave it.</summary>
    public bool OfLaboratory { get; init; }

    /// <summary>True where a reviewer vouches for it.</summary>
    public bool SignedOff { get; init; }

    /// <summary>How it was measured.</summary>
    public string? Method { get; init; }

    /// <summary>As reported.</summary>
    public string? Text { get; init; }
}
