using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Review;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Tests.Application.Visits;

/// <summary>Whatever a careless program sends: it is refused with a reason, or the visit is worked out with it.</summary>
public class AnyBodyTests
{
    private const int Visits = 1000;
    private const int EntriesEach = 50;

    private static readonly string[] Texts =
    [
        "",
        " ",
        "-3",
        "0",
        "-0",
        "1e300",
        "NaN",
        "3,85",
        "12 9",
        "3.85",
        "99999999999999999999999999",
        "1e-30",
        "HAR-1-260812-C1-Q",
        "deep",
        "composite",
        "0.0000000000000000000000000001",
        "٣",
        "Å\u0301",
        "arrive",
        "m³/s",
        "chlorophyll-a",
        "𝄞",
    ];

    private static readonly double[] Numbers =
    [
        0,
        -0.0,
        1,
        -1,
        0.5,
        3,
        7,
        12,
        60,
        90,
        91,
        180,
        360,
        400,
        -273.16,
        1e-12,
        1e9,
        -1e9,
        1e12,
        -1e12,
        2147483647,
        1e13,
        1e28,
        1e308,
    ];

    private static readonly JsonSerializerOptions Described = new(CoreJson.Default.Options)
    {
        TypeInfoResolver = new DefaultJsonTypeInfoResolver(),
    };

    private static readonly Dictionary<string, JsonObject> Shapes = EntryKinds.All.Values.ToDictionary(
        k => k.Name,
        k => Described.GetJsonSchemaAsNode(k.Body.Type).AsObject()
    );

    [Fact]
    public void The_fold_never_throws_on_anything_that_a_log_may_hold()
    {
        var random = new Random(20261129);
        Dictionary<string, string> faults = [];
        var names = EntryKinds.All.Keys.Order(StringComparer.Ordinal).ToArray();
        for (var visit = 0; visit < Visits; visit++)
        {
            List<Entry> entries = [Start()];
            var id = entries[0].Visit;
            for (var i = 0; i < EntriesEach; i++)
            {
                var kind = names[random.Next(names.Length)];
                var body = Any(Shapes[kind], random, entries, 0);
                entries.Add(
                    Start() with
                    {
                        Id = Guid.CreateVersion7(),
                        Visit = id,
                        Kind = kind,
                        Body = JsonSerializer.SerializeToElement(body ?? new JsonObject()),
                        At = entries[0].At.AddMinutes(random.Next(-60, 600)),
                        Strikes = random.Next(6) == 0 ? entries[random.Next(entries.Count)].Id : null,
                        Why = random.Next(2) == 0 ? "so" : null,
                    }
                );
            }

            // As many as the log may hold, and those that would be kept today.
            foreach (var held in new[] { entries, [.. entries.Where(e => EntryCheck.Refusal(e) is null)] })
            {
                var request = new FoldRequest(held, SampleVisit.Metric);
                try
                {
                    var sheet = FieldSheet.Fold(request);
                    var samples = VisitSamples.Fold(request, sheet);
                    JsonSerializer.SerializeToUtf8Bytes(sheet, CoreJson.Default.FieldSheet);
                    JsonSerializer.SerializeToUtf8Bytes(samples, CoreJson.Default.VisitSamples);
                    VisitReview.Fold(request, sheet, samples);
                }
                catch (Exception e)
                {
                    // Each place once, with the least that makes it throw.
                    var place = e.StackTrace!.Split('\n').First(l => l.Contains("UpperStill.Core.", StringComparison.Ordinal)).Trim();
                    if (!faults.ContainsKey(place))
                    {
                        faults[place] =
                            $"{e.GetType().Name} {place}: {string.Join("; ", Culprits(held).Skip(1).Select(c => $"{c.Kind} {c.Body}"))}";
                    }
                }
            }
        }

        Assert.True(faults.Count == 0, string.Join("\n", faults.Values));
    }

    [Theory]
    [InlineData("stored", """{"samples":[null],"in":"freezer"}""")]
    [InlineData("stored", """{"samples":[""],"in":"freezer"}""")]
    [InlineData("stored", """{"samples":["HAR-1-260812-C1-Q"],"in":2}""")]
    [InlineData("stored", """{"samples":["HAR-1-260812-C1-Q"],"in":"2"}""")]
    [InlineData("fix", """{"latitudeDeg":1e308,"longitudeDeg":0,"source":"typed"}""")]
    [InlineData("fill", """{"sample":"HAR-1-260812-C1-Q","type":"x","from":"lake","to":"less","drops":1e28}""")]
    [InlineData("level", """{"depth":{"written":"3","unit":"m"},"salinty":"35"}""")]
    [InlineData("level", """{"depth":{"written":"3","unit":"m","depth":3}}""")]
    [InlineData("sounding", """{"depth":{"written":""}}""")]
    [InlineData("sounding", """{"depth":null}""")]
    [InlineData("sounding", """{"depth":{"written":"3"},"depth":{"written":"4"}}""")]
    [InlineData("asked", """{"question":" "}""")]
    [InlineData("asked", """{"question":"\ud800"}""")]
    [InlineData("asked", """{"\ud800":"Was it taped?"}""")]
    [InlineData("opinion", """{"question":"swimming","answer":3,"\udfff":1}""")]
    [InlineData("stored", """{"samples":["HAR-1-260812-C1-Q"],"in":"\ud800"}""")]
    [InlineData("result", """{"sample":"x","analyte":"tp","value":"3","on":"0001-01-01"}""")]
    [InlineData("step-order", """{"steps":["sounding",null]}""")]
    public void What_cannot_be_represented_is_refused_by_name(string kind, string body)
    {
        var refusal = EntryCheck.Refusal(Start() with { Kind = kind, Body = JsonDocument.Parse(body).RootElement });

        Assert.NotNull(refusal);
        Assert.Equal(("entry-body", true), (refusal.Code, refusal.NoWayRound));
    }

    [Theory]
    [InlineData("meter-check", """{"meter":"M-1","pressureKpa":0}""")]
    [InlineData("fix", """{"latitudeDeg":200,"longitudeDeg":-500,"source":"typed"}""")]
    [InlineData("disc-mark", """{"lowering":-7,"event":"disappeared","depth":{"written":"-3","unit":"m"}}""")]
    [InlineData("level", """{"depth":{"written":"abc"}}""")]
    [InlineData("result", """{"sample":"x","analyte":"tp","value":"about 3"}""")]
    public void What_is_only_unlikely_is_kept(string kind, string body) =>
        Assert.Null(EntryCheck.Refusal(Start() with { Kind = kind, Body = JsonDocument.Parse(body).RootElement }));

    [Fact]
    public void A_name_that_the_envelope_does_not_know_is_refused()
    {
        var sent = JsonSerializer.SerializeToNode(Start(), CoreJson.Default.Entry)!.AsObject();
        Assert.Null(EntryCheck.Read(JsonSerializer.SerializeToElement(sent)).Unreadable);
        sent["stikes"] = Guid.CreateVersion7().ToString();

        Assert.Contains("stikes", EntryCheck.Read(JsonSerializer.SerializeToElement(sent)).Unreadable!.Why, StringComparison.Ordinal);
    }

    private static Entry Start() => SampleVisit.MetricBegun(SampleVisit.Protocols).Entries[0];

    // The smallest part of the entries with which it still fails, for whoever mends it.
    private static List<Entry> Culprits(List<Entry> entries)
    {
        var left = entries.ToList();
        for (var i = left.Count - 1; i > 0; i--)
        {
            var without = left.Where((_, k) => k != i).ToList();
            try
            {
                var request = new FoldRequest(without, SampleVisit.Metric);
                VisitReview.Fold(request);
            }
            catch (Exception)
            {
                left = without;
            }
        }

        return left;
    }

    private static JsonNode? Any(JsonNode? shape, Random random, List<Entry> entries, int deep)
    {
        if (shape is not JsonObject of)
        {
            return Text(random);
        }

        if (of["enum"] is JsonArray choices)
        {
            return random.Next(20) == 0 ? JsonValue.Create(random.Next(9)) : choices[random.Next(choices.Count)]?.DeepClone();
        }

        var types = of["type"] is JsonArray many ? many.Select(t => (string)t!).ToArray() : [(string?)of["type"] ?? "object"];
        switch (types[random.Next(types.Length)])
        {
            case "null":
                return null;
            case "boolean":
                return random.Next(2) == 0;
            case "integer":
                return JsonValue.Create(random.Next(4) == 0 ? random.Next(-1_000_000, 1_000_000) : random.Next(-3, 12));
            case "number":
                return JsonNode.Parse(
                    Numbers[random.Next(Numbers.Length)].ToString("R", System.Globalization.CultureInfo.InvariantCulture)
                );
            case "array":
                return new JsonArray([
                    .. Enumerable
                        .Range(0, random.Next(4))
                        .Select(_ => random.Next(12) == 0 ? null : Any(of["items"], random, entries, deep + 1)),
                ]);
            case "object" when deep < 4:
                var made = new JsonObject();
                foreach (var (name, property) in of["properties"]?.AsObject() ?? [])
                {
                    var needed = of["required"] is JsonArray required && required.Any(r => (string)r! == name);
                    if (needed || random.Next(2) == 0)
                    {
                        made[name] = Any(property, random, entries, deep + 1);
                    }
                }

                return made;
            case "string" when (string?)of["format"] == "uuid":
                return entries[random.Next(entries.Count)].Id.ToString();
            case "string" when (string?)of["format"] == "date":
                return random.Next(3) == 0 ? "0001-01-01" : "2026-08-12";
            default:
                return Text(random);
        }
    }

    private static JsonValue Text(Random random) => JsonValue.Create(Texts[random.Next(Texts.Length)]);
}
