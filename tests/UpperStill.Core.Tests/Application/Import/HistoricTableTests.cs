using UpperStill.Core.Application.Import;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;

namespace UpperStill.Core.Tests.Application.Import;

/// <summary>An old table becomes visits; what cannot be read is left out and named, never guessed.</summary>
public sealed class HistoricTableTests
{
    private static readonly DateOnly Today = new(2026, 8, 12);

    [Fact]
    public void Rows_of_one_day_are_one_visit_and_a_repeated_clarity_counts_once()
    {
        var read = Read(
            Profile,
            "North,1994-07-12,0,4.2,20.1,9.0",
            "North,1994-07-12,2,4.2,19.8,9.1",
            "North,1994-07-12,4,4.2,17.0,6.5",
            "North,1994-08-02,0,3.9,21.0,8.8"
        );
        Assert.Empty(read.Findings);
        Assert.Equal([new DateOnly(1994, 7, 12), new DateOnly(1994, 8, 2)], read.Visits.Select(v => v.Day));
        Assert.Equal((3, "4.2", 2), (read.Visits[0].Levels.Count, read.Visits[0].Clarity!.Depth.Written, read.Visits[0].Line));
        Assert.Equal((4, 4), (read.Rows, read.RowsUsed));
    }

    [Fact]
    public void Another_clarity_of_the_same_day_is_a_question_and_the_first_line_stands()
    {
        var read = Read(Profile, "North,1994-07-12,0,4.2,20.1,9.0", "North,1994-07-12,2,4.6,19.8,9.1");
        Assert.Equal(("day-twice", 3), (read.Findings.Single().Finding.Code, read.Findings.Single().Line));
        Assert.Equal("4.2", read.Visits.Single().Clarity!.Depth.Written);
    }

    [Fact]
    public void The_same_depth_twice_on_a_day_is_one_level()
    {
        var read = Read(Profile, "North,1994-07-12,2,4.2,20.1,9.0", "North,1994-07-12,2,4.2,19.8,9.1");
        Assert.Equal("day-twice", read.Findings.Single().Finding.Code);
        Assert.Equal("20.1", read.Visits.Single().Levels.Single().Temperature!.Written);
    }

    [Theory]
    [InlineData("Elsewhere,1994-07-12,0,4.2,20,9", "station-unknown")]
    [InlineData("Yonder,1994-07-12,0,4.2,20,9", "station-beyond")]
    [InlineData("North,12.13.1994,0,4.2,20,9", null)]
    [InlineData("North,6.7.1994,0,4.2,20,9", "date-two-ways")]
    [InlineData("North,summer,0,4.2,20,9", "date-unreadable")]
    [InlineData("North,1749-07-12,0,4.2,20,9", "date-unreadable")]
    [InlineData("North,1820-07-12,0,4.2,20,9", "date-out-of-time")]
    [InlineData("North,2026-08-13,0,4.2,20,9", "date-out-of-time")]
    [InlineData("North,2001-06-05,0,4.2,20,9", "visit-there")]
    public void A_row_without_a_place_or_a_day_is_left_out(string row, string? code)
    {
        var read = Read(Profile, row);
        Assert.Equal(code, read.Findings.SingleOrDefault()?.Finding.Code);
        Assert.Equal(code is null ? 1 : 0, read.Visits.Count);
    }

    [Theory]
    [InlineData("4,215", "number-comma")]
    [InlineData("clear", "number-unreadable")]
    [InlineData("-9.9", "number-negative")]
    public void A_cell_that_is_no_number_leaves_the_rest_of_its_row(string cell, string code)
    {
        var read = Read(Profile, $"North;1994-07-12;0;{cell};20.1;9.0");
        Assert.Equal((code, "Secchi (m)"), (read.Findings.Single().Finding.Code, read.Findings.Single().Head));
        Assert.Null(read.Visits.Single().Clarity);
        Assert.Single(read.Visits.Single().Levels);
    }

    [Fact]
    public void A_level_without_a_depth_is_named_and_the_clarity_of_its_row_stays()
    {
        var read = Read(Profile, "North,1994-07-12,,4.2,20.1,9.0", "North,1994-07-13,deep,4.4,18,9.0");
        Assert.Equal(
            [("depth-missing", 2), ("number-unreadable", 3), ("depth-missing", 3)],
            read.Findings.Select(f => (f.Finding.Code, f.Line!.Value))
        );
        Assert.Equal([(0, "4.2"), (0, "4.4")], read.Visits.Select(v => (v.Levels.Count, v.Clarity!.Depth.Written)));
    }

    [Fact]
    public void A_decimal_comma_is_read_and_a_date_by_its_order()
    {
        var mapping = Profile with { Dates = DateOrder.MonthFirst };
        var read = Read(mapping, "North;6/7/94;0;4,2;20,1;9,0");
        Assert.Empty(read.Findings);
        Assert.Equal(new DateOnly(1994, 6, 7), read.Visits.Single().Day);
        Assert.Equal(4.2m, read.Visits.Single().Clarity!.Depth.Read().Length!.Value.Metres);
    }

    [Theory]
    [InlineData("> 3.2", true)]
    [InlineData("3.2 bottom", true)]
    [InlineData("3.2B", true)]
    [InlineData("3.2", false)]
    public void The_disc_on_the_bottom_stays_a_limit(string cell, bool onBottom)
    {
        var clarity = Read(Profile, $"North;1994-07-12;0;{cell};20;9").Visits.Single().Clarity!;
        Assert.Equal((onBottom, "3.2"), (clarity.OnBottom, clarity.Depth.Written));
    }

    [Fact]
    public void A_value_below_a_limit_stays_below_it()
    {
        var value = Read(Phosphorus(), "North,1994-07-12,<2").Visits.Single().Values.Single();
        Assert.Equal((Core.Setup.Laboratories.Qualifier.Below, "2", "µg/L as P"), (value.Qualifier, value.Value, value.Unit));
    }

    [Fact]
    public void One_value_a_thousandfold_off_is_caught_and_left_out_until_somebody_says_that_it_is_right()
    {
        string[] rows = [.. Enumerable.Range(0, 8).Select(i => $"North,199{i}-07-12,{14 + i}"), "North,1998-07-12,0.015"];
        var read = Read(Phosphorus(), rows);
        var caught = Assert.Single(read.Findings);
        Assert.Equal(("value-thousandfold", 10, true), (caught.Finding.Code, caught.Line, caught.Answerable));
        Assert.Equal(8, read.Visits.Count);
        Assert.Equal((8, 1), (read.Columns.Single().Values, read.Columns.Single().LeftOut));
        Assert.Equal(9, Read(Phosphorus(), [new(10, 2)], rows).Visits.Count);
    }

    [Fact]
    public void What_is_said_of_one_field_says_nothing_of_another_in_its_line()
    {
        string[] rows = ["North,1994-07-12,0,4.2,68,90", "North,1994-07-13,0,4.2,18,9.0", "North,1994-07-14,0,4.2,19,9.0"];
        Assert.Equal([4, 5], Read(Profile, rows).Findings.Select(f => f.Column!.Value));
        var read = Read(Profile, [new(2, 4)], rows);
        Assert.Equal((2, "DO"), (read.Findings.Single().Line, read.Findings.Single().Head));
        Assert.Equal(
            ("68", (string?)null),
            (read.Visits[0].Levels.Single().Temperature!.Written, read.Visits[0].Levels.Single().Oxygen?.Written)
        );
    }

    [Fact]
    public void Two_columns_that_look_alike_are_counted_each_by_itself()
    {
        HistoricColumn phosphorus = new("TP", HistoricRole.Analyte, "µg/L as P", "total-phosphorus");
        var read = Read(
            new HistoricMapping([new("Site", HistoricRole.Station), new("Date", HistoricRole.Date), phosphorus, phosphorus]),
            "North,1994-07-12,14,",
            "North,1994-08-12,15,17"
        );
        Assert.Equal([2, 1], read.Columns.Select(c => c.Values));
    }

    [Fact]
    public void The_stations_that_a_table_names_are_known_before_it_is_read()
    {
        HistoricRow[] rows =
        [
            new(2, [" North ", "1994-07-12", "4"]),
            new(3, ["n1", "1994-07-13", "4"]),
            new(4, ["NORTH", "1994-07-14", "4"]),
        ];
        HistoricMapping mapping = new([
            new("Site", HistoricRole.Station),
            new("Date", HistoricRole.Date),
            new("Secchi", HistoricRole.Clarity, "m"),
        ]);
        Assert.Equal(["n1", "North"], HistoricTable.StationsNamed(mapping, rows).Order(StringComparer.OrdinalIgnoreCase));
        Assert.Equal(
            ["F1"],
            HistoricTable.StationsNamed(mapping with { Columns = [new("Site"), .. mapping.Columns.Skip(1)], Station = "F1" }, rows)
        );
    }

    [Fact]
    public void A_whole_column_in_another_unit_is_caught_and_the_likely_unit_named()
    {
        string[] rows = [.. Enumerable.Range(0, 8).Select(i => $"North,199{i}-07-12,0.0{14 + i}")];
        var read = Read(Phosphorus(), rows);
        Assert.Equal("column-unit", read.Findings.Single().Finding.Code);
        Assert.Contains("mg/L as P", read.Findings.Single().Finding.Why, StringComparison.Ordinal);
        Assert.Empty(read.Visits);
        Assert.Equal(8, Read(Phosphorus("mg/L as P"), rows).Visits.Count);
        Assert.Equal(8, Read(Phosphorus(sure: true), rows).Visits.Count);
    }

    [Fact]
    public void A_column_is_held_against_the_record_of_its_station()
    {
        // 3 µg/L is water that there is; at a station with 1 800 it is a slip.
        string[] rows = [.. Enumerable.Range(0, 8).Select(i => $"Foul,199{i}-07-12,3.{i}")];
        Assert.Contains("1800 µg/L", Read(Phosphorus(), rows).Findings.Single().Finding.Seen, StringComparison.Ordinal);
        Assert.Empty(Read(Phosphorus(), [.. rows.Select(r => r.Replace("Foul", "North", StringComparison.Ordinal))]).Findings);
    }

    [Fact]
    public void Clarity_in_centimetres_is_caught_in_a_column_of_metres()
    {
        string[] rows = [.. Enumerable.Range(0, 6).Select(i => $"North,199{i}-07-12,0,{400 + i},20,9")];
        Assert.Contains(
            "In cm it would be usual",
            Read(Profile, rows).Findings.Single(f => f.Head == "Secchi (m)").Finding.Why,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Water_is_neither_boiling_nor_solid()
    {
        var read = Read(Profile, "North,1994-07-12,0,4.2,68,9.0", "North,1994-07-13,0,4.2,18,9.0", "North,1994-07-14,0,4.2,19,9.0");
        Assert.Equal(("value-impossible", 2), (read.Findings.Single().Finding.Code, read.Findings.Single().Line));
        Assert.Equal(1, read.Columns.Single(c => c.Head == "T").LeftOut);
    }

    [Fact]
    public void Nothing_is_read_deeper_than_the_water()
    {
        var read = Read(Profile, "North,1994-07-12,0,42,20,9.0", "North,1994-07-13,40,4.2,18,9.0", "North,1994-07-14,14,4.2,19,9.0");
        Assert.Equal(
            [("deeper-than-water", 2, "Secchi (m)"), ("deeper-than-water", 3, "Depth (m)")],
            read.Findings.Select(f => (f.Finding.Code, f.Line!.Value, f.Head!))
        );
        Assert.Equal([(1, false), (0, true), (1, true)], read.Visits.Select(v => (v.Levels.Count, v.Clarity is not null)));
        Assert.Empty(Read(Profile, [new(2, 3), new(3, 2)], ["North,1994-07-12,0,42,20,9.0", "North,1994-07-13,40,4.2,18,9.0"]).Findings);
    }

    [Fact]
    public void Without_a_date_a_place_a_depth_or_a_unit_nothing_is_read_and_each_is_named()
    {
        var mapping = new HistoricMapping([
            new("When"),
            new("T", HistoricRole.Temperature),
            new("Also", HistoricRole.Clarity, "m"),
            new("Secchi", HistoricRole.Clarity, "m"),
        ]);
        var read = Read(mapping, "1994-07-12,20,4,4");
        Assert.Empty(read.Visits);
        Assert.Equal(
            ["column-twice", "date-missing", "depth-missing", "station-missing", "unit-missing"],
            read.Findings.Select(f => f.Finding.Code).Order()
        );
    }

    [Fact]
    public void The_order_of_the_rows_changes_nothing()
    {
        string[] rows =
        [
            .. Enumerable
                .Range(0, 30)
                .Select(i =>
                    $"{(i % 2 == 0 ? "North" : "Foul")},19{70 + (i % 7)}-0{1 + (i % 9)}-1{i % 10},{i % 4},{3 + (i % 3)},{10 + (i % 9)},{5 + (i % 4)}"
                ),
        ];
        var turned = Read(Profile, [.. rows.Reverse()]).Visits.Select(Said);
        Assert.Equal(Read(Profile, rows).Visits.Select(Said), turned);

        static string Said(HistoricVisit v) => $"{v.Station} {v.Day} {string.Join(' ', v.Levels.Select(l => l.Depth.Written))}";
    }

    private static readonly HistoricMapping Profile = new([
        new("Site", HistoricRole.Station),
        new("Date", HistoricRole.Date),
        new("Depth (m)", HistoricRole.Depth, "m"),
        new("Secchi (m)", HistoricRole.Clarity, "m"),
        new("T", HistoricRole.Temperature, "°C"),
        new("DO", HistoricRole.Oxygen, "mg/L"),
    ]);

    private static HistoricMapping Phosphorus(string unit = "µg/L as P", bool sure = false) =>
        new([
            new("Site", HistoricRole.Station),
            new("Date", HistoricRole.Date),
            new("TP", HistoricRole.Analyte, unit, "total-phosphorus", sure),
        ]);

    private static HistoricResult Read(HistoricMapping mapping, params string[] rows) => Read(mapping, [], rows);

    private static HistoricResult Read(HistoricMapping mapping, HistoricField[] stand, string[] rows) =>
        HistoricTable.Read(
            new HistoricRequest(
                mapping,
                [.. rows.Select((r, i) => new HistoricRow(i + 2, r.Split(r.Contains(';', StringComparison.Ordinal) ? ';' : ',')))],
                [
                    new HistoricStation(
                        "N1",
                        "North",
                        new HashSet<DateOnly> { new(2001, 6, 5) },
                        new Dictionary<Parameter, decimal> { [Parameter.Phosphorus] = 16, [Parameter.Clarity] = 4 },
                        14.5m
                    ),
                    new HistoricStation(
                        "F1",
                        "Foul",
                        new HashSet<DateOnly>(),
                        new Dictionary<Parameter, decimal> { [Parameter.Phosphorus] = 1800 }
                    ),
                    new HistoricStation("Y1", "Yonder", new HashSet<DateOnly>(), new Dictionary<Parameter, decimal>(), Mine: false),
                ],
                Today,
                stand.ToHashSet()
            )
        );
}
