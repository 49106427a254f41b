using System.Net;
using System.Net.Http.Json;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json.Nodes;
using UpperStill.Core.Setup.People;

namespace UpperStill.Server.Tests;

public class CastFileTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static readonly byte[] Log = Encoding.UTF8.GetBytes("Depth m,Temp C\n0.3,21.4\n1.0,21.2\n");
    private static readonly string Sha256 = Convert.ToHexStringLower(SHA256.HashData(Log));

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_file_that_an_entry_names_is_kept_as_it_came_and_sending_it_twice_is_harmless()
    {
        using var http = await server.AsAsync("sampler");
        var path = await DeliveredAsync(http);

        Assert.Equal(HttpStatusCode.NoContent, (await PutAsync(http, path, Log)).StatusCode);
        Assert.Equal(HttpStatusCode.NoContent, (await PutAsync(http, path, Log)).StatusCode);
        Assert.Equal(Log, await http.GetByteArrayAsync(path, Cancel));
    }

    [Fact]
    public async Task Other_bytes_under_its_name_are_refused_and_nothing_is_kept()
    {
        using var http = await server.AsAsync("sampler");
        byte[] other = [.. Log, .. "2.0,20.9\n"u8];
        var named = Convert.ToHexStringLower(SHA256.HashData("something else"u8));
        var path = await DeliveredAsync(http, named);

        Assert.Equal(HttpStatusCode.BadRequest, (await PutAsync(http, path, other)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync(path, Cancel)).StatusCode);
    }

    [Theory]
    [InlineData("0000000000000000000000000000000000000000000000000000000000000000")]
    [InlineData("..%2F..%2Fupper-still.db")]
    public async Task What_no_entry_names_is_neither_kept_nor_shown(string name)
    {
        using var http = await server.AsAsync("sampler");
        var path = (await DeliveredAsync(http)).Replace(Sha256, name, StringComparison.Ordinal);

        Assert.Equal(HttpStatusCode.NotFound, (await PutAsync(http, path, Log)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync(path, Cancel)).StatusCode);
    }

    [Fact]
    public async Task Whoever_does_not_see_the_water_does_not_see_its_casts()
    {
        using var sampler = await server.AsAsync("sampler");
        var path = await DeliveredAsync(sampler);
        await PutAsync(sampler, path, Log);
        using var elsewhere = await server.NewcomerAsync(new Grant(Role.Sampler, ["harrowmere"]));

        Assert.Equal(HttpStatusCode.NotFound, (await elsewhere.GetAsync(path, Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.Forbidden, (await PutAsync(elsewhere, path, Log)).StatusCode);
    }

    [Fact]
    public async Task A_log_of_more_than_a_megabyte_is_taken()
    {
        using var http = await server.AsAsync("sampler");
        var large = Encoding.ASCII.GetBytes(string.Concat(Enumerable.Repeat("1.0,21.2,8.6,214\n", 100_000)));
        var path = await DeliveredAsync(http, Convert.ToHexStringLower(SHA256.HashData(large)));

        Assert.Equal(HttpStatusCode.NoContent, (await PutAsync(http, path, large)).StatusCode);
    }

    // A visit of the tarn with a cast whose file has this name.
    internal static async Task<string> DeliveredAsync(HttpClient http, string? sha256 = null)
    {
        var entries = SentVisit.At("PEL-1");
        var cast = entries[1]!.DeepClone();
        cast["id"] = Guid.CreateVersion7().ToString();
        cast["kind"] = "logged-cast";
        cast["body"] = new JsonObject
        {
            ["file"] = "tarn.csv",
            ["sha256"] = sha256 ?? Sha256,
            ["bytes"] = Log.Length,
            ["rows"] = 2,
            ["used"] = 2,
            ["wayUp"] = false,
            ["columns"] = new JsonObject { ["depth"] = "Depth m" },
        };
        entries.Add(cast);
        var answer = await http.PostAsJsonAsync(
            "/api/entries",
            new JsonObject { ["sentAt"] = "2026-08-12T11:00:00+01:00", ["entries"] = await http.OwnAsync(entries) },
            Cancel
        );
        Assert.All((await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["answers"]!.AsArray(), a =>
            Assert.Equal("kept", (string)a!["status"]!)
        );
        return $"/api/visits/{entries[0]!["visit"]}/casts/{sha256 ?? Sha256}";
    }

    private static Task<HttpResponseMessage> PutAsync(HttpClient http, string path, byte[] bytes)
    {
        var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new("text/csv");
        return http.PutAsync(path, content, Cancel);
    }
}
