using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Stratification;

/// <summary>A profile of the record in one sentence.</summary>
public static class ProfileWords
{
    /// <summary>Where the layers part and where the oxygen ends.</summary>
    /// <param name="thermoclineM">Depth of the thermocline, m; null in a mixed column.</param>
    /// <param name="hypoxicM">Depth below which the water is hypoxic, m; null where it is not.</param>
    /// <param name="anoxicM">Depth below which it is anoxic, m; null where it is not.</param>
    public static string Of(double? thermoclineM, double? hypoxicM, double? anoxicM)
    {
        var limits = new ProfileRequest([]);
        List<string> parts = [thermoclineM is { } t ? $"Thermocline at {Metres(t)}" : "Mixed, no thermocline"];
        Below(hypoxicM, limits.HypoxicMgL);
        Below(anoxicM, limits.AnoxicMgL);
        return string.Join(", ", parts) + ".";

        void Below(double? from, decimal limit)
        {
            if (from is { } depth)
            {
                parts.Add($"under {Decimals.Text(limit)} mg/L from {Metres(depth)}");
            }
        }
    }

    private static string Metres(double depth) => $"{Decimals.Fixed((decimal)depth, 1)} m";
}
