using CsCheck;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Density;
using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Tests.Science.Stratification;

public class ProfileRuleTests
{
    [Fact]
    public void Between_two_even_layers_the_thermocline_lies_midway()
    {
        // Gradients 0, 2.919, 0 kg/m³ per m: the parabola through them is even about 1.5 m.
        var figures = Figures([(0, 25), (1, 25), (2, 5), (3, 5)]);

        Assert.Equal(1.5m, figures["thermocline"].DepthM);
        Assert.Equal((1m, 2m), (figures["metalimnion"].DepthM, figures["metalimnion"].LowerM));
        Assert.Contains("1.0 m–2.0 m: 2.919 kg/m³ per m", figures["thermocline"].Working!.Steps);
    }

    [Fact]
    public void The_vertex_lies_toward_the_steeper_neighbour()
    {
        // Densities of EOS-80 at 22, 21, 15, 12, 11.5 °C: the layer below the steepest is steeper than the one above it.
        var thermocline = Figures([(0, 22), (1, 21), (2, 15), (3, 12), (4, 11.5m)])["thermocline"].DepthM!.Value;
        var (g1, g2, g3) = (Gradient(22, 21), Gradient(21, 15), Gradient(15, 12));

        // By hand: vertex of y = g1, g2, g3 at -1, 0, 1 is (g1 - g3) / (2 (g1 - 2 g2 + g3)).
        Assert.Equal(1.5 + ((g1 - g3) / (2 * (g1 - (2 * g2) + g3))), (double)thermocline, 5);
        Assert.True(thermocline > 1.5m);

        static double Gradient(double above, double below) => WaterDensity.KgPerM3(below) - WaterDensity.KgPerM3(above);
    }

    [Fact]
    public void One_degree_per_metre_is_the_unbroken_run_round_the_steepest()
    {
        var degree = Figures([(0, 20), (1, 19.5m), (2, 18), (3, 15), (4, 13.8m), (5, 13), (6, 12.5m)])["degree"];

        Assert.Equal((1m, 4m), (degree.DepthM, degree.LowerM));
        Assert.Equal("1.0 m–4.0 m", degree.Text);
    }

    [Theory]
    [InlineData(12, 11.5, 11.2)] // spans less than a degree
    [InlineData(5, 4.5, 3.9)] // near 4 °C density hardly changes
    public void A_mixed_column_has_no_thermocline(double a, double b, double c)
    {
        var figures = Figures([(0, (decimal)a), (5, (decimal)b), (10, (decimal)c)]);

        Assert.Equal("none, mixed", figures["thermocline"].Text);
        Assert.False(figures.ContainsKey("metalimnion"));
    }

    [Fact]
    public void The_mixed_layer_ends_where_density_is_a_tenth_above_that_at_one_metre()
    {
        var mixed = (double)Figures([(1, 20), (5, 20), (6, 18)])["mixed"].DepthM!.Value;
        var (above, below) = (WaterDensity.KgPerM3(20), WaterDensity.KgPerM3(18));

        Assert.Equal(5 + (0.1 / (below - above)), mixed, 5);
    }

    [Fact]
    public void Oxygen_ends_where_it_first_falls_below_the_limit()
    {
        var figures = Of([new(2, 18, 9), new(10, 8, 4), new(12, 7, 1), new(14, 7, 0.2m)]);

        // (4 - 2) / (4 - 1) of two metres below 10; (1 - 1) at 12.
        Assert.Equal(11.333333m, figures["hypoxic"].DepthM);
        Assert.Equal(12m, figures["anoxic"].DepthM);
        Assert.Equal("0.2 mg/L at 14.0 m", figures["bottom-oxygen"].Text);
    }

    [Fact]
    public void Schmidt_stability_of_two_layers_in_a_tank_is_what_the_integral_gives_by_hand()
    {
        // A tank 20 m deep, 25 °C above 8 m, 5 °C below: g Δρ h (H - h) / 2, Δρ from Millero & Poisson's check values.
        const double expected = 9.80665 * (999.96675 - 997.04796) * 8 * 12 / 2;
        var stability = Of([new(0, 25), new(8, 25), new(8.0001m, 5), new(20, 5)], Tank)["stability"].Value!.Value;

        Assert.InRange((double)stability, expected - 0.5, expected + 0.5);
        Assert.Equal(0, (double)Of([new(0, 12), new(20, 12)], Tank)["stability"].Value!.Value, 6);
    }

    [Fact]
    public void Means_by_volume_follow_the_area()
    {
        // Straight from 20 to 10 °C: 15 in a tank; in a wedge, whose water lies high, 20 - 10/3.
        Assert.Equal(15, (double)Of([new(0, 20), new(20, 10)], Tank)["mean-temperature"].Value!.Value, 5);
        Assert.Equal(
            20 - (10 / 3.0),
            (double)Of([new(0, 20), new(20, 10)], [new(0, 1000), new(20, 0)])["mean-temperature"].Value!.Value,
            5
        );
        Assert.Equal(6, (double)Of([new(0, 20, 9), new(20, 10, 3)], Tank)["mean-oxygen"].Value!.Value, 5);
    }

    [Fact]
    public void The_order_of_the_levels_and_a_level_read_twice_alike_change_nothing() =>
        Gen.Select(Gen.Int[1, 10_000], Gen.Int[3, 20])
            .Sample(
                (seed, count) =>
                {
                    var levels = Column(seed, count);
                    var shuffled = levels.OrderBy(l => (l.DepthM * 7919) % 13).Concat(levels.Take(1)).ToList();

                    Assert.Equal(Texts(levels), Texts(shuffled));
                }
            );

    [Fact]
    public void The_thermocline_lies_within_its_metalimnion_and_sinks_with_the_column() =>
        Gen.Select(Gen.Int[1, 10_000], Gen.Int[3, 20])
            .Sample(
                (seed, count) =>
                {
                    var levels = Column(seed, count);
                    if (Of(levels) is var figures && figures["thermocline"].DepthM is { } thermocline)
                    {
                        var sunk = Of([.. levels.Select(l => l with { DepthM = l.DepthM + 3 })])["thermocline"].DepthM!.Value;
                        Assert.Equal((double)thermocline + 3, (double)sunk, tolerance: 0.0001);
                        Assert.InRange(thermocline, levels.Min(l => l.DepthM), levels.Max(l => l.DepthM));
                    }
                }
            );

    [Fact]
    public void One_level_says_nothing_and_outside_the_equation_there_is_a_finding()
    {
        Assert.Empty(ProfileRule.Work(new ProfileRequest([new(1, 20)])).Figures);
        Assert.Equal("equation-range", Assert.Single(ProfileRule.Work(new ProfileRequest([new(1, 20), new(2, 68)])).Findings).Code);
    }

    [Fact]
    public void A_reader_in_feet_sees_feet()
    {
        var request = new ProfileRequest([new(0, 25), new(1, 25), new(2, 5), new(3, 5)], Reader: ReaderUnit.Feet);

        Assert.Equal("4 ft 11 in", ProfileRule.Work(request).Figures.Single(f => f.Key == "thermocline").Text);
    }

    private static readonly AreaAtDepth[] Tank = [new(0, 5000), new(20, 5000)];

    private static Dictionary<string, ProfileFigure> Figures((decimal Depth, decimal Celsius)[] levels) =>
        Of([.. levels.Select(l => new ProfileLevel(l.Depth, l.Celsius))]);

    private static Dictionary<string, ProfileFigure> Of(
        IReadOnlyList<ProfileLevel> levels,
        IReadOnlyList<AreaAtDepth>? hypsography = null
    ) => ProfileRule.Work(new ProfileRequest(levels, hypsography)).Figures.ToDictionary(f => f.Key);

    private static string Texts(IReadOnlyList<ProfileLevel> levels) =>
        string.Join('|', ProfileRule.Work(new ProfileRequest(levels, Tank)).Figures.Select(f => f.Key + f.Text));

    // Water that cools with depth, faster here and there.
    private static List<ProfileLevel> Column(int seed, int count)
    {
        var random = new Random(seed);
        var celsius = 24m;
        return
        [
            .. Enumerable
                .Range(0, count)
                .Select(i => new ProfileLevel(
                    i,
                    celsius -= (decimal)(random.NextDouble() * random.NextDouble() * 18 / count),
                    8 - (0.1m * i)
                )),
        ];
    }
}
