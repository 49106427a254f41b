using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace UpperStill.Server.Tests;

/// <summary>Who is who in the record, and who delivers for whom.</summary>
public sealed class PeopleTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Whoever_is_known_to_have_read_under_another_spelling_no_longer_vouches_for_it()
    {
        using var sampler = await server.AsAsync("sampler");
        using var coordinator = await server.AsAsync("coordinator");
        var ada = (await PersonAsync(coordinator))["id"]!;
        var visit = await EndedAsync(sampler, "A. Fenn");
        await SignOffAsync(coordinator, visit);
        Assert.Equal("signed-off", (string)(await ReviewAsync(coordinator, visit))["state"]!);

        var names = (await coordinator.GetFromJsonAsync<JsonArray>("/api/people/names", Cancel))!;
        Assert.Equal(1, (int)Assert.Single(names, n => (string)n!["name"]! == "A. Fenn")!["visits"]!);
        Assert.DoesNotContain(names, n => (string)n!["name"]! == "Ada Fenn");
        var answer = await coordinator.PutAsJsonAsync("/api/people/names", new { name = "A. Fenn", person = ada }, Cancel);
        Assert.Equal(
            (string)ada!,
            (string)
                Assert.Single((await answer.Content.ReadFromJsonAsync<JsonArray>(Cancel))!, n => (string)n!["name"]! == "A. Fenn")![
                    "person"
                ]!
        );
        Assert.Contains((await coordinator.GetFromJsonAsync<JsonArray>("/api/reviews", Cancel))!, v => (string)v!["visit"]! == visit);
        var review = await ReviewAsync(coordinator, visit);
        Assert.Equal("signed-by-sampler", (string)Assert.Single(review["said"]!.AsArray())!["code"]!);

        await coordinator.PutAsJsonAsync("/api/people/names", new { name = "A. Fenn" }, Cancel);
        Assert.Equal("signed-off", (string)(await ReviewAsync(coordinator, visit))["state"]!);
        Assert.DoesNotContain((await coordinator.GetFromJsonAsync<JsonArray>("/api/reviews", Cancel))!, v => (string)v!["visit"]! == visit);
    }

    [Fact]
    public async Task A_name_that_somebody_had_stays_theirs()
    {
        using var coordinator = await server.AsAsync("coordinator");
        var given = new JsonObject
        {
            ["name"] = "Bo Marten",
            ["signInName"] = "bo",
            ["grants"] = new JsonArray(new JsonObject { ["role"] = "sampler" }),
        };
        var id = (string)
            (await (await coordinator.PostAsJsonAsync("/api/people", given, Cancel)).Content.ReadFromJsonAsync<JsonObject>(Cancel))!["id"]!;
        given["name"] = "Bo Otter";
        (await coordinator.PutAsJsonAsync($"/api/people/{id}", given, Cancel)).EnsureSuccessStatusCode();

        var station = (await coordinator.GetFromJsonAsync<JsonObject>("/api/stations/PEL-1", Cancel))!;
        Assert.Equal(
            ["Bo Otter", "Bo Marten"],
            Assert.Single(station["context"]!["people"]!.AsArray(), p => (string)p!["id"]! == id)!["names"]!
                .AsArray()
                .Select(n => (string)n!)
        );
    }

    [Fact]
    public async Task A_training_is_written_down_reaches_every_device_and_can_be_taken_away()
    {
        using var coordinator = await server.AsAsync("coordinator");
        using var sampler = await server.AsAsync("sampler");
        var people = (await coordinator.GetFromJsonAsync<JsonArray>("/api/people", Cancel))!;
        var id = (string)Assert.Single(people, p => (string)p!["signInName"]! == "sampler")!["id"]!;
        var address = $"/api/people/{id}/training";

        Assert.Equal(HttpStatusCode.Forbidden, (await sampler.GetAsync(address, Cancel)).StatusCode);
        foreach (var wrong in new[] { "2026-08-13", "2026-08-12" })
        {
            var refused = await coordinator.PostAsJsonAsync(
                address,
                new
                {
                    what = "seawater",
                    on = wrong,
                    by = wrong == "2026-08-12" ? " " : "Ada Fenn",
                },
                Cancel
            );
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        }

        var kept = await coordinator.PostAsJsonAsync(
            address,
            new
            {
                what = "seawater",
                on = "2026-04-02",
                by = "Ada Fenn",
            },
            Cancel
        );
        var training = Assert.Single((await kept.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["trainings"]!.AsArray())!;
        Assert.Equal("seawater", (string)(await TrainedAsync()).Single()!["what"]!);

        (await coordinator.DeleteAsync($"{address}/{(string)training["id"]!}", Cancel)).EnsureSuccessStatusCode();
        Assert.Empty(await TrainedAsync());
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await coordinator.GetAsync($"/api/people/{Guid.CreateVersion7()}/training", Cancel)).StatusCode
        );

        async Task<JsonArray> TrainedAsync()
        {
            var station = (await sampler.GetFromJsonAsync<JsonObject>("/api/stations/SKA-1", Cancel))!;
            return Assert.Single(station["context"]!["people"]!.AsArray(), p => (string)p!["id"]! == id)!["trained"]!.AsArray();
        }
    }

    [Fact]
    public async Task A_self_audit_stands_in_the_record_of_whoever_made_the_visit()
    {
        using var coordinator = await server.AsAsync("coordinator");
        var made = await coordinator.PostAsJsonAsync(
            "/api/people",
            new
            {
                name = "Bea Okafor",
                signInName = "bea",
                grants = new[] { new { role = "sampler" } },
            },
            Cancel
        );
        var id = (string)(await made.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["id"]!;

        var audit = Assert.Single(
            (await coordinator.GetFromJsonAsync<JsonObject>($"/api/people/{id}/training", Cancel))!["audits"]!.AsArray()
        )!;
        Assert.Equal(("HAR-2", "2026-07-08", "8 of 8"), ((string)audit["station"]!, (string)audit["day"]!, (string)audit["text"]!));
        var entries = (await coordinator.GetFromJsonAsync<JsonArray>($"/api/visits/{(string)audit["visit"]!}/entries", Cancel))!;
        var station = (await coordinator.GetFromJsonAsync<JsonObject>("/api/stations/HAR-2", Cancel))!;
        var folded = await coordinator.PostAsJsonAsync(
            "/api/core/fold-visit",
            new JsonObject { ["entries"] = entries.DeepClone(), ["context"] = station["context"]!.DeepClone() },
            Cancel
        );
        Assert.Contains(
            "audit-contradicts",
            (await folded.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["findings"]!.AsArray().Select(f => (string)f!["code"]!)
        );
    }

    [Fact]
    public async Task A_name_is_given_to_people_who_are_here_alone()
    {
        using var coordinator = await server.AsAsync("coordinator");
        Assert.Equal(
            HttpStatusCode.NotFound,
            (
                await coordinator.PutAsJsonAsync("/api/people/names", new { name = "A. Fenn", person = Guid.CreateVersion7() }, Cancel)
            ).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await coordinator.PutAsJsonAsync("/api/people/names", new { name = " ", person = (Guid?)null }, Cancel)).StatusCode
        );
    }

    [Fact]
    public async Task Only_a_coordinator_who_says_so_delivers_for_another()
    {
        using var sampler = await server.AsAsync("sampler");
        using var coordinator = await server.AsAsync("coordinator");
        var asa = (string)(await PersonAsync(sampler))["id"]!;
        var made = await sampler.OwnAsync(SentVisit.At("PEL-1"));
        foreach (var entry in made)
        {
            entry!["person"] = asa;
        }

        Assert.All(await StatusesAsync(coordinator, made, false), s => Assert.Equal("refused", s));
        Assert.All(await StatusesAsync(coordinator, made, true), s => Assert.Equal("kept", s));
        Assert.All(await StatusesAsync(sampler, made, false), s => Assert.Equal("already", s));
        var back = (await sampler.GetFromJsonAsync<JsonArray>($"/api/visits/{made[0]!["visit"]}/entries", Cancel))!;
        Assert.All(back, e => Assert.Equal((asa, "Ada Fenn"), ((string)e!["person"]!, (string)e["receipt"]!["deliveredBy"]!)));
    }

    private static async Task<JsonNode> PersonAsync(HttpClient http) =>
        (await http.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!;

    private static async Task<string[]> StatusesAsync(HttpClient http, JsonArray entries, bool onBehalf)
    {
        var answer = await http.PostAsJsonAsync(
            "/api/entries",
            new JsonObject
            {
                ["sentAt"] = await NowAsync(http),
                ["entries"] = entries.DeepClone(),
                ["onBehalf"] = onBehalf,
            },
            Cancel
        );
        return [.. (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["answers"]!.AsArray().Select(a => (string)a!["status"]!)];
    }

    private static async Task<string> NowAsync(HttpClient http) =>
        (string)(await http.GetFromJsonAsync<JsonObject>("/api/instance", Cancel))!["now"]!;

    // Clarity alone, on the bottom, ended: nothing is open.
    private static async Task<string> EndedAsync(HttpClient http, string observer)
    {
        var entries = SentVisit.At("PEL-1");
        entries[0]!["body"]!["observers"] = new JsonArray(observer);
        var end = (JsonObject)entries[1]!.DeepClone();
        (end["id"], end["kind"], end["body"]) = (Guid.CreateVersion7().ToString(), "visit-closed", new JsonObject());
        entries.Add(end);
        Assert.All(await StatusesAsync(http, await http.OwnAsync(entries), false), s => Assert.Equal("kept", s));
        var visit = (string)entries[0]!["visit"]!;
        foreach (var finding in (await ReviewAsync(http, visit))["findings"]!.AsArray().Select(f => f!["finding"]!))
        {
            var kept = (JsonObject)end.DeepClone();
            (kept["id"], kept["kind"], kept["why"]) = (Guid.CreateVersion7().ToString(), "kept", "looked at");
            kept["body"] = new JsonObject { ["finding"] = (string)finding["code"]!, ["about"] = finding["about"]!.DeepClone() };
            await StatusesAsync(http, await http.OwnAsync([kept]), false);
        }

        return visit;
    }

    private static async Task SignOffAsync(HttpClient http, string visit)
    {
        var review = await ReviewAsync(http, visit);
        var sign = (JsonObject)SentVisit.At("PEL-1")[0]!.DeepClone();
        (sign["visit"], sign["kind"]) = (visit, "signed-off");
        sign["body"] = new JsonObject { ["field"] = (string)review["field"]!, ["results"] = (string)review["results"]! };
        Assert.Equal(["kept"], await StatusesAsync(http, await http.OwnAsync([sign]), false));
    }

    // As a device folds it: from the entries, with the context of the station.
    private static async Task<JsonObject> ReviewAsync(HttpClient http, string visit)
    {
        var entries = (await http.GetFromJsonAsync<JsonArray>($"/api/visits/{visit}/entries", Cancel))!;
        var station = (await http.GetFromJsonAsync<JsonObject>("/api/stations/PEL-1", Cancel))!;
        var answer = await http.PostAsJsonAsync(
            "/api/core/fold-review",
            new JsonObject { ["entries"] = entries.DeepClone(), ["context"] = station["context"]!.DeepClone() },
            Cancel
        );
        return (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
    }
}
