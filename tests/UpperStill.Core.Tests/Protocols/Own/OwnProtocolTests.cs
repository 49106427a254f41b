using UpperStill.Core.Application.Composing;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.Core.Tests.Record.Described;
using UpperStill.Core.Tests.Setup.Composed;

namespace UpperStill.Core.Tests.Protocols.Own;

public class OwnProtocolTests
{
    [Fact]
    public void It_is_a_step_of_the_visit_with_its_spots_and_its_sum()
    {
        var visit = Of(ShoreBirds.Composed);
        Assert.Equal("Shore birds", visit.Sheet.Steps.Single(s => s.Name == "own-shore-birds").Title);
        Assert.Equal(["Reed point", "Old jetty", "Gravel bar"], visit.Protocol.Steps.Where(s => s.Step == "count").Select(s => s.Words));

        foreach (var (spot, birds) in new[] { ("reed-point", "12"), ("old-jetty", "0"), ("gravel-bar", "31") })
        {
            visit.Number("count", "birds", birds, spot).Yes("count", "flushed", false, spot);
        }

        var total = visit.Derived("own-shore-birds-total");
        Assert.Equal((43m, "43"), (total.Value, total.Text));
        Assert.Equal(["12 + 0 + 31 = 43"], total.Working!.Steps);
        Assert.Equal(31m, visit.Derived("own-shore-birds-most").Value);
        Assert.Empty(visit.Codes);
    }

    // The worked example of the handbook.
    [Fact]
    public void A_mean_is_rounded_once_to_the_step_of_the_readings()
    {
        var visit = Of(Depths(ComposedRule.Mean));
        visit.Number("read", "value", "3.1 mg/L", "1").Number("read", "value", "3.4 mg/L", "2").Number("read", "value", "3.0 mg/L", "3");

        Assert.Equal((3.2m, "3.2 mg/L"), (visit.Derived("own-x-sum").Value, visit.Derived("own-x-sum").Text));
    }

    [Theory]
    [InlineData(ComposedRule.Count, 3, "")]
    [InlineData(ComposedRule.Sum, 9.5, "mg/L")]
    [InlineData(ComposedRule.Median, 3.1, "mg/L")]
    [InlineData(ComposedRule.Least, 3, "mg/L")]
    [InlineData(ComposedRule.Greatest, 3.4, "mg/L")]
    public void Every_summary_of_its_repeats(ComposedRule rule, decimal value, string unit)
    {
        var visit = Of(Depths(rule));
        Assert.Equal("waits for Value", visit.Derived("own-x-sum").Text);
        visit.Number("read", "value", "3.1 mg/L", "1").Number("read", "value", "3.4 mg/L", "2").Number("read", "value", "3.0 mg/L", "3");

        Assert.Equal((value, unit), (visit.Derived("own-x-sum").Value, visit.Derived("own-x-sum").Unit));
    }

    [Fact]
    public void Equations_of_the_core_are_bound_to_its_boxes()
    {
        var slanted = Of(
            Once(
                ComposedRule.LineDepth,
                new ComposedField("a", "Line out", ComposedKind.Length),
                new ComposedField("b", "Lean", ComposedKind.Number) { Unit = "°" }
            )
        );
        slanted.Number("read", "a", "10 m").Number("read", "b", "20 °");
        Assert.Equal((9.4m, "m"), (slanted.Derived("own-x-sum").Value, slanted.Derived("own-x-sum").Unit));

        // Case 30 of the handbook: 9 L in 6.2 s.
        var caught = Of(
            Once(
                ComposedRule.BucketFlow,
                new ComposedField("a", "Caught", ComposedKind.Number) { Unit = "L" },
                new ComposedField("b", "In", ComposedKind.Number) { Unit = "s" }
            )
        );
        caught.Number("read", "a", "9 L").Number("read", "b", "6.2 s");
        Assert.Equal(0.00145m, caught.Derived("own-x-sum").Value);

        var area = Of(
            Once(
                ComposedRule.PerArea,
                new ComposedField("a", "Shells", ComposedKind.Whole),
                new ComposedField("b", "Frame", ComposedKind.Number) { Unit = "cm²" }
            )
        );
        area.Number("read", "a", "12").Number("read", "b", "2500 cm²");
        Assert.Equal((48m, "per m²"), (area.Derived("own-x-sum").Value, area.Derived("own-x-sum").Unit));
    }

    [Fact]
    public void A_try_fails_as_it_was_composed_and_another_counts()
    {
        var visit = Of(ShoreBirds.Composed).Number("count", "birds", "3", "reed-point").Yes("count", "flushed", true, "reed-point");
        Assert.Equal(["try-unusable"], visit.Codes);
        Assert.True(visit.Protocol.Steps.Single(s => s is { Step: "count", Item: "reed-point" }).Failed);
        Assert.Null(visit.Derived("own-shore-birds-total").Value);

        visit.Number("count", "birds", "20", "reed-point", 2).Yes("count", "flushed", false, "reed-point", 2);
        Assert.Equal(20m, visit.Derived("own-shore-birds-total").Value);
    }

    [Fact]
    public void A_number_that_is_not_usual_fails_a_try_only_where_that_was_composed()
    {
        Assert.Equal(["value-unusual"], Of(ShoreBirds.Composed).Number("look", "wind", "12 m/s").Codes);
        Assert.Equal(
            ["try-unusable"],
            Of(ShoreBirds.With(ShoreBirds.Wind with { FailsUnusual = true })).Number("look", "wind", "12 m/s").Codes
        );
        Assert.Empty(Of(ShoreBirds.With(ShoreBirds.Wind with { FailsUnusual = true })).Number("look", "wind", "4 m/s").Codes);
        Assert.Equal(["value-impossible"], Of(ShoreBirds.Composed).Number("look", "wind", "41 m/s").Codes);
    }

    [Fact]
    public void A_choice_fails_a_try_by_its_words()
    {
        var sky = ShoreBirds.With(
            new("sky", "Sky", ComposedKind.OneOf) { Choices = ["clear", "fog, no shore seen"], FailsOn = ["fog, no shore seen"] }
        );
        Assert.Equal(["try-unusable"], Of(sky).Choose("look", "sky", "fog, no shore seen").Codes);
        Assert.Empty(Of(sky).Choose("look", "sky", "clear").Codes);
    }

    [Fact]
    public void A_time_that_was_cut_short_is_told_why_its_step_is_done()
    {
        var wait = ShoreBirds.With(new("wait", "Stand still", ComposedKind.Timer) { Wanted = 60 });
        var cut = Of(wait).Waited("look", "wait", 20);
        Assert.Contains(
            "Birds that see you move leave.",
            Assert.Single(cut.Sheet.Findings, f => f.Code == "timer-short").Why,
            StringComparison.Ordinal
        );
        Assert.Empty(Of(wait).Waited("look", "wait", 60).Codes);
    }

    [Fact]
    public void At_a_place_of_practice_it_alone_is_due_on_any_day()
    {
        var context = PracticePlace.Work(new PracticeRequest(Programme(ShoreBirds.Composed), ShoreBirds.Composed));
        Assert.True(Practice.Is(context.Station.Code));
        Assert.Equal(StationKind.Bank, context.Station.Kind);
        foreach (var day in (DateOnly[])[new(2026, 1, 1), new(2026, 8, 12), new(2026, 12, 31)])
        {
            Assert.Equal(
                ["own-shore-birds"],
                OpenProtocols.Work(new OpenProtocolsRequest(context.Programme, day)).Open.Select(p => p.Code)
            );
        }
    }

    [Fact]
    public void Two_parts_kept_apart_are_not_in_one_pair_of_hands()
    {
        var apart = ShoreBirds.Composed with
        {
            Roles = [new("caller", "Caller", "the field glasses"), new("writer", "Writer", "the phone")],
            RolesApart = true,
        };
        Assert.Contains("role-same-person", Of(apart).Person("parts", "caller", "Ada Quill").Person("parts", "writer", "ada quill").Codes);
        Assert.DoesNotContain(
            "role-same-person",
            Of(apart).Person("parts", "caller", "Ada Quill").Person("parts", "writer", "Ben Rook").Codes
        );
    }

    [Fact]
    public void Poison_asks_for_gloves_without_being_told()
    {
        var fixing = ShoreBirds.Composed with
        {
            Steps = [ShoreBirds.Composed.Steps[0] with { Cautions = ["X"] }, ShoreBirds.Composed.Steps[1]],
        };
        Assert.Contains("gloves-missing", Of(fixing).Number("look", "wind", "4 m/s").Codes);
        Assert.Empty(Of(fixing).Gloves("look").Number("look", "wind", "4 m/s").Codes);
    }

    [Fact]
    public void Its_own_container_has_a_number_and_a_label_and_is_filled_at_each_spot()
    {
        var visit = Of(ShoreBirds.Composed with { Containers = [new("count", Own: ShoreBirds.Feathers)] });
        var bags = visit.Protocol.Containers;

        Assert.Equal(3, bags.Count);
        Assert.All(bags, b => Assert.Contains("-J", b.Number, StringComparison.Ordinal));
        Assert.Equal(("feathers", "48 h"), (bags[0].Type.Measures, bags[0].Type.Hold));
        Assert.Equal([bags[1].Number], visit.Protocol.Steps.Single(s => s is { Step: "count", Item: "old-jetty" }).Containers);
        visit.Fill();
        Assert.NotNull(visit.Protocol.Containers[0].Entry);
        var samples = VisitSamples.Fold(new FoldRequest(visit.Visit.Entries, visit.Context)).Samples;
        Assert.Equal(
            [SampleState.Taken, SampleState.Planned, SampleState.Planned],
            samples.Where(s => s.Type == "own-shore-birds").Select(s => s.State)
        );
    }

    [Fact]
    public void A_visit_keeps_the_version_of_its_programme()
    {
        var older = Of(ShoreBirds.Composed).Put("look", "wind", new ObservedValue { Written = "4", Unit = "m/s" }, version: 2);
        Assert.Contains("protocol-unknown", older.Sheet.Findings.Select(f => f.Code));

        var newer = Of(ShoreBirds.Composed with { Version = 2 }).Put("look", "wind", new ObservedValue { Written = "4", Unit = "m/s" });
        Assert.DoesNotContain("protocol-unknown", newer.Sheet.Findings.Select(f => f.Code));
    }

    [Fact]
    public void What_changes_is_the_next_version_and_what_stays_keeps_its_own()
    {
        var before = Programme(ShoreBirds.Composed);
        Assert.Equal(1, Publishing.Counted(before, before).Own![0].Version);
        Assert.Equal(2, Publishing.Counted(before, Programme(ShoreBirds.Composed with { Purpose = "Else." })).Own![0].Version);
        Assert.Equal(1, Publishing.Counted(null, Programme(ShoreBirds.Composed with { Version = 0 })).Own![0].Version);
    }

    [Fact]
    public void A_programme_carries_only_what_may_be_published()
    {
        Assert.Contains(ProgrammeCheck.Findings(Programme(ShoreBirds.Composed with { Purpose = "" }), VisitParts.Options), f =>
            f is { Field: "own/own-shore-birds/protocol", Finding.Code: "protocol-incomplete" }
        );
        Assert.Contains(ProgrammeCheck.Findings(Programme(ShoreBirds.Composed) with { Own = [] }, VisitParts.Options), f =>
            f is { Field: "season", Finding.Code: "season-protocol-unknown" }
        );
        Assert.Empty(ProgrammeCheck.Findings(Programme(ShoreBirds.Composed), VisitParts.Options));
    }

    [Fact]
    public void What_could_not_be_published_is_no_part_of_a_visit()
    {
        var visit = Visit(ShoreBirds.Composed with { Purpose = "" });
        Assert.DoesNotContain("own-shore-birds", visit.Sheet.Steps.Select(s => s.Name));
        Assert.Contains("protocol-unknown", visit.Number("look", "wind", "4 m/s").Sheet.Findings.Select(f => f.Code));
    }

    [Fact]
    public void What_it_works_out_becomes_a_series_with_its_name_and_unit()
    {
        var described = VisitParts.OwnParameters(Programme(Depths(ComposedRule.Mean)))[0];
        Assert.Equal(("own-x-sum", "the value", "mg/L"), (described.Code.Code, described.Name, described.Unit));
        Assert.Equal(0, VisitParts.OwnParameters(Programme(ShoreBirds.Composed))[0].Decimals);
        Assert.Equal(
            ("the value", "mg/L"),
            TrendRule.Work(new TrendRequest(described.Code, [], new SummarySettings(5, 9, 3)) { Described = described }) is var told
                ? (told.Name, told.Unit)
                : default
        );

        var visit = Of(Depths(ComposedRule.Mean)).Number("read", "value", "3.1 mg/L", "1");
        var reading = Assert.Single(visit.Sheet.Record!.Value.Readings, r => r.Parameter == described.Code.Code);
        Assert.Equal((3.1m, "mg/L"), (reading.Value, reading.Unit));
    }

    private static ComposedProtocol Depths(ComposedRule rule) =>
        new(
            "own-x",
            1,
            "Values",
            "Three of them.",
            40,
            [
                new("read", "Read.", "It is asked.", [new ComposedField("value", "Value", ComposedKind.Number) { Unit = "mg/L" }])
                {
                    Repeated = true,
                },
            ]
        )
        {
            Repeat = new ComposedRepeat("reading", [], 3),
            Sums = [new ComposedSum("sum", "the value", rule, "value")],
        };

    private static ComposedProtocol Once(ComposedRule rule, ComposedField first, ComposedField second) =>
        new("own-x", 1, "Values", "Two of them.", 40, [new("read", "Read.", "It is asked.", [first, second])])
        {
            Sums = [new ComposedSum("sum", "the value", rule, first.Code) { Second = second.Code }],
        };

    [Fact]
    public void Where_and_by_how_many_it_is_done_is_said_with_what_it_is_for() =>
        Assert.Equal(
            "How many birds rest at three spots of the shore. For 2 people; from a pier or a beach.",
            Of(ShoreBirds.Composed with { People = 2, Places = [StationKind.Pier, StationKind.Beach] }) is { } visit
                ? VisitParts.DescribedIn(visit.Context.Programme).Single(p => p.Code == "own-shore-birds").Description.Purpose
                : null
        );

    private static Programme Programme(ComposedProtocol protocol) => Visit(protocol).Context.Programme;

    private static ObservedVisit Of(ComposedProtocol protocol)
    {
        Assert.Empty(ComposedCheck.Findings(protocol));
        return Visit(protocol);
    }

    private static ObservedVisit Visit(ComposedProtocol protocol)
    {
        var visit = new ObservedVisit(protocol.Code);
        visit.Context = visit.Context with { Programme = visit.Context.Programme with { Own = [protocol] } };
        return visit;
    }
}
