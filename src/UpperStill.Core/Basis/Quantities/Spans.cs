using System.Globalization;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>Spans of time in words.</summary>
public static class Spans
{
    private const int HoursSaid = 48;

    /// <summary>Minutes under two hours, hours under two days, else days; never below nothing.</summary>
    public static string Words(TimeSpan span)
    {
        var whole = span < TimeSpan.Zero ? span.Negate() : span;
        return whole.TotalHours < 2 ? $"{Math.Floor(whole.TotalMinutes).ToString(CultureInfo.InvariantCulture)} min"
            : whole.TotalHours < HoursSaid ? $"{Math.Floor(whole.TotalHours).ToString(CultureInfo.InvariantCulture)} h"
            : $"{Math.Floor(whole.TotalDays).ToString(CultureInfo.InvariantCulture)} days";
    }
}
