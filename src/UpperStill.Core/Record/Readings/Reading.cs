using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Readings;

/// <summary>A number that a visit gives to the record.</summary>
public sealed record Reading
{
    /// <summary>What was taken; null where that is not known, as of a bottle beside the plan.</summary>
    public Protocol? Protocol { get; init; }

    /// <summary>What it is of: a parameter's code, or an analyte's.</summary>
    public required string Parameter { get; init; }

    /// <summary>What or where it is of where there are several, such as a kind or a place in the water; empty where there is one.</summary>
    public string Item { get; init; } = string.Empty;

    /// <summary>Depth or interval in words; empty where there is none.</summary>
    public string Depth { get; init; } = string.Empty;

    /// <summary>In its unit; the limit where it is censored.</summary>
    public required decimal Value { get; init; }

    /// <summary>Its unit; empty for a count.</summary>
    public required string Unit { get; init; }

    /// <summary>What is known of it.</summary>
    public Censoring Censored { get; init; }

    /// <summary>False where a stop stands open on what it rests on.</summary>
    public bool Usable { get; init; } = true;

    /// <summary>True where a laboratory gave it: a reviewer vouches for it with the results.</summary>
    public bool OfLaboratory { get; init; }

    /// <summary>How it was measured; null where that is not known.</summary>
    public string? Method { get; init; }

    /// <summary>For the reader, as reported; null where the number says it.</summary>
    public string? Text { get; init; }

    /// <summary>The entry it stands in, where it is one.</summary>
    public Guid? Entry { get; init; }
}
