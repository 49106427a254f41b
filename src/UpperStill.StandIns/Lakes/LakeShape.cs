using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.StandIns.Lakes;

/// <summary>The shape of a simulated water: a long basin with bays, its shore and depth contours drawn round its deepest place.</summary>
/// <param name="LatitudeDeg">The middle.</param>
/// <param name="LongitudeDeg">The middle.</param>
/// <param name="LengthM">Along the longer axis, m.</param>
/// <param name="WidthM">Across, m.</param>
/// <param name="TurnDeg">Direction of the longer axis, clockwise from north.</param>
/// <param name="Bays">How much the shore wanders, 0–0.4.</param>
/// <param name="DepthM">Greatest depth, m.</param>
public sealed record LakeShape(
    double LatitudeDeg,
    double LongitudeDeg,
    double LengthM,
    double WidthM,
    double TurnDeg,
    double Bays,
    double DepthM
)
{
    private const int Corners = 72;
    private static readonly double[] RoundDepths = [1, 2, 5, 10, 15, 20, 25, 30, 40, 50];

    /// <summary>The outer shore, closed.</summary>
    public IReadOnlyList<Position> Shore() => Ring(1);

    /// <summary>Contours at round depths; the basin is steep at the shore and flat below.</summary>
    public IReadOnlyList<DepthContour> Contours() =>
        [
            .. RoundDepths
                .Where(d => d < DepthM * 0.97)
                .Where(d => DepthM < 8 || d >= 5)
                .Select(d => new DepthContour((decimal)d, Ring(WithinOf(d)))),
        ];

    /// <summary>Area by depth at every tenth of the depth, by the shoelace formula.</summary>
    public IReadOnlyList<AreaAtDepth> Hypsography() =>
        [
            .. Enumerable
                .Range(0, 11)
                .Select(i => DepthM * i / 10)
                .Select(d => new AreaAtDepth(Math.Round((decimal)d, 2), Math.Round((decimal)(Area() * WithinOf(d) * WithinOf(d)), 0))),
        ];

    private double WithinOf(double depth) => Math.Pow(Math.Max(0, 1 - (depth / DepthM)), 0.6);

    private double Area()
    {
        var corners = Shore().Select(p => Shape.OnPlane(new Position(LatitudeDeg, LongitudeDeg), p)).ToList();
        return Math.Abs(corners.Zip(corners.Skip(1)).Sum(s => (s.First.EastM * s.Second.NorthM) - (s.Second.EastM * s.First.NorthM))) / 2;
    }

    private List<Position> Ring(double within)
    {
        var turn = TurnDeg * Math.PI / 180;
        List<Position> ring = [];
        for (var i = 0; i < Corners; i++)
        {
            var angle = 2 * Math.PI * i / Corners;
            var wander =
                within
                * (
                    1 + (Bays * ((0.55 * Math.Sin((3 * angle) + 0.7)) + (0.3 * Math.Sin((5 * angle) + 2.1)) + (0.15 * Math.Cos(8 * angle))))
                );
            var (along, across) = (LengthM / 2 * wander * Math.Cos(angle), WidthM / 2 * wander * Math.Sin(angle));
            var at = Shape.FromPlane(
                new Position(LatitudeDeg, LongitudeDeg),
                (along * Math.Sin(turn)) + (across * Math.Cos(turn)),
                (along * Math.Cos(turn)) - (across * Math.Sin(turn))
            );
            ring.Add(new Position(Math.Round(at.LatitudeDeg, 5), Math.Round(at.LongitudeDeg, 5)));
        }

        ring.Add(ring[0]);
        return ring;
    }
}
