namespace UpperStill.Core.Basis.Quantities;

/// <summary>Years in which somebody may have read something, or mean to: what lies outside is a slip or a broken clock.</summary>
public static class PlausibleYear
{
    /// <summary>The first.</summary>
    public const int First = 1800;

    /// <summary>The last.</summary>
    public const int Last = 2200;

    /// <summary>True for one of them.</summary>
    /// <param name="year">The year.</param>
    public static bool Holds(int year) => year is >= First and <= Last;
}
