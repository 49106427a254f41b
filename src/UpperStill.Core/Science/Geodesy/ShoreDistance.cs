namespace UpperStill.Core.Science.Geodesy;

/// <summary>How far a position is from a shore.</summary>
internal static class ShoreDistance
{
    /// <summary>Distance to the nearest point of a ring, m, on the local plane.</summary>
    internal static double ToM(IReadOnlyList<Position> ring, Position at)
    {
        var corners = ring.Select(p => Shape.OnPlane(at, p)).ToList();
        return corners.Zip(corners.Skip(1)).Min(side => ToSide(side.First, side.Second));
    }

    private static double ToSide((double East, double North) a, (double East, double North) b)
    {
        var (east, north) = (b.East - a.East, b.North - a.North);
        var square = (east * east) + (north * north);
        var along = square == 0 ? 0 : Math.Clamp(-((a.East * east) + (a.North * north)) / square, 0, 1);
        var (x, y) = (a.East + (along * east), a.North + (along * north));
        return Math.Sqrt((x * x) + (y * y));
    }
}
