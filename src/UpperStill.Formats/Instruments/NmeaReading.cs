namespace UpperStill.Formats.Instruments;

/// <summary>What a line of a receiver or sounder says.</summary>
/// <param name="Fix">A position, where the line holds one.</param>
/// <param name="DepthM">Depth of the water below its surface, m, where the line holds one.</param>
/// <param name="Refused">Why the line was left out; null where it was understood, or is of a kind that nobody asks for here.</param>
public sealed record NmeaReading(NmeaFix? Fix = null, decimal? DepthM = null, string? Refused = null)
{
    /// <summary>A whole line that says nothing of position or depth.</summary>
    internal static NmeaReading Nothing { get; } = new();
}

/// <summary>A position as a receiver gives it.</summary>
/// <param name="LatitudeDeg">Decimal degrees, north positive, WGS 84.</param>
/// <param name="LongitudeDeg">Decimal degrees, east positive.</param>
/// <param name="AccuracyM">What it is good to, m, from the dilution of precision; null where the line does not say.</param>
public sealed record NmeaFix(double LatitudeDeg, double LongitudeDeg, decimal? AccuracyM);
