namespace UpperStill.Core.Seasons;

/// <summary>A date found by the search.</summary>
/// <param name="Day">Day of the year, from 0.</param>
/// <param name="Monthly">True where the monthly sampling falls on it.</param>
/// <param name="AfterHole">True where no day within the greatest gap was open.</param>
internal readonly record struct Found(int Day, bool Monthly, bool AfterHole);

/// <summary>
/// The cheapest way through the rest of the season. A state is the last visit, the days since the last monthly sampling, and
/// whether this month has one; from each, every open day within the gaps is tried.
/// </summary>
internal sealed class RhythmSearch
{
    // Each outweighs all that stands below it: a gap kept, a month met, a pleasant day.
    private const double Hole = 1e7;
    private const double Month = 1e4;
    private const double Overdue = 2;
    private const double AfterOpening = 0.5;

    private readonly DayRules rules;
    private readonly HashSet<int> pinned;
    private readonly HashSet<int> monthsDone;
    private readonly int least;
    private readonly int every;
    private readonly int greatest;
    private readonly int seasonEnd;
    private readonly bool monthsOnly;
    private readonly double[] best;
    private readonly Found?[] next;
    private readonly bool[] known;
    private readonly int gaps;

    /// <param name="rules">The days.</param>
    /// <param name="pinned">Days chosen by hand, each open and far enough from the others; none is passed over.</param>
    /// <param name="monthsDone">Months whose sampling is done.</param>
    internal RhythmSearch(DayRules rules, IEnumerable<int> pinned, IEnumerable<int> monthsDone)
    {
        this.rules = rules;
        this.pinned = [.. pinned];
        this.monthsDone = [.. monthsDone];
        monthsOnly = rules.Base is null;
        (least, every, greatest) = rules.Base is { } rhythm ? (rhythm.LeastGapDays, rhythm.EveryDays, rhythm.GreatestGapDays) : (Math.Max(1, rules.MonthlyGap), 30, rules.Days);
        seasonEnd = Enumerable.Range(0, rules.Days).LastOrDefault(d => rules.Base is { } b ? rules.InWindow(b, d) : rules.ActiveOn(d).Count > 0, -1);
        gaps = rules.MonthlyGap + 1;
        best = new double[rules.Days * gaps * 2];
        next = new Found?[best.Length];
        known = new bool[best.Length];
    }

    /// <summary>The dates from today on.</summary>
    /// <param name="last">The last visit, as a day of this year; null where the season has not begun.</param>
    /// <param name="lastMonthly">The last monthly sampling, as a day of this year; may lie in the year before.</param>
    internal List<Found> Run(int? last, int? lastMonthly)
    {
        List<Found> found = [];
        var (step, _) = First(last, lastMonthly);
        var (since, taken) = (0, false);
        while (step is { } date)
        {
            (since, taken) = found.Count == 0 ? Begin(date, lastMonthly) : After(found[^1].Day, date, since, taken);
            found.Add(date);
            step = Best(date.Day, since, taken).Next;
        }

        return found;
    }

    private (Found? Next, double Cost) First(int? last, int? lastMonthly)
    {
        var begin = Enumerable.Range(0, rules.Days).FirstOrDefault(d => rules.Base is { } b ? rules.InWindow(b, d) : rules.ActiveOn(d).Count > 0, rules.Days);
        var from = Math.Max(rules.Today, Math.Max(begin, last is { } l ? l + least : begin));
        var runs = last is { } day && day + greatest >= from;
        var until = runs ? last!.Value + greatest : from + (monthsOnly ? rules.Days : greatest);
        return Cheapest(from, until, runs ? last!.Value + every : from, (d, hole) =>
        {
            var spacing = runs ? Math.Abs(d - last!.Value - every) : (d - from) * (monthsOnly ? 0 : last is { } before && before >= begin ? Overdue : AfterOpening);
            return (spacing, lastMonthly is { } m ? Math.Min(d - m, gaps - 1) : gaps - 1, lastMonthly is { } n && n >= 0 && rules.MonthOf(n) == rules.MonthOf(d));
        });
    }

    private (int Since, bool Taken) Begin(Found date, int? lastMonthly) => date.Monthly
        ? (0, true)
        : (lastMonthly is { } m ? Math.Min(date.Day - m, gaps - 1) : gaps - 1, lastMonthly is { } n && n >= 0 && rules.MonthOf(n) == rules.MonthOf(date.Day));

    private (int Since, bool Taken) After(int from, Found date, int since, bool taken) => date.Monthly
        ? (0, true)
        : (Math.Min(since + date.Day - from, gaps - 1), taken && rules.MonthOf(from) == rules.MonthOf(date.Day));

    private (Found? Next, double Cost) Best(int day, int since, bool taken)
    {
        var state = (((day * gaps) + since) * 2) + (taken ? 1 : 0);
        if (!known[state])
        {
            // A day chosen by hand that comes too soon after this one bars the way here.
            (next[state], best[state]) = Barred(day) ? (null, double.PositiveInfinity) : Cheapest(day + least, day + greatest, day + every, (d, hole) => (
                monthsOnly ? 0 : hole ? d - day - greatest : Math.Abs(d - day - every),
                Math.Min(since + d - day, gaps - 1),
                taken && rules.MonthOf(day) == rules.MonthOf(d)));
            known[state] = true;
        }

        return (next[state], best[state]);
    }

    private bool Barred(int day)
    {
        foreach (var pin in pinned)
        {
            if (pin > day && pin < day + least)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>Tries each day from one to another, with and without the monthly sampling; where none is open, the days behind.</summary>
    private (Found? Next, double Cost) Cheapest(int from, int until, int wanted, Func<int, bool, (double Spacing, int Since, bool Taken)> arrive)
    {
        // The season may end once the wanted gap reaches over its end, unless a day chosen by hand is still ahead.
        var ends = !pinned.Any(p => p >= from) && (monthsOnly || wanted > seasonEnd);
        (Found? Next, double Cost) cheapest = ends ? (null, 0) : (null, double.PositiveInfinity);
        for (var day = from; day <= Math.Min(until, rules.Days - 1); day++)
        {
            Try(day, false);
            if (pinned.Contains(day))
            {
                return cheapest;
            }
        }

        if (double.IsPositiveInfinity(cheapest.Cost))
        {
            for (var day = Math.Max(until + 1, from); day < rules.Days; day++)
            {
                Try(day, true);
                if (pinned.Contains(day) || !double.IsPositiveInfinity(cheapest.Cost))
                {
                    break;
                }
            }

            if (double.IsPositiveInfinity(cheapest.Cost))
            {
                cheapest = (null, until > seasonEnd ? 0 : Hole);
            }
        }

        return cheapest;

        void Try(int day, bool hole)
        {
            var (spacing, since, taken) = arrive(day, hole);
            if (!monthsOnly && rules.OpenForBase(day))
            {
                Weigh(new Found(day, false, hole), spacing + rules.Cost(day, false), since, taken);
            }

            if (!taken && since >= rules.MonthlyGap && rules.OpenForMonthly(day) && !monthsDone.Contains(rules.MonthOf(day)) && (monthsOnly || rules.OpenForBase(day)))
            {
                Weigh(new Found(day, true, hole), spacing + rules.Cost(day, true) - Month, 0, true);
            }

            void Weigh(Found date, double cost, int sinceThen, bool takenThen)
            {
                var whole = cost + (hole ? Hole : 0) + Best(day, sinceThen, takenThen).Cost;

                // Strictly less: of equal ways the earlier day stands, on every machine and in every run.
                if (whole < cheapest.Cost)
                {
                    cheapest = (date, whole);
                }
            }
        }
    }
}
