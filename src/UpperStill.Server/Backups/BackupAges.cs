using System.Globalization;

namespace UpperStill.Server.Backups;

/// <summary>
/// Which backups are kept as they grow old: all of two days, then the last of each day for two weeks, of each week for two months, of
/// each month for two years, and of each year for ever. The newest is always kept.
/// </summary>
public static class BackupAges
{
    private static readonly TimeSpan Every = TimeSpan.FromDays(2);
    private static readonly TimeSpan Daily = TimeSpan.FromDays(14);
    private static readonly TimeSpan Weekly = TimeSpan.FromDays(61);
    private static readonly TimeSpan Monthly = TimeSpan.FromDays(731);

    /// <summary>Those to keep.</summary>
    /// <param name="made">When each was made.</param>
    /// <param name="now">The moment.</param>
    public static IReadOnlySet<DateTimeOffset> Kept(IReadOnlyCollection<DateTimeOffset> made, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(made);
        var kept = made.GroupBy(at => Span(at.ToUniversalTime(), now)).Select(g => g.Max()).ToHashSet();
        if (made.Count > 0)
        {
            kept.Add(made.Max());
        }

        return kept;
    }

    private static string Span(DateTimeOffset at, DateTimeOffset now) =>
        (now - at) switch
        {
            var age when age <= Every => at.ToString("O", CultureInfo.InvariantCulture),
            var age when age <= Daily => at.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            var age when age <= Weekly => $"{ISOWeek.GetYear(at.DateTime)}-W{ISOWeek.GetWeekOfYear(at.DateTime)}",
            var age when age <= Monthly => at.ToString("yyyy-MM", CultureInfo.InvariantCulture),
            _ => at.ToString("yyyy", CultureInfo.InvariantCulture),
        };
}
