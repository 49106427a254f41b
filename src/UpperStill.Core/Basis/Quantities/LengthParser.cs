using System.Globalization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>
/// Reads a length as people type it: <c>12 9</c>, <c>12-9</c>, <c>12'9"</c>, <c>12 ft. 9 in.</c>, <c>3.85</c>, <c>3,85 m</c>, <c>151
/// in</c>, <c>12 9 1/2</c>, <c>17½ ft</c>.
/// Nothing is guessed: what can be read two ways is refused with a finding that says so.
/// </summary>
public static class LengthParser
{
    /// <summary>More than the deepest sea; a larger number is a slip of the hand.</summary>
    public const decimal GreatestMetres = 11_000m;

    /// <summary>Less than any mark or tape can show.</summary>
    public const decimal LeastMetres = 0.0001m;

    private const int LongestText = 40;

    /// <summary>Reads <paramref name="written"/>; a unit typed with the number wins over <paramref name="unit"/>.</summary>
    /// <param name="written">The text as typed.</param>
    /// <param name="unit">The unit of the line or box; null where it is not known.</param>
    /// <returns>The length, or the finding that stands in its way; a finding may also come with a length.</returns>
    public static (Length? Length, Finding? Finding) Parse(string? written, LengthUnit? unit)
    {
        var text = LengthScanner.Tidy(written);
        if (text.Length == 0)
        {
            return Stop("number-missing", "Nothing is written here.", "An empty box is not a depth.", "Type the mark as you read it.");
        }

        if (text.Length > LongestText)
        {
            return Unreadable(text[..LongestText] + "…");
        }

        if (text.StartsWith('-') || text.StartsWith('−'))
        {
            return Stop(
                "number-negative",
                $"{text} is above the water.",
                "Depth counts downward from the surface.",
                "Type it without the minus sign."
            );
        }

        if (LengthScanner.PointForComma(text) is not { } plain)
        {
            return Stop(
                "number-comma",
                $"{text} can be read two ways.",
                "A comma before three digits may mark thousands or a fraction.",
                "Type it again with a point for the fraction."
            );
        }

        if (LengthScanner.FeetAndInches(plain) is { } pair && (pair.Marked || unit is null or LengthUnit.FootInch or LengthUnit.Foot))
        {
            return FromFeetAndInches(plain, pair);
        }

        return LengthScanner.Single(plain) is { } single ? FromSingle(plain, single, unit) : Unreadable(plain);
    }

    private static (Length?, Finding?) FromFeetAndInches(string text, WrittenFeetAndInches written)
    {
        if (Number(written.Feet) is not { } feet || Inches(written) is not { } inches)
        {
            return Unreadable(text);
        }

        if (feet % 1 != 0 || inches >= 12)
        {
            return Stop(
                "inches-too-many",
                $"{Decimals.Text(feet)} ft {Decimals.Text(inches)} in is not a length on this line.",
                "Feet are whole and inches under 12.",
                "Type it again."
            );
        }

        var step = written.Denominator is { } denominator ? 1m / Number(denominator)!.Value : StepOf(written.Inches);
        return Limit(new Length(Decimals.Plain((feet * 12) + inches), LengthUnit.FootInch, step));
    }

    private static (Length?, Finding?) FromSingle(string text, WrittenNumber written, LengthUnit? unit)
    {
        var digits = written.Value;
        if (Number(digits) is not { } value)
        {
            return Unreadable(text);
        }

        var step = StepOf(digits);
        if (written.Denominator is not null)
        {
            if (step != 1 || Part(written.Numerator!, written.Denominator) is not { } part)
            {
                return Unreadable(text);
            }

            (value, step) = (value + part, 1 / Number(written.Denominator)!.Value);
        }

        var named = written.Unit;
        if ((named ?? unit) is not { } chosen)
        {
            return Stop(
                "unit-missing",
                $"{Decimals.Text(value)} has no unit.",
                "It could be read two ways and is lost if we guess.",
                "Choose the unit on the line or meter, or \"unknown\": then it is kept but not used.",
                noWayRound: true
            );
        }

        // A lone number on a line in feet and inches is feet; with a point it may have been meant as inches.
        if (chosen == LengthUnit.FootInch || (named == LengthUnit.Foot && unit == LengthUnit.FootInch))
        {
            if (written.Denominator is not null || (value % 1 == 0 && step == 1))
            {
                return Limit(new Length(Decimals.Plain(value * 12), LengthUnit.FootInch, 12 * step));
            }

            var (length, finding) = Limit(new Length(Decimals.Plain(value), LengthUnit.Foot, step));
            return (length, finding ?? DecimalFeet(value, digits));
        }

        return Limit(new Length(Decimals.Plain(value), chosen, step));
    }

    private static Finding DecimalFeet(decimal value, string digits)
    {
        var parts = digits.Split('.');
        var meant = $"{(parts[0].Length == 0 ? "0" : parts[0])} ft {parts[1]} in";
        return Finding.Check(
            "feet-decimal-as-inches",
            $"{Decimals.Text(value)} ft means {LengthText.FeetAndInches(value * 12)}.",
            $"A point makes tenths of a foot, not inches.",
            $"If you meant {meant}, type a space, not a point."
        );
    }

    private static (Length?, Finding?) Limit(Length length) =>
        length.Metres is 0 or (>= LeastMetres and <= GreatestMetres) ? (length, null)
        : length.Metres < LeastMetres
            ? Stop(
                "number-too-small",
                $"{Decimals.Text(length.Value)} is finer than any line or tape shows.",
                "What is divided by it has no end.",
                "Look at the unit and the zeros; type 0 for the surface."
            )
        : Stop(
            "number-too-large",
            $"{LengthText.Write(length)} is deeper than any water.",
            "It would spoil the record's scale.",
            "Look for a lost point or a wrong unit."
        );

    private static decimal? Inches(WrittenFeetAndInches written)
    {
        if (Number(written.Inches) is not { } inches)
        {
            return null;
        }

        if (written.Denominator is not { } denominator)
        {
            return inches;
        }

        return inches + Part(written.Numerator!, denominator);
    }

    // Only the parts that a tape shows: all of them end in decimal.
    private static decimal? Part(string numerator, string denominator) =>
        Number(denominator) is { } parts and (2 or 4 or 8 or 16) && Number(numerator) is { } number ? number / parts : null;

    private static decimal? Number(string digits) =>
        decimal.TryParse(digits, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value) && value < 100_000_000m
            ? value
            : null;

    private static decimal StepOf(string digits)
    {
        var point = digits.IndexOf('.', StringComparison.Ordinal);
        var step = 1m;
        for (var i = point < 0 ? digits.Length : point + 1; i < digits.Length; i++)
        {
            step /= 10;
        }

        return step;
    }

    private static (Length?, Finding?) Unreadable(string text) =>
        Stop(
            "number-unreadable",
            $"“{text}” is not a length.",
            "Only what can be read back is kept as a reading.",
            "Type 12 9 for 12 ft 9 in, or 3.85 for metres."
        );

    private static (Length?, Finding?) Stop(string code, string seen, string why, string act, bool noWayRound = false) =>
        (null, Finding.Stop(code, seen, why, act) with { NoWayRound = noWayRound });
}
