using Microsoft.AspNetCore.Diagnostics.HealthChecks;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Diagnostics.HealthChecks;
using UpperStill.Server.Backups;
using UpperStill.Store;

namespace UpperStill.Server.Hosting;

/// <summary>
/// Whether the server lives (<c>/health/live</c>), and whether it can take entries (<c>/health/ready</c>): whoever watches asks the
/// second. Neither tells anything of the group.
/// </summary>
internal static class Health
{
    internal const string Live = "/health/live";
    internal const string Ready = "/health/ready";

    internal static void AddHealth(this IServiceCollection services, Instance instance, string? backups)
    {
        var checks = services.AddHealthChecks().AddCheck<BookAnswers>("database").AddCheck("room", () => Room(instance));
        if (backups is not null)
        {
            checks.AddCheck("backup", () => LastBackup(backups));
        }
    }

    internal static void MapHealth(this IEndpointRouteBuilder app)
    {
        app.MapHealthChecks(Live, new HealthCheckOptions { Predicate = _ => false });
        app.MapHealthChecks(
            Ready,
            new HealthCheckOptions
            {
                ResponseWriter = (http, report) =>
                    http.Response.WriteAsJsonAsync(
                        report.Entries.ToDictionary(e => e.Key, e => $"{e.Value.Status}: {e.Value.Description}")
                    ),
            }
        );
    }

    // A full disk refuses entries; it is said while there is room left to act.
    private static HealthCheckResult Room(Instance instance)
    {
        const long Enough = 512L * 1024 * 1024;
        const long Least = 32L * 1024 * 1024;
        var free = new DriveInfo(instance.DataFolder).AvailableFreeSpace;
        var words = $"{free / (1024 * 1024)} MB free";
        return free < Least ? HealthCheckResult.Unhealthy(words)
            : free < Enough ? HealthCheckResult.Degraded(words)
            : HealthCheckResult.Healthy(words);
    }

    private static HealthCheckResult LastBackup(string folder)
    {
        const int LateH = 26;
        return Backup.In(folder) is [.., var last]
            ? TimeProvider.System.GetUtcNow() - last.MadeAt < TimeSpan.FromHours(LateH)
                ? HealthCheckResult.Healthy($"made {last.MadeAt:yyyy-MM-dd HH:mm} UTC")
                : HealthCheckResult.Degraded($"the last was made {last.MadeAt:yyyy-MM-dd HH:mm} UTC")
            : HealthCheckResult.Degraded("none yet");
    }

    private sealed class BookAnswers(FieldBook book) : IHealthCheck
    {
        public async Task<HealthCheckResult> CheckHealthAsync(HealthCheckContext context, CancellationToken cancellationToken = default)
        {
            try
            {
                await book.Database.ExecuteSqlRawAsync("SELECT 1", cancellationToken);
                return HealthCheckResult.Healthy("answers");
            }
            catch (System.Data.Common.DbException e)
            {
                return HealthCheckResult.Unhealthy(e.Message);
            }
        }
    }
}
