using System.Diagnostics;
using System.Globalization;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Outings;
using UpperStill.Core.Protocols.Header;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Sky;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;
using UpperStill.Core.Setup.Waters;
using UpperStill.Formats.Calendars;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Seasons;

/// <summary>A station whose season is planned.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">Its programme's name.</param>
/// <param name="MayMove">True where the caller may move its dates.</param>
/// <param name="HighSun">Local clock time at which the sun stands highest there today.</param>
public sealed record PlannedStation(Station Station, string Programme, bool MayMove, string HighSun);

/// <summary>The season as a page shows it.</summary>
/// <param name="Today">The day from which it is planned.</param>
/// <param name="Plan">The plan.</param>
/// <param name="Stations">The stations, in the plan's order.</param>
/// <param name="Set">Days set aside by hand.</param>
/// <param name="PassesSimulated">True where satellite passes are made up.</param>
/// <param name="From">First day of the picture.</param>
/// <param name="Until">Last day of the picture.</param>
/// <param name="Shared">Shared observation days.</param>
/// <param name="Outings">What is due on which day at which water, from today on.</param>
/// <param name="Proposals">Proposed stations that wait for the caller's decision, water by water.</param>
public sealed record SeasonView(
    DateOnly Today,
    SeasonPlan Plan,
    IReadOnlyList<PlannedStation> Stations,
    IReadOnlyList<SetAside> Set,
    bool PassesSimulated,
    DateOnly From,
    DateOnly Until,
    IReadOnlyList<DateOnly> Shared,
    IReadOnlyList<OutingDay> Outings,
    IReadOnlyList<WaitingProposals> Proposals
);

/// <summary>Stations proposed at a water.</summary>
/// <param name="Water">The water's code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Count">How many.</param>
public sealed record WaitingProposals(string Water, string Name, int Count);

/// <summary>A day set aside by hand.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Day">The day.</param>
/// <param name="Kind">Pinned, Blocked, Shared or IceOut.</param>
/// <param name="Why">Why.</param>
/// <param name="By">Who.</param>
/// <param name="Station">The station; null for all.</param>
public sealed record SetAside(Guid Id, DateOnly Day, string Kind, string Why, string By, string? Station = null);

/// <summary>Gathers what a season is planned from, and plans it.</summary>
public sealed class SeasonDesk(FieldBook book, IPassCalendar passes, ITideConstants tides, TimeProvider clock)
{
    /// <summary>The day of this instance; each water has its own.</summary>
    public DateOnly Today => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);

    /// <summary>How long the planner took for the last view: the benchmark reads it.</summary>
    public TimeSpan PlannerTook { get; private set; }

    /// <summary>The day at a place with that zone.</summary>
    public DateOnly TodayIn(TimeZoneInfo zone) => DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(clock.GetUtcNow(), zone).DateTime);

    /// <summary>The season of the stations that a person may see.</summary>
    public async Task<SeasonView> ViewAsync(int year, Permissions may, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(may);
        var (request, stations, days) = await GatherAsync(year, may, cancel);
        var began = Stopwatch.GetTimestamp();
        var plan = SeasonPlanner.Work(request);
        PlannerTook = Stopwatch.GetElapsedTime(began);
        var (from, until) = Span(request, plan);
        return new SeasonView(
            Today,
            plan,
            stations,
            [.. days.Select(d => new SetAside(d.Id, d.Day, d.Kind.ToString(), d.Why, d.By, d.Station))],
            passes.Simulated,
            from,
            until,
            request.SharedDays ?? [],
            OutingDay.Of(plan, [.. stations.Select(s => s.Station)]),
            await WaitingAsync(may, cancel)
        );
    }

    /// <summary>The dates of stations for a calendar, each planned when it is asked for.</summary>
    /// <param name="may">Whose stations.</param>
    /// <param name="only">Only these stations; null for all of them.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<IEnumerable<CalendarStation>> DatesAsync(Permissions may, IReadOnlySet<string>? only, CancellationToken cancel)
    {
        var (request, stations, _) = await GatherAsync(Today.Year, may, cancel, only);
        var zones = (await book.Waters.AsNoTracking().ToListAsync(cancel)).Select(w => w.Read()).ToDictionary(w => w.Code, w => w.TimeZone);
        return stations
            .Zip(request.Stations, SeasonPlanner.Each(request))
            .Select(s => new CalendarStation(
                s.First.Station,
                s.Second.Hours,
                zones.GetValueOrDefault(s.First.Station.WaterCode, "Etc/UTC"),
                s.Third
            ));
    }

    private async Task<IReadOnlyList<WaitingProposals>> WaitingAsync(Permissions may, CancellationToken cancel)
    {
        var waiting = await book
            .Proposals.AsNoTracking()
            .Where(p => p.Outcome == null)
            .GroupBy(p => p.Water)
            .Select(g => new { g.Key, Count = g.Count() })
            .ToListAsync(cancel);
        var names =
            waiting.Count == 0
                ? []
                : (await book.Waters.AsNoTracking().ToListAsync(cancel)).Select(w => w.Read()).ToDictionary(w => w.Code, w => w.Name);
        return
        [
            .. waiting
                .Where(w => may.Coordinates(w.Key))
                .Select(w => new WaitingProposals(w.Key, names.GetValueOrDefault(w.Key, w.Key), w.Count)),
        ];
    }

    /// <summary>The request to the planner, the stations in its order, and the days set aside; of only some stations where they are named,
    /// and as if other days were set aside where that is asked.</summary>
    public async Task<(SeasonRequest Request, IReadOnlyList<PlannedStation> Stations, IReadOnlyList<SeasonDayRow> Days)> GatherAsync(
        int year,
        Permissions may,
        CancellationToken cancel,
        IReadOnlySet<string>? only = null,
        Func<IEnumerable<SeasonDayRow>, IEnumerable<SeasonDayRow>>? asIf = null
    )
    {
        ArgumentNullException.ThrowIfNull(may);
        var rows = (await book.StationsAsync(may, cancel)).FindAll(s => only?.Contains(s.Code) != false);
        var codes = rows.ConvertAll(r => r.Code);
        var zones = (await book.Waters.AsNoTracking().ToListAsync(cancel)).ToDictionary(
            w => w.Code,
            w => TimeZoneInfo.FindSystemTimeZoneById(w.Read().TimeZone),
            StringComparer.Ordinal
        );
        var programmes = new Dictionary<string, Programme>(StringComparer.Ordinal);
        foreach (var code in rows.Select(r => r.Programme).Distinct())
        {
            if (await book.ProgrammeAsync(code, null, cancel) is { } programme)
            {
                programmes[code] = programme;
            }
        }

        var spans = rows.Where(r => programmes.GetValueOrDefault(r.Programme)?.Season is { Count: > 0 })
            .ToDictionary(r => r.Code, r => new SeasonSpan(year, TodayIn(zones[r.Water]), programmes[r.Programme].Season!));
        var (begin, end) = (
            spans.Values.Select(s => s.First).DefaultIfEmpty(new DateOnly(year, 1, 1)).Min(),
            spans.Values.Select(s => s.Last).DefaultIfEmpty(new DateOnly(year, 12, 31)).Max()
        );
        var visits = (
            await book
                .Visits.AsNoTracking()
                .Where(v => codes.Contains(v.Station) && v.Day >= begin && v.Day <= end)
                .Select(v => new
                {
                    v.Station,
                    v.Day,
                    v.Took,
                })
                .ToListAsync(cancel)
        ).ToLookup(v => v.Station);
        var before = await book
            .Stations.Where(s => codes.Contains(s.Code))
            .Select(s => new { s.Code, Last = book.Visits.Where(v => v.Station == s.Code && v.Day < begin).Max(v => (DateOnly?)v.Day) })
            .Where(s => s.Last != null)
            .ToDictionaryAsync(s => s.Code, s => s.Last!.Value, cancel);
        var days = await book.SeasonDays.AsNoTracking().Where(d => d.Day >= begin && d.Day <= end).OrderBy(d => d.Day).ToListAsync(cancel);
        if (asIf is not null)
        {
            days = [.. asIf(days).Where(d => d.Day >= begin && d.Day <= end).OrderBy(d => d.Day)];
        }

        List<StationSeason> seasons = [];
        List<PlannedStation> stations = [];
        foreach (var row in rows.Where(r => spans.ContainsKey(r.Code)))
        {
            var (station, programme, span) = (row.Read(), programmes[row.Programme], spans[row.Code]);
            var own = days.Where(d => (d.Station is null || d.Station == row.Code) && span.Holds(d.Day)).ToList();
            var place = new Position(station.LatitudeDeg, station.LongitudeDeg);
            var zone = zones[row.Water];
            var needs = SeasonNeeds.Of(programme);
            var atLowWater = programme.Chooses(HeaderOptions.HoursRule, "low-tide");
            var noon = Sun.Noon(place, TodayIn(zone), zone.GetUtcOffset(TodayIn(zone).ToDateTime(new TimeOnly(12, 0))));
            stations.Add(
                new PlannedStation(station, programme.Name, may.Samples(row.Water), noon.ToString("HH:mm", CultureInfo.InvariantCulture))
            );
            seasons.Add(
                new StationSeason(
                    row.Code,
                    SeasonNeeds.Plans(programme),
                    programme.Hours,
                    [
                        .. visits[row.Code]
                            .Where(v => span.Holds(v.Day))
                            .GroupBy(v => v.Day)
                            .Select(g => new DoneVisit(g.Key, [.. g.SelectMany(v => Took(v.Took)).Distinct()])),
                    ],
                    visits[row.Code].Where(v => v.Day < span.First).Select(v => (DateOnly?)v.Day).Max()
                        ?? (before.TryGetValue(row.Code, out var last) ? last : null),
                    Of(SeasonDayKind.Pinned),
                    Of(SeasonDayKind.Blocked),
                    [.. row.ReadWeekdays().Select(d => (DayOfWeek)d)],
                    [.. new[] { span.First.Year, span.Last.Year }.Distinct().SelectMany(y => passes.Passes(place, y)).Where(span.Holds)]
                )
                {
                    Needs = needs,
                    AtLowWater = atLowWater,
                    LowWaters = atLowWater || needs.Any(n => n.LowWater) ? LowWaters(place, span, zone) : null,
                    Zone = zone,
                    Today = TodayIn(zone),
                    IceOut = own.Where(d => d.Kind == SeasonDayKind.IceOut).Select(d => (DateOnly?)d.Day).Max(),
                }
            );

            List<SetDay> Of(SeasonDayKind kind) => [.. own.Where(d => d.Kind == kind).Select(d => new SetDay(d.Day, d.Why))];
        }

        return (
            new SeasonRequest(
                year,
                Today,
                seasons,
                await book.LaboratoryAsync(cancel),
                [.. days.Where(d => d.Kind == SeasonDayKind.Shared).Select(d => d.Day)],
                passes.Simulated,
                tides.Simulated
            ),
            stations,
            [.. days.Where(d => d.Station is null || rows.Any(r => r.Code == d.Station))]
        );
    }

    // Low waters in daylight, by the clock there; null where the tide is not known.
    private List<DateTime>? LowWaters(Position place, SeasonSpan span, TimeZoneInfo zone)
    {
        var (begin, end) = (
            new DateTimeOffset(span.First, TimeOnly.MinValue, TimeSpan.Zero),
            new DateTimeOffset(span.Last, TimeOnly.MinValue, TimeSpan.Zero)
        );
        return tides.At(place) is not { } constants
            ? null
            :
            [
                .. Tide.Turns(constants, begin.AddDays(-1), end.AddDays(2))
                    .Where(t => !t.High && Sun.Over(place, t.At).AltitudeDeg > 0)
                    .Select(t => TimeZoneInfo.ConvertTime(t.At, zone).DateTime),
            ];
    }

    // Rows of earlier builds begin with a capital.
    private static IEnumerable<Protocol> Took(string took) =>
        took.Split(',', StringSplitOptions.RemoveEmptyEntries).Select(t => new Protocol(t.ToLowerInvariant()));

    // Whole months, from the first in which something is due to the last.
    private static (DateOnly From, DateOnly Until) Span(SeasonRequest request, SeasonPlan plan)
    {
        var all = request
            .Stations.SelectMany(s => s.Protocols.Select(new SeasonSpan(request.Year, s.Today ?? request.Today, [.. s.Protocols]).Window))
            .SelectMany(w => new[] { w.From, w.Until })
            .Concat(plan.Stations.SelectMany(s => s.Dates).Select(d => d.Day))
            .ToList();
        var (from, until) =
            all.Count == 0 ? (new DateOnly(request.Year, 1, 1), new DateOnly(request.Year, 12, 31)) : (all.Min(), all.Max());
        return (
            new DateOnly(from.Year, from.Month, 1),
            new DateOnly(until.Year, until.Month, DateTime.DaysInMonth(until.Year, until.Month))
        );
    }
}
