using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace UpperStill.Server.Tests;

/// <summary>A short visit as a device sends it.</summary>
internal static class SentVisit
{
    /// <summary>Copies of entries as whoever is signed in writes them.</summary>
    internal static async Task<JsonArray> OwnAsync(this HttpClient http, IEnumerable<JsonNode?> entries)
    {
        var name = (string?)(await http.GetFromJsonAsync<JsonObject>("/api/session"))!["person"]?["name"];
        var own = new JsonArray([.. entries.Select(e => e?.DeepClone())]);
        foreach (var entry in own.OfType<JsonObject>().Where(e => e.ContainsKey("by")))
        {
            entry["by"] = name;
        }

        return own;
    }

    internal static JsonArray At(string station)
    {
        var visit = Guid.CreateVersion7().ToString();
        return
        [
            Entry(
                "visit-started",
                new JsonObject
                {
                    ["station"] = station,
                    ["programme"] = "town-lakes",
                    ["programmeVersion"] = 1,
                    ["observers"] = new JsonArray("Asa"),
                    ["line"] = "R-5",
                }
            ),
            Entry(
                "sounding",
                new JsonObject
                {
                    ["depth"] = new JsonObject { ["written"] = "2.6", ["unit"] = "m" },
                }
            ),
            Entry("disc-outcome", new JsonObject { ["outcome"] = "on-bottom" }),
        ];

        JsonObject Entry(string kind, JsonObject body) =>
            new()
            {
                ["id"] = Guid.CreateVersion7().ToString(),
                ["visit"] = visit,
                ["kind"] = kind,
                ["version"] = 1,
                ["body"] = body,
                ["at"] = "2026-08-12T10:40:00+01:00",
                ["by"] = "Asa",
                ["device"] = "test",
            };
    }
}
