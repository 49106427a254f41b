using CsCheck;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Tests.Science.Geodesy;

public class ResectionTests
{
    private static readonly Position Boat = new(51.9127, -21.4419);

    [Theory]
    [InlineData(0, 0, 0, 1, 111_195.08)]
    [InlineData(50.0663889, -5.7147222, 58.6438889, -3.07, 968_854.8)]
    public void Distance_is_the_great_circle(double latA, double lonA, double latB, double lonB, double metres) =>
        // One degree of the equator: 2πR/360. The second by the spherical law of cosines, acos(sin φ1 sin φ2 + cos φ1 cos φ2 cos Δλ)·R.
        Assert.Equal(metres, Shape.DistanceM(new Position(latA, lonA), new Position(latB, lonB)), 1.0);

    [Fact]
    public void Three_true_bearings_meet_in_the_boat()
    {
        var result = Resection.Work(new ResectionRequest([To("chapel", 600, 20), To("barn", 800, 130), To("oak", 500, 255)]));

        Assert.Empty(result.Findings);
        Assert.True(Shape.DistanceM(Boat, result.At!.Value) < 0.5, $"{result.At}");
        Assert.True(result.LongestSideM < 0.5);
        Assert.Equal(3, result.Corners!.Count);
    }

    [Fact]
    public void The_declination_turns_every_line_alike()
    {
        var magnetic = new[] { To("chapel", 600, 20, 4.5), To("barn", 800, 130, 4.5), To("oak", 500, 255, 4.5) };

        Assert.True(Shape.DistanceM(Boat, Resection.Work(new ResectionRequest(magnetic, 4.5)).At!.Value) < 0.5);
        Assert.True(Shape.DistanceM(Boat, Resection.Work(new ResectionRequest(magnetic)).At!.Value) > 10);
    }

    [Fact]
    public void Bearings_read_to_a_degree_lie_within_their_triangle_of_the_boat() =>
        Gen.Select(Gen.Double[-1, 1].Array[3], Gen.Double[0, 360])
            .Sample(
                (errors, turn) =>
                {
                    var bearings = errors.Select((e, i) => To($"mark {i}", 700, (turn + (i * 120)) % 360, -e)).ToList();
                    var result = Resection.Work(new ResectionRequest(bearings, 0, 1000));

                    // One degree at 700 m is 12 m; least squares stays within the lines' own error.
                    Assert.True(Shape.DistanceM(Boat, result.At!.Value) < 25);
                    Assert.True(result.LongestSideM < 90);
                }
            );

    [Fact]
    public void Across_the_date_line_a_mark_lies_106_m_east_and_not_the_world_west()
    {
        // By hand: a/√(1 − e² sin² 17°) × cos 17° × 0.001° = 106.49 m.
        var (east, north) = Shape.OnPlane(new Position(-17, 179.9995), new Position(-17, -179.9995));

        Assert.Equal(106.49, east, 0.01);
        Assert.Equal(0, north, 0.01);
    }

    [Fact]
    public void Marks_near_and_far_give_the_place_on_either_side_of_the_date_line() =>
        Gen.Select(
                Gen.Double[-70, 70],
                Gen.OneOf(Gen.Double[-180, 180], Gen.Double[179.99, 180.01]),
                Gen.Double[200, 60_000].Array[3],
                Gen.Double[0, 360]
            )
            .Sample(
                (latitude, longitude, away, turn) =>
                {
                    // Bearings are made by going from each place to its mark: what the rule does, the other way round. The date line lies
                    // among some.
                    var here = new Position(latitude, Shape.Wrapped(longitude));
                    var bearings = away.Select(
                        (distance, i) =>
                        {
                            var at = Ellipsoid.From(here, Shape.Radians(turn + (i * 120)), distance);
                            return new Bearing(new Landmark($"mark {i}", at.LatitudeDeg, at.LongitudeDeg), (turn + (i * 120)) % 360);
                        }
                    );
                    var result = Resection.Work(new ResectionRequest([.. bearings]));

                    Assert.Empty(result.Findings);
                    Assert.True(Shape.DistanceM(here, result.At!.Value) < 0.5, $"{here} and {result.At}");
                }
            );

    [Fact]
    public void A_bearing_past_north_begins_at_nought()
    {
        var steps = Resection
            .Work(new ResectionRequest([To("chapel", 600, 355, 0), To("barn", 800, 130, 0), To("oak", 500, 255, 0)], 13.5))
            .Working!.Steps;

        Assert.Contains("355.0° + 13.5° − 360° = 8.5° true", steps[0], StringComparison.Ordinal);
    }

    [Fact]
    public void Marks_that_nobody_sees_together_are_refused()
    {
        var far = new Bearing(new Landmark("far", 48, 11), 90);

        Assert.Contains(Resection.Work(new ResectionRequest([To("chapel", 600, 20), To("barn", 800, 130), far])).Findings, f =>
            f.Finding.Code == "mark-far"
        );
    }

    [Fact]
    public void A_worked_case_by_hand()
    {
        // Marks 1000 m north and 1000 m east of the boat, and one 500 m to the north-east that is read 5° off:
        // its line passes 500·sin 5° = 43.58 m beside the boat, so the corners of the triangle are
        // where it crosses the other two: 43.58·√2 = 61.63 m along each, the longest side √2·61.63 = 87.16 m.
        var result = Resection.Work(new ResectionRequest([To("north", 1000, 0), To("east", 1000, 90), To("middle", 500, 45, -5)], 0, 100));

        Assert.Equal(87.2, result.LongestSideM!.Value, 1.5);
    }

    [Fact]
    public void Three_bearings_side_by_side_give_no_position()
    {
        var result = Resection.Work(new ResectionRequest([To("a", 900, 40), To("b", 1200, 43), To("c", 700, 218)]));

        Assert.Null(result.At);
        Assert.Equal("bearings-parallel", Assert.Single(result.Findings).Finding.Code);
    }

    [Fact]
    public void A_bearing_read_from_the_wrong_end_of_the_needle_is_named()
    {
        var reversed = To("oak", 500, 255) with { BearingDeg = 75 };
        var result = Resection.Work(new ResectionRequest([To("chapel", 600, 20), To("barn", 800, 130), reversed]));

        Assert.Contains(result.Findings, f =>
            f.Finding.Code == "bearing-reversed"
            && f.Finding.Seen.Contains("oak", StringComparison.Ordinal)
            && f.Finding.Act.Contains("255°", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(2, 20, "bearings-few")]
    [InlineData(3, 361, "bearing-range")]
    [InlineData(3, double.NaN, "bearing-range")]
    public void What_cannot_be_a_bearing_is_refused(int count, double first, string code)
    {
        var bearings = new[] { To("a", 600, 20) with { BearingDeg = first }, To("b", 800, 130), To("c", 500, 255) }.Take(count).ToList();

        Assert.Contains(Resection.Work(new ResectionRequest(bearings)).Findings, f => f.Finding.Code == code);
    }

    [Fact]
    public void Every_step_of_the_working_is_shown()
    {
        var working = Resection.Work(new ResectionRequest([To("chapel", 600, 20), To("barn", 800, 130), To("oak", 500, 255)])).Working!;

        Assert.Contains(working.Steps, s => s.StartsWith("chapel: 20.0° + 0.0° = 20.0° true", StringComparison.Ordinal));
        Assert.Contains(working.Steps, s => s.StartsWith("position 51.9127", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(0, 90, 90, false)]
    [InlineData(10, 35, 25, true)]
    [InlineData(10, 200, 10, true)]
    public void Two_transits_cross_in_the_boat_at_their_angle(double first, double second, double angle, bool weak)
    {
        var result = TransitCrossing.Work(new TransitRequest([Line(first), Line(second)]));

        Assert.Equal(angle, result.AngleDeg!.Value, 0.1);
        Assert.True(Shape.DistanceM(Boat, result.At!.Value) < 2);
        Assert.Equal(weak, result.Findings.Any(f => f.Finding.Code == "transits-weak"));
    }

    private static Transit Line(double bearing) => new(To("near", 300, bearing).Mark, To("far", 900, bearing).Mark);

    /// <summary>A landmark at a distance and true bearing from the boat, as a compass with this declination would show it.</summary>
    private static Bearing To(string name, double metres, double trueDeg, double declination = 0)
    {
        var radians = trueDeg * Math.PI / 180;
        var mark = Shape.FromPlane(Boat, metres * Math.Sin(radians), metres * Math.Cos(radians));
        return new Bearing(new Landmark(name, mark.LatitudeDeg, mark.LongitudeDeg), (trueDeg - declination + 360) % 360);
    }
}
