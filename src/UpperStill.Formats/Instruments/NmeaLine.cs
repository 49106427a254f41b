using System.Globalization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Formats.Instruments;

/// <summary>
/// Reads lines of NMEA 0183 (IEC 61162-1): GGA and RMC for the position, DPT and DBT for the depth, of any talker.
/// A line without its checksum is left out: half a line must not become a position.
/// </summary>
public static class NmeaLine
{
    // 82 by the standard; some instruments run over.
    private const int LongestLine = 120;

    // Metres of error for each unit of horizontal dilution: the user range error of a single-frequency receiver.
    private const decimal MetresPerDilution = 4;
    private const decimal DeepestM = 12_000;

    /// <summary>Reads one line, with or without its end.</summary>
    public static NmeaReading Read(string line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var text = line.AsSpan().Trim();
        if (text.IsEmpty)
        {
            return NmeaReading.Nothing;
        }

        if (text.Length > LongestLine || text[0] is not ('$' or '!'))
        {
            return Refuse("not a line of the receiver");
        }

        var star = text.LastIndexOf('*');
        if (star < 1 || text.Length != star + 3)
        {
            return Refuse("half a line: its checksum is missing");
        }

        var sum = 0;
        foreach (var letter in text[1..star])
        {
            if (letter is < ' ' or > '~')
            {
                return Refuse("letters that no receiver sends");
            }

            sum ^= letter;
        }

        if (!int.TryParse(text[(star + 1)..], NumberStyles.AllowHexSpecifier, CultureInfo.InvariantCulture, out var said) || said != sum)
        {
            return Refuse("its checksum is wrong");
        }

        var fields = text[1..star].ToString().Split(',');
        return fields[0].Length < 5
            ? NmeaReading.Nothing
            : fields[0][^3..] switch
            {
                "GGA" => Gga(fields),
                "RMC" => Rmc(fields),
                "DPT" => Dpt(fields),
                "DBT" => Dbt(fields),
                _ => NmeaReading.Nothing,
            };
    }

    private static NmeaReading Gga(string[] f)
    {
        if (f.Length < 9)
        {
            return Refuse("half a position");
        }

        // Quality 0: no fix. 7 and 8: typed in or simulated by the receiver itself.
        return f[6] is "" or "0" or "7" or "8"
            ? Refuse("the receiver has no fix yet")
            : Fix(f[2], f[3], f[4], f[5], Number(f[8]) is { } dilution ? decimal.Round(dilution * MetresPerDilution, 1) : null);
    }

    private static NmeaReading Rmc(string[] f) =>
        f.Length < 7 ? Refuse("half a position")
        : f[2] != "A" ? Refuse("the receiver has no fix yet")
        : Fix(f[3], f[4], f[5], f[6], null);

    // Depth below the transducer and, where positive, how far that hangs below the surface.
    private static NmeaReading Dpt(string[] f)
    {
        var below = f.Length > 1 ? Number(f[1]) : null;
        var hung = f.Length > 2 ? Number(f[2]) ?? 0 : 0;

        // A sounder that has lost the bottom says 0.
        return Depth(below > 0 ? below + Math.Max(0, hung) : null);
    }

    private static NmeaReading Dbt(string[] f) => Depth(f.Length > 4 && f[4] == "M" ? Number(f[3]) : null);

    private static NmeaReading Depth(decimal? metres) =>
        metres is > 0 and < DeepestM ? new NmeaReading(DepthM: metres) : Refuse("the sounder finds no bottom");

    private static NmeaReading Fix(string latitude, string north, string longitude, string east, decimal? accuracy) =>
        Angle(latitude, 90, north, "N", "S") is { } lat && Angle(longitude, 180, east, "E", "W") is { } lon
            ? new NmeaReading(new NmeaFix(lat, lon, accuracy))
            : Refuse("not a position on earth");

    // ddmm.mmmm or dddmm.mmmm.
    private static double? Angle(string text, int most, string side, string plus, string minus)
    {
        if (Number(text) is not { } value || (side != plus && side != minus))
        {
            return null;
        }

        var degrees = decimal.Truncate(value / 100);
        var minutes = value - (degrees * 100);
        var angle = degrees + (minutes / 60);
        return minutes >= 60 || angle > most ? null : (double)decimal.Round(side == minus ? -angle : angle, 7);
    }

    private static decimal? Number(string text) => NumberText.Read(text).Value;

    private static NmeaReading Refuse(string why) => new(Refused: why);
}
