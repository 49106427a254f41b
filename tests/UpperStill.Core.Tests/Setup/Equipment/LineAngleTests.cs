using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Tests.Setup.Equipment;

public class LineAngleTests
{
    [Theory]
    [InlineData(0, "10")]
    [InlineData(60, "5.0")]
    [InlineData(90, null)]
    [InlineData(120, null)]
    [InlineData(-5, null)]
    public void A_line_that_lies_flat_has_no_depth(int angle, string? depth) =>
        Assert.Equal(
            depth is null ? (decimal?)null : decimal.Parse(depth, System.Globalization.CultureInfo.InvariantCulture),
            LineAngle.TrueM(10, angle) is { } metres ? decimal.Round(metres, 6) : null
        );
}
