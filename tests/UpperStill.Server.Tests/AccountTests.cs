using System.Net;
using System.Net.Http.Json;
using System.Security.Cryptography;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using UpperStill.Core.Setup.People;
using UpperStill.Store;

namespace UpperStill.Server.Tests;

/// <summary>One's own account: sessions, password, second factor, and links that take nothing over.</summary>
public sealed class AccountTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const string Password = "a long enough one";

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_cookie_of_a_session_that_was_ended_opens_nothing()
    {
        using var phone = await server.NewcomerAsync(new Grant(Role.Reader));
        var name = await NameAsync(phone);
        using var desk = await SignInAsync(name, Password);
        var sessions = (await desk.GetFromJsonAsync<JsonObject>("/api/account", Cancel))!["sessions"]!.AsArray();
        Assert.Equal(2, sessions.Count);
        Assert.Single(sessions, s => (bool)s!["this"]!);

        (
            await desk.DeleteAsync($"/api/account/sessions/{sessions.Single(s => !(bool)s!["this"]!)!["id"]}", Cancel)
        ).EnsureSuccessStatusCode();
        Assert.Equal(HttpStatusCode.Unauthorized, (await phone.GetAsync("/api/stations", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await desk.GetAsync("/api/stations", Cancel)).StatusCode);
    }

    [Fact]
    public async Task Signing_out_ends_the_session_on_the_server_not_only_the_cookie()
    {
        using var http = await server.NewcomerAsync(new Grant(Role.Reader));
        using var scope = server.Services.CreateScope();
        var book = scope.ServiceProvider.GetRequiredService<FieldBook>();
        var id = Guid.Parse((string)(await http.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!["id"]!);
        Assert.Single(book.Sessions, s => s.Person == id);
        (await http.DeleteAsync("/api/session", Cancel)).EnsureSuccessStatusCode();
        Assert.Empty(book.Sessions.Where(s => s.Person == id));
    }

    [Fact]
    public async Task Another_password_needs_the_present_one_and_ends_the_other_sessions()
    {
        using var phone = await server.NewcomerAsync(new Grant(Role.Reader));
        var name = await NameAsync(phone);
        using var desk = await SignInAsync(name, Password);

        Assert.Equal(
            "That is not your present password.",
            await TitleAsync(
                await desk.PostAsJsonAsync("/api/account/password", new { current = "wrong", password = "heron kettle rope" }, Cancel)
            )
        );
        Assert.StartsWith(
            "That password is among the first",
            await TitleAsync(
                await desk.PostAsJsonAsync("/api/account/password", new { current = Password, password = "Password123!" }, Cancel)
            ),
            StringComparison.Ordinal
        );
        (
            await desk.PostAsJsonAsync("/api/account/password", new { current = Password, password = "heron kettle rope" }, Cancel)
        ).EnsureSuccessStatusCode();

        Assert.Equal(HttpStatusCode.Unauthorized, (await phone.GetAsync("/api/stations", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await desk.GetAsync("/api/stations", Cancel)).StatusCode);
        using var late = await SignInAsync(name, "heron kettle rope");
        Assert.Equal(HttpStatusCode.OK, (await late.GetAsync("/api/stations", Cancel)).StatusCode);
    }

    [Fact]
    public async Task With_a_second_factor_the_password_alone_opens_nothing_and_a_code_opens_once()
    {
        using var http = await server.NewcomerAsync(new Grant(Role.Reader));
        var name = await NameAsync(http);
        var secret = (
            await (await http.PostAsync("/api/account/second-factor", null, Cancel)).Content.ReadFromJsonAsync<JsonObject>(Cancel)
        )!;
        Assert.Contains((string)secret["secret"]!, (string)secret["address"]!, StringComparison.Ordinal);
        Assert.Equal(
            "This code does not fit.",
            await TitleAsync(await http.PutAsJsonAsync("/api/account/second-factor", new { code = "000" }, Cancel))
        );
        var code = Totp((string)secret["secret"]!, 0);
        var confirmed = (
            await (await http.PutAsJsonAsync("/api/account/second-factor", new { code }, Cancel)).Content.ReadFromJsonAsync<JsonObject>(
                Cancel
            )
        )!;
        var recovery = confirmed["codes"]!.AsArray().Select(c => (string)c!).ToList();
        Assert.Equal(10, recovery.Distinct().Count());

        using var stranger = await server.AsAsync(null);
        var asked = await SignInAnswerAsync(stranger, name, null);
        Assert.Equal("This account asks for a second factor.", await TitleAsync(asked));
        Assert.Equal(HttpStatusCode.Unauthorized, asked.StatusCode);
        Assert.Equal("This code does not fit.", await TitleAsync(await SignInAnswerAsync(stranger, name, code))); // used already
        Assert.Equal(HttpStatusCode.OK, (await SignInAnswerAsync(stranger, name, Totp((string)secret["secret"]!, 1))).StatusCode);

        using var lost = await server.AsAsync(null);
        Assert.Equal(HttpStatusCode.OK, (await SignInAnswerAsync(lost, name, recovery[0])).StatusCode);
        using var again = await server.AsAsync(null);
        Assert.Equal(HttpStatusCode.Unauthorized, (await SignInAnswerAsync(again, name, recovery[0])).StatusCode);
    }

    [Fact]
    public async Task A_link_does_not_take_an_account_over_that_somebody_holds()
    {
        using var holder = await server.NewcomerAsync(new Grant(Role.Reader));
        var person = (await holder.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!;
        using var coordinator = await server.AsAsync("coordinator");
        var link = (
            await (await coordinator.PostAsync($"/api/people/{person["id"]}/link", null, Cancel)).Content.ReadFromJsonAsync<JsonObject>(
                Cancel
            )
        )!;
        Assert.NotNull(link["from"]);
        var use = new
        {
            person = (string)person["id"]!,
            token = TokenOf(link),
            password = "taken over now",
        };
        using var stranger = await server.AsAsync(null);
        Assert.Equal("This link does not open yet.", await TitleAsync(await stranger.PostAsJsonAsync("/api/session/welcome", use, Cancel)));

        // Its holder is told, and stops it.
        Assert.Equal("Ada Fenn", (string)(await holder.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!["link"]!["by"]!);
        (await holder.PostAsync("/api/account/link/stop", null, Cancel)).EnsureSuccessStatusCode();
        Assert.Equal(HttpStatusCode.Gone, (await stranger.PostAsJsonAsync("/api/session/welcome", use, Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await holder.GetAsync("/api/stations", Cancel)).StatusCode);

        // Or opens it, because they asked for it.
        link = (
            await (await coordinator.PostAsync($"/api/people/{person["id"]}/link", null, Cancel)).Content.ReadFromJsonAsync<JsonObject>(
                Cancel
            )
        )!;
        (await holder.PostAsync("/api/account/link/open", null, Cancel)).EnsureSuccessStatusCode();
        (
            await stranger.PostAsJsonAsync(
                "/api/session/welcome",
                new
                {
                    use.person,
                    token = TokenOf(link),
                    password = "heron kettle rope",
                },
                Cancel
            )
        ).EnsureSuccessStatusCode();
        Assert.Equal(HttpStatusCode.Unauthorized, (await holder.GetAsync("/api/stations", Cancel)).StatusCode);

        var events = (await coordinator.GetFromJsonAsync<JsonArray>("/api/people/events", Cancel))!
            .Where(e => (string?)e!["name"] == (string)person["name"]!)
            .Select(e => (string)e!["what"]!)
            .ToList();
        Assert.Equal(
            ["link-used", "link-allowed", "link-made", "link-stopped", "link-made", "link-used", "link-made", "roles-changed"],
            events
        );
    }

    [Fact]
    public async Task Whoever_has_the_link_does_not_try_codes_without_end_and_a_refused_password_uses_no_code_up()
    {
        using var holder = await server.NewcomerAsync(new Grant(Role.Reader));
        var person = (await holder.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!;
        var secret = (string)
            (await (await holder.PostAsync("/api/account/second-factor", null, Cancel)).Content.ReadFromJsonAsync<JsonObject>(Cancel))![
                "secret"
            ]!;
        var confirmed = await holder.PutAsJsonAsync("/api/account/second-factor", new { code = Totp(secret, 0) }, Cancel);
        var recovery = (await confirmed.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["codes"]!
            .AsArray()
            .Select(c => (string)c!)
            .ToList();
        RunningServer.Bear(holder, (await holder.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!);
        using var coordinator = await server.AsAsync("coordinator");
        var token = TokenOf(
            (
                await (await coordinator.PostAsync($"/api/people/{person["id"]}/link", null, Cancel)).Content.ReadFromJsonAsync<JsonObject>(
                    Cancel
                )
            )!
        );
        (await holder.PostAsync("/api/account/link/open", null, Cancel)).EnsureSuccessStatusCode();
        using var stranger = await server.AsAsync(null);
        Task<HttpResponseMessage> Use(string? code, string password = "heron kettle rope") =>
            stranger.PostAsJsonAsync(
                "/api/session/welcome",
                new
                {
                    person = (string)person["id"]!,
                    token,
                    password,
                    code,
                },
                Cancel
            );

        Assert.Equal(HttpStatusCode.Unauthorized, (await Use(null)).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await Use(recovery[0], "short")).StatusCode);
        for (var i = 0; i < 5; i++)
        {
            Assert.Equal(HttpStatusCode.Unauthorized, (await Use($"00000{i}")).StatusCode);
        }

        Assert.Equal(HttpStatusCode.Unauthorized, (await Use(recovery[0])).StatusCode);
        Assert.Equal(10, (int)(await holder.GetFromJsonAsync<JsonObject>("/api/account", Cancel))!["recoveryCodes"]!);
    }

    [Fact]
    public async Task A_coordinator_shuts_out_a_lost_phone_and_the_record_says_who_was_refused()
    {
        using var phone = await server.NewcomerAsync(new Grant(Role.Reader));
        using var coordinator = await server.AsAsync("coordinator");
        var person = (await phone.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!;
        (await coordinator.DeleteAsync($"/api/people/{person["id"]}/sessions", Cancel)).EnsureSuccessStatusCode();
        Assert.Equal(HttpStatusCode.Unauthorized, (await phone.GetAsync("/api/stations", Cancel)).StatusCode);

        using var stranger = await server.AsAsync(null);
        await stranger.PostAsJsonAsync("/api/session", new { signInName = "who-is-this", password = "wrong" }, Cancel);
        var newest = (await coordinator.GetFromJsonAsync<JsonArray>("/api/people/events", Cancel))!.First(e =>
            (string)e!["signInName"]! == "who-is-this"
        )!;
        Assert.Equal(("refused", null), ((string)newest["what"]!, (string?)newest["name"]));
    }

    [Fact]
    public async Task A_new_address_for_the_calendar_ends_the_one_before()
    {
        using var http = await server.NewcomerAsync(new Grant(Role.Reader));
        var first = (string)(await http.GetFromJsonAsync<JsonObject>("/api/season/calendar-address", Cancel))!["path"]!;
        using var program = server.Stranger();
        Assert.Equal(HttpStatusCode.OK, (await program.GetAsync(first, Cancel)).StatusCode);
        var second = (string)
            (await (await http.PostAsync("/api/season/calendar-address", null, Cancel)).Content.ReadFromJsonAsync<JsonObject>(Cancel))![
                "path"
            ]!;
        Assert.Equal(HttpStatusCode.NotFound, (await program.GetAsync(first, Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await program.GetAsync(second, Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await program.GetAsync(second[..^4] + "AAAA", Cancel)).StatusCode);
    }

    private static async Task<string> NameAsync(HttpClient http) =>
        (string)(await http.GetFromJsonAsync<JsonObject>("/api/session", Cancel))!["person"]!["signInName"]!;

    private async Task<HttpClient> SignInAsync(string name, string password)
    {
        var http = await server.AsAsync(null);
        var answer = await http.PostAsJsonAsync("/api/session", new { signInName = name, password }, Cancel);
        answer.EnsureSuccessStatusCode();
        RunningServer.Bear(http, (await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!);
        return http;
    }

    private static Task<HttpResponseMessage> SignInAnswerAsync(HttpClient http, string name, string? code) =>
        http.PostAsJsonAsync(
            "/api/session",
            new
            {
                signInName = name,
                password = Password,
                code,
            },
            Cancel
        );

    private static string TokenOf(JsonObject link) =>
        Uri.UnescapeDataString(((string)link["path"]!)[(((string)link["path"]!).IndexOf("token=", StringComparison.Ordinal) + 6)..]);

    private static async Task<string?> TitleAsync(HttpResponseMessage answer) =>
        (string?)(await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["title"];

    // RFC 6238, as an app works it out; steps of 30 s from now.
    private static string Totp(string base32, int ahead)
    {
        var bits = string.Concat(
            base32.Select(c => Convert.ToString("ABCDEFGHIJKLMNOPQRSTUVWXYZ234567".IndexOf(c, StringComparison.Ordinal), 2).PadLeft(5, '0'))
        );
        byte[] key = [.. bits.Chunk(8).Where(b => b.Length == 8).Select(b => Convert.ToByte(new string(b), 2))];
        var step = BitConverter.GetBytes((DateTimeOffset.UtcNow.ToUnixTimeSeconds() / 30) + ahead);
        Array.Reverse(step);
#pragma warning disable CA5350 // The apps know no other.
        var hash = HMACSHA1.HashData(key, step);
#pragma warning restore CA5350
        var at = hash[^1] & 0xf;
        return ((((hash[at] & 0x7f) << 24) | (hash[at + 1] << 16) | (hash[at + 2] << 8) | hash[at + 3]) % 1_000_000).ToString(
            "D6",
            System.Globalization.CultureInfo.InvariantCulture
        );
    }
}
