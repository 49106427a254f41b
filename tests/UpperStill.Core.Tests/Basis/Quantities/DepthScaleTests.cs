using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Tests.Basis.Quantities;

public class DepthScaleTests
{
    [Fact]
    public void A_shallow_water_in_metres() => Assert.Equal(["0", "0.5", "1", "2"], Labels(2.6m, LengthUnit.Metre));

    [Fact]
    public void A_deep_water_in_feet_is_labelled_in_feet_at_the_right_metres()
    {
        var scale = DepthScale.To(31m, LengthUnit.FootInch, ReaderUnit.AsRead);

        Assert.Equal("ft", scale.Unit);
        Assert.Equal("100", scale.Ticks[^1].Label);
        Assert.Equal(30.48m, scale.Ticks[^1].DepthM);
    }

    [Fact]
    public void The_sea_has_ticks_all_the_way_down() =>
        Assert.Equal(8000m, DepthScale.To(9000m, LengthUnit.Metre, ReaderUnit.AsRead).Ticks[^1].DepthM);

    [Fact]
    public void Ticks_only_ever_go_down()
    {
        var depths = DepthScale.To(11_000m, LengthUnit.Metre, ReaderUnit.AsRead).Ticks.Select(t => t.DepthM).ToList();
        Assert.Equal(depths.Distinct().Order(), depths);
    }

    private static IEnumerable<string> Labels(decimal bottom, LengthUnit unit) =>
        DepthScale.To(bottom, unit, ReaderUnit.AsRead).Ticks.Select(t => t.Label);
}
