using System.Diagnostics;
using System.Diagnostics.Metrics;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
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
/// <param name="meters">Counts for whoever watches; null where nobody does.</param>
public sealed class LogBook(IMeterFactory? meters = null) : IDisposable
{
    private const string Part = "part";

    private readonly SemaphoreSlim writer = new(1, 1);
    private readonly DeliveryQueue queue = new();
    private readonly ContextMemory memory = new();
    private readonly NewestVisits newest = new();
    private readonly LogMeter meter = new(meters);

    /// <inheritdoc/>
    public void Dispose()
    {
        meter.Dispose();
        writer.Dispose();
    }

    /// <summary>Keeps what can be kept and refuses the rest one by one. Delivering again is harmless.</summary>
    /// <param name="book">The database.</param>
    /// <param name="entries">The entries, in any order.</param>
    /// <param name="receipt">The server's note on this delivery.</param>
    /// <param name="who">Who delivers.</param>
    /// <param name="cancel">Gives up before its turn has come.</param>
    public async Task<IReadOnlyList<Delivered>> DeliverAsync(
        FieldBook book,
        IReadOnlyList<Entry> entries,
        EntryReceipt receipt,
        Deliverer who,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(entries);
        ArgumentNullException.ThrowIfNull(who);
        if (entries.Count == 0)
        {
            return [];
        }

        var mine = new WaitingDelivery(entries, receipt, who, cancel);
        queue.Join(mine);
        await writer.WaitAsync(cancel);
        try
        {
            // It may have been written together with one that came before it.
            if (mine.Answers is null)
            {
                cancel.ThrowIfCancellationRequested();
                await TogetherAsync(book, queue.With(mine));
            }
        }
        finally
        {
            writer.Release();
        }

        return mine.Answers!;
    }

    // From here on nobody gives up: the others of the group would lose their turn with it.
    private async Task TogetherAsync(FieldBook book, List<WaitingDelivery> group)
    {
        try
        {
            var began = Stopwatch.GetTimestamp();
            var answers = await WholeAsync(book, () => WriteAsync(book, group, CancellationToken.None), CancellationToken.None);
            meter.Wrote(answers, Stopwatch.GetElapsedTime(began));
            for (var i = 0; i < group.Count; i++)
            {
                group[i].Answers = answers[i];
            }
        }
        catch (Exception e) when (group.Count > 1 && StorageFaults.Of(e) is null)
        {
            // Whose fault it is shows where each is written by itself: the others do it in their turn.
            await TogetherAsync(book, [group[0]]);
        }
    }

    private async Task<Delivered[][]> WriteAsync(FieldBook book, List<WaitingDelivery> group, CancellationToken cancel)
    {
        var view = await LogView.ReadAsync(book, [.. group.SelectMany(d => d.Entries)], newest, cancel);
        var answers = group.Select(d => DeliveryJudge.Judge(view, d)).ToArray();
        var kept = group
            .SelectMany((d, g) => d.Entries.Select((entry, i) => new Kept(entry, d.Receipt, g, i)))
            .Where(k => answers[k.Delivery][k.Index].Delivery == Delivery.Kept)
            .ToList();
        foreach (var (one, fault) in await WriteAsync(book, view, kept, cancel))
        {
            answers[one.Delivery][one.Index] = new Delivered(Delivery.Refused, Unworkable(fault));
        }

        for (var i = 0; i < group.Count; i++)
        {
            await NoteAsync(book, group[i], answers[i], cancel);
        }

        foreach (var visit in group.SelectMany(d => d.Visits))
        {
            newest.Keep(visit, view.OfVisit(visit));
        }

        return answers;
    }

    // An entry that was judged good, and its place among the deliveries.
    private sealed record Kept(Entry Entry, EntryReceipt Receipt, int Delivery, int Index);

    // All at once; should that fail, visit by visit, and of the visit that fails entry by entry, so that one bad entry is one bad entry.
    // A full or failing disk is no entry's fault: then nothing is written, and all come again.
    private async Task<List<(Kept Entry, Exception Fault)>> WriteAsync(
        FieldBook book,
        LogView view,
        List<Kept> kept,
        CancellationToken cancel
    )
    {
        List<(Kept, Exception)> faults = [];
        if (kept.Count == 0 || await TryAsync(kept) is null)
        {
            return faults;
        }

        foreach (var visit in kept.GroupBy(k => k.Entry.Visit).Select(g => g.ToList()))
        {
            if (await TryAsync(visit) is null)
            {
                continue;
            }

            foreach (var one in visit)
            {
                if (await TryAsync([one]) is { } fault)
                {
                    faults.Add((one, fault));
                }
            }
        }

        return faults;

        async Task<Exception?> TryAsync(List<Kept> part)
        {
            await book.Database.CurrentTransaction!.CreateSavepointAsync(Part, cancel);
            try
            {
                var rows = part.Select(k => EntryRow.From(k.Entry, k.Receipt)).ToList();
                book.Entries.AddRange(rows);
                await book.SaveChangesAsync(cancel);
                await book.ProjectAsync(view.With(rows), memory, cancel);
                await book.Database.CurrentTransaction.ReleaseSavepointAsync(Part, cancel);
                view.Add(rows);
                return null;
            }
            catch (Exception e) when (e is not OperationCanceledException && StorageFaults.Of(e) is null)
            {
                await book.Database.CurrentTransaction.RollbackToSavepointAsync(Part, cancel);
                book.ChangeTracker.Clear();
                memory.Forget();
                return e;
            }
        }
    }

    // What somebody brought in for others stands in the record of changes, too.
    private static async Task NoteAsync(FieldBook book, WaitingDelivery delivery, Delivered[] answers, CancellationToken cancel)
    {
        var brought = delivery
            .Entries.Where((e, i) => answers[i].Delivery == Delivery.Kept && !delivery.Who.Made(e))
            .GroupBy(e => e.Visit)
            .ToList();
        foreach (var visit in brought)
        {
            var of = string.Join(" and ", visit.Select(e => e.By).Distinct());
            book.Note(
                delivery.Who.Is!.Names[0],
                delivery.Receipt.At,
                "brought-in",
                visit.Key.ToString(),
                null,
                $"{visit.Count()} entries of {of}, from a saved file"
            );
        }

        if (brought.Count > 0)
        {
            await book.SaveChangesAsync(cancel);
        }
    }

    private static Finding Unworkable(Exception fault) =>
        Finding.Stop(
            "entry-unworkable",
            $"With this entry the visit could not be worked out: {(fault.InnerException ?? fault).Message}",
            "That is a fault of Upper Still, not of the reading; the other entries were kept.",
            "It stays on the device. Tell whoever runs this instance."
        ) with
        {
            NoWayRound = true,
        };

    /// <summary>Does something that the projections rest on while nobody else writes; all of it or nothing.</summary>
    public Task<T> AloneAsync<T>(FieldBook book, Func<Task<T>> work, CancellationToken cancel) =>
        UntouchedAsync(() => WholeAsync(book, work, cancel), cancel);

    /// <summary>Does something to the whole database while nobody writes, without a transaction around it.</summary>
    public async Task<T> UntouchedAsync<T>(Func<Task<T>> work, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(work);
        await writer.WaitAsync(cancel);
        try
        {
            Forget();
            return await work();
        }
        finally
        {
            writer.Release();
        }
    }

    private void Forget()
    {
        memory.Forget();
        newest.Forget();
    }

    private async Task<T> WholeAsync<T>(FieldBook book, Func<Task<T>> work, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
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
            Forget();
            throw;
        }
        finally
        {
            book.ChangeTracker.Clear();
        }
    }
}
