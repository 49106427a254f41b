using System.Globalization;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>Decimal arithmetic shared by all rules: plain text and rounding half away from zero.</summary>
public static class Decimals
{
    private const int GuardDigits = 18;

    /// <summary>Rounds half away from zero to a whole multiple of <paramref name="step"/> (&gt; 0).</summary>
    /// <remarks>
    /// The quotient is first settled to 18 digits, so that a mean of three, which does not end in decimal,
    /// still rounds as its exact value would.
    /// </remarks>
    public static decimal RoundTo(decimal value, decimal step)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(step);
        var steps = decimal.Round(value / step, GuardDigits, MidpointRounding.AwayFromZero);
        return decimal.Round(steps, 0, MidpointRounding.AwayFromZero) * step;
    }

    /// <summary>The same number without trailing zeros.</summary>
    public static decimal Plain(decimal value) => value / 1.0000000000000000000000000000m;

    /// <summary>A derived figure as it is published to other programs: six decimals, trailing zeros gone.</summary>
    public static decimal Published(decimal value) => Plain(decimal.Round(value, 6, MidpointRounding.AwayFromZero));

    /// <summary>Invariant text without trailing zeros.</summary>
    public static string Text(decimal value) => Unsigned(Plain(value).ToString(CultureInfo.InvariantCulture));

    /// <summary>Invariant text with a fixed number of decimals, rounded half away from zero.</summary>
    public static string Fixed(decimal value, int decimals) =>
        Unsigned(
            decimal.Round(value, decimals, MidpointRounding.AwayFromZero)
                .ToString("F" + decimals.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture)
        );

    /// <summary>Invariant text with a fixed number of decimals.</summary>
    public static string Fixed(double value, int decimals) =>
        Unsigned(value.ToString("F" + decimals.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture));

    /// <summary>The number to so many significant figures, rounded half away from zero.</summary>
    public static decimal ToSignificant(decimal value, int figures)
    {
        var before = value == 0 ? 1 : (int)Math.Floor(Math.Log10((double)Math.Abs(value))) + 1;
        return decimal.Round(value, Math.Clamp(figures - before, 0, 28), MidpointRounding.AwayFromZero);
    }

    /// <summary>Invariant text with so many significant figures, rounded half away from zero: nothing small becomes nothing.</summary>
    public static string Significant(decimal value, int figures) => Text(ToSignificant(value, figures));

    /// <summary>The median; the mean of the middle two where the count is even. At least one value.</summary>
    public static decimal Median(IEnumerable<decimal> values)
    {
        decimal[] sorted = [.. values.Order()];
        ArgumentOutOfRangeException.ThrowIfZero(sorted.Length, nameof(values));
        var middle = sorted.Length / 2;
        return sorted.Length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }

    // Nothing has no sign.
    private static string Unsigned(string text) =>
        text.StartsWith('-') && text.AsSpan(1).IndexOfAnyInRange('1', '9') < 0 ? text[1..] : text;
}
