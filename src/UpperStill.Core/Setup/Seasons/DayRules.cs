using System.Globalization;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>Which days of the year a station may be visited on, for what, and how welcome each is. Days count from the first of its months
/// = 0.</summary>
internal sealed class DayRules
{
    private const double NotTheirDay = 6;
    private const double Welcome = -2;
    private const double PerDayFromTheMiddle = 0.15;
    private const int MiddleOfMonth = 15;

    // Sounding, clarity and profile come before the water is in its bottle.
    private const int HoursAtStation = 1;

    private readonly SeasonRequest request;
    private readonly StationSeason station;
    private readonly HashSet<DateOnly> blocked;
    private readonly HashSet<DateOnly> passes;
    private readonly HashSet<DateOnly> shared;
    private readonly HashSet<DateOnly> pinned;
    private readonly ILookup<DateOnly, TimeOnly>? lowWaters;

    // Worked out once a day of the year: the search asks for each many thousand times.
    private readonly bool[] open;
    private readonly bool[] openForBase;
    private readonly bool[] openForMonthly;
    private readonly double[] cost;
    private readonly int[] months;

    internal DayRules(SeasonRequest request, StationSeason station)
    {
        this.request = request;
        this.station = station;
        blocked = [.. (station.Blocked ?? []).Select(b => b.Day)];
        passes = [.. station.Passes ?? []];
        shared = [.. request.SharedDays ?? []];
        pinned = [.. (station.Pinned ?? []).Select(p => p.Day)];
        lowWaters = station.LowWaters?.ToLookup(DateOnly.FromDateTime, TimeOnly.FromDateTime);
        Span = new SeasonSpan(request.Year, TodayThere, [.. station.Protocols]);
        Days = Span.Last.DayNumber - Span.First.DayNumber + 1;
        Base = station.Protocols.Where(p => p.Rhythm == Rhythm.Days).OrderBy(p => p.EveryDays).FirstOrDefault();
        Monthly = [.. station.Protocols.Where(p => p.Rhythm == Rhythm.Monthly)];
        MonthlyGap = Monthly.Count == 0 ? 0 : Monthly.Max(p => p.LeastGapDays);
        (open, openForBase, openForMonthly, cost, months) = (
            new bool[Days],
            new bool[Days],
            new bool[Days],
            new double[Days],
            new int[Days]
        );
        var visited = station.Done.Select(d => d.Day).ToHashSet();
        for (var day = 0; day < Days; day++)
        {
            var date = Date(day);
            open[day] = day >= Today && !blocked.Contains(date) && (!station.AtLowWater || TideServes(date)) && !visited.Contains(date);
            openForBase[day] = open[day] && Base is { } rhythm && InWindow(rhythm, day) && Reaches(date, rhythm);
            var active = ActiveOn(day);
            openForMonthly[day] = open[day] && active.Count > 0 && active.All(p => Reaches(date, p));
            cost[day] =
                (station.Volunteers is { Count: > 0 } days && !days.Contains(date.DayOfWeek) ? NotTheirDay : 0)
                + (passes.Contains(date) ? Welcome : 0)
                + (shared.Contains(date) ? Welcome : 0);
            months[day] = date.Month;
        }
    }

    /// <summary>The months that are planned.</summary>
    internal SeasonSpan Span { get; }

    internal DateOnly First => Span.First;

    internal int Days { get; }

    /// <summary>The protocol that sets the rhythm of days; null where the station goes by months only.</summary>
    internal ProtocolPlan? Base { get; }

    internal IReadOnlyList<ProtocolPlan> Monthly { get; }

    /// <summary>Fewest days between two monthly samplings.</summary>
    internal int MonthlyGap { get; }

    internal int Today => IndexOf(TodayThere);

    /// <summary>The day at the station.</summary>
    internal DateOnly TodayThere => station.Today ?? request.Today;

    internal DateOnly Date(int day) => First.AddDays(day);

    internal int IndexOf(DateOnly date) => date.DayNumber - First.DayNumber;

    internal int MonthOf(int day) => day >= 0 && day < Days ? months[day] : Date(day).Month;

    /// <summary>The monthly protocols whose window holds that day.</summary>
    internal List<ProtocolPlan> ActiveOn(int day) => [.. Monthly.Where(p => InWindow(p, day))];

    internal bool InWindow(ProtocolPlan protocol, int day) => protocol.Holds(Date(day));

    /// <summary>The days of a month, in order.</summary>
    internal IEnumerable<int> DaysOf(int month) =>
        Span.Month(month) is var first ? Enumerable.Range(IndexOf(first), DateTime.DaysInMonth(first.Year, first.Month)) : [];

    /// <summary>May anybody go at all: not before today, not blocked, the tide low where it must be, nobody there yet that day.</summary>
    internal bool Open(int day) => day >= 0 && day < Days && open[day];

    /// <summary>May the rhythm of days fall here: in its window, the lab reached in time.</summary>
    internal bool OpenForBase(int day) => day >= 0 && day < Days && openForBase[day];

    /// <summary>May the monthly sampling fall here: every protocol of that month in its window, the lab reached in time.</summary>
    internal bool OpenForMonthly(int day) => day >= 0 && day < Days && openForMonthly[day];

    /// <summary>The first hour of collection from which the lab is reached by the strictest of these protocols, and when to set out; null
    /// where none goes there fresh.</summary>
    internal (DateTime Collect, DateTime LeaveBy)? ForLab(int day, IEnumerable<Protocol> protocols)
    {
        var hold = station.Protocols.Where(p => protocols.Contains(p.Protocol)).Min(p => p.HoldHours);
        return hold is { } hours && request.Laboratory is { } laboratory
            ? Times(Date(day))
                .Select(t => (t, LeaveBy: laboratory.LeaveBy(t, hours, station.Zone)))
                .Where(t => t.LeaveBy is not null)
                .Select(t => ((DateTime, DateTime)?)(t.t, t.LeaveBy!.Value))
                .FirstOrDefault()
            : null;
    }

    /// <summary>True where any hour of the programme's window reaches the lab.</summary>
    internal bool IsFirstHour(DateTime collect) => collect == Times(DateOnly.FromDateTime(collect)).First();

    /// <summary>True where a protocol may be done that day and what it fills is where it must be in time.</summary>
    internal bool Reaches(DateOnly date, ProtocolPlan protocol) => Against(date, protocol) is null;

    /// <summary>What stands against a protocol on a day, in words; null where nothing does.</summary>
    internal string? Against(DateOnly date, ProtocolPlan protocol) =>
        NeedOf(protocol.Protocol) is { } need && AgainstNeed(date, need) is { } against ? against
        : InTime(date, protocol) ? null
        : $"the lab is not reached in time with {protocol.Protocol.Words()}";

    /// <summary>What the protocols of a day ask of it, in words.</summary>
    internal IEnumerable<string> NeedsOn(int day, IEnumerable<Protocol> protocols)
    {
        var date = Date(day);
        foreach (var need in protocols.Select(NeedOf).OfType<DayNeed>())
        {
            if (need.NoticeDays > 0)
            {
                yield return $"the lab is told by {Words(date.AddDays(-need.NoticeDays))}, {need.NoticeDays} days before";
            }

            if (need.Weekdays is { } weekdays)
            {
                yield return $"{need.Protocol.Words()} is collected on {Words(weekdays)}";
            }

            if (need.CompanionDays is > 0 and var apart)
            {
                yield return $"its companion between {Words(date.AddDays(-apart))} and {Words(date.AddDays(apart))}";
            }

            if (need.LowWater && lowWaters is not null)
            {
                var times = string.Join(" and ", LowOn(date).Select(t => t.ToString("HH:mm", CultureInfo.InvariantCulture)));
                yield return $"low water {times}{(request.TidesSimulated ? " (simulated)" : string.Empty)}";
            }
        }
    }

    private DayNeed? NeedOf(Protocol protocol) => station.Needs.FirstOrDefault(n => n.Protocol == protocol);

    // Whoever chose a day by hand has told the laboratory, or will answer for it.
    private string? AgainstNeed(DateOnly date, DayNeed need) =>
        need.Weekdays is { } weekdays && !weekdays.Contains(date.DayOfWeek) ? $"{need.Protocol.Words()} is collected on {Words(weekdays)}"
        : date < TodayThere.AddDays(need.NoticeDays) && !pinned.Contains(date)
            ? $"the lab needs {need.NoticeDays} days’ notice of {need.Protocol.Words()}"
        : need.LowWater && !TideServes(date) ? $"no low water for {need.Protocol.Words()} falls within the hours"
        : null;

    // Where the tide is not known no day is ruled out.
    private bool TideServes(DateOnly date) => lowWaters is null || LowOn(date).Any();

    private IEnumerable<TimeOnly> LowOn(DateOnly date) =>
        lowWaters![date].Where(t => t >= station.Hours.From && t <= station.Hours.Until).Order();

    private static string Words(IReadOnlyList<DayOfWeek> days) =>
        days.Count > 1 && days[^1] - days[0] == days.Count - 1 ? $"{days[0]} to {days[^1]}" : string.Join(", ", days);

    private static string Words(DateOnly date) => date.ToString("ddd d MMM", CultureInfo.InvariantCulture);

    private bool InTime(DateOnly date, ProtocolPlan protocol)
    {
        if (request.Laboratory is not { } laboratory)
        {
            return true;
        }

        if (
            protocol.TurnIn
            && laboratory.TurnIns is { Count: > 0 } turnIns
            && turnIns.Where(t => t.Year == date.Year).DefaultIfEmpty(DateOnly.MaxValue).Max() < date
        )
        {
            return false;
        }

        return protocol.HoldHours is not { } hold || Times(date).Any(t => laboratory.LeaveBy(t, hold, station.Zone) is not null);
    }

    /// <summary>How unwelcome a day is, in days of uneven spacing.</summary>
    internal double Cost(int day, bool monthly) =>
        cost[day] + (monthly ? Math.Abs(Date(day).Day - MiddleOfMonth) * PerDayFromTheMiddle : 0);

    /// <summary>What speaks for a day, in words.</summary>
    internal IEnumerable<string> Welcomes(int day)
    {
        var date = Date(day);
        if (station.Volunteers is { Count: > 0 } days)
        {
            yield return days.Contains(date.DayOfWeek)
                ? $"its people can go on a {date.DayOfWeek}"
                : $"not a day of its people: {date.DayOfWeek}";
        }

        if (passes.Contains(date))
        {
            yield return request.PassesSimulated ? "a satellite looks down (simulated)" : "a satellite looks down";
        }

        if (shared.Contains(date))
        {
            yield return "shared observation day";
        }

        if (station.AtLowWater && lowWaters is not null)
        {
            yield return request.TidesSimulated ? "low water within the hours (simulated)" : "low water within the hours";
        }
    }

    private IEnumerable<DateTime> Times(DateOnly date)
    {
        for (
            var time = date.ToDateTime(station.Hours.From).AddHours(HoursAtStation);
            time <= date.ToDateTime(station.Hours.Until);
            time = time.AddHours(1)
        )
        {
            yield return time;
        }
    }
}
