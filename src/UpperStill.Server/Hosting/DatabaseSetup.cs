using System.Text.Json;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Review;
using UpperStill.Core.Record.Entries;
using UpperStill.Server.Backups;
using UpperStill.StandIns.Demo;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.People;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Hosting;

/// <summary>Makes the database ready: migrations, and the demo where it is asked for and the log is still empty.</summary>
public static class DatabaseSetup
{
    private const long LargestLookedAt = 128L * 1024 * 1024;
    private const int CopiesKept = 2;

    /// <summary>Migrates and, in the demo, fills an empty database.</summary>
    public static async Task PrepareAsync(
        FieldBook book,
        UserManager<Person> people,
        Instance instance,
        InstanceClock clock,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(people);
        ArgumentNullException.ThrowIfNull(instance);
        ArgumentNullException.ThrowIfNull(clock);
        await CheckFileAsync(book, instance, cancel);
        var applied = await book.Database.GetAppliedMigrationsAsync(cancel);
        var pending = (await book.Database.GetPendingMigrationsAsync(cancel)).Any();
        var older = applied.Any() && pending;
        if (older)
        {
            await CopyAsync(book, instance, applied.Last(), cancel);
        }

        if (pending)
        {
            // A server that was killed while it migrated leaves its lock behind, and the next would wait for it for ever. One server holds
            // this folder: the lock is nobody's.
            await book.Database.ExecuteSqlRawAsync("DROP TABLE IF EXISTS \"__EFMigrationsLock\"", cancel);
            await book.Database.MigrateAsync(cancel);
        }

        Durable.Own(instance.DatabaseFile);
        if (older && !await book.Links.AnyAsync(cancel))
        {
            await book.LinkAsync(cancel);
        }

        await RefuseAsync(await book.LookAsync(cancel));
        if (older)
        {
            // What an older version did not draw from the log is drawn now.
            await book.RebuildAsync(cancel);
        }

        if (!instance.Demo)
        {
            return;
        }

        var scenario = DemoScenario.Load();
        if (!await book.Stations.AnyAsync(cancel))
        {
            await FillAsync(book, scenario, cancel);
        }

        foreach (var account in await book.Users.AnyAsync(cancel) ? [] : scenario.People)
        {
            await people.CreateAsync(
                new Person
                {
                    Id = Guid.CreateVersion7(),
                    UserName = account.SignInName,
                    Name = account.Name,
                    Grants = account.Grants,
                },
                DemoScenario.Password
            );
        }

        clock.StandOn(book, scenario.Now);
    }

    // A damaged file is said so in words before anything is written to it. Larger ones are looked at by “verify” only: a start must not
    // take minutes.
    private static async Task CheckFileAsync(FieldBook book, Instance instance, CancellationToken cancel)
    {
        if (File.Exists(instance.DatabaseFile) && new FileInfo(instance.DatabaseFile).Length <= LargestLookedAt)
        {
            await RefuseAsync(await book.DamageAsync("quick_check", cancel));
        }
    }

    private static Task RefuseAsync(IReadOnlyList<string> faults) =>
        faults.Count == 0 ? Task.CompletedTask : throw new BrokenBookException(faults);

    // The way back from an upgrade: the database as the earlier build left it.
    private static async Task CopyAsync(FieldBook book, Instance instance, string build, CancellationToken cancel)
    {
        var folder = Path.Combine(instance.DataFolder, "before-upgrade");
        Durable.Folder(folder);
        var copy = Path.Combine(folder, $"{build}.db");
        if (!File.Exists(copy))
        {
            var part = copy + ".part";
            File.Delete(part);
            await book.Database.ExecuteSqlAsync($"VACUUM INTO {part}", cancel);
            Durable.Settle(part);
            File.Move(part, copy);
        }

        foreach (var old in Directory.EnumerateFiles(folder, "*.db").OrderDescending(StringComparer.Ordinal).Skip(CopiesKept))
        {
            File.Delete(old);
        }
    }

    private static async Task FillAsync(FieldBook book, DemoScenario scenario, CancellationToken cancel)
    {
        await using (var transaction = await book.Database.BeginTransactionAsync(cancel))
        {
            book.Programmes.AddRange(
                scenario.Programmes.Select(p => new ProgrammeRow
                {
                    Code = p.Code,
                    Version = p.Version,
                    Definition = JsonSerializer.Serialize(p, CoreJson.Default.Programme),
                })
            );
            foreach (var item in scenario.Kit)
            {
                book.AddItem(item);
            }

            book.Waters.AddRange(
                scenario
                    .Waters.Select(w => w.Drawn())
                    .Select(w => new WaterRow { Code = w.Code, Definition = JsonSerializer.Serialize(w, SetupJson.Default.Water) })
            );
            book.Stations.AddRange(
                scenario.Stations.Select(
                    (s, i) =>
                        new StationRow
                        {
                            Code = s.Station.Code,
                            Water = s.Station.WaterCode,
                            Definition = JsonSerializer.Serialize(s.Station, CoreJson.Default.Station),
                            Programme = s.Programme,
                            Line = s.Line,
                            Weekdays = string.Join(',', s.Weekdays),
                            Ordinal = i,
                        }
                )
            );
            book.Laboratories.Add(
                new LaboratoryRow { Code = "lab", Definition = JsonSerializer.Serialize(scenario.Laboratory, SetupJson.Default.Laboratory) }
            );
            book.SeasonDays.AddRange(
                scenario.Days.Select(d => new SeasonDayRow
                {
                    Id = Guid.CreateVersion7(),
                    Day = d.Day,
                    Kind = Enum.Parse<SeasonDayKind>(d.Kind, ignoreCase: true),
                    Why = d.Why,
                    Station = d.Station,
                    By = scenario.People[0].Name,
                    At = scenario.Now,
                })
            );
            book.Entries.AddRange(DemoSeasons.Write(scenario).Select(e => EntryRow.From(e, new EntryReceipt(e.At.AddHours(3), 0))));
            await book.SaveChangesAsync(cancel);
            await transaction.CommitAsync(cancel);
        }

        book.ChangeTracker.Clear();
        List<VisitReview> reviews = [];
        await book.RebuildAsync(cancel, reviews.Add);
        var started = await book.Visits.ToDictionaryAsync(v => v.Visit, v => v.StartedAt, cancel);
        book.Entries.AddRange(DemoReviews.Write(scenario, reviews, started).Select(e => EntryRow.From(e, new EntryReceipt(e.At, 0))));
        await book.SaveChangesAsync(cancel);
        book.ChangeTracker.Clear();
        await book.RebuildAsync(cancel);
    }
}

/// <summary>A database that is not served, because something in it is not as it was kept; each line says what in words.</summary>
/// <param name="faults">The lines.</param>
public sealed class BrokenBookException(IReadOnlyList<string> faults) : Exception(string.Join(Environment.NewLine, faults));
