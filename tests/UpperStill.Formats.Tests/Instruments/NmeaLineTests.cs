using CsCheck;
using UpperStill.Formats.Instruments;

namespace UpperStill.Formats.Tests.Instruments;

public class NmeaLineTests
{
    // The first two lines are the examples that stand in every introduction to the standard, checksums included.
    [Theory]
    [InlineData("$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47", 48.1173, 11.5166667, 3.6)]
    [InlineData("$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A", 48.1173, 11.5166667, null)]
    [InlineData("$GNGGA,091500.00,5155.4460,N,01126.2560,W,2,11,1.2,12.0,M,,M,,", 51.9241, -11.4376, 4.8)]
    public void A_position_is_read_in_decimal_degrees(string line, double latitude, double longitude, double? accuracy)
    {
        var reading = NmeaLine.Read(line.Contains('*', StringComparison.Ordinal) ? line : Checked(line[1..]));

        Assert.Null(reading.Refused);
        Assert.Equal(
            (latitude, longitude, (decimal?)accuracy),
            (reading.Fix!.LatitudeDeg, reading.Fix.LongitudeDeg, reading.Fix.AccuracyM)
        );
    }

    [Theory]
    [InlineData("SDDPT,11.60,0.3", 11.90)]
    [InlineData("SDDPT,11.60,-0.4", 11.60)]
    [InlineData("SDDPT,11.60", 11.60)]
    [InlineData("SDDBT,38.1,f,11.6,M,6.3,F", 11.6)]
    public void A_depth_is_of_the_water_and_not_of_the_keel(string body, double depth) =>
        Assert.Equal((decimal)depth, NmeaLine.Read(Checked(body)).DepthM);

    [Theory]
    [InlineData("$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*48", "checksum is wrong")]
    [InlineData("$GPGGA,123519,4817.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47", "checksum is wrong")]
    [InlineData("$GPGGA,123519,4807.0", "checksum is missing")]
    [InlineData("GPGGA,123519", "not a line")]
    public void A_garbled_line_is_left_out_and_says_why(string line, string why) => Refused(line, why);

    [Theory]
    [InlineData("GPGGA,1,4807.038,N,01131.000,E,0,00,,,M,,M,,", "no fix yet")]
    [InlineData("GPRMC,1,V,4807.038,N,01131.000,E,,,230394,,", "no fix yet")]
    [InlineData("GPGGA,1,4867.038,N,01131.000,E,1,08,0.9,,M,,M,,", "not a position")]
    [InlineData("GPGGA,1,9107.038,N,01131.000,E,1,08,0.9,,M,,M,,", "not a position")]
    [InlineData("GPGGA,1,4807.038,X,01131.000,E,1,08,0.9,,M,,M,,", "not a position")]
    [InlineData("GPGGA,1,4807.038,N", "half a position")]
    [InlineData("SDDPT,0.0,0.3", "finds no bottom")]
    [InlineData("SDDPT,,", "finds no bottom")]
    [InlineData("SDDBT,,f,,M,,F", "finds no bottom")]
    public void A_whole_line_without_a_number_to_use_says_why(string body, string why) => Refused(Checked(body), why);

    [Theory]
    [InlineData("GPGSV,3,1,11,03,03,111,00")]
    [InlineData("PXYZ,1,2")]
    [InlineData("X,1")]
    public void Other_sentences_are_passed_over(string body)
    {
        Assert.Equal(NmeaLine.Read(Checked("GPGSA,A")), NmeaLine.Read(Checked(body)));
        Assert.Null(NmeaLine.Read(Checked(body)).Refused);
    }

    [Fact]
    public void Any_text_at_all_gives_a_reading_or_a_reason() =>
        Gen.OneOf(
                Gen.String[Gen.Char["$!*,.GPRMCADBTSN0123456789-\r"], 0, 140],
                Gen.String[0, 140],
                Gen.String[Gen.Char["GPSDRMCADBTN,.0123456789-EW"], 0, 90].Select(Checked)
            )
            .Sample(text =>
            {
                var reading = NmeaLine.Read(text);
                Assert.False(reading.Refused is not null && (reading.Fix is not null || reading.DepthM is not null));
                Assert.True(reading.Fix is null || (Math.Abs(reading.Fix.LatitudeDeg) <= 90 && Math.Abs(reading.Fix.LongitudeDeg) <= 180));
            });

    [Fact]
    public void One_letter_changed_on_the_way_is_never_another_position() =>
        Gen.Select(Gen.Int[1, 63], Gen.Char['0', '9'])
            .Sample(
                (at, digit) =>
                {
                    const string line = "$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47";
                    var changed = line[..at] + digit + line[(at + 1)..];
                    Assert.True(changed == line || NmeaLine.Read(changed).Fix is null, changed);
                }
            );

    private static void Refused(string line, string why)
    {
        var reading = NmeaLine.Read(line);
        Assert.Null(reading.Fix);
        Assert.Null(reading.DepthM);
        Assert.Contains(why, reading.Refused, StringComparison.Ordinal);
    }

    private static string Checked(string body) => $"${body}*{body.Aggregate(0, (sum, letter) => sum ^ letter) & 0xFF:X2}";
}
