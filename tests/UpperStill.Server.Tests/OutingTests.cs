using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using UpperStill.Core.Setup.People;

namespace UpperStill.Server.Tests;

public class OutingTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const string Today = "2026-08-12";

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Todays_outing_is_prepared_from_the_season_the_kit_and_the_forecast()
    {
        using var http = await server.AsAsync("sampler");
        var outing = await OutingAsync(http, Today, "harrowmere");

        Assert.Equal(["HAR-1", "HAR-2"], outing["stops"]!.AsArray().Select(s => (string)s!["station"]!["code"]!));
        Assert.Equal("the weather", (string)outing["simulated"]![0]!);
        Assert.Equal("nothing-against", (string)outing["go"]!["advice"]!);
        Assert.Contains(outing["pack"]!.AsArray(), n =>
            (string?)n!["item"] == "M-1" && (string)n["findings"]![0]!["code"]! == "kit-overdue"
        );
        Assert.StartsWith("2026-08-", (string)outing["latestBack"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_tide_turns_at_the_sea_and_nowhere_else()
    {
        using var http = await server.AsAsync("sampler");
        var sound = await OutingAsync(http, Today, "skarn-sound");

        Assert.InRange(sound["tides"]!.AsArray().Count, 3, 4);
        Assert.Contains("the tide", sound["simulated"]!.AsArray().Select(s => (string)s!));
        Assert.Empty((await OutingAsync(http, Today, "harrowmere"))["tides"]!.AsArray());
    }

    [Fact]
    public async Task Every_bottle_gets_a_label_with_its_number_as_a_code()
    {
        using var http = await server.AsAsync("sampler");
        var outing = await OutingAsync(http, Today, "harrowmere");
        var labels = (await http.GetFromJsonAsync<JsonArray>($"/api/outings/{Today}/harrowmere/labels", Cancel))!;

        var numbers = labels.Select(l => (string)l!["sample"]!["number"]!).ToList();
        Assert.Equal(outing["stops"]!.AsArray().SelectMany(s => s!["samples"]!.AsArray()).Select(s => (string)s!["number"]!), numbers);
        Assert.True(numbers.Count >= 3);
        Assert.All(labels, l => Assert.StartsWith("M", (string)l!["qr"]!["path"]!, StringComparison.Ordinal));
        Assert.Equal(numbers.Count, labels.Select(l => (string)l!["qr"]!["path"]!).Distinct().Count());
    }

    [Fact]
    public async Task Where_nothing_is_due_every_station_of_the_water_is_prepared()
    {
        using var http = await server.AsAsync("sampler");

        Assert.Equal(4, (await OutingAsync(http, "2026-08-13", "harrowmere"))["stops"]!.AsArray().Count);
    }

    [Fact]
    public async Task Too_far_ahead_there_is_no_forecast_and_it_says_so()
    {
        using var http = await server.AsAsync("sampler");

        Assert.Equal("unknown", (string)(await OutingAsync(http, "2026-10-07", "harrowmere"))["go"]!["advice"]!);
    }

    [Fact]
    public async Task Where_low_water_is_asked_every_date_has_one_within_the_hours()
    {
        using var http = await server.AsAsync("coordinator");
        var programme = (await http.GetFromJsonAsync<JsonObject>("/api/programmes/coastal-pier/1", Cancel))!;
        programme["schools"] = new JsonObject { ["visit.hours-rule"] = "low-tide" };
        programme["hours"] = new JsonObject { ["from"] = "10:00:00", ["until"] = "14:00:00" };
        Assert.True(
            (bool)
                (
                    await AnswerAsync(
                        await http.PutAsJsonAsync("/api/programmes/coastal-pier?version=1", new { programme, keep = true }, Cancel)
                    )
                )["kept"]!
        );

        var season = (await http.GetFromJsonAsync<JsonObject>("/api/season", Cancel))!;
        var dates = season["plan"]!["stations"]!.AsArray().Single(s => (string)s!["code"]! == "SKA-1")!["dates"]!
            .AsArray()
            .Where(d => (bool)d!["ahead"]!)
            .ToList();
        Assert.True(dates.Count > 5);
        foreach (var date in dates)
        {
            Assert.Contains("low water within the hours (simulated)", date!["welcome"]!.AsArray().Select(w => (string)w!));
            var tides = (await OutingAsync(http, (string)date["day"]!, "skarn-sound"))["tides"]!.AsArray();
            Assert.Contains(tides, t =>
                !(bool)t!["high"]!
                && DateTimeOffset.Parse((string)t["at"]!, System.Globalization.CultureInfo.InvariantCulture).TimeOfDay
                    is { TotalHours: >= 10 and <= 14 }
            );
        }
    }

    [Fact]
    public async Task Another_water_s_outing_is_not_shown()
    {
        using var http = await server.AsAsync("reader");

        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync($"/api/outings/{Today}/harrowmere", Cancel)).StatusCode);
        Assert.All((await http.GetFromJsonAsync<JsonArray>("/api/outings", Cancel))!, o =>
            Assert.Equal("pell-tarn", (string)o!["waterCode"]!)
        );
    }

    [Fact]
    public async Task A_sampler_proposes_a_station_and_the_coordinator_approves_it()
    {
        using var sampler = await server.NewcomerAsync(new Grant(Role.Sampler, ["pell-tarn"]));
        using var coordinator = await server.AsAsync("coordinator");
        object Station(string water) =>
            new
            {
                code = "",
                waterCode = water,
                water = "",
                district = "",
                name = "Inlet",
                knownDepth = new { written = "1.4", unit = "m" },
                latitudeDeg = 51.8868,
                longitudeDeg = -11.4104,
            };

        Assert.Equal(
            HttpStatusCode.Forbidden,
            (await sampler.PostAsJsonAsync("/api/proposals", new { station = Station("harrowmere"), why = "deep" }, Cancel)).StatusCode
        );
        Assert.False(
            (bool)
                (
                    await AnswerAsync(
                        await sampler.PostAsJsonAsync("/api/proposals", new { station = Station("pell-tarn"), why = " " }, Cancel)
                    )
                )["kept"]!
        );
        Assert.True(
            (bool)
                (
                    await AnswerAsync(
                        await sampler.PostAsJsonAsync(
                            "/api/proposals",
                            new { station = Station("pell-tarn"), why = "deepest of the scouting track" },
                            Cancel
                        )
                    )
                )["kept"]!
        );

        var proposal = Assert.Single(
            (await coordinator.GetFromJsonAsync<JsonObject>("/api/waters/pell-tarn", Cancel))!["proposals"]!.AsArray()
        )!;
        var station = proposal["station"]!;
        Assert.Equal(
            HttpStatusCode.Forbidden,
            (
                await sampler.PostAsJsonAsync(
                    "/api/stations",
                    new
                    {
                        station,
                        programme = "town-lakes",
                        proposal = proposal["id"],
                    },
                    Cancel
                )
            ).StatusCode
        );
        Assert.True(
            (bool)
                (
                    await AnswerAsync(
                        await coordinator.PostAsJsonAsync(
                            "/api/stations",
                            new
                            {
                                station,
                                programme = "town-lakes",
                                proposal = proposal["id"],
                            },
                            Cancel
                        )
                    )
                )["kept"]!
        );
        Assert.Empty((await coordinator.GetFromJsonAsync<JsonObject>("/api/waters/pell-tarn", Cancel))!["proposals"]!.AsArray());
    }

    [Fact]
    public async Task A_proposal_is_declined_with_a_reason_by_a_coordinator_only()
    {
        using var sampler = await server.AsAsync("sampler");
        using var coordinator = await server.AsAsync("coordinator");
        await sampler.PostAsJsonAsync(
            "/api/proposals",
            new
            {
                station = new
                {
                    code = "",
                    waterCode = "harrowmere",
                    water = "",
                    district = "",
                    name = "Reeds",
                    knownDepth = new { written = "2", unit = "m" },
                    latitudeDeg = 51.9135,
                    longitudeDeg = -11.4415,
                },
                why = "birds",
            },
            Cancel
        );
        var id = (string)
            Assert.Single((await coordinator.GetFromJsonAsync<JsonObject>("/api/waters/harrowmere", Cancel))!["proposals"]!.AsArray())![
                "id"
            ]!;

        Assert.Equal(
            HttpStatusCode.Forbidden,
            (await sampler.PostAsJsonAsync($"/api/proposals/{id}/decline", new { why = "no" }, Cancel)).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await coordinator.PostAsJsonAsync($"/api/proposals/{id}/decline", new { why = "" }, Cancel)).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (await coordinator.PostAsJsonAsync($"/api/proposals/{id}/decline", new { why = "too near the reeds" }, Cancel)).StatusCode
        );
        Assert.Empty((await coordinator.GetFromJsonAsync<JsonObject>("/api/waters/harrowmere", Cancel))!["proposals"]!.AsArray());
    }

    [Fact]
    public async Task A_photograph_is_shown_to_who_sees_its_water_and_nothing_else_is_kept_as_one()
    {
        using var sampler = await server.AsAsync("sampler");
        using var reader = await server.AsAsync("reader");
        byte[] png = [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A, 0, 0, 0, 0, 0x49, 0x45, 0x4E, 0x44, 0xAE, 0x42, 0x60, 0x82];
        var kept = await AnswerAsync(await PhotoAsync(sampler, png));

        var back = await sampler.GetAsync($"/api/photos/{kept["id"]}", Cancel);
        Assert.Equal(
            ("image/png", Convert.ToHexString(png)),
            (back.Content.Headers.ContentType!.MediaType, Convert.ToHexString(await back.Content.ReadAsByteArrayAsync(Cancel)))
        );
        Assert.Equal(HttpStatusCode.NotFound, (await reader.GetAsync($"/api/photos/{kept["id"]}", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await PhotoAsync(sampler, "<svg onload='x()'/>"u8.ToArray())).StatusCode);
    }

    private static async Task<HttpResponseMessage> PhotoAsync(HttpClient http, byte[] bytes)
    {
        var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        return await http.PostAsync("/api/waters/harrowmere/photos", content, Cancel);
    }

    private static async Task<JsonObject> OutingAsync(HttpClient http, string day, string water) =>
        (await http.GetFromJsonAsync<JsonObject>($"/api/outings/{day}/{water}", Cancel))!;

    private static async Task<JsonObject> AnswerAsync(HttpResponseMessage answer) =>
        (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
}
