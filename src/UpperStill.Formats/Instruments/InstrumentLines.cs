using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Formats.Instruments;

/// <summary>What some lines of the boat's instruments say.</summary>
/// <param name="Fix">The last position.</param>
/// <param name="Depth">The last depth of the water, to the tenth of a metre as a sounding is written.</param>
/// <param name="Readings">Readings of the sonde, in order.</param>
/// <param name="Refused">Why lines were left out, each reason once.</param>
public sealed record InstrumentLines(
    NmeaFix? Fix,
    WrittenLength? Depth,
    IReadOnlyList<SondeReading> Readings,
    IReadOnlyList<string> Refused
)
{
    /// <summary>Reads lines of a receiver or sounder.</summary>
    /// <param name="lines">The lines, one below the other.</param>
    public static InstrumentLines OfReceiver(string lines)
    {
        ArgumentNullException.ThrowIfNull(lines);
        NmeaFix? fix = null;
        decimal? depth = null;
        List<string> refused = [];
        foreach (var line in lines.Split('\n'))
        {
            var reading = NmeaLine.Read(line);
            (fix, depth) = (reading.Fix ?? fix, reading.DepthM ?? depth);
            Add(refused, reading.Refused);
        }

        return new InstrumentLines(
            fix,
            depth is { } metres ? new WrittenLength(Decimals.Fixed(metres, 1), LengthUnit.Metre) : null,
            [],
            refused
        );
    }

    /// <summary>Reads lines of a sonde.</summary>
    /// <param name="lines">The lines, one below the other.</param>
    /// <param name="table">What the sonde said of its columns before.</param>
    public static InstrumentLines OfSonde(string lines, SondeTable table)
    {
        ArgumentNullException.ThrowIfNull(lines);
        ArgumentNullException.ThrowIfNull(table);
        List<SondeReading> readings = [];
        List<string> refused = [];
        foreach (var line in lines.Split('\n'))
        {
            var read = table.Read(line);
            if (read.Reading is { } reading)
            {
                readings.Add(reading);
            }

            Add(refused, read.Refused);
        }

        return new InstrumentLines(null, null, readings, refused);
    }

    private static void Add(List<string> refused, string? why)
    {
        if (why is not null && !refused.Contains(why))
        {
            refused.Add(why);
        }
    }
}
