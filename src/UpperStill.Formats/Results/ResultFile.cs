using System.Text;
using CsvHelper;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Formats.Results;

/// <summary>
/// Reads a laboratory's results: a table with a head, columns parted by comma, semicolon or tab (RFC 4180), one result a row. Rows come one
/// by one, so that a long file needs no memory.
/// A row that cannot be read says why; nothing is guessed and nothing is left out.
/// </summary>
public static class ResultFile
{
    private const int FirstRows = 8;
    private const int RowsForDates = 200;
    private const int LongestRaw = 400;
    private const int LongestField = 200;
    private static readonly string[] NotFound = ["nd", "n.d.", "bdl", "<dl", "<lod", "<mdl", "not detected", "below detection", "u"];

    // What laboratories write over their columns, in small letters, letters and digits only.
    private static readonly (string Column, string[] Heads)[] Usual =
    [
        (
            nameof(ResultMapping.Number),
            ["samplenumber", "sampleno", "sampleid", "sample", "number", "fieldid", "clientsampleid", "samplename"]
        ),
        (nameof(ResultMapping.Value), ["value", "result", "concentration", "resultvalue", "conc", "amount"]),
        (nameof(ResultMapping.Analyte), ["analyte", "parameter", "determinand", "test", "component", "compound", "characteristic"]),
        (nameof(ResultMapping.Unit), ["unit", "units", "resultunit", "uom"]),
        (nameof(ResultMapping.Qualifier), ["qualifier", "flag", "resultflag", "qual", "sign", "remark"]),
        (nameof(ResultMapping.DetectionLimit), ["detectionlimit", "dl", "mdl", "lod", "limit", "reportinglimit"]),
        (nameof(ResultMapping.Method), ["method", "methodcode", "procedure"]),
        (nameof(ResultMapping.Date), ["date", "analysisdate", "analysed", "analyzed", "dateanalysed", "dateanalyzed", "analysedon"]),
    ];

    /// <summary>Looks at a file: its heads, its first rows, and how the columns would be read.</summary>
    /// <param name="text">The file.</param>
    public static ResultLook Look(TextReader text)
    {
        ArgumentNullException.ThrowIfNull(text);
        using var csv = Open(text);
        if (!Head(csv, out var heads) || heads.Length < 2)
        {
            return new ResultLook(
                heads,
                [],
                new ResultMapping(),
                "There is no table in it: a head with at least two columns, parted by comma, semicolon or tab, is needed. Save it "
                    + "from the spreadsheet as CSV."
            );
        }

        var mapping = Guess(heads);
        List<IReadOnlyList<string>> first = [];
        List<string> days = [];
        for (var row = 0; row < RowsForDates && csv.Read(); row++)
        {
            if (row < FirstRows)
            {
                first.Add([
                    .. heads.Select((_, i) => Short(csv.TryGetField<string>(i, out var field) ? field ?? string.Empty : string.Empty)),
                ]);
            }

            if (mapping.Date is { } date)
            {
                days.Add(Field(csv, heads, date));
            }
        }

        return new ResultLook(heads, first, mapping with { Dates = WrittenDate.OrderOf(days) });
    }

    /// <summary>The heads of a file as they are remembered with their mapping.</summary>
    public static string Remembered(IEnumerable<string> heads) => string.Join('|', heads.Select(h => h.Trim().ToLowerInvariant()));

    /// <summary>Reads the rows one by one.</summary>
    /// <param name="text">The file.</param>
    /// <param name="mapping">How its columns are read.</param>
    /// <param name="file">Its name, to stand beside the results.</param>
    public static IEnumerable<ResultRow> Read(TextReader text, ResultMapping mapping, string? file = null)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(mapping);
        using var csv = Open(text);
        if (!Head(csv, out var heads))
        {
            yield break;
        }

        while (csv.Read())
        {
            if (!heads.Select((_, i) => csv.TryGetField<string>(i, out var field) ? field : null).All(string.IsNullOrWhiteSpace))
            {
                yield return One(csv, heads, mapping, file);
            }
        }
    }

    private static ResultRow One(CsvReader csv, string[] heads, ResultMapping mapping, string? file)
    {
        var raw = csv.Parser.RawRecord.TrimEnd('\r', '\n');
        raw = raw.Length <= LongestRaw ? raw : raw[..LongestRaw] + "…";
        long line = csv.Parser.Row;
        var number = Field(csv, heads, mapping.Number);
        var (name, unit) = (
            mapping.Analyte is null ? mapping.WholeAnalyte : Field(csv, heads, mapping.Analyte),
            mapping.Unit is null ? mapping.WholeUnit : Field(csv, heads, mapping.Unit)
        );
        if (number.Length == 0)
        {
            return Held("sample-number-missing", "The row has no sample number.");
        }

        if (number.Length > LongestField || (name?.Length ?? 0) > LongestField || (unit?.Length ?? 0) > LongestField)
        {
            return Held("row-unreadable", "A field of the row is longer than any number or name.");
        }

        var analyte = string.IsNullOrWhiteSpace(name) ? null : mapping.Names?.GetValueOrDefault(name.Trim()) ?? Analytes.Named(name)?.Code;
        if (analyte is null)
        {
            return Held(
                "analyte-unknown",
                string.IsNullOrWhiteSpace(name)
                    ? "The row does not say what was measured."
                    : $"“{name}” is not an analyte that is known here."
            );
        }

        var (qualifier, value, limit) = ValueOf(
            Field(csv, heads, mapping.Value),
            Field(csv, heads, mapping.Qualifier),
            Field(csv, heads, mapping.DetectionLimit)
        );
        if (value is null)
        {
            return Held(
                "value-unreadable",
                $"“{Short(Field(csv, heads, mapping.Value))}” is not a value, and there is no detection limit to stand for it."
            );
        }

        var body = new ResultBody(
            number,
            analyte,
            value,
            string.IsNullOrWhiteSpace(unit) ? null : unit.Trim(),
            qualifier,
            limit,
            Nullable(Field(csv, heads, mapping.Method)),
            WrittenDate.Read(Field(csv, heads, mapping.Date), mapping.Dates),
            file
        );
        var read = ReportedValue.Read(body);
        return
            read.Value is null
            && qualifier != Qualifier.Rejected
            && read.Findings.FirstOrDefault(f => f.Level == Core.Basis.Findings.FindingLevel.Stop) is { } stop
            ? new ResultRow(line, number, body, raw, stop.Code, $"{stop.Seen} {stop.Why}")
            : new ResultRow(line, number, body, raw);

        ResultRow Held(string code, string why) => new(line, number, null, raw, code, why);
    }

    private static (Qualifier? Qualifier, string? Value, string? Limit) ValueOf(string written, string qualifier, string limit)
    {
        Qualifier? said = qualifier.Trim().ToLowerInvariant() switch
        {
            "<" or "u" or "nd" or "bdl" or "below" => Qualifier.Below,
            ">" or "above" => Qualifier.Above,
            "e" or "j" or "est" or "estimated" => Qualifier.Estimated,
            "r" or "rej" or "rejected" => Qualifier.Rejected,
            _ => null,
        };
        var plain = written.Trim();
        said ??=
            plain.StartsWith('<') ? Qualifier.Below
            : plain.StartsWith('>') ? Qualifier.Above
            : null;
        var kept = Nullable(limit);
        if (NotFound.Contains(plain.ToLowerInvariant()) || (plain.Length == 0 && said == Qualifier.Below))
        {
            return (Qualifier.Below, kept, kept);
        }

        plain = plain.TrimStart('<', '>', ' ');
        return (
            said,
            NumberText.Read(plain).Value is null
                ? plain.Contains(',', StringComparison.Ordinal) && plain.Any(char.IsAsciiDigit)
                    ? plain
                    : null
                : plain,
            kept
        );
    }

    private static ResultMapping Guess(string[] heads)
    {
        var plain = heads.Select(h => new string([.. h.ToLowerInvariant().Where(char.IsAsciiLetterOrDigit)])).ToList();
        string? Of(string column) =>
            Usual
                .First(u => u.Column == column)
                .Heads.Select(h => plain.IndexOf(h))
                .Where(i => i >= 0)
                .Select(i => heads[i])
                .FirstOrDefault();
        return new ResultMapping(
            Of(nameof(ResultMapping.Number)),
            Of(nameof(ResultMapping.Value)),
            Of(nameof(ResultMapping.Analyte)),
            Of(nameof(ResultMapping.Unit)),
            Of(nameof(ResultMapping.Qualifier)),
            Of(nameof(ResultMapping.DetectionLimit)),
            Of(nameof(ResultMapping.Method)),
            Of(nameof(ResultMapping.Date))
        );
    }

    private static CsvReader Open(TextReader text) => CsvTable.Open(text, 100_000);

    private static bool Head(CsvReader csv, out string[] heads)
    {
        heads = [];
        if (!csv.Read())
        {
            return false;
        }

        csv.ReadHeader();
        heads = [.. (csv.HeaderRecord ?? []).Select(h => Short(h.TrimStart('\uFEFF')))];
        return heads.Length > 0;
    }

    private static string Field(CsvReader csv, string[] heads, string? head) =>
        head is not null && Array.IndexOf(heads, head) is >= 0 and var index && csv.TryGetField<string>(index, out var field)
            ? (field ?? string.Empty).Trim()
            : string.Empty;

    private static string? Nullable(string text) => text.Length == 0 || text.Length > LongestField ? null : text;

    private static string Short(string text) => text.Length <= LongestField ? text : text[..LongestField] + "…";

    /// <summary>The bytes of a file as text: UTF-8, or as an old spreadsheet writes where they are not.</summary>
    /// <param name="file">The file; it must be able to begin again.</param>
    public static TextReader Text(Stream file)
    {
        ArgumentNullException.ThrowIfNull(file);
        var strict = new UTF8Encoding(false, throwOnInvalidBytes: true);
        var decoder = strict.GetDecoder();
        var (bytes, chars) = (new byte[65536], new char[65536]);
        var utf8 = true;
        try
        {
            for (int read; (read = file.Read(bytes)) > 0; )
            {
                decoder.GetChars(bytes, 0, read, chars, 0, flush: false);
            }
        }
        catch (DecoderFallbackException)
        {
            utf8 = false;
        }

        file.Position = 0;
        return new StreamReader(file, utf8 ? Encoding.UTF8 : Encoding.Latin1, detectEncodingFromByteOrderMarks: true, leaveOpen: true);
    }
}
