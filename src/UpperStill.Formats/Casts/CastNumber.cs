using System.Globalization;
using System.Text;

namespace UpperStill.Formats.Casts;

/// <summary>Reads a number from the bytes of a field: a logged cast has millions of them.</summary>
public static class CastNumber
{
    private const int MostDigits = 17;
    private static readonly double[] PowersOfTen =
    [
        1,
        1e1,
        1e2,
        1e3,
        1e4,
        1e5,
        1e6,
        1e7,
        1e8,
        1e9,
        1e10,
        1e11,
        1e12,
        1e13,
        1e14,
        1e15,
        1e16,
        1e17,
    ];

    /// <summary>Reads the whole field, spaces and quotes at its ends left out.</summary>
    /// <param name="field">The bytes.</param>
    /// <param name="point">The decimal sign.</param>
    /// <param name="value">The number.</param>
    /// <param name="decimals">Digits after the decimal sign.</param>
    /// <returns>False where it is anything else, or nothing.</returns>
    public static bool TryRead(ReadOnlySpan<byte> field, byte point, out double value, out int decimals)
    {
        (value, decimals) = (0, 0);
        var (from, until) = (0, field.Length);
        while (from < until && field[from] is (byte)' ' or (byte)'"')
        {
            from++;
        }

        while (until > from && field[until - 1] is (byte)' ' or (byte)'"')
        {
            until--;
        }

        var minus = from < until && field[from] == (byte)'-';
        if (minus || (from < until && field[from] == (byte)'+'))
        {
            from++;
        }

        long digits = 0;
        var (count, after) = (0, -1);
        for (var i = from; i < until; i++)
        {
            var letter = field[i];
            if (letter is >= (byte)'0' and <= (byte)'9')
            {
                digits = (digits * 10) + (letter - '0');
                if (++count > MostDigits)
                {
                    return Slowly(field[from..until], point, minus, out value);
                }
            }
            else if (letter == point && after < 0)
            {
                after = count;
            }
            else
            {
                return letter is (byte)'e' or (byte)'E' && count > 0 && Slowly(field[from..until], point, minus, out value);
            }
        }

        decimals = after < 0 ? 0 : count - after;
        value = digits / PowersOfTen[decimals];
        if (minus)
        {
            value = -value;
        }

        return count > 0;
    }

    private static bool Slowly(ReadOnlySpan<byte> field, byte point, bool minus, out double value)
    {
        var text = Encoding.ASCII.GetString(field);
        var read =
            double.TryParse(
                point == ',' ? text.Replace(',', '.') : text,
                NumberStyles.AllowDecimalPoint | NumberStyles.AllowExponent,
                CultureInfo.InvariantCulture,
                out value
            ) && double.IsFinite(value);
        value = minus ? -value : value;
        return read;
    }
}
