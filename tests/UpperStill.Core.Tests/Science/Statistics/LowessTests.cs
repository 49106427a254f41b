using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Science.Statistics;

public sealed class LowessTests
{
    // Speed (mph) and stopping distance (ft) of cars, Ezekiel 1930, Methods of Correlation Analysis.
    private static readonly int[] Speed =
    [
        4,
        4,
        7,
        7,
        8,
        9,
        10,
        10,
        10,
        11,
        11,
        12,
        12,
        12,
        12,
        13,
        13,
        13,
        13,
        14,
        14,
        14,
        14,
        15,
        15,
        15,
        16,
        16,
        17,
        17,
        17,
        18,
        18,
        18,
        18,
        19,
        19,
        19,
        20,
        20,
        20,
        20,
        20,
        22,
        23,
        24,
        24,
        24,
        24,
        25,
    ];
    private static readonly int[] Distance =
    [
        2,
        10,
        4,
        22,
        16,
        10,
        18,
        26,
        34,
        17,
        28,
        14,
        20,
        24,
        28,
        26,
        34,
        34,
        46,
        26,
        36,
        60,
        80,
        20,
        26,
        54,
        32,
        40,
        32,
        40,
        50,
        42,
        56,
        76,
        84,
        36,
        46,
        68,
        32,
        48,
        52,
        56,
        64,
        66,
        54,
        70,
        92,
        93,
        120,
        85,
    ];

    [Fact]
    public void The_values_that_the_authors_program_gives_for_the_cars()
    {
        var smooth = Lowess.Of([.. Speed.Zip(Distance, (x, y) => new TrendPoint(x, y))]);
        double[] published = [4.965459, 4.965459, 13.124495, 13.124495, 15.858633, 18.579691, 21.280313, 21.280313, 21.280313, 24.129277];
        Assert.All(published.Zip(smooth), p => Assert.Equal(p.First, p.Second, 5));
    }

    [Fact]
    public void A_straight_line_stays_one_and_two_points_stay_as_they_are()
    {
        Assert.All(Lowess.Of([.. Enumerable.Range(0, 12).Select(i => new TrendPoint(i, 3 + (2 * i)))]).Select((y, i) => (y, i)), p =>
            Assert.Equal(3 + (2 * p.i), p.y, 9)
        );
        Assert.Equal([1, 5], Lowess.Of([new(0, 1), new(1, 5)]));
    }

    [Fact]
    public void One_wild_value_hardly_bends_it()
    {
        TrendPoint[] series = [.. Enumerable.Range(0, 15).Select(i => new TrendPoint(i, i == 7 ? 100 : (i % 2 * 0.1) + 5))];
        Assert.InRange(Lowess.Of(series)[7], 4.9, 5.3);
    }
}
