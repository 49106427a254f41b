using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Routing;
using Microsoft.AspNetCore.Routing.Patterns;
using Microsoft.Extensions.DependencyInjection;
using UpperStill.Core.Setup.People;
using UpperStill.Server.People;

namespace UpperStill.Server.Tests;

/// <summary>Every address under /api, asked by everybody.</summary>
public class AccessTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const string NotSignedIn = "You are not signed in.";
    private const string NotReached = "Your role does not reach this.";

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public static TheoryData<string, AccessLevel> Everybody =>
        new()
        {
            { "nobody", AccessLevel.Anyone },
            { "reader", AccessLevel.SignedIn },
            { "laboratory", AccessLevel.Writes },
            { "sampler", AccessLevel.Works },
            { "coordinator", AccessLevel.CoordinatesAll },
        };

    // Whoever asks every address asks often: sign-ins are counted by the address from which they come.
    private static IPAddress Alone(int who) => IPAddress.Parse($"127.0.0.{10 + who}");

    [Theory]
    [MemberData(nameof(Everybody))]
    public async Task Every_address_opens_to_whom_it_names_and_to_nobody_else(string account, AccessLevel reach)
    {
        using var http = await server.AsAsync(account == "nobody" ? null : account, from: Alone((int)reach));
        foreach (var (method, path, access, type) in Addresses())
        {
            using var request = new HttpRequestMessage(new HttpMethod(method), path)
            {
                Content = new StringContent("{}", Encoding.UTF8, type),
            };
            using var answer = await http.SendAsync(request, HttpCompletionOption.ResponseHeadersRead, Cancel);
            var title = await TitleAsync(answer);
            var expected =
                access.Level <= reach ? null
                : reach == AccessLevel.Anyone ? NotSignedIn
                : NotReached;

            Assert.True(
                expected is null ? title is not (NotSignedIn or NotReached) : title == expected,
                $"{account}: {method} {path} gave {(int)answer.StatusCode} {title}"
            );
        }
    }

    [Fact]
    public void Every_address_says_who_may_use_it()
    {
        var addresses = server.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>().Where(IsApi).ToList();

        Assert.True(addresses.Count > 15);
        Assert.All(addresses, a => Assert.True(a.Metadata.GetMetadata<Access>() is not null, a.RoutePattern.RawText));
    }

    [Fact]
    public async Task A_write_without_the_sessions_token_changes_nothing()
    {
        using var http = await server.AsAsync("coordinator", from: Alone(Everybody.Count));
        http.DefaultRequestHeaders.Remove("X-Upper-Still");
        foreach (var (method, path, _, type) in Addresses().Where(a => a.Access.Form && a.Method != "GET"))
        {
            using var request = new HttpRequestMessage(new HttpMethod(method), path)
            {
                Content = new StringContent("{}", Encoding.UTF8, type),
            };
            Assert.Equal("This request does not come from this session.", await TitleAsync(await http.SendAsync(request, Cancel)));
        }
    }

    [Theory]
    [InlineData(Role.Sampler, true)]
    [InlineData(Role.Coordinator, true)]
    [InlineData(Role.Laboratory, false)]
    [InlineData(Role.Reader, false)]
    public async Task A_role_on_one_water_reaches_that_water_only(Role role, bool writes)
    {
        using var http = await server.NewcomerAsync(new Grant(role, ["pell-tarn"]));

        var stations = (await http.GetFromJsonAsync<JsonArray>("/api/stations", Cancel))!;
        Assert.Equal(["PEL-1", "PEL-2", "PEL-3"], stations.Select(s => (string)s!["station"]!["code"]!));
        Assert.Equal(writes, (bool)stations[0]!["maySample"]!);
        Assert.Equal(HttpStatusCode.OK, (await http.GetAsync("/api/stations/PEL-1", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/stations/HAR-1", Cancel)).StatusCode);

        var here = await DeliverAsync(http, SentVisit.At("PEL-1"));
        var elsewhere = await DeliverAsync(http, SentVisit.At("HAR-1"));
        if (writes)
        {
            Assert.All((await AnswersAsync(here))!, a => Assert.Equal("kept", (string)a!["status"]!));
            Assert.All((await AnswersAsync(elsewhere))!, a =>
                Assert.EndsWith("#role-missing", (string)a!["problem"]!["type"]!, StringComparison.Ordinal)
            );
        }
        else if (role == Role.Laboratory)
        {
            // A laboratory writes what it receives and finds; a visit is not its own.
            Assert.All([.. (await AnswersAsync(here))!, .. (await AnswersAsync(elsewhere))!], a =>
                Assert.EndsWith("#role-missing", (string)a!["problem"]!["type"]!, StringComparison.Ordinal)
            );
        }
        else
        {
            Assert.Equal([HttpStatusCode.Forbidden, HttpStatusCode.Forbidden], [here.StatusCode, elsewhere.StatusCode]);
        }
    }

    [Theory]
    [InlineData(Role.Sampler)]
    [InlineData(Role.Coordinator)]
    [InlineData(Role.Laboratory)]
    [InlineData(Role.Reader)]
    public async Task Nothing_names_a_station_of_a_water_that_one_does_not_see(Role role)
    {
        using var http = await server.NewcomerAsync(new Grant(role, ["pell-tarn"]));
        var shown = 0;
        var addresses = Addresses()
            .Where(a => a.Method == "GET" && !a.Path.EndsWith("/lines", StringComparison.Ordinal) && a.Path != "/api/description.json")
            .SelectMany(a =>
                new[]
                {
                    a.Path.Replace("/x", "/pell-tarn", StringComparison.Ordinal),
                    a.Path.Replace("/x", "/PEL-1", StringComparison.Ordinal),
                }
            );
        foreach (var path in addresses.Distinct())
        {
            var answer = await http.GetAsync(path, Cancel);
            var said = await answer.Content.ReadAsStringAsync(Cancel);
            shown += said.Contains("PEL-1", StringComparison.Ordinal) ? 1 : 0;

            Assert.False(
                said.Contains("HAR-", StringComparison.Ordinal)
                    || said.Contains("SKA-", StringComparison.Ordinal)
                    || said.Contains("Harrowmere", StringComparison.Ordinal),
                $"{path}: {said}"
            );
        }

        Assert.True(shown > 3, $"{shown}");
    }

    [Fact]
    public async Task A_station_of_a_water_that_one_does_not_see_is_refused_in_the_words_of_one_that_is_not_there()
    {
        using var http = await server.NewcomerAsync(new Grant(Role.Sampler, ["pell-tarn"]));
        async Task<string> WordsAsync(string station) =>
            (await AnswersAsync(await DeliverAsync(http, SentVisit.At(station))))![0]!["problem"]!
                .ToJsonString()
                .Replace(station, "…", StringComparison.Ordinal);

        Assert.Equal(await WordsAsync("NOT-1"), await WordsAsync("HAR-1"));
    }

    [Fact]
    public async Task A_visit_is_read_only_by_those_who_see_its_water()
    {
        using var sampler = await server.AsAsync("sampler");
        using var tarnReader = await server.AsAsync("reader");
        var (tarn, mere) = (SentVisit.At("PEL-1"), SentVisit.At("HAR-2"));
        await DeliverAsync(sampler, tarn);
        await DeliverAsync(sampler, mere);

        Assert.Equal(HttpStatusCode.OK, (await tarnReader.GetAsync($"/api/visits/{tarn[0]!["visit"]}/entries", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.Forbidden, (await tarnReader.GetAsync($"/api/visits/{mere[0]!["visit"]}/entries", Cancel)).StatusCode);
    }

    [Fact]
    public async Task Entries_before_their_visits_beginning_are_read_only_by_who_delivered_them()
    {
        using var sampler = await server.AsAsync("sampler");
        using var coordinator = await server.AsAsync("coordinator");
        var visit = SentVisit.At("PEL-1");
        visit.RemoveAt(0);
        await DeliverAsync(sampler, visit);

        var path = $"/api/visits/{visit[0]!["visit"]}/entries";
        Assert.Equal(2, (await sampler.GetFromJsonAsync<JsonArray>(path, Cancel))!.Count);
        Assert.Empty((await coordinator.GetFromJsonAsync<JsonArray>(path, Cancel))!);
    }

    [Fact]
    public async Task The_log_says_whose_sign_in_delivered_an_entry()
    {
        using var sampler = await server.AsAsync("sampler");
        var visit = SentVisit.At("PEL-1");
        await DeliverAsync(sampler, visit);

        var person = (string)(await sampler.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!["id"]!;
        var back = (await sampler.GetFromJsonAsync<JsonArray>($"/api/visits/{visit[0]!["visit"]}/entries", Cancel))!;
        Assert.All(back, e =>
            Assert.Equal(
                ("Asa Lindqvist", "Asa Lindqvist", person),
                ((string)e!["by"]!, (string)e["receipt"]!["deliveredBy"]!, (string)e["receipt"]!["deliveredById"]!)
            )
        );
    }

    private static bool IsApi(RouteEndpoint endpoint) =>
        endpoint.RoutePattern.RawText?.StartsWith("/api", StringComparison.Ordinal) == true;

    private IEnumerable<(string Method, string Path, Access Access, string Type)> Addresses() =>
        from endpoint in server.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>().Where(IsApi)
        from method in endpoint.Metadata.GetMetadata<HttpMethodMetadata>()?.HttpMethods ?? ["GET"]
        where !(method == "DELETE" && endpoint.RoutePattern.RawText == "/api/session/")
        select (
            method,
            PathOf(endpoint),
            endpoint.Metadata.GetMetadata<Access>()!,
            endpoint.Metadata.GetMetadata<IAcceptsMetadata>()?.ContentTypes[0] ?? "application/json"
        );

    private static string PathOf(RouteEndpoint endpoint) =>
        "/"
        + string.Join(
            '/',
            endpoint.RoutePattern.PathSegments.Select(s =>
                s.Parts[0] switch
                {
                    RoutePatternLiteralPart literal => literal.Content,
                    RoutePatternParameterPart { ParameterPolicies: [{ Content: "guid" }, ..] } => Guid.Empty.ToString(),
                    RoutePatternParameterPart { ParameterPolicies: [{ Content: "int" }, ..] } => "1",
                    _ => "x",
                }
            )
        );

    private static async Task<string?> TitleAsync(HttpResponseMessage answer) =>
        answer.Content.Headers.ContentType?.MediaType == "application/problem+json"
            ? (string?)(await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["title"]
            : null;

    private static async Task<HttpResponseMessage> DeliverAsync(HttpClient http, JsonArray entries) =>
        await http.PostAsJsonAsync(
            "/api/entries",
            new JsonObject { ["sentAt"] = DateTimeOffset.UtcNow, ["entries"] = await http.OwnAsync(entries) },
            Cancel
        );

    private static async Task<JsonArray?> AnswersAsync(HttpResponseMessage answer) =>
        (JsonArray?)(await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["answers"];
}
