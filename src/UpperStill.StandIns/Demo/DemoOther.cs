using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Programmes;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>Stations where nothing is asked but protocols that describe themselves: their seasons, one day of work after
/// another.</summary>
internal sealed class DemoOther(DemoScenario scenario, DemoStation station)
{
    private const int FirstYear = 2024;
    private static readonly TimeSpan Summer = TimeSpan.FromHours(1);
    private readonly Programme programme = scenario.ProgrammeOf(station);
    private readonly List<Entry> entries = [];

    /// <summary>True where a programme asks for nothing that an older part of a visit does.</summary>
    internal static bool Is(Programme programme) =>
        programme.Season is { Count: > 0 } season && season.All(p => VisitParts.Described.Any(d => d.Code == p.Protocol.Code));

    /// <summary>All entries before the demo's day.</summary>
    internal IReadOnlyList<Entry> Write()
    {
        var chance = new Chance(scenario.Seed ^ ((ulong)station.Station.Code[^1] * 7919) ^ ((ulong)station.Station.Code[0] * 104651));
        SortedDictionary<DateOnly, List<Protocol>> days = [];
        // What begins only now has no past.
        foreach (var plan in programme.Season!.Where(p => DemoProtocols.Writes(p.Protocol)))
        {
            for (var year = FirstYear; year < scenario.Now.Year; year++)
            {
                foreach (var day in Days(plan, year, chance))
                {
                    Add(day, plan.Protocol);
                }
            }

            // What is monthly is taken on the first of a month's days, what is yearly on the first of all.
            foreach (
                var day in station
                    .ThisSeason.Where(plan.Holds)
                    .GroupBy(d =>
                        plan.Rhythm == Rhythm.Days ? d.DayOfYear
                        : plan.Rhythm == Rhythm.Monthly ? d.Month
                        : 0
                    )
                    .Select(g => g.Min())
            )
            {
                Add(day, plan.Protocol);
            }
        }

        foreach (var (day, protocols) in days)
        {
            var at = new DateTimeOffset(day.ToDateTime(new TimeOnly(10, 20)), Summer).AddMinutes(chance.Whole(0, 30));
            var work = new DemoWork(scenario, station, programme, day, protocols, chance, chance.Uuid(at), at);
            work.Begin();
            work.Sound();
            // What stirs comes after what must not be stirred.
            foreach (var protocol in protocols.OrderBy(p => VisitParts.Described.First(d => d.Code == p.Code).Description.Rank))
            {
                work.Current = protocol;
                DemoProtocols.Write(work);
            }

            work.End();
            entries.AddRange(work.Entries);
        }

        return entries;

        void Add(DateOnly day, Protocol protocol)
        {
            if (!days.TryGetValue(day, out var due))
            {
                days[day] = due = [];
            }

            due.Add(protocol);
        }
    }

    private static IEnumerable<DateOnly> Days(ProtocolPlan plan, int year, Chance chance)
    {
        var day = plan.From.In(year).AddDays(chance.Whole(0, 6));
        var every =
            plan.Rhythm == Rhythm.Monthly ? 30
            : plan.Rhythm == Rhythm.Once ? 400
            : plan.EveryDays;
        for (; day <= plan.Until.In(year); day = day.AddDays(every + chance.Whole(-1, 1)))
        {
            yield return day;
        }
    }
}
