using UpperStill.Core.Science.Statistics;

namespace UpperStill.Store.Projections;

/// <summary>A number that a visit gives to the record; the levels of profiles stand apart, in <see cref="LevelRow"/>.</summary>
public sealed record ReadingRow
{
    /// <summary>The visit.</summary>
    public Guid Visit { get; set; }

    /// <summary>What was taken; empty where that is not known.</summary>
    public required string Protocol { get; set; }

    /// <summary>The code of its parameter, or of an analyte.</summary>
    public required string Parameter { get; set; }

    /// <summary>What or where it is of where there are several; empty where there is one.</summary>
    public required string Item { get; set; }

    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>Local day.</summary>
    public DateOnly Day { get; set; }

    /// <summary>Depth or interval in words; empty where there is none.</summary>
    public required string Depth { get; set; }

    /// <summary>In its unit; the limit where it is censored.</summary>
    public decimal Value { get; set; }

    /// <summary>Its unit; empty for a count.</summary>
    public required string Unit { get; set; }

    /// <summary>What is known of it.</summary>
    public Censoring Censored { get; set; }

    /// <summary>False where a stop stands open.</summary>
    public bool Usable { get; set; }

    /// <summary>True where a laboratory gave it.</summary>
    public bool OfLaboratory { get; set; }

    /// <summary>True where a reviewer vouches for it.</summary>
    public bool SignedOff { get; set; }

    /// <summary>How it was measured.</summary>
    public string? Method { get; set; }

    /// <summary>As reported; null where the number says it.</summary>
    public string? Text { get; set; }

    /// <summary>The entry it stands in, where it is one.</summary>
    public Guid? Entry { get; set; }
}
