using System.Globalization;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using CsvHelper;
using CsvHelper.Configuration;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Formats.Packages;

/// <summary>Reads a package that <see cref="PackageWriter"/> wrote. It is looked at as a whole before any of it is believed: a missing
/// file, a wrong checksum or a table that unpacks without end is a finding.</summary>
public sealed class PackageReader : IDisposable
{
    private const long MostUnpacked = 4L * 1024 * 1024 * 1024;
    private const long MostDescriptor = 4 * 1024 * 1024;
    private const int MostRatio = 400;
    private const long SmallBytes = 16 * 1024 * 1024;
    private const int MostField = 8 * 1024 * 1024;
    private readonly ZipArchive zip;

    private PackageReader(ZipArchive zip) => this.zip = zip;

    /// <summary>Opens a package; the finding says why it cannot be read.</summary>
    /// <param name="input">The file; must seek.</param>
    public static (PackageReader? Reader, IReadOnlyList<Finding> Findings) Open(Stream input)
    {
        ZipArchive zip;
        try
        {
            zip = new ZipArchive(input, ZipArchiveMode.Read, leaveOpen: true, Encoding.UTF8);
        }
        catch (InvalidDataException)
        {
            return (
                null,
                [
                    Broken(
                        "This is not a package: it is no ZIP file, or it breaks off.",
                        "Nothing of it can be trusted.",
                        "Fetch it again, or export it again."
                    ),
                ]
            );
        }

        var reader = new PackageReader(zip);
        List<Finding> findings;
        try
        {
            findings = [.. reader.Check()];
        }
        catch (InvalidDataException)
        {
            findings = [Broken("A file in the package is damaged.", "It does not unpack.", "Fetch it again, or export it again.")];
        }

        if (findings.Count == 0)
        {
            return (reader, []);
        }

        reader.Dispose();
        return (null, findings);
    }

    /// <summary>The rows of a table, in its columns' order; empty fields are null.</summary>
    /// <exception cref="FormatException">The table does not have its columns, or breaks off.</exception>
    public IEnumerable<string?[]> Rows(PackageTable table)
    {
        ArgumentNullException.ThrowIfNull(table);
        using var stream = zip.GetEntry(table.Path)!.Open();
        using var text = new StreamReader(stream, Encoding.UTF8);
        using var csv = new CsvReader(
            text,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                MaxFieldSize = MostField,
                BadDataFound = null,
                MissingFieldFound = null,
                CountBytes = false,
            }
        );
        if (
            !csv.Read()
            || !csv.ReadHeader()
            || csv.HeaderRecord is not { } heads
            || table.Fields.Any(f => !f.Since && !heads.Contains(f.Name))
        )
        {
            throw new FormatException($"{table.Path} does not have the columns {string.Join(", ", table.Fields.Select(f => f.Name))}.");
        }

        int[] places = [.. table.Fields.Select(f => Array.IndexOf(heads, f.Name))];
        while (csv.Read())
        {
            yield return [.. places.Select(p => p >= 0 && csv.GetField(p) is { Length: > 0 } field ? field : null)];
        }
    }

    /// <summary>True where the package has a table; those of before had fewer.</summary>
    public bool Has(PackageTable table) => table is not null && zip.GetEntry(table.Path) is not null;

    /// <summary>The files of a folder in the package, by their names without it.</summary>
    /// <param name="folder">Such as <c>casts</c>.</param>
    public IEnumerable<(string Name, Func<Stream> Open)> Files(string folder) =>
        zip
            .Entries.Where(e => e.FullName.StartsWith(folder + "/", StringComparison.Ordinal) && e.Name.Length > 0)
            .Select(e => (e.Name, (Func<Stream>)e.Open));

    /// <inheritdoc/>
    public void Dispose() => zip.Dispose();

    private IEnumerable<Finding> Check()
    {
        if (
            zip.Entries.Sum(e => e.Length) is var total
            && (
                total > MostUnpacked
                || zip.Entries.Any(e => e.Length > SmallBytes && e.Length > MostRatio * Math.Max(1, e.CompressedLength))
            )
        )
        {
            yield return Broken(
                $"The package would unpack to {total / (1024 * 1024)} MB out of proportion to its size.",
                "Such files are made to fill a server’s disk.",
                "Export it again; a real record is a few times its packed size."
            );
            yield break;
        }

        if (zip.GetEntry("datapackage.json") is not { } descriptor || descriptor.Length > MostDescriptor)
        {
            yield return Broken(
                "The package has no descriptor, datapackage.json.",
                "Without it nobody knows what its files are.",
                "Export it again."
            );
            yield break;
        }

        if (Described(descriptor) is not { } resources)
        {
            yield return Broken(
                "The descriptor, datapackage.json, cannot be read.",
                "Without it nobody knows what its files are.",
                "Export it again."
            );
            yield break;
        }

        foreach (var table in PackageTables.Restored.Where(t => !resources.ContainsKey(t.Path)))
        {
            yield return Broken(
                $"{table.Path} is not in the package.",
                "A record with a part missing is another record.",
                "Export it again, or ask for the whole package."
            );
        }

        foreach (var (path, (bytes, hash)) in resources)
        {
            if (zip.GetEntry(path) is not { } entry)
            {
                yield return Broken(
                    $"{path} is named in the descriptor and is not in the package.",
                    "A record with a part missing is another record.",
                    "Fetch it again, or export it again."
                );
            }
            else if (entry.Length != bytes || Sum(entry) != hash)
            {
                yield return Broken(
                    $"{path} is not the file that the descriptor names: its checksum differs.",
                    "Somebody changed it, or it was damaged on the way.",
                    "Fetch it again; a record that was changed by hand is brought in as a table."
                );
            }
        }
    }

    private static Dictionary<string, (long Bytes, string Hash)>? Described(ZipArchiveEntry descriptor)
    {
        try
        {
            using var stream = descriptor.Open();
            using var json = JsonDocument.Parse(stream);
            return json
                .RootElement.GetProperty("resources")
                .EnumerateArray()
                .ToDictionary(
                    r => r.GetProperty("path").GetString()!,
                    r => (r.GetProperty("bytes").GetInt64(), r.GetProperty("hash").GetString()!),
                    StringComparer.Ordinal
                );
        }
        catch (Exception e)
            when (e is JsonException or KeyNotFoundException or InvalidOperationException or ArgumentException or FormatException)
        {
            return null;
        }
    }

    private static string Sum(ZipArchiveEntry entry)
    {
        using var stream = entry.Open();
        return $"sha256:{Convert.ToHexStringLower(SHA256.HashData(stream))}";
    }

    private static Finding Broken(string seen, string why, string act) =>
        Finding.Stop("package-broken", seen, why, act) with
        {
            NoWayRound = true,
        };
}
