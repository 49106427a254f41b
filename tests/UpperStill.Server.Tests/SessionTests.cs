using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using UpperStill.Core.Setup.People;
using UpperStill.Server.People;

namespace UpperStill.Server.Tests;

public class SessionTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_demo_offers_an_account_of_each_role_until_one_is_signed_in()
    {
        using var http = await server.AsAsync(null);
        var before = (await http.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!;
        Assert.Equal(
            ["coordinator", "laboratory", "reader", "sampler"],
            before["demoAccounts"]!.AsArray().Select(a => (string)a!["grants"]![0]!["role"]!).Order()
        );

        using var sampler = await server.AsAsync("sampler");
        var after = (await sampler.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!;
        Assert.Equal("Asa Lindqvist", (string)after["person"]!["name"]!);
        Assert.Null(after["demoAccounts"]);
    }

    [Fact]
    public async Task Five_wrong_passwords_shut_the_account_also_for_the_right_one()
    {
        using var newcomer = await server.NewcomerAsync(new Grant(Role.Reader));
        var name = (string)(await newcomer.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!["signInName"]!;
        using var http = await server.AsAsync(null);
        for (var i = 0; i < 5; i++)
        {
            await http.PostAsJsonAsync("/api/session", new { signInName = name, password = "wrong" }, Cancel);
        }

        var answer = await http.PostAsJsonAsync("/api/session", new { signInName = name, password = "a long enough one" }, Cancel);
        Assert.Equal("Too many wrong tries from here.", await TitleAsync(answer));
        for (var i = 0; i < 5; i++)
        {
            answer = await http.PostAsJsonAsync("/api/session", new { signInName = "nobody-of-this-name", password = "wrong" }, Cancel);
        }

        answer = await http.PostAsJsonAsync("/api/session", new { signInName = "nobody-of-this-name", password = "wrong" }, Cancel);
        Assert.Equal("Too many wrong tries from here.", await TitleAsync(answer));
    }

    [Fact]
    public async Task A_wrong_password_and_an_unknown_name_look_the_same()
    {
        using var http = await server.AsAsync(null);
        var wrong = await http.PostAsJsonAsync("/api/session", new { signInName = "laboratory", password = "wrong" }, Cancel);
        var unknown = await http.PostAsJsonAsync("/api/session", new { signInName = "no-such-person", password = "wrong" }, Cancel);

        Assert.Equal(HttpStatusCode.Unauthorized, wrong.StatusCode);
        Assert.Equal(await TitleAsync(wrong), await TitleAsync(unknown));
    }

    [Fact]
    public async Task Signing_out_ends_it()
    {
        using var http = await server.AsAsync("sampler");
        var answer = await http.DeleteAsync("/api/session", Cancel);
        answer.EnsureSuccessStatusCode();

        Assert.Equal(HttpStatusCode.Unauthorized, (await http.GetAsync("/api/stations", Cancel)).StatusCode);
    }

    [Fact]
    public async Task A_role_taken_away_ends_at_once_where_it_is_signed_in()
    {
        using var newcomer = await server.NewcomerAsync(new Grant(Role.Sampler));
        using var coordinator = await server.AsAsync("coordinator");
        var person = (JsonObject)(await newcomer.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!;
        var change = new
        {
            name = (string)person["name"]!,
            signInName = (string)person["signInName"]!,
            grants = Array.Empty<object>(),
            active = false,
        };
        (await coordinator.PutAsJsonAsync($"/api/people/{person["id"]}", change, Cancel)).EnsureSuccessStatusCode();

        Assert.Equal(HttpStatusCode.Unauthorized, (await newcomer.GetAsync("/api/stations", Cancel)).StatusCode);
    }

    [Fact]
    public async Task A_link_works_once()
    {
        using var coordinator = await server.AsAsync("coordinator");
        var added = await coordinator.PostAsJsonAsync(
            "/api/people",
            new
            {
                name = "Once",
                signInName = "once",
                grants = Array.Empty<object>(),
            },
            Cancel
        );
        var id = (string)(await added.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["id"]!;
        var path = (string)
            (await (await coordinator.PostAsync($"/api/people/{id}/link", null, Cancel)).Content.ReadFromJsonAsync<JsonObject>(Cancel))![
                "path"
            ]!;
        var token = Uri.UnescapeDataString(path[(path.IndexOf("token=", StringComparison.Ordinal) + 6)..]);
        using var first = await server.AsAsync(null);
        using var second = await server.AsAsync(null);

        Assert.Equal(
            HttpStatusCode.BadRequest,
            (
                await first.PostAsJsonAsync(
                    "/api/session/welcome",
                    new
                    {
                        person = id,
                        token,
                        password = "short",
                    },
                    Cancel
                )
            ).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await first.PostAsJsonAsync(
                    "/api/session/welcome",
                    new
                    {
                        person = id,
                        token,
                        password = "a long enough one",
                    },
                    Cancel
                )
            ).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.Gone,
            (
                await second.PostAsJsonAsync(
                    "/api/session/welcome",
                    new
                    {
                        person = id,
                        token,
                        password = "another long one",
                    },
                    Cancel
                )
            ).StatusCode
        );
    }

    [Theory]
    [InlineData("", "someone", "The name is missing or too long.")]
    [InlineData("Someone", "two words", "Username 'two words' is invalid, can only contain letters or digits.")]
    [InlineData("Someone", "sampler", "Username 'sampler' is already taken.")]
    public async Task A_person_that_cannot_be_added_is_refused_with_words(string name, string signInName, string title)
    {
        using var coordinator = await server.AsAsync("coordinator");
        var answer = await coordinator.PostAsJsonAsync(
            "/api/people",
            new
            {
                name,
                signInName,
                grants = Array.Empty<object>(),
            },
            Cancel
        );

        Assert.Equal((HttpStatusCode.BadRequest, title), (answer.StatusCode, await TitleAsync(answer)));
    }

    [Fact]
    public async Task A_role_on_an_unknown_water_is_refused()
    {
        using var coordinator = await server.AsAsync("coordinator");
        var answer = await coordinator.PostAsJsonAsync(
            "/api/people",
            new
            {
                name = "Someone",
                signInName = "someone",
                grants = new[] { new { role = "reader", waters = new[] { "dry-lake" } } },
            },
            Cancel
        );

        Assert.Equal("No water “dry-lake” is known here.", await TitleAsync(answer));
    }

    [Fact]
    public async Task Somebody_always_coordinates_the_whole_group()
    {
        using var coordinator = await server.AsAsync("coordinator");
        var people = (await coordinator.GetFromJsonAsync<JsonArray>("/api/people", Cancel))!;
        var ada = people.Single(p => (string)p!["signInName"]! == "coordinator")!;
        var answer = await coordinator.PutAsJsonAsync(
            $"/api/people/{ada["id"]}",
            new
            {
                name = "Ada Fenn",
                signInName = "coordinator",
                grants = new[] { new { role = "coordinator", waters = new[] { "pell-tarn" } } },
            },
            Cancel
        );

        Assert.Equal("Nobody would be left who coordinates the whole group.", await TitleAsync(answer));
    }

    private static async Task<string?> TitleAsync(HttpResponseMessage answer) =>
        (string?)(await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["title"];
}

/// <summary>On servers of their own: the first coordinator is made once.</summary>
public class FirstCoordinatorTests
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_printed_link_makes_the_first_coordinator_and_nobody_after()
    {
        await using var server = new EmptyServer();
        using var http = await server.AsAsync(null);
        Assert.True((bool)(await http.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["firstNeeded"]!);
        var token = server.Services.GetRequiredService<FirstCoordinator>().Token;

        Assert.Equal(HttpStatusCode.Gone, (await First(http, "guessed")).StatusCode);
        var answer = await First(http, token);
        answer.EnsureSuccessStatusCode();
        var session = (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!;
        Assert.True((bool)session["person"]!["coordinatesAll"]!);
        Assert.False((bool)session["firstNeeded"]!);

        using var late = await server.AsAsync(null);
        Assert.Equal(HttpStatusCode.Gone, (await First(late, token)).StatusCode);
    }

    [Fact]
    public async Task An_empty_instance_has_no_demo_accounts()
    {
        await using var server = new EmptyServer();
        using var http = await server.AsAsync(null);

        Assert.Null((await http.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["demoAccounts"]);
        Assert.Equal(
            HttpStatusCode.Unauthorized,
            (
                await http.PostAsJsonAsync("/api/session", new { signInName = "coordinator", password = "upper-still-demo" }, Cancel)
            ).StatusCode
        );
    }

    private static Task<HttpResponseMessage> First(HttpClient http, string token) =>
        http.PostAsJsonAsync(
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
}
