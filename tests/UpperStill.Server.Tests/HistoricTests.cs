using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using UpperStill.Core.Setup.People;

namespace UpperStill.Server.Tests;

/// <summary>An old table over HTTP: looked at, brought in, signed off by another, taken back.</summary>
public sealed class HistoricTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private const string Table = """
        Date,Time,Observer,Depth (m),Secchi (ft),Temp (C),DO (mg/L),TP (ug/L)
        1991-07-04,10:30,Old Hand,0,7.5,20.1,9.0,14
        1991-07-04,10:30,Old Hand,2,7.5,19.4,8.8,
        1991-08-01,,,0,> 8,21.3,8.9,<2
        1992-07-09,11:00,"Old Hand; Second Hand",0,6,19.0,9.2,16
        1992-07-09,11:00,,2,6,18.0,9.1,
        1993-07-08,,,0,6.5,sunny,9.0,15
        """;

    [Fact]
    public async Task A_table_is_looked_at_without_keeping_anything()
    {
        using var http = await server.AsAsync("coordinator");
        var look = await LookAsync(http, Table);
        Assert.Equal(
            ["date", "time", "observers", "depth", "clarity", "temperature", "oxygen", "analyte"],
            look["mapping"]!["columns"]!.AsArray().Select(c => (string)c!["role"]!)
        );
        Assert.Equal(6, (int)look["rows"]!);
        var answer = await ReadAsync(http, Table, Mapped(look, "PEL-1"), keep: false);
        Assert.Equal((4, null), ((int)answer["visits"]!, (string?)answer["import"]));
        Assert.Equal(
            ("number-unreadable", 7),
            ((string)answer["findings"]![0]!["finding"]!["code"]!, (int)answer["findings"]![0]!["line"]!)
        );
        Assert.DoesNotContain(await DaysAsync(http, "PEL-1"), day => day.StartsWith("199", StringComparison.Ordinal));
    }

    [Fact]
    public async Task It_comes_in_is_signed_off_by_another_leads_back_to_its_line_and_is_taken_back_whole()
    {
        using var http = await server.AsAsync("coordinator");
        var before = await DaysAsync(http, "SKA-1");
        var look = await LookAsync(http, Table);
        var kept = await ReadAsync(http, Table, Mapped(look, "SKA-1"), keep: true);
        var import = (string)kept["import"]!;
        var history = await HistoryAsync(http, "SKA-1");
        var first = history.Single(p => (string)p!["date"]! == "1991-07-04")!;
        Assert.Equal((2.286m, false), ((decimal)first["clarityM"]!, (bool)first["signedOff"]!));
        Assert.Equal(
            (true, "> 8 ft"),
            (
                (bool)history.Single(p => (string)p!["date"]! == "1991-08-01")!["censored"]!,
                (string)history.Single(p => (string)p!["date"]! == "1991-08-01")!["text"]!
            )
        );
        Assert.Equal(
            ["1991-07-04", "1991-08-01", "1992-07-09", "1993-07-08"],
            (await SeriesAsync(http, "SKA-1", "phosphorus"))["points"]!
                .AsArray()
                .Select(p => (string)p!["day"]!)
                .Where(d => d.StartsWith("199", StringComparison.Ordinal))
        );

        // Down to the line of the file.
        var entries = (await http.GetFromJsonAsync<JsonArray>($"/api/visits/{first["visit"]}/entries", Cancel))!;
        var from = entries.Single(e => (string)e!["kind"]! == "visit-started")!["body"]!["import"]!;
        Assert.Equal(("old.csv", 2, import), ((string)from["file"]!, (int)from["line"]!, (string)from["id"]!));

        // The same table again would count everything twice.
        var again = await ReadAsync(http, Table, Mapped(look, "SKA-1"), keep: false);
        Assert.Equal(0, (int)again["visits"]!);
        Assert.All(again["findings"]!.AsArray(), f => Assert.Contains((string)f!["finding"]!["code"]!, new[] { "visit-there" }));

        Assert.Equal(HttpStatusCode.Conflict, (await http.PostAsync($"/api/imports/{import}/sign-off", null, Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.PostAsync($"/api/imports/{Guid.Empty}/sign-off", null, Cancel)).StatusCode);
        using var other = await server.NewcomerAsync(new Grant(Role.Coordinator, null));
        Assert.Equal(
            4,
            (int)
                (
                    await (await other.PostAsync($"/api/imports/{import}/sign-off", null, Cancel)).Content.ReadFromJsonAsync<JsonObject>(
                        Cancel
                    )
                )!["visits"]!
        );
        Assert.True((bool)(await HistoryAsync(http, "SKA-1")).Single(p => (string)p!["date"]! == "1991-07-04")!["signedOff"]!);

        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await http.PostAsJsonAsync($"/api/imports/{import}/undo", new { why = " " }, Cancel)).StatusCode
        );
        var undone = await http.PostAsJsonAsync($"/api/imports/{import}/undo", new { why = "wrong station" }, Cancel);
        Assert.Equal(4, (int)(await undone.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["visits"]!);
        Assert.Equal(before, await DaysAsync(http, "SKA-1"));
        Assert.DoesNotContain((await http.GetFromJsonAsync<JsonObject>("/api/stations/SKA-1", Cancel))!["series"]!.AsArray(), s =>
            (string)s!["subject"]! == "phosphorus"
        );
        var listed = (await http.GetFromJsonAsync<JsonArray>("/api/imports", Cancel))!.Single(i => (string)i!["id"]! == import)!;
        Assert.Equal((4, 0), ((int)listed["visits"]!, (int)listed["standing"]!));

        // What was taken back can come in again.
        Assert.Equal(4, (int)(await ReadAsync(http, Table, Mapped(look, "SKA-1"), keep: false))["visits"]!);
    }

    [Fact]
    public async Task A_sampler_brings_no_table_in_and_takes_none_back()
    {
        using var coordinator = await server.AsAsync("coordinator");
        var look = await LookAsync(coordinator, Table);
        var import = (string)(await ReadAsync(coordinator, Table, Mapped(look, "HAR-2"), keep: true))["import"]!;
        using var sampler = await server.AsAsync("sampler");
        Assert.Equal(
            0,
            (int)
                (await ReadAsync(sampler, Table.Replace("199", "197", StringComparison.Ordinal), Mapped(look, "HAR-2"), keep: true))[
                    "visits"
                ]!
        );
        Assert.Equal(
            HttpStatusCode.Forbidden,
            (await sampler.PostAsJsonAsync($"/api/imports/{import}/undo", new { why = "no" }, Cancel)).StatusCode
        );
        Assert.Equal(HttpStatusCode.Forbidden, (await sampler.PostAsync($"/api/imports/{import}/sign-off", null, Cancel)).StatusCode);
    }

    [Theory]
    [InlineData("")]
    [InlineData("one column only\n1\n2")]
    [InlineData("Date,Secchi (m)")]
    public async Task A_file_without_a_table_is_refused_in_words(string table)
    {
        using var http = await server.AsAsync("coordinator");
        var answer = await http.PostAsync("/api/imports/look", Csv(table), Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains("Save it", await answer.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_file_that_would_fill_the_memory_is_refused()
    {
        using var http = await server.AsAsync("coordinator");
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await http.PostAsync("/api/imports/look", Csv($"Date,Secchi (m)\n\"{new string('9', 100_000)}"), Cancel)).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (
                await http.PostAsync(
                    "/api/imports/look",
                    Csv(string.Join(',', Enumerable.Range(0, 5000).Select(i => $"c{i}")) + "\n1"),
                    Cancel
                )
            ).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (
                await http.PostAsync(
                    "/api/imports/look",
                    Csv("Date,Secchi (m)\n" + new StringBuilder().Insert(0, "1991-07-04,3\n", 100_001)),
                    Cancel
                )
            ).StatusCode
        );
    }

    [Fact]
    public async Task Another_file_than_the_one_looked_at_is_not_read_by_its_columns()
    {
        using var http = await server.AsAsync("coordinator");
        var look = await LookAsync(http, Table);
        var answer = await SendAsync(
            http,
            Table.Replace("Secchi (ft)", "Secchi (m)", StringComparison.Ordinal),
            Mapped(look, "PEL-1"),
            true
        );
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
    }

    [Fact]
    public async Task Fields_that_somebody_says_are_right_come_in_however_many_they_are()
    {
        using var http = await server.AsAsync("coordinator");
        var start = new DateOnly(1960, 5, 1);
        var table =
            "Date,Secchi (ft),TP (ug/L)\n"
            + string.Join('\n', Enumerable.Range(0, 1500).Select(i => $"{start.AddDays(i):yyyy-MM-dd},7,{(i % 3 == 0 ? "0.01" : "14")}"));
        var mapping = Mapped(await LookAsync(http, table), "PEL-1");
        var caught = await ReadAsync(http, table, mapping, keep: false);
        Assert.Equal((1000, 500), ((int)caught["columns"]![1]!["values"]!, (int)caught["columns"]![1]!["leftOut"]!));

        var stand = string.Join(',', Enumerable.Range(0, 500).Select(i => $"{2 + (3 * i)}.2"));
        var read = (await (await SendAsync(http, table, mapping, keep: false, stand)).Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
        Assert.Equal((1500, 0), ((int)read["columns"]![1]!["values"]!, (int)read["columns"]![1]!["leftOut"]!));
        Assert.Equal(HttpStatusCode.BadRequest, (await SendAsync(http, table, mapping, keep: false, "2,3")).StatusCode);
    }

    private static JsonNode Mapped(JsonNode look, string station)
    {
        var mapping = look["mapping"]!.DeepClone();
        mapping["station"] = station;
        return mapping;
    }

    private static async Task<JsonNode> LookAsync(HttpClient http, string table) =>
        (
            await (await http.PostAsync("/api/imports/look", Csv(table), Cancel))
                .EnsureSuccessStatusCode()
                .Content.ReadFromJsonAsync<JsonObject>(Cancel)
        )!;

    private static async Task<JsonNode> ReadAsync(HttpClient http, string table, JsonNode mapping, bool keep) =>
        (await (await SendAsync(http, table, mapping, keep)).EnsureSuccessStatusCode().Content.ReadFromJsonAsync<JsonObject>(Cancel))!;

    private static Task<HttpResponseMessage> SendAsync(HttpClient http, string table, JsonNode mapping, bool keep, string? stand = null) =>
        http.PostAsync(
            $"/api/imports?mapping={Uri.EscapeDataString(mapping.ToJsonString())}&name=old.csv&keep={(keep ? "true" : "false")}&stand={stand}",
            Csv(table),
            Cancel
        );

    private static StringContent Csv(string text) => new(text, Encoding.UTF8, new MediaTypeHeaderValue("text/csv"));

    private static async Task<JsonArray> HistoryAsync(HttpClient http, string station) =>
        (await http.GetFromJsonAsync<JsonObject>($"/api/stations/{station}", Cancel))!["context"]!["history"]!.AsArray();

    private static async Task<List<string>> DaysAsync(HttpClient http, string station) =>
        [.. (await HistoryAsync(http, station)).Select(p => (string)p!["date"]!)];

    private static async Task<JsonNode> SeriesAsync(HttpClient http, string station, string subject) =>
        (await http.GetFromJsonAsync<JsonObject>($"/api/stations/{station}", Cancel))!["series"]!
            .AsArray()
            .Single(s => (string)s!["subject"]! == subject)!;
}
