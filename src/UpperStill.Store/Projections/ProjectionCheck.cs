using Microsoft.EntityFrameworkCore;

namespace UpperStill.Store.Projections;

/// <summary>Compares the projections of a database with what its log gives.</summary>
public static class ProjectionCheck
{
    /// <summary>The tables that are pure functions of the log and the reference tables.</summary>
    public static IReadOnlyList<string> Tables { get; } = ["Visits", "Readings", "Levels", "Profiles", "Samples", "Findings"];

    /// <summary>Makes the projections anew in a copy, and says what differs; a line for each table. Visits that still wait to be worked out
    /// count as differing: see <see cref="WaitingVisits"/>.</summary>
    /// <param name="file">The database.</param>
    /// <param name="copy">Where the copy is made; it must not exist, and is deleted again.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyList<string>> DifferencesAsync(string file, string copy, CancellationToken cancel)
    {
        try
        {
            await using (var book = FieldBookFactory.Open(file))
            {
                await book.Database.ExecuteSqlAsync($"VACUUM INTO {copy}", cancel);
            }

            await using var anew = FieldBookFactory.Open(copy);
            await anew.RebuildAsync(cancel);
            await anew.Database.OpenConnectionAsync(cancel);
            await anew.Database.ExecuteSqlAsync($"ATTACH {file} AS kept", cancel);
            List<string> differs = [];
            foreach (var table in Tables)
            {
                // Names of columns in their order: the two files may have been made by different migrations.
                var columns = string.Join(
                    ", ",
                    anew.Model.GetEntityTypes()
                        .Single(t => t.GetTableName() == table)
                        .GetProperties()
                        .Select(p => $"\"{p.GetColumnName()}\"")
                );
                var missing = await CountAsync(
                    anew,
                    $"SELECT {columns} FROM main.\"{table}\" EXCEPT SELECT {columns} FROM kept.\"{table}\"",
                    cancel
                );
                var beyond = await CountAsync(
                    anew,
                    $"SELECT {columns} FROM kept.\"{table}\" EXCEPT SELECT {columns} FROM main.\"{table}\"",
                    cancel
                );
                if (missing + beyond > 0)
                {
                    differs.Add($"{table}: {beyond} rows do not follow from the log, {missing} that follow from it are missing.");
                }
            }

            return differs;
        }
        finally
        {
            foreach (var part in new[] { copy, copy + "-wal", copy + "-shm" })
            {
                File.Delete(part);
            }
        }
    }

    private static async Task<long> CountAsync(FieldBook book, string sql, CancellationToken cancel)
    {
        await using var command = book.Database.GetDbConnection().CreateCommand();
        command.CommandText = $"SELECT COUNT(*) FROM ({sql})";
        return (long)(await command.ExecuteScalarAsync(cancel))!;
    }
}
