using System.Text;
using CsCheck;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Formats.Results;

namespace UpperStill.Formats.Tests.Results;

public class ResultFileTests
{
    private const string Lab =
        "Lab no;Sample ID;Parameter;Result;Units;MDL;Method;Analysed\r\n1;HAR-1-260701-F1-X;CHL a;<0,5;ug/L;0,5;acetone, "
        + "acidified;31.07.2026\r\n2;HAR-1-260701-F1R-C;CHL a;3,42;ug/L;0,5;acetone, acidified;31.07.2026\r\n";

    [Fact]
    public void The_columns_are_known_by_their_heads_and_the_order_of_dates_by_a_day_past_the_twelfth()
    {
        var look = ResultFile.Look(new StringReader(Lab));

        Assert.Equal(
            ("Sample ID", "Result", "Parameter", "Units", "MDL", "Method", "Analysed", DateOrder.DayFirst),
            (
                look.Mapping.Number,
                look.Mapping.Value,
                look.Mapping.Analyte,
                look.Mapping.Unit,
                look.Mapping.DetectionLimit,
                look.Mapping.Method,
                look.Mapping.Date,
                look.Mapping.Dates
            )
        );
        Assert.Equal(["1", "HAR-1-260701-F1-X", "CHL a", "<0,5", "ug/L", "0,5", "acetone, acidified", "31.07.2026"], look.First[0]);
    }

    [Fact]
    public void A_row_becomes_what_it_says_limits_and_commas_too()
    {
        var rows = Rows(Lab);

        Assert.Equal(
            new ResultBody(
                "HAR-1-260701-F1-X",
                "chlorophyll-a",
                "0,5",
                "ug/L",
                Qualifier.Below,
                "0,5",
                "acetone, acidified",
                new DateOnly(2026, 7, 31),
                "f.csv"
            ),
            rows[0].Result
        );
        Assert.Equal(("3,42", null), (rows[1].Result!.Value, rows[1].Result!.Qualifier));
        Assert.Equal(2, rows[0].Line);
    }

    [Theory]
    [InlineData("x,chl a,3.4,ug/L", null)]
    [InlineData(",chl a,3.4,ug/L", "sample-number-missing")]
    [InlineData("x,,3.4,ug/L", "analyte-unknown")]
    [InlineData("x,zeta,3.4,ug/L", "analyte-unknown")]
    [InlineData("x,chl a,,ug/L", "value-unreadable")]
    [InlineData("x,chl a,see note,ug/L", "value-unreadable")]
    [InlineData("x,chl a,\"1,234\",ug/L", "number-comma")]
    [InlineData("x,chl a,3.4,", "unit-missing")]
    [InlineData("x,nitrate,3.4,mg/L", "unit-missing")]
    [InlineData("x,chl a,-3,ug/L", "result-negative")]
    public void What_cannot_be_used_says_why(string row, string? code)
    {
        var read = Assert.Single(Rows("sample,analyte,value,unit\n" + row));

        Assert.Equal(code, read.Code);
        Assert.Equal(row, read.Raw);
    }

    [Theory]
    [InlineData("ND", "", "0.5", Qualifier.Below, "0.5")]
    [InlineData("", "<", "0.5", Qualifier.Below, "0.5")]
    [InlineData("3.4", "J", "0.5", Qualifier.Estimated, "3.4")]
    [InlineData(">200", "", "", Qualifier.Above, "200")]
    [InlineData("3.4", "R", "", Qualifier.Rejected, "3.4")]
    public void Qualifiers_are_read_however_they_are_written(string value, string flag, string limit, Qualifier qualifier, string kept)
    {
        var result = Assert.Single(Rows($"sample,analyte,value,unit,flag,mdl\nx,chl a,{value},ug/L,{flag},{limit}")).Result!;

        Assert.Equal((qualifier, kept), (result.Qualifier, result.Value));
    }

    [Theory]
    [InlineData("2026-07-05", null, "2026-07-05")]
    [InlineData("05/07/2026", null, null)] // two days: left open
    [InlineData("05/07/2026", DateOrder.DayFirst, "2026-07-05")]
    [InlineData("05/07/2026", DateOrder.MonthFirst, "2026-05-07")]
    [InlineData("31/07/26", null, "2026-07-31")]
    [InlineData("30.02.2026", DateOrder.DayFirst, null)]
    [InlineData("soon", null, null)]
    public void A_date_is_never_guessed(string written, DateOrder? order, string? day)
    {
        var rows = ResultFile.Read(
            new StringReader($"sample,analyte,value,unit,date\nx,chl a,3.4,ug/L,{written}"),
            new ResultMapping("sample", "value", "analyte", "unit", Date: "date") { Dates = order }
        );

        Assert.Equal(
            day is null ? null : DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture),
            Assert.Single(rows).Result!.On
        );
    }

    [Fact]
    public void What_is_the_same_throughout_needs_no_column()
    {
        var row = Assert.Single(
            ResultFile.Read(
                new StringReader("sample\tvalue\nx\t12\n"),
                new ResultMapping("sample", "value", WholeAnalyte: "total phosphorus", WholeUnit: "ug/L")
            )
        );

        Assert.Equal(("total-phosphorus", "ug/L"), (row.Result!.Analyte, row.Result.Unit));
    }

    [Fact]
    public void A_laboratorys_own_name_can_be_told() =>
        Assert.Equal(
            "chlorophyll-a",
            Assert
                .Single(
                    ResultFile.Read(
                        new StringReader("sample,analyte,value,unit\nx,Pigm. 1,3,ug/L"),
                        new ResultMapping("sample", "value", "analyte", "unit")
                        {
                            Names = new Dictionary<string, string> { ["Pigm. 1"] = "chlorophyll-a" },
                        }
                    )
                )
                .Result!.Analyte
        );

    [Theory]
    [InlineData("")]
    [InlineData("one column\n1\n")]
    [InlineData("%PDF-1.7 binary\n")]
    public void A_file_without_a_table_says_so(string file) => Assert.NotNull(ResultFile.Look(new StringReader(file)).Problem);

    [Fact]
    public void Empty_rows_are_no_rows_and_short_rows_are_read_as_far_as_they_go()
    {
        var rows = Rows("sample,analyte,value,unit\n\n,,,\nx,chl a\n");

        Assert.Equal("value-unreadable", Assert.Single(rows).Code);
    }

    [Fact]
    public void Old_spreadsheets_umlauts_and_a_mark_of_byte_order_are_read()
    {
        using var latin = new MemoryStream(Encoding.Latin1.GetBytes("sample,analyte,value,unit\nx,chl a,3,µg/L\n"));
        using var marked = new MemoryStream([
            .. Encoding.UTF8.GetPreamble(),
            .. Encoding.UTF8.GetBytes("sample,analyte,value,unit\nx,chl a,3,µg/L\n"),
        ]);

        Assert.All(new[] { latin, marked }, file =>
            Assert.Equal(
                "µg/L",
                Assert.Single(ResultFile.Read(ResultFile.Text(file), new ResultMapping("sample", "value", "analyte", "unit"))).Result!.Unit
            )
        );
    }

    [Fact]
    public void Whatever_a_file_holds_each_of_its_rows_is_a_result_or_a_reason()
    {
        var field = Gen.OneOf(
            Gen.String[Gen.Char["ab019.,;<>\"' \t-µ="], 0, 9],
            Gen.Const("HAR-1-260701-F1-X"),
            Gen.Const("chl a"),
            Gen.Const("ug/L"),
            Gen.Const("3,4"),
            Gen.Const("\"open")
        );
        field
            .List[0, 9]
            .List[0, 12]
            .Sample(
                lines =>
                {
                    var file = "Sample ID,Parameter,Result,Units,Analysed\n" + string.Join('\n', lines.Select(l => string.Join(',', l)));
                    Assert.Null(ResultFile.Look(new StringReader(file)).Problem);
                    foreach (var row in ResultFile.Read(new StringReader(file), ResultFile.Look(new StringReader(file)).Mapping))
                    {
                        Assert.True(row.Result is not null || (row.Code is not null && row.Why is not null));
                        Assert.True(row.Line > 1);
                    }
                },
                iter: 2000
            );
    }

    [Fact]
    public void Bytes_of_no_alphabet_do_no_harm() =>
        Gen
            .Byte.Array[0, 400]
            .Sample(
                bytes =>
                {
                    using var file = new MemoryStream(bytes);
                    var look = ResultFile.Look(ResultFile.Text(file));
                    file.Position = 0;
                    Assert.All(ResultFile.Read(ResultFile.Text(file), look.Mapping), r => Assert.NotNull(r.Raw));
                },
                iter: 500
            );

    private static List<ResultRow> Rows(string file) =>
        [.. ResultFile.Read(new StringReader(file), ResultFile.Look(new StringReader(file)).Mapping, "f.csv")];
}
