using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Tests;

/// <summary>A database of every earlier schema opens in this one, with what was in it.</summary>
public sealed class MigrationTests : IDisposable
{
    private readonly string file = Path.Combine(Path.GetTempPath(), $"upper-still-{Guid.NewGuid():N}.db");

    [Fact]
    public async Task Stations_from_before_there_were_waters_keep_theirs()
    {
        await using (var book = Book())
        {
            await book.GetService<IMigrator>().MigrateAsync("First");
            await book.Database.ExecuteSqlRawAsync(
                """
                INSERT INTO Stations (Code, Definition, Programme, Ordinal) VALUES
                ('PEL-1', '{{"code":"PEL-1","water":"Pell Tarn","district":"Aldwick","name":"Middle","knownDepth":{{"written":"2.6","unit":"m"}},"latitudeDeg":51.8,"longitudeDeg":-21.4}}', 'town-lakes', 0),
                ('PEL-2', '{{"code":"PEL-2","water":"Pell Tarn","district":"Aldwick","name":"Outlet","knownDepth":{{"written":"1.6","unit":"m"}},"latitudeDeg":51.8,"longitudeDeg":-21.4}}', 'town-lakes', 1);
                """
            );
        }

        await using (var book = Book())
        {
            await book.Database.MigrateAsync();
            var water = Assert.Single(await book.Waters.ToListAsync());
            Assert.Equal(("pell-tarn", "Pell Tarn", "Aldwick"), (water.Code, water.Read().Name, water.Read().District));
            Assert.All(await book.Stations.ToListAsync(), s => Assert.Equal("pell-tarn", s.Read().WaterCode));
        }
    }

    [Fact]
    public async Task Lines_from_before_there_was_a_kit_keep_their_marks_and_the_day_of_their_check()
    {
        await using (var book = Book())
        {
            await book.GetService<IMigrator>().MigrateAsync("Season");
            await book.Database.ExecuteSqlRawAsync(
                """
                INSERT INTO Lines (Code, Definition) VALUES
                ('R-3', '{{"code":"R-3","name":"Rope in feet","unit":"ft-in","markEvery":{{"written":"3","unit":"in"}},"usable":{{"written":"110","unit":"ft"}},"checkedOn":"2026-04-11"}}'),
                ('R-9', '{{"code":"R-9","name":"New rope","unit":"m","markEvery":{{"written":"0.1","unit":"m"}},"usable":{{"written":"40","unit":"m"}}}}');
                """
            );
        }

        await using (var book = Book())
        {
            await book.Database.MigrateAsync();
            var lines = (await book.KitItemsAsync(TestContext.Current.CancellationToken)).Select(i => i.AsLine()).OfType<Line>().ToList();

            Assert.Equal(["R-3", "R-9"], lines.Select(l => l.Code));
            Assert.Equal(
                ("3", "110", new DateOnly(2026, 4, 11)),
                (lines[0].MarkEvery.Written, lines[0].Usable.Written, Assert.Single(lines[0].Checks!).Day)
            );
            Assert.Null(lines[0].CorrectionOn(new DateOnly(2026, 8, 12)));
            Assert.False(lines[1].CheckedIn(2026));
            Assert.Single(await book.Changes.ToListAsync(), c => c.Subject == "kit");
        }
    }

    [Fact]
    public async Task What_was_changed_by_whom_cannot_be_rewritten()
    {
        await using var book = Book();
        await book.Database.MigrateAsync();
        book.Note("Ada Fenn", DateTimeOffset.UnixEpoch, "station", "PEL-1", null, "{}");
        await book.SaveChangesAsync();

        await Assert.ThrowsAsync<SqliteException>(() => book.Changes.ExecuteDeleteAsync());
        await Assert.ThrowsAsync<SqliteException>(() => book.Changes.ExecuteUpdateAsync(c => c.SetProperty(r => r.By, "someone else")));
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        foreach (var part in new[] { file, file + "-wal", file + "-shm" })
        {
            File.Delete(part);
        }
    }

    private FieldBook Book()
    {
        var options = new DbContextOptionsBuilder<FieldBook>();
        FieldBookFactory.Configure(options, file);
        return new FieldBook(options.Options);
    }
}
