using CsCheck;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Tests.Science.Geodesy;

/// <summary>Vincenty’s formulas.</summary>
public class EllipsoidTests
{
    [Fact]
    public void The_published_line_between_two_hills_has_its_length_and_direction()
    {
        // Geocentric Datum of Australia, Technical Manual, ch. 4: Flinders Peak to Buninyong, 54 972.271 m, 306° 52′ 05.37″.
        var (distance, azimuth) = Ellipsoid.Between(
            new Position(-(37 + (57 / 60.0) + (3.72030 / 3600)), 144 + (25 / 60.0) + (29.52440 / 3600)),
            new Position(-(37 + (39 / 60.0) + (10.15610 / 3600)), 143 + (55 / 60.0) + (35.38390 / 3600))
        );

        Assert.Equal(54_972.271, distance, 0.001);
        Assert.Equal(306 + (52 / 60.0) + (5.37 / 3600), (Shape.Degrees(azimuth) + 360) % 360, 0.00001);
    }

    [Fact]
    public void Going_there_and_looking_back_from_where_one_came_gives_the_same_line() =>
        Gen.Select(Gen.Double[-85, 85], Gen.Double[-180, 179.999], Gen.Double[0, 360], Gen.Double[1, 200_000])
            .Sample(
                (latitude, longitude, azimuth, distance) =>
                {
                    var from = new Position(latitude, longitude);
                    var (back, direction) = Ellipsoid.Between(from, Ellipsoid.From(from, Shape.Radians(azimuth), distance));

                    Assert.Equal(distance, back, 0.001);
                    Assert.Equal(0, Math.Sin(direction - Shape.Radians(azimuth)) * distance, 0.002);
                }
            );

    [Fact]
    public void Opposite_points_have_a_distance_too() =>
        Assert.InRange(Ellipsoid.Between(new Position(0, 0), new Position(0.1, 179.9)).DistanceM, 19_900_000, 20_040_000);

    [Theory]
    [InlineData(190, -170)]
    [InlineData(-180, -180)]
    [InlineData(180, -180)]
    [InlineData(-540.5, 179.5)]
    [InlineData(12, 12)]
    public void Longitudes_run_the_short_way_round(double degrees, double wrapped) => Assert.Equal(wrapped, Shape.Wrapped(degrees), 1e-9);

    [Fact]
    public void A_lake_across_the_date_line_holds_what_lies_in_it()
    {
        Position[] shore = [new(-17, 179.9), new(-17, -179.9), new(-16.8, -179.9), new(-16.8, 179.9), new(-17, 179.9)];

        Assert.True(Shape.Holds([shore], new Position(-16.9, 179.95)));
        Assert.True(Shape.Holds([shore], new Position(-16.9, -179.95)));
        Assert.False(Shape.Holds([shore], new Position(-16.9, 179.85)));
        Assert.False(Shape.Holds([shore], new Position(-16.9, 0)));
    }
}
