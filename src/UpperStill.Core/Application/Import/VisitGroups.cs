using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Application.Import;

/// <summary>Puts rows of one station and day together.</summary>
internal static class VisitGroups
{
    private const decimal SurfaceM = 1;

    internal static IReadOnlyList<HistoricVisit> Of(HistoricRequest request, List<HistoricLine> lines, List<HistoricFinding> findings) =>
        [
            .. lines
                .Where(l => l.Cells.Any(c => c.Used))
                .GroupBy(l => (l.Station.Code, l.Day))
                .OrderBy(g => g.Key.Day)
                .ThenBy(g => g.Key.Code, StringComparer.Ordinal)
                .Select(g => One(request, [.. g], findings))
                .OfType<HistoricVisit>(),
        ];

    private static HistoricVisit? One(HistoricRequest request, List<HistoricLine> lines, List<HistoricFinding> findings)
    {
        var first = lines[0];
        var clarity = Clarity(lines, findings);
        List<LevelBody> levels = [];
        List<ValueStatedBody> values = [];
        HashSet<string> seen = [];
        foreach (var line in lines)
        {
            if (Level(line) is { } level && Fresh(line, $"level {level.Depth.Written}", "a level"))
            {
                levels.Add(level);
            }

            foreach (var cell in line.Cells.Where(c => c is { Used: true, Column.Role: HistoricRole.Analyte }))
            {
                var (place, depth) = Place(line.Depth);
                if (Fresh(line, $"{cell.Column.Analyte} {depth}", Analytes.Find(cell.Column.Analyte!)!.Name))
                {
                    values.Add(
                        new ValueStatedBody(
                            cell.Column.Analyte!,
                            cell.Written,
                            cell.Column.Unit!,
                            cell.Limit == Censoring.Below ? Qualifier.Below : null,
                            place,
                            depth
                        )
                    );
                }
            }
        }

        return clarity is null && levels.Count == 0 && values.Count == 0
            ? null
            : new HistoricVisit(
                first.Station.Code,
                first.Day,
                lines.Select(l => l.Time).FirstOrDefault(t => t is not null),
                [.. lines.SelectMany(l => l.Observers).Distinct()],
                clarity,
                [.. levels.OrderBy(l => l.Depth.Read().Length!.Value.Metres)],
                values,
                first.Line
            );

        bool Fresh(HistoricLine line, string what, string words)
        {
            if (seen.Add(what))
            {
                return true;
            }

            findings.Add(
                new HistoricFinding(
                    Finding.Check(
                        "day-twice",
                        $"{first.Station.Name} has {words} twice on {line.Day:yyyy-MM-dd} at the same depth.",
                        "Two values of one bottle are one too many.",
                        "The first line stands; correct the table if it should be the other."
                    ),
                    line.Line
                )
            );
            return false;
        }
    }

    private static ClarityStatedBody? Clarity(List<HistoricLine> lines, List<HistoricFinding> findings)
    {
        ClarityStatedBody? stands = null;
        decimal? value = null;
        foreach (var line in lines)
        {
            foreach (var cell in line.Cells.Where(c => c is { Used: true, Column.Role: HistoricRole.Clarity }))
            {
                if (stands is null)
                {
                    (stands, value) = (
                        new ClarityStatedBody(
                            new WrittenLength(cell.Written, RowReader.Length(cell.Column.Unit)),
                            cell.Limit == Censoring.Above,
                            line.Method
                        ),
                        cell.Value
                    );
                }
                else if (cell.Value != value)
                {
                    // A table with a row for each level repeats the clarity in each; only another value is a question.
                    findings.Add(
                        new HistoricFinding(
                            Finding.Check(
                                "day-twice",
                                $"{line.Station.Name} has two clarities on {line.Day:yyyy-MM-dd}.",
                                "One day is one piece of evidence.",
                                "The first line stands; correct the table if it should be the other."
                            ),
                            line.Line,
                            cell.Column.Head,
                            cell.At
                        )
                    );
                    cell.Used = false;
                }
            }
        }

        return stands;
    }

    private static LevelBody? Level(HistoricLine line)
    {
        string? Of(HistoricRole role) => line.Cells.FirstOrDefault(c => c.Used && c.Column.Role == role)?.Written;
        string? Unit(HistoricRole role) => line.Cells.FirstOrDefault(c => c.Used && c.Column.Role == role)?.Column.Unit;
        return line.Depth is not { } depth || (Of(HistoricRole.Temperature) ?? Of(HistoricRole.Oxygen) ?? Of(HistoricRole.Salinity)) is null
            ? null
            : new LevelBody(
                depth,
                Of(HistoricRole.Temperature) is { } t
                    ? new WrittenTemperature(
                        t,
                        Unit(HistoricRole.Temperature) == "°F" ? TemperatureUnit.Fahrenheit : TemperatureUnit.Celsius
                    )
                    : null,
                Of(HistoricRole.Oxygen) is { } o
                    ? new WrittenOxygen(o, Unit(HistoricRole.Oxygen) == "%" ? OxygenUnit.Percent : OxygenUnit.MgPerL)
                    : null,
                Salinity: Of(HistoricRole.Salinity)
            );
    }

    private static (string Place, string Depth) Place(WrittenLength? depth) =>
        depth?.Read().Length is not { } length
            ? ("unstated", "depth not stated")
            : (length.Metres <= SurfaceM ? "surface" : LengthText.Write(length), LengthText.Write(length));
}
