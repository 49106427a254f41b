using UpperStill.Core.Places;
using UpperStill.Core.Programmes;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Clarity;

/// <summary>One clarity of a station's record.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Date">Local day.</param>
/// <param name="ClarityM">Reported clarity, m; the sounding where censored.</param>
/// <param name="Censored">True where the disc was seen on the bottom.</param>
/// <param name="Usable">False where a stop stands open: kept out of the summary.</param>
/// <param name="Text">As reported, in its own unit.</param>
public sealed record ClarityPoint(Guid Visit, DateOnly Date, decimal ClarityM, bool Censored, bool Usable, string? Text = null);

/// <summary>A station's clarities to be summed up by year.</summary>
/// <param name="Points">The record, in any order.</param>
/// <param name="Summary">The programme's window and least count.</param>
/// <param name="Native">The unit of the station's lines.</param>
/// <param name="Reader">Unit for the words.</param>
public sealed record ClarityYearsRequest(
    IReadOnlyList<ClarityPoint> Points, SummarySettings Summary, LengthUnit Native = LengthUnit.Metre, ReaderUnit Reader = ReaderUnit.AsRead);

/// <summary>One year of a station.</summary>
/// <param name="Year">The year.</param>
/// <param name="Count">Usable readings inside the window.</param>
/// <param name="CensoredCount">How many of them are "greater than".</param>
/// <param name="Enough">True where the least count is met.</param>
/// <param name="LowM">Shallowest, m.</param>
/// <param name="HighM">Deepest, m.</param>
/// <param name="MeanM">Mean, m; null where there are too few, or any is censored.</param>
/// <param name="MedianM">Median, m, where its order is certain; null otherwise.</param>
/// <param name="Text">The year in words.</param>
public sealed record ClarityYear(
    int Year, int Count, int CensoredCount, bool Enough, string Text, decimal? LowM = null, decimal? HighM = null, decimal? MeanM = null, decimal? MedianM = null);

/// <summary>A station's record by year, with what a chart of it needs.</summary>
/// <param name="Points">The record, oldest first, with words for the reader.</param>
/// <param name="Years">Every year from the first to the last, empty ones too.</param>
/// <param name="Scale">A depth scale.</param>
/// <param name="DeepestM">Depth to which the chart is drawn, m.</param>
/// <param name="Summary">What the years rest on, in words.</param>
public sealed record ClarityYearsResult(
    IReadOnlyList<ClarityPoint> Points, IReadOnlyList<ClarityYear> Years, DepthScale Scale, decimal DeepestM, string Summary);

/// <summary>Sums up a station's clarity by year. A mean is given only where the least count is met; a censored value is counted and named, never averaged.</summary>
/// <remarks>Censored medians: Helsel 2012, Statistics for Censored Environmental Data, 2nd ed.</remarks>
public static class ClarityYears
{
    private static readonly string[] Months =
        ["January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December"];

    /// <summary>The record by year.</summary>
    public static ClarityYearsResult Work(ClarityYearsRequest request)
    {
        ClarityPoint[] points = [.. request.Points.OrderBy(p => p.Date).ThenBy(p => p.Visit).Select(p => p with { Text = Words(p, request) })];
        var byYear = points.ToLookup(p => p.Date.Year);
        List<ClarityYear> years = [];
        if (points.Length > 0)
        {
            for (var year = points[0].Date.Year; year <= points[^1].Date.Year; year++)
            {
                years.Add(Year(year, [.. byYear[year].Where(p => p.Usable && InWindow(p.Date.Month, request.Summary))], request));
            }
        }

        var deepest = points.Length == 0 ? 5m : points.Max(p => p.ClarityM);
        var window = $"{Months[request.Summary.FromMonth - 1]} to {Months[request.Summary.UntilMonth - 1]}; a mean needs {request.Summary.LeastReadings} readings.";
        return new ClarityYearsResult(points, years, DepthScale.To(deepest * 1.1m, request.Native, request.Reader), Decimals.Published(deepest), window);
    }

    private static ClarityYear Year(int year, ClarityPoint[] points, ClarityYearsRequest request)
    {
        var censored = points.Count(p => p.Censored);
        if (points.Length == 0)
        {
            return new ClarityYear(year, 0, 0, false, "none");
        }

        var enough = points.Length >= request.Summary.LeastReadings;
        var low = Decimals.Published(points.Min(p => p.ClarityM));
        var high = Decimals.Published(points.Max(p => p.ClarityM));
        var mean = enough && censored == 0 ? points.Sum(p => p.ClarityM) / points.Length : (decimal?)null;
        var median = enough ? CertainMedian(points) : null;
        var text = !enough ? $"not enough ({points.Length} of {request.Summary.LeastReadings})"
            : mean is { } m ? $"mean {Show(m, request)} of {points.Length}"
            : median is { } d ? $"median {Show(d, request)}; {censored} of {points.Length} on the bottom"
            : $"{censored} of {points.Length} on the bottom: deeper than the water";
        return new ClarityYear(
            year, points.Length, censored, enough, text, low, high,
            mean is { } shown ? Decimals.Published(shown) : null, median is { } mid ? Decimals.Published(mid) : null);
    }

    // A censored value lies somewhere below its limit. The median is certain where the middle values are plain and
    // every censored limit is at or beyond them.
    private static decimal? CertainMedian(ClarityPoint[] points)
    {
        ClarityPoint[] sorted = [.. points.OrderBy(p => p.ClarityM).ThenBy(p => p.Censored)];
        var middle = sorted.Length / 2;
        ClarityPoint[] mid = sorted.Length % 2 == 1 ? [sorted[middle]] : [sorted[middle - 1], sorted[middle]];
        var certain = mid.All(p => !p.Censored) && points.All(p => !p.Censored || p.ClarityM >= mid[^1].ClarityM);
        return certain ? mid.Sum(p => p.ClarityM) / mid.Length : null;
    }

    private static bool InWindow(int month, SummarySettings summary) => summary.FromMonth <= summary.UntilMonth
        ? month >= summary.FromMonth && month <= summary.UntilMonth
        : month >= summary.FromMonth || month <= summary.UntilMonth;

    private static string Words(ClarityPoint point, ClarityYearsRequest request) =>
        point.Text is { } text && request.Reader == ReaderUnit.AsRead ? text : (point.Censored ? "> " : string.Empty) + Show(point.ClarityM, request);

    private static string Show(decimal metres, ClarityYearsRequest request) => LengthText.Show(metres, request.Native, request.Reader);
}
