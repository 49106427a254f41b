using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace UpperStill.Server.Tests;

/// <summary>Whatever is sent to any address: it is taken, or refused in words; never is it a fault of ours.</summary>
public sealed class HostileTests : IDisposable
{
    private const int BodiesEach = 16;

    // What stands in a path or behind a question mark.
    private static readonly string[] Places =
    [
        "0",
        "-1",
        "99999999999999999999",
        "NaN",
        "%00",
        "%F0%9F%A6%86",
        "%ED%A0%80",
        "..%2F..%2Fetc%2Fpasswd",
        "'%20OR%201=1--",
        new string('9', 3000),
        "0001-01-01",
        "9999-12-31",
        "00000000-0000-0000-0000-000000000000",
        "%7B%22a%22%3Anull%7D",
    ];

    private static readonly string[] Texts =
    [
        "",
        " ",
        "\\u0000",
        "\\ud800",
        "x",
        "-1",
        "1e308",
        "2026-02-30",
        "0001-01-01",
        "9999-12-31",
        "00000000-0000-0000-0000-000000000000",
        "HAR-1",
        "=cmd()",
        "<script>",
        "٣",
        "2026-08-12T10:00:00+01:00",
        "0",
        "null",
    ];

    private static readonly string[] Numbers =
    [
        "0",
        "-1",
        "1",
        "3",
        "0.5",
        "1e308",
        "-1e308",
        "1e400",
        "99999999999999999999999999999999",
        "2147483648",
        "-0.0",
        "1e-320",
        "400",
    ];

    private static readonly (string? Type, string Body)[] Bodies =
    [
        ("application/json", ""),
        ("application/json", "null"),
        ("application/json", "[]"),
        ("application/json", "{}"),
        ("application/json", "{"),
        ("application/json", "\"x\""),
        ("application/json", "1e999"),
        ("application/json; charset=nonsense", "{}"),
        ("application/json; charset=utf-16", "{}"),
        ("text/csv; charset=nonsense", "a,b\n1,2"),
        (null, "x"),
        ("nonsense", "x"),
        ("application/xml", "<a/>"),
        ("application/json", new string('[', 5000)),
        ("application/json", "{\"a\":" + new string('1', 5000) + "}"),
        ("application/json", "\0\0\0"),
    ];

    private static readonly string[] Files =
    [
        "",
        "\0",
        "a,b\n\"",
        "a,b\n" + new string('x', 200_000) + ",1\n",
        "station,day,clarity\nHAR-1,0001-01-01,1e400\nHAR-1,9999-12-31,-0\n",
        new string(',', 50_000),
        "\"" + new string('"', 9999),
        "{\"type\":\"FeatureCollection\"}",
        "{\"type\":\"Feature\",\"geometry\":null}",
        "{\"type\":\"Polygon\"}",
        "{\"type\":\"Polygon\",\"coordinates\":[]}",
        "{\"type\":\"Polygon\",\"coordinates\":[[[1e400,null]]]}",
        "{\"type\":\"Polygon\",\"coordinates\":[[[1,2],[\"a\",{}]]]}",
        "{\"type\":\"FeatureCollection\",\"features\":[null,{\"geometry\":{\"type\":\"Polygon\",\"coordinates\":[[]]}}]}",
        "{\"type\":\"Polygon\",\"coordinates\":[[[500,900],[1,1],[2,2],[500,900]]]}",
        "<gpx/>",
        "<gpx><trk><trkseg><trkpt lat=\"x\" lon=\"1e400\"/></trkseg></trk></gpx>",
        "<!DOCTYPE a [<!ENTITY b \"c\">]><gpx>&b;</gpx>",
        "$GPGGA,,,,,,,,,,,,,,*00",
        "Sample,Value\nx\u0000,1\n",
        "Depth (m),Temp\n1e400,NaN\n",
        "PK\u0003\u0004",
        "GIF89a",
        "\u00ff\u00d8\u00ff",
    ];

    private readonly RunningServer server = new();
    private readonly List<string> faults = [];
    private int asked;
    private int places;

    [Fact]
    public async Task No_address_answers_anything_with_a_fault_of_ours()
    {
        var (coordinator, stranger) = (new CookieContainer(), new CookieContainer());
        using var first = await server.AsAsync("coordinator", cookies: coordinator);
        using var nobody = await server.AsAsync(null, cookies: stranger);
        var description = JsonNode.Parse(await first.GetStringAsync("/api/description.json"))!;
        var random = new Random(20261129);
        foreach (var (path, methods) in description["paths"]!.AsObject())
        {
            foreach (var (method, operation) in methods!.AsObject())
            {
                // Signing out would end the test; a sign-in is counted by another.
                if (path != "/api/session")
                {
                    using var http = Elsewhere(first, coordinator);
                    await AskAsync(http, new HttpMethod(method.ToUpperInvariant()), path, operation!, description, random);
                }
            }
        }

        using var last = Elsewhere(nobody, stranger);
        await AskAsync(last, HttpMethod.Post, "/api/session", description["paths"]!["/api/session"]!["post"]!, description, random);
        Assert.True(faults.Count == 0, $"{faults.Count} of {asked} requests:\n{string.Join("\n", faults.Take(60))}");
        Assert.True(asked > 3000, $"{asked} asked");
    }

    public void Dispose() => server.Dispose();

    // Each address is asked from a place of its own, so that nobody has asked too much.
    private HttpClient Elsewhere(HttpClient caller, CookieContainer cookies)
    {
        places++;
        var http = server.Stranger(cookies, new IPAddress([127, 0, (byte)(1 + (places / 250)), (byte)(1 + (places % 250))]));
        http.DefaultRequestHeaders.Add("X-Upper-Still", caller.DefaultRequestHeaders.GetValues("X-Upper-Still"));
        return http;
    }

    private async Task AskAsync(HttpClient http, HttpMethod method, string path, JsonNode operation, JsonNode description, Random random)
    {
        var parameters = operation["parameters"]?.AsArray() ?? [];
        string Address(Func<string, string> value)
        {
            var at = path;
            List<string> query = [];
            foreach (var parameter in parameters)
            {
                var name = (string)parameter!["name"]!;
                if ((string)parameter["in"]! == "path")
                {
                    at = at.Replace($"{{{name}}}", value(name), StringComparison.Ordinal);
                }
                else
                {
                    query.Add($"{name}={value(name)}");
                }
            }

            return query.Count == 0 ? at : $"{at}?{string.Join('&', query)}";
        }

        foreach (var place in parameters.Count == 0 ? [""] : Places)
        {
            await SendAsync(http, method, Address(_ => place), null, null);
        }

        if (operation["requestBody"]?["content"]?.AsObject() is not { } content)
        {
            return;
        }

        var somewhere = Address(Sensible);
        foreach (var (type, body) in Bodies)
        {
            await SendAsync(http, method, somewhere, type, body);
        }

        foreach (var (type, said) in content)
        {
            if (type != "application/json")
            {
                foreach (var file in Files)
                {
                    await SendAsync(http, method, somewhere, type, file);
                }

                continue;
            }

            for (var i = 0; i < BodiesEach; i++)
            {
                await SendAsync(http, method, somewhere, type, Any(said!["schema"], description, random, 0));
            }
        }
    }

    // So that a body is read at all, the place must be one.
    private static string Sensible(string name) =>
        name switch
        {
            "code" or "station" => "HAR-1",
            "water" => "harrowmere",
            "year" => "2026",
            "day" => "2026-08-12",
            "version" => "1",
            "sha256" => new string('a', 64),
            "mapping" => "%7B%7D",
            "name" => "a.csv",
            "keep" => "false",
            _ => "019ff54e-a5c0-73c3-91f3-76d716332433",
        };

    private async Task SendAsync(HttpClient http, HttpMethod method, string address, string? type, string? body)
    {
        using var request = new HttpRequestMessage(method, new Uri(address, UriKind.Relative));
        if (body is not null)
        {
            request.Content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
            if (type is not null)
            {
                request.Content.Headers.TryAddWithoutValidation("Content-Type", type);
            }
        }

        // The lines of an instrument have no end.
        using var answer = await http.SendAsync(request, HttpCompletionOption.ResponseHeadersRead);
        asked++;
        var words =
            $"{method} {address[..Math.Min(120, address.Length)]} {type} "
            + $"{body?[..Math.Min(300, body.Length)].Replace("\0", "\\0", StringComparison.Ordinal)}";
        if ((int)answer.StatusCode >= 500 || answer.StatusCode == HttpStatusCode.TooManyRequests)
        {
            faults.Add($"{(int)answer.StatusCode} {words}");
        }
        else if (
            (int)answer.StatusCode >= 400
            && answer.Content.Headers.ContentType?.MediaType != "application/problem+json"
            && !IsOutsideOurReach(answer)
        )
        {
            faults.Add($"{(int)answer.StatusCode} without problem details ({answer.Content.Headers.ContentType}) {words}");
        }
    }

    // The server refuses it before there is an address.
    private static bool IsOutsideOurReach(HttpResponseMessage answer) =>
        answer.StatusCode == HttpStatusCode.BadRequest && answer.Content.Headers.ContentLength == 0;

    // Something of this shape, mostly: now and then a null, a number, a name that is not there.
    private static string Any(JsonNode? schema, JsonNode description, Random random, int deep)
    {
        while (schema?["$ref"] is { } reference)
        {
            schema = description["components"]!["schemas"]![((string)reference!).Split('/')[^1]];
        }

        if (random.Next(14) == 0)
        {
            return random.Next(5) switch
            {
                0 => "null",
                1 => "7",
                2 => "[null]",
                3 => "{}",
                _ => $"\"{Texts[random.Next(Texts.Length)]}\"",
            };
        }

        if (schema is null || deep > 7)
        {
            return "null";
        }

        if ((schema["oneOf"] ?? schema["anyOf"]) is JsonArray some)
        {
            return Any(some[random.Next(some.Count)], description, random, deep);
        }

        if (schema["enum"] is JsonArray choices)
        {
            return random.Next(10) == 0 ? "3" : choices[random.Next(choices.Count)]?.ToJsonString() ?? "null";
        }

        var types = schema["type"] is JsonArray many
            ? many.Select(t => (string)t!).Where(t => t != "null" || random.Next(3) == 0).ToArray()
            : [(string?)schema["type"] ?? "object"];
        switch (types.Length == 0 ? "null" : types[random.Next(types.Length)])
        {
            case "null":
                return "null";
            case "boolean":
                return random.Next(2) == 0 ? "true" : "false";
            case "integer" or "number":
                return random.Next(3) > 0
                    ? random.Next(0, 200).ToString(CultureInfo.InvariantCulture)
                    : Numbers[random.Next(Numbers.Length)];
            case "array":
                return $"[{string.Join(',', Enumerable.Range(0, random.Next(4)).Select(_ => Any(schema["items"], description, random, deep + 1)))}]";
            case "object":
                var required = (schema["required"] as JsonArray)?.Select(r => (string)r!).ToHashSet() ?? [];
                var of = (schema["properties"] as JsonObject ?? [])
                    .Where(p => required.Contains(p.Key) || random.Next(2) == 0)
                    .Select(p => $"{JsonSerializer.Serialize(p.Key)}:{Any(p.Value, description, random, deep + 1)}")
                    .ToList();
                if (random.Next(12) == 0)
                {
                    of.Add("\"salinty\":1");
                }

                return $"{{{string.Join(',', of)}}}";
            default:
                return (string?)schema["format"] switch
                {
                    "uuid" when random.Next(3) > 0 => "\"019ff54e-a5c0-73c3-91f3-76d716332433\"",
                    "date" when random.Next(3) > 0 => "\"2026-08-12\"",
                    "date-time" when random.Next(3) > 0 => "\"2026-08-12T10:00:00+01:00\"",
                    "time" when random.Next(3) > 0 => "\"10:00:00\"",
                    _ => $"\"{Texts[random.Next(Texts.Length)]}\"",
                };
        }
    }
}
