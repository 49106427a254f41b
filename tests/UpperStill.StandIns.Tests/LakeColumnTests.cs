using UpperStill.Core.Science.Density;
using UpperStill.Core.Science.Stratification;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Tests;

public class LakeColumnTests
{
    [Theory]
    [InlineData(31, false, 5, 20)]
    [InlineData(31, false, 8, 12)]
    [InlineData(12, false, 9, 20)]
    [InlineData(2.6, false, 7, 10)]
    [InlineData(8, true, 8, 12)]
    public void Its_water_lies_still_heavier_below_lighter_above(double depth, bool sea, int month, int day)
    {
        var water = new LakeColumn(depth, sea, new DateOnly(2026, month, day));
        double[] densities =
        [
            .. Enumerable
                .Range(0, 40)
                .Select(i => depth * i / 40)
                .Select(z => WaterDensity.KgPerM3(water.TemperatureC(z), water.Salinity(z))),
        ];

        Assert.All(densities.Zip(densities.Skip(1)), pair => Assert.True(pair.Second >= pair.First - 1e-6));
    }

    [Fact]
    public void A_deep_lake_in_August_has_the_thermocline_that_it_says_by_the_rule_of_Core()
    {
        var water = new LakeColumn(31, false, new DateOnly(2026, 8, 12));
        ProfileLevel[] levels =
        [
            .. Enumerable
                .Range(0, 31)
                .Select(z => new ProfileLevel(
                    z,
                    decimal.Round((decimal)water.TemperatureC(z), 2),
                    decimal.Round((decimal)water.OxygenMgPerL(z), 2),
                    0
                )),
        ];

        var thermocline = ProfileRule.Work(new ProfileRequest(levels)).Figures.Single(f => f.Key == "thermocline").DepthM;

        Assert.InRange((double)thermocline!.Value, water.ThermoclineM!.Value - 1, water.ThermoclineM.Value + 1);
    }

    [Fact]
    public void Its_deep_oxygen_falls_through_the_summer_and_with_the_years()
    {
        double Deep(int year, int month) => new LakeColumn(31, false, new DateOnly(year, month, 12)).OxygenMgPerL(27);

        Assert.True(Deep(2026, 6) > Deep(2026, 7) && Deep(2026, 7) > Deep(2026, 9));
        Assert.True(Deep(2013, 8) > Deep(2026, 8));
    }

    [Fact]
    public void A_shallow_tarn_has_no_layers() => Assert.Null(new LakeColumn(2.6, false, new DateOnly(2026, 8, 12)).ThermoclineM);
}
