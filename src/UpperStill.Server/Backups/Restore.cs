using System.Globalization;
using Microsoft.EntityFrameworkCore;
using UpperStill.Server.Hosting;
using UpperStill.Store;
using UpperStill.Store.Log;

namespace UpperStill.Server.Backups;

/// <summary>Puts a backup in the place of what an instance holds. What it held is set aside, never deleted.</summary>
public static class Restore
{
    /// <summary>Restores.</summary>
    /// <param name="instance">The instance; its server must not run.</param>
    /// <param name="from">The backup.</param>
    /// <param name="replace">True where what is there may be set aside.</param>
    /// <param name="now">The moment, by the machine's clock.</param>
    /// <param name="cancel">Gives up before anything is put in place.</param>
    /// <returns>The backup's manifest, and where what was there lies now.</returns>
    /// <exception cref="BackupException">Nothing was changed.</exception>
    public static async Task<(BackupManifest Manifest, string? SetAside)> RunAsync(
        Instance instance,
        string from,
        bool replace,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(instance);
        var manifest = BackupManifest.Read(from)
            ?? throw new BackupException([$"{from} is no backup: it has no {BackupManifest.Name} that can be read here."]);
        var faults = manifest.Faults(from).ToList();
        if (faults.Count > 0)
        {
            throw new BackupException(faults);
        }

        Durable.Folder(instance.DataFolder);
        using var alone = DataFolderLock.Take(instance)
            ?? throw new BackupException([$"A server is running on {instance.DataFolder}. Stop it first."]);
        var there = Directory.EnumerateFileSystemEntries(instance.DataFolder).Where(Belongs).ToList();
        if (there.Any(f => Path.GetFileName(f) == Instance.Database) && !replace)
        {
            throw new BackupException([
                $"{instance.DataFolder} holds a record already. With --replace it is set aside in a folder of its own, and nothing "
                    + "of it is deleted.",
            ]);
        }

        // All of it beside its place first: what fails, fails here.
        var part = Path.Combine(instance.DataFolder, $"unfinished-{Guid.NewGuid():N}");
        Durable.Folder(part);
        try
        {
            foreach (var file in manifest.Files)
            {
                cancel.ThrowIfCancellationRequested();
                Durable.Copy(Path.Combine(from, file.Path), Path.Combine(part, file.Path));
            }

            await CheckAsync(
                Path.Combine(part, Instance.Database),
                Path.Combine(instance.DataFolder, $"looked-at-{Guid.NewGuid():N}.db"),
                manifest,
                cancel
            );
            var aside =
                there.Count == 0
                    ? null
                    : Path.Combine(
                        instance.DataFolder,
                        "replaced-" + now.ToUniversalTime().ToString("yyyy-MM-dd'T'HHmmss'Z'", CultureInfo.InvariantCulture)
                    );
            if (aside is not null)
            {
                Durable.Folder(aside);
                there.ForEach(f => Directory.Move(f, Path.Combine(aside, Path.GetFileName(f))));
            }

            // The database last: until it is in its place there is no record here, never half of one.
            foreach (var entry in Directory.EnumerateFileSystemEntries(part).OrderBy(f => Path.GetFileName(f) == Instance.Database))
            {
                Directory.Move(entry, Path.Combine(instance.DataFolder, Path.GetFileName(entry)));
            }

            return (manifest, aside);
        }
        finally
        {
            Directory.Delete(part, recursive: true);
        }
    }

    private static bool Belongs(string path) =>
        Backup.Beside.Contains(Path.GetFileName(path)) || Path.GetFileName(path).StartsWith(Instance.Database, StringComparison.Ordinal);

    // One of an earlier build is looked at in a copy that is brought up to date; what is restored stays as it was backed up, and the next
    // start brings it up to date.
    private static async Task CheckAsync(string database, string copy, BackupManifest manifest, CancellationToken cancel)
    {
        bool older;
        await using (var asItIs = FieldBookFactory.Open(database))
        {
            older = (await asItIs.Database.GetPendingMigrationsAsync(cancel)).Any();
        }

        try
        {
            if (older)
            {
                File.Copy(database, copy);
            }

            await using var book = FieldBookFactory.Open(older ? copy : database);
            IReadOnlyList<string> faults = older ? await book.DamageAsync("integrity_check", cancel) : [];
            if (older && faults.Count == 0)
            {
                await book.Database.MigrateAsync(cancel);
            }

            faults = faults.Count > 0 ? faults : await book.WalkAsync(cancel);
            if (faults.Count == 0 && await book.MarkAsync(cancel) != manifest.Mark)
            {
                faults = ["Its log ends elsewhere than its manifest says."];
            }

            if (faults.Count > 0)
            {
                throw new BackupException(faults);
            }
        }
        finally
        {
            foreach (var part in new[] { copy, copy + "-wal", copy + "-shm" })
            {
                File.Delete(part);
            }
        }
    }
}
