using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Reports;

/// <summary>What a summary needs of a series.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Verdict">What it says.</param>
/// <param name="Headline">The sentence.</param>
/// <param name="Least">Values that a year needs.</param>
/// <param name="Year">The year beside those before it; null where nothing was read in it.</param>
public sealed record SummaryTrend(Parameter Subject, TrendVerdict Verdict, string Headline, int Least, YearBeside? Year)
{
    /// <summary>Of a whole answer.</summary>
    /// <param name="answer">The answer.</param>
    /// <param name="year">The year.</param>
    /// <param name="native">The unit in which depths were read.</param>
    /// <param name="reader">Unit for the words.</param>
    public static SummaryTrend Of(
        SeriesAnswer answer,
        int year,
        LengthUnit native = LengthUnit.Metre,
        ReaderUnit reader = ReaderUnit.AsRead
    )
    {
        ArgumentNullException.ThrowIfNull(answer);
        return new SummaryTrend(answer.Subject, answer.Verdict, answer.Headline, answer.Least, YearBeside.Of(answer, year, native, reader));
    }
}

/// <summary>A station in a coordinator's summary.</summary>
/// <param name="Station">The station.</param>
/// <param name="Visits">Visits of the year.</param>
/// <param name="Waiting">Visits of the year that nobody has signed off.</param>
/// <param name="Open">Open findings of the year.</param>
/// <param name="Lost">Samples of the year that were lost or rejected.</param>
/// <param name="Trends">What its series say.</param>
public sealed record SummaryStation(Station Station, int Visits, int Waiting, int Open, int Lost, IReadOnlyList<SummaryTrend> Trends);

/// <summary>What a summary is written from.</summary>
/// <param name="Year">The year.</param>
/// <param name="Observers">How many people went out.</param>
/// <param name="Stations">The stations.</param>
public sealed record SummaryRequest(int Year, int Observers, IReadOnlyList<SummaryStation> Stations);

/// <summary>A summary across waters, for whoever coordinates them.</summary>
/// <param name="Done">What was done.</param>
/// <param name="Changing">What changes, station by station; empty where nothing does.</param>
/// <param name="Still">What can be said of the rest.</param>
/// <param name="ToDo">What waits, the most pressing first.</param>
public sealed record SummaryResult(string Done, IReadOnlyList<string> Changing, string? Still, IReadOnlyList<string> ToDo);

/// <summary>Writes the coordinator's summary across waters: what was done, what changes, what waits. It claims no more than the statistics
/// carry, and never a cause.</summary>
public static class CoordinatorSummary
{
    private const int MostNamed = 5;

    /// <summary>Writes it.</summary>
    public static SummaryResult Write(SummaryRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var visited = request.Stations.Where(s => s.Visits > 0).ToList();
        var trends = request
            .Stations.SelectMany(s => s.Trends.Where(t => Subjects.Of(t.Subject).AskedAfter).Select(t => (Station: s, Trend: t)))
            .ToList();
        var moving = trends.Where(t => t.Trend.Verdict is TrendVerdict.Rising or TrendVerdict.Falling or TrendVerdict.Mixed).ToList();
        return new SummaryResult(
            Done(request, visited),
            [.. moving.GroupBy(t => Place(t.Station)).Select(g => $"{g.Key}: {string.Join(' ', g.Select(t => t.Trend.Headline))}")],
            Still(
                trends.Count,
                moving.Count,
                trends.Count(t => t.Trend.Verdict == TrendVerdict.TooFew),
                trends.Count(t => t.Trend.Verdict == TrendVerdict.Censored)
            ),
            [.. ToDo(request)]
        );
    }

    private static string Done(SummaryRequest request, List<SummaryStation> visited)
    {
        var visits = visited.Sum(s => s.Visits);
        return visits == 0
            ? $"Nobody went out in {request.Year}."
            : $"{(request.Observers == 0 ? "Samplers" : Count(request.Observers, "person", "people"))} made "
                + $"{Count(visits, "visit", "visits")} to {visited.Count} of {Count(request.Stations.Count, "station", "stations")} "
                + $"of {Count(request.Stations.Select(s => s.Station.Water).Distinct().Count(), "water", "waters")} in {request.Year}.";
    }

    private static string? Still(int all, int moving, int few, int censored) =>
        all == moving
            ? null
            : string.Join(
                ' ',
                new[]
                {
                    all - moving - few - censored is > 0 and var none
                        ? $"In {Count(none, "series", "series")} no change could be told from chance; that is not the same as no change."
                        : null,
                    few > 0 ? $"{Count(few, "series is", "series are")} too short for a trend." : null,
                    censored > 0 ? $"In {Count(censored, "series", "series")} too many values lie beyond what could be read." : null,
                }.OfType<string>()
            );

    private static IEnumerable<string> ToDo(SummaryRequest request)
    {
        var waiting = request.Stations.Where(s => s.Waiting > 0).ToList();
        if (waiting.Count > 0)
        {
            yield return $"{Count(waiting.Sum(s => s.Waiting), "visit waits", "visits wait")} for sign-off and "
                + $"{(waiting.Sum(s => s.Waiting) == 1 ? "counts" : "count")} in no trend yet: "
                + $"{Named(waiting, s => $"{Place(s)} ({s.Waiting})")}.";
        }

        var open = request.Stations.Where(s => s.Open > 0).ToList();
        if (open.Count > 0)
        {
            yield return $"{Count(open.Sum(s => s.Open), "finding is", "findings are")} open: "
                + $"{Named(open, s => $"{Place(s)} ({s.Open})")}.";
        }

        // What a year still needs is worth knowing while the season lasts.
        var few = request
            .Stations.Select(s => (Station: s, Clarity: s.Trends.FirstOrDefault(t => t.Subject == Parameter.Clarity)))
            .Where(s => s.Clarity is not null)
            .Select(s => (s.Station, s.Clarity!.Least, Count: s.Clarity.Year?.Count ?? 0))
            .Where(s => s.Count < s.Least)
            .ToList();
        if (few.Count > 0)
        {
            yield return $"Clarity of {request.Year} has no {(few.Count == 1 ? "value" : "values")} yet at "
                + $"{Named(few, s => $"{Place(s.Station)} ({s.Count} of {s.Least})")}.";
        }

        var lost = request.Stations.Where(s => s.Lost > 0).ToList();
        if (lost.Count > 0)
        {
            yield return $"{Count(lost.Sum(s => s.Lost), "sample was", "samples were")} lost or rejected: "
                + $"{Named(lost, s => $"{Place(s)} ({s.Lost})")}.";
        }

        var never = request.Stations.Where(s => s.Visits == 0).ToList();
        if (never.Count > 0)
        {
            yield return $"Nobody has been to {Named(never, Place)} in {request.Year}.";
        }
    }

    private static string Named<T>(List<T> all, Func<T, string> name) =>
        string.Join(", ", all.Take(MostNamed).Select(name)) + (all.Count > MostNamed ? $" and {all.Count - MostNamed} more" : string.Empty);

    private static string Place(SummaryStation station) => $"{station.Station.Water}, {station.Station.Name}";

    private static string Count(int count, string one, string many) => $"{count} {(count == 1 ? one : many)}";
}
