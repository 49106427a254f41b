using System.Globalization;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Reports;

/// <summary>A station in a report.</summary>
/// <param name="Code">Its code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Trends">What its series say.</param>
/// <param name="Oxygen">Oxygen of the year; null where no profile was read.</param>
public sealed record ReportStation(string Code, string Name, IReadOnlyList<TrendResult> Trends, OxygenSeason? Oxygen = null)
{
    /// <summary>A station by its series and the profiles of the year.</summary>
    /// <param name="code">Its code.</param>
    /// <param name="name">Its name.</param>
    /// <param name="series">Its series.</param>
    /// <param name="profiles">Usable profiles of the year, oldest first.</param>
    public static ReportStation Of(string code, string name, IReadOnlyList<TrendRequest> series, IReadOnlyList<OxygenVisit> profiles)
    {
        ArgumentNullException.ThrowIfNull(series);
        var oxygen = OxygenSeasons.Work(new OxygenSeasonsRequest(profiles)).Seasons;
        return new ReportStation(code, name, [.. series.Select(TrendRule.Work)], oxygen.Count > 0 ? oxygen[0] : null);
    }
}

/// <summary>What a report on a water is written from.</summary>
/// <param name="Water">The water.</param>
/// <param name="Year">The year.</param>
/// <param name="Visits">Visits of the year.</param>
/// <param name="First">The first of them; null without any.</param>
/// <param name="Last">The last.</param>
/// <param name="Observers">Who read, each once.</param>
/// <param name="Stations">The stations.</param>
public sealed record ReportRequest(
    string Water,
    int Year,
    int Visits,
    DateOnly? First,
    DateOnly? Last,
    IReadOnlyList<string> Observers,
    IReadOnlyList<ReportStation> Stations
);

/// <summary>A section of a report.</summary>
/// <param name="Title">Its title.</param>
/// <param name="Paragraphs">Its sentences.</param>
public sealed record ReportSection(string Title, IReadOnlyList<string> Paragraphs);

/// <summary>A report for neighbours, in plain words.</summary>
/// <param name="Title">Its title.</param>
/// <param name="InShort">One paragraph.</param>
/// <param name="Sections">What was done, how clear, how green, oxygen, is it changing.</param>
/// <param name="Cautions">How to read it.</param>
public sealed record ReportResult(string Title, string InShort, IReadOnlyList<ReportSection> Sections, IReadOnlyList<string> Cautions);

/// <summary>Writes the annual report on a water: nothing stands in it that the statistics do not carry, and never a cause.</summary>
public static class AnnualReport
{
    /// <summary>Writes it.</summary>
    public static ReportResult Write(ReportRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var many = request.Stations.Count > 1;
        return new ReportResult(
            $"{request.Water}, {request.Year}",
            InShort(request),
            [
                .. new[]
                {
                    new ReportSection("What was done", Done(request)),
                    new ReportSection("How clear", Values(request, Parameter.Clarity, many)),
                    new ReportSection("How green", Values(request, Parameter.Chlorophyll, many)),
                    new ReportSection("Phosphorus", Values(request, Parameter.Phosphorus, many)),
                    new ReportSection("Oxygen", Oxygen(request, many)),
                    new ReportSection("Is it changing?", Changing(request, many)),
                }.Where(s => s.Paragraphs.Count > 0),
            ],
            Cautions(request)
        );
    }

    private static IReadOnlyList<string> Done(ReportRequest request)
    {
        if (request.Visits == 0)
        {
            return [$"Nobody went out to {request.Water} in {request.Year}."];
        }

        var who = request.Observers.Count == 0 ? "Samplers" : List(request.Observers);
        var span =
            request.First == request.Last
                ? $"on {Day(request.First!.Value)}"
                : $"between {Day(request.First!.Value)} and {Day(request.Last!.Value)}";
        return [$"{who} went out {(request.Visits == 1 ? "once" : $"{request.Visits} times")} in {request.Year}, {span}."];
    }

    private static List<string> Values(ReportRequest request, Parameter subject, bool many)
    {
        List<string> said = [];
        foreach (var station in request.Stations)
        {
            if (
                station.Trends.FirstOrDefault(t => t.Subject == subject) is not { } trend
                || trend.Years.FirstOrDefault(y => y.Year == request.Year) is not { Count: > 0 } year
            )
            {
                continue;
            }

            var place = many ? $"At {station.Name} " : string.Empty;
            said.Add(
                Sentence.Begun(
                    subject == Parameter.Clarity ? Clear(place, year, trend, request.Year) : Amount(place, year, trend, request.Year)
                )
            );
        }

        return said;
    }

    private static string Clear(string place, YearSummary year, TrendResult trend, int which)
    {
        var bottom =
            year.CensoredCount == 0
                ? string.Empty
                : $" {(year.CensoredCount == 1 ? "Once" : $"{year.CensoredCount} times")} the disc lay on the bottom and was still "
                    + "in sight: the water was clearer than it is deep.";
        return !year.Enough
            ? $"{place}the disc was read {Times(year.Count)} between "
                + $"{trend.Window.Replace(" to ", " and ", StringComparison.Ordinal)}: too few for a {Word(trend)}, which needs "
                + $"{trend.Least}.{bottom}"
            : $"{place}the disc was seen down to {year.Written()}, the {Word(trend)} of {year.Count} readings from "
                + $"{trend.Window}.{Among(year, trend, which, "clearer")}{Waits(year)}{bottom}";
    }

    private static string Amount(string place, YearSummary year, TrendResult trend, int which) =>
        !year.Enough
            ? $"{place}{trend.Name} was measured {Times(year.Count)}: too few for a {Word(trend)}, which needs {trend.Least}."
            : $"{place}{trend.Name} was {year.Written()}, the {Word(trend)} of "
                + $"{(year.Count == 1 ? "1 sample" : $"{year.Count} samples")}{(trend.Least == 1 ? string.Empty : $" from {trend.Window}")}.{Among(year, trend, which, "higher")}{Waits(year)}";

    // Held against every other year that has a certain value.
    private static string Among(YearSummary year, TrendResult trend, int which, string more)
    {
        var others = trend.Years.Where(y => y.Year < which && y is { Value: not null, Censored: Censoring.None }).ToList();
        if (year is not { Value: { } value, Censored: Censoring.None } || others.Count < 3)
        {
            return string.Empty;
        }

        var below = others.Count(y => y.Value < value);
        return below == 0 ? $" No earlier year of {others.Count} was {(more == "clearer" ? "less clear" : "lower")}."
            : below == others.Count ? $" It was {more} than in all {others.Count} earlier years."
            : $" It was {more} than in {below} of {others.Count} earlier years.";
    }

    private static List<string> Oxygen(ReportRequest request, bool many) =>
        [
            .. request
                .Stations.Where(s => s.Oxygen is { LeastBottomMgL: not null })
                .Select(s =>
                {
                    var oxygen = s.Oxygen!;
                    var airless =
                        oxygen.ShallowestAnoxicM is { } m
                            ? $" At worst there was next to none from {m.ToString("0.0", CultureInfo.InvariantCulture)} m down."
                        : oxygen.ShallowestHypoxicM is { } h
                            ? $" At worst there was too little for most fish from {h.ToString("0.0", CultureInfo.InvariantCulture)} m down."
                        : string.Empty;
                    return Sentence.Begun(
                        $"{(many ? $"At {s.Name} " : string.Empty)}the least oxygen at the bottom was "
                            + $"{oxygen.LeastBottomMgL!.Value.ToString("0.0", CultureInfo.InvariantCulture)} mg/L in "
                            + $"{(oxygen.Visits == 1 ? "1 profile" : $"{oxygen.Visits} profiles")}.{airless}"
                    );
                }),
        ];

    private static List<string> Changing(ReportRequest request, bool many) =>
        [
            .. request.Stations.SelectMany(s =>
                s.Trends.Where(t => Subjects.Of(t.Subject).AskedAfter)
                    .Select(t =>
                        $"{(many ? $"{s.Name}: " : string.Empty)}{t.Headline} "
                        + $"{t.Detail}{(t.Verdict is TrendVerdict.None or TrendVerdict.TooFew && t.WouldKnow is { } know ? $" {know.Text}" : string.Empty)}"
                    )
            ),
        ];

    private static string InShort(ReportRequest request)
    {
        var all = request
            .Stations.SelectMany(s => s.Trends.Select(t => (Station: s.Name, Trend: t)))
            .Where(t => Subjects.Of(t.Trend.Subject).Pictured)
            .ToList();
        var moving = all.Where(t => t.Trend.Verdict is TrendVerdict.Rising or TrendVerdict.Falling).ToList();
        var apart = all.Where(t => t.Trend.Verdict == TrendVerdict.Mixed).ToList();
        var still = all.Where(t => t.Trend.Verdict == TrendVerdict.None).ToList();
        string Where(string station) => request.Stations.Count > 1 ? $"At {station}: " : string.Empty;
        List<string> said =
        [
            .. moving
                .Concat(apart)
                .GroupBy(t => t.Station)
                .Select(g => $"{Where(g.Key)}{string.Join(' ', g.Select(t => t.Trend.Headline))}"),
        ];
        if (still.Count > 0)
        {
            said.Add(
                $"{(moving.Count + apart.Count > 0 ? "For the rest no" : "No")} change could be told from chance; that is not the "
                    + "same as no change."
            );
        }

        if (said.Count == 0)
        {
            said.Add(
                all.Any(t => t.Trend.Verdict == TrendVerdict.Censored)
                    ? "Whether the water changes cannot be told: too many values lie beyond what could be read."
                    : "It is too early to say whether the water changes."
            );
        }

        return string.Join(' ', said);
    }

    private static IReadOnlyList<string> Cautions(ReportRequest request) =>
        [
            "A trend says that something changed. It does not say why.",
            "A value that lies beyond a limit (a disc seen on the bottom, less than the laboratory can see) is never put at the limit.",
            .. request.Stations.Any(s => s.Trends.Any(t => t.Waiting > 0))
                ? ["Values that nobody has signed off yet are drawn hollow and do not count in the trend."]
                : Array.Empty<string>(),
            .. request.Stations.Any(s => s.Trends.Any(t => t.Breaks.Count > 0))
                ? ["Where the way of measuring changed, the years before and after are not compared unless that is said."]
                : Array.Empty<string>(),
            "Whether to swim, fish or drink is for the local authority to say.",
        ];

    private static string Word(TrendResult trend) => trend.Statistic.ToString().ToLowerInvariant();

    private static string Waits(YearSummary year) => year.Provisional ? " Some of it is provisional." : string.Empty;

    private static string Times(int count) =>
        count switch
        {
            1 => "once",
            2 => "twice",
            _ => $"{count} times",
        };

    private static string Day(DateOnly day) => day.ToString("d MMMM", CultureInfo.InvariantCulture);

    private static string List(IReadOnlyList<string> names) =>
        names.Count == 1 ? names[0] : $"{string.Join(", ", names.Take(names.Count - 1))} and {names[^1]}";
}
