using CsCheck;
using UpperStill.Core.Science.Chlorophyll;

namespace UpperStill.Core.Tests.Science.Chlorophyll;

/// <summary>The equations against examples worked by hand, and what must hold of them whatever the readings.</summary>
public class ChlorophyllRuleTests
{
    // Lorenzen 1967 by hand: 664b = 0.312 − 0.004 = 0.308; 665a = 0.209 − 0.005 = 0.204; 10 mL, 0.5 L, 1 cm.
    // Chlorophyll a = 26.7 × 0.104 × 10 / 0.5 = 55.536; pheophytin a = 26.7 × (0.3468 − 0.308) × 20 = 20.7192.
    [Fact]
    public void Monochromatic_with_acid()
    {
        var result = Work(new ExtractReadings(ChlorophyllMethod.Monochromatic, "10", "1", "0.312", "0.004", "0.209", "0.005"), 500);

        Assert.Equal((55.536m, 20.7192m, 1.51m), (result.ChlorophyllUgL, result.PheophytinUgL, result.Ratio));
        Assert.Equal("55.54 µg/L", result.Text);
        Assert.Contains("Chlorophyll a = 26.7 × (0.308 − 0.204) × 20 = 55.54 µg/L", result.Working!.Steps);
    }

    // Jeffrey & Humphrey 1975 by hand: 0.250, 0.080, 0.050 less 0.002 each; 10 mL, 1 L, 1 cm.
    // Ca = 11.85 × 0.248 − 1.54 × 0.078 − 0.08 × 0.048 = 2.81484 µg/mL; × 10 = 28.1484 µg/L.
    // Cb = 21.03 × 0.078 − 5.43 × 0.248 − 2.66 × 0.048 = 0.16602; Cc = 24.52 × 0.048 − 7.60 × 0.078 − 1.67 × 0.248 = 0.17.
    [Fact]
    public void Trichromatic()
    {
        var result = Work(
            new ExtractReadings(ChlorophyllMethod.Trichromatic, "10", "1", "0.250", "0.002", At647: "0.080", At630: "0.050"),
            1000
        );

        Assert.Equal(
            (28.1484m, 1.6602m, 1.7m, null),
            (result.ChlorophyllUgL, result.ChlorophyllBUgL, result.ChlorophyllCUgL, result.PheophytinUgL)
        );
    }

    // K = 1.16, r = 1.9: K r / (r − 1) = 2.448889; Rb 40, Ra 24; 10 mL of 100 mL.
    // Chlorophyll = 2.448889 × 16 × 0.1 = 3.918222; pheophytin = 2.448889 × (45.6 − 40) × 0.1 = 1.371378.
    [Fact]
    public void Fluorometric_with_acid_and_the_calibration_of_the_day()
    {
        var result = Work(
            new ExtractReadings(ChlorophyllMethod.Fluorometric, "10", FluorescenceBefore: "40")
            {
                FluorescenceAfter = "24",
                Calibration = new FluorometerCalibration("A", 2, new DateOnly(2026, 4, 7), 1.16m, 1.9m),
            },
            100
        );

        Assert.Equal((3.9182m, 1.3714m), (result.ChlorophyllUgL, result.PheophytinUgL));
        Assert.Contains(result.Working!.Inputs, i => i.Name == "calibration 2 of A");
    }

    // Nusch 1980 by hand: 665b = 0.250 − 0.004 = 0.246; 665a = 0.160 − 0.004 = 0.156; 10 mL, 0.5 L, 1 cm.
    // Chlorophyll a = 29.6 × 0.090 × 20 = 53.28; pheophytin a = 29.6 × (1.7 × 0.156 − 0.246) × 20 = 11.3664.
    [Fact]
    public void In_hot_ethanol_at_665_nm_with_its_own_factor()
    {
        var result = Work(
            new ExtractReadings(ChlorophyllMethod.HotEthanol, "10", "1", At750Before: "0.004", At665After: "0.160", At750After: "0.004")
            {
                At665Before = "0.250",
            },
            500
        );

        Assert.Equal((53.28m, 11.3664m), (result.ChlorophyllUgL, result.PheophytinUgL));
        Assert.Contains("Nusch 1980", result.Working!.Source, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("twice")]
    [InlineData("0.5")]
    [InlineData("-2")]
    [InlineData("1,500")]
    public void A_dilution_that_is_none_is_not_taken_for_one(string dilution)
    {
        var result = Work(
            new ExtractReadings(ChlorophyllMethod.Monochromatic, "10", "1", "0.312", "0.004", "0.209", "0.005") { Dilution = dilution },
            500
        );

        Assert.Equal((null, "dilution"), (result.ChlorophyllUgL, Assert.Single(result.Findings).Code));
    }

    [Theory]
    [InlineData("0.010", "1", false)]
    [InlineData("0.011", "1", true)]
    [InlineData("0.040", "5", false)]
    public void What_scatters_light_at_750_nm_is_seen(string at750, string path, bool turbid)
    {
        var result = Work(new ExtractReadings(ChlorophyllMethod.Monochromatic, "10", path, "0.312", at750, "0.209", "0.005"), 500);

        Assert.Equal(turbid, result.Findings.Any(f => f.Code == "extract-turbid"));
        Assert.NotNull(result.ChlorophyllUgL);
    }

    [Fact]
    public void Diluted_three_times_it_holds_three_times_as_much()
    {
        var readings = new ExtractReadings(ChlorophyllMethod.Monochromatic, "10", "1", "0.312", "0.004", "0.209", "0.005");

        Assert.Equal(3 * Work(readings, 500).ChlorophyllUgL, Work(readings with { Dilution = "3" }, 500).ChlorophyllUgL);
    }

    // The ratio runs from 1.0, all pheophytin, to 1.7, none.
    [Theory]
    [InlineData("0.170", "0.100", 18.69, 0.0)]
    [InlineData("0.100", "0.100", 0.0, 18.69)]
    public void The_ends_of_the_acid_ratio(string before, string after, double chlorophyll, double pheophytin)
    {
        var result = Work(new ExtractReadings(ChlorophyllMethod.Monochromatic, "10", "1", before, "0", after, "0"), 1000);

        Assert.Equal(((decimal)chlorophyll, (decimal)pheophytin), (result.ChlorophyllUgL, result.PheophytinUgL));
        Assert.Empty(result.Findings);
    }

    [Fact]
    public void Twice_the_water_through_the_same_filter_is_half_the_concentration() =>
        Gen.Select(Gen.Int[50, 900], Gen.Int[30, 500], Gen.Int[20, 2000])
            .Where((b, a, _) => b > a)
            .Sample(
                (before, after, volume) =>
                {
                    var readings = new ExtractReadings(
                        ChlorophyllMethod.Monochromatic,
                        "10",
                        "1",
                        $"0.{before:000}",
                        "0",
                        $"0.{after:000}",
                        "0"
                    );
                    var (once, twice) = (Work(readings, volume).ChlorophyllUgL!.Value, Work(readings, 2 * volume).ChlorophyllUgL!.Value);

                    // Of a large number the last of eight figures is rounded, of a small one the fourth decimal.
                    var rounded = Math.Max(0.0002m, once * 0.0000002m);
                    Assert.InRange(once - (2 * twice), -rounded, rounded);
                }
            );

    [Fact]
    public void Chlorophyll_and_pheophytin_together_follow_from_the_acidified_reading_alone() =>
        Gen.Select(Gen.Int[100, 900], Gen.Int[100, 500])
            .Sample(
                (before, after) =>
                {
                    // a + p = 26.7 × 0.7 × 665a × V1 / (V2 L): the acid turns one into the other and loses nothing.
                    var result = Work(
                        new ExtractReadings(ChlorophyllMethod.Monochromatic, "10", "1", $"0.{before}", "0", $"0.{after}", "0"),
                        1000
                    );
                    Assert.InRange(
                        result.ChlorophyllUgL!.Value + result.PheophytinUgL!.Value - (26.7m * 0.7m * after / 1000 * 10),
                        -0.0002m,
                        0.0002m
                    );
                }
            );

    public static TheoryData<string, ExtractReadings, int> Wrong =>
        new()
        {
            { "volume-missing", Good, 0 },
            { "extract-volume", Good with { ExtractMl = "0" }, 500 },
            { "extract-volume", Good with { ExtractMl = "ten" }, 500 },
            { "light-path", Good with { PathCm = "0" }, 500 },
            { "absorbance-range", Good with { At664Before = "312" }, 500 },
            { "number-missing", Good with { At665After = null }, 500 },
            { "number-comma", Good with { At664Before = "1,312" }, 500 },
            {
                "calibration-missing",
                new ExtractReadings(ChlorophyllMethod.Fluorometric, "10", FluorescenceBefore: "40") { FluorescenceAfter = "24" },
                500
            },
            {
                "calibration-missing",
                new ExtractReadings(ChlorophyllMethod.Fluorometric, "10", FluorescenceBefore: "40")
                {
                    FluorescenceAfter = "24",
                    Calibration = new FluorometerCalibration("A", 1, default, 1, 1),
                },
                500
            },
        };

    private static ExtractReadings Good => new(ChlorophyllMethod.Monochromatic, "10", "1", "0.312", "0.004", "0.209", "0.005");

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_cannot_be_worked_out_gives_a_reason_and_no_number(string code, ExtractReadings readings, int volume)
    {
        var result = Work(readings, volume);

        Assert.Contains(result.Findings, f => f.Code == code);
        Assert.Null(result.ChlorophyllUgL);
    }

    [Fact]
    public void Less_than_nothing_is_said() =>
        Assert.Contains(Work(Good with { At664Before = "0.1" }, 500).Findings, f => f.Code == "chlorophyll-negative");

    private static ChlorophyllResult Work(ExtractReadings readings, decimal volume) =>
        ChlorophyllRule.Work(new ChlorophyllRequest(readings, volume));
}
