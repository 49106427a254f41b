using System.Globalization;
using CsCheck;
using UpperStill.Core.Science.Sky;

namespace UpperStill.Core.Tests.Science.Sky;

public class TideTests
{
    private static readonly TideConstants Coast = new(
        "test",
        2.0,
        [
            new(TidalConstituent.M2, 1.2, 150),
            new(TidalConstituent.S2, 0.4, 190),
            new(TidalConstituent.N2, 0.2, 130),
            new(TidalConstituent.K1, 0.1, 120),
            new(TidalConstituent.O1, 0.1, 10),
        ]
    );

    [Theory]
    // Speeds of the constituents, °/h: Schureman 1958, Manual of Harmonic Analysis and Prediction of Tides, table 2.
    [InlineData(TidalConstituent.M2, 28.9841042)]
    [InlineData(TidalConstituent.S2, 30.0)]
    [InlineData(TidalConstituent.N2, 28.4397295)]
    [InlineData(TidalConstituent.K1, 15.0410686)]
    [InlineData(TidalConstituent.O1, 13.9430356)]
    public void The_argument_runs_at_the_published_speed(TidalConstituent constituent, double speed)
    {
        // Over a whole turn of the node, 18.6 years, its slow swing adds nothing.
        var from = new DateTimeOffset(2007, 1, 1, 0, 0, 0, TimeSpan.Zero);
        var hours = 6798.383 * 24;
        var turned = Difference(
            Tide.Argument(constituent, from.AddHours(hours)).ArgumentDeg,
            Tide.Argument(constituent, from).ArgumentDeg + (speed * hours)
        );

        Assert.Equal(0, turned, 0.5);
    }

    [Theory]
    // New and full moons of 2026 by the almanac: the tides of moon and sun rise together, but for the moon's uneven pace.
    [InlineData("2026-08-12T17:37Z", 0)]
    [InlineData("2026-01-03T10:03Z", 0)]
    [InlineData("2026-02-24T12:28Z", 180)] // first quarter: one against the other
    [InlineData("2026-07-07T19:29Z", 180)] // last quarter
    public void Springs_come_with_new_and_full_moon_and_neaps_with_the_quarters(string instant, double apart)
    {
        var at = DateTimeOffset.Parse(instant, CultureInfo.InvariantCulture);
        var difference = Difference(
            Tide.Argument(TidalConstituent.M2, at).ArgumentDeg,
            Tide.Argument(TidalConstituent.S2, at).ArgumentDeg + apart
        );

        Assert.Equal(0, difference, 18.0);
    }

    [Fact]
    public void The_moons_and_the_suns_daily_tides_make_up_the_moons_twice_daily_one() =>
        Gen.Int[0, 20_000]
            .Sample(day =>
            {
                // V(K1) + V(O1) = V(M2): their Doodson numbers add up (Doodson 1921); the node's swing is left aside where it is 0.
                var at = new DateTimeOffset(2000, 1, 1, 0, 0, 0, TimeSpan.Zero).AddHours(day * 7);
                var (k1, o1, m2) = (
                    Tide.Argument(TidalConstituent.K1, at).ArgumentDeg,
                    Tide.Argument(TidalConstituent.O1, at).ArgumentDeg,
                    Tide.Argument(TidalConstituent.M2, at).ArgumentDeg
                );

                Assert.InRange(Math.Abs(Difference(k1 + o1, m2)), 0, 4.1);
            });

    [Fact]
    public void The_moons_node_strengthens_and_weakens_within_the_published_range()
    {
        // Pugh 1987, table 4.3: M2 0.963–1.037, O1 0.822–1.196, K1 0.891–1.121, S2 always 1.
        var factors = Enumerable.Range(0, 6800).Select(d => new DateTimeOffset(2000, 1, 1, 0, 0, 0, TimeSpan.Zero).AddDays(d)).ToList();

        Assert.Equal((0.963, 1.037), Range(TidalConstituent.M2));
        Assert.Equal((0.822, 1.196), Range(TidalConstituent.O1));
        Assert.Equal((0.891, 1.121), Range(TidalConstituent.K1));
        Assert.Equal((1, 1), Range(TidalConstituent.S2));

        (double, double) Range(TidalConstituent c) =>
            (Math.Round(factors.Min(f => Tide.Argument(c, f).Factor), 3), Math.Round(factors.Max(f => Tide.Argument(c, f).Factor), 3));
    }

    [Fact]
    public void High_and_low_water_take_turns_and_nothing_between_them_is_higher_or_lower() =>
        Gen.Int[0, 365]
            .Sample(
                day =>
                {
                    var from = new DateTimeOffset(2026, 1, 1, 0, 0, 0, TimeSpan.Zero).AddDays(day);
                    var turns = Tide.Turns(Coast, from, from.AddDays(2));

                    Assert.InRange(turns.Count, 7, 9);
                    Assert.All(turns.Zip(turns.Skip(1)), pair =>
                    {
                        Assert.NotEqual(pair.First.High, pair.Second.High);
                        for (var at = pair.First.At; at < pair.Second.At; at = at.AddMinutes(20))
                        {
                            Assert.InRange(
                                Tide.HeightM(Coast, at),
                                Math.Min(pair.First.HeightM, pair.Second.HeightM) - 0.001,
                                Math.Max(pair.First.HeightM, pair.Second.HeightM) + 0.001
                            );
                        }
                    });
                },
                iter: 40
            );

    [Fact]
    public void One_constituent_alone_is_a_cosine()
    {
        // The sun's tide with no lag stands highest at noon and midnight of Greenwich, half a day apart.
        var sun = new TideConstants("sun", 0, [new(TidalConstituent.S2, 1, 0)]);
        var noon = new DateTimeOffset(2026, 8, 12, 12, 0, 0, TimeSpan.Zero);

        Assert.Equal(1, Tide.HeightM(sun, noon), 9);
        Assert.Equal(-1, Tide.HeightM(sun, noon.AddHours(6)), 9);
        Assert.Equal(noon, Tide.Turns(sun, noon.AddHours(-1), noon.AddHours(1)).Single().At, TimeSpan.FromSeconds(2));
    }

    private static double Difference(double a, double b) => ((((a - b) % 360) + 540) % 360) - 180;
}
