using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using UpperStill.Core.Setup.People;

namespace UpperStill.Server.Tests;

public class VisitPhotoTests(RunningServer server) : IClassFixture<RunningServer>
{
    // The smallest picture that there is.
    private static readonly byte[] Picture = Convert.FromBase64String(
        "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=="
    );

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_photograph_that_an_entry_names_is_kept_and_sending_it_twice_is_harmless()
    {
        using var http = await server.AsAsync("sampler");
        var (path, photo) = await DeliveredAsync(http);

        Assert.Equal(HttpStatusCode.NoContent, (await PutAsync(http, path, Picture)).StatusCode);
        Assert.Equal(HttpStatusCode.NoContent, (await PutAsync(http, path, Picture)).StatusCode);
        Assert.NotEmpty(await http.GetByteArrayAsync($"/api/photos/{photo}", Cancel));
    }

    [Fact]
    public async Task What_no_entry_names_or_is_no_picture_is_not_kept()
    {
        using var http = await server.AsAsync("sampler");
        var (path, photo) = await DeliveredAsync(http);

        Assert.Equal(
            HttpStatusCode.NotFound,
            (await PutAsync(http, path.Replace(photo.ToString(), Guid.NewGuid().ToString(), StringComparison.Ordinal), Picture)).StatusCode
        );
        Assert.Equal(HttpStatusCode.BadRequest, (await PutAsync(http, path, "no picture"u8.ToArray())).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync($"/api/photos/{photo}", Cancel)).StatusCode);
    }

    [Fact]
    public async Task Whoever_does_not_sample_the_water_does_not_send_its_photographs()
    {
        using var sampler = await server.AsAsync("sampler");
        var (path, _) = await DeliveredAsync(sampler);
        using var elsewhere = await server.NewcomerAsync(new Grant(Role.Sampler, ["harrowmere"]));

        Assert.Equal(HttpStatusCode.Forbidden, (await PutAsync(elsewhere, path, Picture)).StatusCode);
    }

    // A visit of the tarn on which somebody saw a bloom.
    private static async Task<(string Path, Guid Photo)> DeliveredAsync(HttpClient http)
    {
        var photo = Guid.CreateVersion7();
        var entries = SentVisit.At("PEL-1");
        var seen = entries[1]!.DeepClone();
        seen["id"] = Guid.CreateVersion7().ToString();
        seen["kind"] = "observation";
        seen["body"] = new JsonObject
        {
            ["protocol"] = "bloom",
            ["version"] = 1,
            ["step"] = "describe",
            ["field"] = "photo",
            ["value"] = new JsonObject { ["photo"] = photo.ToString() },
            ["try"] = 1,
        };
        entries.Add(seen);
        var answer = await http.PostAsJsonAsync(
            "/api/entries",
            new JsonObject { ["sentAt"] = "2026-08-12T11:00:00+01:00", ["entries"] = await http.OwnAsync(entries) },
            Cancel
        );
        Assert.All((await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["answers"]!.AsArray(), a =>
            Assert.Equal("kept", (string)a!["status"]!)
        );
        return ($"/api/visits/{entries[0]!["visit"]}/photos/{photo}", photo);
    }

    private static Task<HttpResponseMessage> PutAsync(HttpClient http, string path, byte[] bytes)
    {
        var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new("image/png");
        return http.PutAsync(path, content, Cancel);
    }
}
