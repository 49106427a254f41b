namespace UpperStill.Core.Science.Geodesy;

/// <summary>A line on the local plane, in metres east and north.</summary>
/// <param name="EastM">A point on it.</param>
/// <param name="NorthM">A point on it.</param>
/// <param name="BearingRad">Its direction, clockwise from north.</param>
internal readonly record struct PlaneLine(double EastM, double NorthM, double BearingRad)
{
    /// <summary>Signed distance of a point to the right of the line, m.</summary>
    internal double Off((double EastM, double NorthM) at) =>
        ((at.EastM - EastM) * Math.Cos(BearingRad)) - ((at.NorthM - NorthM) * Math.Sin(BearingRad));

    /// <summary>Where two lines meet; null where they run nearly side by side.</summary>
    internal static (double EastM, double NorthM)? Meet(PlaneLine a, PlaneLine b)
    {
        // Each line: e cos β - n sin β = c.
        var determinant = (-Math.Cos(a.BearingRad) * Math.Sin(b.BearingRad)) + (Math.Sin(a.BearingRad) * Math.Cos(b.BearingRad));
        if (Math.Abs(determinant) < 1e-6)
        {
            return null;
        }

        var (ca, cb) = (a.Constant, b.Constant);
        return (
            ((-ca * Math.Sin(b.BearingRad)) + (cb * Math.Sin(a.BearingRad))) / determinant,
            ((cb * Math.Cos(a.BearingRad)) - (ca * Math.Cos(b.BearingRad))) / determinant
        );
    }

    /// <summary>Angle at which two lines cross, 0–90°.</summary>
    internal static double CrossingDeg(PlaneLine a, PlaneLine b)
    {
        var angle = Math.Abs(Shape.Degrees(a.BearingRad - b.BearingRad)) % 180;
        return Math.Min(angle, 180 - angle);
    }

    private double Constant => (EastM * Math.Cos(BearingRad)) - (NorthM * Math.Sin(BearingRad));
}
