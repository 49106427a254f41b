namespace UpperStill.Core.Kit;

/// <summary>A line that leans: true depth = line out × cos(angle from the vertical), for a straight line.</summary>
public static class LineAngle
{
    /// <summary>True depth, m.</summary>
    /// <param name="lineOutM">Line out, m.</param>
    /// <param name="angleDeg">Lean from the vertical, degrees, 0–89.</param>
    public static decimal TrueM(decimal lineOutM, decimal angleDeg) =>
        angleDeg is <= 0 or >= 90 ? lineOutM : lineOutM * (decimal)Math.Cos((double)angleDeg * Math.PI / 180);
}
