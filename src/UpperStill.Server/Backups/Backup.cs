using System.Globalization;
using Microsoft.EntityFrameworkCore;
using UpperStill.Server.Hosting;
using UpperStill.Store;
using UpperStill.Store.Log;

namespace UpperStill.Server.Backups;

/// <summary>Backups are folders: the database as it stood at one moment, files of meters, keys, and a manifest of sums. They are made while
/// the server runs.</summary>
public static class Backup
{
    private const string Prefix = "upper-still-";
    private const string Moment = "yyyy-MM-dd'T'HHmmss'Z'";

    // Beside the database: what meters wrote, and the keys without which every sign-in would end.
    internal static readonly IReadOnlyList<string> Beside = [Instance.Casts, Instance.Keys];

    /// <summary>Makes a backup, opens it, checks it, and only then gives it its name.</summary>
    /// <param name="instance">The instance.</param>
    /// <param name="to">The folder in which backups lie.</param>
    /// <param name="now">The moment, by the machine's clock.</param>
    /// <param name="cancel">Gives up; nothing is left behind.</param>
    /// <returns>The backup's folder and what it is.</returns>
    /// <exception cref="BackupException">What was written cannot be read back as it was.</exception>
    public static async Task<(string Folder, BackupManifest Manifest)> MakeAsync(
        Instance instance,
        string to,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(instance);
        if (!File.Exists(instance.DatabaseFile))
        {
            throw new BackupException([$"There is no database in {instance.DataFolder}."]);
        }

        var folder = Path.Combine(to, Prefix + now.ToUniversalTime().ToString(Moment, CultureInfo.InvariantCulture));
        if (Directory.Exists(folder))
        {
            throw new BackupException([$"{folder} is there already."]);
        }

        Durable.Folder(to);
        var part = Path.Combine(to, $"unfinished-{Guid.NewGuid():N}");
        Durable.Folder(part);
        try
        {
            var database = Path.Combine(part, Instance.Database);
            await using (var book = FieldBookFactory.Open(instance.DatabaseFile))
            {
                await book.Database.ExecuteSqlAsync($"VACUUM INTO {database}", cancel);
            }

            Durable.Settle(database);

            // After the database: a file that an entry of it names was there before that entry.
            foreach (
                var file in Beside
                    .Select(b => Path.Combine(instance.DataFolder, b))
                    .Where(Directory.Exists)
                    .SelectMany(Directory.EnumerateFiles)
            )
            {
                Durable.Copy(file, Path.Combine(part, Path.GetRelativePath(instance.DataFolder, file)));
            }

            var manifest = await DescribeAsync(part, now, cancel);
            manifest.Write(part);
            Directory.Move(part, folder);
            return (folder, manifest);
        }
        finally
        {
            if (Directory.Exists(part))
            {
                Directory.Delete(part, recursive: true);
            }
        }
    }

    /// <summary>The backups in a folder with when they were made, oldest first; whatever else lies there is no concern of ours.</summary>
    /// <param name="folder">The folder.</param>
    public static IReadOnlyList<(string Folder, DateTimeOffset MadeAt)> In(string folder) =>
        !Directory.Exists(folder)
            ? []
            :
            [
                .. Directory
                    .EnumerateDirectories(folder, Prefix + "*")
                    .Select(f =>
                        (
                            Folder: f,
                            Made: DateTimeOffset.TryParseExact(
                                Path.GetFileName(f)[Prefix.Length..],
                                Moment,
                                CultureInfo.InvariantCulture,
                                DateTimeStyles.AssumeUniversal,
                                out var at
                            )
                                ? at
                                : (DateTimeOffset?)null
                        )
                    )
                    .Where(f => f.Made is not null && BackupManifest.Read(f.Folder) is not null)
                    .Select(f => (f.Folder, f.Made!.Value))
                    .OrderBy(f => f.Item2),
            ];

    /// <summary>Deletes backups that are too many for their age.</summary>
    /// <param name="folder">The folder in which backups lie.</param>
    /// <param name="now">The moment.</param>
    /// <returns>Those that were deleted.</returns>
    public static IReadOnlyList<string> Thin(string folder, DateTimeOffset now)
    {
        var all = In(folder);
        var kept = BackupAges.Kept([.. all.Select(b => b.MadeAt)], now);
        var gone = all.Where(b => !kept.Contains(b.MadeAt)).Select(b => b.Folder).ToList();
        gone.ForEach(f => Directory.Delete(f, recursive: true));
        return gone;
    }

    // Reads back what was written.
    private static async Task<BackupManifest> DescribeAsync(string part, DateTimeOffset now, CancellationToken cancel)
    {
        var database = Path.Combine(part, Instance.Database);
        IReadOnlyList<string> faults;
        (string Build, long Entries, LogMark Mark) said;
        await using (var book = FieldBookFactory.Open(database))
        {
            if ((await book.Database.GetPendingMigrationsAsync(cancel)).Any())
            {
                throw new BackupException([
                    "This database is of an earlier build. Make the backup with that build; or start the server once: it takes a "
                        + "copy and brings it up to date.",
                ]);
            }

            faults = await book.WalkAsync(cancel);
            said =
                faults.Count > 0
                    ? default
                    : (
                        (await book.Database.GetAppliedMigrationsAsync(cancel)).LastOrDefault() ?? string.Empty,
                        await book.Entries.LongCountAsync(cancel),
                        await book.MarkAsync(cancel)
                    );

            // Opened, it has a journal beside it; closed, the file is all of it.
            await book.Database.ExecuteSqlRawAsync("PRAGMA journal_mode=DELETE", cancel);
        }

        if (faults.Count > 0)
        {
            throw new BackupException(faults);
        }

        Durable.Settle(database);
        var files = Directory
            .EnumerateFiles(part, "*", SearchOption.AllDirectories)
            .Order(StringComparer.Ordinal)
            .Select(f => BackupManifest.Of(part, f))
            .ToList();
        return new BackupManifest(BackupManifest.Known, now, said.Build, said.Entries, said.Mark, files);
    }
}

/// <summary>A backup that could not be made or cannot be used; each line says why in words.</summary>
/// <param name="faults">The lines.</param>
public sealed class BackupException(IReadOnlyList<string> faults) : Exception(string.Join(Environment.NewLine, faults));
