using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Science.Counting;

/// <summary>How far a count of things that lie about by chance can be trusted.</summary>
/// <remarks>Exact limits of a Poisson mean: Garwood 1936, Biometrika 28, 437–442.</remarks>
public static class CountLimits
{
    /// <summary>Limits of the mean of a count with 95 % confidence: χ²(0.025; 2n)/2 and χ²(0.975; 2n + 2)/2.</summary>
    /// <param name="count">The count, 0 and up.</param>
    public static (double Low, double High) Of(int count)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(count);
        return (
            count == 0 ? 0 : Distributions.ChiSquareQuantile(0.025, 2 * count) / 2,
            Distributions.ChiSquareQuantile(0.975, (2 * count) + 2) / 2
        );
    }
}
