using CsCheck;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Science.Statistics;

public sealed class KendallScoreTests
{
    private static readonly Gen<TrendPoint> AnyPoint =
        from t in Gen.Int[0, 12]
        from y in Gen.Int[0, 6]
        from censored in Gen.OneOfConst(Censoring.None, Censoring.None, Censoring.Above, Censoring.Below)
        select new TrendPoint(t, y, censored);

    [Theory]
    [InlineData(10, 125)] // Kendall 1975, n(n-1)(2n+5)/18
    [InlineData(4, 8.6667)]
    [InlineData(3, 3.6667)]
    [InlineData(2, 1)]
    public void Without_ties_the_variance_is_that_of_the_tables(int count, double variance)
    {
        var score = KendallScore.Of([.. Enumerable.Range(0, count).Select(i => new TrendPoint(i, i))]);
        Assert.Equal((variance, count * (count - 1) / 2), (Math.Round(score.Variance, 4), score.S));
    }

    [Fact]
    public void Worked_from_the_definitions_alone()
    {
        // S, variance with its tie groups and p were worked out pair by pair, outside of this code.
        var score = KendallScore.Of(Thirteen);
        Assert.Equal(-59, score.S);
        Assert.Equal(265.666667, score.Variance, 6);
        Assert.Equal(0.000373066166, score.P, 10);
    }

    [Fact]
    public void The_score_counts_pairs_whose_order_is_certain() =>
        AnyPoint
            .Array[0, 25]
            .Sample(points =>
            {
                long s = 0,
                    certain = 0;
                foreach (var (a, b) in from a in points from b in points where a.T < b.T select (a, b))
                {
                    var (rises, falls) = (Certainly(a, b), Certainly(b, a));
                    s +=
                        rises ? 1
                        : falls ? -1
                        : 0;
                    certain += rises || falls ? 1 : 0;
                }

                var score = KendallScore.Of(points);
                Assert.Equal((s, certain), (score.S, score.Certain));
            });

    [Fact]
    public void The_variance_is_that_over_all_orders_ties_and_censored_values_included() =>
        AnyPoint
            .Array[2, 6]
            .Sample(
                points =>
                {
                    double[] scores =
                    [
                        .. Orders(points.Length)
                            .Select(order =>
                                (double)KendallScore.Of([.. order.Select((from, i) => points[from] with { T = points[i].T })]).S
                            ),
                    ];
                    Assert.Equal(0, scores.Average(), 9);
                    Assert.Equal(scores.Average(s => s * s), KendallScore.Of(points).Variance, 6);
                },
                iter: 40
            );

    [Fact]
    public void Shifted_or_stretched_it_is_the_same_and_reversed_it_turns_its_sign() =>
        Gen.Select(AnyPoint.Array[0, 20], Gen.Int[1, 9], Gen.Int[-50, 50])
            .Sample(
                (points, by, shift) =>
                {
                    var score = KendallScore.Of(points);
                    Assert.Equal(
                        score,
                        KendallScore.Of([.. points.Select(p => p with { Y = (p.Y * by) + shift, T = (p.T * by) - shift })])
                    );
                    Assert.Equal(-score.S, KendallScore.Of([.. points.Select(p => p with { T = -p.T })]).S);
                }
            );

    [Fact]
    public void The_order_in_which_values_come_does_not_matter() =>
        Gen.Select(AnyPoint.Array[0, 20], Gen.Int)
            .Sample(
                (points, seed) =>
                {
                    var other = points.ToArray();
                    new Random(seed).Shuffle(other);
                    Assert.Equal(KendallScore.Of(points), KendallScore.Of(other));
                }
            );

    [Fact]
    public void A_disc_on_the_bottom_counts_only_where_its_order_is_certain()
    {
        // "> 2.4" after 2.1 is higher; after 3.0 nobody knows.
        Assert.Equal(1, KendallScore.Of([new(1, 2.1), new(2, 2.4, Censoring.Above)]).S);
        Assert.Equal(
            (0, 0),
            (
                KendallScore.Of([new(1, 3.0), new(2, 2.4, Censoring.Above)]).S,
                KendallScore.Of([new(1, 3.0), new(2, 2.4, Censoring.Above)]).Certain
            )
        );
        Assert.Equal(0, KendallScore.Of([new(1, 2.4, Censoring.Above), new(2, 9, Censoring.Above)]).S);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    [InlineData(2)]
    public void Too_few_values_and_values_all_alike_say_nothing(int count)
    {
        Assert.Equal(1, KendallScore.Of([.. Enumerable.Range(0, count).Select(i => new TrendPoint(i, i))]).P, 9);
        Assert.Equal(
            (0, 0.0, 1.0),
            (
                KendallScore.Of([.. Enumerable.Range(0, 9).Select(i => new TrendPoint(i, 5))]).S,
                KendallScore.Of([.. Enumerable.Range(0, 9).Select(i => new TrendPoint(i, 5))]).Variance,
                KendallScore.Of([.. Enumerable.Range(0, 9).Select(i => new TrendPoint(i, 5))]).P
            )
        );
    }

    internal static TrendPoint[] Thirteen { get; } =
    [
        new(2013, 5.6),
        new(2014, 5.4),
        new(2015, 5.7),
        new(2016, 5.2),
        new(2017, 5.3),
        new(2019, 5.1),
        new(2020, 4.9),
        new(2021, 5.2),
        new(2022, 4.8),
        new(2023, 4.7),
        new(2024, 4.9),
        new(2025, 4.6),
        new(2026, 4.7),
    ];

    private static bool Certainly(TrendPoint lower, TrendPoint higher) =>
        (lower.Censored, higher.Censored) switch
        {
            (Censoring.None, Censoring.None) => lower.Y < higher.Y,
            (Censoring.None or Censoring.Below, Censoring.None or Censoring.Above) => lower.Y <= higher.Y,
            _ => false,
        };

    private static IEnumerable<int[]> Orders(int count) =>
        count == 0
            ?
            [
                [],
            ]
            : Orders(count - 1)
                .SelectMany(o => Enumerable.Range(0, count).Select(at => o.Take(at).Append(count - 1).Concat(o.Skip(at)).ToArray()));
}
