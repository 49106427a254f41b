using CsCheck;
using UpperStill.Core.Protocols.Profile;

namespace UpperStill.Core.Tests.Protocols.Profile;

public class LoggedCastTests
{
    [Theory]
    [InlineData("0 1 2 3 2 1 0", "0 1 2 3", false)] // down and up
    [InlineData("1 1 1 0.1 0.2 1 2 1 0", "4 5 6", false)] // a soak at one metre, then from the surface
    [InlineData("0.3 0.35 0.3 1 2", "2 3 4", false)] // a soak at the surface itself: of it the last row
    [InlineData("0 1 0.8 1.1 2", "0 1 3 4", false)] // the swell lifts it
    [InlineData("0 1 0.97 1 2", "0 1 2 3 4", false)] // but not a sensor's noise
    [InlineData("3 2 1 0", "3 2 1 0", true)] // only the way up, shallow first
    [InlineData("0 x 1 x 2", "0 2 4", false)] // rows without a depth
    [InlineData("0.5 0.5 0.5", "2", false)] // never lowered: all of it is soak
    [InlineData("0 1 2 2 2 1", "0 1 2 3 4", false)] // held at the bottom
    [InlineData("x x", "", false)]
    [InlineData("", "", false)]
    public void The_way_down_is_picked(string depths, string expected, bool wayUp)
    {
        var (rows, up) = LoggedCast.Pick(Depths(depths));

        Assert.Equal((expected, wayUp), (string.Join(' ', rows), up));
    }

    [Fact]
    public void What_is_picked_goes_down_and_keeps_the_deepest_row() =>
        Gen.Double[0, 40]
            .Array[1, 60]
            .Sample(depths =>
            {
                var (rows, _) = LoggedCast.Pick(depths);

                Assert.Contains(rows, r => depths[r] == depths.Max());
                Assert.All(rows.Zip(rows.Skip(1)), pair =>
                    Assert.True(depths[pair.Second] >= rows.TakeWhile(r => r != pair.Second).Max(r => depths[r]) - 0.051)
                );
                Assert.Equal(rows.Count, rows.Distinct().Count());
            });

    [Fact]
    public void A_row_belongs_to_the_nearest_level_and_to_no_other() =>
        Gen.Select(Gen.Double[0, 12].Array[1, 80], Gen.Int[1, 3])
            .Sample(
                (depths, gap) =>
                {
                    double[] levels = [.. Enumerable.Range(0, 10 / gap).Select(i => (double)(i * gap))];
                    var bins = LoggedCast.Bin(depths, [.. Enumerable.Range(0, depths.Length)], levels);

                    for (var i = 0; i < depths.Length; i++)
                    {
                        var holding = Enumerable.Range(0, levels.Length).Where(l => bins[l].Contains(i)).ToList();
                        var nearest = levels.Min(l => Math.Abs(l - depths[i]));
                        Assert.Equal(nearest <= (levels.Length == 1 ? 0.5 : gap / 2.0) ? 1 : 0, holding.Count);
                        Assert.All(holding, l => Assert.Equal(nearest, Math.Abs(levels[l] - depths[i])));
                    }
                }
            );

    [Theory]
    [InlineData("3 1 2", 2)]
    [InlineData("1 2 3 10", 2.5)]
    [InlineData("1 x 3", 2)]
    [InlineData("x", double.NaN)]
    public void A_median_leaves_out_what_is_missing(string values, double median) =>
        Assert.Equal(median, LoggedCast.Median(Depths(values), [.. Enumerable.Range(0, Depths(values).Length)]));

    private static double[] Depths(string text) =>
        [
            .. text.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(t => t == "x" ? double.NaN : double.Parse(t, System.Globalization.CultureInfo.InvariantCulture)),
        ];
}
