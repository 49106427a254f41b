using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using UpperStill.Core.Application.Operations;

namespace UpperStill.Server.Tests;

public sealed class ServerTests(RunningServer server) : IClassFixture<RunningServer>, IAsyncLifetime
{
    private HttpClient http = null!;

    public async ValueTask InitializeAsync() => http = await server.AsAsync("coordinator");

    public ValueTask DisposeAsync()
    {
        http.Dispose();
        return ValueTask.CompletedTask;
    }

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_stations_come_with_their_last_clarity()
    {
        var stations = (await http.GetFromJsonAsync<JsonArray>("/api/stations", Cancel))!;

        Assert.Equal(
            ["HAR-1", "HAR-2", "PEL-1", "SAL-1", "SKA-1", "SKA-2", "HAR-3", "HAR-4", "PEL-2", "PEL-3", "SAL-2", "SKA-3"],
            stations.Select(s => (string)s!["station"]!["code"]!)
        );
        Assert.All(stations.Take(5), s => Assert.StartsWith("2026-", (string)s!["last"]!["date"]!, StringComparison.Ordinal));
        // Nobody reads a disc on the beach.
        Assert.Null(stations[5]!["last"]);
    }

    [Fact]
    public async Task A_station_brings_all_that_a_visit_is_judged_by()
    {
        var station = (await http.GetFromJsonAsync<JsonObject>("/api/stations/PEL-1", Cancel))!;

        Assert.Equal("town-lakes", (string)station["context"]!["programme"]!["code"]!);
        Assert.True(station["context"]!["history"]!.AsArray().Count > 100);
    }

    [Fact]
    public async Task An_unknown_station_is_a_problem_with_a_way_on()
    {
        var answer = await http.GetAsync("/api/stations/NOWHERE", Cancel);

        await Problem(answer, HttpStatusCode.NotFound, "No station “NOWHERE” is known here.");
    }

    [Fact]
    public async Task Every_operation_is_listed_with_one_line_and_its_schemas()
    {
        var list = (await http.GetFromJsonAsync<JsonArray>("/api/core", Cancel))!;

        Assert.Equal(OperationTable.All.Keys.Order(), list.Select(o => (string)o!["name"]!).Order());
        Assert.All(list, o => Assert.NotNull(o!["request"]!["properties"]));
        Assert.Contains(list, o => (string)o!["name"]! == "composite-depth" && o["response"]!["properties"]!["targetM"] is not null);
    }

    [Fact]
    public async Task An_operation_answers_as_core_does()
    {
        const string request = """{"written":"12 9","unit":"ft-in"}""";
        var answer = await http.PostAsync("/api/core/length", Json(request), Cancel);

        Assert.Equal(
            Encoding.UTF8.GetString(OperationTable.All["length"].Invoke(Encoding.UTF8.GetBytes(request))),
            await answer.Content.ReadAsStringAsync(Cancel)
        );
    }

    [Theory]
    [InlineData("{")]
    [InlineData("null")]
    [InlineData("[]")]
    [InlineData("""{"unit":"m"}""")]
    public async Task A_request_of_another_shape_is_a_problem(string body) =>
        await Problem(
            await http.PostAsync("/api/core/length", Json(body), Cancel),
            HttpStatusCode.BadRequest,
            "The request is not of the operation’s shape."
        );

    [Theory]
    [InlineData("/api/core/length")]
    [InlineData("/api/entries")]
    public async Task Ten_megabytes_are_refused(string address)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, address)
        {
            Content = Json($$"""{"written":"{{new string('9', 10_000_000)}}"}"""),
        };
        request.Headers.ExpectContinue = true;
        var answer = await http.SendAsync(request, Cancel);

        await Problem(answer, HttpStatusCode.RequestEntityTooLarge, "More than 1 MB in one request.");
    }

    [Fact]
    public async Task An_unknown_address_under_api_is_never_the_page() =>
        await Problem(await http.GetAsync("/api/no/such/thing", Cancel), HttpStatusCode.NotFound, "No such address.");

    [Fact]
    public async Task Entries_go_in_once_and_come_out_as_they_were()
    {
        var visit = SentVisit.At("PEL-1");
        Assert.Equal(["kept", "kept", "kept"], await Deliver(visit));
        Assert.Equal(["already", "already", "already"], await Deliver(visit));

        var back = (await http.GetFromJsonAsync<JsonArray>($"/api/visits/{visit[0]!["visit"]}/entries", Cancel))!;

        Assert.Equal(visit.Select(e => (string)e!["id"]!), back.Select(e => (string)e!["id"]!));
        Assert.Equal((string)visit[1]!["body"]!["depth"]!["written"]!, (string)back[1]!["body"]!["depth"]!["written"]!);
        Assert.NotNull(back[0]!["receipt"]);
    }

    [Fact]
    public async Task A_bad_entry_is_refused_by_itself_with_problem_details()
    {
        var visit = SentVisit.At("PEL-1");
        visit[1]!["kind"] = "weather-balloon";
        visit.Insert(1, new JsonObject { ["nonsense"] = true });
        var answers = (await Answers(visit)).ToList();

        Assert.Equal(["kept", "refused", "refused", "kept"], answers.Select(a => (string)a!["status"]!));
        Assert.All(answers.Where(a => (string)a!["status"]! == "refused"), a =>
        {
            Assert.Equal(422, (int)a!["problem"]!["status"]!);
            Assert.False(string.IsNullOrEmpty((string)a["problem"]!["detail"]!));
        });
    }

    [Fact]
    public async Task A_visit_at_an_unknown_station_is_refused_whole()
    {
        var answers = (await Answers(SentVisit.At("NOWHERE"))).ToList();

        Assert.All(answers, a => Assert.Equal("No station “NOWHERE” is known here.", (string)a!["problem"]!["title"]!));
    }

    [Fact]
    public async Task A_device_clock_years_off_is_kept_and_noted()
    {
        var visit = SentVisit.At("HAR-2");
        await Answers(visit, DateTimeOffset.UtcNow.AddYears(-40));

        var back = (await http.GetFromJsonAsync<JsonArray>($"/api/visits/{visit[0]!["visit"]}/entries", Cancel))!;

        Assert.True((long)back[0]!["receipt"]!["clockOffS"]! < -30L * 365 * 86_400);
    }

    [Fact]
    public async Task A_new_clarity_stands_in_the_record_at_once()
    {
        var visit = SentVisit.At("PEL-1");
        await Deliver(visit);

        var station = (await http.GetFromJsonAsync<JsonObject>("/api/stations/PEL-1", Cancel))!;

        Assert.Contains(station["context"]!["history"]!.AsArray(), p =>
            (string)p!["visit"]! == (string)visit[0]!["visit"]! && (bool)p["censored"]! && (string)p["text"]! == "> 2.6 m"
        );
    }

    [Fact]
    public async Task Too_many_entries_at_once_are_refused_and_none_is_kept()
    {
        var many = new JsonArray([.. Enumerable.Range(0, 501).Select(_ => (JsonNode)new JsonObject())]);
        var answer = await http.PostAsJsonAsync(
            "/api/entries",
            new JsonObject { ["sentAt"] = DateTimeOffset.UtcNow, ["entries"] = many },
            Cancel
        );

        await Problem(answer, HttpStatusCode.BadRequest, "Too many entries in one delivery.");
    }

    [Fact]
    public async Task The_page_may_run_only_what_ships_with_it()
    {
        var policy = (await http.GetAsync("/api/instance", Cancel)).Headers.GetValues("Content-Security-Policy").Single();

        Assert.Contains("script-src 'self' 'wasm-unsafe-eval'", policy, StringComparison.Ordinal);
        Assert.DoesNotContain("unsafe-inline", policy, StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_demo_stands_on_its_wednesday() =>
        Assert.StartsWith(
            "2026-08-12T",
            (string)(await http.GetFromJsonAsync<JsonObject>("/api/instance", Cancel))!["now"]!,
            StringComparison.Ordinal
        );

    private async Task<string[]> Deliver(JsonArray entries) => [.. (await Answers(entries)).Select(a => (string)a!["status"]!)];

    private async Task<JsonArray> Answers(JsonArray entries, DateTimeOffset? sentAt = null)
    {
        var answer = await http.PostAsJsonAsync(
            "/api/entries",
            new JsonObject { ["sentAt"] = sentAt ?? DateTimeOffset.UtcNow, ["entries"] = await http.OwnAsync(entries) },
            Cancel
        );
        answer.EnsureSuccessStatusCode();
        return (JsonArray)(await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["answers"]!;
    }

    private static StringContent Json(string text) => new(text, Encoding.UTF8, "application/json");

    private static async Task Problem(HttpResponseMessage answer, HttpStatusCode status, string title)
    {
        Assert.Equal(status, answer.StatusCode);
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType?.MediaType);
        var problem = (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
        Assert.Equal(title, (string)problem["title"]!);
    }
}
