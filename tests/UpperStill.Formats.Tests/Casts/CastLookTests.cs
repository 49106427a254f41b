using System.Text;
using UpperStill.Formats.Casts;

namespace UpperStill.Formats.Tests.Casts;

public class CastLookTests
{
    [Theory]
    [InlineData("Depth (m),Temp (°C),DO (mg/L)\n0.3,21.4,8.6\n1.0,21.3,8.5", ",", false, 1)]
    [InlineData("Depth (m);Temp (°C);DO (mg/L)\n0,3;21,4;8,6\n1,0;21,3;8,5", ";", true, 1)]
    [InlineData("Depth m\tTemp C\tDO mg/L\r\n0.3\t21.4\t8.6\r\n1.0\t21.3\t8.5\r\n", "\t", false, 1)]
    [InlineData("Logger 12\nSite, North Arm\n\nDepth,Temp,ODO\nm,°C,mg/L\n0.3,21.4,8.6\n1.0,21.3,8.5", ",", false, 5)]
    [InlineData("\uFEFF\"Depth (m)\",\"Temp (°C)\",\"DO (mg/L)\"\n\"0.3\",\"21.4\",\"8.6\"\n\"1.0\",\"21.3\",\"8.5\"", ",", false, 1)]
    public void Separator_decimal_sign_header_and_units_are_found(string text, string separator, bool comma, int first)
    {
        var layout = CastLook.At(Encoding.UTF8.GetBytes(text));

        Assert.Null(layout.Fault);
        Assert.Equal((separator, comma, first), (layout.Separator, layout.DecimalComma, layout.FirstRow));
        Assert.Equal(
            [(CastQuantity.Depth, "m"), (CastQuantity.Temperature, "°C"), (CastQuantity.Oxygen, "mg/L")],
            layout.Columns.Select(c => (c.Quantity, c.Unit!))
        );
        Assert.Equal(["0.3", "21.4", "8.6"], layout.Sample[0].Select(f => f.Replace(',', '.')));
    }

    [Fact]
    public void Latin_letters_of_old_loggers_are_read() =>
        Assert.Equal("°C", CastLook.At(Encoding.Latin1.GetBytes("Depth m,Temp °C\n1,21.4\n2,21.3")).Columns[1].Unit);

    [Theory]
    [InlineData(
        "Date,Time,Depth m,Air temp C,Temp C,ODO % sat,ODO mg/L,Cond uS/cm,SpCond uS/cm,pH,pH mV,Battery V",
        "depth 2 m|temperature 4 °C|oxygen 6 mg/L|conductivity 8 µS/cm|ph 9 "
    )]
    [InlineData("depth_ft,temperature_f,do_pct", "depth 0 ft|temperature 1 °F|oxygen 2 %")]
    [InlineData(
        "Depth [m],T [°C],Salinity [PSU],Conductivity [mS/cm],Dissolved Oxygen",
        "depth 0 m|temperature 1 °C|oxygen 4 |conductivity 3 mS/cm|salinity 2 "
    )]
    [InlineData("a,b,c", "")]
    public void Columns_are_guessed_one_for_each_quantity(string header, string expected)
    {
        var rows = string.Join(',', Enumerable.Repeat("1.5", header.Split(',').Length));
        var columns = CastLook.At(Encoding.UTF8.GetBytes($"{header}\n{rows}\n{rows}")).Columns;

        var found = Enum.GetValues<CastQuantity>()
            .Where(q => q != CastQuantity.None)
            .Select(q => (q, columns.ToList().FindIndex(c => c.Quantity == q)))
            .Where(f => f.Item2 >= 0)
            .Select(f => $"{f.q.ToString().ToLowerInvariant()} {f.Item2} {columns[f.Item2].Unit}");
        Assert.Equal(expected, string.Join('|', found));
    }

    [Theory]
    [InlineData("")]
    [InlineData("\n\n\n")]
    [InlineData("A letter to the coordinator, with a comma\nand nothing else")]
    [InlineData("{\"depth\": [1, 2, 3]}")]
    public void A_file_without_rows_of_numbers_is_refused(string text) =>
        Assert.Equal("cast-no-rows", CastLook.At(Encoding.UTF8.GetBytes(text)).Fault!.Finding.Code);
}
