namespace UpperStill.Core.Science.Counting;

/// <summary>What was picked of one grab.</summary>
/// <param name="Count">How many.</param>
/// <param name="Share">Which share of the jar was picked: 1, 0.5, 0.25 or 0.125.</param>
public sealed record PickedJar(int Count, decimal Share);

/// <summary>Animals on a square metre of bottom: Σ(n/share)/(grabs × area).</summary>
public static class AnimalsPerArea
{
    private const decimal Cm2PerM2 = 10000;

    /// <summary>Per m².</summary>
    /// <param name="jars">One for each grab; at least one.</param>
    /// <param name="areaCm2">Area of the jaws, cm²; above 0.</param>
    public static decimal Of(IReadOnlyCollection<PickedJar> jars, decimal areaCm2)
    {
        ArgumentNullException.ThrowIfNull(jars);
        return jars.Sum(j => j.Count / j.Share) / (jars.Count * areaCm2 / Cm2PerM2);
    }

    /// <summary>Exact limits with 95 % confidence, per m²; null where different shares were picked: each jar’s limits scaled and added are
    /// not exact.</summary>
    public static (decimal Low, decimal High)? Limits(IReadOnlyCollection<PickedJar> jars, decimal areaCm2)
    {
        ArgumentNullException.ThrowIfNull(jars);
        if (jars.Select(j => j.Share).Distinct().Count() != 1)
        {
            return null;
        }

        var (low, high) = CountLimits.Of(jars.Sum(j => j.Count));
        var area = jars.First().Share * jars.Count * areaCm2 / Cm2PerM2;
        return ((decimal)low / area, (decimal)high / area);
    }
}
