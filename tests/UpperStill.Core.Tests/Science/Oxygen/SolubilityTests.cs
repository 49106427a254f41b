using CsCheck;
using UpperStill.Core.Science.Oxygen;

namespace UpperStill.Core.Tests.Science.Oxygen;

public class SolubilityTests
{
    [Theory]
    // Standard Methods 4500-O, table 4500-O:I, chlorinity 0.
    [InlineData(0, 14.621)]
    [InlineData(10, 11.288)]
    [InlineData(20, 9.092)]
    [InlineData(30, 7.559)]
    public void The_published_values_of_fresh_water(double temperature, double mgl) =>
        Assert.Equal(mgl, Solubility.AtOneAtmosphere(temperature, 0), 3);

    [Fact]
    public void At_one_atmosphere_both_ways_agree() =>
        Gen.Select(Gen.Double[0, 40], Gen.Double[0, 40])
            .Sample((t, s) => Assert.Equal(Solubility.AtOneAtmosphere(t, s), Solubility.AtPressure(t, s, Solubility.StandardKpa), 9));

    [Fact]
    public void Warmth_salt_and_height_drive_oxygen_out() =>
        Gen.Select(Gen.Double[0, 38], Gen.Double[0, 38], Gen.Double[0, 4000])
            .Sample(
                (t, s, h) =>
                {
                    var here = Solubility.AtPressure(t, s, Solubility.PressureKpa(h));

                    Assert.True(Solubility.AtPressure(t + 1, s, Solubility.PressureKpa(h)) < here);
                    Assert.True(Solubility.AtPressure(t, s + 1, Solubility.PressureKpa(h)) < here);
                    Assert.True(Solubility.AtPressure(t, s, Solubility.PressureKpa(h + 100)) < here);
                }
            );

    [Theory]
    // ISO 2533:1975, Standard Atmosphere, table of pressure by geopotential height.
    [InlineData(0, 101.325)]
    [InlineData(500, 95.461)]
    [InlineData(1000, 89.875)]
    [InlineData(2000, 79.495)]
    public void The_standard_atmosphere(double altitude, double kpa) => Assert.Equal(kpa, Solubility.PressureKpa(altitude), 0.005);

    [Fact]
    public void Near_one_atmosphere_solubility_goes_with_the_dry_air()
    {
        // Independent: Henry's law alone, (P - vapour) / (1 atm - vapour), differs by θ only, under 0.02 % within 10 kPa.
        var (t, kpa) = (20.0, 95.0);
        var vapour = 2.339; // kPa at 20 °C, Kaye & Laby

        Assert.Equal(9.092 * (kpa - vapour) / (101.325 - vapour), Solubility.AtPressure(t, 0, kpa), 0.005);
    }

    [Theory]
    [InlineData(-0.1, 0)]
    [InlineData(40.1, 0)]
    [InlineData(10, 41)]
    public void Outside_its_range_there_is_no_number(double temperature, double salinity)
    {
        Assert.False(Solubility.Holds(temperature, salinity));
        Assert.Throws<ArgumentOutOfRangeException>(() => Solubility.AtOneAtmosphere(temperature, salinity));
    }
}
