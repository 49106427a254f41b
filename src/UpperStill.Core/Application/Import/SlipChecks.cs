using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Application.Import;

/// <summary>
/// Catches slips of the unit: a column, or one value of it, that lies a hundred or a thousand times off. What is caught is left out until
/// somebody says that it is right.
/// A column is held against what water usually has and against the station's own record, a value against the middle of its column.
/// </summary>
internal static class SlipChecks
{
    // Between a dry and a wet year chlorophyll may differ thirtyfold; a slip from µg to mg is a thousandfold. For clarity the slip is from
    // m to cm.
    private const decimal ResultFactor = 300;
    private const decimal ClarityFactor = 30;
    private const int LeastForMiddle = 5;

    /// <summary>Leaves out whole columns.</summary>
    internal static void LeaveOutColumns(HistoricRequest request, IReadOnlyList<HistoricLine> lines, List<HistoricFinding> findings)
    {
        foreach (var (at, column) in request.Mapping.Columns.Index().Where(c => !c.Item.Sure && MappingChecks.Measures(c.Item.Role)))
        {
            var cells = Of(lines, at);
            if (Whole(column, cells) is { } slip)
            {
                findings.Add(new HistoricFinding(slip, null, column.Head, at, Answerable: true));
                cells.ForEach(c => c.Cell.Used = false);
            }
        }
    }

    /// <summary>Leaves out single values, and counts what stays.</summary>
    internal static IReadOnlyList<HistoricCount> LeaveOutValues(
        HistoricRequest request,
        IReadOnlyList<HistoricLine> lines,
        List<HistoricFinding> findings
    )
    {
        List<HistoricCount> counts = [];
        foreach (var (at, column) in request.Mapping.Columns.Index().Where(c => MappingChecks.Measures(c.Item.Role)))
        {
            var cells = Of(lines, at);
            Each(request, column, [.. cells.Where(c => c.Cell.Used)], findings);

            // A field that is no number has its finding and no cell.
            var unread = findings.Count(f =>
                f is { Answerable: false, Line: not null, Finding.Level: FindingLevel.Stop } && f.Column == at
            );
            counts.Add(Count(column, [.. cells.Select(c => c.Cell)], unread));
        }

        return counts;
    }

    private static List<(HistoricLine Line, HistoricCell Cell)> Of(IReadOnlyList<HistoricLine> lines, int at) =>
        [.. lines.SelectMany(l => l.Cells.Where(c => c.At == at).Select(c => (Line: l, Cell: c)))];

    private static Finding? Whole(HistoricColumn column, List<(HistoricLine Line, HistoricCell Cell)> cells)
    {
        var plain = cells.Where(c => c.Cell is { Limit: Censoring.None, Value: > 0 }).ToList();
        if (plain.Count == 0)
        {
            return null;
        }

        var (low, high) = Usual(column);
        var middle = Decimals.Median([.. plain.Select(c => c.Cell.Value)]);
        if (middle < low || middle > high)
        {
            var other = OtherUnit(column, middle, low, high);
            return Finding.Stop(
                "column-unit",
                $"The middle of “{column.Head}” is {Show(middle / Factor(column))} {column.Unit}, which no water usually has.",
                other is null ? "It may be another unit, or another quantity." : $"In {other} it would be usual.",
                "Choose the unit again, or say that it is right."
            );
        }

        // Each station against its own record.
        foreach (var station in plain.GroupBy(c => c.Line.Station))
        {
            if (
                Subject(column) is { } subject
                && station.Key.Usual.TryGetValue(subject, out var usual)
                && usual > 0
                && Decimals.Median([.. station.Select(c => c.Cell.Value)]) is var here
                && Off(here / usual, column)
            )
            {
                return Finding.Stop(
                    "column-unit",
                    $"The middle of “{column.Head}” at {station.Key.Name} is {Show(here / Factor(column))} {column.Unit}; its "
                        + $"record has {Show(usual)} {Subjects.Of(subject).Unit}.",
                    $"That is {Times(here / usual)}.",
                    "Choose the unit again, or say that it is right."
                );
            }
        }

        return null;
    }

    private static void Each(
        HistoricRequest request,
        HistoricColumn column,
        List<(HistoricLine Line, HistoricCell Cell)> cells,
        List<HistoricFinding> findings
    )
    {
        var known = cells.Where(c => c.Cell is { Limit: Censoring.None, Value: > 0 }).Select(c => c.Cell.Value).ToArray();
        var middle = known.Length >= LeastForMiddle ? Decimals.Median(known) : 0;
        var (least, most) = Possible(column);
        foreach (var (line, cell) in cells.Where(c => !request.Stands(c.Line.Line, c.Cell.At)))
        {
            var finding =
                cell.Value < least || cell.Value > most
                    ? Finding.Stop(
                        "value-impossible",
                        $"{cell.Written} {column.Unit} is outside what water has.",
                        "It is a slip of the hand or of the unit.",
                        "Correct it in the table, or bring it in as it stands."
                    )
                : middle > 0 && cell is { Limit: Censoring.None, Value: > 0 } && Off(cell.Value / middle, column)
                    ? Finding.Stop(
                        "value-thousandfold",
                        $"{cell.Written} {column.Unit} is {Times(cell.Value / middle)} the middle of its column.",
                        "One row in another unit bends every mean and trend that it is in.",
                        "Correct it in the table, or bring it in as it stands."
                    )
                : null;
            if (finding is not null)
            {
                cell.Used = false;
                findings.Add(new HistoricFinding(finding, line.Line, column.Head, cell.At, Answerable: true));
            }
        }
    }

    private static HistoricCount Count(HistoricColumn column, List<HistoricCell> cells, int unread)
    {
        var used = cells.Where(c => c.Used).ToList();
        var leftOut = unread + cells.Count - used.Count;
        var values = used.Where(c => c.Limit == Censoring.None).Select(c => decimal.Round(c.Value / Factor(column), 3)).ToArray();
        return values.Length == 0
            ? new HistoricCount(column.Head, used.Count, leftOut)
            : new HistoricCount(
                column.Head,
                used.Count,
                leftOut,
                values.Min(),
                decimal.Round(Decimals.Median(values), 3),
                values.Max(),
                column.Unit
            );
    }

    private static (decimal Low, decimal High) Usual(HistoricColumn column) =>
        column.Role switch
        {
            HistoricRole.Clarity => (0.1m, 45),
            HistoricRole.Oxygen => column.Unit == "%" ? (5, 200) : (0.5m, 20),
            HistoricRole.Temperature => (0, 35),
            HistoricRole.Salinity => (0, 45),
            _ => Analytes.Find(column.Analyte!)!.Usual,
        };

    private static (decimal Least, decimal Most) Possible(HistoricColumn column) =>
        column.Role switch
        {
            HistoricRole.Clarity => (0.01m, 80),
            HistoricRole.Oxygen => column.Unit == "%" ? (0, 400) : (0, 40),
            HistoricRole.Temperature => (-2.5m, 45),
            HistoricRole.Salinity => (0, 350),
            _ => (0, decimal.MaxValue),
        };

    // What one step of a column's unit is in the unit that its values are held in.
    private static decimal Factor(HistoricColumn column) =>
        column.Role switch
        {
            HistoricRole.Analyte => Analytes.Find(column.Analyte!)!.UnitOf(column.Unit!)!.Factor,
            HistoricRole.Clarity => column.Unit == "ft-in" ? Length.MetresPerFoot : Length.MetresPer(RowReader.Length(column.Unit)!.Value),
            _ => 1,
        };

    private static string? OtherUnit(HistoricColumn column, decimal middle, decimal low, decimal high)
    {
        var written = middle / Factor(column);
        return HistoricHeads
            .Choices.First(c => c.Role == column.Role && c.Analyte == column.Analyte)
            .Units.Where(u => u != column.Unit && column.Role is HistoricRole.Analyte or HistoricRole.Clarity)
            .FirstOrDefault(u => written * Factor(column with { Unit = u }) is var value && value >= low && value <= high);
    }

    private static bool Off(decimal ratio, HistoricColumn column)
    {
        var factor = column.Role switch
        {
            HistoricRole.Clarity => ClarityFactor,
            HistoricRole.Analyte => ResultFactor,
            _ => decimal.MaxValue,
        };
        return ratio > factor || ratio < 1 / factor;
    }

    private static Parameter? Subject(HistoricColumn column) =>
        column.Role == HistoricRole.Clarity ? Parameter.Clarity
        : column.Analyte is { } analyte ? Subjects.Measured.Cast<Parameter?>().FirstOrDefault(s => Subjects.Of(s!.Value).Analyte == analyte)
        : null;

    private static string Times(decimal ratio) => ratio >= 1 ? $"{Show(ratio)} times" : $"1/{Show(1 / ratio)} of";

    private static string Show(decimal value) =>
        Decimals.Text(
            value >= 100 ? decimal.Round(value)
            : value >= 1 ? decimal.Round(value, 1)
            : decimal.Round(value, 4)
        );
}
