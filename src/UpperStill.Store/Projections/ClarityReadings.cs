using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Store.Projections;

/// <summary>The clarities among the readings: every visit of a station is judged by them.</summary>
public static class ClarityReadings
{
    /// <summary>The clarities.</summary>
    public static IQueryable<ReadingRow> Clarity(this IQueryable<ReadingRow> readings) =>
        readings.Where(r => r.Parameter == Parameter.Clarity.Code);

    /// <summary>A clarity as Core knows it.</summary>
    public static ClarityPoint Point(this ReadingRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        return new ClarityPoint(
            row.Visit,
            row.Day,
            row.Value,
            row.Censored == Censoring.Above,
            row.Usable,
            row.Text,
            row.Method,
            row.SignedOff
        );
    }
}
