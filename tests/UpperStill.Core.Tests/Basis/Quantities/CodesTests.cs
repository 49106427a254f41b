using CsCheck;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Tests.Basis.Quantities;

public class CodesTests
{
    [Theory]
    [InlineData("Pell Tarn", "pell-tarn")]
    [InlineData("  St. Anne's  Pond ", "st-anne-s-pond")]
    [InlineData("Långsjön", "lngsjn")]
    [InlineData("湖", "")]
    public void A_name_gives_a_code(string name, string code) => Assert.Equal(code, Codes.From(name));

    [Fact]
    public void Whatever_the_name_the_code_is_one_or_nothing() =>
        Gen.String.Sample(name => Assert.True(Codes.From(name) is "" || Codes.IsCode(Codes.From(name)), Codes.From(name)));

    [Theory]
    [InlineData("Harrowmere", "HAR-3")]
    [InlineData("Harrow Tarn", "HAR-3")]
    [InlineData("Pell Tarn", "PEL-1")]
    [InlineData("湖", "ST-1")]
    public void A_new_station_has_the_first_number_that_nothing_in_the_group_has(string water, string code) =>
        Assert.Equal(code, Codes.Next(water, ["HAR-1", "HAR-2", "PEL-2"]));
}
