using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Findings;
using UpperStill.Core.People;
using UpperStill.Core.Visits;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Log;

/// <summary>What became of an entry that was delivered.</summary>
public enum Delivery
{
    /// <summary>It is now in the log.</summary>
    Kept,

    /// <summary>It was there already, word for word.</summary>
    Already,

    /// <summary>It cannot be kept; the finding says why.</summary>
    Refused,

    /// <summary>It strikes an entry that has not come yet, and is judged when that comes; until then it is not in the log.</summary>
    Waits,
}

/// <summary>The answer for one delivered entry.</summary>
/// <param name="Delivery">What became of it.</param>
/// <param name="Refusal">Why it was refused, or what it waits for.</param>
public sealed record Delivered(Delivery Delivery, Finding? Refusal = null);

/// <summary>Takes entries into the log. One writer at a time; a delivery is committed whole with its projections, or not at all.</summary>
public sealed class LogBook : IDisposable
{
    private const string Part = "part";

    private readonly SemaphoreSlim writer = new(1, 1);

    /// <inheritdoc/>
    public void Dispose() => writer.Dispose();

    /// <summary>Keeps what can be kept and refuses the rest one by one. Delivering again is harmless.</summary>
    /// <param name="book">The database.</param>
    /// <param name="entries">The entries, in any order.</param>
    /// <param name="receipt">The server's note on this delivery.</param>
    /// <param name="may">What the person who delivers may do.</param>
    /// <param name="cancel">Cancels before the commit.</param>
    public async Task<IReadOnlyList<Delivered>> DeliverAsync(FieldBook book, IReadOnlyList<Entry> entries, EntryReceipt receipt, Permissions may, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(entries);
        ArgumentNullException.ThrowIfNull(may);
        return await AloneAsync(book, async () =>
        {
            var results = await JudgeAsync(book, entries, receipt, may, cancel);
            await WriteAsync(book, entries, results, receipt, cancel);
            return results;
        }, cancel);
    }

    // All at once; should that fail, visit by visit, and of the visit that fails entry by entry, so that one bad entry is one bad entry.
    private static async Task WriteAsync(FieldBook book, IReadOnlyList<Entry> entries, Delivered[] results, EntryReceipt receipt, CancellationToken cancel)
    {
        var kept = Enumerable.Range(0, entries.Count).Where(i => results[i].Delivery == Delivery.Kept).ToList();
        if (kept.Count == 0 || await TryAsync(kept) is null)
        {
            return;
        }

        foreach (var visit in kept.GroupBy(i => entries[i].Visit).Select(g => g.ToList()))
        {
            if (await TryAsync(visit) is null)
            {
                continue;
            }

            foreach (var one in visit)
            {
                if (await TryAsync([one]) is { } fault)
                {
                    results[one] = new Delivered(Delivery.Refused, Unworkable(fault));
                }
            }
        }

        async Task<Exception?> TryAsync(List<int> part)
        {
            await book.Database.CurrentTransaction!.CreateSavepointAsync(Part, cancel);
            try
            {
                book.Entries.AddRange(part.Select(i => EntryRow.From(entries[i], receipt)));
                await book.SaveChangesAsync(cancel);
                await book.ProjectAsync(part.Select(i => entries[i].Visit), cancel);
                await book.Database.CurrentTransaction.ReleaseSavepointAsync(Part, cancel);
                return null;
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                await book.Database.CurrentTransaction.RollbackToSavepointAsync(Part, cancel);
                book.ChangeTracker.Clear();
                return e;
            }
        }
    }

    private static Finding Unworkable(Exception fault) => Finding.Stop(
        "entry-unworkable", $"With this entry the visit could not be worked out: {(fault.InnerException ?? fault).Message}", "That is a fault of Upper Still, not of the reading; the other entries were kept.",
        "It stays on the device. Tell whoever runs this instance.") with
    { NoWayRound = true };

    /// <summary>Does something that the projections rest on while nobody else writes; all of it or nothing.</summary>
    public async Task<T> AloneAsync<T>(FieldBook book, Func<Task<T>> work, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(work);
        await writer.WaitAsync(cancel);
        try
        {
            await using var transaction = await book.Database.BeginTransactionAsync(cancel);
            var result = await work();
            await transaction.CommitAsync(cancel);
            return result;
        }
        finally
        {
            book.ChangeTracker.Clear();
            writer.Release();
        }
    }

    /// <summary>Does something to the whole database while nobody writes, without a transaction around it.</summary>
    public async Task<T> UntouchedAsync<T>(Func<Task<T>> work, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(work);
        await writer.WaitAsync(cancel);
        try
        {
            return await work();
        }
        finally
        {
            writer.Release();
        }
    }

    // Beginnings first, then whatever strikes nothing that is still to come, until nothing more can be judged.
    private static async Task<Delivered[]> JudgeAsync(FieldBook book, IReadOnlyList<Entry> entries, EntryReceipt receipt, Permissions may, CancellationToken cancel)
    {
        var ids = entries.Select(e => e.Id).Distinct().ToList();
        var known = await book.Entries.AsNoTracking().Where(e => ids.Contains(e.Id)).ToDictionaryAsync(e => e.Id, cancel);
        var reach = await ReachAsync(book, entries, receipt, may, cancel);
        var named = entries.Where(e => e.Kind == EntryKinds.VisitStarted.Name).Select(e => EntryKinds.VisitStarted.Read(e.Body)?.Station).OfType<string>().Distinct().ToList();
        var stations = await book.Stations.Where(s => named.Contains(s.Code)).ToDictionaryAsync(s => s.Code, s => s.Water, cancel);
        var results = new Delivered[entries.Count];
        var open = Enumerable.Range(0, entries.Count).OrderBy(i => entries[i].Kind != EntryKinds.VisitStarted.Name).ToList();
        for (var before = -1; open.Count != before;)
        {
            before = open.Count;
            List<int> later = [];
            foreach (var i in open)
            {
                if (!known.ContainsKey(entries[i].Id) && EntryCheck.Refusal(entries[i]) is null && reach.Waits(entries[i]))
                {
                    later.Add(i);
                    continue;
                }

                results[i] = await JudgeAsync(book, entries[i], known, stations, reach, cancel);
            }

            open = later;
        }

        foreach (var i in open)
        {
            results[i] = new Delivered(Delivery.Waits, NotYet);
        }

        return results;
    }

    private static async Task<Delivered> JudgeAsync(FieldBook book, Entry entry, Dictionary<Guid, EntryRow> known, Dictionary<string, string> stations, DeliveryReach reach, CancellationToken cancel)
    {
        if (known.TryGetValue(entry.Id, out var row))
        {
            return row.Says(entry) ? new Delivered(Delivery.Already) : new Delivered(Delivery.Refused, Differs);
        }

        var refusal = EntryCheck.Refusal(entry);
        if (refusal is null && entry.Kind == EntryKinds.VisitStarted.Name && EntryKinds.VisitStarted.Read(entry.Body) is { } start)
        {
            refusal = await UnknownAsync(book, start, stations, cancel) ?? reach.Begins(entry, start.Station, stations.GetValueOrDefault(start.Station));
            if (refusal is not null)
            {
                reach.NotBegun(entry.Visit, refusal);
            }
        }
        else
        {
            refusal ??= reach.Refusal(entry);
        }

        if (refusal is not null)
        {
            return new Delivered(Delivery.Refused, refusal);
        }

        known[entry.Id] = EntryRow.From(entry, new EntryReceipt(default, 0));
        reach.Know(entry.Id, new KnownEntry(entry.Visit, entry.Kind, entry.Strikes, EntryKinds.About(entry.Kind, entry.Body)));
        return new Delivered(Delivery.Kept);
    }

    // What the log says of these visits, and of the entries that are struck.
    private static async Task<DeliveryReach> ReachAsync(FieldBook book, IReadOnlyList<Entry> entries, EntryReceipt receipt, Permissions may, CancellationToken cancel)
    {
        var visits = entries.Select(e => e.Visit).Distinct().ToList();
        var struck = entries.Select(e => e.Strikes).OfType<Guid>().Distinct().ToList();
        var reach = new DeliveryReach(may);
        var places = await book.Visits.AsNoTracking().Where(v => visits.Contains(v.Visit)).ToDictionaryAsync(v => v.Visit, v => v.Station, cancel);
        HashSet<Guid> begun = [];
        HashSet<Guid> own = [];
        HashSet<Guid> others = [];
        foreach (var row in await book.Entries.AsNoTracking().Where(e => visits.Contains(e.Visit) || struck.Contains(e.Id)).OrderBy(e => e.Sequence)
            .Select(e => new { e.Id, e.Visit, e.Kind, e.Strikes, e.DeliveredBy, Body = e.Kind == EntryKinds.Kept.Name || e.Kind == EntryKinds.VisitStarted.Name ? e.Body : null }).ToListAsync(cancel))
        {
            using var body = row.Body is null ? null : JsonDocument.Parse(row.Body);
            reach.Know(row.Id, new KnownEntry(row.Visit, row.Kind, row.Strikes, body is null ? [] : EntryKinds.About(row.Kind, body.RootElement)));
            (row.DeliveredBy == receipt.DeliveredBy ? own : others).Add(row.Visit);
            if (row.Kind == EntryKinds.VisitStarted.Name && body is not null && EntryKinds.VisitStarted.Read(body.RootElement) is { } start && begun.Add(row.Visit))
            {
                // What the projection says counts before it: an older log may hold beginnings at two stations.
                var station = places.GetValueOrDefault(row.Visit, start.Station);
                reach.Place(row.Visit, station, await book.Stations.Where(s => s.Code == station).Select(s => s.Water).FirstOrDefaultAsync(cancel));
            }
        }

        foreach (var visit in others.Except(own).Except(begun))
        {
            reach.OfOthers(visit);
        }

        return reach;
    }

    private static Finding NotYet { get; } = Finding.Note(
        "strike-waits", "It strikes an entry that is not here yet.", "Whether it may be struck is judged by what it is.", "It is sent again by itself, once the other has come.");

    private static Finding Differs { get; } = Finding.Stop(
        "entry-differs", "Another entry with this id is in the log and says something else.", "An entry is written once; the one that came first stands.",
        "Strike it with a new entry.") with
    { NoWayRound = true };

    private static async Task<Finding?> UnknownAsync(FieldBook book, VisitStartedBody body, Dictionary<string, string> stations, CancellationToken cancel) =>
        !stations.ContainsKey(body.Station)
            ? Finding.Stop(
                "station-unknown", $"No station “{body.Station}” is known here.", "A reading without a place cannot join a record.",
                "Choose the station, or ask the coordinator to add it; until then the visit stays on the device.") with
            { NoWayRound = true }
            : await book.ProgrammeAsync(body.Programme, body.ProgrammeVersion, cancel) is null
                ? Finding.Stop(
                    "programme-unknown", $"No programme “{body.Programme}” version {body.ProgrammeVersion} is known here.", "The rules of the visit would be guessed.",
                    "Ask the coordinator; until then the visit stays on the device.") with
                { NoWayRound = true }
                : null;
}
