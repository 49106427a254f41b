using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Caching.Memory;
using UpperStill.Server.People;
using UpperStill.Store;

namespace UpperStill.Server.Record;

/// <summary>Pages over all stations that were put together last, kept until anything in the record or its set-up changes.</summary>
public sealed class WholePages : IDisposable
{
    // Of two thousand stations a page is some megabytes.
    private const int MostKept = 4;

    private readonly MemoryCache kept = new(new MemoryCacheOptions { SizeLimit = MostKept });

    /// <summary>The page as it was kept, or put together anew.</summary>
    /// <param name="book">The book.</param>
    /// <param name="caller">Who asks: people who see the same waters see the same page.</param>
    /// <param name="asked">What of it: year, unit, subject.</param>
    /// <param name="work">Puts it together.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<T> AskAsync<T>(FieldBook book, Caller caller, object asked, Func<Task<T>> work, CancellationToken cancel)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(caller);
        ArgumentNullException.ThrowIfNull(work);
        var waters = string.Join(',', (await book.Waters.Select(w => w.Code).ToListAsync(cancel)).Where(caller.May.Sees));
        var state = (await book.StationMarks.SumAsync(m => m.Mark, cancel), await book.Changes.MaxAsync(c => (long?)c.Sequence, cancel));
        var key = (typeof(T), book.Database.GetConnectionString(), waters, asked, state);
        if (kept.TryGetValue(key, out T? known) && known is not null)
        {
            return known;
        }

        var page = await work();
        kept.Set(key, page, new MemoryCacheEntryOptions { Size = 1 });
        return page;
    }

    /// <summary>Forgets all of them: another database stands where theirs did.</summary>
    public void Forget() => kept.Clear();

    /// <inheritdoc/>
    public void Dispose() => kept.Dispose();
}
