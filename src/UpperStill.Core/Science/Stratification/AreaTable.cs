using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Stratification;

/// <summary>A table of areas by depth.</summary>
public static class AreaTable
{
    /// <summary>What keeps a table of areas from being integrated over: it begins at the surface, goes deeper, and never widens or falls
    /// below nothing.</summary>
    internal static IEnumerable<Finding> Findings(IReadOnlyList<AreaAtDepth> rows)
    {
        for (var i = 1; i < rows.Count; i++)
        {
            if (rows[i].DepthM <= rows[i - 1].DepthM || rows[i].AreaM2 > rows[i - 1].AreaM2)
            {
                yield return Finding.Stop(
                    "hypsography-order",
                    $"The table of areas does not narrow downward at {Decimals.Text(rows[i].DepthM)} m.",
                    "Volume and stability would come out wrong.",
                    "Begin at the surface; each row is deeper and not wider than the one above."
                );
                yield break;
            }
        }

        if (rows.Any(r => r.AreaM2 < 0 || r.DepthM < 0))
        {
            yield return Finding.Stop(
                "hypsography-negative",
                "The table of areas has a number below nothing.",
                "Depths and areas are positive.",
                "Correct the sign."
            );
        }
        else if (rows.Count > 0 && rows[0].DepthM != 0)
        {
            yield return Finding.Stop(
                "hypsography-surface",
                $"The table of areas begins at {Decimals.Text(rows[0].DepthM)} m.",
                "The water above it would be missing from every mean by volume.",
                "Write the area at the surface, 0 m, first."
            );
        }
    }
}
