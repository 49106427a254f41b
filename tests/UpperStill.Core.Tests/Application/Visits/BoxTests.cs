using System.Reflection;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Science.Chlorophyll;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Application.Visits;

public class BoxTests
{
    private static readonly Dictionary<string, Box> Boxes = BoxBook.Work(new BoxesRequest()).Boxes.ToDictionary(b => b.Code);

    // What an entry of the kind needs beside the one answer.
    private static readonly Dictionary<string, string> Rest = new()
    {
        ["landmarks"] = """{"transit":0}""",
        ["sounding"] = """{"depth":{"written":"12.0","unit":"m"}}""",
        ["cast"] = """{"place":"deep","lineOut":{"written":"9.0","unit":"m"},"outcome":"closed"}""",
        ["fill"] = """{"sample":"HAR-1-260812-01-7","type":"phosphorus","from":"lake","to":"as-asked"}""",
        ["composite-try"] = """{"depth":{"written":"6.0","unit":"m"}}""",
        ["filter"] = """{"sample":"HAR-1-260812-01-7"}""",
        ["meter-check"] = """{"meter":"M-1"}""",
        ["stored"] = """{"samples":["HAR-1-260812-01-7"]}""",
        ["handed-over"] =
            """{"manifest":"0199a000-0000-7000-8000-000000000001","samples":["HAR-1-260812-01-7"],"to":"Lab","by":"hand","on":"ice","signature":"Asa"}""",
        ["received"] =
            """{"manifest":"0199a000-0000-7000-8000-000000000001","samples":["HAR-1-260812-01-7"],"as":"good","signature":"Lab"}""",
    };

    public static TheoryData<string, Type, string[]> Names() =>
        new()
        {
            { "conditions.wind", typeof(WindForce), [] },
            { "conditions.waveState", typeof(WaveState), [] },
            { "conditions.rain24", typeof(RainFallen), [] },
            { "conditions.rain72", typeof(RainFallen), [] },
            { "conditions.surface", typeof(WaterSurface), [] },
            { "sounding.by", typeof(SoundedBy), ["simulated"] },
            { "disc-conditions.side", typeof(BoatSide), [] },
            { "disc-outcome.outcome", typeof(DiscOutcome), ["not-taken"] },
            { "cast.outcome", typeof(CastOutcome), [] },
            { "fill.from", typeof(FilledFrom), ["composite", "net"] },
            { "fill.to", typeof(FilledTo), [] },
            { "composite-try.fill", typeof(CameUp), [] },
            { "filter.by", typeof(FilterBy), [] },
            { "stored.in", typeof(StorePlace), [] },
            { "handed-over.by", typeof(TravelBy), [] },
            { "handed-over.on", typeof(TravelOn), [] },
            { "received.as", typeof(ArrivedAs), [] },
            { "measured.method", typeof(ChlorophyllMethod), [] },
            { "programme.clarity.endPoint", typeof(EndPoint), [] },
            { "programme.clarity.observers", typeof(ObserverMethod), [] },
            { "programme.composite.depthRule", typeof(CompositeDepthRule), [] },
            { "programme.composite.method", typeof(CompositeMethod), [] },
            { "plan.rhythm", typeof(Rhythm), [] },
            { "plan.from", typeof(SampleFrom), [] },
            { "station.kind", typeof(StationKind), [] },
            { "composed.kind", typeof(ComposedKind), [] },
            { "composed.rule", typeof(ComposedRule), [] },
            { "composed.keep", typeof(Keeping), [] },
        };

    [Theory]
    [MemberData(nameof(Names))]
    public void A_box_offers_every_name_that_can_be_kept_in_it_and_no_other(string code, Type kept, string[] neverTouched) =>
        Assert.Equal(NamesOf(kept).Except(neverTouched).Order(), Boxes[code].Choices.Select(c => c.Code!).Order());

    [Fact]
    public void Every_answer_of_every_box_of_a_visit_can_be_kept()
    {
        var tried = 0;
        foreach (var box in Boxes.Values)
        {
            var (kind, member) = (box.Code.Split('.')[0], box.Code.Split('.')[^1]);
            if (!EntryKinds.All.ContainsKey(kind) || kind == "measured")
            {
                continue;
            }

            foreach (var choice in box.Choices)
            {
                var body = JsonNode.Parse(Rest.GetValueOrDefault(kind, "{}"))!.AsObject();
                switch (kind, member)
                {
                    case ("opinion", var question):
                        (body["question"], body["answer"]) = (question, Kept(choice));
                        break;
                    case ("filter", "trouble"):
                        body[choice.Code!] = true;
                        break;
                    default:
                        body[member] = Kept(choice);
                        break;
                }

                var refusal = EntryCheck.Refusal(Entry(kind, body));
                Assert.True(refusal is null, $"{box.Code}: {choice.Words}: {refusal}");
                tried++;
            }
        }

        Assert.True(tried > 100, $"{tried} answers were tried.");
    }

    [Fact]
    public void Each_answer_is_kept_in_one_way_and_has_words_of_its_own()
    {
        foreach (var box in Boxes.Values)
        {
            Assert.All(box.Choices, c => Assert.Single(new object?[] { c.Code, c.Number, c.Yes }, v => v is not null));
            Assert.Equal(box.Choices.Count, box.Choices.Select(c => c.Words).Distinct().Count());
        }
    }

    [Fact]
    public void Whatever_a_programme_can_plan_has_a_name() =>
        Assert.Equal(
            [.. SampleVisit.Protocols.Select(p => p.Code).Concat(VisitParts.Described.Select(d => d.Code)).Distinct().Order()],
            Boxes["plan.protocol"].Choices.Select(c => c.Code!).Order()
        );

    [Fact]
    public void Each_check_of_the_kit_says_how_it_is_done() =>
        Assert.All(NamesOf(typeof(KitCheckKind)), kind => Assert.NotEmpty(Boxes[$"kit-check.{kind}"].Hint!));

    [Fact]
    public void What_an_extract_is_asked_for_is_enough_for_its_method()
    {
        foreach (var method in NamesOf(typeof(ChlorophyllMethod)))
        {
            var readings = new JsonObject
            {
                ["method"] = method,
                ["extractMl"] = "10",
                ["pathCm"] = "1",
                ["calibration"] = JsonNode.Parse("""{"instrument":"F-1","version":1,"from":"2026-01-01","factor":0.5,"acidRatio":2}"""),
            };
            // Chlorophyll, before acid, absorbs and shines more.
            foreach (var field in Boxes[$"measured.{method}"].Choices)
            {
                readings[field.Code!] = field.Code switch
                {
                    "at750Before" or "at750After" => "0.002",
                    "fluorescenceBefore" => "120",
                    "fluorescenceAfter" => "70",
                    "at665After" => "0.150",
                    _ => "0.240",
                };
            }

            var request = new JsonObject { ["readings"] = readings, ["filteredMl"] = 500 };
            var answer = JsonNode.Parse(OperationTable.All["chlorophyll"].Invoke(Encoding.UTF8.GetBytes(request.ToJsonString())))!;
            Assert.True(answer["text"] is not null, $"{method}: {answer["findings"]}");
        }
    }

    private static IEnumerable<string> NamesOf(Type kept) =>
        kept.GetFields(BindingFlags.Public | BindingFlags.Static)
            .Select(f => f.GetCustomAttribute<JsonStringEnumMemberNameAttribute>()?.Name ?? f.Name);

    private static JsonValue Kept(BoxChoice choice) =>
        choice.Code is { } code ? JsonValue.Create(code)
        : choice.Yes is { } yes ? JsonValue.Create(yes)
        : JsonValue.Create(choice.Number!.Value);

    private static Entry Entry(string kind, JsonObject body) =>
        new(
            Guid.CreateVersion7(),
            Guid.CreateVersion7(),
            kind,
            EntryKinds.All[kind].Version,
            JsonSerializer.SerializeToElement(body),
            new DateTimeOffset(2026, 8, 12, 10, 30, 0, TimeSpan.FromHours(1)),
            "Asa",
            "phone"
        );
}
