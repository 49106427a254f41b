using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Science.Counting;

/// <summary>Whether sub-samples of one jar differ by more than chance: Σ(n − n̄)²/n̄ against χ².</summary>
/// <remarks>Index of dispersion: Fisher, Thornton and Mackenzie 1922, Annals of Applied Biology 9, 325–359.</remarks>
/// <param name="Value">Σ(n − n̄)²/n̄.</param>
/// <param name="Limit">χ² of which 0.95 lies below, k − 1 degrees of freedom.</param>
public readonly record struct Unevenness(double Value, double Limit)
{
    /// <summary>True where chance alone would seldom give it.</summary>
    public bool Beyond => Value > Limit;

    /// <summary>The unevenness of some counts; null of fewer than two, or where nothing was counted.</summary>
    public static Unevenness? Of(IReadOnlyCollection<int> counts)
    {
        ArgumentNullException.ThrowIfNull(counts);
        if (counts.Count < 2 || counts.Sum() == 0)
        {
            return null;
        }

        var mean = counts.Average();
        return new Unevenness(counts.Sum(n => (n - mean) * (n - mean)) / mean, Distributions.ChiSquareQuantile(0.95, counts.Count - 1));
    }
}
