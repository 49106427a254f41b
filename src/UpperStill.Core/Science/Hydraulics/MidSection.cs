namespace UpperStill.Core.Science.Hydraulics;

/// <summary>A vertical of a gauging.</summary>
/// <param name="TapeM">Where it stands on the tape, m.</param>
/// <param name="DepthM">Depth of the water there, m.</param>
/// <param name="VelocityMs">Mean speed of the water there, m/s; below 0 it runs back.</param>
public sealed record Vertical(decimal TapeM, decimal DepthM, decimal VelocityMs);

/// <summary>The part of the flow that one vertical stands for.</summary>
/// <param name="TapeM">Where the vertical stands, m.</param>
/// <param name="FromM">Where its panel begins, m on the tape.</param>
/// <param name="ToM">Where it ends.</param>
/// <param name="DepthM">Depth, m.</param>
/// <param name="VelocityMs">Mean speed, m/s.</param>
/// <param name="FlowM3S">Its flow, m³/s.</param>
public sealed record Panel(decimal TapeM, decimal FromM, decimal ToM, decimal DepthM, decimal VelocityMs, decimal FlowM3S);

/// <summary>Flow through a cross-section by verticals: Q = Σ vᵢ dᵢ (bᵢ₊₁ − bᵢ₋₁)/2, the edges as b₀ and bₙ₊₁.</summary>
/// <remarks>Mid-section method of the velocity-area standard, ISO 748. The tape lies at right angles to the flow; it may run either
/// way. At a wall, a vertical at the very edge, a panel reaches half the distance to its neighbour.</remarks>
public static class MidSection
{
    /// <summary>Above this depth one speed, at 0.6 of it, stands for a vertical; from it on two do, m.</summary>
    public const decimal TwoPointsFromM = 0.75m;

    /// <summary>The panels, in the order of the tape; empty where there is no vertical.</summary>
    /// <param name="edgeLeftM">The tape at one edge of the water, m.</param>
    /// <param name="edgeRightM">The tape at the other.</param>
    /// <param name="verticals">In any order.</param>
    public static IReadOnlyList<Panel> Panels(decimal edgeLeftM, decimal edgeRightM, IEnumerable<Vertical> verticals)
    {
        var (low, high) = (Math.Min(edgeLeftM, edgeRightM), Math.Max(edgeLeftM, edgeRightM));
        List<Vertical> sorted = [.. verticals.OrderBy(v => v.TapeM)];
        List<Panel> panels = [];
        for (var i = 0; i < sorted.Count; i++)
        {
            var (vertical, before, after) = (
                sorted[i],
                i == 0 ? low : sorted[i - 1].TapeM,
                i == sorted.Count - 1 ? high : sorted[i + 1].TapeM
            );
            var (from, to) = ((vertical.TapeM + before) / 2, (vertical.TapeM + after) / 2);
            panels.Add(
                new Panel(
                    vertical.TapeM,
                    from,
                    to,
                    vertical.DepthM,
                    vertical.VelocityMs,
                    vertical.VelocityMs * vertical.DepthM * (to - from)
                )
            );
        }

        return panels;
    }

    /// <summary>How many verticals a width asks for.</summary>
    /// <param name="widthM">Width of the water, m.</param>
    public static int Asked(decimal widthM) =>
        widthM switch
        {
            < 0.5m => 5,
            <= 1 => 6,
            <= 3 => 7,
            <= 5 => 13,
            _ => 22,
        };
}
