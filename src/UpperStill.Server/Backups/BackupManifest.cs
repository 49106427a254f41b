using System.Security.Cryptography;
using System.Text.Json;
using UpperStill.Server.Hosting;
using UpperStill.Store.Log;

namespace UpperStill.Server.Backups;

/// <summary>A file of a backup.</summary>
/// <param name="Path">Where it lies in the backup, with forward slashes.</param>
/// <param name="Bytes">Its length.</param>
/// <param name="Sha256">Its SHA-256 in lower-case hexadecimal.</param>
public sealed record BackupFile(string Path, long Bytes, string Sha256);

/// <summary>What a backup is: its files with their sums, and how far its log reaches.</summary>
/// <param name="Format">Version of this description; 1.</param>
/// <param name="MadeAt">When it was made, by the machine's clock.</param>
/// <param name="Build">The last migration of the database.</param>
/// <param name="Entries">Entries in its log.</param>
/// <param name="Mark">The mark of its log.</param>
/// <param name="Files">Its files, this one apart.</param>
public sealed record BackupManifest(
    int Format,
    DateTimeOffset MadeAt,
    string Build,
    long Entries,
    LogMark Mark,
    IReadOnlyList<BackupFile> Files
)
{
    /// <summary>The format that this build writes and reads.</summary>
    public const int Known = 1;

    /// <summary>Its name in the backup.</summary>
    public const string Name = "manifest.json";

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web) { WriteIndented = true };

    /// <summary>Reads the manifest of a folder; null where there is none that can be read.</summary>
    /// <param name="folder">The backup.</param>
    public static BackupManifest? Read(string folder)
    {
        try
        {
            return
                JsonSerializer.Deserialize<BackupManifest>(File.ReadAllBytes(Path.Combine(folder, Name)), Json)
                    is { Format: Known, Files: not null, Mark: not null } manifest
                ? manifest
                : null;
        }
        catch (Exception e) when (e is IOException or JsonException or UnauthorizedAccessException)
        {
            return null;
        }
    }

    /// <summary>Writes it into a folder.</summary>
    /// <param name="folder">The backup.</param>
    public void Write(string folder) =>
        Durable.Write(System.IO.Path.Combine(folder, Name), JsonSerializer.SerializeToUtf8Bytes(this, Json));

    /// <summary>What of the files is not as it is written here; each line in words.</summary>
    /// <param name="folder">The backup.</param>
    public IEnumerable<string> Faults(string folder)
    {
        foreach (var file in Files)
        {
            // A manifest that somebody altered must not make us read or write beside the backup.
            if (System.IO.Path.IsPathRooted(file.Path) || file.Path.Split('/').Contains(".."))
            {
                yield return $"{file.Path} does not lie in the backup.";
                continue;
            }

            var path = System.IO.Path.Combine(folder, file.Path);
            if (!File.Exists(path))
            {
                yield return $"{file.Path} is missing.";
            }
            else if (Of(folder, path) != file)
            {
                yield return $"{file.Path} is not the file that was written: its length or its sum differs.";
            }
        }

        if (Files.All(f => f.Path != Instance.Database))
        {
            yield return $"{Instance.Database} is not among its files.";
        }
    }

    /// <summary>Describes a file.</summary>
    /// <param name="folder">The backup.</param>
    /// <param name="path">The file.</param>
    public static BackupFile Of(string folder, string path)
    {
        using var stream = File.OpenRead(path);
        return new BackupFile(
            System.IO.Path.GetRelativePath(folder, path).Replace('\\', '/'),
            stream.Length,
            Convert.ToHexStringLower(SHA256.HashData(stream))
        );
    }
}
