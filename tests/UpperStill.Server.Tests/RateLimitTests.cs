using System.Net;
using System.Text;

namespace UpperStill.Server.Tests;

/// <summary>On a server of its own: it uses up the rate.</summary>
public class RateLimitTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task Core_is_limited_in_rate_and_says_so()
    {
        using var http = server.CreateClient();
        var answers = await Task.WhenAll(
            Enumerable
                .Range(0, 900)
                .Select(_ =>
                    http.PostAsync(
                        "/api/core/length",
                        new StringContent("""{"written":"1","unit":"m"}""", Encoding.UTF8, "application/json")
                    )
                )
        );

        Assert.Contains(answers, a => a.StatusCode == HttpStatusCode.TooManyRequests);
        Assert.Contains(answers, a => a.StatusCode == HttpStatusCode.OK);
    }
}
