using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Counting;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>Sums up a series by year. A mean is given only where the least count is met; a censored value is never put at its
/// limit.</summary>
/// <remarks>Bounds of a mean and a median with censored values: Helsel 2012, Statistics for Censored Environmental Data, 2nd ed.</remarks>
internal static class YearSums
{
    /// <summary>Values of one day are one: their mean, where none is censored; else the first that is not.</summary>
    internal static IReadOnlyList<SeriesPoint> ByDay(IEnumerable<SeriesPoint> points)
    {
        SeriesPoint[] all = [.. points];

        // Most series come in order with one value a day, and there are thousands of them.
        return Enumerable.Range(1, Math.Max(0, all.Length - 1)).All(i => all[i - 1].Day < all[i].Day)
            ? all
            : [.. all.GroupBy(p => p.Day).OrderBy(g => g.Key).Select(g => g.Count() == 1 ? g.First() : Mean([.. g.OrderBy(p => p.Visit)]))];
    }

    /// <summary>The years in which there is anything, oldest first; a window over the New Year makes seasons of them.</summary>
    internal static IReadOnlyList<YearSummary> Of(
        IReadOnlyList<SeriesPoint> points,
        SummarySettings window,
        AnnualStatistic statistic,
        Func<decimal, string> show
    )
    {
        var byYear = points
            .Where(p => window.Holds(p.Day.Month))
            .GroupBy(p => window.SeasonOf(p.Day))
            .ToDictionary(g => g.Key, g => g.ToList());
        if (points.Count == 0)
        {
            return [];
        }

        var (first, last) = (points.Min(p => window.SeasonOf(p.Day)), points.Max(p => window.SeasonOf(p.Day)));
        return
        [
            .. Enumerable.Range(first, last - first + 1).Select(y => Year(y, byYear.GetValueOrDefault(y) ?? [], window, statistic, show)),
        ];
    }

    /// <summary>The median of some values: certain, or a limit that it lies beyond.</summary>
    internal static (decimal Value, Censoring Censored) Median(IReadOnlyList<SeriesPoint> points)
    {
        // Of two equal numbers the one that may lie beyond stands further out.
        SeriesPoint[] sorted =
        [
            .. points
                .OrderBy(p => p.Value)
                .ThenBy(p =>
                    p.Censored switch
                    {
                        Censoring.Below => 0,
                        Censoring.None => 1,
                        _ => 2,
                    }
                ),
        ];
        var middle = sorted.Length / 2;
        SeriesPoint[] mid = sorted.Length % 2 == 1 ? [sorted[middle]] : [sorted[middle - 1], sorted[middle]];
        var value = mid.Sum(p => p.Value) / mid.Length;
        var certain =
            mid.All(p => p.Censored == Censoring.None)
            && points.All(p =>
                p.Censored == Censoring.None || (p.Censored == Censoring.Above ? p.Value >= mid[^1].Value : p.Value <= mid[0].Value)
            );
        return (
            value,
            certain ? Censoring.None
            : points.Any(p => p.Censored == Censoring.Above) ? Censoring.Above
            : Censoring.Below
        );
    }

    private static YearSummary Year(
        int year,
        List<SeriesPoint> points,
        SummarySettings window,
        AnnualStatistic statistic,
        Func<decimal, string> show
    )
    {
        var censored = points.Count(p => p.Censored != Censoring.None);
        if (points.Count == 0)
        {
            return new YearSummary(year, window.NameOf(year), 0, 0, false, "none");
        }

        var (low, high, waits) = (points.Min(p => p.Value), points.Max(p => p.Value), points.Any(p => !p.SignedOff));
        if (points.Count < window.LeastReadings)
        {
            return new YearSummary(
                year,
                window.NameOf(year),
                points.Count,
                censored,
                false,
                $"not enough ({points.Count} of {window.LeastReadings})",
                waits
            )
            {
                Low = Decimals.Published(low),
                High = Decimals.Published(high),
            };
        }

        var average = points.Sum(p => p.Value) / points.Count;
        decimal? mean = censored == 0 ? average : null;
        var (median, known) = Median(points);
        var geometric =
            statistic == AnnualStatistic.GeometricMean
            && GeometricMean.Of([.. points.Select(p => (p.Value, p.Censored))]) is { Side: Censoring.None } whole
                ? (decimal?)whole.Value
                : null;
        var (value, side) =
            geometric is { } g ? (g, Censoring.None)
            : statistic == AnnualStatistic.Mean
                ? (
                    average,
                    censored == 0 ? Censoring.None
                    : points.Any(p => p.Censored == Censoring.Above) ? Censoring.Above
                    : Censoring.Below
                )
            : (median, known);
        var word = statistic == AnnualStatistic.GeometricMean && geometric is null ? AnnualStatistic.Median.Words() : statistic.Words();
        var sign = side switch
        {
            Censoring.Above => "> ",
            Censoring.Below => "< ",
            _ => string.Empty,
        };
        return new YearSummary(
            year,
            window.NameOf(year),
            points.Count,
            censored,
            true,
            $"{word} {sign}{show(value)} of {points.Count}{(censored > 0 ? $"; {censored} beyond a limit" : string.Empty)}",
            waits,
            mean is { } m ? Decimals.Published(m) : null,
            known == Censoring.None ? Decimals.Published(median) : null,
            side
        )
        {
            Low = Decimals.Published(low),
            High = Decimals.Published(high),
            StandardError = mean is { } mm && points.Count > 1 ? Decimals.Published(Error(points, mm)) : null,
            Value = Decimals.Published(value),
        };
    }

    private static decimal Error(List<SeriesPoint> points, decimal mean) =>
        (decimal)Math.Sqrt((double)(points.Sum(p => (p.Value - mean) * (p.Value - mean)) / (points.Count - 1)) / points.Count);

    private static SeriesPoint Mean(SeriesPoint[] day) =>
        day.Any(p => p.Censored != Censoring.None)
            ? day.FirstOrDefault(p => p.Censored == Censoring.None) ?? day[0]
            : day[0] with
            {
                Value = day.Sum(p => p.Value) / day.Length,
                Usable = day.All(p => p.Usable),
                SignedOff = day.All(p => p.SignedOff),
                Text = null,
            };
}
