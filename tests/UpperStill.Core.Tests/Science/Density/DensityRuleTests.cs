using UpperStill.Core.Science.Density;

namespace UpperStill.Core.Tests.Science.Density;

public sealed class DensityRuleTests
{
    // Check values of the equation of state: UNESCO 1983, Technical papers in marine science 44, table of densities at one atmosphere.
    [Theory]
    [InlineData(5, 0, 999.96675)]
    [InlineData(5, 35, 1027.67547)]
    [InlineData(25, 35, 1023.34306)]
    public void It_gives_the_published_check_values_with_their_working(decimal t, decimal s, double density)
    {
        var result = DensityRule.Work(new DensityRequest(t, s));
        Assert.InRange((double)result.KgPerM3!.Value, density - 0.0001, density + 0.0001);
        Assert.Contains(result.Text!, result.Working!.Steps[^1], StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(41, 0)]
    [InlineData(10, 43)]
    public void Outside_of_its_range_there_is_no_number(decimal t, decimal s)
    {
        var result = DensityRule.Work(new DensityRequest(t, s));
        Assert.Null(result.KgPerM3);
        Assert.Equal("equation-range", result.Findings.Single().Code);
    }
}
