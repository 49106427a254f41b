using System.Text.Json.Nodes;

namespace UpperStill.Server.Tests;

/// <summary>A short visit as a device sends it.</summary>
internal static class SentVisit
{
    internal static JsonArray At(string station)
    {
        var visit = Guid.CreateVersion7().ToString();
        return
        [
            Entry("visit-started", new JsonObject { ["station"] = station, ["programme"] = "town-lakes", ["programmeVersion"] = 1, ["observers"] = new JsonArray("Asa"), ["line"] = "R-5" }),
            Entry("sounding", new JsonObject { ["depth"] = new JsonObject { ["written"] = "2.6", ["unit"] = "m" } }),
            Entry("disc-outcome", new JsonObject { ["outcome"] = "on-bottom" }),
        ];

        JsonObject Entry(string kind, JsonObject body) => new()
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
