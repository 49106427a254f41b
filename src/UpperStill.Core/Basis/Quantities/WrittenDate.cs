using System.Globalization;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>In which order a date is written with figures only.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<DateOrder>))]
public enum DateOrder
{
    /// <summary>Year first.</summary>
    [JsonStringEnumMemberName("year-first")]
    YearFirst,

    /// <summary>Day first.</summary>
    [JsonStringEnumMemberName("day-first")]
    DayFirst,

    /// <summary>Month first.</summary>
    [JsonStringEnumMemberName("month-first")]
    MonthFirst,
}

/// <summary>Reads a day as tables write it: <c>2013-06-15</c>, <c>15.6.2013</c>, <c>6/15/13</c>. What can be read two ways is not read
/// without its order.</summary>
public static class WrittenDate
{
    private const int Earliest = 1800;
    private const int Latest = 2200;

    /// <summary>The day; null where it is none, or could be two.</summary>
    /// <param name="written">The text; a time behind the day is left out.</param>
    /// <param name="order">The order; null where it is not known.</param>
    /// <param name="latest">A year of two figures is not after this; null where it is of this century.</param>
    public static DateOnly? Read(string written, DateOrder? order = null, DateOnly? latest = null)
    {
        if (Figures(written) is not [var a, var b, var c])
        {
            return null;
        }

        var (year, month, day) =
            a > 99
                ? (a, b, c)
                : order switch
                {
                    DateOrder.DayFirst => (c, b, a),
                    DateOrder.MonthFirst => (c, a, b),
                    DateOrder.YearFirst => (a, b, c),
                    _ => a > 12 ? (c, b, a)
                    : b > 12 || a == b ? (c, a, b)
                    : (0, 0, 0),
                };
        year = year is > 0 and < 100 ? (2000 + year > latest?.Year ? 1900 : 2000) + year : year;
        return year is > Earliest and < Latest && month is >= 1 and <= 12 && day >= 1 && day <= DateTime.DaysInMonth(year, month)
            ? new DateOnly(year, month, day)
            : null;
    }

    /// <summary>The order that days of a column must have, as far as one of them tells.</summary>
    /// <param name="written">Days.</param>
    public static DateOrder? OrderOf(IEnumerable<string> written)
    {
        ArgumentNullException.ThrowIfNull(written);
        var (day, month) = (false, false);
        foreach (var figures in written.Select(Figures))
        {
            if (figures is [var a, var b, _] && a < 100)
            {
                (day, month) = (day || a > 12, month || b > 12);
            }
        }

        return (day, month) switch
        {
            (true, false) => DateOrder.DayFirst,
            (false, true) => DateOrder.MonthFirst,
            _ => null,
        };
    }

    /// <summary>True for a day that has all its figures and yet could be two days.</summary>
    /// <param name="written">The text.</param>
    public static bool CouldBeTwo(string written) => Figures(written) is [< 13, < 13, _] && Read(written) is null;

    private static int[] Figures(string? written)
    {
        var date = (written ?? string.Empty).Trim().Split(' ', 'T')[0];
        var parts = date.Split('-', '/', '.');
        return parts.Length == 3 && parts.All(p => p.Length is > 0 and <= 4 && p.All(char.IsAsciiDigit))
            ? [.. parts.Select(p => int.Parse(p, CultureInfo.InvariantCulture))]
            : [];
    }
}
