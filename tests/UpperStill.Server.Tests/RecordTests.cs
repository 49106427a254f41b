using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace UpperStill.Server.Tests;

/// <summary>Review, series, answers and reports over HTTP.</summary>
public sealed class RecordTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_coordinator_signs_off_and_the_value_counts_until_something_changes()
    {
        using var http = await server.AsAsync("coordinator");
        var (visit, review) = await ReadyAsync(http, "PEL-1");
        Assert.False(await SignedOffAsync(http, "PEL-1", visit));
        var waits = await WaitingAsync(http, "PEL-1");

        Assert.Equal(
            "kept",
            await DeliverAsync(
                http,
                Entry(
                    visit,
                    "signed-off",
                    new JsonObject { ["field"] = (string)review["field"]!, ["results"] = (string)review["results"]! }
                )
            )
        );
        Assert.True(await SignedOffAsync(http, "PEL-1", visit));
        Assert.Equal(waits - 1, await WaitingAsync(http, "PEL-1"));
        Assert.DoesNotContain(visit, (await http.GetStringAsync("/api/reviews", Cancel)), StringComparison.Ordinal);

        Assert.Equal(
            "kept",
            await DeliverAsync(
                http,
                Entry(
                    visit,
                    "sounding",
                    new JsonObject
                    {
                        ["depth"] = new JsonObject { ["written"] = "2.5", ["unit"] = "m" },
                    }
                )
            )
        );
        Assert.False(await SignedOffAsync(http, "PEL-1", visit));
        Assert.Equal(waits, await WaitingAsync(http, "PEL-1"));
        Assert.Contains(visit, (await http.GetStringAsync("/api/reviews", Cancel)), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_sampler_neither_signs_off_nor_asks_but_answers()
    {
        using var coordinator = await server.AsAsync("coordinator");
        using var sampler = await server.AsAsync("sampler");
        var (visit, review) = await ReadyAsync(coordinator, "HAR-1");
        Assert.Equal(
            "refused",
            await DeliverAsync(
                sampler,
                Entry(
                    visit,
                    "signed-off",
                    new JsonObject { ["field"] = (string)review["field"]!, ["results"] = (string)review["results"]! }
                )
            )
        );
        Assert.Equal("refused", await DeliverAsync(sampler, Entry(visit, "asked", new JsonObject { ["question"] = "why?" })));

        var question = Entry(visit, "asked", new JsonObject { ["question"] = "Was it read twice?" });
        Assert.Equal("kept", await DeliverAsync(coordinator, question));
        Assert.Equal("open", await StateAsync(coordinator, visit));
        Assert.Equal(
            "kept",
            await DeliverAsync(
                sampler,
                Entry(visit, "answered", new JsonObject { ["asked"] = (string)question["id"]!, ["answer"] = "yes" })
            )
        );
        Assert.Equal("ready", await StateAsync(coordinator, visit));
    }

    [Fact]
    public async Task What_a_described_protocol_works_out_is_in_the_record_like_any_other_number()
    {
        using var http = await server.AsAsync("coordinator");
        var station = (await http.GetFromJsonAsync<JsonObject>("/api/stations/SKA-1", Cancel))!;
        var salinity = station["series"]!.AsArray().Single(s => (string)s!["subject"]! == "salinity")!;
        Assert.Equal("salinity", (string)salinity["name"]!);
        Assert.NotEmpty(salinity["points"]!.AsArray());

        var beside = (await http.GetFromJsonAsync<JsonObject>("/api/record/stations?subject=salinity", Cancel))!;
        Assert.Equal("ppt", (string)beside["unit"]!);
        Assert.Equal("SKA-1", (string)Assert.Single(beside["stations"]!.AsArray())!["station"]!);
        Assert.Contains(beside["subjects"]!.AsArray(), s => (string)s!["code"]! == "salinity");
        Assert.Equal(HttpStatusCode.BadRequest, (await http.GetAsync("/api/record/stations?subject=saltiness", Cancel)).StatusCode);

        var limit = new JsonObject
        {
            ["subject"] = "salinity",
            ["above"] = true,
            ["value"] = 12,
            ["name"] = "Mussels",
            ["source"] = "the mussel farm",
        };
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await http.PostAsJsonAsync($"/api/waters/{(string)station["context"]!["station"]!["waterCode"]!}/limits", limit, Cancel)
            ).StatusCode
        );
        limit["subject"] = "saltiness";
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (
                await http.PostAsJsonAsync($"/api/waters/{(string)station["context"]!["station"]!["waterCode"]!}/limits", limit, Cancel)
            ).StatusCode
        );
    }

    [Fact]
    public async Task Each_station_of_a_water_says_whether_it_changes_how_sure_that_is_and_what_it_would_take()
    {
        using var http = await server.AsAsync("reader");
        var answers = (await http.GetFromJsonAsync<JsonArray>("/api/waters/pell-tarn/answers", Cancel))!;
        var clarity = answers.Single(a => (string)a!["station"]! == "PEL-1")!["answers"]!
            .AsArray()
            .Single(a => (string)a!["subject"]! == "clarity")!;
        Assert.NotEmpty((string)clarity["headline"]!);
        Assert.Contains("June to September", (string)clarity["detail"]!, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/waters/harrowmere/answers", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/stations/HAR-2/profiles?year=2025", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/stations/HAR-2/oxygen", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/waters/harrowmere/report", Cancel)).StatusCode);
    }

    [Fact]
    public async Task A_series_is_joined_across_its_change_of_method_for_a_reason_and_split_again()
    {
        using var http = await server.AsAsync("coordinator");
        var series = (await SeriesAsync(http, "SKA-1")).Single(s => (string)s!["subject"]! == "clarity")!;
        Assert.Empty(series["joins"]!.AsArray());
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (
                await http.PostAsJsonAsync(
                    "/api/stations/SKA-1/joins",
                    new
                    {
                        subject = "clarity",
                        day = "2020-05-12",
                        why = " ",
                    },
                    Cancel
                )
            ).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (
                await http.PostAsJsonAsync(
                    "/api/stations/SKA-1/joins",
                    new
                    {
                        subject = "clarity",
                        day = "2020-05-12",
                        why = "both tubes were read side by side",
                    },
                    Cancel
                )
            ).StatusCode
        );
        Assert.Equal(
            "2020-05-12",
            (string)Assert.Single((await SeriesAsync(http, "SKA-1")).Single(s => (string)s!["subject"]! == "clarity")!["joins"]!.AsArray())!
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (
                await http.PostAsJsonAsync(
                    "/api/stations/SKA-1/joins",
                    new
                    {
                        subject = "clarity",
                        day = "2020-05-12",
                        why = (string?)null,
                    },
                    Cancel
                )
            ).StatusCode
        );
        Assert.Empty((await SeriesAsync(http, "SKA-1")).Single(s => (string)s!["subject"]! == "clarity")!["joins"]!.AsArray());

        using var sampler = await server.AsAsync("sampler");
        Assert.Equal(
            HttpStatusCode.Forbidden,
            (
                await sampler.PostAsJsonAsync(
                    "/api/stations/SKA-1/joins",
                    new
                    {
                        subject = "clarity",
                        day = "2020-05-12",
                        why = "no",
                    },
                    Cancel
                )
            ).StatusCode
        );
    }

    [Fact]
    public async Task A_limit_has_a_source_and_only_a_coordinator_sets_it()
    {
        using var http = await server.AsAsync("coordinator");
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (
                await http.PostAsJsonAsync(
                    "/api/waters/pell-tarn/limits",
                    new
                    {
                        subject = "clarity",
                        above = true,
                        value = 2,
                        name = "good",
                        source = "",
                    },
                    Cancel
                )
            ).StatusCode
        );
        var added = (
            await (
                await http.PostAsJsonAsync(
                    "/api/waters/pell-tarn/limits",
                    new
                    {
                        subject = "clarity",
                        above = true,
                        value = 2,
                        name = "good",
                        source = "district plan, table 3",
                    },
                    Cancel
                )
            ).Content.ReadFromJsonAsync<JsonObject>(Cancel)
        )!;
        Assert.Contains((await http.GetFromJsonAsync<JsonArray>("/api/waters/pell-tarn/limits", Cancel))!, l =>
            (string)l!["id"]! == (string)added["id"]!
        );
        Assert.Equal(HttpStatusCode.NoContent, (await http.DeleteAsync($"/api/waters/pell-tarn/limits/{added["id"]}", Cancel)).StatusCode);

        using var sampler = await server.AsAsync("sampler");
        Assert.Equal(
            HttpStatusCode.Forbidden,
            (
                await sampler.PostAsJsonAsync(
                    "/api/waters/pell-tarn/limits",
                    new
                    {
                        subject = "clarity",
                        above = true,
                        value = 2,
                        name = "good",
                        source = "x",
                    },
                    Cancel
                )
            ).StatusCode
        );
    }

    [Fact]
    public async Task The_report_says_what_the_series_say()
    {
        using var http = await server.AsAsync("coordinator");
        var report = (await http.GetFromJsonAsync<JsonObject>("/api/waters/harrowmere/report?year=2025", Cancel))!;
        var deep = report["series"]!
            .AsArray()
            .First(s => (string)s!["station"]! == "HAR-1" && (string)s["trend"]!["subject"]! == "clarity")!["trend"]!;
        Assert.Contains((string)deep["headline"]!, (string)report["report"]!["inShort"]!, StringComparison.Ordinal);
        var changing = report["report"]!["sections"]!.AsArray().Single(s => (string)s!["title"]! == "Is it changing?")!["paragraphs"]!
            .AsArray()
            .Select(p => (string)p!);
        Assert.Contains(changing, p => p.Contains((string)deep["detail"]!, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("/api/record/region?subject=clarty", "clarty", "clarity, ")]
    [InlineData("/api/record/stations?subject=Clarity&year=2025", "Clarity", "clarity, ")]
    [InlineData("/api/record/summary?reader=1", "1", "as-read, m, ft")]
    public async Task A_choice_that_there_is_not_is_refused_by_name_and_nothing_else_shown_for_it(string path, string given, string choices)
    {
        using var http = await server.AsAsync("coordinator");
        using var answer = await http.GetAsync(path, Cancel);
        var problem = (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;

        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.StartsWith($"“{given}” is none of {choices}", (string)problem["title"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Over_all_stations_each_is_counted_once()
    {
        using var http = await server.AsAsync("coordinator");
        var region = (await http.GetFromJsonAsync<JsonObject>("/api/record/region?subject=clarity", Cancel))!;
        Assert.Equal(6, (int)region["rising"]! + (int)region["falling"]! + (int)region["unclear"]! + (int)region["tooFew"]!);
    }

    [Fact]
    public async Task Pages_over_all_stations_show_each_caller_only_their_waters()
    {
        using var coordinator = await server.AsAsync("coordinator");
        using var reader = await server.AsAsync("reader");
        foreach (var path in new[] { "/api/record/summary?year=2025", "/api/record/stations?subject=clarity&year=2025" })
        {
            Assert.Contains("HAR-1", await coordinator.GetStringAsync(path, Cancel), StringComparison.Ordinal);
            Assert.DoesNotContain("HAR-1", await reader.GetStringAsync(path, Cancel), StringComparison.Ordinal);
            Assert.Contains("PEL-1", await reader.GetStringAsync(path, Cancel), StringComparison.Ordinal);
        }
    }

    private static async Task<int> WaitingAsync(HttpClient http, string station) =>
        (int)
            (await http.GetFromJsonAsync<JsonObject>("/api/record/summary", Cancel))!["stations"]!
                .AsArray()
                .Single(s => (string)s!["station"]! == station)!["waiting"]!;

    private static async Task<JsonArray> SeriesAsync(HttpClient http, string station) =>
        (await http.GetFromJsonAsync<JsonObject>($"/api/stations/{station}", Cancel))!["series"]!.AsArray();

    // A visit of the last weeks that waits for its sign-off, with the marks of what stands.
    private static async Task<(string Visit, JsonNode Review)> ReadyAsync(HttpClient http, string station)
    {
        var visit = (string)
            (await http.GetFromJsonAsync<JsonArray>("/api/reviews", Cancel))!.First(v =>
                (string)v!["station"]! == station && (string)v["state"]! == "ready"
            )!["visit"]!;
        var entries = await http.GetFromJsonAsync<JsonArray>($"/api/visits/{visit}/entries", Cancel);
        var context = (await http.GetFromJsonAsync<JsonObject>($"/api/stations/{station}", Cancel))!["context"]!;
        var answer = await http.PostAsJsonAsync(
            "/api/core/fold-review",
            new JsonObject { ["entries"] = entries!.DeepClone(), ["context"] = context.DeepClone() },
            Cancel
        );
        return (visit, (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!);
    }

    private static async Task<bool> SignedOffAsync(HttpClient http, string station, string visit) =>
        (bool)
            (await http.GetFromJsonAsync<JsonObject>($"/api/stations/{station}", Cancel))!["context"]!["history"]!
                .AsArray()
                .Single(p => (string)p!["visit"]! == visit)!["signedOff"]!;

    private static async Task<string?> StateAsync(HttpClient http, string visit) =>
        (string?)
            (await http.GetFromJsonAsync<JsonArray>("/api/reviews", Cancel))!.SingleOrDefault(v => (string)v!["visit"]! == visit)?["state"];

    private static JsonObject Entry(string visit, string kind, JsonObject body) =>
        new()
        {
            ["id"] = Guid.CreateVersion7().ToString(),
            ["visit"] = visit,
            ["kind"] = kind,
            ["version"] = 1,
            ["body"] = body,
            ["at"] = "2026-08-12T18:40:00+01:00",
            ["by"] = "Ada Fenn",
            ["device"] = "office",
        };

    private static async Task<string> DeliverAsync(HttpClient http, JsonObject entry)
    {
        // By the demo's clock: a device whose clock is off would be a finding of its own.
        var now = (string)(await http.GetFromJsonAsync<JsonObject>("/api/instance", Cancel))!["now"]!;
        var answer = await http.PostAsJsonAsync("/api/entries", new { sentAt = now, entries = await http.OwnAsync([entry]) }, Cancel);
        return (string)(await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["answers"]![0]!["status"]!;
    }
}
