using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>Plans one station: what was done and missed, what is to come, what is at risk.</summary>
internal sealed class StationPlanner
{
    private readonly SeasonRequest request;
    private readonly StationSeason station;
    private readonly DayRules rules;
    private readonly List<Finding> findings = [];

    // The day on which each was last taken, or is planned, as the dates are gone through.
    private readonly Dictionary<Protocol, int> lastOf = [];

    internal StationPlanner(SeasonRequest request, StationSeason station)
    {
        this.request = request;
        this.station = station;
        rules = new DayRules(request, station);
    }

    internal StationPlan Plan()
    {
        findings.AddRange(SeasonCheck.Findings(request, station));
        if (findings.Any(f => f.Level == FindingLevel.Stop))
        {
            return new StationPlan(station.Code, [.. Done()], [], findings);
        }

        var monthsDone = station.Done.Where(d => d.Took.Any(IsMonthly)).Select(d => d.Day.Month).ToHashSet();
        var last = LastWith(p => rules.Base?.Protocol == p || (rules.Base is null && IsMonthly(p))) ?? station.LastBefore;
        var pinned = Pins(last).ToList();
        var found =
            rules.Base is null && rules.Monthly.Count == 0
                ? []
                : new RhythmSearch(rules, pinned, monthsDone).Run(Index(last), Index(LastWith(IsMonthly)));
        foreach (var (protocol, day) in station.Done.SelectMany(d => d.Took.Select(p => (p, rules.IndexOf(d.Day)))).OrderBy(d => d.Item2))
        {
            lastOf[protocol] = day;
        }

        var planned = found.Select((f, i) => Planned(found, i, last)).ToList();
        AddOnce(planned);
        var missed = new MissedDates(station, rules).List();
        List<SeasonDate> dates = [.. Done(), .. missed, .. planned];
        findings.AddRange(new SeasonRisk(station, rules).Findings(dates, found, last));
        return new StationPlan(station.Code, [.. dates.OrderBy(d => d.Day)], SeasonRisk.Counts(station, dates), findings);
    }

    private IEnumerable<SeasonDate> Done() =>
        station.Done.Where(d => rules.Span.Holds(d.Day)).Select(d => new SeasonDate(d.Day, DateState.Done, d.Took, [], []));

    private bool IsMonthly(Protocol protocol) => rules.Monthly.Any(m => m.Protocol == protocol);

    private DateOnly? LastWith(Func<Protocol, bool> which) =>
        station.Done.Where(d => d.Took.Any(which)).Select(d => (DateOnly?)d.Day).Max();

    private int? Index(DateOnly? date) => date is { } d ? rules.IndexOf(d) : null;

    private IEnumerable<int> Pins(DateOnly? last)
    {
        var before = last is { } l ? rules.IndexOf(l) : int.MinValue / 2;
        var least = rules.Base?.LeastGapDays ?? Math.Max(1, rules.MonthlyGap);
        foreach (var pin in (station.Pinned ?? []).Where(p => p.Day >= rules.TodayThere && rules.Span.Holds(p.Day)).OrderBy(p => p.Day))
        {
            var day = rules.IndexOf(pin.Day);
            if (Against(day, before, least) is { } rule)
            {
                findings.Add(
                    Finding.Check(
                        "pin-conflict",
                        $"{Words(pin.Day)} was chosen by hand, but {rule}.",
                        "A date that breaks a rule is never proposed.",
                        "Choose another day, or change what stands against it."
                    )
                );
                continue;
            }

            before = day;
            yield return day;
        }
    }

    private string? Against(int day, int before, int least) =>
        day - before < least ? $"it is {day - before} days after the date before; the least is {least}"
        : (station.Blocked ?? []).FirstOrDefault(b => b.Day == rules.Date(day)) is { } blocked ? $"that day is blocked: {blocked.Why}"
        : Due(day) is not { Count: > 0 } due ? "it lies outside the season"
        : rules.Open(day) ? due.Select(p => rules.Against(rules.Date(day), p)).FirstOrDefault(a => a is not null)
        : "the tide is not low within the hours";

    /// <summary>What a day is chosen for: the rhythm of days, else what is due by months, else what is due once.</summary>
    private List<ProtocolPlan> Due(int day) =>
        rules.Base is { } rhythm ? [.. new[] { rhythm }.Where(p => rules.InWindow(p, day))]
        : rules.Monthly.Count > 0 ? rules.ActiveOn(day)
        : [.. station.Protocols.Where(p => rules.InWindow(p, day))];

    private SeasonDate Planned(List<Found> found, int i, DateOnly? last)
    {
        var (day, monthly) = (found[i].Day, found[i].Monthly);
        var protocols = Protocols(day, monthly);
        var before = i > 0 ? rules.Date(found[i - 1].Day) : last;
        List<string> why = [];
        if (Pin(day) is { } pin)
        {
            why.Add($"chosen by hand: {pin.Why}");
        }

        if (
            before is { } b
            && rules.Date(day).DayNumber - b.DayNumber is var gap
            && rules.Base is { } rhythm
            && gap <= 2 * rhythm.GreatestGapDays
        )
        {
            why.Add($"{gap} days after {Words(b)}; {rhythm.LeastGapDays}–{rhythm.GreatestGapDays} are asked");
        }
        else if (i == 0)
        {
            why.Add("the season begins");
        }

        if (monthly)
        {
            why.Add($"the sample of {rules.Date(day).ToString("MMMM", CultureInfo.InvariantCulture)}");
        }

        why.AddRange(rules.NeedsOn(day, protocols));
        var lab = rules.ForLab(day, protocols);
        if (lab is var (collect, leaveBy))
        {
            var from = rules.IsFirstHour(collect)
                ? string.Empty
                : $", collected from {collect.ToString("HH:mm", CultureInfo.InvariantCulture)}";
            why.Add($"the lab is reached: leave by {leaveBy.ToString("ddd HH:mm", CultureInfo.InvariantCulture)}{from}");
        }

        return new SeasonDate(
            rules.Date(day),
            StateOf(day),
            protocols,
            why,
            [.. rules.Welcomes(day)],
            Alternate(found, i, last),
            lab?.LeaveBy
        );
    }

    private SetDay? Pin(int day) => (station.Pinned ?? []).FirstOrDefault(p => p.Day == rules.Date(day));

    private DateState StateOf(int day) => day == rules.Today ? DateState.Today : DateState.Planned;

    // What goes by a slower rhythm of days is left out of the dates that lie too near to its last.
    private List<Protocol> Protocols(int day, bool monthly)
    {
        List<Protocol> taken =
        [
            .. station
                .Protocols.Where(p =>
                    p.Rhythm == Rhythm.Days
                    && rules.InWindow(p, day)
                    && (p == rules.Base || (IsTime(p, day) && rules.Reaches(rules.Date(day), p)))
                )
                .Select(p => p.Protocol),
            .. monthly ? rules.ActiveOn(day).Select(p => p.Protocol) : [],
        ];
        taken.ForEach(p => lastOf[p] = day);
        return taken;
    }

    private bool IsTime(ProtocolPlan plan, int day) => !lastOf.TryGetValue(plan.Protocol, out var last) || day - last >= plan.LeastGapDays;

    /// <summary>The nearest other day that keeps every rule with the date before and, if there is such a day, with the date
    /// after.</summary>
    private DateOnly? Alternate(List<Found> found, int i, DateOnly? last)
    {
        var (day, monthly) = (found[i].Day, found[i].Monthly);
        var before = i > 0 ? found[i - 1].Day : Index(last);
        int? after = i + 1 < found.Count ? found[i + 1].Day : null;
        var (least, greatest) = rules.Base is { } b ? (b.LeastGapDays, b.GreatestGapDays) : (Math.Max(1, rules.MonthlyGap), rules.Days);
        var open = Enumerable
            .Range(day - 10, 24)
            .Where(d =>
                d != day
                && d >= 0
                && d < rules.Days
                && (rules.Base is null || rules.OpenForBase(d))
                && (!monthly || (rules.OpenForMonthly(d) && rules.MonthOf(d) == rules.MonthOf(day)))
            )
            .Where(d => before is null || (d - before >= least && (d - before <= greatest || day - before > greatest)))
            .Where(d => after is null || after > d)
            .OrderBy(d => d > day ? 0 : 1)
            .ThenBy(d => Math.Abs(d - day))
            .ToList();
        var keepsNext = open.Where(d => after is null || (after - d >= least && after - d <= greatest))
            .Select(d => (int?)d)
            .FirstOrDefault();
        return (keepsNext ?? open.Select(d => (int?)d).FirstOrDefault()) is { } alternate ? rules.Date(alternate) : null;
    }

    /// <summary>What is taken once goes with the visit nearest to its day, or makes a date of its own.</summary>
    private void AddOnce(List<SeasonDate> planned)
    {
        foreach (var once in station.Protocols.Where(p => p.Rhythm == Rhythm.Once))
        {
            var window = rules.Span.Window(once);
            var (from, until) = (rules.IndexOf(window.From), rules.IndexOf(window.Until));
            if (until < rules.Today || station.Done.Any(d => d.Took.Contains(once.Protocol) && rules.InWindow(once, rules.IndexOf(d.Day))))
            {
                continue;
            }

            var (target, why) = TargetOf(once, (from + until) / 2);
            var with = planned
                .Index()
                .Where(p => rules.InWindow(once, rules.IndexOf(p.Item.Day)) && rules.Reaches(p.Item.Day, once))
                .OrderBy(p => Math.Abs(rules.IndexOf(p.Item.Day) - target))
                .Select(p => (int?)p.Index)
                .FirstOrDefault();
            if (with is { } index)
            {
                var date = planned[index];
                List<Protocol> protocols = [.. date.Protocols, once.Protocol];
                planned[index] = date with
                {
                    Protocols = protocols,
                    Why =
                    [
                        .. date.Why,
                        $"{once.Protocol.Words()} with it, once this season: {why}",
                        .. rules.NeedsOn(rules.IndexOf(date.Day), [once.Protocol]),
                    ],
                    LeaveBy = rules.ForLab(rules.IndexOf(date.Day), protocols)?.LeaveBy,
                };
            }
            else if (
                Enumerable
                    .Range(from, until - from + 1)
                    .Where(d => rules.Open(d) && rules.Reaches(rules.Date(d), once))
                    .OrderByDescending(d => Pin(d) is not null)
                    .ThenBy(d => Math.Abs(d - target))
                    .Take(2)
                    .ToList() is
                { Count: > 0 } open
            )
            {
                planned.Add(
                    new SeasonDate(
                        rules.Date(open[0]),
                        StateOf(open[0]),
                        [once.Protocol],
                        [Pin(open[0]) is { } pin ? $"chosen by hand: {pin.Why}" : why, .. rules.NeedsOn(open[0], [once.Protocol])],
                        [.. rules.Welcomes(open[0])],
                        open.Count > 1 ? rules.Date(open[1]) : null,
                        rules.ForLab(open[0], [once.Protocol])?.LeaveBy
                    )
                );
            }
            else
            {
                findings.Add(
                    Finding.Check(
                        "once-conflict",
                        $"No day from {Words(rules.Date(from))} to {Words(rules.Date(until))} is open for {once.Protocol.Words()}.",
                        "Blocked days, the tide, notice or the lab’s hours leave none.",
                        "Free a day, or ask the lab."
                    )
                );
            }
        }
    }

    private (int Day, string Why) TargetOf(ProtocolPlan once, int middle) =>
        (once.DaysAfterIceOut, station.IceOut) switch
        {
            ({ } days, { } iceOut) => (rules.IndexOf(iceOut.AddDays(days)), $"nearest to {days} days after ice-out on {Words(iceOut)}"),
            ({ } days, null) => (middle, $"{days} days after ice-out are asked; until its day is known, the middle of the window"),
            _ => (middle, "nearest to the middle of its window"),
        };

    internal static string Words(DateOnly date) => date.ToString("d MMMM", CultureInfo.InvariantCulture);
}
