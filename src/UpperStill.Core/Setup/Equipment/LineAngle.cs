namespace UpperStill.Core.Setup.Equipment;

/// <summary>A line that leans: true depth = line out × cos(angle from the vertical), for a straight line.</summary>
public static class LineAngle
{
    /// <summary>True depth, m; null where a line leans so that it reaches no depth, or the angle is none.</summary>
    /// <param name="lineOutM">Line out, m.</param>
    /// <param name="angleDeg">Lean from the vertical, degrees, 0 to under 90.</param>
    public static decimal? TrueM(decimal lineOutM, decimal angleDeg) =>
        angleDeg is < 0 or >= 90 ? null
        : angleDeg == 0 ? lineOutM
        : lineOutM * (decimal)Math.Cos((double)angleDeg * Math.PI / 180);
}
