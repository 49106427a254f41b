namespace UpperStill.Core.Science.Hydraulics;

/// <summary>How often a sampler goes down for some bottles.</summary>
public static class CastsNeeded
{
    private const decimal UsableShare = 0.95m;

    // A rinse takes a tenth of the bottle.
    private const decimal RinseShare = 0.1m;

    /// <summary>The larger of water needed / (volume × 0.95), rounded up, and the casts into which the bottles can be packed, the largest
    /// first: none is topped up from another cast. Null where a bottle is larger than a cast.</summary>
    /// <param name="volumeL">Volume of the sampler, L; above 0.</param>
    /// <param name="bottlesL">Volumes of the bottles, L.</param>
    /// <param name="rinses">Times that each is rinsed with a tenth of its volume.</param>
    public static int? Of(decimal volumeL, IReadOnlyCollection<decimal> bottlesL, int rinses = 0)
    {
        ArgumentNullException.ThrowIfNull(bottlesL);
        var usable = volumeL * UsableShare;
        if (bottlesL.Any(b => b > usable))
        {
            return null;
        }

        List<decimal> left = [];
        foreach (var bottle in bottlesL.OrderDescending())
        {
            var at = left.FindIndex(l => l >= bottle);
            if (at < 0)
            {
                left.Add(usable - bottle);
            }
            else
            {
                left[at] -= bottle;
            }
        }

        return Math.Max(left.Count, (int)decimal.Ceiling(bottlesL.Sum(b => b * (1 + (RinseShare * rinses))) / usable));
    }
}
