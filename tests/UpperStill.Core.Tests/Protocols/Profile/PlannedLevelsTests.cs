using CsCheck;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;

namespace UpperStill.Core.Tests.Protocols.Profile;

public class PlannedLevelsTests
{
    [Theory]
    [InlineData("1-m", "5.2", LengthUnit.Metre, "0.3 1 2 3 4 4.7")]
    [InlineData("0.5-m", "2.0", LengthUnit.Metre, "0.3 0.5 1.0 1.5")]
    [InlineData("1-m", "22", LengthUnit.FootInch, "1 5 10 15 20 20.5")] // on a line in feet: each five
    [InlineData("5-ft", "12", LengthUnit.Foot, "1 5 10 10.5")]
    [InlineData("2-ft", "7", LengthUnit.Foot, "1 2 4 5.5")]
    [InlineData("1-m", "0.4", LengthUnit.Metre, "")]
    public void From_just_under_the_surface_to_just_above_the_bottom(string method, string depth, LengthUnit unit, string levels) =>
        Assert.Equal(
            levels
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(l => decimal.Parse(l, System.Globalization.CultureInfo.InvariantCulture)),
            PlannedLevels.Of(method, new WrittenLength(depth, unit).Read().Length!.Value).Select(l => l.Value)
        );

    [Fact]
    public void Levels_go_down_and_never_into_the_bottom() =>
        Gen.Select(Gen.OneOfConst([.. VisitParts.Options.Method("profile.levels")!.Options.Select(o => o.Code)]), Gen.Int[1, 900])
            .Sample(
                (method, decimetres) =>
                {
                    var depth = new Length(decimetres / 10m, LengthUnit.Metre, 0.1m);
                    var levels = PlannedLevels.Of(method, depth).Select(l => l.Metres).ToList();

                    Assert.Equal(levels.Order().Distinct(), levels);
                    Assert.All(levels, l => Assert.InRange(l, 0.001m, depth.Metres - 0.4m));
                }
            );
}
