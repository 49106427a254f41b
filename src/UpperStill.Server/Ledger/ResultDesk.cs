using System.Buffers.Binary;
using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Operations;
using UpperStill.Core.Results;
using UpperStill.Core.Samples;
using UpperStill.Core.Visits;
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
public sealed record ImportAnswer(int Rows, int New, int Already, int Held, bool Kept, IReadOnlyList<HeldReason> Reasons, IReadOnlyList<HeldResult> Shown, int Samples);

/// <summary>Rows held for one reason.</summary>
/// <param name="Code">The code of the finding.</param>
/// <param name="Count">How many.</param>
public sealed record HeldReason(string Code, int Count);

/// <summary>Joins rows of results files to samples. What a row becomes follows from the row alone, so that bringing a file again, in any order, changes nothing.</summary>
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
        var held = (await book.HeldResults.AsNoTracking().Where(h => h.Settled == null && h.Result != null).OrderBy(h => h.At).ThenBy(h => h.Line).ToListAsync(cancel)).Where(Mine);
        List<ResultRow> rows = [.. held.Select(h => new ResultRow(h.Line, h.Number, JsonSerializer.Deserialize(h.Result!, SetupJson.Default.ResultBody), h.Raw))];
        return await log.AloneAsync(book, () => JoinAsync(rows, "held rows", true, cancel), cancel);
    }

    /// <summary>The rows that are held, oldest first.</summary>
    public async Task<IReadOnlyList<HeldResult>> HeldAsync(CancellationToken cancel) =>
        [.. (await book.HeldResults.AsNoTracking().Where(h => h.Settled == null).OrderBy(h => h.File).ThenBy(h => h.Line).Take(5000).ToListAsync(cancel)).Where(Mine).Select(Show)];

    /// <summary>Settles a held row by hand; false where there is none.</summary>
    public Task<bool> SettleAsync(Guid id, string how, CancellationToken cancel) => log.AloneAsync(book, async () =>
    {
        if (await book.HeldResults.FirstOrDefaultAsync(h => h.Id == id && h.Settled == null, cancel) is not { } row || !Mine(row))
        {
            return false;
        }

        row.Settled = $"{how} ({caller.Name})";
        await book.SaveChangesAsync(cancel);
        return true;
    }, cancel);

    // Rows that name no sample belong to whoever reports for the whole group.
    private bool Mine(HeldResultRow row) => row.Water is { } water ? caller.May.Reports(water) : caller.May.Grants.Any(g => g.Role is Core.People.Role.Laboratory or Core.People.Role.Coordinator);

    private async Task<ImportAnswer> JoinAsync(List<ResultRow> rows, string file, bool keep, CancellationToken cancel)
    {
        var now = clock.GetLocalNow();
        var known = await KnownAsync(rows, cancel);
        List<Judged> judged = [.. rows.Select(r => Judge(r, known))];

        // Rows of one file that say different things of one sample are all held: whichever stood first must not win.
        foreach (var clash in judged.Where(j => j.Code is null).GroupBy(j => (j.Sample!.Visit, j.Sample.Number, j.Row.Result!.Analyte)).Where(g => g.Select(j => Said(j.Row.Result!)).Distinct().Count() > 1).ToList())
        {
            foreach (var one in clash)
            {
                one.Hold("result-twice", $"The file has {clash.Select(j => Said(j.Row.Result!)).Distinct().Count()} different results of {one.Row.Result!.Analyte} for this sample.");
            }
        }

        var present = await PresentAsync([.. judged.Where(j => j.Code is null).Select(j => j.Sample!.Visit).Distinct()], cancel);
        Dictionary<Guid, Entry> fresh = [];
        foreach (var one in judged.Where(j => j.Code is null))
        {
            var entry = MakeEntry(one.Row.Result!, one.Sample!, now);
            var others = present.Standing[(one.Sample!.Body, one.Row.Result!.Analyte)].ToList();
            if (present.Ids.Contains(entry.Id) || fresh.ContainsKey(entry.Id))
            {
                continue;
            }

            if (others.Find(o => Said(o) != Said(one.Row.Result!)) is { } other)
            {
                one.Hold("result-twice", $"{one.Row.Number} has another result of {one.Row.Result!.Analyte} already: {other.Value} {other.Unit}.");
            }
            else if (others.Count == 0)
            {
                fresh.Add(entry.Id, entry);
            }
        }

        var aside = judged.Where(j => j.Code is not null).ToList();
        List<HeldResult> shown = [.. aside.DistinctBy(j => HeldId(j.Row)).OrderBy(j => j.Row.Line).Take(MostShown).Select(j => Show(MakeHeld(j, file, now)))];
        if (keep)
        {
            await KeepAsync([.. fresh.Values], aside.Select(j => MakeHeld(j, file, now)), judged, now, cancel);
        }

        return new ImportAnswer(
            rows.Count, fresh.Count, rows.Count - fresh.Count - aside.Count, aside.Count, keep,
            [.. aside.GroupBy(j => j.Code!).Select(g => new HeldReason(g.Key, g.Count())).OrderByDescending(r => r.Count).ThenBy(r => r.Code, StringComparer.Ordinal)],
            shown, fresh.Values.Select(e => e.Body.GetProperty("sample").GetString()).Distinct().Count());
    }

    private async Task<ILookup<string, SampleRow>> KnownAsync(List<ResultRow> rows, CancellationToken cancel)
    {
        List<SampleRow> samples = [];
        foreach (var part in rows.Select(r => SampleNumber.Read(r.Number).Number).OfType<string>().Select(SampleNumber.Body).Distinct().Chunk(500))
        {
            samples.AddRange(await book.Samples.AsNoTracking().Where(s => part.Contains(s.Body)).ToListAsync(cancel));
        }

        return samples.Where(s => s.State is not (nameof(SampleState.Planned) or nameof(SampleState.Labelled))).ToLookup(s => s.Body);
    }

    private Judged Judge(ResultRow row, ILookup<string, SampleRow> known)
    {
        var (number, finding) = SampleNumber.Read(row.Number);
        var samples = number is null ? [] : known[SampleNumber.Body(number)].ToList();
        var judged = new Judged(row, samples.Count == 1 ? samples[0] : null);
        return row.Code is not null ? judged.Hold(row.Code, row.Why!)
            : finding is not null ? judged.Hold(finding.Code, finding.Seen)
            : samples switch
            {
                [] => judged.Hold("result-unmatched", $"{number} matches no sample. It may not have been sent from its boat yet."),
                [_, _, ..] => judged.Hold("result-unmatched", $"{number} matches {samples.Count} samples."),
                [{ State: nameof(SampleState.Rejected) }] => judged.Hold("result-of-rejected", $"{number} was rejected by the laboratory."),
                [{ State: nameof(SampleState.Lost) }] => judged.Hold("result-of-rejected", $"{number} is written down as lost."),
                [{ State: nameof(SampleState.Filtered) }] => judged.Hold("result-unmatched", $"{number} is a bottle whose water was filtered; the filter has another number."),
                _ => caller.May.Reports(samples[0].Water) ? judged : judged.Hold("role-missing", $"Your role does not report for {samples[0].Station}."),
            };
    }

    private async Task<(HashSet<Guid> Ids, ILookup<(string, string), ResultBody> Standing)> PresentAsync(List<Guid> visits, CancellationToken cancel)
    {
        HashSet<Guid> ids = [];
        List<ResultBody> standing = [];
        foreach (var part in visits.Chunk(500))
        {
            var entries = (await book.Entries.AsNoTracking().Where(e => part.Contains(e.Visit) && (e.Kind == EntryKinds.Result.Name || e.Strikes != null)).ToListAsync(cancel)).Select(e => e.ToEntry()).ToList();
            var struck = entries.Select(e => e.Strikes).OfType<Guid>().ToHashSet();
            foreach (var entry in entries.Where(e => e.Kind == EntryKinds.Result.Name))
            {
                ids.Add(entry.Id);
                if (!struck.Contains(entry.Id) && EntryKinds.Result.Read(entry.Body) is { } body)
                {
                    standing.Add(body);
                }
            }
        }

        return (ids, standing.ToLookup(s => (SampleNumber.Body(s.Sample), s.Analyte)));
    }

    private async Task KeepAsync(List<Entry> fresh, IEnumerable<HeldResultRow> held, List<Judged> judged, DateTimeOffset now, CancellationToken cancel)
    {
        book.Entries.AddRange(fresh.Select(e => EntryRow.From(e, new EntryReceipt(now, 0, caller.Person!.UserName))));
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
        var joined = judged.Where(j => j.Code is null).Select(j => HeldId(j.Row)).Where(heldIds.Contains).ToHashSet();
        foreach (var part in joined.Chunk(500))
        {
            await book.HeldResults.Where(h => part.Contains(h.Id) && h.Settled == null).ExecuteUpdateAsync(u => u.SetProperty(h => h.Settled, "joined to its sample"), cancel);
        }

        await book.ProjectAsync(fresh.Select(e => e.Visit), cancel);
    }

    private Entry MakeEntry(ResultBody result, SampleRow sample, DateTimeOffset now)
    {
        var body = result with { Sample = sample.Number };
        var at = result.On is { } on ? new DateTimeOffset(on.ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero) : new DateTimeOffset(sample.Day.ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero);
        return new Entry(
            Id(at, sample.Visit.ToString(), body.Sample, body.Analyte, Said(body), body.Method, body.On?.ToString("O", CultureInfo.InvariantCulture)), sample.Visit, EntryKinds.Result.Name, EntryKinds.Result.Version,
            JsonSerializer.SerializeToElement(body, SetupJson.Default.ResultBody), now, caller.Name, Device);
    }

    private HeldResultRow MakeHeld(Judged one, string file, DateTimeOffset now) => new()
    {
        Id = HeldId(one.Row),
        Number = one.Row.Number,
        Water = one.Sample?.Water,
        Code = one.Code!,
        Why = one.Why!,
        Result = one.Row.Result is null ? null : JsonSerializer.Serialize(one.Row.Result, SetupJson.Default.ResultBody),
        Raw = one.Row.Raw,
        File = file,
        Line = one.Row.Line,
        By = caller.Name,
        At = now,
    };

    private static Guid HeldId(ResultRow row) => row.Result is { } result
        ? Id(DateTimeOffset.UnixEpoch, result.Sample, result.Analyte, Said(result), result.Method, result.On?.ToString("O", CultureInfo.InvariantCulture))
        : Id(DateTimeOffset.UnixEpoch, row.Raw);

    // What a result says, apart from where and when it was written down.
    private static string Said(ResultBody result) => $"{result.Qualifier} {result.Value.Replace(',', '.')} {result.Unit} {result.DetectionLimit}";

    // A UUID of version 7 (RFC 9562) that follows from what is said.
    private static Guid Id(DateTimeOffset at, params string?[] said)
    {
        Span<byte> bytes = stackalloc byte[32];
        SHA256.HashData(Encoding.UTF8.GetBytes(string.Join('\n', said)), bytes);
        Span<byte> id = stackalloc byte[16];
        BinaryPrimitives.WriteUInt64BigEndian(id, (ulong)at.ToUnixTimeMilliseconds() << 16);
        bytes[..10].CopyTo(id[6..]);
        id[6] = (byte)(0x70 | (id[6] & 0x0F));
        id[8] = (byte)(0x80 | (id[8] & 0x3F));
        return new Guid(id, bigEndian: true);
    }

    private static HeldResult Show(HeldResultRow row) => new(row.Id, row.Number, row.Code, row.Why, row.Raw, row.Line, row.File);

    /// <summary>A row and the sample it names; held, with a reason, where it cannot join it.</summary>
    private sealed class Judged(ResultRow row, SampleRow? sample)
    {
        internal ResultRow Row => row;

        internal SampleRow? Sample => sample;

        internal string? Code { get; private set; }

        internal string? Why { get; private set; }

        internal Judged Hold(string code, string why)
        {
            (Code, Why) = (code, why);
            return this;
        }
    }
}
