using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Import;
using UpperStill.Core.Application.Review;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.People;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.People;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Historic;

/// <summary>What an old table gives, or has given.</summary>
/// <param name="Import">The import, once it is kept; null where it was only looked at.</param>
/// <param name="Rows">Rows in the table.</param>
/// <param name="RowsUsed">Rows of which something is brought in.</param>
/// <param name="Visits">Visits that it tells of.</param>
/// <param name="From">The first day.</param>
/// <param name="Until">The last day.</param>
/// <param name="Shown">The first of the visits.</param>
/// <param name="Columns">What was read of each column.</param>
/// <param name="Findings">What to look at, the first of them.</param>
/// <param name="MoreFindings">How many more there are.</param>
public sealed record HistoricAnswer(
    Guid? Import,
    int Rows,
    int RowsUsed,
    int Visits,
    DateOnly? From,
    DateOnly? Until,
    IReadOnlyList<HistoricVisit> Shown,
    IReadOnlyList<HistoricCount> Columns,
    IReadOnlyList<HistoricFinding> Findings,
    int MoreFindings
);

/// <summary>An import of before.</summary>
/// <param name="Id">Identity.</param>
/// <param name="File">The file's name.</param>
/// <param name="By">Who brought it in.</param>
/// <param name="At">When.</param>
/// <param name="Visits">Visits that it brought.</param>
/// <param name="Standing">How many of them stand, or will once they are worked out.</param>
/// <param name="Ready">How many of them could be signed off as they are.</param>
/// <param name="Open">How many have open findings.</param>
/// <param name="Own">True where the caller brought it in, and so cannot sign it off.</param>
/// <param name="Waiting">How many of them are kept and still to be worked out.</param>
public sealed record HistoricImport(
    Guid Id,
    string File,
    string By,
    DateTimeOffset At,
    int Visits,
    int Standing,
    int Ready,
    int Open,
    bool Own,
    int Waiting
);

/// <summary>Whether a whole import could be reached.</summary>
public enum ImportReach
{
    /// <summary>There is no such import.</summary>
    Unknown,

    /// <summary>It is of waters that the caller does not coordinate.</summary>
    Beyond,

    /// <summary>The caller brought it in or read all of it, and nobody vouches for what is their own.</summary>
    Own,

    /// <summary>A table is still being worked out; what its visits say is not known before.</summary>
    Waits,

    /// <summary>It was done.</summary>
    Done,
}

/// <summary>What became of a whole import.</summary>
/// <param name="Reach">Whether it could be reached.</param>
/// <param name="Visits">How many visits it reached.</param>
public sealed record ImportOutcome(ImportReach Reach, int Visits = 0);

/// <summary>Brings old tables into the record, takes a whole one back, and signs a whole one off.</summary>
public sealed class HistoricDesk(FieldBook book, LogBook log, ImportWork work, Caller caller, TimeProvider clock)
{
    private const int MostFindings = 200;
    private const int MostShown = 10;
    private const string Device = "old table";
    private static readonly Parameter[] Subjects = [Parameter.Clarity, Parameter.Chlorophyll, Parameter.Phosphorus];

    /// <summary>Reads a table, and keeps its visits where that is asked; all of them or none.</summary>
    /// <param name="rows">Its rows.</param>
    /// <param name="mapping">How they are read.</param>
    /// <param name="file">The file's name.</param>
    /// <param name="asTheyStand">Unusual fields that are right.</param>
    /// <param name="keep">False to look only.</param>
    /// <param name="cancel">Gives up.</param>
    /// <returns>Null while an earlier table is still being worked out: until then nobody knows all days that are there.</returns>
    public async Task<HistoricAnswer?> ReadAsync(
        IReadOnlyList<HistoricRow> rows,
        HistoricMapping mapping,
        string file,
        IReadOnlySet<HistoricField> asTheyStand,
        bool keep,
        CancellationToken cancel
    )
    {
        var answer = keep ? await work.InTurnAsync(Read, cancel) : await Read();
        if (answer?.Import is not null)
        {
            await work.GoOnAsync(book, cancel);
        }

        return answer;

        async Task<HistoricAnswer?> Read()
        {
            if (await book.WaitingAsync(cancel) > 0)
            {
                return null;
            }

            var named = HistoricTable.StationsNamed(mapping, rows);
            var stations = (await book.StationsAsync(caller.May, cancel))
                .Where(s => named.Contains(s.Code) || named.Contains(s.Read().Name.Trim()))
                .ToDictionary(s => s.Code);
            var today = DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
            var result = HistoricTable.Read(
                new HistoricRequest(mapping, rows, await KnownAsync(stations.Values, cancel), today, asTheyStand)
            );
            Guid? import = keep && result.Visits.Count > 0 ? Guid.CreateVersion7() : null;
            if (import is { } id)
            {
                await KeepAsync(result.Visits, new HistoricSource(id, file, caller.Name, Device, caller.Person!.Id), stations, cancel);
            }

            return new HistoricAnswer(
                import,
                result.Rows,
                result.RowsUsed,
                result.Visits.Count,
                result.Visits.Count > 0 ? result.Visits[0].Day : null,
                result.Visits.Count > 0 ? result.Visits[^1].Day : null,
                [.. result.Visits.Take(MostShown)],
                result.Columns,
                [.. result.Findings.Take(MostFindings)],
                Math.Max(0, result.Findings.Count - MostFindings)
            );
        }
    }

    private async Task<IReadOnlyList<HistoricStation>> KnownAsync(IReadOnlyCollection<StationRow> stations, CancellationToken cancel)
    {
        List<string> codes = [.. stations.Select(s => s.Code)];
        var days = (
            await book.Visits.AsNoTracking().Where(v => codes.Contains(v.Station)).Select(v => new { v.Station, v.Day }).ToListAsync(cancel)
        ).ToLookup(v => v.Station, v => v.Day);
        var series = await book.SeriesAsync(stations, Subjects, cancel);
        return
        [
            .. stations.Select(s => new HistoricStation(
                s.Code,
                s.Read().Name,
                days[s.Code].ToHashSet(),
                series[s.Code]
                    .Series.Select(one =>
                        (one.Subject, Values: one.Points.Where(p => p is { Usable: true, SignedOff: true }).Select(p => p.Value).ToArray())
                    )
                    .Where(one => one.Values.Length > 0)
                    .ToDictionary(one => one.Subject, one => Decimals.Median(one.Values)),
                s.Read().KnownDepth.Read().Length?.Metres,
                caller.May.Coordinates(s.Water)
            )),
        ];
    }

    private async Task KeepAsync(
        IReadOnlyList<HistoricVisit> visits,
        HistoricSource source,
        Dictionary<string, StationRow> stations,
        CancellationToken cancel
    )
    {
        var programmes = await book.ProgrammesAsync(visits.Select(v => stations[v.Station].Programme), cancel);
        List<Entry> entries = [];
        List<(Guid, string, DateOnly)> places = [];
        var made = clock.GetUtcNow();
        foreach (var visit in visits)
        {
            List<Entry> of =
            [
                .. HistoricEntries.Of(visit, source, programmes[stations[visit.Station].Programme], clock.LocalTimeZone.GetUtcOffset, () =>
                    Guid.CreateVersion7(made = made.AddMilliseconds(1))
                ),
            ];
            entries.AddRange(of);
            places.Add((of[0].Visit, visit.Station, visit.Day));
        }

        await AddAsync(entries, places, cancel);
    }

    private Task AddAsync(
        IReadOnlyCollection<Entry> entries,
        IReadOnlyCollection<(Guid Visit, string Station, DateOnly Day)> visits,
        CancellationToken cancel
    )
    {
        var receipt = new EntryReceipt(clock.GetUtcNow(), 0, caller.Name, caller.Person!.Id);
        return log.BringInAsync(book, [.. entries.Select(e => EntryRow.From(e, receipt))], visits, cancel);
    }

    /// <summary>Imports of waters that the caller coordinates, the newest first.</summary>
    public async Task<IReadOnlyList<HistoricImport>> ImportsAsync(CancellationToken cancel)
    {
        var people = new KnownPeople(await book.NamesAsync(cancel));
        var starts = (await StartsAsync(null, cancel)).Where(s => s.Mine).ToList();
        var visits = (await book.Visits.AsNoTracking().Select(v => new { v.Visit, v.Review }).ToListAsync(cancel)).ToDictionary(
            v => v.Visit,
            v => v.Review
        );
        var waiting = await book.Waiting.Select(w => w.Visit).ToHashSetAsync(cancel);
        return
        [
            .. starts
                .GroupBy(s => s.From.Id)
                .Select(g =>
                {
                    int Count(ReviewState state) => g.Count(s => visits.GetValueOrDefault(s.Entry.Visit) == state.ToString());
                    var first = g.First();
                    return new HistoricImport(
                        g.Key,
                        first.From.File,
                        first.Entry.By,
                        first.Entry.ReceivedAt,
                        g.Count(),
                        g.Count(s => visits.ContainsKey(s.Entry.Visit) || waiting.Contains(s.Entry.Visit)),
                        Count(ReviewState.Ready),
                        Count(ReviewState.Open),
                        g.All(s => Own(s, people)),
                        g.Count(s => waiting.Contains(s.Entry.Visit))
                    );
                })
                .OrderByDescending(i => i.At),
        ];
    }

    /// <summary>Takes a whole import back: its visits are struck with the reason, and stay readable in the log.</summary>
    /// <param name="import">The import.</param>
    /// <param name="why">The reason.</param>
    /// <param name="cancel">Gives up.</param>
    public Task<ImportOutcome> UndoAsync(Guid import, string why, CancellationToken cancel) =>
        InTurnAsync(
            import,
            async starts =>
            {
                var standing = await book.Visits.Select(v => v.Visit).Union(book.Waiting.Select(w => w.Visit)).ToHashSetAsync(cancel);
                var now = clock.GetLocalNow();
                return (
                    ImportReach.Done,
                    [
                        .. starts
                            .Where(s => standing.Contains(s.Entry.Visit))
                            .Select(s => new Entry(
                                Guid.CreateVersion7(now),
                                s.Entry.Visit,
                                VisitKinds.Strike.Name,
                                VisitKinds.Strike.Version,
                                JsonSerializer.SerializeToElement(new EmptyBody(), VisitJson.Default.EmptyBody),
                                now,
                                caller.Name,
                                Device,
                                s.Entry.Id,
                                why
                            )
                            {
                                Person = caller.Person!.Id,
                            }),
                    ]
                );
            },
            cancel
        );

    /// <summary>Signs off every visit of an import that has nothing open.</summary>
    /// <param name="import">The import.</param>
    /// <param name="cancel">Gives up.</param>
    public Task<ImportOutcome> SignOffAsync(Guid import, CancellationToken cancel) =>
        InTurnAsync(
            import,
            async starts =>
            {
                if (await book.WaitingAsync(cancel) > 0)
                {
                    return (ImportReach.Waits, []);
                }

                var people = new KnownPeople(await book.NamesAsync(cancel));
                if (starts.TrueForAll(s => Own(s, people)))
                {
                    return (ImportReach.Own, []);
                }

                // What each says now stands in its sign-off: one that changes before it is written is not signed off by it.
                var now = clock.GetLocalNow();
                List<Entry> signs = [];
                foreach (var start in starts.Where(s => !Own(s, people)))
                {
                    if (await book.ReviewAsync(start.Entry.Visit, cancel) is { State: ReviewState.Ready } review)
                    {
                        var body = new SignedOffBody(review.Field, review.Results);
                        signs.Add(
                            new Entry(
                                Guid.CreateVersion7(now),
                                start.Entry.Visit,
                                ReviewKinds.SignedOff.Name,
                                ReviewKinds.SignedOff.Version,
                                JsonSerializer.SerializeToElement(body, ReviewJson.Default.SignedOffBody),
                                now,
                                caller.Name,
                                Device
                            )
                            {
                                Person = caller.Person!.Id,
                            }
                        );
                    }
                }

                return (ImportReach.Done, signs);
            },
            cancel
        );

    // Keeps what is to be said of an import's visits, where that may be said.
    private async Task<ImportOutcome> InTurnAsync(
        Guid import,
        Func<List<Start>, Task<(ImportReach Reach, List<Entry> Entries)>> saidOf,
        CancellationToken cancel
    )
    {
        var outcome = await work.InTurnAsync(
            async () =>
            {
                var starts = await StartsAsync(import, cancel);
                if (Refused(starts) is { } refused)
                {
                    return refused;
                }

                var (reach, entries) = await saidOf(starts);
                if (reach != ImportReach.Done)
                {
                    return new ImportOutcome(reach);
                }

                // One that somebody moved lies elsewhere than it began.
                var lies = await book
                    .Visits.Select(v => new { v.Visit, v.Station })
                    .ToDictionaryAsync(v => v.Visit, v => v.Station, cancel);
                var speaksOf = entries.Select(e => e.Visit).ToHashSet();
                await AddAsync(
                    entries,
                    [
                        .. starts
                            .Where(s => speaksOf.Contains(s.Entry.Visit))
                            .Select(s =>
                                (
                                    s.Entry.Visit,
                                    lies.GetValueOrDefault(s.Entry.Visit, s.Body.Station),
                                    DateOnly.FromDateTime(s.Entry.At.DateTime)
                                )
                            ),
                    ],
                    cancel
                );
                return new ImportOutcome(ImportReach.Done, entries.Count);
            },
            cancel
        );
        if (outcome.Reach == ImportReach.Done)
        {
            await work.GoOnAsync(book, cancel);
        }

        return outcome;
    }

    private bool Own(Start start, KnownPeople people) =>
        Vouching.IsOwn(new NamedPerson(caller.Person!.Id, caller.Name), start.Entry.ToEntry(), start.Body, people);

    private static ImportOutcome? Refused(List<Start> starts) =>
        starts.Count == 0 ? new ImportOutcome(ImportReach.Unknown)
        : starts.Exists(s => !s.Mine) ? new ImportOutcome(ImportReach.Beyond)
        : null;

    private async Task<List<Start>> StartsAsync(Guid? import, CancellationToken cancel)
    {
        var waters = await book.Stations.AsNoTracking().ToDictionaryAsync(s => s.Code, s => s.Water, cancel);
        var rows = await book
            .Entries.FromSql(
                $"SELECT * FROM Entries WHERE Kind = {VisitKinds.VisitStarted.Name} AND json_extract(Body, '$.import.id') IS NOT NULL"
            )
            .AsNoTracking()
            .ToListAsync(cancel);
        return
        [
            .. rows.Select(row => (Row: row, Body: VisitKinds.VisitStarted.Read(row.ToEntry().Body)))
                .Where(s => s.Body?.Import is { } from && (import is null || from.Id == import))
                .Select(s => new Start(
                    s.Row,
                    s.Body!,
                    waters.TryGetValue(s.Body!.Station, out var water) && caller.May.Coordinates(water)
                )),
        ];
    }

    private sealed record Start(EntryRow Entry, VisitStartedBody Body, bool Mine)
    {
        internal ImportedFrom From => Body.Import!;
    }
}
