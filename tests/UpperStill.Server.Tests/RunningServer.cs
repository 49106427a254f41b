using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Setup.People;
using UpperStill.Server.People;
using UpperStill.StandIns.Demo;
using UpperStill.Store;

namespace UpperStill.Server.Tests;

/// <summary>The real server on a real port, with the demo in a real database file.</summary>
public class RunningServer : WebApplicationFactory<Program>
{
    // Filling the demo takes seconds: the first server of the run does, the others begin with a copy.
    private static readonly Lazy<string> Demo = new(() =>
    {
        using var first = new FirstServer();
        return first.Left;
    });

    private readonly bool demo;
    private readonly bool stays;

    public RunningServer()
        : this(true) { }

    /// <param name="demo">True where it shows the demo.</param>
    /// <param name="stays">The folder of its data, which stays after it; null for one of its own, which does not.</param>
    protected RunningServer(bool demo, string? stays = null)
    {
        this.demo = demo;
        this.stays = stays is not null;
        Folder = stays ?? Directory.CreateTempSubdirectory("upper-still-").FullName;
        Prepare(Folder);
        UseKestrel(0);
        StartServer();
    }

    /// <summary>Where its data is.</summary>
    public string Folder { get; }

    /// <summary>Asks on somebody's behalf; null for a stranger.</summary>
    public async Task<HttpClient> AsAsync(
        string? signInName,
        string password = DemoScenario.Password,
        CookieContainer? cookies = null,
        IPAddress? from = null
    )
    {
        var http = Stranger(cookies, from);
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
        var added = await coordinator.PostAsJsonAsync(
            "/api/people",
            new
            {
                name,
                signInName = name,
                grants = JsonSerializer.SerializeToNode(grants, SetupJson.Default.IReadOnlyListGrant),
            }
        );
        added.EnsureSuccessStatusCode();
        var id = (string)(await added.Content.ReadFromJsonAsync<JsonObject>())!["id"]!;
        var link = await coordinator.PostAsync($"/api/people/{id}/link", null);
        var path = (string)(await link.Content.ReadFromJsonAsync<JsonObject>())!["path"]!;
        var http = await AsAsync(null);
        var token = Uri.UnescapeDataString(path[(path.IndexOf("token=", StringComparison.Ordinal) + 6)..]);
        var answer = await http.PostAsJsonAsync(
            "/api/session/welcome",
            new
            {
                person = id,
                token,
                password = "a long enough one",
            }
        );
        answer.EnsureSuccessStatusCode();
        Bear(http, (await answer.Content.ReadFromJsonAsync<JsonObject>())!);
        return http;
    }

    /// <summary>A device that has not asked for a session.</summary>
    /// <param name="cookies">What it was given before.</param>
    /// <param name="from">The address of this machine from which it asks; null for the usual one.</param>
    public HttpClient Stranger(CookieContainer? cookies = null, IPAddress? from = null)
    {
        var handler = new SocketsHttpHandler { CookieContainer = cookies ?? new CookieContainer() };
        if (from is not null)
        {
            handler.ConnectCallback = async (context, cancel) =>
            {
                var socket = new Socket(AddressFamily.InterNetwork, SocketType.Stream, ProtocolType.Tcp) { NoDelay = true };
                socket.Bind(new IPEndPoint(from, 0));
                await socket.ConnectAsync(IPAddress.Loopback, context.DnsEndPoint.Port, cancel);
                return new NetworkStream(socket, ownsSocket: true);
            };
        }

        return new HttpClient(handler) { BaseAddress = ClientOptions.BaseAddress };
    }

    /// <summary>A session's token belongs to whoever is signed in; signing in gives another.</summary>
    public static void Bear(HttpClient http, JsonObject session)
    {
        http.DefaultRequestHeaders.Remove("X-Upper-Still");
        http.DefaultRequestHeaders.Add("X-Upper-Still", (string)session["token"]!);
    }

    /// <summary>Puts into the folder what the server is to begin with.</summary>
    protected virtual void Prepare(string folder)
    {
        if (demo)
        {
            File.Copy(Demo.Value, Path.Combine(folder, "upper-still.db"));
        }
    }

    /// <summary>The coordinator of an instance that had nobody.</summary>
    public async Task<HttpClient> FirstAsync()
    {
        var http = await AsAsync(null);
        var answer = await http.PostAsJsonAsync(
            "/api/session/first",
            new
            {
                token = Services.GetRequiredService<FirstCoordinator>().Token,
                name = "First",
                signInName = "first",
                password = "a long enough one",
            }
        );
        answer.EnsureSuccessStatusCode();
        Bear(http, (await answer.Content.ReadFromJsonAsync<JsonObject>())!);
        return http;
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

        // A password that costs a tenth of a second to try is right for people, and an hour for a thousand sign-ins.
        builder.ConfigureServices(services => services.Configure<PasswordHasherOptions>(hasher => hasher.IterationCount = 100));
        builder.UseSetting("data", Folder);
        builder.UseSetting("demo", demo ? "true" : "false");
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && !stays && Directory.Exists(Folder))
        {
            Directory.Delete(Folder, true);
        }
    }

    // Makes the demo, and leaves its database alone when it ends.
    private sealed class FirstServer() : RunningServer(true)
    {
        private static readonly string Kept = Path.Combine(Path.GetTempPath(), $"upper-still-demo-{Environment.ProcessId}.db");

        public string Left
        {
            get
            {
                using var scope = Services.CreateScope();
                var book = scope.ServiceProvider.GetRequiredService<FieldBook>();
                File.Delete(Kept);
                book.Database.ExecuteSql($"VACUUM INTO {Kept}");
                AppDomain.CurrentDomain.ProcessExit += (_, _) => File.Delete(Kept);
                return Kept;
            }
        }

        protected override void Prepare(string folder) { }
    }
}

/// <summary>A server that begins with nothing and nobody.</summary>
public sealed class EmptyServer() : RunningServer(false);
