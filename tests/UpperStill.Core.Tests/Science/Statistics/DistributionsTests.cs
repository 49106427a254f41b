using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Science.Statistics;

// Abramowitz & Stegun 1964, Handbook of Mathematical Functions, tables 26.1, 26.5 and 26.8.
public sealed class DistributionsTests
{
    [Theory]
    [InlineData(0, 1)]
    [InlineData(1, 0.317310507863)]
    [InlineData(-1.959963984540, 0.05)]
    [InlineData(2.575829303549, 0.01)]
    [InlineData(5, 5.733031e-7)]
    public void Share_beyond_a_normal_deviate_on_both_sides(double z, double share) => Assert.Equal(share, Distributions.BothSides(z), 12);

    [Theory]
    [InlineData(0.5, 0)]
    [InlineData(0.975, 1.959963984540)]
    [InlineData(0.005, -2.575829303549)]
    [InlineData(0.9999, 3.719016485456)]
    public void Normal_deviate_of_a_share(double share, double z) => Assert.Equal(z, Distributions.NormalQuantile(share), 11);

    [Theory]
    [InlineData(3.841458820694, 1, 0.05)]
    [InlineData(5.991464547108, 2, 0.05)]
    [InlineData(16.918977604620, 9, 0.05)]
    [InlineData(2.732636789, 11, 0.99405)] // lower part: the series
    [InlineData(0, 4, 1)]
    public void Chance_of_a_greater_chi_square(double value, int degrees, double chance) =>
        Assert.Equal(chance, Distributions.ChiSquareAbove(value, degrees), degrees == 11 ? 3 : 10);

    [Theory]
    [InlineData(0.05, 1, 0.00393214)] // the usual tables of χ²
    [InlineData(0.05, 6, 1.635383)]
    [InlineData(0.95, 6, 12.591587)]
    [InlineData(0.95, 10, 18.307038)]
    [InlineData(0.975, 30, 46.979242)]
    public void The_quantiles_of_chi_square_are_those_of_the_tables(double p, int degrees, double expected) =>
        Assert.Equal(expected, Distributions.ChiSquareQuantile(p, degrees), 6);
}
