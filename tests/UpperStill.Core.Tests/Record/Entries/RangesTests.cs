using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Trophic;
using UpperStill.Core.Tests.Application.Operations;
using UpperStill.Core.Tests.Application.Visits;
using UpperStill.Core.Tests.Protocols.Custody;

namespace UpperStill.Core.Tests.Record.Entries;

/// <summary>One declaration of what a number may be: every number has it, every operation holds to it, and within it none fails.</summary>
public class RangesTests
{
    private static readonly HashSet<Type> Numbers = [typeof(int), typeof(long), typeof(double), typeof(decimal)];

    public static TheoryData<string> Operations => [.. OperationTable.All.Keys];

    public static TheoryData<string> Kinds => [.. EntryKinds.All.Keys];

    [Fact]
    public void Every_number_that_is_asked_with_or_written_has_a_range()
    {
        HashSet<Type> seen = [];
        List<string> bare = [];
        foreach (var shape in OperationTable.All.Values.Select(o => o.Request).Concat(EntryKinds.All.Values.Select(k => k.Body)))
        {
            Walk(shape);
        }

        Assert.Equal([], bare);

        void Walk(JsonTypeInfo shape)
        {
            if (!seen.Add(shape.Type))
            {
                return;
            }

            if (shape.ElementType is { } of)
            {
                Walk(shape.Part(of));
            }

            foreach (var property in shape.Properties)
            {
                var part = shape.Part(property.PropertyType);
                if (WithinAttribute.Of(property) is null && Numbers.Contains(Bare(part.ElementType ?? part.Type)))
                {
                    bare.Add($"{shape.Type.Name}.{property.Name}");
                }

                Walk(part);
            }
        }
    }

    [Theory]
    [MemberData(nameof(Operations))]
    public void A_number_outside_is_refused_by_its_place_its_value_and_its_range(string name)
    {
        var operation = OperationTable.All[name];
        foreach (var range in operation.Ranges)
        {
            var step = Math.Max(1, (range.Most - range.Least) / 8);
            foreach (var outside in new[] { range.Least - step, range.Most + step })
            {
                var request = new AnyRequest(new Random(7), range.Path, outside).Of(operation.Request)!.ToJsonString();

                var fault = operation.Fault(JsonDocument.Parse(request).RootElement);

                Assert.True(fault is not null, $"{range.Path} = {outside}: nothing was said of {request}");
                Assert.Contains(
                    range.Path.Split('.')[^1].Replace("[]", string.Empty, StringComparison.Ordinal),
                    fault,
                    StringComparison.Ordinal
                );
                Assert.Contains("it runs from", fault, StringComparison.Ordinal);
                Assert.EndsWith(range.Unit, fault, StringComparison.Ordinal);
            }
        }
    }

    [Theory]
    [MemberData(nameof(Operations))]
    public void Within_the_ranges_an_operation_answers_or_says_what_it_cannot_do(string name)
    {
        var operation = OperationTable.All[name];
        Dictionary<string, string> faults = [];
        for (var i = 0; i < 400; i++)
        {
            var request = new AnyRequest(new Random(i)).Of(operation.Request)!.ToJsonString();
            try
            {
                Assert.Null(operation.Fault(JsonDocument.Parse(request).RootElement));
                operation.Invoke(Encoding.UTF8.GetBytes(request));
            }
            catch (ArgumentOutOfRangeException e) when (e.ParamName == "request" && e.Message.Contains('.', StringComparison.Ordinal))
            {
                // Said in words: a name that is none of those the operation knows.
            }
            catch (Exception e) when (e is not Xunit.Sdk.XunitException)
            {
                faults.TryAdd(
                    e.StackTrace!.Split('\n').First(l => l.Contains("UpperStill.Core", StringComparison.Ordinal)).Trim(),
                    $"{e.GetType().Name} {e.Message} {request}"
                );
            }
        }

        Assert.True(faults.Count == 0, string.Join("\n", faults.Select(f => $"{f.Key}: {f.Value[..Math.Min(900, f.Value.Length)]}")));
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_number_of_an_entry_outside_is_kept_and_never_without_a_word(string name)
    {
        var kind = EntryKinds.All[name];
        var start = SampleVisit.MetricBegun(SampleVisit.Protocols).Entries[0];
        foreach (var range in Ranges.Of(kind.Body))
        {
            var body = new AnyRequest(new Random(5), range.Path, range.Most + Math.Max(1, range.Most / 8)).Of(kind.Body)!;
            if (body["sample"] is not null)
            {
                body["sample"] = BenchVisit.F1;
            }

            var entry = start with
            {
                Id = Guid.CreateVersion7(),
                Kind = name,
                Version = kind.Version,
                Body = JsonSerializer.SerializeToElement(body),
            };

            Assert.True(EntryCheck.Refusal(entry) is null, $"{range.Path}: {body.ToJsonString()}");
            var request = new FoldRequest(kind == VisitKinds.VisitStarted ? [entry] : [start, entry], SampleVisit.Metric);
            var sheet = FieldSheet.Fold(request);
            var samples = VisitSamples.Fold(request, sheet);
            var said = sheet
                .Findings.Concat(samples.Findings)
                .Concat(samples.Samples.SelectMany(s => s.Findings))
                .Where(f => f.About.Contains(entry.Id) && f.Level == FindingLevel.Stop)
                .ToList();

            Assert.True(said.Count > 0, $"{name}.{range.Path}: nothing was said of {body.ToJsonString()}");
        }
    }

    [Theory]
    [InlineData("trophic", """{"clarityM":-3}""", "“clarityM” is −3: it runs from 0 to 100 m")]
    [InlineData(
        "composite-depth",
        """{"settings":{"depthRule":"factor","factor":2.5,"clearance":{"written":"1","unit":"m"},"method":"tube"},"clarityMeanM":-3,"sounding":{"written":"12","unit":"m"}}""",
        "“clarityMeanM” is −3: it runs from 0 to 100 m"
    )]
    [InlineData("oxygen", """{"value":1e9,"unit":"mg/L","temperatureC":15}""", "“value” is 1e9: it runs from 0 to 5 000")]
    [InlineData(
        "oxygen-seasons",
        """{"visits":[{"day":"2026-07-01","anoxicArea":5}]}""",
        "“visits[1].anoxicArea” is 5: it runs from 0 to 1 of the area"
    )]
    [InlineData(
        "trend",
        """{"subject":"clarity","points":[],"window":{"fromMonth":5,"untilMonth":13,"leastReadings":1}}""",
        "“window.untilMonth” is 13: it runs from 1 to 12"
    )]
    [InlineData(
        "sun",
        """{"latitudeDeg":200,"longitudeDeg":10,"at":"2026-07-01T12:00:00+02:00"}""",
        "“latitudeDeg” is 200: it runs from −90 to 90°"
    )]
    public void What_nobody_can_mean_is_refused_in_its_unit(string name, string request, string fault)
    {
        var said = OperationTable.All[name].Fault(JsonDocument.Parse(request).RootElement);

        Assert.Equal(fault, said);
    }

    [Fact]
    public void An_index_of_nothing_is_no_empty_answer() =>
        Assert.Equal("number-missing", Assert.Single(TrophicState.Work(new TrophicRequest()).Findings).Code);

    [Fact]
    public void A_line_mark_of_nothing_but_zeros_behind_the_point_is_finer_than_any_line()
    {
        var (length, finding) = LengthParser.Parse("0.0000000000000000000000000001", LengthUnit.Metre);

        Assert.Equal((null, "number-too-small"), (length, finding?.Code));
    }

    [Fact]
    public void Three_visits_on_one_day_tell_no_fall()
    {
        OxygenVisit visit = new(new DateOnly(2026, 7, 1), DeepMgL: 6, DeepThicknessM: 4, BottomMgL: 3);

        var season = Assert.Single(
            OxygenSeasons.Work(new OxygenSeasonsRequest([visit, visit with { DeepMgL = 5 }, visit with { DeepMgL = 4 }])).Seasons
        );

        Assert.Null(season.DeficitMgM2Day);
        Assert.Contains("no deficit: 3 visits, but on 1 day only; a fall is read over 3", season.Text, StringComparison.Ordinal);
    }

    private static Type Bare(Type type) => Nullable.GetUnderlyingType(type) ?? type;
}
