using Microsoft.EntityFrameworkCore;
using UpperStill.Store.Log;

namespace UpperStill.Store.Projections;

/// <summary>
/// Long imports in two steps: all entries at once into the log, or none; then what they say, some visits at a time, so that the
/// deliveries of boats come between. What was cut off in the second step is taken up again after the next start.
/// </summary>
public static class WaitingVisits
{
    /// <summary>So many are worked out in one turn of the writer: about a tenth of a second.</summary>
    public const int AtOnce = 50;

    /// <summary>How many visits are still to be worked out.</summary>
    public static Task<int> WaitingAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        return book.Waiting.CountAsync(cancel);
    }

    /// <summary>Keeps the entries of an import whole, or none of them; many visits are left to be worked out afterwards.</summary>
    /// <param name="log">The log.</param>
    /// <param name="book">The book.</param>
    /// <param name="rows">The entries, in their order.</param>
    /// <param name="visits">The visits that they speak of, with their station and day.</param>
    /// <param name="cancel">Gives up, with nothing kept.</param>
    public static Task BringInAsync(
        this LogBook log,
        FieldBook book,
        IReadOnlyCollection<EntryRow> rows,
        IReadOnlyCollection<(Guid Visit, string Station, DateOnly Day)> visits,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(log);
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(visits);
        return log.AloneAsync(
            book,
            async () =>
            {
                await book.AppendAsync(rows, cancel);
                if (visits.Count <= AtOnce)
                {
                    await book.ProjectAsync(visits.Select(v => v.Visit), cancel);
                    return 0;
                }

                // With them come all later ones of their stations.
                List<(Guid Visit, string Station, DateOnly Day)> all = [.. visits];
                foreach (var station in visits.GroupBy(v => v.Station))
                {
                    var first = station.Min(v => v.Day);
                    all.AddRange(
                        (
                            await book
                                .Visits.Where(v => v.Station == station.Key && v.Day >= first)
                                .Select(v => new { v.Visit, v.Day })
                                .ToListAsync(cancel)
                        ).Select(v => (v.Visit, station.Key, v.Day))
                    );
                }

                await WaitAsync(book, all, cancel);
                return all.Count;
            },
            cancel
        );
    }

    /// <summary>Works out the next of them, of one station, in one turn of the writer.</summary>
    /// <returns>How many are left.</returns>
    public static Task<int> WorkOutSomeAsync(this LogBook log, FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(log);
        ArgumentNullException.ThrowIfNull(book);
        return log.AloneAsync(
            book,
            async () =>
            {
                var station = await book.Waiting.OrderBy(w => w.Station).Select(w => w.Station).FirstOrDefaultAsync(cancel);
                var next = await book
                    .Waiting.AsNoTracking()
                    .Where(w => w.Station == station)
                    .OrderBy(w => w.Day)
                    .ThenBy(w => w.Visit)
                    .Take(AtOnce)
                    .ToListAsync(cancel);
                if (next.Count > 0)
                {
                    await book.ProjectWaitingAsync([.. next.Select(w => w.Visit)], cancel);
                    await book.Waiting.Where(w => next.Select(n => n.Visit).Contains(w.Visit)).ExecuteDeleteAsync(cancel);
                    if (!await book.Waiting.AnyAsync(w => w.Station == station, cancel))
                    {
                        // What a boat sent meanwhile was judged by what stood then.
                        var since = next.Max(w => w.Since);
                        await WaitAsync(
                            book,
                            [
                                .. (
                                    await book
                                        .Visits.Where(v => v.Station == station && v.LastSequence > since)
                                        .Select(v => new { v.Visit, v.Day })
                                        .ToListAsync(cancel)
                                ).Select(v => (v.Visit, station!, v.Day)),
                            ],
                            cancel
                        );
                    }
                }

                return await book.Waiting.CountAsync(cancel);
            },
            cancel
        );
    }

    private static async Task WaitAsync(
        FieldBook book,
        IReadOnlyCollection<(Guid Visit, string Station, DateOnly Day)> visits,
        CancellationToken cancel
    )
    {
        var since = await book.Entries.MaxAsync(e => e.Sequence, cancel);
        var there = await book.Waiting.Select(w => w.Visit).ToHashSetAsync(cancel);
        await book.InsertAsync(
            visits
                .DistinctBy(v => v.Visit)
                .Where(v => !there.Contains(v.Visit))
                .Select(v => new WaitingVisitRow
                {
                    Visit = v.Visit,
                    Station = v.Station,
                    Day = v.Day,
                    Since = since,
                }),
            cancel
        );
    }
}
