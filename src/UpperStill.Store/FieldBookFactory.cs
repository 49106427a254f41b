using System.Data.Common;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace UpperStill.Store;

/// <summary>Opens the database file.</summary>
public sealed class FieldBookFactory : IDesignTimeDbContextFactory<FieldBook>
{
    /// <summary>Options for a database file; an acknowledged commit survives the loss of power.</summary>
    /// <param name="options">Get them.</param>
    /// <param name="file">The file.</param>
    /// <param name="pooled">False where the file is to be closed for good with its last context.</param>
    public static void Configure(DbContextOptionsBuilder options, string file, bool pooled = true)
    {
        ArgumentNullException.ThrowIfNull(options);
        // A list in a query is one parameter: the same query however long it is, made ready once.
        options
            .UseSqlite($"Data Source={file};Foreign Keys=True;Default Timeout=30;Pooling={pooled}", sqlite =>
                sqlite.UseParameterizedCollectionMode(ParameterTranslationMode.Parameter)
            )
            .AddInterceptors(new FullySynchronous());
    }

    /// <summary>Opens a database file by itself, beside or without a server; it is closed for good with this context.</summary>
    /// <param name="file">The file.</param>
    public static FieldBook Open(string file)
    {
        var options = new DbContextOptionsBuilder<FieldBook>();
        Configure(options, file, pooled: false);
        return new FieldBook(options.Options);
    }

    /// <summary>For the migration tool.</summary>
    public FieldBook CreateDbContext(string[] args) => Open("design.db");

    private sealed class FullySynchronous : DbConnectionInterceptor
    {
        private const string Pragmas = "PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL;";

        public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
        {
            if (Writes(connection))
            {
                using var command = connection.CreateCommand();
                command.CommandText = Pragmas;
                command.ExecuteNonQuery();
            }
        }

        public override async Task ConnectionOpenedAsync(
            DbConnection connection,
            ConnectionEndEventData eventData,
            CancellationToken cancellationToken = default
        )
        {
            if (Writes(connection))
            {
                await using var command = connection.CreateCommand();
                command.CommandText = Pragmas;
                await command.ExecuteNonQueryAsync(cancellationToken);
            }
        }

        // Whether there is a database is asked of a connection that may only read; a copy that is not in WAL yet would refuse the pragma
        // there.
        private static bool Writes(DbConnection connection) =>
            !connection.ConnectionString.Contains("Mode=ReadOnly", StringComparison.OrdinalIgnoreCase);
    }
}
