namespace UpperStill.Core.Clarity;

/// <summary>A station's record, and the day of a reading that is to be compared with it.</summary>
/// <param name="Points">The record, in any order.</param>
/// <param name="Day">Local day of the reading.</param>
public sealed record MonthHistoryRequest(IReadOnlyList<ClarityPoint> Points, DateOnly Day);

/// <summary>The part of a record that a reading is compared with.</summary>
/// <param name="Points">Usable, uncensored, of the same month, earlier than the day.</param>
public sealed record MonthHistoryResult(IReadOnlyList<ClarityPoint> Points);

/// <summary>Picks what a reading is compared with. A device asks once for a visit, so that each fold has little to read.</summary>
public static class MonthHistory
{
    /// <summary>The comparable points; picking twice changes nothing.</summary>
    public static MonthHistoryResult Work(MonthHistoryRequest request) => new([.. Of(request.Points, request.Day)]);

    internal static IEnumerable<ClarityPoint> Of(IEnumerable<ClarityPoint> points, DateOnly day) =>
        points.Where(p => p.Usable && !p.Censored && p.Date < day && p.Date.Month == day.Month);
}
