using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Science.Sky;

/// <summary>Where the sun stands.</summary>
/// <param name="AltitudeDeg">Above the horizon, degrees, without refraction.</param>
/// <param name="AzimuthDeg">Clockwise from north, degrees.</param>
public readonly record struct SunPosition(double AltitudeDeg, double AzimuthDeg);

/// <summary>The sun by the low-accuracy method of Meeus, Astronomical Algorithms, 2nd ed. 1998, chapters 25 and 28: good to 0.01° from 1900
/// to 2100.</summary>
public static class Sun
{
    private const double J2000 = 2_451_545.0;
    private const double UnixEpochJulian = 2_440_587.5;

    /// <summary>The sun over a place at an instant.</summary>
    public static SunPosition Over(Position place, DateTimeOffset instant)
    {
        var (declination, equationMinutes) = Of(instant);
        var minutes = instant.UtcDateTime.TimeOfDay.TotalMinutes + equationMinutes + (4 * place.LongitudeDeg);
        var hourAngle = Radians((minutes / 4) - 180);
        var latitude = Radians(place.LatitudeDeg);
        var altitude = Math.Asin(
            (Math.Sin(latitude) * Math.Sin(declination)) + (Math.Cos(latitude) * Math.Cos(declination) * Math.Cos(hourAngle))
        );
        var azimuth = Math.Atan2(
            Math.Sin(hourAngle),
            (Math.Cos(hourAngle) * Math.Sin(latitude)) - (Math.Tan(declination) * Math.Cos(latitude))
        );
        return new SunPosition(Degrees(altitude), (Degrees(azimuth) + 180) % 360);
    }

    /// <summary>The instant of a local day at which the sun stands highest over a place, by the clock of an offset from UTC.</summary>
    /// <param name="place">Where.</param>
    /// <param name="day">The day by that clock.</param>
    /// <param name="offset">The clock's offset from UTC. A clock may be so far from the sun that a day has no such instant; then the
    /// nearest is given.</param>
    public static DateTimeOffset Noon(Position place, DateOnly day, TimeSpan offset)
    {
        var noons = new[] { 0, -1, 1 }
            .Where(d => day.DayNumber + d >= DateOnly.MinValue.DayNumber && day.DayNumber + d <= DateOnly.MaxValue.DayNumber)
            .Select(d => OfUtcDay(place, day.AddDays(d)).ToOffset(offset))
            .ToList();
        return noons.FirstOrDefault(n => DateOnly.FromDateTime(n.DateTime) == day, noons[0]);
    }

    private static DateTimeOffset OfUtcDay(Position place, DateOnly day)
    {
        var noon = new DateTimeOffset(day.ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero).AddMinutes(-4 * place.LongitudeDeg);
        return noon.AddMinutes(-Of(noon).EquationMinutes);
    }

    /// <summary>Apparent declination of the sun, degrees, north positive.</summary>
    public static double DeclinationDeg(DateTimeOffset instant) => Degrees(Of(instant).Declination);

    /// <summary>Minutes by which a sundial is ahead of a clock that keeps mean time.</summary>
    public static double EquationOfTimeMinutes(DateTimeOffset instant) => Of(instant).EquationMinutes;

    private static (double Declination, double EquationMinutes) Of(DateTimeOffset instant)
    {
        var t = ((instant.ToUnixTimeMilliseconds() / 86_400_000.0) + UnixEpochJulian - J2000) / 36_525;
        var meanLongitude = 280.46646 + (t * (36_000.76983 + (t * 0.0003032)));
        var anomaly = Radians(357.52911 + (t * (35_999.05029 - (0.0001537 * t))));
        var eccentricity = 0.016708634 - (t * (0.000042037 + (0.0000001267 * t)));
        var centre =
            (Math.Sin(anomaly) * (1.914602 - (t * (0.004817 + (0.000014 * t)))))
            + (Math.Sin(2 * anomaly) * (0.019993 - (0.000101 * t)))
            + (Math.Sin(3 * anomaly) * 0.000289);
        var node = Radians(125.04 - (1934.136 * t));
        var apparent = Radians(meanLongitude + centre - 0.00569 - (0.00478 * Math.Sin(node)));
        var obliquity = Radians(
            23.0 + ((26.0 + ((21.448 - (t * (46.8150 + (t * (0.00059 - (t * 0.001813)))))) / 60)) / 60) + (0.00256 * Math.Cos(node))
        );
        var declination = Math.Asin(Math.Sin(obliquity) * Math.Sin(apparent));

        var y = Math.Pow(Math.Tan(obliquity / 2), 2);
        var l = Radians(meanLongitude);
        var equation =
            (y * Math.Sin(2 * l))
            - (2 * eccentricity * Math.Sin(anomaly))
            + (4 * eccentricity * y * Math.Sin(anomaly) * Math.Cos(2 * l))
            - (y * y / 2 * Math.Sin(4 * l))
            - (1.25 * eccentricity * eccentricity * Math.Sin(2 * anomaly));
        return (declination, 4 * Degrees(equation));
    }

    private static double Radians(double degrees) => Shape.Radians(degrees);

    private static double Degrees(double radians) => Shape.Degrees(radians);
}
