using System.Globalization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Science.Geodesy;

/// <summary>Two transits whose crossing is asked for.</summary>
/// <param name="Transits">Two lines of landmarks; further ones are left aside.</param>
public sealed record TransitRequest(IReadOnlyList<Transit> Transits);

/// <summary>Where and how two transits cross.</summary>
/// <param name="Findings">What stands in its way, or weakens it.</param>
/// <param name="At">Where the lines cross; null where they do not, or a mark is not charted.</param>
/// <param name="AngleDeg">Crossing angle, 0–90°.</param>
public sealed record TransitResult(IReadOnlyList<FieldFinding> Findings, Position? At = null, double? AngleDeg = null);

/// <summary>Two pairs of marks in line fix a station by eye.</summary>
public static class TransitCrossing
{
    /// <summary>Below this angle a fix is weak.</summary>
    public const double WeakDeg = 30;

    /// <summary>The crossing of the first two transits.</summary>
    public static TransitResult Work(TransitRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (request.Transits.Count < 2)
        {
            return new TransitResult([
                Finding
                    .Check(
                        "transits-few",
                        "One line of landmarks only.",
                        "A line says where you are across it, not along it.",
                        "Choose two more marks in line, best at a right angle to the first."
                    )
                    .At("transits"),
            ]);
        }

        var marks = request.Transits.Take(2).SelectMany(t => new[] { t.Near, t.Far }).ToList();
        if (marks.FirstOrDefault(m => m.At is null) is { } uncharted)
        {
            return new TransitResult([
                Finding
                    .Note(
                        "mark-uncharted",
                        $"{uncharted.Name} has no position.",
                        "The lines serve by eye; their crossing cannot be worked out.",
                        "Read the landmarks’ positions off a chart if you want to see the angle."
                    )
                    .At("transits"),
            ]);
        }

        // Where the lines cross, and again on a plane round that place, where both are straight.
        var origin = marks[0].At!.Value;
        var (first, second) = (Line(request.Transits[0], origin), Line(request.Transits[1], origin));
        if (PlaneLine.Meet(first, second) is { } near && Resection.Distance(near, default) < Resection.FurthestM)
        {
            origin = Shape.FromPlane(origin, near.EastM, near.NorthM);
            (first, second) = (Line(request.Transits[0], origin), Line(request.Transits[1], origin));
        }

        var angle = Math.Round(PlaneLine.CrossingDeg(first, second), 1);
        var at =
            PlaneLine.Meet(first, second) is { } meet && Resection.Distance(meet, default) < Resection.FurthestM
                ? Shape.FromPlane(origin, meet.EastM, meet.NorthM)
                : (Position?)null;
        return new TransitResult(
            angle >= WeakDeg
                ? []
                :
                [
                    Finding
                        .Check(
                            "transits-weak",
                            $"The lines cross at {angle.ToString(CultureInfo.InvariantCulture)}° only.",
                            "Under 30° a small error of the eye moves the place far along both lines.",
                            "Choose another pair of marks, nearer to a right angle."
                        )
                        .At("transits"),
                ],
            at is { } p ? new Position(Math.Round(p.LatitudeDeg, 6), Math.Round(p.LongitudeDeg, 6)) : null,
            angle
        );
    }

    private static PlaneLine Line(Transit transit, Position origin)
    {
        var (near, far) = (Shape.OnPlane(origin, transit.Near.At!.Value), Shape.OnPlane(origin, transit.Far.At!.Value));
        return new PlaneLine(near.EastM, near.NorthM, Math.Atan2(far.EastM - near.EastM, far.NorthM - near.NorthM));
    }
}
