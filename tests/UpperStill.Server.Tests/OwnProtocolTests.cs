using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace UpperStill.Server.Tests;

public class OwnProtocolTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const string Birds = """
        {
          "code": "", "version": 0, "title": "Reed birds", "purpose": "How many birds rest in the reeds.", "rank": 35,
          "steps": [{ "code": "", "do": "Count.", "why": "They come and go.",
            "fields": [{ "code": "", "label": "Span", "kind": "number", "unit": "m", "required": true }] }],
          "sums": [{ "code": "", "name": "span of reeds", "rule": "mean", "field": "span" }]
        }
        """;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task It_is_published_with_its_programme_and_a_box_that_was_read_keeps_its_unit()
    {
        using var http = await server.AsAsync("coordinator");
        var programme = await ProgrammeAsync(http, 1);
        programme["own"] = new JsonArray(JsonNode.Parse(Birds));
        Assert.Empty((await KeepAsync(http, programme, 1))["findings"]!.AsArray());
        var published = (await ProgrammeAsync(http, 2))["own"]![0]!;
        Assert.Equal(
            ("own-reed-birds", 1, "span"),
            ((string)published["code"]!, (int)published["version"]!, (string)published["steps"]![0]!["fields"]![0]!["code"]!)
        );

        await SendAsync(http, "PEL-1", Observed("own-reed-birds", "count", "span", "12", "m"), programmeVersion: 2);

        // Nothing else was changed: it stays the first version. Its unit was read, and stays for ever.
        programme = await ProgrammeAsync(http, 2);
        programme["name"] = "Town lakes and birds";
        await KeepAsync(http, programme, 2);
        Assert.Equal(1, (int)(await ProgrammeAsync(http, 3))["own"]![0]!["version"]!);

        programme = await ProgrammeAsync(http, 3);
        programme["own"]![0]!["steps"]![0]!["fields"]![0]!["unit"] = "ft";
        var refused = await KeepAsync(http, programme, 3);
        Assert.False((bool)refused["kept"]!);
        var finding = Assert.Single(refused["findings"]!.AsArray())!;
        Assert.Equal(
            ("own/own-reed-birds/field/span", "protocol-field-fixed"),
            ((string)finding["field"]!, (string)finding["finding"]!["code"]!)
        );

        programme["own"]![0]!["steps"]![0]!["fields"]![0]!["unit"] = "m";
        programme["own"]![0]!["steps"]![0]!["fields"]![0]!["label"] = "Span of reeds";
        Assert.True((bool)(await KeepAsync(http, programme, 3))["kept"]!);
        Assert.Equal(2, (int)(await ProgrammeAsync(http, 4))["own"]![0]!["version"]!);
    }

    [Fact]
    public async Task What_is_practised_is_never_taken_for_the_water()
    {
        using var http = await server.AsAsync("coordinator");
        var answer = await SendAsync(http, "practice-1", null);
        Assert.All(answer["answers"]!.AsArray(), a => Assert.Equal("refused", (string)a!["status"]!));
        Assert.Contains("place of practice", (string)answer["answers"]![0]!["problem"]!["title"]!, StringComparison.Ordinal);

        var station = (
            await (
                await http.PostAsJsonAsync(
                    "/api/stations",
                    new
                    {
                        station = new
                        {
                            code = "Practice-1",
                            waterCode = "pell-tarn",
                            water = "",
                            district = "",
                            name = "Inlet",
                            knownDepth = new { written = "1.2", unit = "m" },
                            latitudeDeg = 51.8868,
                            longitudeDeg = -11.4104,
                        },
                        programme = "town-lakes",
                    },
                    Cancel
                )
            ).Content.ReadFromJsonAsync<JsonObject>(Cancel)
        )!;
        Assert.Equal((false, "code-reserved"), ((bool)station["kept"]!, (string)station["findings"]![0]!["finding"]!["code"]!));
    }

    [Fact]
    public async Task Its_file_has_a_schema()
    {
        using var http = server.Stranger();
        var schema = (await http.GetFromJsonAsync<JsonObject>("/api/programmes/own/schema", Cancel))!;
        Assert.Equal(["code", "version", "title", "purpose", "rank", "steps"], schema["required"]!.AsArray().Select(r => (string)r!));
        Assert.Contains("per-area", schema.ToJsonString(), StringComparison.Ordinal);
    }

    private static async Task<JsonObject> ProgrammeAsync(HttpClient http, int version) =>
        (await http.GetFromJsonAsync<JsonObject>($"/api/programmes/town-lakes/{version}", Cancel))!;

    private static async Task<JsonObject> KeepAsync(HttpClient http, JsonObject programme, int seen) =>
        (
            await (
                await http.PutAsJsonAsync($"/api/programmes/town-lakes?version={seen}", new { programme, keep = true }, Cancel)
            ).Content.ReadFromJsonAsync<JsonObject>(Cancel)
        )!;

    private static JsonObject Observed(string protocol, string step, string field, string written, string unit) =>
        new()
        {
            ["protocol"] = protocol,
            ["version"] = 1,
            ["step"] = step,
            ["field"] = field,
            ["value"] = new JsonObject { ["written"] = written, ["unit"] = unit },
        };

    private static async Task<JsonObject> SendAsync(HttpClient http, string station, JsonObject? observed, int programmeVersion = 1)
    {
        var entries = await http.OwnAsync(SentVisit.At(station));
        entries[0]!["body"]!["programmeVersion"] = programmeVersion;
        if (observed is not null)
        {
            var entry = entries[1]!.DeepClone();
            (entry["id"], entry["kind"], entry["body"]) = (Guid.CreateVersion7().ToString(), "observation", observed);
            entries.Add(entry);
        }

        var sent = await http.PostAsJsonAsync("/api/entries", new { sentAt = "2026-08-12T10:45:00+01:00", entries }, Cancel);
        return (await sent.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
    }
}
