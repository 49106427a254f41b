using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Science.Counting;

/// <summary>The geometric mean of the last results of a place, as beaches are judged by it.</summary>
/// <param name="Value">exp of the mean of the logarithms, each limit at its limit.</param>
/// <param name="Side">Below where a result lies under its limit: at most this; above where one lies over: at least this; none where all are
/// known.</param>
public readonly record struct GeometricMean(double Value, Censoring Side)
{
    /// <summary>The mean; null where a result is not above 0, where some lie under and some over their limits, or where there is
    /// none.</summary>
    public static GeometricMean? Of(IReadOnlyCollection<(decimal Value, Censoring Side)> results)
    {
        ArgumentNullException.ThrowIfNull(results);
        var (under, over) = (results.Any(r => r.Side == Censoring.Below), results.Any(r => r.Side == Censoring.Above));
        return results.Count == 0 || results.Any(r => r.Value <= 0) || (under && over)
            ? null
            : new GeometricMean(
                Math.Exp(results.Average(r => Math.Log((double)r.Value))),
                under ? Censoring.Below
                    : over ? Censoring.Above
                    : Censoring.None
            );
    }
}
