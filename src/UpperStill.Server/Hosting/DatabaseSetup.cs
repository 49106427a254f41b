using System.Text.Json;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Operations;
using UpperStill.Core.Review;
using UpperStill.Core.Visits;
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
    /// <summary>Migrates and, in the demo, fills an empty database.</summary>
    public static async Task PrepareAsync(FieldBook book, UserManager<Person> people, Instance instance, InstanceClock clock, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(people);
        ArgumentNullException.ThrowIfNull(instance);
        ArgumentNullException.ThrowIfNull(clock);
        var older = (await book.Database.GetAppliedMigrationsAsync(cancel)).Any() && (await book.Database.GetPendingMigrationsAsync(cancel)).Any();
        await book.Database.MigrateAsync(cancel);
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
            await people.CreateAsync(new Person { Id = Guid.CreateVersion7(), UserName = account.SignInName, Name = account.Name, Grants = account.Grants }, DemoScenario.Password);
        }

        clock.StandOn(book, scenario.Now);
    }

    private static async Task FillAsync(FieldBook book, DemoScenario scenario, CancellationToken cancel)
    {
        await using (var transaction = await book.Database.BeginTransactionAsync(cancel))
        {
            book.Programmes.AddRange(scenario.Programmes.Select(p => new ProgrammeRow
            {
                Code = p.Code,
                Version = p.Version,
                Definition = JsonSerializer.Serialize(p, CoreJson.Default.Programme),
            }));
            book.Kit.AddRange(scenario.Kit.Select(i => new KitRow { Code = i.Code, Kind = i.Kind, Definition = JsonSerializer.Serialize(i, SetupJson.Default.KitItem) }));
            book.Waters.AddRange(scenario.Waters.Select(w => w.Drawn()).Select(w => new WaterRow { Code = w.Code, Definition = JsonSerializer.Serialize(w, SetupJson.Default.Water) }));
            book.Stations.AddRange(scenario.Stations.Select((s, i) => new StationRow
            {
                Code = s.Station.Code,
                Water = s.Station.WaterCode,
                Definition = JsonSerializer.Serialize(s.Station, CoreJson.Default.Station),
                Programme = s.Programme,
                Line = s.Line,
                Weekdays = string.Join(',', s.Weekdays),
                Ordinal = i,
            }));
            book.Laboratories.Add(new LaboratoryRow { Code = "lab", Definition = JsonSerializer.Serialize(scenario.Laboratory, SetupJson.Default.Laboratory) });
            book.SeasonDays.AddRange(scenario.Days.Select(d => new SeasonDayRow
            {
                Id = Guid.CreateVersion7(),
                Day = d.Day,
                Kind = Enum.Parse<SeasonDayKind>(d.Kind, ignoreCase: true),
                Why = d.Why,
                Station = d.Station,
                By = scenario.People[0].Name,
                At = scenario.Now,
            }));
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
