using System.Collections.Concurrent;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Historic;
using UpperStill.Core.Oxygen;
using UpperStill.Core.Programmes;
using UpperStill.Core.Quantities;
using UpperStill.Core.Reports;
using UpperStill.Core.Samples;
using UpperStill.Core.Trends;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Record;

/// <summary>What the series of a station say.</summary>
/// <param name="Station">The station's code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Answers">Series by series.</param>
public sealed record StationAnswer(string Station, string Name, IReadOnlyList<SeriesAnswer> Answers);

/// <summary>What a series says, in short.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Name">Its name in a sentence.</param>
/// <param name="Verdict">What it says.</param>
/// <param name="Headline">The sentence.</param>
/// <param name="Detail">How sure, and from what.</param>
/// <param name="WouldKnow">How long until we would know; null where the scatter is not known yet.</param>
/// <param name="Waiting">Values that wait for review.</param>
/// <param name="Years">Year by year, to be drawn small.</param>
/// <param name="Line">The trend, to be drawn.</param>
/// <param name="Depth">True where it is drawn from the surface down.</param>
/// <param name="Matters">True where people ask after it, or it moves.</param>
public sealed record SeriesAnswer(
    TrendSubject Subject, string Name, TrendVerdict Verdict, string Headline, string Detail, string? WouldKnow, int Waiting, IReadOnlyList<YearSummary> Years, IReadOnlyList<TrendAt>? Line, bool Depth, bool Matters);

/// <summary>A picture of a report.</summary>
/// <param name="Station">The station's code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Trend">What it is drawn from.</param>
public sealed record ReportSeries(string Station, string Name, TrendResult Trend);

/// <summary>The annual report on a water.</summary>
/// <param name="Water">The water's code.</param>
/// <param name="District">Where it lies.</param>
/// <param name="Year">The year.</param>
/// <param name="Years">Years with visits, the newest first.</param>
/// <param name="Report">The words.</param>
/// <param name="Series">What its pictures are drawn from.</param>
public sealed record WaterReport(string Water, string District, int Year, IReadOnlyList<int> Years, ReportResult Report, IReadOnlyList<ReportSeries> Series);

/// <summary>A station beside others.</summary>
/// <param name="Station">Its code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Water">Its water.</param>
/// <param name="Programme">Its programme's code.</param>
/// <param name="Answer">What its series says.</param>
/// <param name="Beside">The year beside those before it; null where nothing was read in it.</param>
public sealed record StationBeside(string Station, string Name, string Water, string Programme, SeriesAnswer Answer, YearBeside? Beside);

/// <summary>Stations side by side.</summary>
/// <param name="Subject">What of them.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Year">The year.</param>
/// <param name="Years">Years with values, the newest first.</param>
/// <param name="Programmes">Programmes of the stations, by code.</param>
/// <param name="Stations">The stations, in their order.</param>
public sealed record SideBySide(TrendSubject Subject, string Unit, int Year, IReadOnlyList<int> Years, IReadOnlyDictionary<string, string> Programmes, IReadOnlyList<StationBeside> Stations);

/// <summary>The numbers of a station in a coordinator's summary.</summary>
/// <param name="Station">Its code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Water">Its water.</param>
/// <param name="Visits">Visits of the year.</param>
/// <param name="Waiting">Of them, not signed off.</param>
/// <param name="Open">Open findings of the year.</param>
/// <param name="Lost">Samples lost or rejected.</param>
/// <param name="Years">The year beside those before it, subject by subject.</param>
public sealed record StationYear(string Station, string Name, string Water, int Visits, int Waiting, int Open, int Lost, IReadOnlyDictionary<string, YearBeside> Years);

/// <summary>The coordinator's summary.</summary>
/// <param name="Year">The year.</param>
/// <param name="Years">Years with visits, the newest first.</param>
/// <param name="Summary">The words.</param>
/// <param name="Stations">The numbers.</param>
public sealed record RecordSummary(int Year, IReadOnlyList<int> Years, SummaryResult Summary, IReadOnlyList<StationYear> Stations);

/// <summary>Asks the record: is it changing, how sure is that, what would it take to know.</summary>
public sealed class RecordDesk(FieldBook book, Caller caller)
{
    private const int MostKept = 2000;

    // What was worked out holds until something reaches the station's log or the reference tables.
    private static readonly ConcurrentDictionary<(string Database, string Station, long Changed), StationAnswer> Known = new();

    /// <summary>The answers of a water's stations.</summary>
    public async Task<IReadOnlyList<StationAnswer>> AnswersAsync(string water, CancellationToken cancel)
    {
        var setUp = await book.Changes.MaxAsync(c => (long?)c.Sequence, cancel) ?? 0;
        var database = book.Database.GetConnectionString() ?? string.Empty;
        List<((string, string, long) Key, Func<StationAnswer> Answer)> asked = [];
        foreach (var row in await book.Stations.AsNoTracking().Where(s => s.Water == water).OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel))
        {
            var changed = (await book.Visits.Where(v => v.Station == row.Code).MaxAsync(v => (long?)v.LastSequence, cancel) ?? 0) + setUp;
            var key = (database, row.Code, changed);
            if (Known.TryGetValue(key, out var known))
            {
                asked.Add((key, () => known));
            }
            else
            {
                var series = await SeriesAsync(row, cancel);
                asked.Add((key, () => Answer(row, series)));
            }
        }

        if (Known.Count + asked.Count > MostKept)
        {
            Known.Clear();
        }

        // Reading is one after the other; the statistics of one station know nothing of another's.
        return [.. asked.AsParallel().AsOrdered().WithCancellation(cancel).Select(one => Known.GetOrAdd(one.Key, _ => one.Answer()))];
    }

    /// <summary>One subject over all stations that the caller may see.</summary>
    public async Task<RegionalResult> RegionAsync(TrendSubject subject, CancellationToken cancel)
    {
        var stations = (await book.Stations.AsNoTracking().OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel)).Where(s => caller.May.Sees(s.Water)).ToList();
        Dictionary<string, Programme?> programmes = [];
        foreach (var code in stations.Select(s => s.Programme).Distinct())
        {
            programmes[code] = await book.ProgrammeAsync(code, null, cancel);
        }

        var points = await book.PointsOfAllAsync(subject, cancel);
        return RegionalTrend.Together(subject, [.. stations.Where(s => points.ContainsKey(s.Code) && programmes[s.Programme] is not null)
            .Select(s => RegionalTrend.Station(s.Code, subject, points[s.Code], SubjectWords.Of(subject).Window(programmes[s.Programme]!)))]);
    }

    /// <summary>The report on a water in a year, with the series that its pictures are drawn from; null where there is no such water.</summary>
    public async Task<WaterReport?> ReportAsync(string code, int year, ReaderUnit reader, CancellationToken cancel)
    {
        if (await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == code, cancel) is not { } water)
        {
            return null;
        }

        List<ReportStation> stations = [];
        List<ReportSeries> series = [];
        var rows = await book.Stations.AsNoTracking().Where(s => s.Water == code).OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel);
        var (from, until) = (new DateOnly(year, 1, 1), new DateOnly(year, 12, 31));
        foreach (var row in rows)
        {
            var trends = (await SeriesAsync(row, cancel)).Select(s => TrendRule.Work(s.Series.Ask(s.Native, reader))).ToList();
            var profiles = await book.Profiles.AsNoTracking().Where(p => p.Station == row.Code && p.Usable && p.Day >= from && p.Day <= until).OrderBy(p => p.Day).ToListAsync(cancel);
            var oxygen = OxygenSeasons.Work(new OxygenSeasonsRequest([.. profiles.Select(p => p.Oxygen())])).Seasons;
            stations.Add(new ReportStation(row.Read().Name, trends, oxygen.Count > 0 ? oxygen[0] : null));
            series.AddRange(trends.Where(t => t.Subject is TrendSubject.Clarity or TrendSubject.Chlorophyll or TrendSubject.BottomOxygen).Select(t => new ReportSeries(row.Code, row.Read().Name, t)));
        }

        var codes = rows.Select(r => r.Code).ToList();
        var visits = await book.Visits.AsNoTracking().Where(v => codes.Contains(v.Station) && v.Day >= from && v.Day <= until).OrderBy(v => v.Day).ToListAsync(cancel);
        var observers = Observers(visits);
        var years = await book.Visits.Where(v => codes.Contains(v.Station)).Select(v => v.Day.Year).Distinct().OrderDescending().ToListAsync(cancel);
        var report = AnnualReport.Write(new ReportRequest(water.Read().Name, year, visits.Count, visits.Count > 0 ? visits[0].Day : null, visits.Count > 0 ? visits[^1].Day : null, observers, stations));
        return new WaterReport(code, water.Read().District, year, years, report, series);
    }

    /// <summary>Stations that the caller may see, side by side.</summary>
    public async Task<SideBySide> BesideAsync(TrendSubject subject, int? year, ReaderUnit reader, CancellationToken cancel)
    {
        var points = await book.PointsOfAllAsync(subject, cancel);
        var stations = (await book.Stations.AsNoTracking().OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel)).Where(s => caller.May.Sees(s.Water) && points.ContainsKey(s.Code)).ToList();
        var years = stations.SelectMany(s => points[s.Code].Select(p => p.Day.Year)).Distinct().OrderDescending().ToList();
        Dictionary<string, Programme> programmes = [];
        foreach (var code in stations.Select(s => s.Programme).Distinct())
        {
            programmes[code] = await book.ProgrammeAsync(code, null, cancel) ?? throw new JsonException($"Programme {code} is missing.");
        }

        var name = subject.ToString();
        var joins = (await book.SeriesJoins.AsNoTracking().Where(j => j.Subject == name).ToListAsync(cancel)).ToLookup(j => j.Station, j => j.Day);
        var trends = stations.ConvertAll(row =>
        {
            var (station, native) = (row.Read(), row.Read().KnownDepth.Unit ?? LengthUnit.Metre);
            return (Row: row, Station: station, Native: native, Trend: TrendRule.Work(new TrendRequest(subject, points[row.Code], SubjectWords.Of(subject).Window(programmes[row.Programme]), Joins: [.. joins[row.Code].Order()], Native: native, Reader: reader)));
        });

        // The newest year that has enough values anywhere: a season that has only begun says little.
        var which = year ?? trends.SelectMany(t => t.Trend.Years.Where(y => y.Enough).Select(y => y.Year)).DefaultIfEmpty(years.Count > 0 ? years[0] : 0).Max();
        return new SideBySide(
            subject, SubjectWords.Of(subject).Unit, which, years, programmes.ToDictionary(p => p.Key, p => p.Value.Name),
            [.. trends.Select(t => new StationBeside(t.Row.Code, t.Station.Name, t.Station.Water, t.Row.Programme, Short(t.Trend), YearBeside.Of(t.Trend, which, t.Native, reader)))]);
    }

    /// <summary>The coordinator's summary across the waters that the caller may see.</summary>
    public async Task<RecordSummary> SummaryAsync(int? year, ReaderUnit reader, CancellationToken cancel)
    {
        var rows = (await book.Stations.AsNoTracking().OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel)).Where(s => caller.May.Sees(s.Water)).ToList();
        var codes = rows.Select(r => r.Code).ToHashSet();
        var years = (await book.Visits.Select(v => v.Day.Year).Distinct().OrderDescending().ToListAsync(cancel)).ToList();
        var which = year ?? (years.Count > 0 ? years[0] : 0);
        var (from, until) = (new DateOnly(Math.Max(which, 1), 1, 1), new DateOnly(Math.Max(which, 1), 12, 31));
        var visits = (await book.Visits.AsNoTracking().Where(v => v.Day >= from && v.Day <= until).ToListAsync(cancel)).Where(v => codes.Contains(v.Station)).ToLookup(v => v.Station);
        var lost = (await book.Samples.AsNoTracking().Where(s => s.Day >= from && s.Day <= until && (s.State == nameof(SampleState.Lost) || s.State == nameof(SampleState.Rejected))).Select(s => s.Visit).ToListAsync(cancel)).ToLookup(v => v);
        List<(StationYear Numbers, SummaryStation Words)> stations = [];
        foreach (var row in rows)
        {
            var (station, native) = (row.Read(), row.Read().KnownDepth.Unit ?? LengthUnit.Metre);
            var trends = (await SeriesAsync(row, cancel)).Where(s => SubjectWords.Of(s.Series.Subject).Asked).Select(s => TrendRule.Work(s.Series.Ask(s.Native, reader))).ToList();
            var mine = visits[row.Code].ToList();
            var numbers = new StationYear(
                row.Code, station.Name, station.Water, mine.Count, mine.Count(v => !v.FieldSigned), mine.Sum(v => v.OpenFindings), mine.Sum(v => lost[v.Visit].Count()),
                trends.Select(t => (t.Subject, Year: YearBeside.Of(t, which, native, reader))).Where(t => t.Year is not null).ToDictionary(t => JsonNamingPolicy.KebabCaseLower.ConvertName(t.Subject.ToString()), t => t.Year!));
            stations.Add((numbers, new SummaryStation(station.Water, station.Name, numbers.Visits, numbers.Waiting, numbers.Open, numbers.Lost, trends)));
        }

        return new RecordSummary(which, years, CoordinatorSummary.Write(new SummaryRequest(which, Observers(visits.SelectMany(v => v)).Count, [.. stations.Select(s => s.Words)])), [.. stations.Select(s => s.Numbers)]);
    }

    private async Task<IReadOnlyList<(StationSeries Series, LengthUnit Native)>> SeriesAsync(StationRow row, CancellationToken cancel)
    {
        var programme = await book.ProgrammeAsync(row.Programme, null, cancel) ?? throw new JsonException($"Programme {row.Programme} is missing.");
        var native = row.Read().KnownDepth.Unit ?? LengthUnit.Metre;
        return [.. (await book.SeriesAsync(row.Code, programme, await book.ClaritiesAsync(row.Code, cancel), cancel)).Select(s => (s, native))];
    }

    private static StationAnswer Answer(StationRow row, IReadOnlyList<(StationSeries Series, LengthUnit Native)> series) =>
        new(row.Code, row.Read().Name, [.. series.Select(s => Short(TrendRule.Work(s.Series.Ask(s.Native))))]);

    private static List<string> Observers(IEnumerable<VisitRow> visits) =>
        [.. visits.SelectMany(v => v.Observers.Split(", ", StringSplitOptions.RemoveEmptyEntries)).Where(o => o != HistoricEntries.Unknown).Distinct().Order(StringComparer.Ordinal)];

    private static SeriesAnswer Short(TrendResult result) => new(
        result.Subject, result.Name, result.Verdict, result.Headline, result.Detail, result.WouldKnow?.Text, result.Waiting, result.Years, result.Line, SubjectWords.Of(result.Subject).Depth,
        SubjectWords.Of(result.Subject).Asked || result.Verdict is TrendVerdict.Rising or TrendVerdict.Falling);
}
