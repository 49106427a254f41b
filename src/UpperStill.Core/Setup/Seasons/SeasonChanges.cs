using System.Globalization;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>What re-planning has changed at a station.</summary>
/// <param name="Station">The station.</param>
/// <param name="Words">Each change in words.</param>
public sealed record SeasonChange(string Station, IReadOnlyList<string> Words);

/// <summary>Tells two plans apart.</summary>
public static class SeasonChanges
{
    /// <summary>The stations whose dates differ, with what became of each date; nothing where the plans are the same.</summary>
    public static IReadOnlyList<SeasonChange> Between(SeasonPlan before, SeasonPlan after)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        var was = before.Stations.ToDictionary(s => s.Code);
        return
        [
            .. after
                .Stations.Where(s => was.ContainsKey(s.Code))
                .Select(s => new SeasonChange(s.Code, Words(was[s.Code], s)))
                .Where(c => c.Words.Count > 0),
        ];
    }

    private static List<string> Words(StationPlan before, StationPlan after)
    {
        var gone = Ahead(before).Except(Ahead(after)).ToList();
        var come = Ahead(after).Except(Ahead(before)).ToList();
        List<string> words = [];
        for (var i = 0; i < Math.Max(gone.Count, come.Count); i++)
        {
            words.Add(
                i >= come.Count ? $"{Day(gone[i])} falls away"
                : i >= gone.Count ? $"{Day(come[i])} is new"
                : $"{Day(gone[i])} moves to {Day(come[i])}"
            );
        }

        words.AddRange(after.Findings.Where(f => before.Findings.All(b => b.Seen != f.Seen)).Select(f => f.Seen));
        return words;
    }

    private static IEnumerable<DateOnly> Ahead(StationPlan plan) => plan.Dates.Where(d => d.Ahead).Select(d => d.Day);

    private static string Day(DateOnly day) => day.ToString("ddd d MMMM", CultureInfo.InvariantCulture);
}
