using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Science.Trophic;

/// <summary>Chlorophyll and clarity of one visit.</summary>
/// <param name="ChlorophyllUgL">µg/L, above 0.</param>
/// <param name="ClarityM">m, above 0.</param>
public sealed record ChlorophyllClarityPair(
    [property: Within(0, 5000, "µg/L")] decimal ChlorophyllUgL,
    [property: Within(0, 100, "m")] decimal ClarityM
);

/// <summary>Pairs of a station.</summary>
/// <param name="Pairs">In any order.</param>
public sealed record ChlorophyllClarityRequest(IReadOnlyList<ChlorophyllClarityPair> Pairs);

/// <summary>Curves to be drawn through the pairs.</summary>
/// <param name="Own">The station's own; null with fewer than eight pairs.</param>
/// <param name="AlgaeOnly">What algae alone would leave: where both indices agree.</param>
/// <param name="Text">The own curve in words; null without one.</param>
public sealed record ChlorophyllClarityResult(
    IReadOnlyList<ChlorophyllClarityPair>? Own,
    IReadOnlyList<ChlorophyllClarityPair> AlgaeOnly,
    string? Text = null
);

/// <summary>How clarity follows chlorophyll at a station: a power curve, by the median of all slopes of the logarithms.</summary>
/// <remarks>Where both indices agree: Carlson 1977, Limnol. Oceanogr. 22, 361–369. The slope: Sen 1968, J. Am. Stat. Assoc. 63,
/// 1379–1389.</remarks>
public static class ChlorophyllClarity
{
    private const int LeastPairs = 8;
    private const int Steps = 40;

    /// <summary>The curves.</summary>
    public static ChlorophyllClarityResult Work(ChlorophyllClarityRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var pairs = request.Pairs.Where(p => p is { ChlorophyllUgL: > 0, ClarityM: > 0 }).ToList();
        if (pairs.Count == 0)
        {
            return new ChlorophyllClarityResult(null, []);
        }

        var (least, most) = (Math.Log((double)pairs.Min(p => p.ChlorophyllUgL)), Math.Log((double)pairs.Max(p => p.ChlorophyllUgL)));
        var line = TheilSen.Of([.. pairs.Select(p => new TrendPoint(Math.Log((double)p.ChlorophyllUgL), Math.Log((double)p.ClarityM)))]);
        var own = pairs.Count >= LeastPairs && line.Slope is not null;
        return new ChlorophyllClarityResult(
            own ? Curve(least, most, log => line.Intercept + (line.Slope!.Value * log)) : null,
            Curve(least, most, log => (29.4 - (9.81 * log)) / 14.41),
            own
                ? $"Here clarity = {Decimals.Fixed((decimal)Math.Exp(line.Intercept), 1)} m × "
                    + $"chlorophyll^{Decimals.Fixed((decimal)line.Slope!.Value, 2)}, from {pairs.Count} visits."
                : null
        );
    }

    private static IReadOnlyList<ChlorophyllClarityPair> Curve(double least, double most, Func<double, double> clarity) =>
        [
            .. Enumerable
                .Range(0, Steps + 1)
                .Select(i => least + ((most - least) * i / Steps))
                .Select(log => new ChlorophyllClarityPair(
                    Decimals.Published((decimal)Math.Exp(log)),
                    Decimals.Published((decimal)Math.Exp(clarity(log)))
                )),
        ];
}
