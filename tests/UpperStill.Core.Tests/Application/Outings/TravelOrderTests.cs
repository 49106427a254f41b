using CsCheck;
using UpperStill.Core.Application.Outings;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Tests.Application.Outings;

public class TravelOrderTests
{
    [Fact]
    public void Stations_along_a_lake_are_visited_one_after_the_other() =>
        Assert.Equal([0, 2, 1, 3], TravelOrder.Work([At(0, 0), At(2, 0), At(1, 0), At(3, 0)]));

    [Fact]
    public void Every_station_once_the_deep_spot_first_and_no_shorter_way_by_exchanging_two() =>
        Gen.Select(Gen.Int[0, 40], Gen.Int[0, 40])
            .Array[1, 12]
            .Sample(
                points =>
                {
                    Position[] places = [.. points.Select(p => At(p.Item1, p.Item2))];
                    var order = TravelOrder.Work(places).ToList();

                    Assert.Equal(Enumerable.Range(0, places.Length), order.Order());
                    Assert.Equal(0, order[0]);
                    for (var i = 1; places.Length <= 8 && i < order.Count; i++)
                    {
                        for (var j = i + 1; j < order.Count; j++)
                        {
                            List<int> other = [.. order];
                            (other[i], other[j]) = (other[j], other[i]);
                            Assert.True(Length(places, order) <= Length(places, other) + 0.01);
                        }
                    }
                },
                iter: 200
            );

    private static double Length(Position[] places, List<int> order) =>
        order.Zip(order.Skip(1)).Sum(l => Shape.DistanceM(places[l.First], places[l.Second]));

    private static Position At(int east, int north) => new(52 + (north * 0.001), -11 + (east * 0.001));
}
