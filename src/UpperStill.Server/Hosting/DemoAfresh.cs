using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using UpperStill.Server.Instruments;
using UpperStill.Server.People;
using UpperStill.Server.Record;
using UpperStill.Store;
using UpperStill.Store.Log;

namespace UpperStill.Server.Hosting;

/// <summary>
/// Puts the demo back to its first state while it is served: for a stand where one visitor follows another, and for tests.
/// There only with <c>--demo true --demo-afresh true</c>; an instance of its own has no such address.
/// </summary>
internal static class DemoAfresh
{
    internal static bool IsOffered(IConfiguration configuration, Instance instance) =>
        instance.Demo && configuration.GetValue("demo-afresh", false);

    /// <summary>Keeps a copy of the demo as it begins.</summary>
    internal static async Task KeepAsync(FieldBook book, Instance instance, CancellationToken cancel)
    {
        if (!File.Exists(Kept(instance)))
        {
            await book.Database.ExecuteSqlAsync($"VACUUM INTO {Kept(instance)}", cancel);
        }
    }

    internal static void MapDemoAfresh(this IEndpointRouteBuilder app) =>
        app.MapPost(
                "/api/demo/afresh",
                (
                    FieldBook book,
                    LogBook log,
                    Instance instance,
                    WholePages pages,
                    SimulatedInstruments instruments,
                    CancellationToken cancel
                ) =>
                    log.UntouchedAsync(
                        async () =>
                        {
                            await using var kept = new SqliteConnection($"Data Source={Kept(instance)};Mode=ReadOnly;Pooling=False");
                            await kept.OpenAsync(cancel);
                            await book.Database.OpenConnectionAsync(cancel);
                            kept.BackupDatabase((SqliteConnection)book.Database.GetDbConnection());
                            pages.Forget();
                            instruments.Afresh();
                            return TypedResults.NoContent();
                        },
                        cancel
                    )
            )
            .For(AccessLevel.Anyone, form: false)
            .ExcludeFromDescription();

    private static string Kept(Instance instance) => Path.Combine(instance.DataFolder, "demo-as-it-begins.db");
}
