namespace UpperStill.Core.Setup.Seasons;

/// <summary>A date found by the search.</summary>
/// <param name="Day">Day of the year, from 0.</param>
/// <param name="Monthly">True where the monthly sampling falls on it.</param>
/// <param name="AfterHole">True where no day within the greatest gap was open.</param>
/// <param name="LastMonthly">The last monthly sampling up to and with this date.</param>
internal readonly record struct Found(int Day, bool Monthly, bool AfterHole, int LastMonthly);

/// <summary>
/// The cheapest way through the rest of the season. A state is the last visit and the last monthly sampling; from each, every
/// open day within the gaps is tried.
/// </summary>
internal sealed class RhythmSearch
{
    // Each outweighs all that stands below it: a gap kept, a month met, a pleasant day.
    private const double Hole = 1e7;
    private const double Month = 1e4;
    private const double Overdue = 2;
    private const double AfterOpening = 0.5;

    private const int MonthlyEvery = 30;
    private const int Never = int.MinValue / 2;

    private readonly DayRules rules;
    private readonly bool[] pinned;
    private readonly bool[] monthDone = new bool[13];
    private readonly bool monthsOnly;
    private readonly int least;
    private readonly int every;
    private readonly int greatest;
    private readonly int begin;
    private readonly int end;
    private readonly (Found? Next, double Cost)?[] best;

    /// <param name="rules">The days.</param>
    /// <param name="pins">Days chosen by hand, each open and far enough from the others; none is passed over.</param>
    /// <param name="monthsDone">Months whose sampling is done.</param>
    internal RhythmSearch(DayRules rules, IEnumerable<int> pins, IEnumerable<int> monthsDone)
    {
        this.rules = rules;
        pinned = new bool[rules.Days];
        foreach (var pin in pins)
        {
            pinned[pin] = true;
        }

        foreach (var month in monthsDone)
        {
            monthDone[month] = true;
        }

        monthsOnly = rules.Base is null;
        (least, every, greatest) = rules.Base is { } rhythm
            ? (rhythm.LeastGapDays, rhythm.EveryDays, rhythm.GreatestGapDays)
            : (Math.Max(1, rules.MonthlyGap), MonthlyEvery, rules.Days);
        var season = Enumerable
            .Range(0, rules.Days)
            .Where(d => rules.Base is { } b ? rules.InWindow(b, d) : rules.ActiveOn(d).Count > 0)
            .ToList();
        (begin, end) = season.Count > 0 ? (season[0], season[^1]) : (rules.Days, -1);
        best = new (Found?, double)?[rules.Days * (rules.MonthlyGap + 2)];
    }

    /// <summary>The dates from today on.</summary>
    /// <param name="last">The last visit, as a day of this year; null where the season has not begun.</param>
    /// <param name="lastMonthly">The last monthly sampling, as a day of this year; null where there was none.</param>
    internal List<Found> Run(int? last, int? lastMonthly)
    {
        List<Found> found = [];
        for (var step = First(last, lastMonthly ?? Never).Next; step is { } date; step = Best(date.Day, date.LastMonthly).Next)
        {
            found.Add(date);
        }

        return found;
    }

    private (Found? Next, double Cost) First(int? last, int lastMonthly)
    {
        var from = Math.Max(Math.Max(rules.Today, begin), last + least ?? 0);
        if (last is { } day && day + greatest >= from)
        {
            return Cheapest(from, day + greatest, day + every, lastMonthly, d => Math.Abs(d - day - every));
        }

        // The season opens, or its rhythm is broken already: soon, and sooner where it is overdue.
        var perDay =
            monthsOnly ? 0
            : last >= begin ? Overdue
            : AfterOpening;
        return Cheapest(from, from + greatest, from, lastMonthly, d => (d - from) * perDay);
    }

    private (Found? Next, double Cost) Best(int day, int lastMonthly)
    {
        // Longer ago than the gap only the month matters: whether this one has its sampling.
        var since = Math.Min(day - lastMonthly, rules.MonthlyGap);
        var state = (day * (rules.MonthlyGap + 2)) + (since == rules.MonthlyGap && !SameMonth(lastMonthly, day) ? since + 1 : since);
        return best[state] ??= Barred(day)
            ? (null, double.PositiveInfinity)
            : Cheapest(day + least, day + greatest, day + every, lastMonthly, d => monthsOnly ? 0
                : d > day + greatest ? d - day - greatest
                : Math.Abs(d - day - every));
    }

    private bool SameMonth(int earlier, int day) => earlier >= 0 && rules.MonthOf(earlier) == rules.MonthOf(day);

    /// <summary>A day chosen by hand that comes too soon after this one bars the way here.</summary>
    private bool Barred(int day) => Array.IndexOf(pinned, true, day + 1, Math.Max(0, Math.Min(least, rules.Days - day) - 1)) >= 0;

    private bool PinnedFrom(int day) => day < rules.Days && Array.IndexOf(pinned, true, day) >= 0;

    /// <summary>Tries each day from one to another, with and without the monthly sampling; where none is open, the days behind.</summary>
    private (Found? Next, double Cost) Cheapest(int from, int until, int wanted, int lastMonthly, Func<int, double> spacing)
    {
        // The season may end once the wanted gap reaches over its end, unless a day chosen by hand is still ahead.
        var ends = !PinnedFrom(from) && (monthsOnly || wanted > end);
        (Found? Next, double Cost) cheapest = ends ? (null, 0) : (null, double.PositiveInfinity);
        for (var day = from; day < rules.Days; day++)
        {
            var hole = day > until;
            if (hole && !double.IsPositiveInfinity(cheapest.Cost))
            {
                return cheapest;
            }

            Try(day, hole);
            if (pinned[day])
            {
                return cheapest;
            }
        }

        return !double.IsPositiveInfinity(cheapest.Cost) ? cheapest : (null, until > end ? 0 : Hole);

        void Try(int day, bool hole)
        {
            var cost = spacing(day) + (hole ? Hole : 0);
            if (!monthsOnly && rules.OpenForBase(day))
            {
                Weigh(new Found(day, false, hole, lastMonthly), cost + rules.Cost(day, false));
            }

            if (
                day - lastMonthly >= rules.MonthlyGap
                && !SameMonth(lastMonthly, day)
                && rules.OpenForMonthly(day)
                && !monthDone[rules.MonthOf(day)]
                && (monthsOnly || rules.OpenForBase(day))
            )
            {
                Weigh(new Found(day, true, hole, day), cost + rules.Cost(day, true) - Month);
            }
        }

        void Weigh(Found date, double cost)
        {
            var whole = cost + Best(date.Day, date.LastMonthly).Cost;

            // Strictly less: of equal ways the earlier day stands, on every machine and in every run.
            if (whole < cheapest.Cost)
            {
                cheapest = (date, whole);
            }
        }
    }
}
