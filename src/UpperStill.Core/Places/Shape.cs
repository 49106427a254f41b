namespace UpperStill.Core.Places;

/// <summary>Positions, distances and shores on a small piece of the earth.</summary>
public static class Shape
{
    /// <summary>Mean radius of the earth, m (IUGG, 1980).</summary>
    public const double EarthRadiusM = 6_371_008.8;

    /// <summary>Great-circle distance, m, by the haversine formula (Sinnott, Sky and Telescope 68, 1984).</summary>
    public static double DistanceM(Position a, Position b)
    {
        var (phiA, phiB) = (Radians(a.LatitudeDeg), Radians(b.LatitudeDeg));
        var h = Square(Math.Sin((phiB - phiA) / 2)) + (Math.Cos(phiA) * Math.Cos(phiB) * Square(Math.Sin(Radians(b.LongitudeDeg - a.LongitudeDeg) / 2)));
        return 2 * EarthRadiusM * Math.Asin(Math.Min(1, Math.Sqrt(h)));
    }

    /// <summary>Metres east and north of an origin, on a plane that touches the earth there; good to some tens of kilometres.</summary>
    public static (double EastM, double NorthM) OnPlane(Position origin, Position position) => (
        EarthRadiusM * Math.Cos(Radians(origin.LatitudeDeg)) * Radians(position.LongitudeDeg - origin.LongitudeDeg),
        EarthRadiusM * Radians(position.LatitudeDeg - origin.LatitudeDeg));

    /// <summary>The position that many metres east and north of an origin.</summary>
    public static Position FromPlane(Position origin, double eastM, double northM) => new(
        origin.LatitudeDeg + Degrees(northM / EarthRadiusM),
        origin.LongitudeDeg + Degrees(eastM / (EarthRadiusM * Math.Cos(Radians(origin.LatitudeDeg)))));

    /// <summary>True inside the outer shore and outside every island; even-odd rule.</summary>
    public static bool Holds(IReadOnlyList<IReadOnlyList<Position>> outline, Position at)
    {
        ArgumentNullException.ThrowIfNull(outline);
        return outline.Count(ring => Encloses(ring, at)) % 2 == 1;
    }

    /// <summary>True where the numbers can be a position: finite, in range.</summary>
    public static bool InRange(Position at) => Math.Abs(at.LatitudeDeg) <= 90 && Math.Abs(at.LongitudeDeg) <= 180;

    internal static double Radians(double degrees) => degrees * Math.PI / 180;

    internal static double Degrees(double radians) => radians * 180 / Math.PI;

    private static double Square(double value) => value * value;

    private static bool Encloses(IReadOnlyList<Position> ring, Position at)
    {
        var inside = false;
        for (int i = 0, j = ring.Count - 1; i < ring.Count; j = i++)
        {
            var (a, b) = (ring[i], ring[j]);
            if ((a.LatitudeDeg > at.LatitudeDeg) != (b.LatitudeDeg > at.LatitudeDeg)
                && at.LongitudeDeg < ((b.LongitudeDeg - a.LongitudeDeg) * (at.LatitudeDeg - a.LatitudeDeg) / (b.LatitudeDeg - a.LatitudeDeg)) + a.LongitudeDeg)
            {
                inside = !inside;
            }
        }

        return inside;
    }
}
