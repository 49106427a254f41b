namespace UpperStill.Core.Basis.Quantities;

/// <summary>Feet and inches as they stand in a text.</summary>
internal sealed record WrittenFeetAndInches(string Feet, bool Marked, string Inches, string? Numerator, string? Denominator);

/// <summary>A lone number as it stands in a text, with the unit written behind it.</summary>
internal sealed record WrittenNumber(string Value, LengthUnit? Unit, string? Numerator = null, string? Denominator = null);

/// <summary>Reads a tidied text from left to right. By hand, because the library of patterns would travel to every device.</summary>
internal sealed class LengthScanner
{
    private readonly string text;
    private int at;

    private LengthScanner(string text) => this.text = text;

    /// <summary>The text of one kind of blank, in small letters, with the fractions of an inch spelled out.</summary>
    internal static string Tidy(string? written) =>
        string.Join(
            ' ',
            (written ?? string.Empty)
                .Replace("½", " 1/2", StringComparison.Ordinal)
                .Replace("¼", " 1/4", StringComparison.Ordinal)
                .Replace("¾", " 3/4", StringComparison.Ordinal)
                .Replace("⅛", " 1/8", StringComparison.Ordinal)
                .Replace("⅜", " 3/8", StringComparison.Ordinal)
                .Replace("⅝", " 5/8", StringComparison.Ordinal)
                .Replace("⅞", " 7/8", StringComparison.Ordinal)
                .Replace('’', '\'')
                .Replace('‘', '\'')
                .Replace('′', '\'')
                .Replace('ʹ', '\'')
                .Replace('´', '\'')
                .Replace('”', '"')
                .Replace('“', '"')
                .Replace('″', '"')
                .Replace('ʺ', '"')
                .Replace("''", "\"", StringComparison.Ordinal)
                .Replace('–', '-')
                .Replace('‑', '-')
                .ToLowerInvariant()
                .Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)
        );

    /// <summary>Commas between digits made points; null where one stands before just three digits, which may mark thousands or a fraction,
    /// unless a single 0 stands before it.</summary>
    internal static string? PointForComma(string text)
    {
        var read = text.ToCharArray();
        for (var i = 1; i < read.Length; i++)
        {
            if (read[i] == ',' && char.IsAsciiDigit(text[i - 1]))
            {
                var digits = text.AsSpan(i + 1).IndexOfAnyExceptInRange('0', '9') is var end && end < 0 ? text.Length - i - 1 : end;
                if (digits == 3 && !(text[i - 1] == '0' && (i == 1 || !char.IsAsciiDigit(text[i - 2]))))
                {
                    return null;
                }

                read[i] = digits > 0 ? '.' : ',';
            }
        }

        return new string(read);
    }

    /// <summary>Such as <c>12 9</c>, <c>12-9</c>, <c>12'9"</c>, <c>12'-9"</c>, <c>12 ft. 9 1/2 in.</c>; null for anything else.</summary>
    internal static WrittenFeetAndInches? FeetAndInches(string text)
    {
        var scan = new LengthScanner(text);
        var feet = scan.Number();
        var apart = scan.Blank();
        var mark = scan.Word();
        var marked = UnitNamed(mark) == LengthUnit.Foot;
        scan.Blank();
        apart |= scan.Dash();
        scan.Blank();
        if (feet is null || !(marked || (apart && mark is null)) || scan.Number() is not { } inches)
        {
            return null;
        }

        var (numerator, denominator) = scan.Fraction();
        scan.Blank();
        var unit = scan.Word();
        return scan.AtEnd && (unit is null || UnitNamed(unit) == LengthUnit.Inch)
            ? new WrittenFeetAndInches(feet, marked, inches, numerator, denominator)
            : null;
    }

    /// <summary>Such as <c>3.85</c>, <c>.5</c>, <c>385 cm</c>, <c>17 1/2 ft</c>; null for anything else.</summary>
    internal static WrittenNumber? Single(string text)
    {
        var scan = new LengthScanner(text);
        var value = scan.Number() ?? scan.PointFirst();
        var (numerator, denominator) = scan.Fraction();
        scan.Blank();
        var word = scan.Word();
        var unit = UnitNamed(word);
        return value is not null && scan.AtEnd && (word is null || unit is not null)
            ? new WrittenNumber(value, unit, numerator, denominator)
            : null;
    }

    private static LengthUnit? UnitNamed(string? name) =>
        name switch
        {
            "m" or "metre" or "metres" or "meter" or "meters" => LengthUnit.Metre,
            "cm" => LengthUnit.Centimetre,
            "ft" or "foot" or "feet" or "'" => LengthUnit.Foot,
            "in" or "inch" or "inches" or "\"" => LengthUnit.Inch,
            _ => null,
        };

    private bool AtEnd => at == text.Length;

    private char Next => AtEnd ? '\0' : text[at];

    private bool Blank()
    {
        if (Next != ' ')
        {
            return false;
        }

        at++;
        return true;
    }

    private bool Dash()
    {
        if (Next != '-')
        {
            return false;
        }

        at++;
        return true;
    }

    private string? Digits()
    {
        var began = at;
        while (char.IsAsciiDigit(Next))
        {
            at++;
        }

        return at > began ? text[began..at] : null;
    }

    private string? Number() => Digits() is { } whole ? whole + PointFirst() : null;

    private string? PointFirst()
    {
        var began = at;
        if (Next == '.')
        {
            at++;
            if (Digits() is not null)
            {
                return text[began..at];
            }
        }

        at = began;
        return null;
    }

    private (string? Numerator, string? Denominator) Fraction()
    {
        var began = at;
        if (Blank() && Digits() is { } numerator && Next == '/')
        {
            at++;
            if (Digits() is { } denominator)
            {
                return (numerator, denominator);
            }
        }

        at = began;
        return (null, null);
    }

    private string? Word()
    {
        var began = at;
        if (Next is '\'' or '"')
        {
            at++;
        }
        else
        {
            while (char.IsAsciiLetterLower(Next))
            {
                at++;
            }

            // Units are often shortened with a point.
            if (at > began && Next == '.')
            {
                at++;
                return text[began..(at - 1)];
            }
        }

        return at > began ? text[began..at] : null;
    }
}
