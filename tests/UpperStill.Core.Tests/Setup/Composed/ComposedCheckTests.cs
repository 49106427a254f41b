using System.Text.Json.Nodes;
using UpperStill.Core.Application.Composing;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Composed;

namespace UpperStill.Core.Tests.Setup.Composed;

public class ComposedCheckTests
{
    private static readonly ComposedField Plain = new("x", "Reading", ComposedKind.Number) { Unit = "mg/L" };

    [Fact]
    public void What_is_whole_may_be_published()
    {
        var result = Composing.Work(new ComposeRequest(ShoreBirds.Composed));

        Assert.Empty(result.Findings);
        Assert.Equal(["birds", "flushed"], result.Description!.Steps[1].Fields.Select(f => f.Code));
    }

    [Fact]
    public void What_has_no_words_yet_has_no_code_yet()
    {
        var begun = Composing.Work(new ComposeRequest(new("", 0, "", "", 35, [new("", "", "", [new("", "", ComposedKind.Whole)])])));
        Assert.Equal(("", "", ""), (begun.Protocol.Code, begun.Protocol.Steps[0].Code, begun.Protocol.Steps[0].Fields[0].Code));
        Assert.Equal(["protocol", "step/", "field/"], begun.Findings.Select(f => f.Field));
    }

    // Case 68 of the handbook.
    [Fact]
    public void What_is_usual_lies_within_what_is_allowed() =>
        Assert.Equal(
            [("field/x", "protocol-incomplete")],
            Codes(ShoreBirds.With(Plain with { Least = 0, Most = 40, UsualLeast = 0, UsualMost = 50 }))
        );

    public static TheoryData<string, ComposedProtocol> Incomplete =>
        new()
        {
            { "protocol", ShoreBirds.Composed with { Title = " " } },
            { "protocol", ShoreBirds.Composed with { Steps = [ShoreBirds.Composed.Steps[0] with { Fields = [] }], Sums = [] } },
            { "protocol", ShoreBirds.Composed with { Repeat = null } },
            {
                "step/look",
                ShoreBirds.Composed with
                {
                    Steps = [ShoreBirds.Composed.Steps[0] with { Why = "" }, ShoreBirds.Composed.Steps[1]],
                }
            },
            {
                "step/look",
                ShoreBirds.Composed with
                {
                    Steps = [ShoreBirds.Composed.Steps[0] with { Cautions = ["Q"] }, ShoreBirds.Composed.Steps[1]],
                }
            },
            {
                "step/look",
                ShoreBirds.Composed with
                {
                    Steps = [ShoreBirds.Composed.Steps[0] with { Role = "nobody" }, ShoreBirds.Composed.Steps[1]],
                }
            },
            { "field/x", ShoreBirds.With(Plain with { Unit = null }) },
            { "field/x", ShoreBirds.With(Plain with { Label = "" }) },
            { "field/x", ShoreBirds.With(new("x", "Sky", ComposedKind.OneOf) { Choices = ["grey"] }) },
            { "field/x", ShoreBirds.With(new("x", "Sky", ComposedKind.OneOf) { Choices = ["grey", "Grey "] }) },
            { "field/x", ShoreBirds.With(new("x", "Wait", ComposedKind.Timer)) },
            { "field/x", ShoreBirds.With(Plain with { FailsUnusual = true }) },
            { "field/x", ShoreBirds.With(new("x", "Sky", ComposedKind.OneOf) { Choices = ["grey", "blue"], FailsOn = ["green"] }) },
            { "field/x", ShoreBirds.With(Plain with { Least = 5, Most = 2 }) },
            { "container/0", ShoreBirds.Composed with { Containers = [new("count", "no-such-jar")] } },
            { "container/0", ShoreBirds.Composed with { Containers = [new("nowhere", Own: ShoreBirds.Feathers)] } },
            { "sum/total", ShoreBirds.Composed with { Sums = [new("total", "shore birds", ComposedRule.Sum, "flushed")] } },
            { "sum/total", ShoreBirds.Composed with { Sums = [new("total", "density", ComposedRule.PerArea, "birds")] } },
            {
                "sum/total",
                ShoreBirds.Composed with
                {
                    Sums = [new("total", "density", ComposedRule.PerArea, "birds") { Second = "wind" }],
                }
            },
        };

    [Theory]
    [MemberData(nameof(Incomplete))]
    public void What_is_missing_is_named_where_it_is_missing(string at, ComposedProtocol protocol) =>
        Assert.Equal([(at, "protocol-incomplete")], Codes(protocol));

    [Theory]
    [InlineData(ComposedKind.Number, null, 40, null, 10, "field/x")]
    [InlineData(ComposedKind.Number, null, null, null, 10, "field/x")]
    [InlineData(ComposedKind.Number, null, null, 1, 10, null)]
    [InlineData(ComposedKind.Number, 0, 40, null, 10, null)]
    [InlineData(ComposedKind.Whole, null, 40, null, 10, null)]
    [InlineData(ComposedKind.Length, null, null, null, 10, null)]
    public void A_range_has_two_ends_but_where_one_goes_without_saying(
        ComposedKind kind,
        int? least,
        int? most,
        int? low,
        int? high,
        string? at
    ) =>
        Assert.Equal(
            at is null ? [] : [(at, "protocol-incomplete")],
            Codes(ShoreBirds.With(Plain with { Kind = kind, Least = least, Most = most, UsualLeast = low, UsualMost = high }))
        );

    [Fact]
    public void Steps_that_wait_for_one_another_can_never_begin()
    {
        var steps = ShoreBirds.Composed.Steps;
        var circle = ShoreBirds.Composed with { Steps = [steps[0] with { After = ["count"] }, steps[1] with { After = ["look"] }] };

        Assert.Equal([("step/look", "protocol-circular")], Codes(circle));
        Assert.Null(Composing.Work(new ComposeRequest(circle)).Description);
    }

    [Fact]
    public void A_step_stands_behind_what_it_waits_for()
    {
        var steps = ShoreBirds.Composed.Steps;
        var result = Composing.Work(
            new ComposeRequest(ShoreBirds.Composed with { Steps = [steps[0] with { After = ["count"] }, steps[1]] })
        );

        Assert.Equal(["count", "look"], result.Description!.Steps.Select(s => s.Code));
    }

    [Theory]
    [InlineData("Is the water safe to swim in?")]
    [InlineData("Fit for dogs")]
    [InlineData("UNSAFE")]
    public void Nothing_says_that_water_is_safe_or_fit(string words) =>
        Assert.Equal([("field/x", "protocol-claims")], Codes(ShoreBirds.With(new("x", words, ComposedKind.YesNo))));

    [Fact]
    public void Outfit_and_safety_line_are_words_like_others() =>
        Assert.Empty(Codes(ShoreBirds.With(new("x", "Outfit, safety line", ComposedKind.YesNo))));

    public static TheoryData<string, ComposedProtocol> Large =>
        new()
        {
            {
                "protocol-large",
                ShoreBirds.Composed with
                {
                    Steps =
                    [
                        .. ShoreBirds.Composed.Steps,
                        .. Enumerable.Range(1, 29).Select(i => new ComposedStep($"s{i}", "Do.", "Why.", [])),
                    ],
                }
            },
            {
                "protocol-large",
                ShoreBirds.With(new("x", "Sky", ComposedKind.OneOf) { Choices = [.. Enumerable.Range(1, 13).Select(i => $"sky {i}")] })
            },
            { "protocol-large", ShoreBirds.Composed with { Purpose = new string('x', 301) } },
            { "protocol-large", ShoreBirds.Composed with { Repeat = new ComposedRepeat("spot", [], 13) } },
            { "rank-range", ShoreBirds.Composed with { Rank = 9 } },
            { "code-format", ShoreBirds.Composed with { Code = "shore-birds" } },
            { "code-used", ShoreBirds.With(new("flushed", "They flew again", ComposedKind.Words)) },
            { "code-used", ShoreBirds.Composed with { Repeat = new ComposedRepeat("spot", ["Old jetty", "Old jetty!"]) } },
            { "code-used", ShoreBirds.With(new("gloves", "Gloves", ComposedKind.YesNo)) },
        };

    [Theory]
    [MemberData(nameof(Large))]
    public void Bounds_are_kept(string code, ComposedProtocol protocol) => Assert.Equal([("protocol", code)], Codes(protocol));

    [Fact]
    public void A_file_that_leaves_out_what_is_usual_is_read()
    {
        var answer = JsonNode.Parse(
            OperationTable
                .All["compose"]
                .Invoke(
                    """
                    {"protocol":{"code":"","version":0,"title":"Ice","purpose":"How thick.","rank":50,
                    "steps":[{"code":"","do":"Drill.","why":"To the water.","fields":[{"code":"","label":"Thickness","kind":"length"}]}],
                    "sums":[{"code":"","name":"ice","rule":"mean","field":"thickness"}]}}
                    """u8
                )
        )!;

        Assert.Empty(answer["findings"]!.AsArray());
        Assert.Equal(1, (int)answer["protocol"]!["people"]!);
        Assert.Equal(1, (int)answer["protocol"]!["sums"]![0]!["askedPerDecade"]!);
    }

    [Fact]
    public void Codes_are_made_of_words_once_and_stay()
    {
        var composed = new ComposedProtocol(
            "",
            0,
            "Ice thickness!",
            "How thick.",
            50,
            [
                new("", "Drill.", "To the water.", [new("", "Thickness", ComposedKind.Length), new("", "Thickness", ComposedKind.Length)]),
                new("", "¿?", "It is asked.", [new("", "2nd hole", ComposedKind.YesNo)]),
            ]
        );

        var filled = ComposedCodes.Filled(composed);
        Assert.Equal("own-ice-thickness", filled.Code);
        Assert.Equal(["drill", "step"], filled.Steps.Select(s => s.Code));
        Assert.Equal(["thickness", "thickness-2", "field-2nd-hole"], filled.Steps.SelectMany(s => s.Fields).Select(f => f.Code));

        var renamed = filled with { Title = "Ice", Steps = [filled.Steps[0] with { Do = "Bore." }, filled.Steps[1]] };
        Assert.Equal(("own-ice-thickness", "drill"), (ComposedCodes.Filled(renamed).Code, ComposedCodes.Filled(renamed).Steps[0].Code));
    }

    [Fact]
    public void Every_caution_that_is_offered_has_words_and_every_place_in_the_order_can_be_chosen()
    {
        var boxes = BoxBook.Work(new BoxesRequest("composed")).Boxes.ToDictionary(b => b.Code);
        Assert.Equal(ComposedCautions.Letters, boxes["composed.caution"].Choices.Select(c => c.Code));
        var all = ShoreBirds.Composed with
        {
            Steps = [ShoreBirds.Composed.Steps[0] with { Cautions = ComposedCautions.Letters }, ShoreBirds.Composed.Steps[1]],
        };
        var told = Composing.Work(new ComposeRequest(all)).Description!.Steps[0].Cautions;
        Assert.Equal(ComposedCautions.Letters.Count + 1, told.Distinct().Count());
        Assert.Equal("Keep dogs on the lead.", told[^1]);
        Assert.All(boxes["composed.rank"].Choices, c => Assert.Empty(Codes(ShoreBirds.Composed with { Rank = (int)c.Number! })));
    }

    // Case 69 of the handbook.
    [Fact]
    public void The_unit_of_a_box_that_was_read_stays()
    {
        var before = ShoreBirds.With(Plain);
        var now = ShoreBirds.With(Plain with { Unit = "µg/L" });

        var found = Assert.Single(ComposedChange.Findings([before], now, f => f == "x" ? 14 : 0));
        Assert.Equal(("field/x", "protocol-field-fixed"), (found.Field, found.Finding.Code));
        Assert.StartsWith("“Reading” has 14 readings", found.Finding.Seen, StringComparison.Ordinal);
        Assert.Empty(ComposedChange.Findings([before], now, _ => 0));
        Assert.Empty(ComposedChange.Findings([before], ShoreBirds.With(Plain with { Label = "Reading, by eye", Most = 5 }), _ => 14));
        Assert.Empty(ComposedChange.Findings([before], ShoreBirds.With(Plain with { Code = "x2", Unit = "µg/L" }), _ => 14));
    }

    private static IEnumerable<(string, string)> Codes(ComposedProtocol protocol) =>
        ComposedCheck.Findings(protocol).Where(f => f.Finding.Level == FindingLevel.Stop).Select(f => (f.Field, f.Finding.Code));
}
