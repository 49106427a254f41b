namespace UpperStill.Core.Science.Geodesy;

/// <summary>Positions, distances and shores on a small piece of the earth.</summary>
public static class Shape
{
    /// <summary>Mean radius of the earth, m (IUGG, 1980).</summary>
    public const double EarthRadiusM = 6_371_008.8;

    /// <summary>Great-circle distance, m, by the haversine formula (Sinnott, Sky and Telescope 68, 1984).</summary>
    public static double DistanceM(Position a, Position b)
    {
        var (phiA, phiB) = (Radians(a.LatitudeDeg), Radians(b.LatitudeDeg));
        var h =
            Square(Math.Sin((phiB - phiA) / 2))
            + (Math.Cos(phiA) * Math.Cos(phiB) * Square(Math.Sin(Radians(b.LongitudeDeg - a.LongitudeDeg) / 2)));
        return 2 * EarthRadiusM * Math.Asin(Math.Min(1, Math.Sqrt(h)));
    }

    /// <summary>
    /// Metres east and north of an origin: every position at its true distance and direction from there, on the ellipsoid. Lines between
    /// positions within 100 km of the origin are straight on it to half a metre in ten kilometres.
    /// </summary>
    public static (double EastM, double NorthM) OnPlane(Position origin, Position position)
    {
        var (distance, azimuth) = Ellipsoid.Between(origin, position);
        return (distance * Math.Sin(azimuth), distance * Math.Cos(azimuth));
    }

    /// <summary>The position that many metres east and north of an origin; its longitude runs from −180 to 180.</summary>
    public static Position FromPlane(Position origin, double eastM, double northM) =>
        Ellipsoid.From(origin, Math.Atan2(eastM, northM), Math.Sqrt((eastM * eastM) + (northM * northM)));

    /// <summary>A longitude, or the difference of two, the short way round: −180 to under 180°.</summary>
    public static double Wrapped(double degrees) =>
        degrees is >= -180 and < 180 ? degrees : degrees - (360 * Math.Floor((degrees + 180) / 360));

    /// <summary>True inside the outer shore and outside every island; even-odd rule.</summary>
    public static bool Holds(IReadOnlyList<IReadOnlyList<Position>> outline, Position at)
    {
        ArgumentNullException.ThrowIfNull(outline);
        return outline.Count(ring => Encloses(ring, at)) % 2 == 1;
    }

    /// <summary>True where the numbers can be a position: finite, in range.</summary>
    public static bool InRange(Position at) => Math.Abs(at.LatitudeDeg) <= 90 && Math.Abs(at.LongitudeDeg) <= 180;

    /// <summary>Radians from degrees.</summary>
    public static double Radians(double degrees) => degrees * Math.PI / 180;

    /// <summary>Degrees from radians.</summary>
    public static double Degrees(double radians) => radians * 180 / Math.PI;

    private static double Square(double value) => value * value;

    private static bool Encloses(IReadOnlyList<Position> ring, Position at)
    {
        // East of the position, from corner to corner the short way round: a shore may lie across the line at which the day changes.
        var inside = false;
        var east = ring.Count == 0 ? 0 : Wrapped(ring[0].LongitudeDeg - at.LongitudeDeg);
        for (var i = 0; i < ring.Count; i++)
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
            var next = east + Wrapped(b.LongitudeDeg - a.LongitudeDeg);
            if (
                (a.LatitudeDeg > at.LatitudeDeg) != (b.LatitudeDeg > at.LatitudeDeg)
                && 0 < ((next - east) * (at.LatitudeDeg - a.LatitudeDeg) / (b.LatitudeDeg - a.LatitudeDeg)) + east
            )
            {
                inside = !inside;
            }

            east = next;
        }

        return inside;
    }
}
