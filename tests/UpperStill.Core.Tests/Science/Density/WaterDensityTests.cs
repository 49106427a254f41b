using CsCheck;
using UpperStill.Core.Science.Density;

namespace UpperStill.Core.Tests.Science.Density;

public class WaterDensityTests
{
    [Theory]
    // Check values of the international equation of state: UNESCO 1981, Tech. Pap. Mar. Sci. 36.
    [InlineData(5, 0, 999.96675)]
    [InlineData(25, 0, 997.04796)]
    [InlineData(5, 35, 1027.67547)]
    [InlineData(25, 35, 1023.34306)]
    public void The_published_check_values(double temperature, double salinity, double density) =>
        Assert.Equal(density, WaterDensity.KgPerM3(temperature, salinity), 5);

    [Fact]
    public void Fresh_water_is_heaviest_near_four_degrees()
    {
        // Temperature of maximum density, 3.98 °C: Kell 1975, J. Chem. Eng. Data 20: 97–105.
        var heaviest = Enumerable.Range(0, 1000).Select(i => i / 100.0).MaxBy(t => WaterDensity.KgPerM3(t));

        Assert.Equal(3.98, heaviest, 0.02);
    }

    [Fact]
    public void Salt_makes_water_heavier_at_any_temperature() =>
        Gen.Select(Gen.Double[-2, 40], Gen.Double[0, 41])
            .Sample((t, s) => Assert.True(WaterDensity.KgPerM3(t, s + 1) > WaterDensity.KgPerM3(t, s)));

    [Theory]
    [InlineData(-3, 0)]
    [InlineData(41, 0)]
    [InlineData(10, 43)]
    [InlineData(10, -1)]
    [InlineData(double.NaN, 0)]
    public void Outside_its_range_there_is_no_number(double temperature, double salinity)
    {
        Assert.False(WaterDensity.Holds(temperature, salinity));
        Assert.Throws<ArgumentOutOfRangeException>(() => WaterDensity.KgPerM3(temperature, salinity));
    }
}
