using System.Text;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Formats.Casts;

/// <summary>Looks at the head of a logged cast and says how it is laid out: separator, decimal sign, header, units and what each column
/// seems to hold.</summary>
public static class CastLook
{
    /// <summary>How much of a file is looked at, bytes.</summary>
    public const int HeadBytes = 64 * 1024;

    private const int LinesLooked = 200;
    private const int MostColumns = 200;
    private static readonly char[] Separators = ['\t', ';', ',', '|'];

    /// <summary>Looks at the first bytes of a file: UTF-8 with or without its mark, or Latin-1.</summary>
    public static CastLayout At(ReadOnlySpan<byte> head)
    {
        var lines = Lines(head);
        foreach (var separator in Separators)
        {
            var rows = lines.ConvertAll(line => Split(line, separator));
            var first = FirstRow(rows, separator);
            if (first >= 0)
            {
                return Laid(rows, first, separator);
            }
        }

        return new CastLayout(
            ",",
            false,
            0,
            [],
            [],
            Finding
                .Stop(
                    "cast-no-rows",
                    lines.Count == 0 ? "The file is empty." : "No rows of numbers are in this file.",
                    "A cast is a table: a depth in each row, and what was read there beside it.",
                    "Export the log as CSV and choose that file."
                )
                .At("file")
        );
    }

    private static CastLayout Laid(List<string[]> rows, int first, char separator)
    {
        var width = rows[first].Length;
        var comma =
            separator != ',' && rows.Skip(first).Any(r => r.Any(f => f.Contains(',', StringComparison.Ordinal) && IsNumber(f, separator)));
        var header = first - 1;
        string[]? units = null;
        if (
            header > 0
            && rows[header].Length == width
            && rows[header - 1].Length == width
            && rows[header].Count(CastHeader.IsUnit) * 2 >= rows[header].Count(f => f.Length > 0)
            && rows[header].Any(CastHeader.IsUnit)
        )
        {
            (units, header) = (rows[header], header - 1);
        }

        var named = header >= 0 && rows[header].Length >= width - 1;
        var columns = new CastColumn[width];
        for (var i = 0; i < width; i++)
        {
            var name = named && i < rows[header].Length ? rows[header][i] : "";
            columns[i] =
                name.Length > 0
                    ? CastHeader.Guess(name, units is not null && i < units.Length ? units[i] : null)
                    : new CastColumn($"column {i + 1}", CastQuantity.None);
        }

        return new CastLayout(separator.ToString(), comma, first, CastHeader.OneOfEach(columns), [.. rows.Skip(first).Take(5)]);
    }

    // The first of two neighbouring rows of one width with two numbers or more in each; a file may have a single row.
    private static int FirstRow(List<string[]> rows, char separator)
    {
        for (var i = 0; i < rows.Count; i++)
        {
            if (
                rows[i].Length is > 1 and <= MostColumns
                && rows[i].Count(f => IsNumber(f, separator)) >= 2
                && (i == rows.Count - 1 || rows[i + 1].Length == rows[i].Length)
            )
            {
                return i;
            }
        }

        return -1;
    }

    private static bool IsNumber(string field, char separator) =>
        CastNumber.TryRead(
            Encoding.UTF8.GetBytes(field),
            separator != ',' && field.Contains(',', StringComparison.Ordinal) ? (byte)',' : (byte)'.',
            out _,
            out _
        );

    private static List<string> Lines(ReadOnlySpan<byte> head)
    {
        if (head.StartsWith(Encoding.UTF8.Preamble))
        {
            head = head[3..];
        }

        var looked = head[..Math.Min(head.Length, HeadBytes)];
        var text = Encoding.UTF8.GetString(looked);
        if (text.Contains('\uFFFD', StringComparison.Ordinal))
        {
            text = Encoding.Latin1.GetString(looked);
        }

        var lines = text.Split('\n').Select(l => l.TrimEnd('\r')).ToList();
        if (head.Length >= HeadBytes && lines.Count > 1)
        {
            // The last line is cut off.
            lines.RemoveAt(lines.Count - 1);
        }

        while (lines.Count > 0 && lines[^1].Trim().Length == 0)
        {
            lines.RemoveAt(lines.Count - 1);
        }

        return lines.Count > LinesLooked ? lines[..LinesLooked] : lines;
    }

    /// <summary>The fields of a line, quotes taken off.</summary>
    internal static string[] Split(string line, char separator)
    {
        List<string> fields = [];
        var from = 0;
        var quoted = false;
        for (var i = 0; i <= line.Length; i++)
        {
            if (i < line.Length && line[i] == '"')
            {
                quoted = !quoted;
            }
            else if (i == line.Length || (line[i] == separator && !quoted))
            {
                fields.Add(line[from..i].Trim().Trim('"').Trim());
                from = i + 1;
            }
        }

        return [.. fields];
    }
}
