using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Application.Outings;

/// <summary>The order in which the stations of an outing are visited.</summary>
public static class TravelOrder
{
    // Up to here every order is tried; beyond it the nearest next is taken and crossings are undone.
    private const int EveryOrderUpTo = 8;

    /// <summary>The shortest way past every place, begun at the first of them: the deep spot comes before the others.</summary>
    /// <param name="places">The places; the first is where the day begins.</param>
    /// <returns>Indexes of the places in the order of travel.</returns>
    public static IReadOnlyList<int> Work(IReadOnlyList<Position> places)
    {
        ArgumentNullException.ThrowIfNull(places);
        if (places.Count < 3)
        {
            return [.. Enumerable.Range(0, places.Count)];
        }

        return places.Count <= EveryOrderUpTo
            ? Best(places, [0], Enumerable.Range(1, places.Count - 1).ToHashSet()).Order
            : Untangled(places, NearestNext(places));
    }

    private static (double LengthM, IReadOnlyList<int> Order) Best(
        IReadOnlyList<Position> places,
        IReadOnlyList<int> begun,
        HashSet<int> left
    )
    {
        if (left.Count == 0)
        {
            return (LengthM(places, begun), begun);
        }

        return left.Order().Select(next => Best(places, [.. begun, next], [.. left.Where(l => l != next)])).MinBy(b => b.LengthM);
    }

    private static List<int> NearestNext(IReadOnlyList<Position> places)
    {
        List<int> order = [0];
        HashSet<int> left = [.. Enumerable.Range(1, places.Count - 1)];
        while (left.Count > 0)
        {
            var next = left.MinBy(l => Shape.DistanceM(places[order[^1]], places[l]));
            order.Add(next);
            left.Remove(next);
        }

        return order;
    }

    // Two legs that cross are shorter the other way round (2-opt; Croes 1958, Operations Research 6: 791–812).
    private static List<int> Untangled(IReadOnlyList<Position> places, List<int> order)
    {
        for (var better = true; better; )
        {
            better = false;
            for (var i = 1; i < order.Count - 1; i++)
            {
                for (var j = i + 1; j < order.Count; j++)
                {
                    if (Turned(places, order, i, j) < -0.01)
                    {
                        order.Reverse(i, j - i + 1);
                        better = true;
                    }
                }
            }
        }

        return order;
    }

    // By how much the way grows when the part from i to j is walked the other way round: only its two ends change.
    private static double Turned(IReadOnlyList<Position> places, List<int> order, int i, int j)
    {
        var (before, first, last) = (places[order[i - 1]], places[order[i]], places[order[j]]);
        var change = Shape.DistanceM(before, last) - Shape.DistanceM(before, first);
        return j + 1 == order.Count
            ? change
            : change + Shape.DistanceM(first, places[order[j + 1]]) - Shape.DistanceM(last, places[order[j + 1]]);
    }

    private static double LengthM(IReadOnlyList<Position> places, IReadOnlyList<int> order) =>
        order.Zip(order.Skip(1)).Sum(leg => Shape.DistanceM(places[leg.First], places[leg.Second]));
}
