using System.Globalization;
using System.Text;
using CsCheck;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Formats.Casts;

namespace UpperStill.Formats.Tests.Casts;

public class CastReaderTests
{
    [Fact]
    public void The_way_down_is_binned_by_median_and_the_soak_and_the_way_up_are_left_out()
    {
        // A soak at 1 m with odd numbers, up to the surface, down, and up again through warmed water.
        var result = Read(
            """
            Depth m,Temp C,DO mg/L
            1.0,25.0,1.0
            1.0,25.0,1.0
            0.1,21.0,8.6
            0.3,21.0,8.6
            0.8,20.8,8.5
            1.0,20.6,8.4
            1.2,99.0,8.3
            2.0,19.0,8.0
            1.0,30.0,2.0
            0.1,30.0,2.0
            """,
            "0.3",
            "1",
            "2"
        );

        Assert.Equal((10, 6, false, 2.0m), (result.Rows, result.Used, result.WayUp, result.DeepestM));
        Assert.Equal(["21.0", "20.8", "19.0"], result.Levels.Select(l => l.Body.Temperature!.Written));
        Assert.Equal(["8.6", "8.4", "8.0"], result.Levels.Select(l => l.Body.Oxygen!.Written));
        Assert.Equal([2, 3, 1], result.Levels.Select(l => l.Rows));
        Assert.Empty(result.Findings);
    }

    [Fact]
    public void Units_of_the_file_go_with_the_numbers()
    {
        var level = Read("Depth ft;Temp F;DO %;Cond mS/cm\n0,0;70,5;98,2;0,214\n3,3;70,1;97,0;0,215\n", "1").Levels.Single();

        Assert.Equal(
            (new WrittenTemperature("70.1", TemperatureUnit.Fahrenheit), OxygenUnit.Percent, "215.0"),
            (level.Body.Temperature!, level.Body.Oxygen!.Unit!.Value, level.Body.Conductivity!)
        );
        Assert.Equal(new WrittenLength("1", LengthUnit.Metre), level.Body.Depth);
    }

    [Theory]
    [InlineData("Depth m,Temp C\n3,10\n2,12\n1,14\n0,16\n", "cast-up-only")]
    [InlineData("Depth m,Temp C\n0,16\nx,15\n1,14\n2,12\n", "cast-rows-unread")]
    [InlineData("Depth m,Temp C\n0,16\n-1,14\n-2,12\n", "cast-depth-negative")]
    [InlineData("Depth m,Temp C\n-0.3,18\n0,16\n1,14\n2,12\n", "cast-above-surface")]
    [InlineData("Depth m,Temp C,DO\n0,16,9\n1,14,8\n", "unit-missing")]
    [InlineData("Temp C,DO mg/L\n16,9\n14,8\n", "cast-no-depth")]
    [InlineData("Depth m,Remark\n0,0\n1,0\n", "cast-no-levels")]
    public void What_is_odd_about_a_file_is_said(string text, string code) =>
        Assert.Contains(Read(text).Findings, f => f.Finding.Code == code);

    [Fact]
    public void A_file_that_begins_with_its_mark_and_no_header_loses_no_row()
    {
        var bytes = Encoding.UTF8.GetBytes("\uFEFF0.0,16\n1.0,14\n2.0,12\n");
        var reader = new CastReader(
            new CastRequest(
                ",",
                false,
                0,
                [new CastColumn("column 1", CastQuantity.Depth, "m"), new CastColumn("column 2", CastQuantity.Temperature, "°C")],
                []
            )
        );
        reader.Push(bytes);

        var result = reader.Finish();

        Assert.Empty(result.Findings);
        Assert.Equal(["16", "14", "12"], result.Levels.Select(l => l.Body.Temperature!.Written));
    }

    [Fact]
    public void Depths_below_zero_and_a_way_up_give_the_same_levels_as_the_plain_file()
    {
        var plain = Read("Depth m,Temp C\n0,16\n1,14\n2,12\n");

        Assert.Equal(plain.Levels, Read("Depth m,Temp C\n0,16\n-1,14\n-2,12\n").Levels);
        Assert.Equal(plain.Levels, Read("Depth m,Temp C\n2,12\n1,14\n0,16\n").Levels);
    }

    [Fact]
    public void However_the_file_is_cut_into_chunks_it_reads_the_same()
    {
        var text = Encoding.UTF8.GetBytes(
            "Depth m,Temp C\r\n"
                + string.Concat(
                    Enumerable.Range(0, 60).Select(i => $"{(i / 10.0).ToString(CultureInfo.InvariantCulture)},{20 - (i / 8)}\r\n")
                )
        );
        var whole = Read(text, [text.Length]);

        Gen.Int[1, 90]
            .Array[1, 40]
            .Sample(cuts =>
            {
                var read = Read(text, cuts);
                Assert.Equal(whole.Levels, read.Levels);
                Assert.Equal((whole.Rows, whole.Used), (read.Rows, read.Used));
            });
    }

    [Theory]
    [InlineData(1_000_000, false)]
    [InlineData(CastReader.MostRows + 5, true)]
    public void A_log_of_a_million_rows_is_read_and_a_longer_one_says_where_it_stopped(int rows, bool cut)
    {
        var layout = CastLook.At("Depth m,Temp C\n0.0,21.0\n0.1,21.0\n"u8);
        var reader = new CastReader(
            new CastRequest(layout.Separator, false, 1, layout.Columns, [new CastTarget(new WrittenLength("5", LengthUnit.Metre), 5)])
        );
        reader.Push("Depth m,Temp C\n"u8);
        var chunk = new StringBuilder();
        for (var i = 0; i < rows; i++)
        {
            chunk.Append(CultureInfo.InvariantCulture, $"{i * 10.0 / rows:F4},{21 - (i * 10.0 / rows):F2}\n");
            if (i % 10_000 == 9_999 || i == rows - 1)
            {
                reader.Push(Encoding.ASCII.GetBytes(chunk.ToString()));
                chunk.Clear();
            }
        }

        var result = reader.Finish();

        Assert.Equal(Math.Min(rows, CastReader.MostRows), result.Rows);
        Assert.Equal("16.00", Assert.Single(result.Levels).Body.Temperature!.Written);
        Assert.Equal(cut, result.Findings.Any(f => f.Finding.Code == "cast-too-long"));
    }

    [Theory]
    [InlineData("1e30")]
    [InlineData("45000")]
    [InlineData("1e300")]
    public void A_depth_below_the_deepest_water_is_left_out_and_said(string garbled)
    {
        var bytes = Encoding.UTF8.GetBytes($"Depth (m),Temp (C)\n1.0,16.0\n1.1,16.0\n{garbled},15.0\n2.0,14.0\n2.1,14.0\n");
        var layout = CastLook.At(bytes);
        var reader = new CastReader(new CastRequest(layout.Separator, layout.DecimalComma, layout.FirstRow, layout.Columns, []));
        reader.Push(bytes);

        var result = reader.Finish();

        Assert.Equal(2.1m, result.DeepestM);
        Assert.Equal(
            "1 row is deeper than any water on Earth.",
            Assert.Single(result.Findings, f => f.Finding.Code == "cast-too-deep").Finding.Seen
        );
    }

    [Fact]
    public void Any_bytes_at_all_are_looked_at_and_read_without_failing() =>
        Gen.OneOf(Gen.Byte.Array[0, 300], Gen.String[Gen.Char["Depth,TemC;\t0123456789.-e\n\r\""], 0, 300].Select(Encoding.UTF8.GetBytes))
            .Sample(bytes =>
            {
                var layout = CastLook.At(bytes);
                if (layout.Fault is null)
                {
                    var columns = layout
                        .Columns.Select(
                            (c, i) =>
                                i == 0 ? c with { Quantity = CastQuantity.Depth }
                                : i == 1 ? c with { Quantity = CastQuantity.Temperature }
                                : c
                        )
                        .ToList();
                    var reader = new CastReader(new CastRequest(layout.Separator, layout.DecimalComma, layout.FirstRow, columns, []));
                    reader.Push(bytes);
                    Assert.True(reader.Finish().Rows > 0);
                }
            });

    [Theory]
    [InlineData("1.50", 1.5, 2)]
    [InlineData(" -0.25 ", -0.25, 2)]
    [InlineData("+7", 7, 0)]
    [InlineData("\"3.1\"", 3.1, 1)]
    [InlineData("1.5e2", 150, 0)]
    [InlineData("0.123456789012345678901", 0.12345678901234568, 0)]
    public void A_number_is_read_from_its_bytes(string text, double value, int decimals)
    {
        Assert.True(CastNumber.TryRead(Encoding.ASCII.GetBytes(text), (byte)'.', out var read, out var after));
        Assert.Equal((value, decimals), (read, after));
    }

    [Theory]
    [InlineData("")]
    [InlineData("-")]
    [InlineData("1.2.3")]
    [InlineData("1,2")]
    [InlineData("e5")]
    [InlineData("NaN")]
    [InlineData("12:30")]
    [InlineData("1e999")]
    public void What_is_no_number_is_none(string text) =>
        Assert.False(CastNumber.TryRead(Encoding.ASCII.GetBytes(text), (byte)'.', out _, out _));

    private static CastResult Read(string text, params string[] levels)
    {
        var bytes = Encoding.UTF8.GetBytes(text);
        return Read(
            bytes,
            [bytes.Length],
            [.. levels.Select(l => new CastTarget(new WrittenLength(l, LengthUnit.Metre), decimal.Parse(l, CultureInfo.InvariantCulture)))]
        );
    }

    private static CastResult Read(byte[] bytes, int[] cuts, IReadOnlyList<CastTarget>? levels = null)
    {
        var layout = CastLook.At(bytes);
        Assert.Null(layout.Fault);
        var reader = new CastReader(new CastRequest(layout.Separator, layout.DecimalComma, layout.FirstRow, layout.Columns, levels ?? []));
        var from = 0;
        for (var i = 0; from < bytes.Length; i++)
        {
            var until = Math.Min(bytes.Length, from + cuts[i % cuts.Length]);
            reader.Push(bytes.AsSpan(from, until - from));
            from = until;
        }

        return reader.Finish();
    }
}
