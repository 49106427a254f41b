using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Formats.Casts;

namespace UpperStill.Formats.Instruments;

/// <summary>What a sonde shows at one moment, as its line says it.</summary>
/// <param name="Depth">Depth of the sensor; metres where the header does not say.</param>
/// <param name="DepthM">The same, m.</param>
/// <param name="Temperature">Without a unit where the header does not say.</param>
/// <param name="Oxygen">Without a unit where the header does not say: then it is what the display is believed to show.</param>
/// <param name="Conductivity">As written, µS/cm.</param>
/// <param name="Ph">As written.</param>
/// <param name="Salinity">As written.</param>
/// <param name="Seconds">Its clock, seconds of the day; null where it sends none.</param>
public sealed record SondeReading(
    WrittenLength Depth,
    decimal DepthM,
    WrittenTemperature? Temperature = null,
    WrittenOxygen? Oxygen = null,
    string? Conductivity = null,
    string? Ph = null,
    string? Salinity = null,
    decimal? Seconds = null
);

/// <summary>What a line of a sonde says: a reading, or why it was left out; neither for a header.</summary>
/// <param name="Reading">The reading.</param>
/// <param name="Refused">Why the line was left out.</param>
public sealed record SondeLine(SondeReading? Reading = null, string? Refused = null);

/// <summary>
/// Reads the lines of a sonde that streams a table: a header that names the columns, with or without units, now and then; then rows.
/// Separators and names are those of logged casts.
/// </summary>
public sealed class SondeTable
{
    private const int LongestLine = 400;
    private CastColumn[] columns = [];
    private char separator = ',';

    /// <summary>Reads the next line.</summary>
    public SondeLine Read(string line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var text = line.Trim();
        if (text.Length == 0)
        {
            return new SondeLine();
        }

        if (text.Length > LongestLine)
        {
            return new SondeLine(Refused: "a line that does not end");
        }

        var (fields, by) = Fields(text);
        if (Header(fields) is { } header)
        {
            (columns, separator) = (header, by);
            return new SondeLine();
        }

        if (columns.Length == 0)
        {
            return new SondeLine(Refused: "the sonde has not said yet what its columns are");
        }

        var row = CastLook.Split(text, separator);
        if (row.Length != columns.Length)
        {
            return new SondeLine(Refused: "half a line");
        }

        return Row(row);
    }

    private SondeLine Row(string[] row)
    {
        if (Text(row, CastQuantity.Depth) is not { } written)
        {
            return new SondeLine(Refused: "no depth");
        }

        var depth = new WrittenLength(written, UnitOf(CastQuantity.Depth) == "ft" ? LengthUnit.Foot : LengthUnit.Metre);
        return new SondeLine(
            new SondeReading(
                depth,
                NumberText.Read(written).Value!.Value * Length.MetresPer(depth.Unit!.Value),
                Text(row, CastQuantity.Temperature) is { } t
                    ? new WrittenTemperature(t, CastUnits.OfTemperature(UnitOf(CastQuantity.Temperature)))
                    : null,
                Text(row, CastQuantity.Oxygen) is { } o ? new WrittenOxygen(o, CastUnits.OfOxygen(UnitOf(CastQuantity.Oxygen))) : null,
                Text(row, CastQuantity.Conductivity),
                Text(row, CastQuantity.Ph),
                Text(row, CastQuantity.Salinity),
                Clock(row)
            )
        );
    }

    private decimal? Clock(string[] row)
    {
        var i = Array.FindIndex(columns, c =>
            c.Quantity == CastQuantity.None && c.Header.StartsWith("time", StringComparison.OrdinalIgnoreCase)
        );
        return i >= 0 && TimeSpan.TryParseExact(row[i], [@"hh\:mm\:ss", @"hh\:mm\:ss\.f"], CultureInfo.InvariantCulture, out var time)
            ? (decimal)time.TotalSeconds
            : null;
    }

    // A field that is no number, such as a row of dashes from a sensor that dropped out, is left out.
    private string? Text(string[] row, CastQuantity quantity)
    {
        var i = Array.FindIndex(columns, c => c.Quantity == quantity);
        return i >= 0 && IsNumber(row[i]) ? row[i] : null;
    }

    private string? UnitOf(CastQuantity quantity) => Array.Find(columns, c => c.Quantity == quantity)?.Unit;

    private static bool IsNumber(string text) => NumberText.Read(text).Value is not null;

    private static CastColumn[]? Header(string[] fields)
    {
        if (fields.Length < 2 || fields.Any(IsNumber))
        {
            return null;
        }

        CastColumn[] guessed = CastHeader.OneOfEach([.. fields.Select(f => CastHeader.Guess(f, null))]);
        return guessed.Any(c => c.Quantity == CastQuantity.Depth) && guessed.Count(c => c.Quantity != CastQuantity.None) > 1
            ? guessed
            : null;
    }

    private static (string[] Fields, char By) Fields(string text)
    {
        foreach (var by in (ReadOnlySpan<char>)['\t', ';', ','])
        {
            if (text.Contains(by, StringComparison.Ordinal))
            {
                return (CastLook.Split(text, by), by);
            }
        }

        return ([text], ',');
    }
}
