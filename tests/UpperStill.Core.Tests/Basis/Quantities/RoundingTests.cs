using CsCheck;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Tests.Basis.Quantities;

public class RoundingTests
{
    [Theory]
    [InlineData("3.85", RoundingMethod.TenthMetre, "3.9 m")]
    [InlineData("3.849", RoundingMethod.TenthMetre, "3.8 m")]
    [InlineData("3.85", RoundingMethod.TwentiethMetre, "3.85 m")]
    [InlineData("3.875", RoundingMethod.TwentiethMetre, "3.90 m")]
    [InlineData("3.855", RoundingMethod.HundredthMetre, "3.86 m")]
    [InlineData("12.5", RoundingMethod.WholeMetre, "13 m")]
    [InlineData("3.6576", RoundingMethod.QuarterFoot, "12 ft 0 in")]
    [InlineData("3.6957", RoundingMethod.QuarterFoot, "12 ft 3 in")] // 12.125 ft exactly: the tie goes away from zero
    [InlineData("3.6956", RoundingMethod.QuarterFoot, "12 ft 0 in")]
    [InlineData("3.7338", RoundingMethod.HalfFoot, "12 ft 6 in")] // 12.25 ft exactly
    [InlineData("3.6703", RoundingMethod.Inch, "12 ft 1 in")] // 144.5 in exactly
    public void Rounds_half_away_from_zero_in_the_methods_own_unit(string metres, RoundingMethod method, string shown) =>
        Assert.Equal(
            shown,
            LengthText.Write(Rounding.Round(decimal.Parse(metres, System.Globalization.CultureInfo.InvariantCulture), method))
        );

    [Fact]
    public void A_tie_made_by_a_mean_of_three_is_still_a_tie()
    {
        // Three marks in inches whose sum over three is 1.5 in exactly, taken through metres and a division that does not end.
        var mean = (1m * Length.MetresPerInch + 1m * Length.MetresPerInch + 2.5m * Length.MetresPerInch) / 3;

        Assert.Equal("0 ft 2 in", LengthText.Write(Rounding.Round(mean, RoundingMethod.Inch)));
    }

    [Fact]
    public void Is_never_off_by_more_than_half_a_step_and_changes_nothing_the_second_time() =>
        Gen.Select(Gen.Int[0, 200_000], Gen.Enum<RoundingMethod>())
            .Sample(
                (tenths, method) =>
                {
                    var metres = tenths / 10_000m;
                    var once = Rounding.Round(metres, method);

                    Assert.True(Math.Abs(once.Metres - metres) <= once.ResolutionMetres / 2);
                    Assert.Equal(once.Metres, Rounding.Round(once.Metres, method).Metres);
                }
            );

    [Fact]
    public void Keeps_order() =>
        Gen.Select(Gen.Int[0, 200_000], Gen.Int[0, 200_000], Gen.Enum<RoundingMethod>())
            .Sample(
                (a, b, method) =>
                    Assert.True(
                        Rounding.Round(Math.Min(a, b) / 10_000m, method).Metres <= Rounding.Round(Math.Max(a, b) / 10_000m, method).Metres
                    )
            );

    [Fact]
    public void A_foot_and_an_inch_convert_exactly_both_ways() =>
        Gen.Int[0, 1_000_000]
            .Sample(inches =>
            {
                var length = new Length(inches, LengthUnit.FootInch, 1);
                Assert.Equal(inches, length.Metres / Length.MetresPerInch);
                Assert.Equal(length.Metres, new Length(inches / 12m, LengthUnit.Foot, 1).Metres, 20);
            });

    [Theory]
    [InlineData("3.8862", LengthUnit.FootInch, ReaderUnit.AsRead, "12 ft 9 in")]
    [InlineData("3.8862", LengthUnit.FootInch, ReaderUnit.Metres, "3.89 m")]
    [InlineData("3.9", LengthUnit.Metre, ReaderUnit.Feet, "12 ft 9.5 in")]
    [InlineData("24.40", LengthUnit.Metre, ReaderUnit.AsRead, "24.4 m")]
    public void Derived_depths_are_shown_in_the_unit_the_reader_chose(string metres, LengthUnit native, ReaderUnit reader, string shown) =>
        Assert.Equal(shown, LengthText.Show(decimal.Parse(metres, System.Globalization.CultureInfo.InvariantCulture), native, reader));

    [Fact]
    public void Nothing_has_no_sign()
    {
        Assert.Equal(
            ("0", "0.0", "0.00", "-0.04"),
            (
                Decimals.Text(decimal.Round(-0.04m, 1)),
                Decimals.Fixed(-0.04m, 1),
                Decimals.Fixed(-0.001, 2),
                Decimals.Significant(-0.0398m, 1)
            )
        );
    }
}
