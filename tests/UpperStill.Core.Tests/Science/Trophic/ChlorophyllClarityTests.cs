using UpperStill.Core.Science.Trophic;

namespace UpperStill.Core.Tests.Science.Trophic;

public sealed class ChlorophyllClarityTests
{
    [Fact]
    public void Where_both_indices_agree_the_index_is_the_same()
    {
        var curve = ChlorophyllClarity.Work(new ChlorophyllClarityRequest([new(1, 5), new(40, 1)])).AlgaeOnly;
        Assert.All(curve, p =>
        {
            var indices = TrophicState.Work(new TrophicRequest(p.ClarityM, p.ChlorophyllUgL)).Indices;
            Assert.InRange(indices[0].Index - indices[1].Index, -0.1m, 0.1m);
        });
    }

    [Fact]
    public void A_station_that_follows_a_power_curve_has_it_back()
    {
        var result = ChlorophyllClarity.Work(
            new ChlorophyllClarityRequest([
                .. Enumerable.Range(1, 12).Select(i => new ChlorophyllClarityPair(i, (decimal)(8 * Math.Pow(i, -0.5)))),
            ])
        );
        Assert.Equal("Here clarity = 8.0 m × chlorophyll^-0.50, from 12 visits.", result.Text);
        Assert.All(result.Own!, p => Assert.Equal(8 * Math.Pow((double)p.ChlorophyllUgL, -0.5), (double)p.ClarityM, 4));
    }

    [Fact]
    public void Too_few_pairs_have_no_curve_of_their_own_and_what_is_nothing_is_left_out() =>
        Assert.Null(
            ChlorophyllClarity
                .Work(new ChlorophyllClarityRequest([.. Enumerable.Range(0, 8).Select(i => new ChlorophyllClarityPair(i, 3))]))
                .Own
        );
}
