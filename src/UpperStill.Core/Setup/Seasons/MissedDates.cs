using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>Dates of the past on which somebody should have gone and nobody did.</summary>
internal sealed class MissedDates(StationSeason station, DayRules rules)
{
    private const int MiddleOfMonth = 15;

    internal IReadOnlyList<SeasonDate> List()
    {
        var dates = Gaps().ToDictionary(d => d, _ => new List<Protocol>());
        if (rules.Base is { } rhythm)
        {
            foreach (var taken in dates.Values)
            {
                taken.Add(rhythm.Protocol);
            }
        }

        foreach (var (month, protocols) in Months())
        {
            // Where a visit of that month was missed anyway, its samples were missed with it.
            var day = dates.Keys.Where(d => d.Month == month).Select(d => (DateOnly?)d).FirstOrDefault() ?? Middle(month, protocols);
            if (!dates.TryGetValue(day, out var taken))
            {
                dates[day] = taken = [];
            }

            taken.AddRange(protocols.Select(p => p.Protocol));
        }

        return [.. dates.OrderBy(d => d.Key).Select(d => new SeasonDate(d.Key, DateState.Missed, d.Value, [], []))];
    }

    private IEnumerable<DateOnly> Gaps()
    {
        if (rules.Base is not { } rhythm)
        {
            yield break;
        }

        var (from, until) = rules.Span.Window(rhythm);
        var reference = station.LastBefore is { } before && before.AddDays(rhythm.GreatestGapDays) >= from ? before : from.AddDays(-1);
        var end = rules.TodayThere <= until ? rules.TodayThere : until;
        var visits = station
            .Done.Where(d => d.Took.Contains(rhythm.Protocol) && d.Day >= from && d.Day <= until)
            .Select(d => d.Day)
            .Order();
        foreach (var visit in visits.Append(end))
        {
            // A visit is missed once the next one cannot come within the greatest gap any more.
            while (visit.DayNumber - reference.DayNumber > rhythm.GreatestGapDays)
            {
                reference = reference.AddDays(rhythm.EveryDays);
                yield return reference;
            }

            reference = visit;
        }
    }

    private IEnumerable<(int Month, List<ProtocolPlan> Protocols)> Months()
    {
        for (var month = 1; month <= 12; month++)
        {
            var missing = rules
                .Monthly.Where(p =>
                    LastDay(p, month) is { } day
                    && day < rules.TodayThere
                    && !station.Done.Any(d => d.Day.Month == month && rules.Span.Holds(d.Day) && d.Took.Contains(p.Protocol))
                )
                .ToList();
            if (missing.Count > 0)
            {
                yield return (month, missing);
            }
        }
    }

    /// <summary>The last day of a month that lies in the protocol's window; null where none does.</summary>
    private DateOnly? LastDay(ProtocolPlan protocol, int month) => InWindow(protocol, month).Select(d => (DateOnly?)d).LastOrDefault();

    private DateOnly Middle(int month, List<ProtocolPlan> protocols) =>
        InWindow(protocols[0], month).MinBy(d => Math.Abs(d.Day - MiddleOfMonth));

    private IEnumerable<DateOnly> InWindow(ProtocolPlan protocol, int month) =>
        rules.DaysOf(month).Where(d => rules.InWindow(protocol, d)).Select(rules.Date);
}
