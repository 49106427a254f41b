using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Import;
using UpperStill.Core.Application.Reports;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Readings;
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
public sealed record WaterReport(
    string Water,
    string District,
    int Year,
    IReadOnlyList<int> Years,
    ReportResult Report,
    IReadOnlyList<ReportSeries> Series
);

/// <summary>The coordinator's summary.</summary>
/// <param name="Year">The year.</param>
/// <param name="Years">Years with visits, the newest first.</param>
/// <param name="Summary">The words.</param>
/// <param name="Stations">The numbers.</param>
public sealed record RecordSummary(int Year, IReadOnlyList<int> Years, SummaryResult Summary, IReadOnlyList<StationYear> Stations)
{
    /// <summary>What is told of each station, in order.</summary>
    public IReadOnlyList<SubjectName> Subjects { get; } =
    [.. Core.Application.Trends.Subjects.Names.Where(n => Core.Application.Trends.Subjects.AskedAfter.Contains(n.Code))];
}

/// <summary>Asks the record: is it changing, how sure is that, what would it take to know.</summary>
public sealed class RecordDesk(FieldBook book, Caller caller, WholePages pages)
{
    /// <summary>The answers of a water's stations.</summary>
    public async Task<IReadOnlyList<StationAnswer>> AnswersAsync(string water, CancellationToken cancel)
    {
        var rows = await book.StationsAsync(caller.May, cancel, water);
        var answers = await book.AnswersAsync(rows, null, ReaderUnit.AsRead, cancel);
        return [.. rows.Select(row => new StationAnswer(row.Code, row.Read().Name, [.. answers[row.Code]]))];
    }

    /// <summary>One subject over all stations that the caller may see.</summary>
    public async Task<RegionalResult> RegionAsync(Parameter subject, CancellationToken cancel)
    {
        var tests = await book.TestsAsync(await book.StationsAsync(caller.May, cancel), subject, cancel);
        return RegionalTrend.Together(subject, [.. tests.Select(t => t.First())]);
    }

    /// <summary>The report on a water in a year, with the series that its pictures are drawn from; null where there is no such
    /// water.</summary>
    public async Task<WaterReport?> ReportAsync(string code, int year, ReaderUnit reader, CancellationToken cancel)
    {
        if (await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == code, cancel) is not { } water)
        {
            return null;
        }

        var rows = await book.StationsAsync(caller.May, cancel, code);
        var codes = rows.ConvertAll(r => r.Code);
        var (from, until) = (new DateOnly(year, 1, 1), new DateOnly(year, 12, 31));
        var series = await book.SeriesAsync(rows, Subjects.AskedAfter, cancel);
        var profiles = (
            await book
                .Profiles.AsNoTracking()
                .Where(p => codes.Contains(p.Station) && p.Usable && p.Day >= from && p.Day <= until)
                .OrderBy(p => p.Day)
                .ToListAsync(cancel)
        ).ToLookup(p => p.Station, p => p.Oxygen());
        List<ReportStation> stations =
        [
            .. rows.AsParallel()
                .AsOrdered()
                .Select(row =>
                    ReportStation.Of(
                        row.Code,
                        row.Read().Name,
                        [.. series[row.Code].Series.Select(s => s.Ask(series[row.Code].Native, reader))],
                        [.. profiles[row.Code]]
                    )
                ),
        ];
        var visits = await book
            .Visits.AsNoTracking()
            .Where(v => codes.Contains(v.Station) && v.Day >= from && v.Day <= until)
            .OrderBy(v => v.Day)
            .ToListAsync(cancel);
        var observers = Observers(visits);
        var years = await book
            .Visits.Where(v => codes.Contains(v.Station))
            .Select(v => v.Day.Year)
            .Distinct()
            .OrderDescending()
            .ToListAsync(cancel);
        var report = AnnualReport.Write(
            new ReportRequest(
                water.Read().Name,
                year,
                visits.Count,
                visits.Count > 0 ? visits[0].Day : null,
                visits.Count > 0 ? visits[^1].Day : null,
                observers,
                stations
            )
        );
        return new WaterReport(
            code,
            water.Read().District,
            year,
            years,
            report,
            [
                .. stations.SelectMany(s =>
                    s.Trends.Where(t => Subjects.Of(t.Subject).Pictured).Select(t => new ReportSeries(s.Code, s.Name, t))
                ),
            ]
        );
    }

    /// <summary>Stations that the caller may see, side by side.</summary>
    public Task<SideBySide> BesideAsync(Parameter subject, int? year, ReaderUnit reader, CancellationToken cancel) =>
        pages.AskAsync(
            book,
            caller,
            (subject, year, reader),
            async () =>
            {
                var rows = await book.StationsAsync(caller.May, cancel);
                var answers = await book.AnswersAsync(rows, [subject], reader, cancel);
                rows.RemoveAll(r => !answers.Contains(r.Code));
                var programmes = await book.ProgrammesAsync(rows.Select(r => r.Programme), cancel);
                return SideBySide.Of(
                    subject,
                    rows.ConvertAll(r => new StationSaid(r.Read(), r.Programme, programmes[r.Programme].Name, answers[r.Code].First())),
                    year,
                    reader
                );
            },
            cancel
        );

    /// <summary>The coordinator's summary across the waters that the caller may see.</summary>
    public Task<RecordSummary> SummaryAsync(int? year, ReaderUnit reader, CancellationToken cancel) =>
        pages.AskAsync(
            book,
            caller,
            (year, reader),
            async () =>
            {
                var rows = await book.StationsAsync(caller.May, cancel);
                var codes = rows.Select(r => r.Code).ToHashSet();
                var years = await book.Visits.Select(v => v.Day.Year).Distinct().OrderDescending().ToListAsync(cancel);
                var which = year ?? (years.Count > 0 ? years[0] : 0);
                var (from, until) = (new DateOnly(Math.Max(which, 1), 1, 1), new DateOnly(Math.Max(which, 1), 12, 31));
                var visits = (await book.Visits.AsNoTracking().Where(v => v.Day >= from && v.Day <= until).ToListAsync(cancel))
                    .Where(v => codes.Contains(v.Station))
                    .ToLookup(v => v.Station);
                var lost = (
                    await book
                        .Samples.AsNoTracking()
                        .Where(s =>
                            s.Day >= from
                            && s.Day <= until
                            && (s.State == nameof(SampleState.Lost) || s.State == nameof(SampleState.Rejected))
                        )
                        .Select(s => s.Station)
                        .ToListAsync(cancel)
                ).ToLookup(s => s);
                var places = rows.ConvertAll(r => r.Read());
                var natives = places.ToDictionary(p => p.Code, p => p.NativeUnit());
                var answers = await book.AnswersAsync(
                    rows,
                    Subjects.AskedAfter,
                    reader,
                    (station, answer) => SummaryTrend.Of(answer, which, natives[station], reader),
                    cancel
                );
                var stations = places.ConvertAll(row => new SummaryStation(
                    row,
                    visits[row.Code].Count(),
                    visits[row.Code].Count(v => !v.FieldSigned),
                    visits[row.Code].Sum(v => v.OpenFindings),
                    lost[row.Code].Count(),
                    [.. answers[row.Code]]
                ));
                return new RecordSummary(
                    which,
                    years,
                    CoordinatorSummary.Write(new SummaryRequest(which, Observers(visits.SelectMany(v => v)).Count, stations)),
                    stations.ConvertAll(StationYear.Of)
                );
            },
            cancel
        );

    private static List<string> Observers(IEnumerable<VisitRow> visits) =>
        [
            .. visits
                .SelectMany(v => v.Observers.Split(", ", StringSplitOptions.RemoveEmptyEntries))
                .Where(o => o != HistoricEntries.Unknown)
                .Distinct()
                .Order(StringComparer.Ordinal),
        ];
}
