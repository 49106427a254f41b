using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Application.Import;

/// <summary>A measurement in a row.</summary>
/// <param name="column">Its column.</param>
/// <param name="at">The place of its column, from 0.</param>
/// <param name="written">As it was written, without a mark of a limit.</param>
/// <param name="value">In the role's own unit.</param>
/// <param name="limit">Whether it is a limit only.</param>
internal sealed class HistoricCell(HistoricColumn column, int at, string written, decimal value, Censoring limit)
{
    internal HistoricColumn Column => column;

    internal int At => at;

    internal string Written => written;

    internal decimal Value => value;

    internal Censoring Limit => limit;

    /// <summary>False once a finding has left it out.</summary>
    internal bool Used { get; set; } = true;
}

/// <summary>A row with what could be read of it.</summary>
internal sealed record HistoricLine(
    int Line,
    HistoricStation Station,
    DateOnly Day,
    TimeOnly? Time,
    string[] Observers,
    WrittenLength? Depth,
    string? Method,
    List<HistoricCell> Cells
);

/// <summary>Reads rows field by field.</summary>
internal static class RowReader
{
    private const int EarliestYear = 1850;

    internal static List<HistoricLine> Read(HistoricRequest request, List<HistoricFinding> findings)
    {
        var byName = request
            .Stations.SelectMany(s => new[] { (s.Code, s), (s.Name, s) })
            .GroupBy(s => s.Item1.Trim(), StringComparer.OrdinalIgnoreCase)
            .ToDictionary(g => g.Key, g => g.Select(s => s.Item2).Distinct().ToList(), StringComparer.OrdinalIgnoreCase);
        List<HistoricLine> lines = [];
        foreach (var row in request.Rows)
        {
            if (One(request, row, byName, findings) is { } line)
            {
                lines.Add(line);
            }
        }

        return lines;
    }

    private static HistoricLine? One(
        HistoricRequest request,
        HistoricRow row,
        Dictionary<string, List<HistoricStation>> stations,
        List<HistoricFinding> findings
    )
    {
        var name = Station(request.Mapping, row);
        if (!stations.TryGetValue(name, out var found) || found.Count > 1)
        {
            Stop(
                "station-unknown",
                found is null ? $"No station “{Short(name)}” is known here." : $"“{name}” is the name of {found.Count} stations.",
                "A reading without a place joins no record.",
                "Set the station up first, or write its code into the table."
            );
            return null;
        }

        var station = found[0];
        if (!station.Mine)
        {
            Stop(
                "station-beyond",
                $"You do not coordinate the water of {station.Name}.",
                "Whoever does answers for its record.",
                "Give the table to its coordinator, or leave its rows out."
            );
            return null;
        }

        var date = Field(HistoricRole.Date);
        if (WrittenDate.Read(date, request.Mapping.Dates, request.Today) is not { } day)
        {
            Stop(
                WrittenDate.CouldBeTwo(date) ? "date-two-ways" : "date-unreadable",
                WrittenDate.CouldBeTwo(date) ? $"“{date}” could be two days." : $"“{Short(date)}” is not a day.",
                "A reading on a wrong day is in the wrong season.",
                "Say whether day or month comes first, or write it as 2013-06-15."
            );
            return null;
        }

        if (day > request.Today || day.Year < EarliestYear)
        {
            Stop(
                "date-out-of-time",
                $"{day:yyyy-MM-dd} {(day > request.Today ? "has not come yet" : "is before anybody lowered a disc")}.",
                "The year is a slip.",
                "Correct it in the table."
            );
            return null;
        }

        if (station.Days.Contains(day))
        {
            Stop(
                "visit-there",
                $"The record of {station.Name} has a visit on {day:yyyy-MM-dd} already.",
                "The same reading would count twice.",
                "Look at that visit; strike it first if the table is right."
            );
            return null;
        }

        var time = Field(HistoricRole.Time);
        TimeOnly? at = TimeOnly.TryParse(time, CultureInfo.InvariantCulture, out var read) ? read : null;
        if (time.Length > 0 && at is null)
        {
            findings.Add(
                new HistoricFinding(
                    Finding.Note(
                        "time-unreadable",
                        $"“{Short(time)}” is not a time.",
                        "The light at noon and at dusk differ.",
                        "The visit is brought in without a time."
                    ),
                    row.Line
                )
            );
        }

        WrittenLength? depth = null;
        var cells = new List<HistoricCell>();
        foreach (var (column, i) in request.Mapping.Columns.Select((c, i) => (c, i)))
        {
            var written = i < row.Fields.Count ? row.Fields[i].Trim() : string.Empty;
            if (written.Length > 0 && column.Role == HistoricRole.Depth)
            {
                depth = new WrittenLength(written, Length(column.Unit));
                if (depth.Read() is (null, { } finding))
                {
                    findings.Add(new HistoricFinding(finding, row.Line, column.Head, i));
                    depth = null;
                }
            }
            else if (written.Length > 0 && MappingChecks.Measures(column.Role) && Cell(column, i, written, row.Line, findings) is { } cell)
            {
                cells.Add(cell);
            }
        }

        if (
            depth is null
            && cells.RemoveAll(c => c.Column.Role is HistoricRole.Temperature or HistoricRole.Oxygen or HistoricRole.Salinity) > 0
        )
        {
            Stop(
                "depth-missing",
                "The row has a level and no depth.",
                "A level without a depth is no profile.",
                "Write the depth into the table."
            );
        }

        string[] observers = [.. Field(HistoricRole.Observers).Split(',', ';', '&', '/').Select(o => o.Trim()).Where(o => o.Length > 0)];
        return new HistoricLine(
            row.Line,
            station,
            day,
            at,
            observers,
            depth,
            Field(HistoricRole.ClarityMethod) is { Length: > 0 } method ? method : null,
            cells
        );

        string Field(HistoricRole role) => RowReader.Field(request.Mapping, row, role);

        void Stop(string code, string seen, string why, string act) =>
            findings.Add(new HistoricFinding(Finding.Stop(code, seen, why, act) with { NoWayRound = true }, row.Line));
    }

    /// <summary>The station of a row, as it is written; empty where nothing says it.</summary>
    internal static string Station(HistoricMapping mapping, HistoricRow row) =>
        mapping.Columns.Any(c => c.Role == HistoricRole.Station)
            ? Field(mapping, row, HistoricRole.Station)
            : mapping.Station?.Trim() ?? string.Empty;

    private static string Field(HistoricMapping mapping, HistoricRow row, HistoricRole role)
    {
        for (var i = 0; i < mapping.Columns.Count && i < row.Fields.Count; i++)
        {
            if (mapping.Columns[i].Role == role)
            {
                return row.Fields[i].Trim();
            }
        }

        return string.Empty;
    }

    // A limit is kept as one: > before a clarity is the disc on the bottom, < before a result lies below what can be seen.
    private static HistoricCell? Cell(HistoricColumn column, int at, string written, int line, List<HistoricFinding> findings)
    {
        var bottom =
            column.Role == HistoricRole.Clarity
            && (
                written.StartsWith('>')
                || written.EndsWith("bottom", StringComparison.OrdinalIgnoreCase)
                || (written.EndsWith('b') || written.EndsWith('B')) && written.Length > 1
            );
        var below = column.Role == HistoricRole.Analyte && written.StartsWith('<');
        var plain = written.TrimStart('<', '>', ' ');
        if (bottom)
        {
            plain = plain.Replace("bottom", string.Empty, StringComparison.OrdinalIgnoreCase).TrimEnd('b', 'B', ' ');
        }

        var (value, finding) = Number(column, plain);
        if (finding is null && value < 0 && column.Role != HistoricRole.Temperature)
        {
            finding = Finding.Stop(
                "value-negative",
                $"{plain} is below nothing.",
                "It is a slip, or a mark for “not measured”.",
                "Correct it in the table; it is left out."
            );
        }

        if (value is not { } number || finding is not null)
        {
            findings.Add(new HistoricFinding(finding ?? NumberText.Read(plain).Finding!, line, column.Head, at));
            return null;
        }

        return new HistoricCell(
            column,
            at,
            plain,
            number,
            bottom ? Censoring.Above
                : below ? Censoring.Below
                : Censoring.None
        );
    }

    private static (decimal? Value, Finding? Finding) Number(HistoricColumn column, string plain)
    {
        if (column.Role == HistoricRole.Clarity)
        {
            var (length, finding) = new WrittenLength(plain, Length(column.Unit)).Read();
            return (length?.Metres, length is null ? finding : null);
        }

        if (column.Role == HistoricRole.Temperature)
        {
            return new WrittenTemperature(plain, column.Unit == "°F" ? TemperatureUnit.Fahrenheit : TemperatureUnit.Celsius).Read();
        }

        var (number, problem) = NumberText.Read(plain);
        return (number * (column.Role == HistoricRole.Analyte ? Analytes.Find(column.Analyte!)!.UnitOf(column.Unit!)!.Factor : 1), problem);
    }

    /// <summary>The unit of a column of lengths.</summary>
    internal static LengthUnit? Length(string? unit) =>
        unit switch
        {
            "m" => LengthUnit.Metre,
            "cm" => LengthUnit.Centimetre,
            "ft" => LengthUnit.Foot,
            "ft-in" => LengthUnit.FootInch,
            "in" => LengthUnit.Inch,
            _ => null,
        };

    private static string Short(string text) => text.Length <= 60 ? text : text[..60] + "…";
}
