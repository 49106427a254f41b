using CsCheck;
using UpperStill.Core.Science.Density;

namespace UpperStill.Core.Tests.Science.Density;

public class SalinityTests
{
    // UNESCO 1983, Technical Papers in Marine Science 44, page 9.
    [Theory]
    [InlineData(1, 15, 0, 35.000000)]
    [InlineData(1.2, 20, 2000, 37.245628)]
    [InlineData(0.65, 5, 1500, 27.995347)]
    public void The_published_checks_of_the_practical_scale(double ratio, double celsius, double dbar, double salinity) =>
        Assert.Equal(salinity, PracticalSalinity.OfRatio(ratio, celsius, dbar), 0.000001);

    [Theory]
    [InlineData(42.914, ConductivityAs.Raw, 15, 35.0)]
    [InlineData(1, ConductivityAs.Ratio, 15, 35.0)]
    public void By_ratio_or_as_it_was_shown(double value, ConductivityAs shown, double celsius, double salinity) =>
        Assert.Equal((decimal)salinity, SalinityRule.Work(new SalinityRequest((decimal)value, shown, (decimal)celsius)).Salinity);

    [Fact]
    public void A_ratio_says_which_conductivity_it_stands_for() =>
        Assert.Contains(
            "Conductivity = 0.5 × 42.914 = 21.457 mS/cm",
            SalinityRule.Work(new SalinityRequest(0.5m, ConductivityAs.Ratio, 15)).Working!.Steps
        );

    [Fact]
    public void Fresh_water_is_outside_the_scale_and_has_its_conductance()
    {
        var result = SalinityRule.Work(new SalinityRequest(0.3m, ConductivityAs.Raw, 10));

        // 300 / (1 − 0.2865) = 420.5 µS/cm; 5.572e-4 × 420.5 + 2.02e-9 × 420.5² = 0.235.
        Assert.Equal((null, 420.5m, 0.235m), (result.Salinity, result.SpecificUsCm, result.WorkingSalinity));
        Assert.Equal("equation-range", Assert.Single(result.Findings).Code);
    }

    [Fact]
    public void What_the_meter_brought_to_25_degrees_and_what_it_did_not_say_the_same() =>
        Gen.Select(Gen.Int[100, 60_000], Gen.Int[0, 30])
            .Sample(
                (specific, celsius) =>
                {
                    var raw = specific / 1000m * (1 + (0.0191m * (celsius - 25)));
                    var (one, other) = (
                        SalinityRule.Work(new SalinityRequest(specific, ConductivityAs.Specific, celsius)),
                        SalinityRule.Work(new SalinityRequest(raw, ConductivityAs.Raw, celsius))
                    );

                    Assert.Equal((one.Salinity, one.SpecificUsCm), (other.Salinity, other.SpecificUsCm));
                }
            );
}
