namespace UpperStill.Core.Science.Counting;

/// <summary>Plants of some throws of a rake.</summary>
public static class PlantFrequency
{
    /// <summary>How often a kind was met, %: good throws with it live / good throws; null without a good throw.</summary>
    public static decimal? Percent(int throwsWith, int goodThrows) => goodThrows == 0 ? null : 100m * throwsWith / goodThrows;

    /// <summary>The deepest plants, m, and whether they may reach deeper: none was thrown below them. Null without live plants.</summary>
    /// <param name="throws">Depth, m, and whether live plants came up, of each good throw.</param>
    public static (decimal DepthM, bool Deeper)? Deepest(IReadOnlyCollection<(decimal DepthM, bool Plants)> throws)
    {
        ArgumentNullException.ThrowIfNull(throws);
        return throws.Any(t => t.Plants)
            ? (
                throws.Where(t => t.Plants).Max(t => t.DepthM),
                throws.MaxBy(t => t.DepthM).DepthM == throws.Where(t => t.Plants).Max(t => t.DepthM)
            )
            : null;
    }
}
