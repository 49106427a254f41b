using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>The mark of a line that is nearest to a depth.</summary>
public static class NearestMark
{
    /// <summary>The nearest mark by the line's own marks, m; a tie, or a mark past the limit, goes to the shallower. Null above the first
    /// mark.</summary>
    /// <param name="target">Wanted depth by the marks, m.</param>
    /// <param name="limit">Never past this depth by the marks, m.</param>
    /// <param name="every">Distance between marks, m, above 0.</param>
    public static decimal? Of(decimal target, decimal limit, decimal every)
    {
        // A quotient that should be whole must not fall to the mark above for its last digit.
        var below = decimal.Floor(decimal.Round(target / every, 18, MidpointRounding.AwayFromZero)) * every;
        var mark = target - below <= below + every - target || below + every > limit ? below : below + every;
        return mark > 0 ? Decimals.Plain(mark) : null;
    }
}
