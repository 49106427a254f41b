using CsCheck;
using UpperStill.Core.Application.Import;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;

namespace UpperStill.Core.Tests.Application.Import;

/// <summary>Whatever stands in a table, nothing of it is lost without a word.</summary>
public sealed class HistoricTableProperties
{
    private static readonly HistoricMapping Mapping = new([
        new("Site", HistoricRole.Station),
        new("Date", HistoricRole.Date),
        new("Time", HistoricRole.Time),
        new("Depth", HistoricRole.Depth, "m"),
        new("Secchi", HistoricRole.Clarity, "ft"),
        new("T", HistoricRole.Temperature, "°F"),
        new("DO", HistoricRole.Oxygen, "%"),
        new("S", HistoricRole.Salinity),
        new("TP", HistoricRole.Analyte, "mg/L as P", "total-phosphorus"),
    ]);

    private static readonly Gen<string> Field = Gen.OneOf(
        Gen.OneOfConst(
            "North",
            "n1",
            "1994-07-12",
            "12/07/1994",
            "5/6/94",
            "10:30",
            "0",
            "2",
            "4.2",
            "4,2",
            "0,015",
            "1,234",
            "> 3",
            "<0.5",
            "3b",
            "-9",
            "68",
            "1e9",
            "",
            "",
            "cold"
        ),
        Gen.String[0, 12],
        Gen.Double[0, 30].Select(d => d.ToString("0.00", System.Globalization.CultureInfo.InvariantCulture))
    );

    private static readonly Gen<string[]> Row = Gen.Select(
            Gen.OneOfConst("North", "N1", "Elsewhere"),
            Gen.OneOfConst("1994-07-12", "1994-07-13", "12/07/1994", "never"),
            Field.Array[7]
        )
        .Select((site, day, rest) => (string[])[site, day, .. rest]);

    [Fact]
    public void Each_row_that_holds_a_measurement_is_used_or_named() =>
        Row.Array[0, 12]
            .Sample(rows =>
            {
                var read = Read(rows);
                var named = read.Findings.Select(f => f.Line).ToHashSet();
                var wholeColumns = read.Findings.Where(f => f.Line is null).Select(f => f.Head).ToHashSet();
                for (var i = 0; i < rows.Length; i++)
                {
                    var measured = Enumerable
                        .Range(4, 5)
                        .Any(c => rows[i][c].Trim().Length > 0 && !wholeColumns.Contains(Mapping.Columns[c].Head));
                    Assert.True(
                        !measured || named.Contains(i + 2) || read.Visits.Any(v => v.Day == WrittenDate.Read(rows[i][1])),
                        string.Join('|', rows[i])
                    );
                }

                Assert.Equal(read.Visits.Count, read.Visits.DistinctBy(v => (v.Station, v.Day)).Count());
                Assert.All(read.Visits, v => Assert.True(v.Clarity is not null || v.Levels.Count > 0 || v.Values.Count > 0));
                Assert.All(read.Columns, c => Assert.InRange(c.Values, 0, rows.Length));
            });

    [Fact]
    public void What_was_left_out_as_unusual_comes_in_once_it_is_said_to_be_right() =>
        Row.Array[1, 12]
            .Sample(rows =>
            {
                var read = Read(rows);
                var again = Read(
                    rows,
                    [
                        .. read
                            .Findings.Where(f => f is { Answerable: true, Line: not null })
                            .Select(f => new HistoricField(f.Line!.Value, f.Column!.Value)),
                    ]
                );
                Assert.DoesNotContain(again.Findings, f =>
                    f is { Answerable: true, Line: not null }
                    && read.Findings.Any(b => (b.Line, b.Column) == (f.Line, f.Column) && b.Answerable)
                );
            });

    private static HistoricResult Read(string[][] rows, HashSet<HistoricField>? stand = null) =>
        HistoricTable.Read(
            new HistoricRequest(
                Mapping,
                [.. rows.Select((r, i) => new HistoricRow(i + 2, r))],
                [new HistoricStation("N1", "North", new HashSet<DateOnly>(), new Dictionary<Parameter, decimal>(), 14)],
                new DateOnly(2026, 8, 12),
                stand
            )
        );
}
