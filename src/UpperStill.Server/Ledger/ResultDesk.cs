using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Labels;
using UpperStill.Formats.Results;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Ledger;

/// <summary>A row that is held, with the reason.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Number">The number as it stands in the file.</param>
/// <param name="Code">The code of the finding.</param>
/// <param name="Why">Why it is held.</param>
/// <param name="Raw">The row.</param>
/// <param name="Line">Its line in the file.</param>
/// <param name="File">The file.</param>
public sealed record HeldResult(Guid Id, string Number, string Code, string Why, string Raw, long Line, string File);

/// <summary>What an import does, or has done.</summary>
/// <param name="Rows">Rows in the file.</param>
/// <param name="New">Results that come in.</param>
/// <param name="Already">Rows that are in the record already, or twice in the file.</param>
/// <param name="Held">Rows that are listed for somebody.</param>
/// <param name="Kept">True where it was kept; false where it was only looked at.</param>
/// <param name="Reasons">Why rows are held, and how many.</param>
/// <param name="Shown">The first of them.</param>
/// <param name="Samples">How many samples have new results.</param>
public sealed record ImportAnswer(
    int Rows,
    int New,
    int Already,
    int Held,
    bool Kept,
    IReadOnlyList<HeldReason> Reasons,
    IReadOnlyList<HeldResult> Shown,
    int Samples
);

/// <summary>Rows held for one reason.</summary>
/// <param name="Code">The code of the finding.</param>
/// <param name="Count">How many.</param>
public sealed record HeldReason(string Code, int Count);

/// <summary>Joins rows of results files to samples. What a row becomes follows from the row alone, so that bringing a file again, in any
/// order, changes nothing.</summary>
public sealed class ResultDesk(FieldBook book, LogBook log, Caller caller, TimeProvider clock)
{
    private const int MostShown = 100;
    private const int AtOnce = 2000;
    private const string Device = "results file";

    /// <summary>Joins rows, and keeps what comes of them where that is asked; all of it or nothing.</summary>
    public async Task<ImportAnswer> ImportAsync(IEnumerable<ResultRow> rows, string file, bool keep, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(rows);
        var all = rows.ToList();
        return keep
            ? await log.AloneAsync(book, () => JoinAsync(all, file, true, cancel), cancel)
            : await JoinAsync(all, file, false, cancel);
    }

    /// <summary>Tries again all rows that are held and can be read: their samples may have come since.</summary>
    public async Task<ImportAnswer> AgainAsync(CancellationToken cancel)
    {
        var held = (
            await book
                .HeldResults.AsNoTracking()
                .Where(h => h.Settled == null && h.Result != null)
                .OrderBy(h => h.At)
                .ThenBy(h => h.Line)
                .ToListAsync(cancel)
        ).Where(Mine);
        List<ResultRow> rows =
        [
            .. held.Select(h => new ResultRow(
                h.Line,
                h.Number,
                JsonSerializer.Deserialize(h.Result!, ResultJson.Default.ResultBody),
                h.Raw
            )),
        ];
        return await log.AloneAsync(book, () => JoinAsync(rows, "held rows", true, cancel), cancel);
    }

    /// <summary>The rows that are held, oldest first.</summary>
    public async Task<IReadOnlyList<HeldResult>> HeldAsync(CancellationToken cancel) =>
        [
            .. (
                await book
                    .HeldResults.AsNoTracking()
                    .Where(h => h.Settled == null)
                    .OrderBy(h => h.File)
                    .ThenBy(h => h.Line)
                    .Take(5000)
                    .ToListAsync(cancel)
            )
                .Where(Mine)
                .Select(Show),
        ];

    /// <summary>Settles a held row by hand; false where there is none.</summary>
    public Task<bool> SettleAsync(Guid id, string how, CancellationToken cancel) =>
        log.AloneAsync(
            book,
            async () =>
            {
                if (await book.HeldResults.FirstOrDefaultAsync(h => h.Id == id && h.Settled == null, cancel) is not { } row || !Mine(row))
                {
                    return false;
                }

                row.Settled = $"{how} ({caller.Name})";
                await book.SaveChangesAsync(cancel);
                return true;
            },
            cancel
        );

    // Rows that name no sample belong to whoever reports for the whole group.
    private bool Mine(HeldResultRow row) =>
        row.Water is { } water
            ? caller.May.Reports(water)
            : caller.May.Grants.Any(g => g.Role is Core.Setup.People.Role.Laboratory or Core.Setup.People.Role.Coordinator);

    private async Task<ImportAnswer> JoinAsync(List<ResultRow> rows, string file, bool keep, CancellationToken cancel)
    {
        var now = clock.GetLocalNow();
        List<JoiningResult<ResultRow>> joining = [.. rows.Select(r => new JoiningResult<ResultRow>(r, r.Number, r.Result))];
        foreach (var unread in joining.Where(j => j.Row.Code is not null))
        {
            unread.Hold(unread.Row.Code!, unread.Row.Why!);
        }

        ResultJoin.Match(joining, await KnownAsync(rows, cancel), caller.May.Reports);
        ResultJoin.Settle(
            joining,
            await PresentAsync([.. joining.Where(j => j.Code is null).Select(j => j.Sample!.Visit).Distinct()], cancel)
        );
        var fresh = joining.Where(j => j.Entry is not null).ToList();
        var aside = joining.Where(j => j.Code is not null).ToList();
        List<HeldResult> shown =
        [
            .. aside.DistinctBy(IdOf).OrderBy(j => j.Row.Line).Take(MostShown).Select(j => Show(MakeHeld(j, file, now))),
        ];
        if (keep)
        {
            await KeepAsync([.. fresh.Select(j => MakeEntry(j, now))], aside.Select(j => MakeHeld(j, file, now)), joining, now, cancel);
        }

        return new ImportAnswer(
            rows.Count,
            fresh.Count,
            rows.Count - fresh.Count - aside.Count,
            aside.Count,
            keep,
            [
                .. aside
                    .GroupBy(j => j.Code!)
                    .Select(g => new HeldReason(g.Key, g.Count()))
                    .OrderByDescending(r => r.Count)
                    .ThenBy(r => r.Code, StringComparer.Ordinal),
            ],
            shown,
            fresh.Select(j => j.Sample!.Number).Distinct().Count()
        );
    }

    private async Task<ILookup<string, NamedSample>> KnownAsync(List<ResultRow> rows, CancellationToken cancel)
    {
        List<SampleRow> samples = [];
        foreach (
            var part in rows.Select(r => SampleNumber.Read(r.Number).Number)
                .OfType<string>()
                .Select(SampleNumber.Body)
                .Distinct()
                .Chunk(500)
        )
        {
            samples.AddRange(await book.Samples.AsNoTracking().Where(s => part.Contains(s.Body)).ToListAsync(cancel));
        }

        return samples.ToLookup(
            s => s.Body,
            s => new NamedSample(s.Number, s.Visit, s.Station, s.Water, Enum.Parse<SampleState>(s.State), s.Day)
        );
    }

    private async Task<PresentResults> PresentAsync(List<Guid> visits, CancellationToken cancel)
    {
        HashSet<Guid> ids = [];
        List<ResultBody> standing = [];
        foreach (var part in visits.Chunk(500))
        {
            var entries = (
                await book
                    .Entries.AsNoTracking()
                    .Where(e => part.Contains(e.Visit) && (e.Kind == ResultKinds.Result.Name || e.Strikes != null))
                    .ToListAsync(cancel)
            )
                .Select(e => e.ToEntry())
                .ToList();
            var struck = entries.Select(e => e.Strikes).OfType<Guid>().ToHashSet();
            foreach (var entry in entries.Where(e => e.Kind == ResultKinds.Result.Name))
            {
                ids.Add(entry.Id);
                if (!struck.Contains(entry.Id) && ResultKinds.Result.Read(entry.Body) is { } body)
                {
                    standing.Add(body);
                }
            }
        }

        return new PresentResults(ids, standing.ToLookup(ResultJoin.KeyOf));
    }

    private async Task KeepAsync(
        List<Entry> fresh,
        IEnumerable<HeldResultRow> held,
        List<JoiningResult<ResultRow>> rows,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        book.Entries.AddRange(fresh.Select(e => EntryRow.From(e, new EntryReceipt(now, 0, caller.Name, caller.Person!.Id))));
        var heldIds = (await book.HeldResults.AsNoTracking().Select(h => h.Id).ToListAsync(cancel)).ToHashSet();
        await book.SaveChangesAsync(cancel);
        HashSet<Guid> written = [.. heldIds];

        // Part by part, so that a long file of rows that find nothing does not fill the memory.
        foreach (var part in held.Where(h => written.Add(h.Id)).Chunk(AtOnce))
        {
            book.ChangeTracker.Clear();
            book.HeldResults.AddRange(part);
            await book.SaveChangesAsync(cancel);
        }

        book.ChangeTracker.Clear();

        // What was held and has found its place is settled.
        var joined = rows.Where(j => j.Code is null).Select(IdOf).Where(heldIds.Contains).ToHashSet();
        foreach (var part in joined.Chunk(500))
        {
            await book
                .HeldResults.Where(h => part.Contains(h.Id) && h.Settled == null)
                .ExecuteUpdateAsync(u => u.SetProperty(h => h.Settled, "joined to its sample"), cancel);
        }

        await book.ProjectAsync(fresh.Select(e => e.Visit), cancel);
    }

    private Entry MakeEntry(JoiningResult<ResultRow> joined, DateTimeOffset now) =>
        new(
            joined.Entry!.Value,
            joined.Sample!.Visit,
            ResultKinds.Result.Name,
            ResultKinds.Result.Version,
            JsonSerializer.SerializeToElement(joined.Result! with { Sample = joined.Sample.Number }, ResultJson.Default.ResultBody),
            now,
            caller.Name,
            Device
        )
        {
            Person = caller.Person!.Id,
        };

    private HeldResultRow MakeHeld(JoiningResult<ResultRow> one, string file, DateTimeOffset now) =>
        new()
        {
            Id = IdOf(one),
            Number = one.Number,
            Water = one.Sample?.Water,
            Code = one.Code!,
            Why = one.Why!,
            Result = one.Result is null ? null : JsonSerializer.Serialize(one.Result, ResultJson.Default.ResultBody),
            Raw = one.Row.Raw,
            File = file,
            Line = one.Row.Line,
            By = caller.Name,
            At = now,
        };

    private static Guid IdOf(JoiningResult<ResultRow> one) => ResultJoin.HeldId(one.Result, one.Row.Raw);

    private static HeldResult Show(HeldResultRow row) => new(row.Id, row.Number, row.Code, row.Why, row.Raw, row.Line, row.File);
}
