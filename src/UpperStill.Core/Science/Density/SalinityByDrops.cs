using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Density;

/// <summary>Salinity from readings of a refractometer.</summary>
/// <param name="Ppt">ppt; never below 0.</param>
/// <param name="Band">fresh, brackish or sea.</param>
/// <param name="InGap">True where it is brackish, but outside the common 12–25.</param>
/// <param name="Steps">How it came about.</param>
internal sealed record SalinityByDrops(decimal Ppt, string Band, bool InGap, IReadOnlyList<string> Steps)
{
    private const decimal BrackishFrom = 0.5m;
    private const decimal SeaFrom = 30;
    private const decimal CommonFrom = 12;
    private const decimal CommonUntil = 25;

    /// <summary>The mean of one or two readings, the median of three, less the zero.</summary>
    /// <param name="readings">One to three, ppt.</param>
    /// <param name="zero">What distilled water reads, where it was not set to 0.</param>
    internal static SalinityByDrops Of(IReadOnlyList<decimal> readings, decimal zero)
    {
        var less = readings.Select(r => r - zero).Order().ToList();
        var plain = less.Count >= 3 ? less[less.Count / 2] : less.Average();
        var ppt = Decimals.Plain(Math.Max(0, plain));
        List<string> steps =
        [
            .. readings.Select(r =>
                $"{Decimals.Text(r)} − {(zero < 0 ? $"({Decimals.Text(zero)})" : Decimals.Text(zero))} = "
                + $"{Decimals.Text(Decimals.Plain(r - zero))} ppt"
            ),
        ];
        if (less.Count > 1)
        {
            steps.Add($"{(less.Count >= 3 ? "Median" : "Mean")} of {less.Count} = {Decimals.Text(Decimals.Plain(plain))} ppt");
        }

        if (plain < 0)
        {
            steps.Add("Below 0 it is 0.");
        }

        return new SalinityByDrops(
            ppt,
            ppt < BrackishFrom ? "fresh"
                : ppt < SeaFrom ? "brackish"
                : "sea",
            (ppt >= BrackishFrom && ppt < CommonFrom) || (ppt > CommonUntil && ppt < SeaFrom),
            steps
        );
    }
}
