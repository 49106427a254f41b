using System.Buffers.Binary;
using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;

namespace UpperStill.Store.Log;

/// <summary>
/// The log as a chain of SHA-256 links, kept beside its rows: an entry that was altered, put in between or taken out is found, also
/// where somebody wrote into the file past the triggers. Whoever could rewrite the file could rewrite the links as well: against
/// that stand the marks in backups and on devices.
/// </summary>
public static class LogChain
{
    private const int MostSaid = 20;
    private const int AtOnce = 2000;

    /// <summary>The link of an entry.</summary>
    /// <param name="before">The link of the entry before it; empty for the first.</param>
    /// <param name="row">The entry as it stands in the log.</param>
    public static byte[] Link(ReadOnlySpan<byte> before, EntryRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        hash.AppendData(before);
        Span<byte> length = stackalloc byte[4];
        foreach (var field in Fields(row))
        {
            // With its length before it, so that no field can borrow from the next; one that is not there differs from an empty one.
            var bytes = field is null ? [] : Encoding.UTF8.GetBytes(field);
            BinaryPrimitives.WriteInt32BigEndian(length, field is null ? -1 : bytes.Length);
            hash.AppendData(length);
            hash.AppendData(bytes);
        }

        return hash.GetHashAndReset();
    }

    /// <summary>How far the log reaches.</summary>
    public static async Task<LogMark> MarkAsync(this FieldBook book, CancellationToken cancel) =>
        await LastAsync(book, cancel) is { } last ? LogMark.Of(last) : LogMark.None;

    /// <summary>True where this log holds the mark, and so everything up to it.</summary>
    public static async Task<bool> HoldsAsync(this FieldBook book, LogMark mark, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(mark);
        return mark.Sequence == 0
            || (
                await book.Links.AsNoTracking().FirstOrDefaultAsync(l => l.Sequence == mark.Sequence, cancel) is { } link
                && LogMark.Of(link).Hash == mark.Hash
            );
    }

    /// <summary>Links the entries of a log that an earlier build kept without links.</summary>
    public static async Task LinkAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        await using var transaction = await book.Database.BeginTransactionAsync(cancel);
        for (var after = 0L; ; )
        {
            var rows = await book
                .Entries.AsNoTracking()
                .Where(e => e.Sequence > after)
                .OrderBy(e => e.Sequence)
                .Take(AtOnce)
                .ToListAsync(cancel);
            if (rows.Count == 0)
            {
                await transaction.CommitAsync(cancel);
                return;
            }

            await ExtendAsync(book, rows, cancel);
            await book.SaveChangesAsync(cancel);
            book.ChangeTracker.Clear();
            after = rows[^1].Sequence;
        }
    }

    /// <summary>Writes many entries and their links at once, within the running transaction.</summary>
    public static async Task AppendAsync(this FieldBook book, IReadOnlyCollection<EntryRow> rows, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(rows);
        var last = await LastAsync(book, cancel);
        var at = last?.Sequence ?? 0;
        foreach (var row in rows)
        {
            row.Sequence = ++at;
        }

        await book.InsertAsync(rows, cancel);
        await book.InsertAsync(Links(last, rows), cancel);
    }

    /// <summary>Adds the links of entries that were just written to what is about to be saved.</summary>
    internal static async Task ExtendAsync(FieldBook book, IEnumerable<EntryRow> rows, CancellationToken cancel)
    {
        book.Links.AddRange(Links(await LastAsync(book, cancel), rows.OrderBy(r => r.Sequence)));
    }

    private static IEnumerable<LinkRow> Links(LinkRow? last, IEnumerable<EntryRow> rows)
    {
        var before = last?.Hash ?? [];
        foreach (var row in rows)
        {
            yield return new LinkRow { Sequence = row.Sequence, Hash = before = Link(before, row) };
        }
    }

    /// <summary>Walks the chain; each line says what is wrong in words. At most some twenty are said.</summary>
    /// <param name="book">The book.</param>
    /// <param name="newest">How many of the newest entries to look at; null for all.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyList<string>> FaultsAsync(this FieldBook book, int? newest, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        List<string> faults = [];
        var ends = new[]
        {
            await book.Entries.MaxAsync(e => (long?)e.Sequence, cancel) ?? 0,
            await book.Links.MaxAsync(l => (long?)l.Sequence, cancel) ?? 0,
        };
        var from = newest is { } count ? Math.Max(0, ends.Max() - count) : 0;
        var before =
            from == 0
                ? []
                : (
                    await book
                        .Links.AsNoTracking()
                        .Where(l => l.Sequence <= from)
                        .OrderByDescending(l => l.Sequence)
                        .FirstOrDefaultAsync(cancel)
                )?.Hash
                    ?? [];
        for (var after = from; after < ends.Max() && faults.Count < MostSaid; )
        {
            var until = after + AtOnce;
            var entries = await book
                .Entries.AsNoTracking()
                .Where(e => e.Sequence > after && e.Sequence <= until)
                .ToDictionaryAsync(e => e.Sequence, cancel);
            var links = await book
                .Links.AsNoTracking()
                .Where(l => l.Sequence > after && l.Sequence <= until)
                .ToDictionaryAsync(l => l.Sequence, cancel);
            foreach (var at in entries.Keys.Union(links.Keys).Order())
            {
                var entry = entries.GetValueOrDefault(at);
                var link = links.GetValueOrDefault(at);
                if (entry is null)
                {
                    faults.Add($"Entry {at} of the log is missing: its link is there.");
                }
                else if (link is null)
                {
                    faults.Add(
                        $"Entry {at} of the log ({Named(entry)}) has no link: it was put in past Upper Still, or its link was taken out."
                    );
                }
                else if (!Link(before, entry).AsSpan().SequenceEqual(link.Hash))
                {
                    faults.Add(
                        $"Entry {at} of the log ({Named(entry)}) is not what it was when it was kept, or the one before it is gone."
                    );
                }

                before = link?.Hash ?? before;
            }

            after = until;
        }

        return faults;
    }

    private static string Named(EntryRow row) => $"{row.Kind} of visit {row.Visit}, by {row.By}";

    private static Task<LinkRow?> LastAsync(FieldBook book, CancellationToken cancel) =>
        book.Links.AsNoTracking().OrderByDescending(l => l.Sequence).FirstOrDefaultAsync(cancel);

    private static IEnumerable<string?> Fields(EntryRow row)
    {
        yield return row.Sequence.ToString(CultureInfo.InvariantCulture);
        yield return row.Id.ToString();
        yield return row.Visit.ToString();
        yield return row.Kind;
        yield return row.Version.ToString(CultureInfo.InvariantCulture);
        yield return row.Body;
        yield return row.At.ToString("O", CultureInfo.InvariantCulture);
        yield return row.By;
        yield return row.Device;
        yield return row.Strikes?.ToString();
        yield return row.Why;
        yield return row.ReceivedAt.ToString("O", CultureInfo.InvariantCulture);
        yield return row.ClockOffS.ToString(CultureInfo.InvariantCulture);
        yield return row.DeliveredBy;

        // Not there before people had ids: links of that time still hold.
        if (row.Person is not null || row.DeliveredById is not null)
        {
            yield return row.Person?.ToString();
            yield return row.DeliveredById?.ToString();
        }
    }
}
