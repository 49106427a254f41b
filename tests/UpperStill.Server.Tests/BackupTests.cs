using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using UpperStill.Server.Backups;
using UpperStill.Server.Hosting;
using UpperStill.Store;
using UpperStill.Store.Projections;

namespace UpperStill.Server.Tests;

/// <summary>The way back: a backup made while serving restores to the same record, and what is not whole is said in words.</summary>
public sealed class BackupTests : IDisposable
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private readonly string folder = Directory.CreateTempSubdirectory("upper-still-backup-").FullName;

    [Fact]
    public async Task A_backup_taken_while_serving_restores_to_the_same_record_and_devices_offer_again_what_came_after()
    {
        using var server = new RunningServer();
        using var http = await server.AsAsync("coordinator");
        var before = await SendAsync(http);
        var stop = new CancellationTokenSource();
        var writing = Task.Run(async () =>
        {
            var sent = 0;
            while (!stop.IsCancellationRequested)
            {
                await SendAsync(http);
                sent++;
            }

            return sent;
        });

        var (backup, manifest) = await Backup.MakeAsync(
            new Instance(server.Folder, true),
            folder,
            DateTimeOffset.UtcNow,
            CancellationToken.None
        );
        await stop.CancelAsync();
        Assert.True(await writing > 0);
        var after = await SendAsync(http);
        Assert.Empty(manifest.Faults(backup));

        using var restored = new RestoredServer(backup);
        using var again = await restored.AsAsync("coordinator");
        Assert.Equal(await EntriesAsync(http, before.Visit), await EntriesAsync(again, before.Visit));
        Assert.Equal("[]", await EntriesAsync(again, after.Visit));

        // The device that sent it learns that this log is not the one it spoke with, and offers it again; nothing is doubled.
        Assert.False((bool)(await DeliverAsync(again, after.Mark))["holds"]!);
        var offered = await DeliverAsync(again, null, [.. before.Entries, .. after.Entries]);
        Assert.Equal(
            [.. before.Entries.Select(_ => "already"), .. after.Entries.Select(_ => "kept")],
            offered["answers"]!.AsArray().Select(a => (string)a!["status"]!)
        );
        Assert.True((bool)(await DeliverAsync(again, offered["mark"]))["holds"]!);

        // Nobody has to sign in anew: the keys came along. And all of it is whole.
        using var said = new StringWriter();
        Assert.True(await Commands.RunAsync(["verify", "--data", restored.Folder], said, CancellationToken.None) == 0, said.ToString());
    }

    [Fact]
    public async Task A_backup_that_was_altered_is_not_restored_and_nothing_is_changed()
    {
        using var server = new RunningServer();
        var (backup, _) = await Backup.MakeAsync(new Instance(server.Folder, true), folder, DateTimeOffset.UtcNow, CancellationToken.None);
        var data = Path.Combine(folder, "data");

        Assert.Contains("A server is running", await RestoreAsync(server.Folder, backup, "--replace"), StringComparison.Ordinal);
        Assert.Contains("is no backup", await RestoreAsync(data, folder), StringComparison.Ordinal);
        await using (var file = File.OpenWrite(Path.Combine(backup, "upper-still.db")))
        {
            file.Seek(-10, SeekOrigin.End);
            file.WriteByte(7);
        }

        Assert.Contains("upper-still.db is not the file that was written", await RestoreAsync(data, backup), StringComparison.Ordinal);
        File.Delete(Path.Combine(backup, "upper-still.db"));
        Assert.Contains("upper-still.db is missing", await RestoreAsync(data, backup), StringComparison.Ordinal);
        Assert.Empty(Backups());

        string[] Backups() => Directory.Exists(data) ? Directory.GetFiles(data, "*.db") : [];
    }

    [Fact]
    public async Task What_is_replaced_is_set_aside()
    {
        string data;
        string backup;
        using (var server = new KeptServer(folder))
        {
            data = server.Folder;
            (backup, _) = await Backup.MakeAsync(new Instance(data, true), folder, DateTimeOffset.UtcNow, CancellationToken.None);
        }

        Assert.Contains("holds a record already", await RestoreAsync(data, backup), StringComparison.Ordinal);
        var said = await RestoreAsync(data, backup, "--replace");

        Assert.Contains("Devices offer again", said, StringComparison.Ordinal);
        var aside = Assert.Single(Directory.GetDirectories(data, "replaced-*"));
        Assert.True(File.Exists(Path.Combine(aside, "upper-still.db")));
        Assert.True(File.Exists(Path.Combine(data, "upper-still.db")));
        Assert.Empty(Directory.GetDirectories(data, "unfinished-*"));
    }

    [Theory]
    [InlineData(
        "DROP TRIGGER Entries_no_update; UPDATE Entries SET By = 'Nobody' WHERE Sequence = (SELECT max(Sequence) - 3 FROM Entries); "
            + "CREATE TRIGGER Entries_no_update BEFORE UPDATE ON Entries BEGIN SELECT RAISE(ABORT, 'x'); END",
        "is not what it was when it was kept"
    )]
    [InlineData("DROP TRIGGER Entries_no_delete", "The guard Entries_no_delete")]
    [InlineData(null, "The database file is damaged")]
    public async Task A_server_does_not_serve_a_log_that_is_not_whole(string? sql, string says)
    {
        string data;
        using (var server = new KeptServer(folder))
        {
            data = server.Folder;
        }

        SqliteConnection.ClearAllPools();
        if (sql is not null)
        {
            await using var connection = new SqliteConnection($"Data Source={Path.Combine(data, "upper-still.db")};Pooling=False");
            await connection.OpenAsync();
            await using var command = connection.CreateCommand();
            command.CommandText = sql;
            await command.ExecuteNonQueryAsync();
        }
        else
        {
            await using var file = File.OpenWrite(Path.Combine(data, "upper-still.db"));
            file.Seek(4096 * 3, SeekOrigin.Begin);
            file.Write(new byte[4096 * 20]);
        }

        using var process = Process.Start(
            new ProcessStartInfo(
                "dotnet",
                [typeof(Instance).Assembly.Location, "--data", data, "--demo", "true", "--urls", "http://127.0.0.1:0"]
            )
            {
                RedirectStandardError = true,
                RedirectStandardOutput = true,
            }
        )!;
        var output = process.StandardOutput.ReadToEndAsync();
        var error = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();

        Assert.Equal(1, process.ExitCode);
        Assert.Contains(says, error, StringComparison.Ordinal);
        Assert.Contains("Nothing is served", error, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", error, StringComparison.Ordinal);
        Assert.DoesNotContain("listening", await output, StringComparison.Ordinal);
        using var said = new StringWriter();
        Assert.Equal(1, await Commands.RunAsync(["verify", "--data", data], said, CancellationToken.None));
        Assert.Contains(says, said.ToString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_projection_that_does_not_follow_from_the_log_is_named()
    {
        using var server = new RunningServer();
        await using (var connection = new SqliteConnection($"Data Source={Path.Combine(server.Folder, "upper-still.db")};Pooling=False"))
        {
            await connection.OpenAsync();
            await using var command = connection.CreateCommand();
            command.CommandText =
                "UPDATE Readings SET Value = 9 WHERE Parameter = 'clarity' AND Visit = (SELECT Visit FROM Readings WHERE Parameter "
                + "= 'clarity' LIMIT 1)";
            await command.ExecuteNonQueryAsync();
        }

        using var said = new StringWriter();
        Assert.Equal(1, await Commands.RunAsync(["verify", "--data", server.Folder], said, CancellationToken.None));

        Assert.Contains("Readings: 1 rows do not follow from the log", said.ToString(), StringComparison.Ordinal);
        Assert.Empty(Directory.GetFiles(server.Folder, "verify-*"));
    }

    [Fact]
    public void An_upgrade_leaves_the_database_as_the_earlier_build_left_it()
    {
        using var earlier = new EarlierServer();

        var copy = Assert.Single(Directory.GetFiles(Path.Combine(earlier.Folder, "before-upgrade")));
        Assert.EndsWith("_Answers.db", copy, StringComparison.Ordinal);
        using var connection = new SqliteConnection($"Data Source={copy};Mode=ReadOnly;Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT (SELECT count(*) FROM Entries) || (SELECT count(*) FROM sqlite_master WHERE name = 'Links')";
        Assert.Matches("^[1-9][0-9]+0$", (string)command.ExecuteScalar()!);
    }

    [Fact]
    public async Task A_server_that_was_killed_while_it_upgraded_starts_again()
    {
        using var upgraded = new AbandonedUpgrade();
        using var http = await upgraded.AsAsync("coordinator", EarlierServer.Password);

        Assert.NotEqual("[]", await http.GetStringAsync("/api/stations"));
    }

    [Fact]
    [System.Runtime.Versioning.UnsupportedOSPlatform("windows")]
    public void Data_is_its_owners_only()
    {
        using var server = new RunningServer();

        Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute, File.GetUnixFileMode(server.Folder));
        Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, File.GetUnixFileMode(Path.Combine(server.Folder, "upper-still.db")));
    }

    [Fact]
    public void Backups_grow_fewer_with_age_and_the_newest_stays()
    {
        var now = new DateTimeOffset(2026, 11, 29, 12, 0, 0, TimeSpan.Zero);
        var hourly = Enumerable.Range(0, 24 * 365 * 4).Select(h => now.AddHours(-h)).ToList();

        var kept = BackupAges.Kept(hourly, now);

        Assert.Equal(49, kept.Count(k => now - k <= TimeSpan.FromDays(2)));
        Assert.InRange(kept.Count(k => now - k > TimeSpan.FromDays(2) && now - k <= TimeSpan.FromDays(14)), 12, 13);
        Assert.InRange(kept.Count(k => now - k > TimeSpan.FromDays(14) && now - k <= TimeSpan.FromDays(61)), 7, 8);
        Assert.InRange(kept.Count(k => now - k > TimeSpan.FromDays(61) && now - k <= TimeSpan.FromDays(731)), 22, 24);
        Assert.InRange(kept.Count(k => now - k > TimeSpan.FromDays(731)), 2, 3);

        // Thinned day by day as they age, none is lost that a thinning of all at once would keep.
        Assert.Equal(kept.Order(), BackupAges.Kept([.. kept], now).Order());
        Assert.Equal([now.AddYears(-9)], BackupAges.Kept([now.AddYears(-9)], now));
        Assert.Empty(BackupAges.Kept([], now));
    }

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private static async Task<string> EntriesAsync(HttpClient http, Guid visit) =>
        await http.GetStringAsync($"/api/visits/{visit}/entries");

    private static async Task<JsonObject> DeliverAsync(HttpClient http, JsonNode? mark, params JsonNode[] entries)
    {
        var answer = await http.PostAsJsonAsync(
            "/api/entries",
            new
            {
                sentAt = DateTimeOffset.UtcNow,
                entries = await http.OwnAsync(entries),
                mark,
            }
        );
        answer.EnsureSuccessStatusCode();
        return (await answer.Content.ReadFromJsonAsync<JsonObject>())!;
    }

    private static async Task<(Guid Visit, JsonNode[] Entries, JsonNode Mark)> SendAsync(HttpClient http)
    {
        JsonNode[] entries = [.. SentVisit.At("PEL-1").Select(e => e!.DeepClone())];
        var answer = await DeliverAsync(http, null, entries);
        Assert.All(answer["answers"]!.AsArray(), a => Assert.Equal("kept", (string)a!["status"]!));
        return (Guid.Parse((string)entries[0]["visit"]!), entries, answer["mark"]!);
    }

    [Fact]
    public async Task A_backup_of_an_earlier_build_is_restored_and_brought_up_to_date_at_the_next_start()
    {
        using var server = new RunningServer();
        var (backup, manifest) = await Backup.MakeAsync(new Instance(server.Folder, true), folder, DateTimeOffset.UtcNow, Cancel);
        var database = Path.Combine(backup, Instance.Database);
        await using (var book = FieldBookFactory.Open(database))
        {
            // As the build before people had ids left it.
            await book.Database.ExecuteSqlRawAsync(
                """
                UPDATE Kit SET Definition = json_set(Definition, '$.checks', 
                    (SELECT json_group_array(json(c.Definition)) FROM KitChecks c WHERE c.Item = Kit.Code));
                DROP TRIGGER Marks_VisitChanged; DROP VIEW Record; DROP TABLE Readings;
                CREATE TABLE Clarities (Visit TEXT PRIMARY KEY); CREATE TABLE "Values" (Visit TEXT PRIMARY KEY);
                DROP TABLE Trainings; DROP TABLE WaitingVisits; DROP TABLE KitChecks;
                DROP TABLE KnownNames; DROP TABLE Sessions; DROP TABLE AccountEvents;
                ALTER TABLE Entries DROP COLUMN Person; ALTER TABLE Entries DROP COLUMN DeliveredById;
                ALTER TABLE People DROP COLUMN LinkFrom; ALTER TABLE People DROP COLUMN LinkBy; ALTER TABLE People DROP COLUMN CalendarKey;
                ALTER TABLE Waters DROP COLUMN Version; ALTER TABLE Stations DROP COLUMN Version;
                ALTER TABLE Kit DROP COLUMN Version; ALTER TABLE Laboratories DROP COLUMN Version;
                DELETE FROM __EFMigrationsHistory WHERE MigrationId > '20261129120057_Links';
                PRAGMA journal_mode=DELETE;
                """,
                Cancel
            );
        }

        (manifest with { Files = [.. manifest.Files.Select(f => BackupManifest.Of(backup, Path.Combine(backup, f.Path)))] }).Write(backup);
        using var restored = new RestoredServer(backup);
        using var http = await restored.AsAsync("coordinator");
        var kit = (await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!;
        Assert.Contains(kit.Single(i => (string)i!["item"]!["code"]! == "R-4")!["history"]!.AsArray(), c =>
            (string)c!["result"]!["summary"]! == "2.3 % long: it read short"
        );
        Assert.DoesNotContain(Directory.EnumerateFiles(restored.Folder), f =>
            Path.GetFileName(f).StartsWith("looked-at", StringComparison.Ordinal)
        );
        using var said = new StringWriter();
        Assert.True(await Commands.RunAsync(["verify", "--data", restored.Folder], said, Cancel) == 0, said.ToString());
    }

    [Fact]
    public async Task An_import_that_was_cut_off_is_said_so_and_is_gone_on_with_at_the_next_start()
    {
        using var server = new CutOffServer();
        Assert.Contains("visits of a table that was brought in are still to be worked out", server.Verified, StringComparison.Ordinal);
        await using var book = FieldBookFactory.Open(Path.Combine(server.Folder, Instance.Database));
        while (await book.Waiting.AnyAsync(Cancel))
        {
            await Task.Delay(20, Cancel);
        }

        using var said = new StringWriter();
        Assert.True(await Commands.RunAsync(["verify", "--data", server.Folder], said, Cancel) == 0, said.ToString());
        Assert.DoesNotContain("still to be worked out", said.ToString(), StringComparison.Ordinal);
    }

    private static async Task<string> RestoreAsync(string data, string from, params string[] flags)
    {
        using var said = new StringWriter();
        await Commands.RunAsync(["restore", "--data", data, "--from", from, .. flags], said, CancellationToken.None);
        return said.ToString();
    }

    private sealed class RestoredServer(string backup) : RunningServer(true)
    {
        protected override void Prepare(string folder)
        {
            using var said = new StringWriter();
            Assert.True(
                Commands.RunAsync(["restore", "--data", folder, "--from", backup], said, CancellationToken.None).GetAwaiter().GetResult()
                    == 0,
                said.ToString()
            );
        }
    }

    // The lock that migrations take stands as a killed server leaves it.
    private sealed class AbandonedUpgrade : EarlierServer
    {
        protected override void Prepare(string folder)
        {
            base.Prepare(folder);
            using var connection = new SqliteConnection($"Data Source={Path.Combine(folder, "upper-still.db")};Pooling=False");
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText = "INSERT INTO \"__EFMigrationsLock\" VALUES (1, '2026-11-29 13:31:00')";
            command.ExecuteNonQuery();
        }
    }

    // As one that was killed amid an import leaves it: the entries of a station are in the log, and nothing is worked out.
    private sealed class CutOffServer : RunningServer
    {
        internal string Verified { get; private set; } = string.Empty;

        protected override void Prepare(string folder)
        {
            base.Prepare(folder);
            using (var connection = new SqliteConnection($"Data Source={Path.Combine(folder, Instance.Database)};Pooling=False"))
            {
                connection.Open();
                using var command = connection.CreateCommand();
                command.CommandText =
                    "INSERT INTO WaitingVisits (Visit, Station, Day, Since) SELECT Visit, Station, Day, LastSequence FROM Visits "
                    + "WHERE Station = 'HAR-1'; "
                    + string.Concat(
                        ProjectionCheck.Tables.Select(t => $"DELETE FROM \"{t}\" WHERE Visit IN (SELECT Visit FROM WaitingVisits); ")
                    );
                command.ExecuteNonQuery();
            }

            using var said = new StringWriter();
            Assert.Equal(0, Commands.RunAsync(["verify", "--data", folder], said, CancellationToken.None).GetAwaiter().GetResult());
            Verified = said.ToString();
        }
    }

    // Its data stays after it.
    private sealed class KeptServer(string under) : RunningServer(true, Directory.CreateDirectory(Path.Combine(under, "kept")).FullName);
}
