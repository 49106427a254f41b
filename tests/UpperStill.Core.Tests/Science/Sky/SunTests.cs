using CsCheck;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Sky;

namespace UpperStill.Core.Tests.Science.Sky;

public class SunTests
{
    [Fact]
    public void The_declination_of_the_published_example() =>
        // Meeus, Astronomical Algorithms, example 25.a: 13 October 1992, 0 h dynamical time, -7.78507°.
        Assert.Equal(-7.78507, Sun.DeclinationDeg(new DateTimeOffset(1992, 10, 13, 0, 0, 0, TimeSpan.Zero)), 0.003);

    [Fact]
    public void The_equation_of_time_of_the_published_example() =>
        // Meeus, example 28.b: the same instant, +13 min 42.7 s by the shorter method.
        Assert.Equal(13.711, Sun.EquationOfTimeMinutes(new DateTimeOffset(1992, 10, 13, 0, 0, 0, TimeSpan.Zero)), 0.02);

    [Theory]
    [InlineData("2026-06-21T09:00Z", 23.44)]
    [InlineData("2026-12-21T21:00Z", -23.44)]
    [InlineData("2026-03-20T14:46Z", 0)]
    [InlineData("2026-09-23T00:05Z", 0)]
    public void At_solstice_and_equinox_the_declination_is_the_obliquity_or_nothing(string instant, double declination) =>
        Assert.Equal(
            declination,
            Sun.DeclinationDeg(DateTimeOffset.Parse(instant, System.Globalization.CultureInfo.InvariantCulture)),
            0.01
        );

    [Fact]
    public void At_its_noon_the_sun_stands_in_the_meridian_and_highest() =>
        Gen.Select(Gen.Double[30, 66], Gen.Double[-179, 179], Gen.Int[0, 364])
            .Sample(
                (latitude, longitude, day) =>
                {
                    var place = new Position(latitude, longitude);
                    var today = new DateOnly(2026, 1, 1).AddDays(day);

                    // By the clock of the zone that the longitude lies in, whichever of the two it keeps in summer.
                    var offset = TimeSpan.FromHours(Math.Round(longitude / 15) + (day % 2));
                    var noon = Sun.Noon(place, today, offset);
                    Assert.Equal((today, offset), (DateOnly.FromDateTime(noon.DateTime), noon.Offset));
                    var at = Sun.Over(place, noon);

                    Assert.Equal(180, at.AzimuthDeg, 0.3);
                    Assert.Equal(90 - latitude + Sun.DeclinationDeg(noon), at.AltitudeDeg, 0.01);
                    Assert.True(Sun.Over(place, noon.AddMinutes(20)).AltitudeDeg < at.AltitudeDeg);
                    Assert.True(Sun.Over(place, noon.AddMinutes(-20)).AltitudeDeg < at.AltitudeDeg);
                }
            );

    [Theory]
    [InlineData(-44.0, 170.5, 13)] // summer time of a zone that is half a day ahead
    [InlineData(21.3, -157.8, -10)]
    [InlineData(-13.8, -171.8, 13)] // east of the line by its clock, west of it by its longitude
    [InlineData(52, -179.5, -12)]
    public void Noon_belongs_to_the_day_of_the_clock(double latitude, double longitude, int hours)
    {
        var result = SunRule.Work(new SunRequest(latitude, longitude, new DateTimeOffset(2026, 1, 15, 6, 0, 0, TimeSpan.FromHours(hours))));

        Assert.Equal(new DateTime(2026, 1, 15), result.Noon.DateTime.Date);
        Assert.InRange(result.Noon.Hour, 11, 14);
    }

    [Theory]
    [InlineData(200, 0, 2026)]
    [InlineData(50, 181, 2026)]
    [InlineData(50, 0, 1899)]
    public void A_place_that_is_none_and_a_year_beyond_its_reach_are_refused(double latitude, double longitude, int year) =>
        Assert.Throws<ArgumentOutOfRangeException>(() =>
            SunRule.Work(new SunRequest(latitude, longitude, new DateTimeOffset(year, 6, 1, 12, 0, 0, TimeSpan.Zero)))
        );

    [Fact]
    public void Just_west_of_north_is_north_and_not_a_full_circle()
    {
        // Under the southern noon sun; the azimuth lies within a twentieth of a degree of north.
        var noon = Sun.Noon(new Position(-45, 0), new DateOnly(2026, 6, 1), TimeSpan.Zero).AddSeconds(5);
        var result = SunRule.Work(new SunRequest(-45, 0, noon));

        Assert.InRange(result.AzimuthDeg, 359.95, 360);
        Assert.Contains("in direction 0.0°", result.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void In_the_morning_it_stands_in_the_east_and_in_the_evening_in_the_west()
    {
        var place = new Position(51.9, 0);

        Assert.InRange(Sun.Over(place, new DateTimeOffset(2026, 8, 12, 6, 0, 0, TimeSpan.Zero)).AzimuthDeg, 60, 110);
        Assert.InRange(Sun.Over(place, new DateTimeOffset(2026, 8, 12, 18, 0, 0, TimeSpan.Zero)).AzimuthDeg, 250, 300);
    }
}
