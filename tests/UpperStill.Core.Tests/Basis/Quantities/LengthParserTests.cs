using CsCheck;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Tests.Basis.Quantities;

public class LengthParserTests
{
    [Theory]
    [InlineData("12 9", LengthUnit.FootInch, "3.8862", "12 ft 9 in")]
    [InlineData("12'9\"", LengthUnit.FootInch, "3.8862", "12 ft 9 in")]
    [InlineData("12 ft 9 in", LengthUnit.FootInch, "3.8862", "12 ft 9 in")]
    [InlineData("12ft9in", LengthUnit.FootInch, "3.8862", "12 ft 9 in")]
    [InlineData("12’ 9”", LengthUnit.FootInch, "3.8862", "12 ft 9 in")]
    [InlineData("17-6", LengthUnit.FootInch, "5.334", "17 ft 6 in")]
    [InlineData("17'-6\"", LengthUnit.FootInch, "5.334", "17 ft 6 in")]
    [InlineData("17 ft. 6 in.", LengthUnit.FootInch, "5.334", "17 ft 6 in")]
    [InlineData("17′ 6″", LengthUnit.FootInch, "5.334", "17 ft 6 in")]
    [InlineData("17‘6“", LengthUnit.FootInch, "5.334", "17 ft 6 in")]
    [InlineData("17'6''", LengthUnit.FootInch, "5.334", "17 ft 6 in")]
    [InlineData("17–6", LengthUnit.Foot, "5.334", "17 ft 6 in")]
    [InlineData("17½", LengthUnit.FootInch, "5.334", "17 ft 6 in")]
    [InlineData("17 1/2 ft", LengthUnit.FootInch, "5.334", "17 ft 6 in")]
    [InlineData("3½ m", LengthUnit.Metre, "3.5", "3.5 m")]
    [InlineData("12'9⅜\"", LengthUnit.FootInch, "3.895725", "12 ft 9.375 in")]
    [InlineData("12 9.5", LengthUnit.FootInch, "3.8989", "12 ft 9.5 in")]
    [InlineData("12 9½", LengthUnit.FootInch, "3.8989", "12 ft 9.5 in")]
    [InlineData("12 9 ½", LengthUnit.FootInch, "3.8989", "12 ft 9.5 in")]
    [InlineData("12 9 3/8", LengthUnit.FootInch, "3.895725", "12 ft 9.375 in")]
    [InlineData("12", LengthUnit.FootInch, "3.6576", "12 ft")]
    [InlineData("0 6", LengthUnit.FootInch, "0.1524", "0 ft 6 in")]
    [InlineData("3.85", LengthUnit.Metre, "3.85", "3.85 m")]
    [InlineData(" 3.850 ", LengthUnit.Metre, "3.85", "3.850 m")]
    [InlineData("3,85", LengthUnit.Metre, "3.85", "3.85 m")]
    [InlineData("3,8", LengthUnit.Metre, "3.8", "3.8 m")]
    [InlineData(".5", LengthUnit.Metre, "0.5", "0.5 m")]
    [InlineData("385", LengthUnit.Centimetre, "3.85", "385 cm")]
    [InlineData("12.75", LengthUnit.Foot, "3.8862", "12.75 ft")]
    [InlineData("153", LengthUnit.Inch, "3.8862", "153 in")]
    [InlineData("0", LengthUnit.Metre, "0", "0 m")]
    public void Reads_what_people_type(string written, LengthUnit unit, string metres, string shown)
    {
        var (length, finding) = LengthParser.Parse(written, unit);

        Assert.Null(finding);
        Assert.Equal(decimal.Parse(metres, System.Globalization.CultureInfo.InvariantCulture), length!.Value.Metres);
        Assert.Equal(shown, LengthText.Write(length.Value));
    }

    [Theory]
    [InlineData("3.85 m", LengthUnit.FootInch, LengthUnit.Metre)]
    [InlineData("12 ft 9 in", LengthUnit.Metre, LengthUnit.FootInch)]
    [InlineData("151 in", LengthUnit.Metre, LengthUnit.Inch)]
    [InlineData("385 cm", null, LengthUnit.Centimetre)]
    [InlineData("12 9", null, LengthUnit.FootInch)]
    public void A_unit_typed_with_the_number_wins_over_the_box(string written, LengthUnit? box, LengthUnit read) =>
        Assert.Equal(read, LengthParser.Parse(written, box).Length!.Value.Unit);

    [Theory]
    [InlineData("", LengthUnit.Metre, "number-missing")]
    [InlineData("   ", LengthUnit.Metre, "number-missing")]
    [InlineData(null, LengthUnit.Metre, "number-missing")]
    [InlineData("-3", LengthUnit.Metre, "number-negative")]
    [InlineData("−3", LengthUnit.Metre, "number-negative")]
    [InlineData("about 4", LengthUnit.Metre, "number-unreadable")]
    [InlineData("3.8.5", LengthUnit.Metre, "number-unreadable")]
    [InlineData("3 85", LengthUnit.Metre, "number-unreadable")]
    [InlineData("3-85", LengthUnit.Metre, "number-unreadable")]
    [InlineData("17--6", LengthUnit.FootInch, "number-unreadable")]
    [InlineData("17.5 1/2", LengthUnit.FootInch, "number-unreadable")]
    [InlineData("1e3", LengthUnit.Metre, "number-unreadable")]
    [InlineData("NaN", LengthUnit.Metre, "number-unreadable")]
    [InlineData("12 9 1/7", LengthUnit.FootInch, "number-unreadable")]
    [InlineData("12 14", LengthUnit.FootInch, "inches-too-many")]
    [InlineData("12 ft 14 in", LengthUnit.Metre, "inches-too-many")]
    [InlineData("12.5 6", LengthUnit.FootInch, "inches-too-many")]
    [InlineData("3,850", LengthUnit.Metre, "number-comma")]
    [InlineData("10,850", LengthUnit.Metre, "number-comma")]
    [InlineData("3.85", null, "unit-missing")]
    [InlineData("12000", LengthUnit.Metre, "number-too-large")]
    [InlineData("99999999999999999999999999999999", LengthUnit.Metre, "number-unreadable")]
    public void Refuses_what_cannot_be_read_one_way_only(string? written, LengthUnit? unit, string code)
    {
        var (length, finding) = LengthParser.Parse(written, unit);

        Assert.Null(length);
        Assert.Equal(code, finding!.Code);
        Assert.All(new[] { finding.Seen, finding.Why, finding.Act }, words => Assert.False(string.IsNullOrWhiteSpace(words)));
    }

    [Fact]
    public void No_thousand_begins_with_nothing() =>
        Assert.Equal(0.85m, LengthParser.Parse("0,850", LengthUnit.Metre).Length!.Value.Metres);

    [Fact]
    public void A_number_without_a_unit_has_no_way_round() => Assert.True(LengthParser.Parse("3.85", null).Finding!.NoWayRound);

    [Fact]
    public void Decimal_feet_on_a_line_in_inches_are_kept_and_questioned()
    {
        var (length, finding) = LengthParser.Parse("12.9", LengthUnit.FootInch);

        Assert.Equal(3.93192m, length!.Value.Metres);
        Assert.Equal("feet-decimal-as-inches", finding!.Code);
        Assert.Equal("12.9 ft means 12 ft 10.8 in.", finding.Seen);
        Assert.Contains("12 ft 9 in", finding.Act, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("3.8", LengthUnit.Metre, "0.1")]
    [InlineData("3.85", LengthUnit.Metre, "0.01")]
    [InlineData("12 9", LengthUnit.FootInch, "0.0254")]
    [InlineData("12", LengthUnit.FootInch, "0.3048")]
    [InlineData("12 9 1/4", LengthUnit.FootInch, "0.00635")]
    public void Keeps_the_step_that_the_writing_shows(string written, LengthUnit unit, string metres) =>
        Assert.Equal(
            decimal.Parse(metres, System.Globalization.CultureInfo.InvariantCulture),
            LengthParser.Parse(written, unit).Length!.Value.ResolutionMetres
        );

    [Fact]
    public void What_is_written_out_reads_back_the_same() =>
        Gen.Select(Gen.Int[0, 4_000_000], Gen.Int[0, 3], Gen.Enum<LengthUnit>())
            .Sample(
                (digits, decimals, unit) =>
                {
                    var step = decimals switch
                    {
                        0 => 1m,
                        1 => 0.1m,
                        2 => 0.01m,
                        _ => 0.001m,
                    };
                    var length = new Length(digits * step, unit, step);
                    if (length.Metres > LengthParser.GreatestMetres)
                    {
                        return;
                    }

                    var (read, finding) = LengthParser.Parse(LengthText.Write(length), unit);

                    Assert.True(finding is null or { Code: "feet-decimal-as-inches" }, finding?.Seen);
                    Assert.Equal(length.Metres, read!.Value.Metres);
                }
            );

    [Fact]
    public void Any_text_at_all_gives_a_length_or_a_finding() =>
        Gen.Select(Gen.String[Gen.Char["0123456789 .,'\"-ftincm½/"], 0, 60], Gen.Enum<LengthUnit>())
            .Sample(
                (text, unit) =>
                {
                    var (length, finding) = LengthParser.Parse(text, unit);
                    Assert.True(length is not null || finding is not null);
                    Assert.True(length is null || length.Value.Metres is >= 0 and <= LengthParser.GreatestMetres);
                }
            );
}
