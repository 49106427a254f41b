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
    private readonly HashSet<DateOnly>? lowTides;

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
        lowTides = station.LowTides is null ? null : [.. station.LowTides];
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
            open[day] = day >= Today && !blocked.Contains(date) && lowTides?.Contains(date) != false && !visited.Contains(date);
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

    internal bool Reaches(DateOnly date, ProtocolPlan protocol)
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

        if (lowTides is not null)
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
