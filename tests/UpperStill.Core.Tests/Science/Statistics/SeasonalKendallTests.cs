using CsCheck;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Science.Statistics;

public sealed class SeasonalKendallTests
{
    private static readonly Gen<(int Season, TrendPoint Point)[]> AnySeries = (
        from season in Gen.Int[5, 8]
        from year in Gen.Int[0, 14]
        from y in Gen.Int[0, 9]
        select (season, new TrendPoint(year, y))
    )
        .Array[4, 40]
        .Select(s => s.DistinctBy(p => (p.season, p.Item2.T)).ToArray());

    // June to August of twelve years, one July missing.
    private static readonly double?[][] Table =
    [
        [10.2, 10.5, 10.4, 9.9, 9.6, 10.1, 10.1, 9.9, 8.7, 10.1, 8.5, 9.2],
        [12.4, 12.5, 11.6, 11.9, null, 11.8, 12.4, 11.9, 11.5, 11.8, 10.8, 10.7],
        [14.2, 14.5, 14.1, 13.6, 13.1, 13.3, 14.4, 12.8, 13.2, 13.0, 13.0, 13.2],
    ];

    [Fact]
    public void Worked_from_the_definitions_alone()
    {
        // Every number was worked out pair by pair from the equations of 1982 and 1984, outside of this code.
        var test = SeasonalKendall.Of(Points(Table));
        Assert.Equal([-36, -32, -34], test.Seasons.Select(s => (int)s.Score.S));
        Assert.Equal((-102, 580.666667, 1304.0), (test.S, Math.Round(test.Variance, 6), Math.Round(test.CovarianceVariance!.Value, 6)));
        Assert.Equal((-0.1, 187L), (Math.Round(test.Slope.Slope!.Value, 9), test.Slope.Slopes));
    }

    [Fact]
    public void Seasons_that_copy_each_other_are_no_more_evidence_than_one()
    {
        var copies = SeasonalKendall.Of(Points([Table[0], Table[0], Table[0]]));
        var one = SeasonalKendall.Of(Points([Table[0]]));
        Assert.Equal(9 * one.Variance, copies.CovarianceVariance!.Value, 6);
        Assert.Equal(3 * one.Variance, copies.Variance, 6);
        Assert.Equal(one.Slope.Slope, copies.Slope.Slope);
    }

    [Fact]
    public void Seasons_that_move_apart_are_told_from_seasons_that_agree()
    {
        double?[] up = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10],
            down = [10, 9, 8, 7, 6, 5, 4, 3, 2, 1];
        var apart = SeasonalKendall.Of(Points([up, down]));
        Assert.Equal(0, apart.S);

        // Z of each is ±45/√125: χ² = 2 · 16.2 = 32.4 with one degree of freedom.
        Assert.Equal(Distributions.ChiSquareAbove(32.4, 1), apart.HeterogeneityP!.Value, 12);
        Assert.True(apart.HeterogeneityP < 0.0001);
        Assert.Equal(1, SeasonalKendall.Of(Points([up, up])).HeterogeneityP!.Value, 9);
    }

    [Fact]
    public void One_season_is_the_plain_test() =>
        AnySeries.Sample(points =>
        {
            TrendPoint[] one = [.. points.Where(p => p.Season == 5).Select(p => p.Point)];
            var test = SeasonalKendall.Of([.. one.Select(p => (5, p))], covariance: false);
            Assert.Equal((KendallScore.Of(one).S, KendallScore.Of(one).P), (test.S, test.P));
            Assert.Equal(TheilSen.Of(one).Slope, test.Slope.Slope);
        });

    [Fact]
    public void A_season_may_be_shifted_by_itself_and_the_years_reversed() =>
        Gen.Select(AnySeries, Gen.Int[-40, 40])
            .Sample(
                (points, shift) =>
                {
                    var test = SeasonalKendall.Of(points);
                    var shifted = SeasonalKendall.Of([
                        .. points.Select(p => (p.Season, p.Point with { Y = p.Point.Y + (p.Season == 6 ? shift : 0) })),
                    ]);
                    Assert.Equal(
                        (test.S, test.Variance, test.CovarianceVariance, test.Slope.Slope),
                        (shifted.S, shifted.Variance, shifted.CovarianceVariance, shifted.Slope.Slope)
                    );
                    var reversed = SeasonalKendall.Of([.. points.Select(p => (p.Season, p.Point with { T = 14 - p.Point.T }))]);
                    Assert.Equal((-test.S, Math.Round(test.UsedVariance, 6)), (reversed.S, Math.Round(reversed.UsedVariance, 6)));
                }
            );

    [Fact]
    public void Fewer_than_ten_years_have_no_covariance_form() =>
        Assert.Null(SeasonalKendall.Of(Points([.. Table.Select(s => s.Take(9).ToArray())])).CovarianceVariance);

    private static (int, TrendPoint)[] Points(double?[][] table) =>
        [
            .. table.SelectMany(
                (season, g) =>
                    season
                        .Select((y, year) => (g + 6, year, y))
                        .Where(p => p.y is not null)
                        .Select(p => (p.Item1, new TrendPoint(2010 + p.year, p.y!.Value)))
            ),
        ];
}
