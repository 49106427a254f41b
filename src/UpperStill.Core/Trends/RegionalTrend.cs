using UpperStill.Core.Programmes;

namespace UpperStill.Core.Trends;

/// <summary>A station in a summary over many.</summary>
/// <param name="Station">The station's code.</param>
/// <param name="Years">Years with enough values.</param>
/// <param name="Numbers">The test; null where there are too few years.</param>
public sealed record RegionalStation(string Station, int Years, TestNumbers? Numbers);

/// <summary>One subject over many stations.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Headline">In words.</param>
/// <param name="Detail">How sure, and from what.</param>
/// <param name="Rising">Stations that rise, p &lt; 0.05.</param>
/// <param name="Falling">Stations that fall.</param>
/// <param name="Unclear">Stations of which nothing can be told from chance.</param>
/// <param name="TooFew">Stations with too few years.</param>
/// <param name="P">Of all together, both sides; null without any test.</param>
/// <param name="MedianPerDecade">The median of the stations' slopes, per decade.</param>
/// <param name="Stations">Station by station.</param>
public sealed record RegionalResult(
    TrendSubject Subject, string Headline, string Detail, int Rising, int Falling, int Unclear, int TooFew, double? P, double? MedianPerDecade, IReadOnlyList<RegionalStation> Stations);

/// <summary>A summary over stations: each by itself, and their scores together.</summary>
/// <remarks>Regional Kendall test: Helsel &amp; Frans 2006, Environ. Sci. Technol. 40, 4066–4073. Stations are taken as independent; neighbours that share their weather are not quite, and the words say so.</remarks>
public static class RegionalTrend
{
    private const double Significant = 0.05;

    /// <summary>The test of one station, without all that a page of it needs.</summary>
    /// <param name="station">The station's code.</param>
    /// <param name="subject">What the values are of.</param>
    /// <param name="points">Usable values that are signed off.</param>
    /// <param name="window">Months that count, and how many values a year needs.</param>
    public static RegionalStation Station(string station, TrendSubject subject, IReadOnlyList<SeriesPoint> points, SummarySettings window)
    {
        ArgumentNullException.ThrowIfNull(points);
        var days = YearSums.ByDay(points);
        var statistic = days.Any(p => p.Censored != Censoring.None) ? AnnualStatistic.Median : AnnualStatistic.Mean;
        var (_, parts) = SeriesBreaks.Of(days, []);
        var years = parts.Select(p => YearSums.Of(p, window, statistic, v => string.Empty).Where(y => y.Enough).ToList()).ToList();
        var used = years.FindLast(y => y.Count >= TrendRequest.UsualLeastYears);
        return new RegionalStation(station, used?.Count ?? years.Max(y => y.Count), used is null ? null : TrendRule.Annual([.. used.Select(y => new TrendPoint(y.Year, (double)y.Value!.Value, y.Censored))]));
    }

    /// <summary>Puts stations together.</summary>
    public static RegionalResult Together(TrendSubject subject, IReadOnlyList<RegionalStation> stations)
    {
        ArgumentNullException.ThrowIfNull(stations);
        var words = SubjectWords.Of(subject);
        var tests = stations.Select(s => s.Numbers).OfType<TestNumbers>().ToList();
        var (rising, falling) = (tests.Count(t => t.P < Significant && t.S > 0), tests.Count(t => t.P < Significant && t.S < 0));
        var (s, variance) = (tests.Sum(t => t.S), tests.Sum(t => t.Variance));
        double? p = tests.Count == 0 ? null : variance > 0 && s != 0 ? Distributions.BothSides((s - Math.Sign(s)) / Math.Sqrt(variance)) : 1;
        double? median = tests.Any(t => t.PerDecade is not null) ? TheilSen.Median(tests.Select(t => t.PerDecade).OfType<double>()) : null;
        var headline = tests.Count == 0 ? $"No station has years enough for a trend of {words.Name}."
            : p < Significant ? $"Over {Stations(tests.Count)} together {words.Name} is {(s > 0 ? "rising" : "falling")}." : $"Over {Stations(tests.Count)} together no change in {words.Name} can be told from chance.";
        var detail = tests.Count == 0 ? $"{Stations(stations.Count)} {(stations.Count == 1 ? "has" : "have")} fewer than {TrendRequest.UsualLeastYears} years."
            : $"{rising} rising, {falling} falling, {tests.Count - rising - falling} not to be told from chance{(stations.Count > tests.Count ? $", {stations.Count - tests.Count} with too few years" : string.Empty)}. All together p {TrendWords.P(p!.Value)}; neighbours share their weather, so this is surer than it should be.";
        return new RegionalResult(subject, headline, detail, rising, falling, tests.Count - rising - falling, stations.Count - tests.Count, p, median, stations);
    }

    private static string Stations(int count) => count == 1 ? "1 station" : $"{count} stations";
}
