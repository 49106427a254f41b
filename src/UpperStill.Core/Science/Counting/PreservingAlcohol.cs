namespace UpperStill.Core.Science.Counting;

/// <summary>Alcohol that brings a catch to the strength at which it keeps.</summary>
public static class PreservingAlcohol
{
    /// <summary>The strength at which animals keep, %.</summary>
    public const decimal KeepsAtPercent = 70;

    /// <summary>mL to add: catch × 70/(strength − 70); null where the alcohol itself is no stronger.</summary>
    /// <param name="catchMl">The catch with its water, mL.</param>
    /// <param name="strengthPercent">Strength of the alcohol, %.</param>
    public static decimal? Ml(decimal catchMl, decimal strengthPercent) =>
        strengthPercent <= KeepsAtPercent ? null : catchMl * KeepsAtPercent / (strengthPercent - KeepsAtPercent);
}
