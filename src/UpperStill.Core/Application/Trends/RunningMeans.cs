using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Counting;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>The mean of the last results that a series is judged by.</summary>
/// <param name="Count">How many results it goes over.</param>
/// <param name="WithinDays">Within how many days they must lie; null for any.</param>
public sealed record RunningRequest([property: Within(1, 100)] int Count, [property: Within(1, 3660, "d")] int? WithinDays = null);

/// <summary>The geometric mean of the last results on a day.</summary>
/// <param name="Day">The day of the last of them.</param>
/// <param name="Value">The mean; where one lies beyond a limit, with it at its limit.</param>
/// <param name="Censored">Below for at most, above for at least.</param>
/// <param name="Count">Results that it goes over.</param>
/// <param name="Days">Days from the first to the last of them.</param>
/// <param name="Text">In words.</param>
public sealed record RunningAt(DateOnly Day, decimal Value, Censoring Censored, int Count, int Days, string Text);

/// <summary>Works out geometric means of the last results, and holds the last against limits.</summary>
internal static class RunningMeans
{
    /// <summary>One for each result from which on there are enough, oldest first. Results are taken by their day.</summary>
    internal static IReadOnlyList<RunningAt> Of(IReadOnlyList<SeriesPoint> points, RunningRequest asked, TrendWords words)
    {
        SeriesPoint[] sorted = [.. points.Where(p => p.Usable).OrderBy(p => p.Day).ThenBy(p => p.Visit)];
        List<RunningAt> means = [];
        for (var i = asked.Count - 1; i < sorted.Length; i++)
        {
            var last = sorted[(i - asked.Count + 1)..(i + 1)];
            var days = last[^1].Day.DayNumber - last[0].Day.DayNumber;
            if (days <= (asked.WithinDays ?? int.MaxValue) && GeometricMean.Of([.. last.Select(p => (p.Value, p.Censored))]) is { } mean)
            {
                var sign = mean.Side switch
                {
                    Censoring.Below => "at most ",
                    Censoring.Above => "at least ",
                    _ => string.Empty,
                };
                means.Add(
                    new RunningAt(
                        last[^1].Day,
                        Decimals.Published((decimal)mean.Value),
                        mean.Side,
                        asked.Count,
                        days,
                        $"{sign}{words.Value((decimal)mean.Value)}, geometric mean of {asked.Count} in {days} days"
                    )
                );
            }
        }

        return means;
    }

    /// <summary>What is to be said of the last mean: that there is none yet, or how it stands to each limit.</summary>
    internal static IEnumerable<Finding> Findings(
        IReadOnlyList<SeriesPoint> points,
        IReadOnlyList<RunningAt> means,
        RunningRequest asked,
        IReadOnlyList<TrendLimit> limits,
        TrendWords words
    )
    {
        var usable = points.Where(p => p.Usable).ToList();
        if (usable.Count == 0)
        {
            yield break;
        }

        var last = usable.Max(p => p.Day);
        var have = usable.Count(p => asked.WithinDays is not { } days || last.DayNumber - p.Day.DayNumber <= days);
        if (have < asked.Count)
        {
            yield return Finding.Note(
                "mean-few",
                $"{have} of {asked.Count}{(asked.WithinDays is { } within ? $" within {within} days" : string.Empty)}: no mean yet.",
                "One count says little: what is counted comes in clouds.",
                "Take the next ones as planned."
            );
        }

        foreach (var limit in means.Count > 0 && means[^1].Day == last ? limits : [])
        {
            var mean = means[^1];
            var source = limit.Name is null
                ? string.Empty
                : $" ({limit.Name}{(limit.Source is null ? string.Empty : $", {limit.Source}")})";
            if (limit.KeptBy(mean.Value, mean.Censored) is not { } kept)
            {
                yield return Finding.Note(
                    "limit-undecided",
                    $"{mean.Text}, but the limit is {words.Value(limit.Value)}{source}: undecided.",
                    "The sign leaves both sides open.",
                    "Ask for a finer method, or for a count of a thinner sample."
                );
            }
            else if (!kept)
            {
                yield return Finding.Check(
                    "limit-exceeded",
                    $"{mean.Text}, is beyond {words.Value(limit.Value)}{source}.",
                    "Somebody who decides has set it.",
                    "Tell the coordinator; whoever is responsible decides."
                );
            }
        }
    }
}
