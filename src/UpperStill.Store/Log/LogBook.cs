using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Findings;
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
    private readonly ContextMemory memory = new();

    /// <inheritdoc/>
    public void Dispose() => writer.Dispose();

    /// <summary>Keeps what can be kept and refuses the rest one by one. Delivering again is harmless.</summary>
    /// <param name="book">The database.</param>
    /// <param name="entries">The entries, in any order.</param>
    /// <param name="receipt">The server's note on this delivery.</param>
    /// <param name="who">Who delivers.</param>
    /// <param name="cancel">Cancels before the commit.</param>
    public async Task<IReadOnlyList<Delivered>> DeliverAsync(FieldBook book, IReadOnlyList<Entry> entries, EntryReceipt receipt, Deliverer who, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(entries);
        ArgumentNullException.ThrowIfNull(who);
        return entries.Count == 0 ? [] : await WholeAsync(book, async () =>
        {
            var results = await JudgeAsync(book, entries, receipt, who, cancel);
            await WriteAsync(book, entries, results, receipt, cancel);
            await NoteAsync(book, entries, results, receipt, who, cancel);
            return results;
        }, cancel);
    }

    // All at once; should that fail, visit by visit, and of the visit that fails entry by entry, so that one bad entry is one bad entry.
    private async Task WriteAsync(FieldBook book, IReadOnlyList<Entry> entries, Delivered[] results, EntryReceipt receipt, CancellationToken cancel)
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
                await book.ProjectAsync(part.Select(i => entries[i].Visit), cancel, memory);
                await book.Database.CurrentTransaction.ReleaseSavepointAsync(Part, cancel);
                return null;
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                await book.Database.CurrentTransaction.RollbackToSavepointAsync(Part, cancel);
                book.ChangeTracker.Clear();
                memory.Forget();
                return e;
            }
        }
    }

    // What somebody brought in for others stands in the record of changes, too.
    private static async Task NoteAsync(FieldBook book, IReadOnlyList<Entry> entries, Delivered[] results, EntryReceipt receipt, Deliverer who, CancellationToken cancel)
    {
        var brought = entries.Where((e, i) => results[i].Delivery == Delivery.Kept && !who.Made(e)).GroupBy(e => e.Visit).ToList();
        foreach (var visit in brought)
        {
            var of = string.Join(" and ", visit.Select(e => e.By).Distinct());
            book.Note(who.Is!.Names[0], receipt.At, "brought-in", visit.Key.ToString(), null, $"{visit.Count()} entries of {of}, from a saved file");
        }

        if (brought.Count > 0)
        {
            await book.SaveChangesAsync(cancel);
        }
    }

    private static Finding Unworkable(Exception fault) => Finding.Stop(
        "entry-unworkable", $"With this entry the visit could not be worked out: {(fault.InnerException ?? fault).Message}", "That is a fault of Upper Still, not of the reading; the other entries were kept.",
        "It stays on the device. Tell whoever runs this instance.") with
    { NoWayRound = true };

    /// <summary>Does something that the projections rest on while nobody else writes; all of it or nothing.</summary>
    public Task<T> AloneAsync<T>(FieldBook book, Func<Task<T>> work, CancellationToken cancel) => WholeAsync(book, async () =>
    {
        ArgumentNullException.ThrowIfNull(work);
        memory.Forget();
        return await work();
    }, cancel);

    /// <summary>Does something to the whole database while nobody writes, without a transaction around it.</summary>
    public async Task<T> UntouchedAsync<T>(Func<Task<T>> work, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(work);
        await writer.WaitAsync(cancel);
        try
        {
            memory.Forget();
            return await work();
        }
        finally
        {
            writer.Release();
        }
    }

    private async Task<T> WholeAsync<T>(FieldBook book, Func<Task<T>> work, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        await writer.WaitAsync(cancel);
        try
        {
            await using var transaction = await book.Database.BeginTransactionAsync(cancel);
            var result = await work();
            await transaction.CommitAsync(cancel);
            return result;
        }
        catch
        {
            // What was read meanwhile is taken back with it.
            memory.Forget();
            throw;
        }
        finally
        {
            book.ChangeTracker.Clear();
            writer.Release();
        }
    }

    // Beginnings first, then whatever strikes nothing that is still to come, until nothing more can be judged.
    private static async Task<Delivered[]> JudgeAsync(FieldBook book, IReadOnlyList<Entry> entries, EntryReceipt receipt, Deliverer who, CancellationToken cancel)
    {
        var ids = entries.Select(e => e.Id).Distinct().ToList();
        var known = await book.Entries.AsNoTracking().Where(e => ids.Contains(e.Id)).ToDictionaryAsync(e => e.Id, cancel);
        var reach = await ReachAsync(book, entries, receipt, who, cancel);
        var named = entries.Select(Names).OfType<string>().Distinct().ToList();
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
        else if (refusal is null && entry.Kind == EntryKinds.VisitMoved.Name && Names(entry) is { } station)
        {
            refusal = stations.TryGetValue(station, out var water) ? reach.Moves(entry, station, water) : UnknownStation(station);
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
        reach.Know(entry.Id, Known(entry));
        return new Delivered(Delivery.Kept);
    }

    private static KnownEntry Known(Entry entry) => new(entry.Visit, entry.Kind, entry.Strikes, EntryKinds.About(entry.Kind, entry.Body));

    // The station that a beginning or a move names.
    private static string? Names(Entry entry) =>
        entry.Kind == EntryKinds.VisitStarted.Name ? EntryKinds.VisitStarted.Read(entry.Body)?.Station
        : entry.Kind == EntryKinds.VisitMoved.Name ? EntryKinds.VisitMoved.Read(entry.Body)?.Station : null;

    // What the log says of these visits, and of the entries that are struck.
    private static async Task<DeliveryReach> ReachAsync(FieldBook book, IReadOnlyList<Entry> entries, EntryReceipt receipt, Deliverer who, CancellationToken cancel)
    {
        var visits = entries.Select(e => e.Visit).Distinct().ToList();
        var struck = entries.Select(e => e.Strikes).OfType<Guid>().Distinct().ToList();
        var reach = new DeliveryReach(who);
        var places = await book.Visits.AsNoTracking().Where(v => visits.Contains(v.Visit)).ToDictionaryAsync(v => v.Visit, v => v.Station, cancel);
        Dictionary<Guid, List<Entry>> placed = [];
        HashSet<Guid> own = [];
        HashSet<Guid> others = [];
        foreach (var row in await book.Entries.AsNoTracking().Where(e => visits.Contains(e.Visit) || struck.Contains(e.Id)).OrderBy(e => e.Sequence)
            .Select(e => new { e.Id, e.Visit, e.Kind, e.Strikes, e.By, e.DeliveredBy, e.DeliveredById }).ToListAsync(cancel))
        {
            reach.Know(row.Id, new KnownEntry(row.Visit, row.Kind, row.Strikes, []));
            // What came before people had ids says by name whose it is.
            var mine = row.DeliveredById is { } by ? by == receipt.DeliveredById : who.Is is null ? row.DeliveredBy == receipt.DeliveredBy : who.IsCalled(row.By);
            (mine ? own : others).Add(row.Visit);
        }

        // Of beginnings, moves, and what is struck or speaks of others, the words count, too.
        string[] read = [EntryKinds.VisitStarted.Name, EntryKinds.VisitMoved.Name, EntryKinds.Kept.Name];
        foreach (var row in await book.Entries.AsNoTracking().Where(e => visits.Contains(e.Visit) && (read.Contains(e.Kind) || e.Strikes != null)).OrderBy(e => e.Sequence).ToListAsync(cancel))
        {
            var entry = row.ToEntry();
            reach.Know(row.Id, Known(entry));
            (placed.TryGetValue(row.Visit, out var of) ? of : placed[row.Visit] = []).Add(entry);
        }

        var named = placed.Values.SelectMany(p => p).Select(Names).Concat(places.Values).OfType<string>().Distinct().ToList();
        var waters = await book.Stations.Where(s => named.Contains(s.Code)).ToDictionaryAsync(s => s.Code, s => s.Water, cancel);
        foreach (var (visit, of) in placed)
        {
            var lies = VisitPlace.Of(new VisitPlaceRequest(of));

            // What the projection says counts before it: an older log may hold beginnings at two stations.
            if (places.GetValueOrDefault(visit, lies.Station!) is { } station)
            {
                reach.Place(visit, station, waters.GetValueOrDefault(station));
            }

            foreach (var one in of)
            {
                if (Names(one) is { } at)
                {
                    reach.Was(visit, at, waters.GetValueOrDefault(at), begun: one.Kind == EntryKinds.VisitStarted.Name);
                }
            }

            if (lies.Begun is not null && lies.Station != lies.Begun)
            {
                reach.Moved(visit, lies.Station!, waters.GetValueOrDefault(lies.Station!));
            }
        }

        foreach (var visit in others.Except(own).Where(v => !reach.Lies(v)))
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
            ? UnknownStation(body.Station)
            : await book.ProgrammeAsync(body.Programme, body.ProgrammeVersion, cancel) is null
                ? Finding.Stop(
                    "programme-unknown", $"No programme “{body.Programme}” version {body.ProgrammeVersion} is known here.", "The rules of the visit would be guessed.",
                    "Ask the coordinator; until then the visit stays on the device.") with
                { NoWayRound = true }
                : null;

    private static Finding UnknownStation(string station) => Finding.Stop(
        "station-unknown", $"No station “{station}” is known here.", "A reading without a place cannot join a record.",
        "Choose the station, or ask the coordinator to add it; until then the visit stays on the device.") with
    { NoWayRound = true };
}
