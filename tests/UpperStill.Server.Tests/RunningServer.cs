using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Data.Sqlite;
using UpperStill.Core.Operations;
using UpperStill.Core.People;
using UpperStill.StandIns.Demo;

namespace UpperStill.Server.Tests;

/// <summary>The real server on a real port, with the demo in a real database file.</summary>
public class RunningServer : WebApplicationFactory<Program>
{
    private readonly bool demo;
    private readonly string folder = Directory.CreateTempSubdirectory("upper-still-").FullName;

    public RunningServer()
        : this(true)
    {
    }

    protected RunningServer(bool demo)
    {
        this.demo = demo;
        UseKestrel(0);
        StartServer();
    }

    /// <summary>Asks on somebody's behalf; null for a stranger.</summary>
    public async Task<HttpClient> AsAsync(string? signInName, string password = DemoScenario.Password)
    {
        var http = Stranger();
        var session = (await http.GetFromJsonAsync<JsonObject>("/api/session"))!;
        http.DefaultRequestHeaders.Add("X-Upper-Still", (string)session["token"]!);
        if (signInName is not null)
        {
            var answer = await http.PostAsJsonAsync("/api/session", new { signInName, password });
            answer.EnsureSuccessStatusCode();
            Bear(http, (await answer.Content.ReadFromJsonAsync<JsonObject>())!);
        }

        return http;
    }

    /// <summary>Somebody new with these roles, who has followed the link and chosen a password.</summary>
    public async Task<HttpClient> NewcomerAsync(params Grant[] grants)
    {
        using var coordinator = await AsAsync("coordinator");
        var name = $"newcomer-{Guid.CreateVersion7():N}";
        var added = await coordinator.PostAsJsonAsync("/api/people", new { name, signInName = name, grants = JsonSerializer.SerializeToNode(grants, SetupJson.Default.IReadOnlyListGrant) });
        added.EnsureSuccessStatusCode();
        var id = (string)(await added.Content.ReadFromJsonAsync<JsonObject>())!["id"]!;
        var link = await coordinator.PostAsync($"/api/people/{id}/link", null);
        var path = (string)(await link.Content.ReadFromJsonAsync<JsonObject>())!["path"]!;
        var http = await AsAsync(null);
        var token = Uri.UnescapeDataString(path[(path.IndexOf("token=", StringComparison.Ordinal) + 6)..]);
        var answer = await http.PostAsJsonAsync("/api/session/welcome", new { person = id, token, password = "a long enough one" });
        answer.EnsureSuccessStatusCode();
        Bear(http, (await answer.Content.ReadFromJsonAsync<JsonObject>())!);
        return http;
    }

    /// <summary>A device that has not asked for a session.</summary>
    public HttpClient Stranger() => new(new SocketsHttpHandler { CookieContainer = new CookieContainer() }) { BaseAddress = ClientOptions.BaseAddress };

    /// <summary>A session's token belongs to whoever is signed in; signing in gives another.</summary>
    public static void Bear(HttpClient http, JsonObject session)
    {
        http.DefaultRequestHeaders.Remove("X-Upper-Still");
        http.DefaultRequestHeaders.Add("X-Upper-Still", (string)session["token"]!);
    }

    /// <summary>What it is started with beside its data.</summary>
    protected virtual IReadOnlyDictionary<string, string> Options => new Dictionary<string, string>();

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        ArgumentNullException.ThrowIfNull(builder);
        foreach (var (name, value) in Options)
        {
            builder.UseSetting(name, value);
        }

        builder.UseSetting("data", folder);
        builder.UseSetting("demo", demo ? "true" : "false");
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        SqliteConnection.ClearAllPools();
        if (disposing && Directory.Exists(folder))
        {
            Directory.Delete(folder, true);
        }
    }
}

/// <summary>A server that begins with nothing and nobody.</summary>
public sealed class EmptyServer() : RunningServer(false);
