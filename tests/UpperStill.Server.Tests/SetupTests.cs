using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using UpperStill.Core.Setup.People;

namespace UpperStill.Server.Tests;

public class SetupTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_station_is_set_up_only_where_it_can_be()
    {
        using var http = await server.NewcomerAsync(new Grant(Role.Coordinator, ["pell-tarn"]));
        object Station(string water, double latitude, double longitude) =>
            new
            {
                station = new
                {
                    code = "PEL-9",
                    waterCode = water,
                    water = "",
                    district = "",
                    name = "Inlet",
                    knownDepth = new { written = "1.2", unit = "m" },
                    latitudeDeg = latitude,
                    longitudeDeg = longitude,
                },
                programme = "town-lakes",
            };

        var swapped = (
            await (
                await http.PostAsJsonAsync("/api/stations", Station("pell-tarn", -11.4104, 51.8868), Cancel)
            ).Content.ReadFromJsonAsync<JsonObject>(Cancel)
        )!;
        Assert.False((bool)swapped["kept"]!);
        Assert.Equal(51.8868, (double)swapped["meant"]!["latitudeDeg"]!);
        Assert.Equal(
            HttpStatusCode.Forbidden,
            (await http.PostAsJsonAsync("/api/stations", Station("harrowmere", 51.9135, -11.4415), Cancel)).StatusCode
        );

        var kept = (
            await (
                await http.PostAsJsonAsync("/api/stations", Station("pell-tarn", 51.8868, -11.4104), Cancel)
            ).Content.ReadFromJsonAsync<JsonObject>(Cancel)
        )!;
        Assert.True((bool)kept["kept"]!);
        Assert.Equal(
            "Pell Tarn",
            (string)(await http.GetFromJsonAsync<JsonObject>("/api/stations/PEL-9", Cancel))!["context"]!["station"]!["water"]!
        );
    }

    [Fact]
    public async Task A_new_water_never_takes_the_place_of_its_namesake()
    {
        using var http = await server.AsAsync("coordinator");
        object Water(string district) =>
            new
            {
                code = "pell-tarn",
                name = "Pell Tarn",
                district,
                kind = "lake",
                timeZone = "Europe/London",
            };

        var twin = await AnswerAsync(await http.PostAsJsonAsync("/api/waters", Water("Aldwick"), Cancel));
        Assert.False((bool)twin["kept"]!);
        Assert.Equal("water-twice", (string)twin["findings"]![0]!["finding"]!["code"]!);

        var namesake = await AnswerAsync(await http.PostAsJsonAsync("/api/waters", Water("Far Hills"), Cancel));
        Assert.Equal((true, "pell-tarn-far-hills"), ((bool)namesake["kept"]!, (string)namesake["code"]!));
        Assert.Equal("Aldwick", (string)(await http.GetFromJsonAsync<JsonObject>("/api/waters/pell-tarn", Cancel))!["water"]!["district"]!);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await http.PutAsJsonAsync("/api/waters/not-there?version=0", Water("Aldwick"), Cancel)).StatusCode
        );
    }

    [Fact]
    public async Task A_water_in_another_zone_has_its_own_today()
    {
        using var http = await server.AsAsync("coordinator");
        Assert.Equal("today", await SkarnAsync());
        var water = (JsonObject)(await http.GetFromJsonAsync<JsonObject>("/api/waters/skarn-sound", Cancel))!["water"]!;
        var there = water.DeepClone().AsObject();

        // 10:22 summer time in Britain is still the evening before, twelve hours behind Greenwich.
        there["timeZone"] = "Etc/GMT+12";
        Assert.True((bool)(await AnswerAsync(await http.PutAsJsonAsync("/api/waters/skarn-sound?version=0", there, Cancel)))["kept"]!);
        Assert.Equal("planned", await SkarnAsync());
        await http.PutAsJsonAsync("/api/waters/skarn-sound?version=1", water, Cancel);

        async Task<string> SkarnAsync() =>
            (string)
                (await http.GetFromJsonAsync<JsonObject>("/api/season", Cancel))!["plan"]!["stations"]!
                    .AsArray()
                    .Single(s => (string)s!["code"]! == "SKA-1")!["dates"]!
                    .AsArray()
                    .Single(d => (string)d!["day"]! == "2026-08-12")!["state"]!;
    }

    [Fact]
    public async Task A_new_station_never_takes_the_place_of_another()
    {
        using var http = await server.AsAsync("coordinator");
        var station = new
        {
            station = new
            {
                code = "HAR-1",
                waterCode = "pell-tarn",
                water = "",
                district = "",
                name = "Middle again",
                knownDepth = new { written = "2", unit = "m" },
                latitudeDeg = 51.8870,
                longitudeDeg = -11.4090,
            },
            programme = "town-lakes",
        };

        var answer = await AnswerAsync(await http.PostAsJsonAsync("/api/stations", station, Cancel));
        Assert.False((bool)answer["kept"]!);
        Assert.Contains(answer["findings"]!.AsArray(), f => (string)f!["finding"]!["seen"]! == "HAR-1 is Deep Hole on Harrowmere.");
        Assert.Equal("HAR-5", (string)(await http.GetFromJsonAsync<JsonObject>("/api/waters/harrowmere", Cancel))!["nextCode"]!);
    }

    [Fact]
    public async Task A_new_programme_never_becomes_a_version_of_its_namesake()
    {
        using var http = await server.AsAsync("coordinator");
        var preset = (await http.GetFromJsonAsync<JsonArray>("/api/programmes/presets", Cancel))!.Single(p =>
            (string)p!["programme"]!["code"]! == "town-lakes"
        )!["programme"]!;
        var before = (string)(await http.GetFromJsonAsync<JsonObject>("/api/programmes/town-lakes/1", Cancel))!.ToJsonString();

        var twin = await AnswerAsync(await http.PostAsJsonAsync("/api/programmes", preset, Cancel));
        Assert.False((bool)twin["kept"]!);
        Assert.Equal("There is a programme called Town lakes already.", (string)twin["findings"]![0]!["finding"]!["seen"]!);

        preset["name"] = "Village ponds";
        Assert.True((bool)(await AnswerAsync(await http.PostAsJsonAsync("/api/programmes", preset, Cancel)))["kept"]!);
        Assert.Equal(HttpStatusCode.OK, (await http.GetAsync("/api/programmes/village-ponds/1", Cancel)).StatusCode);
        Assert.Equal(before, (await http.GetFromJsonAsync<JsonObject>("/api/programmes/town-lakes/1", Cancel))!.ToJsonString());
    }

    [Fact]
    public async Task A_change_of_method_says_whose_series_break_and_is_kept_as_another_version()
    {
        using var http = await server.AsAsync("coordinator");
        var programme = (await http.GetFromJsonAsync<JsonObject>("/api/programmes/layered-lake/1", Cancel))!;
        programme["clarity"]!["endPoint"] = "disappear";

        var shown = await AnswerAsync(
            await http.PutAsJsonAsync("/api/programmes/layered-lake?version=1", new { programme, keep = false }, Cancel)
        );
        Assert.Equal(
            (false, 2, "HAR-2"),
            ((bool)shown["kept"]!, (int)shown["version"]!, (string)Assert.Single(shown["stations"]!.AsArray())!)
        );
        var kept = await AnswerAsync(
            await http.PutAsJsonAsync("/api/programmes/layered-lake?version=1", new { programme, keep = true }, Cancel)
        );
        Assert.True((bool)kept["kept"]!);

        // Whoever opened the version before does not write over this one.
        var late = await http.PutAsJsonAsync("/api/programmes/layered-lake?version=1", new { programme, keep = true }, Cancel);
        Assert.Equal(
            (HttpStatusCode.Conflict, "Ada Fenn changed this after you opened it."),
            (late.StatusCode, (string)(await AnswerAsync(late))["title"]!)
        );
        Assert.Equal(
            "reappear",
            (string)(await http.GetFromJsonAsync<JsonObject>("/api/programmes/layered-lake/1", Cancel))!["clarity"]!["endPoint"]!
        );
        Assert.Equal(
            "disappear",
            (string)(await http.GetFromJsonAsync<JsonObject>("/api/programmes/layered-lake/2", Cancel))!["clarity"]!["endPoint"]!
        );
    }

    [Fact]
    public async Task Whoever_comes_second_is_told_what_changed_and_nothing_is_written_over()
    {
        using var one = await server.AsAsync("coordinator");
        using var other = await server.NewcomerAsync(new UpperStill.Core.Setup.People.Grant(UpperStill.Core.Setup.People.Role.Coordinator));
        var seen = (await one.GetFromJsonAsync<JsonObject>("/api/waters/harrowmere", Cancel))!;
        var water = (JsonObject)seen["water"]!.DeepClone();
        water["altitudeM"] = 131;
        Assert.True(
            (bool)
                (await AnswerAsync(await other.PutAsJsonAsync($"/api/waters/harrowmere?version={seen["version"]}", water, Cancel)))["kept"]!
        );
        water["altitudeM"] = 128;
        water["name"] = "Harrow Mere";
        var late = await one.PutAsJsonAsync($"/api/waters/harrowmere?version={seen["version"]}", water, Cancel);
        Assert.Equal(HttpStatusCode.Conflict, late.StatusCode);
        Assert.Contains("altitude m from", (string)(await AnswerAsync(late))["detail"]!, StringComparison.Ordinal);
        var now = (await one.GetFromJsonAsync<JsonObject>("/api/waters/harrowmere", Cancel))!;
        Assert.Equal(("Harrowmere", 131), ((string)now["water"]!["name"]!, (int)now["water"]!["altitudeM"]!));

        var station = now["stations"]![0]!.DeepClone();
        Assert.True((bool)(await AnswerAsync(await one.PutAsJsonAsync("/api/stations/HAR-1", station, Cancel)))["kept"]!);
        // Nothing was changed: nobody is told that something was.
        station["line"] = "R-4";
        Assert.True((bool)(await AnswerAsync(await other.PutAsJsonAsync("/api/stations/HAR-1", station, Cancel)))["kept"]!);
        station["line"] = "R-3";
        var second = await one.PutAsJsonAsync("/api/stations/HAR-1", station, Cancel);
        Assert.Equal(HttpStatusCode.Conflict, second.StatusCode);
        var told = await AnswerAsync(second);
        Assert.StartsWith("newcomer-", (string)told["title"]!, StringComparison.Ordinal);
        Assert.Contains("line from R-3 to R-4", (string)told["detail"]!, StringComparison.Ordinal);
        station.AsObject().Remove("version");
        Assert.Equal(HttpStatusCode.Conflict, (await other.PutAsJsonAsync("/api/stations/HAR-1", station, Cancel)).StatusCode);

        var laboratory = await one.GetAsync("/api/laboratory", Cancel);
        var hours = await laboratory.Content.ReadFromJsonAsync<JsonObject>(Cancel);
        var version = laboratory.Headers.ETag!.Tag.Trim('"');
        hours!["travelMinutes"] = 77;
        Assert.Equal(HttpStatusCode.OK, (await one.PutAsJsonAsync($"/api/laboratory?version={version}", hours, Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.Conflict, (await other.PutAsJsonAsync($"/api/laboratory?version={version}", hours, Cancel)).StatusCode);
    }

    [Theory]
    [InlineData("{\n\"code\": ", "The file is not a programme: line 2.")]
    [InlineData("null", "The file is not a programme.")]
    public async Task A_broken_programme_file_is_refused_with_its_line(string file, string title)
    {
        using var http = await server.AsAsync("coordinator");
        var answer = await http.PostAsync(
            "/api/programmes/read",
            new StringContent(file, System.Text.Encoding.UTF8, "application/json"),
            Cancel
        );

        Assert.Equal((HttpStatusCode.BadRequest, title), (answer.StatusCode, (string)(await AnswerAsync(answer))["title"]!));
    }

    private static async Task<JsonObject> AnswerAsync(HttpResponseMessage answer) =>
        (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
}
