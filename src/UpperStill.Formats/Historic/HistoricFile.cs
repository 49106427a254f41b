using CsvHelper;
using UpperStill.Core.Application.Import;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Formats.Historic;

/// <summary>What an old table looks like before it is read.</summary>
/// <param name="First">Its first rows.</param>
/// <param name="Mapping">How its columns are read, as far as the heads say.</param>
/// <param name="Choices">What a column can be said to hold.</param>
/// <param name="Rows">How many rows it has.</param>
/// <param name="Problem">Why it cannot be read; null where it can.</param>
public sealed record HistoricLook(
    IReadOnlyList<IReadOnlyList<string>> First,
    HistoricMapping Mapping,
    IReadOnlyList<HistoricChoice> Choices,
    int Rows,
    Finding? Problem = null
);

/// <summary>Reads an old table from a file: a head, columns parted by comma, semicolon or tab (RFC 4180). A file that would fill the memory
/// is refused before it does.</summary>
public static class HistoricFile
{
    /// <summary>Rows of the longest table that is read at once.</summary>
    public const int MostRows = 100_000;

    private const int MostColumns = 200;
    private const int LongestField = 2000;
    private const int FirstRows = 6;

    /// <summary>Looks at it.</summary>
    /// <param name="text">The file.</param>
    public static HistoricLook Look(TextReader text)
    {
        var (heads, rows, problem) = Read(text);
        var columns = heads.Select(HistoricHeads.Guess).ToList();
        var days = columns.FindIndex(c => c.Role == HistoricRole.Date);
        var order = days < 0 ? null : WrittenDate.OrderOf(rows.Select(r => r.Fields[days]));
        return new HistoricLook(
            [.. rows.Take(FirstRows).Select(r => r.Fields)],
            new HistoricMapping(columns, null, order),
            HistoricHeads.Choices,
            rows.Count,
            problem
        );
    }

    /// <summary>Its heads and rows, or what stands in the way.</summary>
    /// <param name="text">The file.</param>
    public static (IReadOnlyList<string> Heads, IReadOnlyList<HistoricRow> Rows, Finding? Problem) Read(TextReader text)
    {
        ArgumentNullException.ThrowIfNull(text);
        using var csv = CsvTable.Open(text, LongestField);
        try
        {
            if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is not { Length: > 1 } head)
            {
                return Refused("There is no table in it.", "Save it from the spreadsheet as CSV, with a head of at least two columns.");
            }

            if (head.Length > MostColumns)
            {
                return Refused($"It has {head.Length} columns; the most is {MostColumns}.", "Save only the columns that hold readings.");
            }

            List<HistoricRow> rows = [];
            while (csv.Read())
            {
                string[] fields =
                [
                    .. head.Select((_, i) => csv.TryGetField<string>(i, out var field) ? field ?? string.Empty : string.Empty),
                ];
                if (fields.All(f => f.Length == 0))
                {
                    continue;
                }

                if (rows.Count == MostRows)
                {
                    return Refused($"It has more than {MostRows} rows.", "Bring it in year by year.");
                }

                rows.Add(new HistoricRow(csv.Parser.RawRow, fields));
            }

            return (
                [.. head.Select((h, i) => h.TrimStart('\uFEFF').Trim() is { Length: > 0 } name ? name : $"column {i + 1}")],
                rows,
                rows.Count > 0 ? null : Refused("It has a head and no rows.", "Save it again with its rows.").Item3
            );
        }
        catch (CsvHelperException)
        {
            return Refused(
                $"A field of it is longer than {LongestField} characters, or a quotation mark is never closed.",
                "Open it in a spreadsheet, look at the last line that looks right, and save it again as CSV."
            );
        }
    }

    private static (IReadOnlyList<string>, IReadOnlyList<HistoricRow>, Finding?) Refused(string seen, string act) =>
        ([], [], Finding.Stop("table-unreadable", seen, "Nothing of it was kept.", act) with { NoWayRound = true });
}
