using System.Data.Common;
using Microsoft.EntityFrameworkCore;

namespace UpperStill.Store.Log;

/// <summary>Looks whether a database is whole. Each answer is a line in words; none where all is well.</summary>
public static class LogGuard
{
    /// <summary>How many of the newest entries are looked at whenever the server starts.</summary>
    public const int AtStart = 1000;

    private static readonly string[] Triggers =
    [
        "Entries_no_update",
        "Entries_no_delete",
        "Links_no_update",
        "Links_no_delete",
        "KitChecks_no_update",
        "KitChecks_no_delete",
    ];

    /// <summary>What can be seen without reading it all: the guards of the log, and its newest links.</summary>
    public static async Task<IReadOnlyList<string>> LookAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        return [.. await UnguardedAsync(book, cancel), .. await book.FaultsAsync(AtStart, cancel)];
    }

    /// <summary>Everything but the projections: the file page by page, the guards, and the whole chain.</summary>
    public static async Task<IReadOnlyList<string>> WalkAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        List<string> faults = [.. await book.DamageAsync("integrity_check", cancel)];
        if (faults.Count == 0)
        {
            faults.AddRange(await UnguardedAsync(book, cancel));
            faults.AddRange(await book.FaultsAsync(null, cancel));
        }

        return faults;
    }

    /// <summary>What the database says of its own file; it reads all of it.</summary>
    /// <param name="book">The book.</param>
    /// <param name="check"><c>quick_check</c> or <c>integrity_check</c>.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyList<string>> DamageAsync(this FieldBook book, string check, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        List<string> said = [];
        try
        {
            await foreach (var line in LinesAsync(book, $"PRAGMA {check}(10)", cancel))
            {
                said.Add(line);
            }
        }
        catch (DbException e)
        {
            said.Add(e.Message);
        }

        return said is ["ok"] ? [] : [.. said.Select(s => $"The database file is damaged: {s}")];
    }

    private static async Task<IReadOnlyList<string>> UnguardedAsync(FieldBook book, CancellationToken cancel)
    {
        HashSet<string> there = [];
        await foreach (var name in LinesAsync(book, "SELECT name FROM sqlite_master WHERE type = 'trigger'", cancel))
        {
            there.Add(name);
        }

        return
        [
            .. Triggers
                .Where(t => !there.Contains(t))
                .Select(t =>
                    $"The guard {t}, which keeps what was written from being changed, is gone: somebody has worked on the database by hand."
                ),
        ];
    }

    private static async IAsyncEnumerable<string> LinesAsync(
        FieldBook book,
        string sql,
        [System.Runtime.CompilerServices.EnumeratorCancellation] CancellationToken cancel
    )
    {
        await book.Database.OpenConnectionAsync(cancel);
        try
        {
            await using var command = book.Database.GetDbConnection().CreateCommand();
            command.CommandText = sql;
            await using var reader = await command.ExecuteReaderAsync(cancel);
            while (await reader.ReadAsync(cancel))
            {
                yield return reader.GetString(0);
            }
        }
        finally
        {
            await book.Database.CloseConnectionAsync();
        }
    }
}
