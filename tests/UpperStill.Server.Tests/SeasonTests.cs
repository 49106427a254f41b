using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using UpperStill.Core.Setup.People;

namespace UpperStill.Server.Tests;

public class SeasonTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_demos_wednesday_has_something_due_something_missed_and_something_at_risk()
    {
        using var http = await server.AsAsync("reader");
        using var all = await server.AsAsync("coordinator");
        var season = await SeasonAsync(all);

        Assert.Equal("2026-08-12", (string)season["today"]!);

        // 11.44° west: 45 min 46 s after Greenwich; the sundial 5 min late in mid-August; summer time one hour on.
        Assert.Equal("13:50", (string)season["stations"]!.AsArray().Single(s => (string)s!["station"]!["code"]! == "HAR-1")!["highSun"]!);
        Assert.Contains("today", States(season, "HAR-1"));
        Assert.Contains("missed", States(season, "SAL-1"));
        Assert.Contains(Plan(season, "SAL-1")["findings"]!.AsArray(), f =>
            ((string)f!["seen"]!).StartsWith("June was missed. 2 dates left, 2 needed", StringComparison.Ordinal)
        );
        Assert.All((await SeasonAsync(http))["stations"]!.AsArray(), s => Assert.Equal("pell-tarn", (string)s!["station"]!["waterCode"]!));
    }

    [Fact]
    public async Task A_move_is_shown_before_it_is_kept_and_the_rest_is_planned_anew()
    {
        using var http = await server.AsAsync("sampler");
        var before = await SeasonAsync(http);
        var from = (string)Plan(before, "PEL-1")["dates"]!.AsArray().First(d => (string)d!["state"]! == "planned")!["day"]!;
        var to = DateOnly.Parse(from, CultureInfo.InvariantCulture).AddDays(2).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

        var shown = await MoveAsync(http, "PEL-1", from, to, keep: false);
        Assert.Matches(@"^\w{3} 1\d August moves to \w{3} 2\d August$", Words(shown, "PEL-1")[0]);
        Assert.Equal(before["plan"]!.ToJsonString(), (await SeasonAsync(http))["plan"]!.ToJsonString());

        var kept = await MoveAsync(http, "PEL-1", from, to, keep: true);
        Assert.Equal(Words(shown, "PEL-1"), Words(kept, "PEL-1"));
        var dates = Plan(await SeasonAsync(http), "PEL-1")["dates"]!.AsArray();
        Assert.DoesNotContain(dates, d => (string)d!["day"]! == from);
        Assert.Contains(dates, d => (string)d!["day"]! == to && ((string)d["why"]![0]!) == "chosen by hand: regatta");
    }

    [Fact]
    public async Task A_date_against_a_rule_says_which_and_is_not_proposed()
    {
        using var http = await server.AsAsync("sampler");
        var shown = await MoveAsync(http, "SKA-1", "2026-08-19", "2026-12-24", keep: false);

        Assert.Contains(Words(shown, "SKA-1"), w =>
            w.Contains("24 December was chosen by hand, but it lies outside the season", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(Role.Sampler, HttpStatusCode.OK)]
    [InlineData(Role.Coordinator, HttpStatusCode.OK)]
    [InlineData(Role.Laboratory, HttpStatusCode.Forbidden)]
    [InlineData(Role.Reader, HttpStatusCode.Forbidden)]
    public async Task Only_those_who_go_there_move_a_waters_dates(Role role, HttpStatusCode here)
    {
        using var http = await server.NewcomerAsync(new Grant(role, ["harrowmere"]));

        Assert.Equal(here, (await PostMoveAsync(http, "HAR-1", "2026-08-26", null, false)).StatusCode);
        Assert.Equal(HttpStatusCode.Forbidden, (await PostMoveAsync(http, "PEL-1", "2026-08-19", null, false)).StatusCode);
    }

    [Theory]
    [InlineData(null, null, "weather")]
    [InlineData("2026-08-26", "2026-08-26", "weather")]
    [InlineData("2026-08-26", null, " ")]
    public async Task A_move_without_a_day_or_a_reason_is_refused(string? from, string? to, string why)
    {
        using var http = await server.AsAsync("sampler");
        var answer = await http.PostAsJsonAsync(
            "/api/season/move",
            new
            {
                station = "HAR-1",
                from,
                to,
                why,
                keep = true,
            },
            Cancel
        );

        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
    }

    [Fact]
    public async Task A_day_that_is_freed_again_leaves_the_plan_as_it_was()
    {
        using var http = await server.AsAsync("coordinator");
        var before = (await SeasonAsync(http))["plan"]!.ToJsonString();
        (
            await http.PostAsJsonAsync(
                "/api/season/days",
                new
                {
                    day = "2026-08-26",
                    kind = "Blocked",
                    why = "holiday",
                },
                Cancel
            )
        ).EnsureSuccessStatusCode();
        var blocked = await SeasonAsync(http);
        Assert.DoesNotContain(blocked["plan"]!["stations"]!.AsArray().SelectMany(s => s!["dates"]!.AsArray()), d =>
            (string)d!["day"]! == "2026-08-26"
        );

        var id = (string)blocked["set"]!.AsArray().Single(d => (string)d!["why"]! == "holiday")!["id"]!;
        (await http.DeleteAsync($"/api/season/days/{id}", Cancel)).EnsureSuccessStatusCode();
        Assert.Equal(before, (await SeasonAsync(http))["plan"]!.ToJsonString());
    }

    [Fact]
    public async Task A_calendar_program_fetches_the_dates_of_whom_the_key_was_made_for()
    {
        using var reader = await server.AsAsync("reader");
        var path = (string)(await reader.GetFromJsonAsync<JsonObject>("/api/season/calendar-address", Cancel))!["path"]!;
        using var program = server.Stranger();
        var calendar = await program.GetStringAsync(path, Cancel);

        Assert.StartsWith("BEGIN:VCALENDAR", calendar, StringComparison.Ordinal);
        Assert.Contains("SUMMARY:Pell Tarn\\, Middle: clarity", calendar, StringComparison.Ordinal);
        Assert.Contains("DTSTART;TZID=Europe/London:202608", calendar, StringComparison.Ordinal);
        Assert.DoesNotContain("Harrowmere", calendar, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, (await program.GetAsync("/api/season/calendar.ics?key=guessed", Cancel)).StatusCode);
    }

    [Fact]
    public async Task A_lab_that_opens_after_it_closes_is_refused()
    {
        using var http = await server.AsAsync("coordinator");
        var answer = await http.PutAsJsonAsync(
            "/api/laboratory?version=0",
            new
            {
                name = "Lab",
                openings = new[]
                {
                    new
                    {
                        day = "Monday",
                        from = "15:00:00",
                        until = "08:00:00",
                    },
                },
                closedDays = Array.Empty<string>(),
            },
            Cancel
        );

        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
    }

    private static async Task<JsonObject> SeasonAsync(HttpClient http) => (await http.GetFromJsonAsync<JsonObject>("/api/season", Cancel))!;

    private static JsonObject Plan(JsonObject season, string station) =>
        (JsonObject)season["plan"]!["stations"]!.AsArray().Single(s => (string)s!["code"]! == station)!;

    private static IEnumerable<string> States(JsonObject season, string station) =>
        Plan(season, station)["dates"]!.AsArray().Select(d => (string)d!["state"]!);

    private static Task<HttpResponseMessage> PostMoveAsync(HttpClient http, string station, string from, string? to, bool keep) =>
        http.PostAsJsonAsync(
            "/api/season/move",
            new
            {
                station,
                from,
                to,
                why = "regatta",
                keep,
            },
            Cancel
        );

    private static async Task<JsonObject> MoveAsync(HttpClient http, string station, string from, string? to, bool keep)
    {
        var answer = await PostMoveAsync(http, station, from, to, keep);
        answer.EnsureSuccessStatusCode();
        return (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
    }

    private static string[] Words(JsonObject answer, string station) =>
        [
            .. answer["changes"]!
                .AsArray()
                .Where(c => (string)c!["station"]! == station)
                .SelectMany(c => c!["words"]!.AsArray())
                .Select(w => (string)w!),
        ];
}
