namespace UpperStill.Core.Record.History;

/// <summary>A station's record, and the day of a reading that is to be compared with it.</summary>
/// <param name="Points">The record, in any order.</param>
/// <param name="Day">Local day of the reading.</param>
public sealed record MonthHistoryRequest(IReadOnlyList<ClarityPoint> Points, DateOnly Day);

/// <summary>The part of a record that a reading is compared with.</summary>
/// <param name="Points">Usable, uncensored, of the same month, earlier than the day.</param>
/// <param name="LastDay">The last day of the record before that day; null where there is none.</param>
public sealed record MonthHistoryResult(IReadOnlyList<ClarityPoint> Points, DateOnly? LastDay = null);

/// <summary>Picks what a reading is compared with. A device asks once for a visit, so that each fold has little to read.</summary>
public static class MonthHistory
{
    /// <summary>The comparable points; picking twice changes nothing.</summary>
    public static MonthHistoryResult Work(MonthHistoryRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return new([.. Of(request.Points, request.Day)], LastBefore(request.Points, request.Day));
    }

    internal static DateOnly? LastBefore(IEnumerable<ClarityPoint> points, DateOnly day) =>
        points.Where(p => p.Date < day).Select(p => (DateOnly?)p.Date).Max();

    internal static IEnumerable<ClarityPoint> Of(IEnumerable<ClarityPoint> points, DateOnly day) =>
        points.Where(p => p.Usable && !p.Censored && p.Date < day && p.Date.Month == day.Month);
}
