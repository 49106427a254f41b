using CsCheck;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Science.Oxygen;

namespace UpperStill.Core.Tests.Science.Oxygen;

public class OxygenRuleTests
{
    [Fact]
    public void A_reading_at_sea_level_in_per_cent_of_the_published_solubility()
    {
        // 20 °C: 9.092 mg/L by Standard Methods 4500-O; half of it is 50 %.
        var result = Mgl(4.546m, 20);

        Assert.Equal((50.0m, 9.092m, 101.33m), (result.Percent, result.SolubilityMgPerL, result.PressureKpa));
        Assert.Contains("100 × 4.546 / 9.09243 = 50.0 %", result.Working!.Steps);
    }

    [Fact]
    public void There_and_back_gives_what_was_read() =>
        Gen.Select(Gen.Int[1, 1500], Gen.Int[0, 40], Gen.Int[0, 40], Gen.Int[0, 3000])
            .Sample(
                (tenths, t, s, h) =>
                {
                    var read = tenths / 100m;
                    var there = OxygenRule.Work(new OxygenRequest(read, OxygenUnit.MgPerL, t, s, h));
                    var back = OxygenRule.Work(new OxygenRequest(there.Percent!.Value, OxygenUnit.Percent, t, s, h));

                    // Per cent is rounded to a tenth.
                    Assert.InRange(Math.Abs(read - back.MgPerL!.Value), 0, (0.06m * there.SolubilityMgPerL!.Value / 100) + 0.001m);
                }
            );

    [Theory]
    [InlineData(96, 18, "oxygen-as-percent", FindingLevel.Stop)]
    [InlineData(21, 18, "oxygen-impossible", FindingLevel.Check)] // as 21 % it would be as odd
    [InlineData(-0.2, 18, "oxygen-impossible", FindingLevel.Check)]
    [InlineData(14, 18, null, null)]
    [InlineData(0, 6, null, null)]
    public void A_number_that_looks_like_another_unit_is_asked(double mgl, double temperature, string? code, FindingLevel? level)
    {
        var finding = Mgl((decimal)mgl, (decimal)temperature).Findings.SingleOrDefault();

        Assert.Equal((code, level), (finding?.Code, finding?.Level));
    }

    [Fact]
    public void A_percentage_in_the_wrong_box_is_told_in_both_units()
    {
        var finding = Assert.Single(Mgl(96, 18).Findings);

        // 18 °C: 9.467 mg/L by Standard Methods 4500-O.
        Assert.Equal("96 mg/L would be 1014 %: hardly possible.", finding.Seen);
        Assert.Equal("As 96 % it is 9.09 mg/L.", finding.Why);
    }

    [Theory]
    [InlineData(8.4, 1, "oxygen-as-mgl")]
    [InlineData(8.4, 12, null)] // deep water may hold so little
    [InlineData(2, 1, null)] // as mg/L it would be odd, too
    [InlineData(88, 1, null)]
    public void A_small_percentage_near_the_surface_is_asked(double percent, double depth, string? code) =>
        Assert.Equal(
            code,
            OxygenRule
                .Work(new OxygenRequest((decimal)percent, OxygenUnit.Percent, 18, DepthM: (decimal)depth))
                .Findings.SingleOrDefault()
                ?.Code
        );

    [Fact]
    public void The_weather_reports_pressure_is_brought_to_the_station()
    {
        var asIs = OxygenRule.Work(new OxygenRequest(8, OxygenUnit.MgPerL, 18, AltitudeM: 1000, PressureKpa: 101.3m));
        var brought = OxygenRule.Work(
            new OxygenRequest(8, OxygenUnit.MgPerL, 18, AltitudeM: 1000, PressureKpa: 101.325m, FromWeatherReport: true)
        );

        Assert.Equal("barometer-at-sea-level", Assert.Single(asIs.Findings).Code);
        Assert.Empty(brought.Findings);
        Assert.InRange(brought.PressureKpa!.Value, 89.86m, 89.89m);
        Assert.Empty(OxygenRule.Work(new OxygenRequest(8, OxygenUnit.MgPerL, 18, AltitudeM: 1000, PressureKpa: 90.1m)).Findings);
    }

    [Theory]
    [InlineData(45, 0, 0)]
    [InlineData(18, 50, 0)]
    [InlineData(18, 0, 12_000)]
    public void Outside_the_equations_there_is_a_finding_and_no_number(int temperature, int salinity, int altitude)
    {
        var result = OxygenRule.Work(new OxygenRequest(8, OxygenUnit.MgPerL, temperature, salinity, altitude));

        Assert.Equal("equation-range", Assert.Single(result.Findings).Code);
        Assert.Null(result.MgPerL);
    }

    private static OxygenResult Mgl(decimal value, decimal temperature) =>
        OxygenRule.Work(new OxygenRequest(value, OxygenUnit.MgPerL, temperature));

    // At 1500 m the standard atmosphere has 84.6 kPa; the least and the most that were ever read at the sea are 87.0 and 108.5 kPa.
    [Theory]
    [InlineData(84.5, true, 1500, "barometer-brought-down")]
    [InlineData(84.5, false, 1500, null)]
    [InlineData(99.0, true, 1500, null)]
    [InlineData(99.0, false, 1500, "barometer-at-sea-level")]
    [InlineData(60.0, false, 112, "barometer-impossible")]
    [InlineData(115.0, true, 112, "barometer-impossible")]
    [InlineData(100.0, true, 112, null)]
    public void A_pressure_is_not_brought_down_twice_without_a_word(double kpa, bool report, double altitude, string? code)
    {
        var result = OxygenRule.Work(
            new OxygenRequest(8, OxygenUnit.MgPerL, 15, AltitudeM: (decimal)altitude, PressureKpa: (decimal)kpa, FromWeatherReport: report)
        );

        Assert.Equal(code, result.Findings.SingleOrDefault()?.Code);
    }

    // Benson & Krause 1984: fresh water at 20 °C and one atmosphere holds 9.092 mg/L, 284.1 µmol/L, 284.65 µmol/kg;
    // the vapour has 2.34 kPa, so that oxygen has 0.20946 × 98.99 = 20.73 kPa.
    [Theory]
    [InlineData(OxygenUnit.MgPerL, 9.092)]
    [InlineData(OxygenUnit.Percent, 100)]
    [InlineData(OxygenUnit.UmolPerL, 284.14)]
    [InlineData(OxygenUnit.UmolPerKg, 284.65)]
    [InlineData(OxygenUnit.Kpa, 20.734)]
    public void Five_readings_of_one_thing(OxygenUnit unit, double value)
    {
        var result = OxygenRule.Work(new OxygenRequest((decimal)value, unit, 20, PressureKpa: 101.325m));

        Assert.Equal(9.092, (double)result.MgPerL!.Value, 0.002);
        Assert.Equal(100, (double)result.Percent!.Value, 0.05);
        Assert.Equal(284.14, (double)result.UmolPerL!.Value, 0.1);
        Assert.Equal(284.65, (double)result.UmolPerKg!.Value, 0.1);
        Assert.Equal(20.73, (double)result.PartialPressureKpa!.Value, 0.01);
    }

    [Fact]
    public void Salinity_that_stands_for_a_conductance_is_listed_with_its_source()
    {
        var result = OxygenRule.Work(new OxygenRequest(8, OxygenUnit.MgPerL, 15, ConductanceUsCm: 1000));

        Assert.Contains("Salinity from the conductance: 5.572e-4 × 1000 + 2.02e-9 × 1000² = 0.55922", result.Working!.Steps);
        Assert.Contains("2011.03", result.Working.Source, StringComparison.Ordinal);
    }
}
