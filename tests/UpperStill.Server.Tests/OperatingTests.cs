using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Microsoft.Extensions.Configuration;
using UpperStill.Server.Hosting;

namespace UpperStill.Server.Tests;

/// <summary>What whoever runs an instance rests on.</summary>
public sealed class OperatingTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Health_is_told_to_anyone_and_tells_nothing_of_the_group()
    {
        using var http = server.Stranger();

        Assert.Equal("Healthy", await http.GetStringAsync("/health/live", Cancel));
        var ready = JsonNode.Parse(await http.GetStringAsync("/health/ready", Cancel))!.AsObject();

        Assert.Equal(["database", "room"], ready.Select(r => r.Key).Order());
        Assert.Equal("Healthy: answers", (string)ready["database"]!);
        Assert.Contains("MB free", (string)ready["room"]!, StringComparison.Ordinal);
        using var said = new StringWriter();
        Assert.Equal(0, await Commands.RunAsync(["health", "--at", $"{http.BaseAddress}"], said, Cancel));
        Assert.Equal(1, await Commands.RunAsync(["health", "--at", "http://127.0.0.1:9"], said, Cancel));
        Assert.Contains("does not answer", said.ToString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Headers_of_a_proxy_are_believed_of_that_proxy_only()
    {
        using var behind = new ServerBehindProxy();
        foreach (var (instance, secure) in new (RunningServer, bool)[] { (behind, true), (server, false) })
        {
            using var http = instance.Stranger();
            http.DefaultRequestHeaders.Host = "water.example.org";
            http.DefaultRequestHeaders.Add("X-Forwarded-Proto", "https");
            http.DefaultRequestHeaders.Add("X-Forwarded-For", "203.0.113.7");
            using var answer = await http.GetAsync("/api/session", Cancel);

            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
            Assert.Equal(secure, answer.Headers.GetValues("Set-Cookie").All(c => c.Contains("secure", StringComparison.OrdinalIgnoreCase)));
            Assert.Equal(secure, answer.Headers.Contains("Strict-Transport-Security"));
        }
    }

    [Theory]
    [InlineData("/lakes/upper-still/api/session")]
    [InlineData("/api/session")]
    public async Task In_a_folder_of_its_name_it_answers_whether_the_proxy_takes_the_folder_off_or_not(string address)
    {
        using var beside = new ServerInFolder();
        using var http = beside.Stranger();

        using var answer = await http.GetAsync(address, Cancel);

        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        Assert.All(answer.Headers.GetValues("Set-Cookie"), c => Assert.Contains("path=/lakes/upper-still", c, StringComparison.Ordinal));
    }

    [Fact]
    public async Task A_folder_is_written_with_its_stroke_at_the_end_or_led_there()
    {
        using var beside = new ServerInFolder();
        using var http = new HttpClient(new SocketsHttpHandler { AllowAutoRedirect = false })
        {
            BaseAddress = beside.ClientOptions.BaseAddress,
        };

        using var answer = await http.GetAsync("/lakes/upper-still?of=secchi", Cancel);

        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        Assert.Equal("/lakes/upper-still/?of=secchi", $"{answer.Headers.Location}");
    }

    [Theory]
    [InlineData("lakes")]
    [InlineData("/lakes/")]
    [InlineData("//elsewhere.example")]
    [InlineData("/la kes")]
    [InlineData("/..")]
    [InlineData("/lakes/../upper-still")]
    [InlineData("/lakes\n")]
    public void What_is_no_folder_of_an_address_is_refused_at_the_start(string given)
    {
        var configuration = new ConfigurationBuilder()
            .AddInMemoryCollection(new Dictionary<string, string?> { ["base-path"] = given })
            .Build();

        var fault = Assert.Throws<FormatException>(() => BasePath.Of(configuration));

        Assert.Contains("/upper-still", fault.Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_scraper_on_the_machine_reads_what_the_log_does_and_learns_of_nobody()
    {
        using var watched = new WatchedServer();
        using var http = await watched.AsAsync("coordinator");
        var entries = await http.OwnAsync(SentVisit.At("HAR-1"));
        (await http.PostAsJsonAsync("/api/entries", new { sentAt = DateTimeOffset.UtcNow, entries }, Cancel)).EnsureSuccessStatusCode();
        (await http.PostAsJsonAsync("/api/entries", new { sentAt = DateTimeOffset.UtcNow, entries }, Cancel)).EnsureSuccessStatusCode();
        using var scraper = new HttpClient();

        // Another server of the same process counts for itself.
        using var another = await server.AsAsync("coordinator");
        (
            await another.PostAsJsonAsync(
                "/api/entries",
                new { sentAt = DateTimeOffset.UtcNow, entries = await another.OwnAsync(SentVisit.At("HAR-1")) },
                Cancel
            )
        ).EnsureSuccessStatusCode();

        var told = await scraper.GetStringAsync($"http://localhost:{watched.Port}/metrics", Cancel);

        Assert.Matches($"(?m)^upperstill_log_entries{{became=\"kept\"}} {entries.Count}$", told);
        Assert.Matches($"(?m)^upperstill_log_entries{{became=\"already\"}} {entries.Count}$", told);
        Assert.Matches("(?m)^upperstill_log_write_seconds_count 2$", told);
        Assert.Matches("(?m)^upperstill_free_bytes [1-9]", told);
        Assert.Matches("(?m)^microsoft_aspnetcore_hosting_http_server_request_duration_count{.*http_route=\"/api/entries\".*} 2$", told);
        Assert.DoesNotContain("HAR-1", told, StringComparison.Ordinal);
        Assert.DoesNotContain("Ada", told, StringComparison.Ordinal);
        using var elsewhere = await http.GetAsync("/metrics", Cancel);
        Assert.DoesNotContain("upperstill_", await elsewhere.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    private sealed class WatchedServer : RunningServer
    {
        internal int Port { get; } = FreePort();

        protected override IReadOnlyDictionary<string, string> Options => new Dictionary<string, string> { ["metrics-port"] = $"{Port}" };

        private static int FreePort()
        {
            using var probe = new TcpListener(IPAddress.Loopback, 0);
            probe.Start();
            return ((IPEndPoint)probe.LocalEndpoint).Port;
        }
    }

    private sealed class ServerInFolder : RunningServer
    {
        protected override IReadOnlyDictionary<string, string> Options =>
            new Dictionary<string, string> { ["base-path"] = "/lakes/upper-still" };
    }

    private sealed class ServerBehindProxy : RunningServer
    {
        protected override IReadOnlyDictionary<string, string> Options =>
            new Dictionary<string, string> { ["behind-proxy"] = "127.0.0.1,::1" };
    }
}
