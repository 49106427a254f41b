using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Tests.Basis.Quantities;

public sealed class NumberTextTests
{
    [Theory]
    [InlineData("8.6", 8.6)]
    [InlineData("8,6", 8.6)]
    [InlineData(" −0.4 ", -0.4)]
    [InlineData("0,015", 0.015)]
    [InlineData("-0,250", -0.25)]
    [InlineData("1234", 1234)]
    [InlineData("1,2345", 1.2345)]
    public void A_number_is_read_as_people_and_meters_write_it(string written, double value) =>
        Assert.Equal(((decimal)value, null), NumberText.Read(written));

    [Theory]
    [InlineData("1,234", "number-comma")]
    [InlineData("10,015", "number-comma")]
    [InlineData("", "number-missing")]
    [InlineData(null, "number-missing")]
    [InlineData("1e3", "number-unreadable")]
    [InlineData("12 9", "number-unreadable")]
    [InlineData("1.2.3", "number-unreadable")]
    [InlineData("123456789012345678901", "number-unreadable")]
    public void What_could_be_two_numbers_or_none_is_not_guessed(string? written, string code)
    {
        var (value, finding) = NumberText.Read(written);
        Assert.Null(value);
        Assert.Equal((code, true), (finding!.Code, finding.NoWayRound));
    }
}
