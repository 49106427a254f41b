using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Science.Sky;

/// <summary>A high or a low water.</summary>
/// <param name="At">When.</param>
/// <param name="HeightM">Above the datum, m.</param>
/// <param name="High">True for a high water.</param>
public sealed record TideTurn(DateTimeOffset At, double HeightM, bool High);

/// <summary>
/// The tide from harmonic constants: h(t) = Z0 + Σ f A cos(V(t) + u − g). V from the mean longitudes of moon and sun, f and u
/// from the moon's node.
/// </summary>
/// <remarks>
/// Pugh 1987, Tides, Surges and Mean Sea-Level, tables 4.1–4.3; mean longitudes: Meeus, Astronomical Algorithms, 2nd ed. 1998,
/// chapters 25 and 47. Without V and f the constants of a tide table cannot be used on another day than the one they begin with.
/// </remarks>
public static class Tide
{
    private const double StepHours = 0.25;
    private const double SecondsToSettle = 1;

    /// <summary>Height above the datum at an instant, m.</summary>
    public static double HeightM(TideConstants constants, DateTimeOffset at)
    {
        ArgumentNullException.ThrowIfNull(constants);
        return constants.MeanLevelM
            + constants.Harmonics.Sum(h =>
            {
                var (argument, factor) = Argument(h.Constituent, at);
                return factor * h.AmplitudeM * Math.Cos(Radians(argument - h.PhaseLagDeg));
            });
    }

    /// <summary>High and low waters from an instant until another, in order; the turns of the curve, found to the second.</summary>
    public static IReadOnlyList<TideTurn> Turns(TideConstants constants, DateTimeOffset from, DateTimeOffset until)
    {
        ArgumentNullException.ThrowIfNull(constants);
        List<TideTurn> turns = [];
        var (left, slope) = (from, SlopeAt(constants, from));
        while (left < until)
        {
            var right = left.AddHours(StepHours);
            var next = SlopeAt(constants, right);
            if (Math.Sign(slope) != Math.Sign(next) && next != 0)
            {
                var at = Root(constants, left, right, slope);
                if (at >= from && at < until)
                {
                    turns.Add(new TideTurn(at, HeightM(constants, at), slope > 0));
                }
            }

            (left, slope) = (right, next);
        }

        return turns;
    }

    /// <summary>Equilibrium argument V + u, degrees 0–360, and nodal factor f of a constituent at an instant.</summary>
    public static (double ArgumentDeg, double Factor) Argument(TidalConstituent constituent, DateTimeOffset at)
    {
        var days = (at.UtcDateTime - new DateTime(2000, 1, 1, 12, 0, 0, DateTimeKind.Utc)).TotalDays;
        var centuries = days / 36_525;

        // Mean longitudes of the moon, the sun, the lunar perigee and the ascending node; hour angle of the mean sun from lower transit.
        var s = 218.3164477 + (481_267.88123421 * centuries);
        var h = 280.46646 + (36_000.76983 * centuries);
        var p = 83.3532465 + (4_069.0137287 * centuries);
        var node = Radians(125.04452 - (1_934.136261 * centuries));
        var sun = at.UtcDateTime.TimeOfDay.TotalDays * 360;
        var (argument, factor) = constituent switch
        {
            TidalConstituent.M2 => ((2 * (sun - s + h)) - (2.1 * Math.Sin(node)), 1.000 - (0.037 * Math.Cos(node))),
            TidalConstituent.S2 => (2 * sun, 1.0),
            TidalConstituent.N2 => ((2 * sun) - (3 * s) + (2 * h) + p - (2.1 * Math.Sin(node)), 1.000 - (0.037 * Math.Cos(node))),
            TidalConstituent.K1 => (sun + h + 90 - (8.9 * Math.Sin(node)), 1.006 + (0.115 * Math.Cos(node))),
            TidalConstituent.O1 => (sun - (2 * s) + h - 90 + (10.8 * Math.Sin(node)), 1.009 + (0.187 * Math.Cos(node))),
            _ => throw new ArgumentOutOfRangeException(nameof(constituent)),
        };
        return (((argument % 360) + 360) % 360, factor);
    }

    // By a difference over a minute: the curve is smooth over hours.
    private static double SlopeAt(TideConstants constants, DateTimeOffset at) =>
        HeightM(constants, at.AddSeconds(30)) - HeightM(constants, at.AddSeconds(-30));

    private static DateTimeOffset Root(TideConstants constants, DateTimeOffset left, DateTimeOffset right, double leftSlope)
    {
        while ((right - left).TotalSeconds > SecondsToSettle)
        {
            var middle = left + ((right - left) / 2);
            (left, right) = Math.Sign(SlopeAt(constants, middle)) == Math.Sign(leftSlope) ? (middle, right) : (left, middle);
        }

        return left;
    }

    private static double Radians(double degrees) => Shape.Radians(degrees);
}
