using System.Net;
using System.Text.Json.Nodes;
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

    private sealed class ServerBehindProxy : RunningServer
    {
        protected override IReadOnlyDictionary<string, string> Options => new Dictionary<string, string> { ["behind-proxy"] = "127.0.0.1,::1" };
    }
}
