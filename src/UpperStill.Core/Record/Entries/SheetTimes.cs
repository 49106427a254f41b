using System.Globalization;
using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Entries;

/// <summary>The half of the day that is ticked on a sheet beside its 24-hour time.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<HalfDay>))]
public enum HalfDay
{
    /// <summary>Before noon.</summary>
    [JsonStringEnumMemberName("am")]
    Am,

    /// <summary>From noon on.</summary>
    [JsonStringEnumMemberName("pm")]
    Pm,
}

/// <summary>Day and time as they stand on a paper sheet.</summary>
/// <param name="Day">The day on the sheet.</param>
/// <param name="Now">When it is typed, with the offset of the place.</param>
/// <param name="Time">The time on the sheet, or the best estimate; null where there is neither.</param>
/// <param name="Half">The half of the day ticked on the sheet.</param>
/// <param name="Estimated">True where the time is not on the sheet but estimated.</param>
public sealed record SheetTimeRequest(
    DateOnly Day,
    DateTimeOffset Now,
    TimeOnly? Time = null,
    HalfDay? Half = null,
    bool? Estimated = null
);

/// <summary>When the readings of a sheet were made.</summary>
/// <param name="Findings">What stands in the way; without a stop the sheet may be typed in.</param>
/// <param name="At">When; null where it cannot be said.</param>
/// <param name="Other">The instant that the ticked half of the day means, where it contradicts the time.</param>
public sealed record SheetTimeResult(IReadOnlyList<Finding> Findings, DateTimeOffset? At = null, DateTimeOffset? Other = null);

/// <summary>Reads the time of a paper sheet: holding times and trends count from it.</summary>
public static class SheetTimes
{
    /// <summary>Says when the readings of a sheet were made, or what is missing.</summary>
    public static SheetTimeResult Work(SheetTimeRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (request.Time is not { } time)
        {
            return new SheetTimeResult([
                Finding.Stop(
                    "time-missing",
                    "No time for the readings of this sheet.",
                    "Holding time and trend need it.",
                    "Enter it, or your best estimate marked so."
                ) with
                {
                    NoWayRound = true,
                },
            ]);
        }

        var at = new DateTimeOffset(request.Day.ToDateTime(time), request.Now.Offset);
        if (at > request.Now)
        {
            return new SheetTimeResult([
                Finding.Stop(
                    "time-ahead",
                    $"{at.ToString("d MMM yyyy, HH:mm", CultureInfo.InvariantCulture)} lies ahead.",
                    "A sheet is written before it is typed in.",
                    "Correct the day or the time."
                ) with
                {
                    NoWayRound = true,
                },
            ]);
        }

        return Contradiction(at, request.Half) is { } finding
            ? new SheetTimeResult([finding], at, at.AddHours(at.Hour < 12 ? 12 : -12) is var other && other <= request.Now ? other : null)
            : new SheetTimeResult([], at);
    }

    /// <summary>The finding where the ticked half of the day contradicts the 24-hour time; null where it does not.</summary>
    internal static Finding? Contradiction(DateTimeOffset at, HalfDay? half) =>
        half is { } ticked && (at.Hour < 12) != (ticked == HalfDay.Am)
            ? Finding.Stop(
                "half-day-contradicts",
                $"The sheet says {at.ToString("HH:mm", CultureInfo.InvariantCulture)} and {(ticked == HalfDay.Am ? "a.m." : "p.m.")}",
                "One of the two is wrong.",
                "Which stands?"
            )
            : null;
}
