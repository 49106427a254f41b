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
}

/// <summary>The answer for one delivered entry.</summary>
/// <param name="Delivery">What became of it.</param>
/// <param name="Refusal">Why it was refused.</param>
public sealed record Delivered(Delivery Delivery, Finding? Refusal = null);

/// <summary>Takes entries into the log. One writer at a time; a delivery is committed whole with its projections, or not at all.</summary>
public sealed class LogBook : IDisposable
{
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
            var results = await JudgeAsync(book, entries, may, cancel);
            var kept = entries.Where((_, i) => results[i].Delivery == Delivery.Kept).ToList();
            book.Entries.AddRange(kept.Select(e => EntryRow.From(e, receipt)));
            await book.SaveChangesAsync(cancel);
            await book.ProjectAsync(kept.Select(e => e.Visit), cancel);
            return results;
        }, cancel);
    }

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

    private static async Task<List<Delivered>> JudgeAsync(FieldBook book, IReadOnlyList<Entry> entries, Permissions may, CancellationToken cancel)
    {
        var ids = entries.Select(e => e.Id).Distinct().ToList();
        var known = await book.Entries.AsNoTracking().Where(e => ids.Contains(e.Id)).ToDictionaryAsync(e => e.Id, cancel);
        var reach = await ReachAsync(book, entries, may, cancel);
        List<Delivered> results = [];
        foreach (var entry in entries)
        {
            var refusal = EntryCheck.Refusal(entry) ?? reach.Refusal(entry);
            if (refusal is null && known.TryGetValue(entry.Id, out var row))
            {
                results.Add(row.Says(entry) ? new Delivered(Delivery.Already) : new Delivered(Delivery.Refused, Differs));
                continue;
            }

            results.Add(refusal is null ? new Delivered(Delivery.Kept) : new Delivered(Delivery.Refused, refusal));
            if (refusal is null)
            {
                known[entry.Id] = EntryRow.From(entry, new EntryReceipt(default, 0));
            }
        }

        return results;
    }

    // Which waters the visits are of, as far as they are known: from the log, or from a beginning in this delivery.
    private static async Task<DeliveryReach> ReachAsync(FieldBook book, IReadOnlyList<Entry> entries, Permissions may, CancellationToken cancel)
    {
        var visits = entries.Select(e => e.Visit).Distinct().ToList();
        var struck = entries.Select(e => e.Strikes).OfType<Guid>().Distinct().ToList();
        var reach = new DeliveryReach(may, (await book.Entries.AsNoTracking().Where(e => struck.Contains(e.Id)).Select(e => new { e.Id, e.Kind }).ToListAsync(cancel)).ToDictionary(e => e.Id, e => e.Kind));
        foreach (var place in await book.Visits.AsNoTracking().Where(v => visits.Contains(v.Visit)).Select(v => new { v.Visit, v.Station }).ToListAsync(cancel))
        {
            reach.Place(place.Visit, place.Station, await WaterAsync(place.Station));
        }

        foreach (var start in entries.Where(e => e.Kind == EntryKinds.VisitStarted.Name))
        {
            if (EntryKinds.VisitStarted.Read(start.Body) is not { } body)
            {
                continue;
            }

            if (await UnknownAsync(book, body, cancel) is { } unknown)
            {
                reach.Refuse(start.Visit, unknown);
            }
            else
            {
                reach.Place(start.Visit, body.Station, await WaterAsync(body.Station));
            }
        }

        return reach;

        Task<string?> WaterAsync(string station) => book.Stations.Where(s => s.Code == station).Select(s => s.Water).FirstOrDefaultAsync(cancel);
    }

    private static Finding Differs { get; } = Finding.Stop(
        "entry-differs", "Another entry with this id is in the log and says something else.", "An entry is written once; the one that came first stands.",
        "Strike it with a new entry.") with
    { NoWayRound = true };

    private static async Task<Finding?> UnknownAsync(FieldBook book, VisitStartedBody body, CancellationToken cancel) =>
        !await book.Stations.AnyAsync(s => s.Code == body.Station, cancel)
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
