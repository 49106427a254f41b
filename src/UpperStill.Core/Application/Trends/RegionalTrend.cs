using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>A station in a summary over many.</summary>
/// <param name="S">Kendall's score; null where there are too few years for a test.</param>
/// <param name="Variance">Its variance.</param>
/// <param name="P">How likely by chance, both sides.</param>
/// <param name="PerDecade">Slope per decade; null where no pair of years has one.</param>
public sealed record RegionalStation(long? S = null, double Variance = 0, double P = 1, double? PerDecade = null)
{
    /// <summary>A station by what its series says.</summary>
    public static RegionalStation Of(SeriesAnswer answer)
    {
        ArgumentNullException.ThrowIfNull(answer);
        return answer.Annual is { } test ? new RegionalStation(test.S, test.Variance, test.P, test.PerDecade) : new RegionalStation();
    }
}

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
public sealed record RegionalResult(
    Parameter Subject,
    string Headline,
    string Detail,
    int Rising,
    int Falling,
    int Unclear,
    int TooFew,
    double? P,
    double? MedianPerDecade
);

/// <summary>A summary over stations: each by itself, and their scores together.</summary>
/// <remarks>Regional Kendall test: Helsel &amp; Frans 2006, Environ. Sci. Technol. 40, 4066–4073. Stations are taken as independent;
/// neighbours that share their weather are not quite, and the words say so.</remarks>
public static class RegionalTrend
{
    private const double Significant = 0.05;

    /// <summary>Puts stations together.</summary>
    public static RegionalResult Together(Parameter subject, IReadOnlyList<RegionalStation> stations)
    {
        ArgumentNullException.ThrowIfNull(stations);
        var words = Subjects.Of(subject);
        var tests = stations.Where(s => s.S is not null).ToList();
        var (rising, falling) = (tests.Count(t => t.P < Significant && t.S > 0), tests.Count(t => t.P < Significant && t.S < 0));
        var (s, variance) = (tests.Sum(t => t.S!.Value), tests.Sum(t => t.Variance));
        double? p =
            tests.Count == 0 ? null
            : variance > 0 && s != 0 ? Distributions.BothSides((s - Math.Sign(s)) / Math.Sqrt(variance))
            : 1;
        double? median = tests.Any(t => t.PerDecade is not null) ? TheilSen.Median(tests.Select(t => t.PerDecade).OfType<double>()) : null;
        var headline =
            tests.Count == 0 ? $"No station has years enough for a trend of {words.Name}."
            : p < Significant ? $"Over {Stations(tests.Count)} together {words.Name} is {(s > 0 ? "rising" : "falling")}."
            : $"Over {Stations(tests.Count)} together no change in {words.Name} can be told from chance.";
        var detail =
            tests.Count == 0
                ? $"{Stations(stations.Count)} {(stations.Count == 1 ? "has" : "have")} fewer than {TrendRequest.UsualLeastYears} years."
                : $"{rising} rising, {falling} falling, {tests.Count - rising - falling} not to be told from "
                    + $"chance{(stations.Count > tests.Count ? $", {stations.Count - tests.Count} with too few years" : string.Empty)}. All together p {TrendWords.P(p!.Value)}; neighbours share their weather, so this is surer than it should be.";
        return new RegionalResult(
            subject,
            headline,
            detail,
            rising,
            falling,
            tests.Count - rising - falling,
            stations.Count - tests.Count,
            p,
            median
        );
    }

    private static string Stations(int count) => count == 1 ? "1 station" : $"{count} stations";
}
