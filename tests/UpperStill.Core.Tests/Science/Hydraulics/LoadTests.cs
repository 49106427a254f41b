using UpperStill.Core.Science.Hydraulics;

namespace UpperStill.Core.Tests.Science.Hydraulics;

public class LoadTests
{
    // 2 m³/s at 0.05 mg/L: 2 × 86 400 s × 0.05 g/m³ = 8640 g a day.
    [Theory]
    [InlineData("2", "m³/s", 8.64)]
    [InlineData("2000", "L/s", 8.64)]
    [InlineData("100", "ft³/s", 12.232878)]
    [InlineData("100", "ft3/s", 12.232878)]
    [InlineData("0", "m³/s", 0)]
    public void Flow_times_concentration_times_a_day(string flow, string unit, double kg) =>
        Assert.Equal((decimal)kg, Load.Work(new LoadRequest(0.05m, flow, unit)).KgPerDay);

    [Fact]
    public void A_trickle_is_not_nothing()
    {
        var result = Load.Work(new LoadRequest(0.00003m, "1", "m³/s"));

        Assert.Equal("0.0026 kg/day", result.Text);
    }

    [Theory]
    [InlineData("2", "m/s", "unit-missing")]
    [InlineData("much", "L/s", "number-unreadable")]
    [InlineData("-2", "L/s", "flow-negative")]
    public void A_flow_that_cannot_be_has_no_load(string flow, string unit, string code)
    {
        var result = Load.Work(new LoadRequest(0.05m, flow, unit));

        Assert.Equal((null, code), (result.KgPerDay, result.Finding!.Code));
    }
}
