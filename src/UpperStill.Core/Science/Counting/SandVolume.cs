namespace UpperStill.Core.Science.Counting;

/// <summary>Sand that was skimmed inside a quadrat.</summary>
public static class SandVolume
{
    private const decimal Cm3PerLitre = 1000;
    private const decimal MmPerCm = 10;

    /// <summary>L: side² × mean depth.</summary>
    /// <param name="sideCm">Inner side of the quadrat, cm.</param>
    /// <param name="depthsMm">Depths at the corners and in the middle, mm; at least one.</param>
    public static decimal Litres(decimal sideCm, IReadOnlyCollection<decimal> depthsMm) =>
        sideCm * sideCm * depthsMm.Average() / MmPerCm / Cm3PerLitre;
}
