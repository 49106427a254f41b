using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Tests.Science.Stratification;

public sealed class ProfileNumbersTests
{
    // Oxygen falls straight from 9 mg/L at 5 m to 0 at 10 m: below 2 mg/L from 8.89 m, below 1 from 9.44 m.
    private static readonly ProfileLevel[] Layered = [new(0, 20, 9), new(4, 20, 9), new(5, 20, 9), new(6, 8, 7.2m), new(10, 7, 0)];

    // A box of vertical walls: everywhere the same area, so that shares and means are those of depth.
    private static readonly AreaAtDepth[] Box = [new(0, 1000), new(12, 1000)];

    [Fact]
    public void Where_oxygen_ends_and_what_lies_at_the_ends()
    {
        var numbers = ProfileNumbers.Of(new ProfileRequest(Layered))!;
        Assert.Equal((20, 7, 0, 10), (numbers.SurfaceC, numbers.BottomC, numbers.BottomOxygenMgL, numbers.BottomM));
        Assert.Equal(8.8889, numbers.HypoxicM!.Value, 3);
        Assert.Equal(9.4444, numbers.AnoxicM!.Value, 3);
        Assert.InRange(numbers.ThermoclineM!.Value, 4.5, 8); // within the middles of the layers beside the steepest
        Assert.Null(numbers.StabilityJM2);
    }

    [Fact]
    public void Over_a_box_the_deep_water_is_the_mean_of_its_depths()
    {
        var numbers = ProfileNumbers.Of(new ProfileRequest(Layered, Box))!;

        // The metalimnion ends at 6 m; below, 7.2 falls to 0 at 10 m and stays there to 12 m: (4 × 3.6 + 2 × 0) / 6 = 2.4 mg/L, 6 m thick.
        Assert.Equal(2.4, numbers.DeepOxygenMgL!.Value, 9);
        Assert.Equal(6, numbers.DeepThicknessM!.Value, 9);
        Assert.Equal(1, numbers.AnoxicArea!.Value, 9);
    }

    [Fact]
    public void A_mixed_column_has_no_deep_water_and_no_stability()
    {
        var numbers = ProfileNumbers.Of(new ProfileRequest([new(0, 15, 9), new(10, 15, 9)], Box))!;
        Assert.Equal((null, null, 0.0), (numbers.ThermoclineM, numbers.DeepOxygenMgL, numbers.AnoxicArea!.Value));
        Assert.Equal(0, numbers.StabilityJM2!.Value, 6);
    }

    [Fact]
    public void One_level_and_a_level_that_no_equation_holds_for_leave_nothing()
    {
        Assert.Null(ProfileNumbers.Of(new ProfileRequest([new(0, 15, 9)])));
        Assert.Null(ProfileNumbers.Of(new ProfileRequest([new(0, 15, 9), new(5, 99, 9)])));
    }
}
