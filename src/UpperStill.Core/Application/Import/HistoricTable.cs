using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Application.Import;

/// <summary>A row of a table.</summary>
/// <param name="Line">Its line in the file, from 1.</param>
/// <param name="Fields">Its fields, as many as there are columns.</param>
public sealed record HistoricRow(int Line, IReadOnlyList<string> Fields);

/// <summary>A station that a table may be of.</summary>
/// <param name="Code">Its code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Days">Days on which the record has a visit already.</param>
/// <param name="Usual">Medians of its record, in each subject's own unit.</param>
/// <param name="DepthM">Its known depth, m; null where nobody knows it.</param>
/// <param name="Mine">False where whoever brings the table does not coordinate its water.</param>
public sealed record HistoricStation(
    string Code,
    string Name,
    IReadOnlySet<DateOnly> Days,
    IReadOnlyDictionary<Parameter, decimal> Usual,
    decimal? DepthM = null,
    bool Mine = true
);

/// <summary>A field of a table.</summary>
/// <param name="Line">Its line in the file, from 1.</param>
/// <param name="Column">Its column, from 0.</param>
public readonly record struct HistoricField(int Line, int Column);

/// <summary>A table to be read.</summary>
/// <param name="Mapping">How.</param>
/// <param name="Rows">Its rows.</param>
/// <param name="Stations">Stations that it may be of.</param>
/// <param name="Today">No reading is later.</param>
/// <param name="AsTheyStand">Unusual fields that somebody looked at: they are brought in as they stand.</param>
public sealed record HistoricRequest(
    HistoricMapping Mapping,
    IReadOnlyList<HistoricRow> Rows,
    IReadOnlyList<HistoricStation> Stations,
    DateOnly Today,
    IReadOnlySet<HistoricField>? AsTheyStand = null
)
{
    /// <summary>True where somebody said that a field is right.</summary>
    internal bool Stands(int line, int column) => AsTheyStand?.Contains(new HistoricField(line, column)) == true;
}

/// <summary>A visit that the table tells of.</summary>
/// <param name="Station">The station's code.</param>
/// <param name="Day">Local day.</param>
/// <param name="Time">Local time; null where the table has none.</param>
/// <param name="Observers">Who read; empty where it does not say.</param>
/// <param name="Clarity">Clarity, worked out by whoever wrote the table.</param>
/// <param name="Levels">Levels of a profile, from the surface down.</param>
/// <param name="Values">What a laboratory measured.</param>
/// <param name="Line">The first line that tells of it.</param>
public sealed record HistoricVisit(
    string Station,
    DateOnly Day,
    TimeOnly? Time,
    IReadOnlyList<string> Observers,
    ClarityStatedBody? Clarity,
    IReadOnlyList<LevelBody> Levels,
    IReadOnlyList<ValueStatedBody> Values,
    int Line
)
{
    /// <summary>What it holds, in a few words.</summary>
    public string Words =>
        string.Join(
            ", ",
            new[]
            {
                Clarity is null ? null : $"clarity {(Clarity.OnBottom ? "> " : string.Empty)}{Clarity.Depth.Written}",
                Levels.Count switch
                {
                    0 => null,
                    1 => "1 level",
                    var n => $"{n} levels",
                },
                Values.Count > 3 ? $"{Values.Count} results"
                : Values.Count == 0 ? null
                : string.Join(
                    ", ",
                    Values.Select(v =>
                        $"{Analytes.Find(v.Analyte)!.Name} {(v.Qualifier == Qualifier.Below ? "< " : string.Empty)}{v.Value} {v.Unit}"
                    )
                ),
            }.OfType<string>()
        );
}

/// <summary>Something to look at in a table.</summary>
/// <param name="Finding">What.</param>
/// <param name="Line">The line; null where it is about a whole column or the whole table.</param>
/// <param name="Head">The column; null where it is about the row.</param>
/// <param name="Column">The same column by its place, from 0: two may have one head.</param>
/// <param name="Answerable">True where “as it stands” is an answer.</param>
public sealed record HistoricFinding(Finding Finding, int? Line = null, string? Head = null, int? Column = null, bool Answerable = false);

/// <summary>What was read of a column.</summary>
/// <param name="Head">The column.</param>
/// <param name="Values">Values brought in.</param>
/// <param name="LeftOut">Values left out, each with its finding.</param>
/// <param name="Low">The least; null where it has no numbers.</param>
/// <param name="Median">The middle one.</param>
/// <param name="High">The greatest.</param>
/// <param name="Unit">Their unit.</param>
public sealed record HistoricCount(
    string Head,
    int Values,
    int LeftOut,
    decimal? Low = null,
    decimal? Median = null,
    decimal? High = null,
    string? Unit = null
);

/// <summary>A table as it was read.</summary>
/// <param name="Visits">Its visits, oldest first.</param>
/// <param name="Findings">What to look at; what they speak of is left out unless they are notes.</param>
/// <param name="Columns">What was read of each column.</param>
/// <param name="Rows">Rows in the table.</param>
/// <param name="RowsUsed">Rows of which something is brought in.</param>
public sealed record HistoricResult(
    IReadOnlyList<HistoricVisit> Visits,
    IReadOnlyList<HistoricFinding> Findings,
    IReadOnlyList<HistoricCount> Columns,
    int Rows,
    int RowsUsed
);

/// <summary>Reads an old table: rows of one station and day become one visit. Nothing is guessed; what cannot be read is left out and
/// listed with its line.</summary>
public static class HistoricTable
{
    /// <summary>The stations that a table names, as it writes them.</summary>
    /// <param name="mapping">How it is read.</param>
    /// <param name="rows">Its rows.</param>
    public static IReadOnlySet<string> StationsNamed(HistoricMapping mapping, IReadOnlyList<HistoricRow> rows)
    {
        ArgumentNullException.ThrowIfNull(mapping);
        ArgumentNullException.ThrowIfNull(rows);
        return rows.Select(row => RowReader.Station(mapping, row)).ToHashSet(StringComparer.OrdinalIgnoreCase);
    }

    /// <summary>Reads it.</summary>
    public static HistoricResult Read(HistoricRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        List<HistoricFinding> findings = [.. MappingChecks.Of(request.Mapping)];
        if (findings.Any(f => f.Finding.Level == FindingLevel.Stop))
        {
            return new HistoricResult([], findings, [], request.Rows.Count, 0);
        }

        var rows = RowReader.Read(request, findings);
        SlipChecks.LeaveOutColumns(request, rows, findings);
        DepthChecks.LeaveOut(request, rows, findings);
        var counts = SlipChecks.LeaveOutValues(request, rows, findings);
        var visits = VisitGroups.Of(request, rows, findings);
        return new HistoricResult(
            visits,
            [.. findings.OrderBy(f => f.Line ?? 0)],
            counts,
            request.Rows.Count,
            rows.Count(r => r.Cells.Any(c => c.Used))
        );
    }
}
