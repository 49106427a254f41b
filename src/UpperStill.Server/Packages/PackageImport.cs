using System.Globalization;
using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Formats.Packages;
using UpperStill.Server.Hosting;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.People;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Packages;

/// <summary>What became of a package.</summary>
/// <param name="Done">True where it is the record of this instance now; false where nothing was kept.</param>
/// <param name="Findings">What stands in the way.</param>
/// <param name="Stations">Stations brought in.</param>
/// <param name="Entries">Entries brought in.</param>
/// <param name="Visits">Visits that they make.</param>
public sealed record PackageAnswer(bool Done, IReadOnlyList<Finding> Findings, int Stations = 0, int Entries = 0, int Visits = 0);

/// <summary>Brings a package into an instance that holds nothing yet: all of it or nothing.</summary>
public sealed class PackageImport(FieldBook book, LogBook log, Instance instance, UserManager<Person> people)
{
    private const int AtOnce = 2000;

    /// <summary>Brings it in.</summary>
    /// <param name="file">The package; must seek.</param>
    /// <param name="cancel">Gives up.</param>
    public Task<PackageAnswer> ReadAsync(Stream file, CancellationToken cancel) =>
        log.AloneAsync(
            book,
            async () =>
            {
                if (await book.Entries.AnyAsync(cancel) || await book.Stations.AnyAsync(cancel) || await book.Waters.AnyAsync(cancel))
                {
                    return Refused(
                        Finding.Stop(
                            "package-not-empty",
                            "This instance holds a record already.",
                            "Two records under one roof would be taken for one.",
                            "Read the package into an empty instance; bring single tables in by their columns."
                        ) with
                        {
                            NoWayRound = true,
                        }
                    );
                }

                var (reader, findings) = PackageReader.Open(file);
                if (reader is null)
                {
                    return new PackageAnswer(false, findings);
                }

                using (reader)
                {
                    try
                    {
                        return await KeepAsync(reader, cancel);
                    }
                    catch (Exception e)
                        when (e
                                is FormatException
                                    or JsonException
                                    or ArgumentException
                                    or OverflowException
                                    or CsvHelper.CsvHelperException
                                    or InvalidDataException
                                    or DbUpdateException
                        )
                    {
                        throw new PackageBrokenException(e.Message, e);
                    }
                }
            },
            cancel
        );

    private async Task<PackageAnswer> KeepAsync(PackageReader reader, CancellationToken cancel)
    {
        book.Waters.AddRange(reader.Rows(PackageTables.Waters).Select(r => new WaterRow { Code = Text(r, 0), Definition = Json(r, 1) }));
        book.Programmes.AddRange(
            reader
                .Rows(PackageTables.Programmes)
                .Select(r => new ProgrammeRow
                {
                    Code = Text(r, 0),
                    Version = Whole(r, 1),
                    Definition = Json(r, 2),
                })
        );
        foreach (var r in reader.Rows(PackageTables.Kit))
        {
            book.AddItem(
                JsonSerializer.Deserialize(Text(r, 2), SetupJson.Default.KitItem) is { } item
                && item.Code == r[0]
                && item.Kind == Enum.Parse<KitKind>(Text(r, 1))
                    ? item
                    : throw new FormatException($"{r[0]} of the kit is not what its code and kind say.")
            );
        }

        var stations = reader
            .Rows(PackageTables.Stations)
            .Select(r => new StationRow
            {
                Code = Text(r, 0),
                Water = Text(r, 1),
                Programme = Text(r, 2),
                Line = r[3],
                Weekdays = r[4] ?? string.Empty,
                Ordinal = Whole(r, 5),
                Definition = Json(r, 6),
            })
            .ToList();
        book.Stations.AddRange(stations);
        book.Laboratories.AddRange(
            reader.Rows(PackageTables.Laboratories).Select(r => new LaboratoryRow { Code = Text(r, 0), Definition = Json(r, 1) })
        );
        book.SeriesJoins.AddRange(
            reader
                .Rows(PackageTables.Joins)
                .Select(r => new SeriesJoinRow
                {
                    Station = Text(r, 0),
                    Subject = Parameter.Kept(Text(r, 1)).Code,
                    Day = Day(r, 2),
                    Why = Text(r, 3),
                    By = Text(r, 4),
                })
        );
        book.Benchmarks.AddRange(
            reader
                .Rows(PackageTables.Limits)
                .Select(r => new BenchmarkRow
                {
                    Id = Guid.Parse(Text(r, 0)),
                    Water = Text(r, 1),
                    Subject = Parameter.Kept(Text(r, 2)).Code,
                    Above = Text(r, 3) == "true",
                    Value = decimal.Parse(Text(r, 4), CultureInfo.InvariantCulture),
                    Name = Text(r, 5),
                    Source = Text(r, 6),
                })
        );
        book.SeasonDays.AddRange(
            reader
                .Rows(PackageTables.SeasonDays)
                .Select(r => new SeasonDayRow
                {
                    Id = Guid.Parse(Text(r, 0)),
                    Station = r[1],
                    Day = Day(r, 2),
                    Kind = Enum.Parse<SeasonDayKind>(Text(r, 3)),
                    Why = Text(r, 4),
                    By = Text(r, 5),
                    At = Moment(r, 6),
                })
        );
        await PhotosAsync(reader, cancel);
        var notes = await GroupAsync(reader, cancel);
        await book.SaveChangesAsync(cancel);
        book.ChangeTracker.Clear();
        var entries = 0;
        foreach (var part in reader.Rows(PackageTables.Entries).Select(Entry).Chunk(AtOnce))
        {
            await book.AppendAsync(part, cancel);
            entries += part.Length;
        }

        await CastsAsync(reader, cancel);
        await book.RebuildAsync(cancel);
        return new PackageAnswer(true, notes, stations.Count, entries, await book.Visits.CountAsync(cancel));
    }

    // Packages of earlier builds, and of one water, have none of these.
    private async Task<List<Finding>> GroupAsync(PackageReader reader, CancellationToken cancel)
    {
        List<Finding> notes = [];
        foreach (var r in reader.Has(PackageTables.People) ? reader.Rows(PackageTables.People) : [])
        {
            var person = new Person
            {
                Id = Guid.Parse(Text(r, 0)),
                Name = Text(r, 1),
                UserName = Text(r, 2),
                Grants = JsonSerializer.Deserialize(Text(r, 3), SetupJson.Default.IReadOnlyListGrant) ?? [],
                Active = Text(r, 4) == "true",
            };
            if (await people.FindByNameAsync(person.UserName) is not null)
            {
                notes.Add(
                    Finding.Note(
                        "person-here",
                        $"{person.Name} ({person.UserName}) has an account here already.",
                        "It stays as it is.",
                        "What they made in the package is known by their name."
                    )
                );
            }
            else if (await people.CreateAsync(person) is { Succeeded: false } fault)
            {
                throw new FormatException($"{person.Name}: {string.Join(" ", fault.Errors.Select(e => e.Description))}");
            }
        }

        book.KnownNames.AddRange(
            (reader.Has(PackageTables.Names) ? reader.Rows(PackageTables.Names) : []).Select(r => new KnownName
            {
                Name = Text(r, 0),
                Person = Guid.Parse(Text(r, 1)),
            })
        );
        book.Changes.AddRange(
            (reader.Has(PackageTables.Changes) ? reader.Rows(PackageTables.Changes) : []).Select(r => new ChangeRow
            {
                At = Moment(r, 0),
                By = Text(r, 1),
                Subject = Text(r, 2),
                Key = Text(r, 3),
                Before = r[4],
                After = r[5],
            })
        );
        book.Proposals.AddRange(
            (reader.Has(PackageTables.Proposals) ? reader.Rows(PackageTables.Proposals) : []).Select(r => new ProposalRow
            {
                Id = Guid.Parse(Text(r, 0)),
                Water = Text(r, 1),
                Definition = Json(r, 2),
                Why = Text(r, 3),
                By = Text(r, 4),
                At = Moment(r, 5),
                Outcome = r[6],
            })
        );
        return notes;
    }

    private async Task PhotosAsync(PackageReader reader, CancellationToken cancel)
    {
        if (!reader.Has(PackageTables.Photos))
        {
            return;
        }

        var files = reader.Files("photos").ToDictionary(f => f.Name, f => f.Open, StringComparer.Ordinal);
        foreach (var r in reader.Rows(PackageTables.Photos))
        {
            var name = Text(r, 2);
            using var bytes = new MemoryStream();
            await using (
                var file = files.TryGetValue(name, out var open)
                    ? open()
                    : throw new FormatException($"The photograph {name} is not in the package.")
            )
            {
                await file.CopyToAsync(bytes, cancel);
            }

            book.Photos.Add(
                new PhotoRow
                {
                    Id = Guid.Parse(Text(r, 0)),
                    Water = Text(r, 1),
                    ContentType = name.EndsWith(".png", StringComparison.Ordinal) ? "image/png" : "image/jpeg",
                    Bytes = bytes.ToArray(),
                    By = Text(r, 3),
                    At = Moment(r, 4),
                }
            );
        }
    }

    // A file is named by what it holds: the descriptor's checksum has been compared already, its name has not.
    private async Task CastsAsync(PackageReader reader, CancellationToken cancel)
    {
        foreach (var (name, open) in reader.Files("casts"))
        {
            var sha256 = Path.GetFileNameWithoutExtension(name);
            await using var file = open();
            if (instance.CastFile(sha256) is not { } path || Convert.ToHexStringLower(await SHA256.HashDataAsync(file, cancel)) != sha256)
            {
                throw new FormatException($"casts/{name} is not named by what it holds.");
            }

            Directory.CreateDirectory(Path.GetDirectoryName(path)!);
            await using var again = open();
            await using var kept = File.Create(path);
            await again.CopyToAsync(kept, cancel);
        }
    }

    // Every entry is judged as one that a device delivers.
    private static EntryRow Entry(string?[] r)
    {
        var row = new EntryRow
        {
            Id = Guid.Parse(Text(r, 0)),
            Visit = Guid.Parse(Text(r, 1)),
            Kind = Text(r, 2),
            Version = Whole(r, 3),
            Body = Json(r, 4),
            At = Moment(r, 5),
            By = Text(r, 6),
            Device = Text(r, 7),
            Strikes = r[8] is { } strikes ? Guid.Parse(strikes) : null,
            Why = r[9],
            ReceivedAt = Moment(r, 10),
            ClockOffS = long.Parse(Text(r, 11), CultureInfo.InvariantCulture),
            Person = r[12] is { } person ? Guid.Parse(person) : null,
            DeliveredBy = r[13],
            DeliveredById = r[14] is { } deliverer ? Guid.Parse(deliverer) : null,
        };
        return EntryCheck.Refusal(row.ToEntry(), anew: false) is { } refusal
            ? throw new FormatException($"Entry {row.Id}: {refusal.Seen}")
            : row;
    }

    private static string Text(string?[] row, int at) =>
        row[at] ?? throw new FormatException($"Column {at + 1} is empty in “{string.Join(", ", row.Take(3))}”.");

    private static string Json(string?[] row, int at)
    {
        using var read = JsonDocument.Parse(Text(row, at));
        return row[at]!;
    }

    private static int Whole(string?[] row, int at) => int.Parse(Text(row, at), CultureInfo.InvariantCulture);

    private static DateOnly Day(string?[] row, int at) => DateOnly.ParseExact(Text(row, at), "yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static DateTimeOffset Moment(string?[] row, int at) =>
        DateTimeOffset.Parse(Text(row, at), CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind);

    private static PackageAnswer Refused(Finding finding) => new(false, [finding]);
}

/// <summary>A package whose parts are there and cannot be understood; nothing of it is kept.</summary>
/// <param name="message">What was seen.</param>
/// <param name="cause">Why.</param>
public sealed class PackageBrokenException(string message, Exception cause) : Exception(message, cause);
