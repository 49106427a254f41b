using UpperStill.Server.Hosting;

namespace UpperStill.Server.Backups;

/// <summary>Makes a backup each night, and at once where the last is older than a day. There only with <c>--backup-to FOLDER</c>.</summary>
/// <param name="instance">The instance.</param>
/// <param name="to">The folder in which backups lie.</param>
/// <param name="log">Says what was done, and what failed.</param>
internal sealed partial class NightlyBackup(Instance instance, string to, ILogger<NightlyBackup> log) : BackgroundService
{
    private const int Hour = 3;
    private static readonly TimeSpan Day = TimeSpan.FromDays(1);
    private static readonly TimeSpan AfterFault = TimeSpan.FromMinutes(30);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // The machine's clock, also in the demo: a backup is of a real day.
        for (var wait = Backup.In(to).Any(b => TimeProvider.System.GetUtcNow() - b.MadeAt < Day) ? UntilNight() : TimeSpan.Zero; ; )
        {
            await Task.Delay(wait, stoppingToken);
            try
            {
                var now = TimeProvider.System.GetUtcNow();
                var (folder, manifest) = await Backup.MakeAsync(instance, to, now, stoppingToken);
                Made(folder, manifest.Entries, Backup.Thin(to, now).Count);
                wait = UntilNight();
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                Failed(e, to, AfterFault.TotalMinutes);
                wait = AfterFault;
            }
        }
    }

    private static TimeSpan UntilNight()
    {
        var now = TimeProvider.System.GetLocalNow();
        var night = now.Date.AddHours(Hour);
        return (night > now.DateTime ? night : night.AddDays(1)) - now.DateTime;
    }

    [LoggerMessage(LogLevel.Information, "Backup {Folder}: {Entries} entries, opened and checked; {Gone} old ones deleted.")]
    private partial void Made(string folder, long entries, int gone);

    [LoggerMessage(LogLevel.Error, "No backup could be made in {Folder}; tried again in {Minutes} minutes.")]
    private partial void Failed(Exception fault, string folder, double minutes);
}
