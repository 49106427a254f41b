using System.Data.Common;
using Microsoft.EntityFrameworkCore;
using UpperStill.Server.Backups;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.Projections;

namespace UpperStill.Server.Hosting;

/// <summary>What is done from the command line without serving: <c>backup</c>, <c>restore</c>, <c>verify</c>, and <c>health</c>, which asks
/// a running server. Whoever watches reads the exit code: 0 done, 1 not.</summary>
public static class Commands
{
    private static readonly string[] Names = ["backup", "restore", "verify", "health"];

    /// <summary>True where the arguments begin with one of them.</summary>
    /// <param name="args">The command line.</param>
    public static bool IsOne(string[] args) => args is [var name, ..] && Names.Contains(name);

    /// <summary>Runs it.</summary>
    /// <param name="args">The command line.</param>
    /// <param name="said">Where it says what it did.</param>
    /// <param name="cancel">Gives up.</param>
    /// <returns>The exit code.</returns>
    public static async Task<int> RunAsync(string[] args, TextWriter said, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(args);
        ArgumentNullException.ThrowIfNull(said);
        var flags = args.Skip(1).Where(a => a == "--replace").ToHashSet();
        var settings = new ConfigurationBuilder().AddCommandLine([.. args.Skip(1).Where(a => !flags.Contains(a))]).Build();
        var instance = Instance.From(settings);
        try
        {
            return args[0] switch
            {
                "backup" => await BackupAsync(instance, settings["to"], said, cancel),
                "restore" => await RestoreAsync(instance, settings["from"], flags.Contains("--replace"), said, cancel),
                "health" => await HealthAsync(settings["at"] ?? "http://127.0.0.1:5080", said, cancel),
                _ => await VerifyAsync(instance, said, cancel),
            };
        }
        catch (BackupException e)
        {
            await said.WriteLineAsync(e.Message);
            return 1;
        }
        catch (DbException e)
        {
            await said.WriteLineAsync($"The database file is damaged, or cannot be used: {e.Message}");
            return 1;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            await said.WriteLineAsync($"It could not be done: {e.Message}");
            return 1;
        }
    }

    private static async Task<int> BackupAsync(Instance instance, string? to, TextWriter said, CancellationToken cancel)
    {
        if (to is null)
        {
            throw new BackupException(["backup --to FOLDER [--data DIR]: the folder in which backups lie, best on another disk."]);
        }

        var now = TimeProvider.System.GetUtcNow();
        var (folder, manifest) = await Backup.MakeAsync(instance, Path.GetFullPath(to), now, cancel);
        await said.WriteLineAsync($"{folder}: {manifest.Entries} entries, {manifest.Files.Count} files, written, opened and checked.");
        foreach (var gone in Backup.Thin(Path.GetFullPath(to), now))
        {
            await said.WriteLineAsync($"{gone}: too old to be kept beside its neighbours, deleted.");
        }

        return 0;
    }

    private static async Task<int> RestoreAsync(Instance instance, string? from, bool replace, TextWriter said, CancellationToken cancel)
    {
        if (from is null)
        {
            throw new BackupException(["restore --from BACKUP [--data DIR] [--replace]: one folder that backup made."]);
        }

        var (manifest, aside) = await Restore.RunAsync(instance, Path.GetFullPath(from), replace, TimeProvider.System.GetUtcNow(), cancel);
        await said.WriteLineAsync(
            $"{instance.DataFolder} holds the {manifest.Entries} entries of {manifest.MadeAt:yyyy-MM-dd HH:mm} UTC. Devices offer "
                + "again what they sent since."
        );
        if (aside is not null)
        {
            await said.WriteLineAsync($"What was there lies in {aside}.");
        }

        return 0;
    }

    // For a container without other tools.
    private static async Task<int> HealthAsync(string at, TextWriter said, CancellationToken cancel)
    {
        using var http = new HttpClient { BaseAddress = new Uri(at), Timeout = TimeSpan.FromSeconds(4) };
        try
        {
            using var answer = await http.GetAsync(new Uri(Health.Ready, UriKind.Relative), cancel);
            await said.WriteLineAsync(await answer.Content.ReadAsStringAsync(cancel));
            return answer.IsSuccessStatusCode ? 0 : 1;
        }
        catch (Exception e) when (e is HttpRequestException or TaskCanceledException)
        {
            await said.WriteLineAsync($"{at} does not answer: {e.Message}");
            return 1;
        }
    }

    private static async Task<int> VerifyAsync(Instance instance, TextWriter said, CancellationToken cancel)
    {
        if (!File.Exists(instance.DatabaseFile))
        {
            throw new BackupException([$"There is no database in {instance.DataFolder}."]);
        }

        List<string> faults;
        long entries;
        int waiting;
        await using (var book = FieldBookFactory.Open(instance.DatabaseFile))
        {
            if ((await book.Database.GetPendingMigrationsAsync(cancel)).Any())
            {
                throw new BackupException([
                    "This database is of an earlier build. Start the server once: it takes a copy and brings it up to date.",
                ]);
            }

            faults = [.. await book.WalkAsync(cancel)];
            entries = faults.Count == 0 ? await book.Entries.LongCountAsync(cancel) : 0;
            waiting = faults.Count == 0 ? await book.WaitingAsync(cancel) : 0;
        }

        if (faults.Count == 0 && waiting > 0)
        {
            await said.WriteLineAsync(
                $"{waiting} visits of a table that was brought in are still to be worked out, which the server does by itself. The "
                    + "projections are compared once that is done."
            );
        }
        else if (faults.Count == 0)
        {
            faults.AddRange(
                (
                    await ProjectionCheck.DifferencesAsync(
                        instance.DatabaseFile,
                        Path.Combine(instance.DataFolder, $"verify-{Guid.NewGuid():N}.db"),
                        cancel
                    )
                ).Select(d => $"{d} “rebuild” makes them anew.")
            );
        }

        foreach (var fault in faults)
        {
            await said.WriteLineAsync(fault);
        }

        await said.WriteLineAsync(
            faults.Count == 0
                ? $"{entries} entries: {(waiting > 0 ? "the file and the chain of the log" : "the file, the chain of the log and the projections")} are whole."
                : "Not whole. See docs/operating.md, “When something is wrong”."
        );
        return faults.Count == 0 ? 0 : 1;
    }
}
