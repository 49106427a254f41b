using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Pond;

/// <summary>Cases 51 and 52 of the handbook, and what a pond's bottle does to its visit.</summary>
public class PondTests
{
    [Theory]
    [InlineData("0.4 m", "20 cm")]
    [InlineData("0.6 m", "15–30 cm")]
    [InlineData("3 m", "15–30 cm")]
    public void Under_the_film_and_off_the_mud(string depth, string taken) =>
        Assert.Equal(taken, new ObservedVisit("pond").Number("stand", "depth", depth).Derived("pond-depth").Text);

    [Fact]
    public void A_programme_may_always_ask_for_half() =>
        Assert.Equal(
            "150 cm",
            new ObservedVisit("pond").With("pond.depth", "half").Number("stand", "depth", "3 m").Derived("pond-depth").Text
        );

    [Fact]
    public void Each_rinse_is_a_quarter()
    {
        var rinse = new ObservedVisit("pond").Derived("rinse-water");
        Assert.Equal(("0.375 L", "1500 mL / 4 × 3 = 1.125 L in all"), (rinse.Text, rinse.Working!.Steps[0]));
    }

    [Fact]
    public void Nitrate_as_itself_is_turned_into_nitrogen()
    {
        var value = ReportedValue.Read(new ResultBody("X", "nitrate", "120", "mg/L as NO3"));
        Assert.Equal(27.1m, decimal.Round(value.Value!.Value, 1));
    }

    [Theory]
    [InlineData("scum")]
    [InlineData("sediment")]
    public void What_came_in_with_it_asks_for_another_filling(string came)
    {
        var visit = new ObservedVisit("pond").Choose("fill", "came-in", came, "1");
        Assert.Equal(["pond-came-in"], visit.Codes);
        Assert.Empty(new ObservedVisit("pond").Choose("fill", "came-in", "clear", "1").Codes);
    }

    [Fact]
    public void Form_spot_and_depth_are_held_against_what_is_known()
    {
        var visit = new ObservedVisit("pond")
            .Yes("cap", "form-same", false)
            .Place("spot", "spot", 51.9341, -11.4376)
            .Number("stand", "depth", "1 m")
            .Number("fill", "taken", "60 cm", "1");
        Assert.Equal(["form-and-label-differ", "pond-depth-off", "position-far"], visit.Codes.Order());
        var good = new ObservedVisit("pond")
            .Yes("cap", "form-same", true)
            .Place("spot", "spot", 51.9241, -11.4376)
            .Number("stand", "depth", "1 m")
            .Number("fill", "taken", "8 in", "1");
        Assert.Empty(good.Codes);
    }
}
