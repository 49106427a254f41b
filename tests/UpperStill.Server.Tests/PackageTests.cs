using System.IO.Compression;
using System.Net;
using System.Net.Http.Json;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using UpperStill.Server.Hosting;
using UpperStill.Server.Packages;
using UpperStill.Store;

namespace UpperStill.Server.Tests;

/// <summary>The record as a package: out of one instance, into another, and the same.</summary>
public sealed class PackageTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_whole_demo_goes_out_and_comes_into_an_empty_instance_as_the_same_record()
    {
        var package = await ExportAsync("/api/export");
        await using var empty = new EmptyServer();
        var answer = await ImportAsync(empty, package);
        Assert.True(answer.Done, string.Join(' ', answer.Findings.Select(f => f.Seen)));
        Assert.True(answer.Entries > 5000 && answer.Visits > 500 && answer.Stations == 12);

        using var one = server.Services.CreateScope();
        using var other = empty.Services.CreateScope();
        var (from, into) = (one.ServiceProvider.GetRequiredService<FieldBook>(), other.ServiceProvider.GetRequiredService<FieldBook>());
        await SameAsync(
            from.Readings.OrderBy(r => r.Visit).ThenBy(r => r.Protocol).ThenBy(r => r.Parameter).ThenBy(r => r.Item),
            into.Readings.OrderBy(r => r.Visit).ThenBy(r => r.Protocol).ThenBy(r => r.Parameter).ThenBy(r => r.Item),
            r =>
                $"{r.Visit} {r.Station} {r.Day} {r.Protocol} {r.Parameter} {r.Item} {r.Depth} {r.Value} {r.Unit} {r.Censored} "
                + $"{r.Usable} {r.OfLaboratory} {r.SignedOff} {r.Text} {r.Method}"
        );
        await SameAsync(from.Visits.OrderBy(v => v.Visit), into.Visits.OrderBy(v => v.Visit), v =>
            $"{v.Visit} {v.Station} {v.StartedAt} {v.Closed} {v.Took} {v.Observers} {v.Review} {v.FieldSigned} {v.ResultsSigned} "
            + $"{v.OpenFindings}"
        );
        await SameAsync(
            from.Levels.OrderBy(l => l.Visit).ThenBy(l => l.Ordinal),
            into.Levels.OrderBy(l => l.Visit).ThenBy(l => l.Ordinal),
            l => $"{l.Visit} {l.Ordinal} {l.DepthM} {l.TemperatureC} {l.OxygenMgL}"
        );
        await SameAsync(
            from.Findings.OrderBy(f => f.Visit).ThenBy(f => f.Ordinal),
            into.Findings.OrderBy(f => f.Visit).ThenBy(f => f.Ordinal),
            f => $"{f.Visit} {f.Code} {f.Level} {f.Seen} {f.Kept}"
        );
        await SameAsync(
            from.Samples.OrderBy(s => s.Visit).ThenBy(s => s.Number),
            into.Samples.OrderBy(s => s.Visit).ThenBy(s => s.Number),
            s => s.Definition
        );

        // What goes out again is the same to the letter; the descriptor has its date, and the calendar is planned from the day on.
        var sent = Contents(package);
        Assert.True(sent.Remove("season.ics"));
        using var again = new MemoryStream();
        await other
            .ServiceProvider.GetRequiredService<PackageExport>()
            .WriteAsync(again, "again", [.. await into.Stations.Select(s => s.Code).ToListAsync(Cancel)], true, Cancel);
        Assert.Equal(sent, Contents(again.ToArray()));
    }

    [Fact]
    public async Task Photographs_and_the_files_of_meters_go_with_it()
    {
        byte[] picture = [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A, 0, 0, 0, 0, 0x49, 0x45, 0x4E, 0x44, 0xAE, 0x42, 0x60, 0x82];
        var cast = Encoding.UTF8.GetBytes("Depth m,Temp C\n0.3,21.4\n1.0,21.2\n");
        var sha256 = Convert.ToHexStringLower(SHA256.HashData(cast));
        using var http = await server.AsAsync("coordinator");
        using var content = new ByteArrayContent(picture);
        content.Headers.ContentType = new("image/png");
        var photo = (string)
            (await (await http.PostAsync("/api/waters/pell-tarn/photos", content, Cancel)).Content.ReadFromJsonAsync<JsonObject>(Cancel))![
                "id"
            ]!;
        using var file = new ByteArrayContent(cast);
        file.Headers.ContentType = new("text/csv");
        (await http.PutAsync(await CastFileTests.DeliveredAsync(http, sha256), file, Cancel)).EnsureSuccessStatusCode();

        await using var empty = new EmptyServer();
        var answer = await ImportAsync(empty, await ExportAsync("/api/export?water=pell-tarn"));
        Assert.True(answer.Done, string.Join(' ', answer.Findings.Select(f => f.Seen)));
        using var scope = empty.Services.CreateScope();
        var kept = await scope.ServiceProvider.GetRequiredService<FieldBook>().Photos.SingleAsync(p => p.Id == Guid.Parse(photo), Cancel);
        Assert.Equal(picture, kept.Bytes);
        Assert.Equal(("image/png", "pell-tarn"), (kept.ContentType, kept.Water));
        Assert.Equal(cast, await File.ReadAllBytesAsync(empty.Services.GetRequiredService<Instance>().CastFile(sha256)!, Cancel));
    }

    [Fact]
    public async Task A_water_goes_out_with_its_own_visits_only()
    {
        var files = Contents(await ExportAsync("/api/export?water=pell-tarn"));
        Assert.Contains("PEL-1", files["readings.csv"], StringComparison.Ordinal);
        Assert.All(files["visits.csv"].Split("\r\n").Skip(1).Where(l => l.Length > 0), line =>
            Assert.Contains(",PEL-", line, StringComparison.Ordinal)
        );
        Assert.Contains("SUMMARY:Pell Tarn", files["season.ics"], StringComparison.Ordinal);
        Assert.DoesNotContain("Harrowmere", files["season.ics"], StringComparison.Ordinal);
        Assert.Equal(3, files["stations.csv"].Split("\r\n").Skip(1).Count(l => l.Length > 0));
        Assert.Equal("Point", (string)JsonNode.Parse(files["stations.geojson"])!["features"]![0]!["geometry"]!["type"]!);
    }

    [Fact]
    public async Task Units_stand_beside_the_numbers_and_methods_are_said()
    {
        var lines = Contents(await ExportAsync("/api/export?station=HAR-2"))["readings.csv"].Split("\r\n");
        Assert.Equal("visit,station,day,parameter,place,depth_m,value,censored,unit,as_reported,method,usable,signed_off", lines[0]);
        Assert.Contains(lines, l =>
            l.Contains(",clarity,,,", StringComparison.Ordinal)
            && l.Contains(",m,", StringComparison.Ordinal)
            && l.Contains("disc seen again", StringComparison.Ordinal)
        );
        Assert.Contains(lines, l =>
            l.Contains(",dissolved oxygen,profile,", StringComparison.Ordinal) && l.Contains(",mg/L,", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData("entries.csv", false, "entries.csv is named in the descriptor and is not in the package.")]
    [InlineData("kit.csv", true, "kit.csv is not the file that the descriptor names: its checksum differs.")]
    [InlineData("datapackage.json", false, "The package has no descriptor, datapackage.json.")]
    public async Task A_missing_file_or_a_changed_one_is_refused_and_nothing_is_kept(string path, bool change, string seen)
    {
        var broken = Without(await ExportAsync("/api/export?water=pell-tarn"), path, change);
        await using var empty = new EmptyServer();
        var answer = await ImportAsync(empty, broken);
        Assert.False(answer.Done);
        Assert.Contains(answer.Findings, f => f.Seen == seen);
        using var scope = empty.Services.CreateScope();
        Assert.False(await scope.ServiceProvider.GetRequiredService<FieldBook>().Waters.AnyAsync(Cancel));
    }

    [Fact]
    public async Task A_file_that_is_no_package_and_one_that_unpacks_without_end_are_refused()
    {
        await using var empty = new EmptyServer();
        Assert.Equal("package-broken", Assert.Single((await ImportAsync(empty, Encoding.UTF8.GetBytes("day,value"))).Findings).Code);

        using var bomb = new MemoryStream();
        using (var zip = new ZipArchive(bomb, ZipArchiveMode.Create, leaveOpen: true))
        {
            await using var entry = zip.CreateEntry("entries.csv", CompressionLevel.SmallestSize).Open();
            for (var i = 0; i < 64; i++)
            {
                await entry.WriteAsync(new byte[1024 * 1024], Cancel);
            }
        }

        Assert.Contains(
            "out of proportion",
            Assert.Single((await ImportAsync(empty, bomb.ToArray())).Findings).Seen,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task An_instance_that_holds_a_record_takes_no_package()
    {
        using var http = await server.AsAsync("coordinator");
        using var content = new ByteArrayContent(await ExportAsync("/api/export?water=pell-tarn"));
        content.Headers.ContentType = new("application/octet-stream");
        var answer = (await (await http.PostAsync("/api/import/package", content, Cancel)).Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
        Assert.Equal((false, "package-not-empty"), ((bool)answer["done"]!, (string)answer["findings"]![0]!["code"]!));
    }

    [Fact]
    public async Task Nobody_takes_out_what_they_may_not_see()
    {
        using var http = await server.NewcomerAsync(new Core.Setup.People.Grant(Core.Setup.People.Role.Sampler, ["pell-tarn"]));
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/export?water=harrowmere", Cancel)).StatusCode);
        var files = Contents(await http.GetByteArrayAsync("/api/export", Cancel));
        Assert.DoesNotContain("HAR-1", files["visits.csv"], StringComparison.Ordinal);
        Assert.DoesNotContain("harrowmere", files["waters.csv"], StringComparison.Ordinal);
    }

    private async Task<byte[]> ExportAsync(string path)
    {
        using var http = await server.AsAsync("coordinator");
        return await http.GetByteArrayAsync(path, Cancel);
    }

    private static async Task<PackageAnswer> ImportAsync(EmptyServer into, byte[] package)
    {
        using var scope = into.Services.CreateScope();
        using var file = new MemoryStream(package);
        return await scope.ServiceProvider.GetRequiredService<PackageImport>().ReadAsync(file, Cancel);
    }

    private static async Task SameAsync<T>(IQueryable<T> one, IQueryable<T> other, Func<T, string> said)
        where T : class =>
        Assert.Equal(
            (await one.AsNoTracking().ToListAsync(Cancel)).Select(said),
            (await other.AsNoTracking().ToListAsync(Cancel)).Select(said)
        );

    private static Dictionary<string, string> Contents(byte[] package)
    {
        using var zip = new ZipArchive(new MemoryStream(package));
        return zip
            .Entries.Where(e => e.Name != "datapackage.json")
            .ToDictionary(
                e => e.Name,
                e =>
                {
                    using var text = new StreamReader(e.Open());
                    return text.ReadToEnd();
                }
            );
    }

    private static byte[] Without(byte[] package, string path, bool change)
    {
        using var stream = new MemoryStream();
        stream.Write(package);
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Update, leaveOpen: true))
        {
            zip.GetEntry(path)!.Delete();
            if (change)
            {
                using var text = new StreamWriter(zip.CreateEntry(path).Open());
                text.Write("code,kind,definition\r\n");
            }
        }

        return stream.ToArray();
    }
}
