using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Geodesy;

/// <summary>Bearings to be turned into a position.</summary>
/// <param name="Bearings">Three or more, to charted landmarks.</param>
/// <param name="DeclinationDeg">Magnetic declination, degrees, east positive; 0 where the bearings are true.</param>
/// <param name="RadiusM">How good the position must be, m.</param>
public sealed record ResectionRequest(
    IReadOnlyList<Bearing> Bearings,
    [property: Within(-180, 180, "°")] double DeclinationDeg = 0,
    [property: Within(0, 100000, "m")] decimal RadiusM = Resection.UsualRadiusM
);

/// <summary>The position that bearings give.</summary>
/// <param name="Findings">What stands in its way, or weakens it.</param>
/// <param name="At">The position; null where the bearings give none.</param>
/// <param name="Corners">Where the lines cross two by two: the error triangle.</param>
/// <param name="LongestSideM">Longest side of the error triangle, m: the quality.</param>
/// <param name="Working">The arithmetic.</param>
public sealed record ResectionResult(
    IReadOnlyList<FieldFinding> Findings,
    Position? At = null,
    IReadOnlyList<Position>? Corners = null,
    double? LongestSideM = null,
    Working? Working = null
);

/// <summary>Position from three or more compass bearings to charted marks: least squares (Wolf and Ghilani, Adjustment Computations, 4th
/// ed. 2006, ch. 14), the lines of sight on the ellipsoid; marks up to 100 km away.</summary>
public static class Resection
{
    /// <summary>The radius of a station where nothing else is said, m.</summary>
    public const decimal UsualRadiusM = 30;

    private const int Least = 3;
    private const int Most = 12;
    private const double LeastCrossingDeg = 15;

    /// <summary>How far a mark is seen at most, m.</summary>
    internal const double FurthestM = 100_000;

    private const double SettledM = 0.001;
    private const int MostRounds = 10;

    /// <summary>The point whose summed squared distance from the lines of sight is least.</summary>
    public static ResectionResult Work(ResectionRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var faults = Faults(request).ToList();
        if (faults.Count > 0)
        {
            return new ResectionResult(faults);
        }

        // On a plane round the answer itself: there the lines of sight set out as the compass said.
        var origin = request.Bearings[0].Mark.At!.Value;
        List<PlaneLine> lines;
        (double EastM, double NorthM) at;
        for (var round = 1; ; round++)
        {
            lines =
            [
                .. request.Bearings.Select(b =>
                {
                    var (east, north) = Shape.OnPlane(origin, b.Mark.At!.Value);
                    return new PlaneLine(east, north, Shape.Radians(b.BearingDeg + request.DeclinationDeg));
                }),
            ];
            if (Pairs(lines).Max(p => PlaneLine.CrossingDeg(p.A, p.B)) < LeastCrossingDeg)
            {
                return new ResectionResult([
                    Finding
                        .Stop(
                            "bearings-parallel",
                            "All the bearings run nearly side by side.",
                            "Lines that hardly cross give no position: a degree moves it by hundreds of metres.",
                            "Take a bearing to a mark well to the left or right, best at a right angle."
                        )
                        .At("bearings"),
                ]);
            }

            at = LeastSquares(lines);
            var moved = Distance(at, default);
            if (moved > FurthestM)
            {
                return new ResectionResult([
                    Finding
                        .Stop(
                            "bearings-far",
                            $"The bearings meet more than {Text(FurthestM / 1000, 0)} km from the marks.",
                            "Nobody sees that far; a mark or a bearing is another one.",
                            "Look at the marks’ positions, and take the bearings again."
                        )
                        .At("bearings"),
                ]);
            }

            if (moved < SettledM || round == MostRounds)
            {
                break;
            }

            origin = Shape.FromPlane(origin, at.EastM, at.NorthM);
        }

        var pairs = Pairs(lines).ToList();
        var corners = pairs
            .Where(p => PlaneLine.CrossingDeg(p.A, p.B) >= LeastCrossingDeg)
            .Select(p => PlaneLine.Meet(p.A, p.B)!.Value)
            .ToList();
        var longest = corners.SelectMany((a, i) => corners.Skip(i + 1).Select(b => Distance(a, b))).DefaultIfEmpty(0).Max();
        return new ResectionResult(
            [.. Weaknesses(request, lines, at, longest)],
            Rounded(Shape.FromPlane(origin, at.EastM, at.NorthM)),
            [.. corners.Select(c => Rounded(Shape.FromPlane(origin, c.EastM, c.NorthM)))],
            Math.Round(longest, 1),
            Words(request, lines, at, origin, longest)
        );
    }

    private static IEnumerable<FieldFinding> Faults(ResectionRequest request)
    {
        if (request.Bearings.Count > Most)
        {
            // Each is weighed against each, in pairs.
            yield return Finding
                .Stop(
                    "bearings-many",
                    $"{request.Bearings.Count} bearings; at most {Most} are weighed.",
                    "More of them make a position no better than a few that cross well.",
                    $"Keep the {Most} that you trust most."
                )
                .At("bearings");
        }

        if (request.Bearings.Count < Least)
        {
            yield return Finding
                .Stop(
                    "bearings-few",
                    $"{request.Bearings.Count} of {Least} bearings.",
                    "Two lines always cross; only a third shows how wrong they are.",
                    "Take another bearing."
                )
                .At("bearings");
        }

        foreach (var bearing in request.Bearings)
        {
            if (bearing.Mark.At is not { } mark)
            {
                yield return Finding
                    .Stop(
                        "mark-uncharted",
                        $"{bearing.Mark.Name} has no position.",
                        "A line of sight needs both its ends.",
                        "Read the landmark’s position off a chart, or leave this bearing out."
                    )
                    .At("bearings");
            }
            else if (!Shape.InRange(mark))
            {
                yield return Finding
                    .Stop(
                        "position-format",
                        $"The position of {bearing.Mark.Name} is out of range.",
                        "Latitude and longitude may be swapped.",
                        "Type it again."
                    )
                    .At("bearings");
            }
            else if (request.Bearings[0].Mark.At is { } first && Shape.InRange(first) && Shape.DistanceM(first, mark) > 2 * FurthestM)
            {
                yield return Finding
                    .Stop(
                        "mark-far",
                        $"{bearing.Mark.Name} lies {Text(Shape.DistanceM(first, mark) / 1000, 0)} km from {request.Bearings[0].Mark.Name}.",
                        "Nobody sees both from one boat.",
                        "Look at the positions of both."
                    )
                    .At("bearings");
            }

            if (bearing.BearingDeg is not (>= 0 and <= 360))
            {
                yield return Finding
                    .Stop(
                        "bearing-range",
                        $"{bearing.BearingDeg.ToString(CultureInfo.InvariantCulture)}° is not on a compass.",
                        "Bearings run from 0 to 360.",
                        "Read it again."
                    )
                    .At("bearings");
            }
        }
    }

    private static IEnumerable<FieldFinding> Weaknesses(
        ResectionRequest request,
        List<PlaneLine> lines,
        (double EastM, double NorthM) at,
        double longest
    )
    {
        for (var i = 0; i < lines.Count; i++)
        {
            var line = lines[i];
            if (((line.EastM - at.EastM) * Math.Sin(line.BearingRad)) + ((line.NorthM - at.NorthM) * Math.Cos(line.BearingRad)) < 0)
            {
                yield return Finding
                    .Check(
                        "bearing-reversed",
                        $"{request.Bearings[i].Mark.Name} would lie behind you.",
                        "Its bearing may have been read from the other end of the needle.",
                        $"Look again; {Text((request.Bearings[i].BearingDeg + 180) % 360, 0)}° would be the other way."
                    )
                    .At("bearings");
            }
        }

        if (longest > (double)request.RadiusM * 2)
        {
            yield return Finding
                .Check(
                    "triangle-large",
                    $"The lines miss one another by {Text(longest, 0)} m.",
                    "The position is no better than that triangle.",
                    "Take the bearings again, away from iron; check the declination and the marks’ positions."
                )
                .At("bearings");
        }
    }

    private static (double EastM, double NorthM) LeastSquares(List<PlaneLine> lines)
    {
        double ee = 0,
            en = 0,
            nn = 0,
            ec = 0,
            nc = 0;
        foreach (var line in lines)
        {
            var (e, n) = (Math.Cos(line.BearingRad), -Math.Sin(line.BearingRad));
            var c = (e * line.EastM) + (n * line.NorthM);
            ee += e * e;
            en += e * n;
            nn += n * n;
            ec += e * c;
            nc += n * c;
        }

        var determinant = (ee * nn) - (en * en);
        return (((nn * ec) - (en * nc)) / determinant, ((ee * nc) - (en * ec)) / determinant);
    }

    private static IEnumerable<(PlaneLine A, PlaneLine B)> Pairs(List<PlaneLine> lines) =>
        lines.SelectMany((a, i) => lines.Skip(i + 1).Select(b => (a, b)));

    private static Working Words(
        ResectionRequest request,
        List<PlaneLine> lines,
        (double EastM, double NorthM) at,
        Position origin,
        double longest
    )
    {
        var position = Rounded(Shape.FromPlane(origin, at.EastM, at.NorthM));
        return new Working(
            "Position from bearings",
            [
                .. request.Bearings.Select(b => new WorkingInput(b.Mark.Name, $"{Text(b.BearingDeg, 1)}° on the compass")),
                new WorkingInput("declination", $"{Text(request.DeclinationDeg, 1)}° east"),
            ],
            [
                .. lines.Select(
                    (l, i) =>
                        $"{request.Bearings[i].Mark.Name}: {Text(request.Bearings[i].BearingDeg, 1)}° + "
                        + $"{Text(request.DeclinationDeg, 1)}°{Turn(request.Bearings[i].BearingDeg + request.DeclinationDeg)} = "
                        + $"{Round(Shape.Degrees(l.BearingRad))}° true; the line passes {Text(Math.Abs(l.Off(at)), 1)} m from the position"
                ),
                $"longest side of the error triangle {Text(longest, 1)} m",
                $"position {Text(position.LatitudeDeg, 5)}, {Text(position.LongitudeDeg, 5)}",
            ],
            "The point whose summed squared distance from the lines of sight is least, each line setting out from there in the "
                + "direction that was read, on the WGS 84 ellipsoid",
            "Wolf and Ghilani, Adjustment Computations, 4th ed. 2006, ch. 14; Vincenty, Survey Review 23 (176), 1975"
        );
    }

    private static string Turn(double degrees) =>
        Math.Round(degrees, 1) switch
        {
            >= 360 => " − 360°",
            < 0 => " + 360°",
            _ => string.Empty,
        };

    // A bearing past north begins at 0 again.
    private static string Round(double degrees)
    {
        var tenth = Math.Round(((degrees % 360) + 360) % 360, 1);
        return Text(tenth < 360 ? tenth : 0, 1);
    }

    private static Position Rounded(Position at) => new(Math.Round(at.LatitudeDeg, 6), Math.Round(at.LongitudeDeg, 6));

    internal static double Distance((double EastM, double NorthM) a, (double EastM, double NorthM) b) =>
        Math.Sqrt(((a.EastM - b.EastM) * (a.EastM - b.EastM)) + ((a.NorthM - b.NorthM) * (a.NorthM - b.NorthM)));

    private static string Text(double value, int decimals) => Decimals.Fixed(value, decimals);
}
