using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;
using UpperStill.StandIns.Demo;
using UpperStill.Store.Log;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Tests;

/// <summary>A real database file with the demo's stations and an empty log; gone after the test.</summary>
internal sealed class TestBook : IAsyncDisposable
{
    // Made once; each test works on a copy.
    private static readonly Lazy<Task<byte[]>> Prepared = new(PrepareAsync);

    private readonly string file = Path.Combine(Path.GetTempPath(), $"upper-still-{Guid.NewGuid():N}.db");

    internal static EntryReceipt Receipt { get; } = new(new DateTimeOffset(2026, 8, 12, 12, 0, 0, TimeSpan.Zero), 0);

    internal LogBook Log { get; } = new();

    internal static async Task<TestBook> OpenAsync()
    {
        var test = new TestBook();
        await File.WriteAllBytesAsync(test.file, await Prepared.Value);
        return test;
    }

    private static async Task<byte[]> PrepareAsync()
    {
        await using var test = new TestBook();
        await using (var book = test.Book())
        {
            await book.Database.MigrateAsync();
            var scenario = DemoScenario.Load();
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

            book.Stations.AddRange(
                scenario.Stations.Select(s => new StationRow
                {
                    Code = s.Station.Code,
                    Water = s.Station.WaterCode,
                    Definition = JsonSerializer.Serialize(s.Station, CoreJson.Default.Station),
                    Programme = s.Programme,
                    Line = s.Line,
                })
            );
            await book.SaveChangesAsync();
            await book.Database.ExecuteSqlRawAsync("PRAGMA wal_checkpoint(TRUNCATE)");
        }

        return await File.ReadAllBytesAsync(test.file);
    }

    internal FieldBook Book()
    {
        var options = new DbContextOptionsBuilder<FieldBook>();
        FieldBookFactory.Configure(options, file);
        return new FieldBook(options.Options);
    }

    internal async Task<IReadOnlyList<Delivered>> DeliverAsync(params IReadOnlyList<Entry> entries)
    {
        await using var book = Book();
        return await Log.DeliverAsync(
            book,
            entries,
            Receipt,
            new Deliverer(new Permissions([new Grant(Role.Coordinator)])),
            CancellationToken.None
        );
    }

    internal static Entry Entry<T>(Guid visit, EntryKind<T> kind, T body, DateTimeOffset? at = null)
        where T : class =>
        new(
            Guid.CreateVersion7(),
            visit,
            kind.Name,
            1,
            JsonSerializer.SerializeToElement(body, (JsonTypeInfo<T>)kind.Body),
            at ?? new DateTimeOffset(2026, 8, 12, 10, 30, 0, TimeSpan.FromHours(1)),
            "Asa",
            "phone"
        );

    /// <summary>Every row of every projection, as text.</summary>
    internal async Task<string> ProjectionsAsync()
    {
        await using var book = Book();
        var visits = await book.Visits.AsNoTracking().OrderBy(v => v.Visit).ToListAsync();
        var readings = await book
            .Readings.AsNoTracking()
            .OrderBy(r => r.Visit)
            .ThenBy(r => r.Protocol)
            .ThenBy(r => r.Parameter)
            .ThenBy(r => r.Item)
            .ToListAsync();
        var findings = await book.Findings.AsNoTracking().OrderBy(f => f.Visit).ThenBy(f => f.Ordinal).ToListAsync();
        var levels = await book.Levels.AsNoTracking().OrderBy(l => l.Visit).ThenBy(l => l.Ordinal).ToListAsync();
        return string.Join(
            '\n',
            [
                JsonSerializer.Serialize(visits),
                JsonSerializer.Serialize(readings),
                JsonSerializer.Serialize(findings),
                JsonSerializer.Serialize(levels),
            ]
        );
    }

    public ValueTask DisposeAsync()
    {
        Log.Dispose();
        foreach (var part in new[] { file, file + "-wal", file + "-shm" })
        {
            File.Delete(part);
        }

        return ValueTask.CompletedTask;
    }
}
