using System.Diagnostics.Metrics;
using Prometheus;
using UpperStill.Server.Backups;
using UpperStill.Store.Log;

namespace UpperStill.Server.Hosting;

/// <summary>
/// Metrics in the text form that common scrapers read, on a port of their own that only this machine reaches: <c>--metrics-port N</c>.
/// They name nobody, no water and no address of the record.
/// </summary>
internal static class Metrics
{
    private static readonly string[] Meters =
    [
        LogMeter.Name,
        "Microsoft.AspNetCore.Hosting",
        "Microsoft.AspNetCore.Server.Kestrel",
        "Microsoft.AspNetCore.RateLimiting",
        "System.Runtime",
    ];

    /// <exception cref="ArgumentException">The port is none.</exception>
    internal static void AddMetrics(this WebApplicationBuilder builder, Instance instance, string? backups)
    {
        if (builder.Configuration["metrics-port"] is not { Length: > 0 } given)
        {
            return;
        }

        if (!ushort.TryParse(given, out var port) || port == 0)
        {
            throw new ArgumentException($"--metrics-port needs a number from 1 to 65535, not “{given}”.");
        }

        builder.Services.AddHostedService(services => new MetricServing(
            instance,
            backups,
            port,
            services.GetRequiredService<IMeterFactory>()
        ));
    }

    private sealed class MetricServing(Instance instance, string? backups, ushort port, IMeterFactory own) : IHostedService, IDisposable
    {
        private readonly CollectorRegistry registry = Prometheus.Metrics.NewCustomRegistry();
        private MetricServer? server;
        private IDisposable? meters;

        public Task StartAsync(CancellationToken cancellationToken)
        {
            var factory = Prometheus.Metrics.WithCustomRegistry(registry);
            var size = factory.CreateGauge("upperstill_database_bytes", "Size of the database with what was not yet written back into it.");
            var free = factory.CreateGauge("upperstill_free_bytes", "Room left on the disk of the data folder.");
            var backup = backups is null
                ? null
                : factory.CreateGauge("upperstill_backup_age_seconds", "Age of the newest backup; NaN where there is none.");
            registry.AddBeforeCollectCallback(() =>
            {
                size.Set(
                    new[] { string.Empty, "-wal" }
                        .Select(end => new FileInfo(instance.DatabaseFile + end))
                        .Where(f => f.Exists)
                        .Sum(f => f.Length)
                );
                free.Set(new DriveInfo(instance.DataFolder).AvailableFreeSpace);
                backup?.Set(
                    Backup.In(backups!) is [.., var last] ? (TimeProvider.System.GetUtcNow() - last.MadeAt).TotalSeconds : double.NaN
                );
            });
            meters = MeterAdapter.StartListening(
                new MeterAdapterOptions
                {
                    Registry = registry,
                    MetricFactory = factory,
                    // The runtime's are of the whole process; all others of this host alone.
                    InstrumentFilterPredicate = instrument =>
                        Meters.Contains(instrument.Meter.Name) && (instrument.Meter.Scope is null || instrument.Meter.Scope == own),
                    ResolveHistogramBuckets = _ => [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10],
                }
            );
            server = new MetricServer("localhost", port, registry: registry);
            server.Start();
            return Task.CompletedTask;
        }

        public async Task StopAsync(CancellationToken cancellationToken)
        {
            meters?.Dispose();
            await (server?.StopAsync() ?? Task.CompletedTask);
        }

        public void Dispose() => (server as IDisposable)?.Dispose();
    }
}
