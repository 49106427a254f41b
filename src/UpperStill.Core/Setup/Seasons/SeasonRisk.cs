using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>What is at risk in a season, and which rule stands against which.</summary>
internal sealed class SeasonRisk(StationSeason station, DayRules rules)
{
    internal static IReadOnlyList<SeasonCount> Counts(StationSeason station, IReadOnlyList<SeasonDate> dates) =>
        [
            .. station
                .Protocols.Where(p => p.Least > 0)
                .Select(p => new SeasonCount(
                    p.Protocol,
                    dates.Count(d => d.State == DateState.Done && d.Protocols.Contains(p.Protocol)),
                    dates.Count(d => d.Ahead && d.Protocols.Contains(p.Protocol)),
                    p.Least
                )),
        ];

    internal IEnumerable<Finding> Findings(IReadOnlyList<SeasonDate> dates, IReadOnlyList<Found> found, DateOnly? last)
    {
        // What stands alike is said once.
        foreach (
            var alike in Counts(station, dates)
                .Where(c => c.Done < c.Least)
                .GroupBy(c => (Missed(c, dates), c.Planned, Needed: c.Least - c.Done))
        )
        {
            if (
                AtRisk(alike.Key.Item1, alike.Key.Planned, alike.Key.Needed, string.Join(" and ", alike.Select(c => c.Protocol.Words()))) is
                { } risk
            )
            {
                yield return risk;
            }
        }

        if (Overdue(last) is { } overdue)
        {
            yield return overdue;
        }

        foreach (var hole in found.Where(f => f.AfterHole))
        {
            yield return Finding.Check(
                "gap-conflict",
                $"No day within {rules.Base!.GreatestGapDays} days before {StationPlanner.Words(rules.Date(hole.Day))} is open.",
                "Blocked days, the tide or the lab’s hours stand against the greatest gap.",
                "Free a day, or accept the gap; it is marked in the record."
            );
        }

        if (
            rules.Base is { } rhythm
            && Math.Max(
                rules.Today,
                found.Count > 0 ? found[^1].Day + rhythm.GreatestGapDays : rules.IndexOf(last ?? rules.First) + rhythm.GreatestGapDays
            )
                is var next
            && next <= rules.IndexOf(rules.Span.Window(rhythm).Until)
        )
        {
            yield return Finding.Check(
                "gap-conflict",
                $"No day from {StationPlanner.Words(rules.Date(next))} to the end of the season is open.",
                "Blocked days, the tide or the lab’s hours stand against the greatest gap.",
                "Free a day, or accept that the season ends early."
            );
        }

        var planned = dates.Where(d => d.State != DateState.Missed).ToList();
        var sampled = dates
            .Where(d => d.State == DateState.Done && d.Protocols.Any(p => rules.Monthly.Any(m => m.Protocol == p)))
            .Select(d => d.Day.Month)
            .ToHashSet();
        foreach (
            var month in Enumerable
                .Range(0, 12)
                .Select(rules.First.AddMonths)
                .Where(first => first.AddMonths(1) > rules.TodayThere)
                .Select(first => first.Month)
        )
        {
            // A month that has had its sampling is behind us, also where something of it was left out.
            if (sampled.Contains(month))
            {
                continue;
            }

            var left = rules
                .Monthly.Where(p =>
                    rules.DaysOf(month).Any(d => d >= rules.Today && rules.InWindow(p, d))
                    && !planned.Any(d => d.Day.Month == month && d.Protocols.Contains(p.Protocol))
                )
                .ToList();
            if (left.Count > 0)
            {
                yield return MonthConflict(month, left);
            }
        }
    }

    private static string Missed(SeasonCount count, IReadOnlyList<SeasonDate> dates)
    {
        var months = dates
            .Where(d => d.State == DateState.Missed && d.Protocols.Contains(count.Protocol))
            .Select(d => d.Day.ToString("MMMM", CultureInfo.InvariantCulture))
            .Distinct()
            .ToList();
        return months.Count switch
        {
            0 => string.Empty,
            1 => $"{months[0]} was missed. ",
            _ => $"{string.Join(", ", months.SkipLast(1))} and {months[^1]} were missed. ",
        };
    }

    private Finding? AtRisk(string missed, int planned, int needed, string what)
    {
        var seen = $"{missed}{planned} {(planned == 1 ? "date" : "dates")} left, {needed} needed for a {rules.Span.Name} mean of {what}.";
        return planned < needed
                ? Finding.Check(
                    "season-at-risk",
                    seen,
                    "There will be no mean this year.",
                    "Take what is left all the same: single values count for the long record."
                )
            : planned == needed
                ? Finding.Note(
                    "season-at-risk",
                    seen,
                    "One more missed and there is no mean this year.",
                    "Every date left must be kept; use the alternate where the weather threatens."
                )
            : null;
    }

    private Finding? Overdue(DateOnly? last)
    {
        if (rules.Base is not { } rhythm || last is not { } day || !rules.Span.Holds(day) || !rules.InWindow(rhythm, rules.Today))
        {
            return null;
        }

        var days = rules.TodayThere.DayNumber - day.DayNumber;
        return days > rhythm.GreatestGapDays
            ? Finding.Note(
                "interval-off",
                $"{days} days since the last; the programme asks for {rhythm.LeastGapDays}–{rhythm.GreatestGapDays}.",
                "The rhythm of the record is broken.",
                "Go on the next date; the plan moves on from there."
            )
            : null;
    }

    private Finding MonthConflict(int month, List<ProtocolPlan> left)
    {
        var name = rules.Span.Month(month).ToString("MMMM", CultureInfo.InvariantCulture);
        var open = rules.DaysOf(month).Where(rules.Open).ToList();
        var (what, why) =
            open.Count == 0 ? ("every day left is blocked", "Nobody can go.")
            : !open.Any(rules.OpenForMonthly)
                ? (
                    "the lab is closed whenever the water would arrive",
                    $"It may stand {left.Where(p => p.HoldHours is not null).Select(p => p.HoldHours!.Value).DefaultIfEmpty(24).Min()} h."
                )
            : (
                "the days on which the lab is open stand against the gaps between visits",
                rules.Base is { } b
                    ? $"{b.LeastGapDays}–{b.GreatestGapDays} days are asked between visits, {rules.MonthlyGap} between samplings."
                    : $"{rules.MonthlyGap} days are asked between samplings."
            );
        return Finding.Check(
            "month-conflict",
            $"No date in {name} for {string.Join(" and ", left.Select(p => p.Protocol.Words()))}: {what}.",
            why,
            "Free a day, move a visit, or ask the lab for another hour."
        );
    }
}
