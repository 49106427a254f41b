using CsCheck;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Formats.Instruments;

namespace UpperStill.Formats.Tests.Instruments;

public class SondeTableTests
{
    [Fact]
    public void A_row_is_read_by_the_header_before_it_and_keeps_its_digits()
    {
        var table = new SondeTable();

        Assert.Equal(new SondeLine(), table.Read("time,depth m,temp C,DO mg/L,SpCond uS/cm,pH,salinity\r"));
        Assert.Equal(
            new SondeReading(
                new WrittenLength("3.02", LengthUnit.Metre),
                3.02m,
                new WrittenTemperature("21.40", TemperatureUnit.Celsius),
                new WrittenOxygen("8.60", OxygenUnit.MgPerL),
                "214",
                "8.30",
                "0.1",
                36063
            ),
            table.Read("10:01:03,3.02,21.40,8.60,214,8.30,0.1").Reading
        );
    }

    [Fact]
    public void A_header_without_the_unit_of_oxygen_leaves_it_open() =>
        Assert.Equal(new WrittenOxygen("98.4"), Reading("depth m,temp C,DO", "3.0,21.4,98.4")!.Oxygen);

    [Fact]
    public void Feet_are_turned_into_metres_beside_what_was_written() =>
        Assert.Equal(
            (new WrittenLength("10.0", LengthUnit.Foot), 3.048m),
            Reading("Depth (ft);Temperature (°F)", "10.0;70.2") is { } r ? (r.Depth, r.DepthM) : default
        );

    [Fact]
    public void A_sensor_that_drops_out_leaves_its_box_empty() =>
        Assert.Equal(
            (null, "21.4"),
            Reading("depth m,temp C,DO mg/L", "3.0,21.4,----") is { } r ? (r.Oxygen, r.Temperature!.Written) : default
        );

    [Fact]
    public void Another_header_half_way_is_followed()
    {
        var table = new SondeTable();
        table.Read("depth m,temp C");
        table.Read("temp C,depth m");

        Assert.Equal("3.0", table.Read("21.4,3.0").Reading!.Depth.Written);
    }

    [Theory]
    [InlineData("3.0,21", "not said yet")]
    [InlineData("depth m,temp C|3.0", "half a line")]
    [InlineData("depth m,temp C|3.0,21.4,8", "half a line")]
    [InlineData("depth m,temp C|x,21.4", "no depth")]
    public void A_line_that_says_nothing_certain_is_left_out(string lines, string why)
    {
        var table = new SondeTable();
        var last = lines.Split('|').Select(table.Read).ToList()[^1];

        Assert.Null(last.Reading);
        Assert.Contains(why, last.Refused, StringComparison.Ordinal);
    }

    [Fact]
    public void Any_lines_at_all_give_readings_or_reasons() =>
        Gen.OneOf(Gen.String[Gen.Char["depthmC ,;\t0123456789.-%O/"], 0, 60], Gen.String[0, 500])
            .Array[1, 8]
            .Sample(lines =>
            {
                var table = new SondeTable();
                foreach (var line in lines)
                {
                    var read = table.Read(line);
                    Assert.False(read.Reading is not null && read.Refused is not null);
                }
            });

    private static SondeReading? Reading(string header, string row)
    {
        var table = new SondeTable();
        table.Read(header);
        return table.Read(row).Reading;
    }
}
