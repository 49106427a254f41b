using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.People;
using UpperStill.Server.People;
using UpperStill.Store.Projections;

namespace UpperStill.Server.Tests;

/// <summary>The ledger over HTTP: custody, the laboratory's side, and results that come back.</summary>
public class LedgerTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const string Mapping = """{"number":"sample","value":"value","analyte":"analyte","unit":"unit"}""";

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task What_is_written_in_the_log_stands_in_the_ledger_and_comes_alone_the_next_time()
    {
        using var http = await server.AsAsync("sampler");
        var before = (await http.GetFromJsonAsync<JsonObject>("/api/samples", Cancel))!;
        var visit = await FrozenAsync(http, "2026-05-20");

        var after = (await http.GetFromJsonAsync<JsonObject>($"/api/samples?since={before["upTo"]}", Cancel))!;
        Assert.Contains(visit.Id, after["visits"]!.AsArray().Select(v => (string)v!));
        Assert.Equal("stored", (string)after["samples"]!.AsArray().Single(s => (string)s!["number"]! == visit.F1)!["state"]!);
        Assert.True((bool)before["whole"]! && !(bool)after["whole"]!);
    }

    [Fact]
    public async Task Of_two_visits_of_a_day_that_did_not_know_of_each_other_the_later_one_is_told_whose_numbers_it_used()
    {
        using var http = await server.AsAsync("sampler");
        // Begun in one minute, the one whose id is smaller counts as the earlier.
        SentSamples[] both = [new SentSamples("2026-04-07"), new SentSamples("2026-04-07")];
        var (earlier, later) = string.CompareOrdinal(both[0].Id, both[1].Id) < 0 ? (both[0], both[1]) : (both[1], both[0]);

        // The later one has the better signal.
        Assert.Equal("kept", await DeliverAsync(http, [.. later.Frozen()]));
        Assert.False(await UsedAsync(later));
        Assert.Equal("kept", await DeliverAsync(http, [.. earlier.Frozen()]));
        Assert.Equal((false, true), (await UsedAsync(earlier), await UsedAsync(later)));

        using (var scope = server.Services.CreateScope())
        {
            await scope.ServiceProvider.GetRequiredService<UpperStill.Store.FieldBook>().RebuildAsync(Cancel);
        }

        Assert.Equal((false, true), (await UsedAsync(earlier), await UsedAsync(later)));

        // Whoever prepares the next visit of that day knows of both.
        var others = (await http.GetFromJsonAsync<JsonObject>("/api/stations/HAR-1", Cancel))!["context"]!["others"]!.AsArray();
        Assert.Equal(2, others.Count(o => o!["filled"]!.AsArray().Any(n => (string)n! == earlier.F1)));

        async Task<bool> UsedAsync(SentSamples visit) =>
            (await http.GetFromJsonAsync<JsonObject>("/api/samples", Cancel))!["samples"]!
                .AsArray()
                .Single(s => (string)s!["visit"]! == visit.Id && (string)s["number"]! == visit.F1)!["findings"]!
                .AsArray()
                .Any(f => (string)f!["code"]! == "sample-number-used");
    }

    [Fact]
    public async Task A_laboratory_writes_what_is_its_own_and_nothing_else()
    {
        using var sampler = await server.AsAsync("sampler");
        using var laboratory = await server.AsAsync("laboratory");
        var visit = await FrozenAsync(sampler, "2026-05-21");

        Assert.Equal(
            "kept",
            await DeliverAsync(
                laboratory,
                visit.Entry("received", Samples(visit, new JsonObject { ["as"] = "good", ["signature"] = "Ivo" }))
            )
        );
        Assert.Equal(
            "refused",
            await DeliverAsync(laboratory, visit.Entry("stored", Samples(visit, new JsonObject { ["in"] = "freezer", ["foil"] = true })))
        );
        Assert.Equal(
            "refused",
            await DeliverAsync(
                sampler,
                visit.Entry(
                    "result",
                    new JsonObject
                    {
                        ["sample"] = visit.F1,
                        ["analyte"] = "chlorophyll-a",
                        ["value"] = "3",
                        ["unit"] = "µg/L",
                    }
                )
            )
        );
        var strike = visit.Entry("strike", []);
        strike["strikes"] = visit.Stored;
        strike["why"] = "not ours to strike";
        Assert.Equal("refused", await DeliverAsync(laboratory, strike));
    }

    [Fact]
    public async Task A_laboratory_of_one_water_reports_for_that_water_only()
    {
        using var sampler = await server.AsAsync("sampler");
        using var laboratory = await server.NewcomerAsync(new Grant(Role.Laboratory, ["pell-tarn"]));
        var visit = await FrozenAsync(sampler, "2026-05-22");

        Assert.Equal(
            "refused",
            await DeliverAsync(
                laboratory,
                visit.Entry("received", Samples(visit, new JsonObject { ["as"] = "good", ["signature"] = "Ivo" }))
            )
        );
        Assert.Empty((await laboratory.GetFromJsonAsync<JsonArray>($"/api/samples/{visit.F1}", Cancel))!);
    }

    [Fact]
    public async Task A_manifest_gathers_what_left_together_and_goes_along_as_a_file()
    {
        using var sampler = await server.AsAsync("sampler");
        var (one, two) = (await FrozenAsync(sampler, "2026-05-23"), await FrozenAsync(sampler, "2026-05-24"));
        var manifest = Guid.CreateVersion7().ToString();
        await HandOverAsync(sampler, one, manifest);
        await HandOverAsync(sampler, two, manifest);

        var shown = (await sampler.GetFromJsonAsync<JsonObject>($"/api/manifests/{manifest}", Cancel))!;
        Assert.Equal([one.F1, two.F1], shown["samples"]!.AsArray().Select(s => (string)s!["number"]!));
        Assert.Equal("Asa", (string)shown["signature"]!);
        Assert.Equal(3, (await sampler.GetStringAsync($"/api/manifests/{manifest}/manifest.csv", Cancel)).Trim().Split('\n').Length);
        using var stranger = await server.NewcomerAsync(new Grant(Role.Reader, ["pell-tarn"]));
        Assert.Equal(HttpStatusCode.NotFound, (await stranger.GetAsync($"/api/manifests/{manifest}", Cancel)).StatusCode);
    }

    [Fact]
    public async Task Results_join_by_number_and_bringing_the_file_again_in_any_order_changes_nothing()
    {
        using var sampler = await server.AsAsync("sampler");
        using var laboratory = await server.AsAsync("laboratory");
        var visit = await AtTheLabAsync(sampler, laboratory, "2026-05-25");
        var unknown = SampleNumber.Checked("HAR-1-250101-F1");
        string[] rows =
        [
            $"{visit.F1},chl a,\"3,42\",ug/L",
            $"{visit.F1},pheo a,<0.5,ug/L",
            $"{unknown},chl a,3,ug/L",
            $"{visit.F1[..^1]}?,chl a,3,ug/L",
            $"{visit.F1},chl a,3.42,ug/L",
            ",chl a,3,ug/L",
        ];

        var shown = await ImportAsync(laboratory, rows, keep: false);
        Assert.Equal((2, 1, 3, false), ((int)shown["new"]!, (int)shown["already"]!, (int)shown["held"]!, (bool)shown["kept"]!));
        Assert.Equal(2, (int)(await ImportAsync(laboratory, rows, keep: true))["new"]!);
        var state = await StateAsync(laboratory, visit);
        Assert.Contains("< 0.5 µg/L", state, StringComparison.Ordinal);

        foreach (var order in new[] { rows.Reverse(), rows.OrderBy(r => r.Length), rows.Concat(rows) })
        {
            Assert.Equal(0, (int)(await ImportAsync(laboratory, [.. order], keep: true))["new"]!);
        }

        Assert.Equal(state, await StateAsync(laboratory, visit));
    }

    [Fact]
    public async Task Two_files_in_either_order_leave_the_same_ledger()
    {
        using var sampler = await server.AsAsync("sampler");
        using var laboratory = await server.AsAsync("laboratory");
        var (one, two) = (await AtTheLabAsync(sampler, laboratory, "2026-05-26"), await AtTheLabAsync(sampler, laboratory, "2026-05-27"));
        string[] Rows(SentSamples v) => [$"{v.F1},chl a,3.42,ug/L", $"{v.F1},chl a,9.9,ug/L"];

        // Rows that contradict one another are all held, whichever stands first.
        await ImportAsync(laboratory, Rows(one), keep: true);
        await ImportAsync(laboratory, [.. Rows(two).Reverse()], keep: true);
        Assert.Equal(
            (await StateAsync(laboratory, one)).Replace("260526", "x", StringComparison.Ordinal).Length,
            (await StateAsync(laboratory, two)).Replace("260527", "x", StringComparison.Ordinal).Length
        );
        Assert.Equal(2, (await HeldAsync(laboratory)).Count(h => h.Contains(one.F1, StringComparison.Ordinal)));
    }

    [Fact]
    public async Task What_waits_for_its_sample_finds_it_when_the_boat_has_sent()
    {
        using var sampler = await server.AsAsync("sampler");
        using var laboratory = await server.AsAsync("laboratory");
        var number = SampleNumber.Checked("HAR-1-260528-F1");
        await ImportAsync(laboratory, [$"{number},chl a,4.4,ug/L"], keep: true);
        Assert.Contains(await HeldAsync(laboratory), h => h.Contains(number, StringComparison.Ordinal));

        await AtTheLabAsync(sampler, laboratory, "2026-05-28");
        var again = await laboratory.PostAsync("/api/results/held/again", null, Cancel);
        Assert.True((int)(await again.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["new"]! >= 1);
        Assert.DoesNotContain(await HeldAsync(laboratory), h => h.Contains(number, StringComparison.Ordinal));
        Assert.Contains("4.4", (await laboratory.GetStringAsync("/api/stations/HAR-1", Cancel)), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Results_of_a_rejected_vial_are_listed_and_a_held_row_is_put_aside_with_a_reason()
    {
        using var sampler = await server.AsAsync("sampler");
        using var laboratory = await server.AsAsync("laboratory");
        var visit = await AtTheLabAsync(sampler, laboratory, "2026-05-29");
        var reject = visit.Entry("sample-rejected", Samples(visit, []));
        reject["why"] = "thawed";
        await DeliverAsync(laboratory, reject);

        var answer = await ImportAsync(laboratory, [$"{visit.F1},chl a,3.4,ug/L"], keep: true);
        Assert.Equal("result-of-rejected", (string)answer["reasons"]![0]!["code"]!);
        var id = (string)answer["shown"]![0]!["id"]!;
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await laboratory.PostAsJsonAsync($"/api/results/held/{id}/settled", new { why = " " }, Cancel)).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await laboratory.PostAsJsonAsync($"/api/results/held/{id}/settled", new { why = "the lab knows" }, Cancel)).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await laboratory.PostAsJsonAsync($"/api/results/held/{id}/settled", new { why = "again" }, Cancel)).StatusCode
        );
    }

    [Fact]
    public async Task The_columns_of_a_laboratory_are_remembered_by_their_heads()
    {
        using var laboratory = await server.AsAsync("laboratory");
        const string file = "Probe;Wert;Art\nx;3;?\n";
        const string mapping = """{"number":"Probe","value":"Wert","wholeAnalyte":"chlorophyll-a","wholeUnit":"µg/L"}""";
        await PostAsync(laboratory, $"/api/results/import?name=a.csv&keep=true&mapping={Uri.EscapeDataString(mapping)}", file);

        var look = await (await PostAsync(laboratory, "/api/results/look", file)).Content.ReadFromJsonAsync<JsonObject>(Cancel);
        Assert.Equal(("Probe", "chlorophyll-a"), ((string)look!["mapping"]!["number"]!, (string)look["mapping"]!["wholeAnalyte"]!));
    }

    [Theory]
    [InlineData("sampler", Mapping, HttpStatusCode.Forbidden)]
    [InlineData("laboratory", "{", HttpStatusCode.BadRequest)]
    [InlineData("laboratory", """{"number":"sample"}""", HttpStatusCode.BadRequest)]
    public async Task An_import_that_cannot_be_is_refused_whole(string account, string mapping, HttpStatusCode status)
    {
        using var http = await server.AsAsync(account);
        Assert.Equal(
            status,
            (
                await PostAsync(
                    http,
                    $"/api/results/import?name=a.csv&keep=true&mapping={Uri.EscapeDataString(mapping)}",
                    "sample,value\nx,3\n"
                )
            ).StatusCode
        );
    }

    [Fact]
    public async Task The_laboratorys_door_is_told_as_instants()
    {
        using var http = await server.AsAsync("sampler");
        var door = (await http.GetFromJsonAsync<JsonObject>("/api/laboratory/door", Cancel))!;

        Assert.Equal("2026-08-12T08:00:00+01:00", (string)door["open"]![0]!["from"]!);
        Assert.Equal("2026-10-02T12:00:00+01:00", (string)door["turnIns"]![0]!);
        Assert.True((bool)door["simulated"]!);
    }

    [Fact]
    public async Task Made_up_results_come_into_the_demo_only()
    {
        using var real = new EmptyServer();
        using var first = await real.AsAsync(null);
        var token = real.Services.GetRequiredService<FirstCoordinator>().Token;
        var answer = await first.PostAsJsonAsync(
            "/api/session/first",
            new
            {
                token,
                name = "Ada",
                signInName = "ada",
                password = "a long enough one",
            },
            Cancel
        );
        answer.EnsureSuccessStatusCode();
        RunningServer.Bear(first, (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!);

        var asked = await first.PostAsync($"/api/manifests/{Guid.CreateVersion7()}/answer", null, Cancel);
        Assert.Equal(
            "No laboratory answers here by itself.",
            (string?)(await asked.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["title"]
        );
    }

    private static async Task<string> StateAsync(HttpClient http, SentSamples visit) =>
        await http.GetStringAsync($"/api/samples/{visit.F1}", Cancel);

    private static async Task<List<string>> HeldAsync(HttpClient http) =>
        [.. (await http.GetFromJsonAsync<JsonArray>("/api/results/held", Cancel))!.Select(h => (string)h!["raw"]!)];

    private static async Task<JsonObject> ImportAsync(HttpClient http, IEnumerable<string> rows, bool keep)
    {
        using var answer = await PostAsync(
            http,
            $"/api/results/import?name=lab.csv&keep={(keep ? "true" : "false")}&mapping={Uri.EscapeDataString(Mapping)}",
            "sample,analyte,value,unit\n" + string.Join('\n', rows)
        );
        answer.EnsureSuccessStatusCode();
        return (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
    }

    private static Task<HttpResponseMessage> PostAsync(HttpClient http, string path, string file) =>
        http.PostAsync(path, new StringContent(file, Encoding.UTF8, "text/csv"), Cancel);

    private static JsonObject Samples(SentSamples visit, JsonObject body)
    {
        body["samples"] = new JsonArray(visit.F1);
        return body;
    }

    private static async Task<SentSamples> FrozenAsync(HttpClient sampler, string day)
    {
        var visit = new SentSamples(day);
        Assert.Equal("kept", await DeliverAsync(sampler, [.. visit.Frozen()]));
        return visit;
    }

    private static async Task<SentSamples> AtTheLabAsync(HttpClient sampler, HttpClient laboratory, string day)
    {
        var visit = await FrozenAsync(sampler, day);
        await HandOverAsync(sampler, visit, Guid.CreateVersion7().ToString());
        Assert.Equal(
            "kept",
            await DeliverAsync(
                laboratory,
                visit.Entry("received", Samples(visit, new JsonObject { ["as"] = "good", ["signature"] = "Ivo" }))
            )
        );
        return visit;
    }

    private static async Task HandOverAsync(HttpClient http, SentSamples visit, string manifest) =>
        Assert.Equal(
            "kept",
            await DeliverAsync(
                http,
                visit.Entry(
                    "handed-over",
                    Samples(
                        visit,
                        new JsonObject
                        {
                            ["manifest"] = manifest,
                            ["to"] = "the lab",
                            ["by"] = "hand",
                            ["on"] = "frozen-packs",
                            ["signature"] = "Asa",
                        }
                    )
                )
            )
        );

    // The status of the last entry.
    private static async Task<string> DeliverAsync(HttpClient http, params JsonObject[] entries)
    {
        var answer = await http.PostAsJsonAsync(
            "/api/entries",
            new JsonObject { ["sentAt"] = DateTimeOffset.UtcNow, ["entries"] = await http.OwnAsync(entries) },
            Cancel
        );
        return (string)(await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["answers"]!.AsArray()[^1]!["status"]!;
    }

    /// <summary>A visit whose filter is in the freezer, as devices send it.</summary>
    private sealed class SentSamples(string day)
    {
        private int minute;

        internal string Id { get; } = Guid.CreateVersion7().ToString();

        internal string F1 { get; } = SampleNumber.Checked($"HAR-1-{day.Replace("-", string.Empty, StringComparison.Ordinal)[2..]}-F1");

        internal string Stored { get; private set; } = string.Empty;

        internal IEnumerable<JsonObject> Frozen()
        {
            var c1 = SampleNumber.Checked(F1[..^4] + "C1");
            yield return Entry(
                "visit-started",
                new JsonObject
                {
                    ["station"] = "HAR-1",
                    ["programme"] = "monthly-composite",
                    ["programmeVersion"] = 1,
                    ["observers"] = new JsonArray("Asa"),
                    ["line"] = "R-3",
                }
            );
            yield return Entry(
                "fill",
                new JsonObject
                {
                    ["sample"] = c1,
                    ["type"] = "chlorophyll-water",
                    ["from"] = "composite",
                    ["to"] = "as-asked",
                    ["drops"] = 5,
                }
            );
            yield return Entry(
                "filter",
                new JsonObject
                {
                    ["sample"] = F1,
                    ["from"] = c1,
                    ["by"] = "syringe",
                    ["whiteDisc"] = true,
                    ["rinsed"] = true,
                }
            );
            yield return Entry(
                "filter-fill",
                new JsonObject
                {
                    ["sample"] = F1,
                    ["startMl"] = "50",
                    ["leftMl"] = "0",
                }
            );
            yield return Entry("filter", new JsonObject { ["sample"] = F1, ["folded"] = true });
            var stored = Entry(
                "stored",
                new JsonObject
                {
                    ["samples"] = new JsonArray(F1),
                    ["in"] = "freezer",
                    ["foil"] = true,
                }
            );
            Stored = (string)stored["id"]!;
            yield return stored;
        }

        internal JsonObject Entry(string kind, JsonObject body) =>
            new()
            {
                ["id"] = Guid.CreateVersion7().ToString(),
                ["visit"] = Id,
                ["kind"] = kind,
                ["version"] = 1,
                ["body"] = body,
                ["at"] = $"{day}T11:{minute++:00}:00+01:00",
                ["by"] = "Asa",
                ["device"] = "test",
            };
    }
}
