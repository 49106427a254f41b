using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace UpperStill.Server.Tests;

public class KitTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task What_is_due_is_said_with_the_history_of_each_item()
    {
        using var http = await server.AsAsync("sampler");
        var kit = (await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!;

        Assert.Equal("M-1 was due 7 Aug 2026: last calibrated 8 Jul 2026.", (string)Item(kit, "M-1")["due"]!["finding"]!["seen"]!);
        Assert.False((bool)Item(kit, "R-3")["due"]!["overdue"]!);
        Assert.Contains(Item(kit, "R-4")["history"]!.AsArray(), c => (string)c!["result"]!["summary"]! == "2.3 % long: it read short");
    }

    [Fact]
    public async Task A_taped_rope_corrects_the_readings_made_with_it_and_says_which_changed()
    {
        using var http = await server.AsAsync("coordinator");
        var (may, july) = (await LastAsync(http, "SAL-1", "2026-05-13"), await LastAsync(http, "SAL-1", "2026-07-14"));
        object Check(bool keep) =>
            new
            {
                check = new
                {
                    id = Guid.Empty,
                    kind = "taped",
                    day = "2026-07-01",
                    by = "",
                    marks = new[] { new { mark = new { written = "20", unit = "ft" }, tape = new { written = "21 10", unit = "ft-in" } } },
                },
                keep,
            };

        var shown = await AnswerAsync(await http.PostAsJsonAsync("/api/kit/R-4/checks", Check(false), Cancel));
        Assert.False((bool)shown["kept"]!);
        Assert.Equal("line-stretched", (string)shown["result"]!["findings"]![0]!["finding"]!["code"]!);
        Assert.Equal(july, await LastAsync(http, "SAL-1", "2026-07-14"));

        var kept = await AnswerAsync(await http.PostAsJsonAsync("/api/kit/R-4/checks", Check(true), Cancel));
        Assert.True((bool)kept["kept"]!);
        Assert.Equal(
            [
                $"SAL-1 2026-05-13: clarity was {may}, is {await LastAsync(http, "SAL-1", "2026-05-13")} after the check of R-4",
                $"SAL-1 2026-07-14: clarity was {july}, is {await LastAsync(http, "SAL-1", "2026-07-14")} after the check of R-4",
            ],
            kept["changes"]!.AsArray().Select(c => (string)c!)
        );
    }

    [Fact]
    public async Task A_check_that_was_written_down_wrongly_is_struck_and_its_readings_come_back()
    {
        using var http = await server.AsAsync("coordinator");
        var before = await LastAsync(http, "HAR-1", "2026-07-29");
        await http.PostAsJsonAsync(
            "/api/kit/R-3/checks",
            new
            {
                check = new
                {
                    id = Guid.Empty,
                    kind = "taped",
                    day = "2026-07-20",
                    by = "",
                    marks = new[] { new { mark = new { written = "20", unit = "ft" }, tape = new { written = "21 10", unit = "ft-in" } } },
                },
                keep = true,
            },
            Cancel
        );
        Assert.NotEqual(before, await LastAsync(http, "HAR-1", "2026-07-29"));
        // Others of this class tape the same rope: which stands first depends on their order.
        var id = Item((await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "R-3")["history"]!
            .AsArray()
            .Single(c =>
                (string?)c!["check"]!["day"] == "2026-07-20" && (string?)c["check"]!["marks"]?[0]?["tape"]?["written"] == "21 10"
            )!["check"]!["id"]!;

        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await http.PostAsJsonAsync($"/api/kit/R-3/checks/{id}/strike", new { why = " " }, Cancel)).StatusCode
        );
        var struck = await AnswerAsync(
            await http.PostAsJsonAsync($"/api/kit/R-3/checks/{id}/strike", new { why = "misread tape" }, Cancel)
        );
        Assert.Contains(struck["changes"]!.AsArray(), c => ((string)c!).StartsWith("HAR-1 2026-07-29", StringComparison.Ordinal));
        Assert.Equal(before, await LastAsync(http, "HAR-1", "2026-07-29"));
        var kept = Item((await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "R-3")["history"]!
            .AsArray()
            .Single(c => (string)c!["check"]!["id"]! == (string)id!)!;
        Assert.Equal(("misread tape", "Ada Fenn"), ((string)kept["check"]!["struck"]!, (string)kept["check"]!["struckBy"]!));
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await http.PostAsJsonAsync($"/api/kit/R-3/checks/{id}/strike", new { why = "again" }, Cancel)).StatusCode
        );
    }

    [Fact]
    public async Task A_check_that_no_rope_could_give_changes_nothing()
    {
        using var http = await server.AsAsync("sampler");
        var history = Item((await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "R-3")["history"]!.AsArray().Count;
        var answer = await AnswerAsync(
            await http.PostAsJsonAsync(
                "/api/kit/R-3/checks",
                new
                {
                    check = new
                    {
                        id = Guid.Empty,
                        kind = "taped",
                        day = "2026-08-10",
                        by = "",
                        marks = new[] { new { mark = new { written = "40", unit = "ft" }, tape = new { written = "28", unit = "ft" } } },
                    },
                    keep = true,
                },
                Cancel
            )
        );

        Assert.False((bool)answer["kept"]!);
        Assert.Equal(history, Item((await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "R-3")["history"]!.AsArray().Count);
    }

    [Fact]
    public async Task A_device_gets_each_line_with_its_checks()
    {
        using var http = await server.AsAsync("coordinator");
        var record = (await http.GetFromJsonAsync<JsonObject>("/api/stations/SAL-1", Cancel))!;
        var line = record["context"]!["lines"]!.AsArray().Single(l => (string)l!["code"]! == "R-4")!;

        Assert.Contains(line["checks"]!.AsArray(), c => (string)c!["day"]! == "2026-07-30" && c["marks"]!.AsArray().Count == 3);
    }

    [Fact]
    public async Task New_marks_get_a_name_of_their_own_and_the_stations_follow()
    {
        using var http = await server.AsAsync("coordinator");
        object Marks(string code) =>
            new
            {
                code,
                marks = new
                {
                    unit = "ft-in",
                    every = new { written = "6", unit = "in" },
                    usable = new { written = "80", unit = "ft" },
                },
            };

        Assert.Equal(
            "code-used",
            (string)
                (await AnswerAsync(await http.PostAsJsonAsync("/api/kit/R-4/marks", Marks("R-3"), Cancel)))["findings"]![0]!["finding"]![
                    "code"
                ]!
        );
        Assert.True((bool)(await AnswerAsync(await http.PostAsJsonAsync("/api/kit/R-4/marks", Marks("R-4-red"), Cancel)))["kept"]!);
        var kit = (await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!;
        Assert.Equal(
            ("retired", "2026-08-12"),
            ((string)Item(kit, "R-4")["item"]!["condition"]!, (string)Item(kit, "R-4")["item"]!["retiredOn"]!)
        );
        Assert.Equal("SAL-1", (string)Item(kit, "R-4-red")["stations"]![0]!);
        Assert.Equal("R-4-red", (string)(await http.GetFromJsonAsync<JsonObject>("/api/stations/SAL-1", Cancel))!["line"]!);
    }

    [Fact]
    public async Task An_item_is_added_once_and_its_history_cannot_be_written_over()
    {
        using var http = await server.AsAsync("coordinator");
        var item = new JsonObject
        {
            ["code"] = "T-2",
            ["name"] = "Second thermometer",
            ["kind"] = "thermometer",
            ["condition"] = "in-use",
        };

        Assert.True((bool)(await AnswerAsync(await http.PostAsJsonAsync("/api/kit", item, Cancel)))["kept"]!);
        Assert.False((bool)(await AnswerAsync(await http.PostAsJsonAsync("/api/kit", item, Cancel)))["kept"]!);
        await http.PostAsJsonAsync(
            "/api/kit/T-2/checks",
            new
            {
                check = new
                {
                    id = Guid.Empty,
                    kind = "ice-point",
                    day = "2026-08-12",
                    by = "",
                    read = 0.1,
                    unit = "°C",
                },
                keep = true,
            },
            Cancel
        );
        item["name"] = "Thermometer of the pier";
        await http.PutAsJsonAsync("/api/kit/T-2?version=0", item, Cancel);

        Assert.Equal(HttpStatusCode.Conflict, (await http.PutAsJsonAsync("/api/kit/T-2?version=0", item, Cancel)).StatusCode);

        var kept = Item((await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "T-2");
        Assert.Equal("Thermometer of the pier", (string)kept["item"]!["name"]!);
        Assert.Equal("Ada Fenn", (string)Assert.Single(kept["history"]!.AsArray())!["check"]!["by"]!);
        Assert.Equal(HttpStatusCode.NotFound, (await http.PutAsJsonAsync("/api/kit/T-9?version=0", item, Cancel)).StatusCode);
    }

    [Fact]
    public async Task Of_two_who_write_a_check_down_at_once_neither_loses_theirs()
    {
        using var http = await server.AsAsync("coordinator");
        var before = Item((await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "M-1")["history"]!.AsArray().Count;
        await Task.WhenAll(
            Enumerable
                .Range(0, 8)
                .Select(i =>
                    http.PostAsJsonAsync(
                        "/api/kit/M-1/checks",
                        new
                        {
                            check = new
                            {
                                id = Guid.Empty,
                                kind = "end-check",
                                day = "2026-08-12",
                                by = "",
                                expected = 9.1,
                                read = 9.1 + (i / 100.0),
                                unit = "mg/L",
                            },
                            keep = true,
                        },
                        Cancel
                    )
                )
        );
        Assert.Equal(before + 8, Item((await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "M-1")["history"]!.AsArray().Count);
    }

    [Fact]
    public async Task A_line_is_checked_only_by_people_of_every_water_where_it_is_used()
    {
        using var elsewhere = await server.NewcomerAsync(
            new UpperStill.Core.Setup.People.Grant(UpperStill.Core.Setup.People.Role.Coordinator, ["pell-tarn"])
        );
        using var here = await server.NewcomerAsync(
            new UpperStill.Core.Setup.People.Grant(UpperStill.Core.Setup.People.Role.Sampler, ["harrowmere"])
        );
        object check = new
        {
            check = new
            {
                id = Guid.Empty,
                kind = "taped",
                day = "2026-08-11",
                by = "",
                marks = Array.Empty<object>(),
            },
            keep = true,
        };
        Assert.Equal(HttpStatusCode.Forbidden, (await elsewhere.PostAsJsonAsync("/api/kit/R-3/checks", check, Cancel)).StatusCode);
        Assert.True((bool)(await AnswerAsync(await here.PostAsJsonAsync("/api/kit/R-3/checks", check, Cancel)))["kept"]!);
        var id = Item((await here.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "R-3")["history"]!
            .AsArray()
            .First(c => (string)c!["check"]!["day"]! == "2026-08-11")!["check"]!["id"]!;
        Assert.Equal(
            HttpStatusCode.Forbidden,
            (await elsewhere.PostAsJsonAsync($"/api/kit/R-3/checks/{id}/strike", new { why = "no" }, Cancel)).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (await here.PostAsJsonAsync($"/api/kit/R-3/checks/{id}/strike", new { why = "the wrong rope" }, Cancel)).StatusCode
        );
    }

    [Fact]
    public async Task A_check_that_changes_what_was_signed_off_ends_the_sign_off_and_its_strike_brings_it_back()
    {
        using var http = await server.AsAsync("coordinator");
        var point = (await http.GetFromJsonAsync<JsonObject>("/api/stations/HAR-1", Cancel))!["context"]!["history"]!
            .AsArray()
            .Last(p => (bool?)p!["signedOff"] == true)!;
        var (visit, taped) = ((string)point["visit"]!, $"{((string)point["date"]!)[..4]}-04-20");
        Assert.False(await WaitsAsync());
        await http.PostAsJsonAsync(
            "/api/kit/R-3/checks",
            new
            {
                check = new
                {
                    id = Guid.Empty,
                    kind = "taped",
                    day = taped,
                    by = "",
                    marks = new[] { new { mark = new { written = "20", unit = "ft" }, tape = new { written = "21 10", unit = "ft-in" } } },
                },
                keep = true,
            },
            Cancel
        );
        Assert.True(await WaitsAsync());
        var id = Item((await http.GetFromJsonAsync<JsonArray>("/api/kit", Cancel))!, "R-3")["history"]!
            .AsArray()
            .First(c => (string)c!["check"]!["day"]! == taped)!["check"]!["id"]!;
        (await http.PostAsJsonAsync($"/api/kit/R-3/checks/{id}/strike", new { why = "misread tape" }, Cancel)).EnsureSuccessStatusCode();
        Assert.False(await WaitsAsync());

        async Task<bool> WaitsAsync() =>
            (await http.GetFromJsonAsync<JsonArray>("/api/reviews", Cancel))!.Any(v => (string)v!["visit"]! == visit);
    }

    private static JsonNode Item(JsonArray kit, string code) => kit.Single(i => (string)i!["item"]!["code"]! == code)!;

    private static async Task<string?> LastAsync(HttpClient http, string station, string day) =>
        (string?)
            (await http.GetFromJsonAsync<JsonObject>($"/api/stations/{station}", Cancel))!["context"]!["history"]!
                .AsArray()
                .Single(p => (string)p!["date"]! == day)!["text"];

    private static async Task<JsonObject> AnswerAsync(HttpResponseMessage answer) =>
        (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
}
