using UpperStill.Core.Application.Samples;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.NetTow;

/// <summary>The cases of the handbook, and what a tow does to its visit.</summary>
public class NetTowTests
{
    [Theory]
    [InlineData("0", "490.9 L", 490.874, null)]
    [InlineData("20", "461.3 L", 461.271, FindingLevel.Note)]
    [InlineData("35", "402.1 L", 402.101, FindingLevel.Check)]
    public void The_water_that_went_through_follows_from_mouth_line_and_lean(string angle, string text, double litres, FindingLevel? lean)
    {
        var visit = Towed("10 m", angle);

        var volume = Derived(visit, "tow-volume");
        Assert.Equal(text, volume.Text);
        Assert.Equal(litres, (double)volume.Value!.Value, 2);
        Assert.Equal(lean, visit.Sheet.Findings.SingleOrDefault(f => f.Code == "line-angle-large")?.Level);
        Assert.DoesNotContain("value-unusual", visit.Codes);
    }

    [Fact]
    public void What_was_counted_gives_animals_in_a_litre_with_the_exact_limits_of_the_count()
    {
        var visit = Counted(Towed("10 m", "0"), 42, 51, 39);

        Assert.Equal("2200 animals", Derived(visit, "plankton-jar").Text);
        var all = visit.Protocol.Derived.Single(d => d is { Parameter: "plankton", Item: null });
        Assert.Equal("4.5 per L (3.7–5.3)", all.Text);
        Assert.Equal(4.4818, (double)all.Value!.Value, 3);
        Assert.DoesNotContain("subsamples-uneven", visit.Codes);
    }

    [Theory]
    [InlineData(new[] { 42, 71, 39 }, true)]
    [InlineData(new[] { 30, 60 }, true)]
    [InlineData(new[] { 42, 51, 39 }, false)]
    [InlineData(new[] { 0, 0, 0 }, false)]
    public void Counts_that_differ_by_more_than_chance_ask_for_one_more(int[] counts, bool uneven) =>
        Assert.Equal(uneven, Counted(Towed("10 m", "0"), counts).Codes.Contains("subsamples-uneven"));

    [Fact]
    public void Few_of_a_kind_are_told_with_their_limits()
    {
        var low = Counted(Towed("10 m", "0"), 30, 60).Sheet.Findings.Single(f => f.Code == "count-low");
        Assert.Equal("90 counted of copepods: 72–111.", low.Seen);
        Assert.Equal(FindingLevel.Note, low.Level);
        Assert.DoesNotContain("count-low", Counted(Towed("10 m", "0"), 42, 51, 39).Codes);
    }

    [Theory]
    [InlineData(8, "1.25 m/s", true)]
    [InlineData(22, "0.45 m/s", false)]
    [InlineData(40, "0.25 m/s", true)]
    public void A_haul_that_is_too_fast_or_too_slow_is_checked(double seconds, string text, bool found)
    {
        var visit = Towed("10 m", "0", seconds);
        Assert.Equal(text, Derived(visit, "tow-speed").Text);
        Assert.Equal(found, visit.Codes.Contains("tow-speed"));
    }

    [Fact]
    public void A_tow_that_would_drag_is_stopped_and_the_best_depth_is_named()
    {
        var visit = Begun();
        visit.Visit.Write(SoundingKinds.Sounding, new SoundingBody(new WrittenLength("6.9", LengthUnit.Metre), SoundedBy.Finder));
        var finding = Towed("10 m", "0", visit: visit).Sheet.Findings.Single(f => f.Code == "tow-too-long");
        Assert.Equal((FindingLevel.Stop, "Use 5.9 m."), (finding.Level, finding.Act));
        Assert.EndsWith("/line-out", finding.At, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_the_radius_of_the_mouth_the_counts_are_kept_and_no_litre_is_worked_out()
    {
        var visit = Begun();
        visit.Context = visit.Context with { Gear = [new Gear("N-1", "net", KitKind.Net)] };
        Counted(Towed("10 m", "0", visit: visit), 42, 51, 39);
        Assert.Contains("kit-value-missing", visit.Codes);
        Assert.Equal("waits for the radius of the net’s mouth", Derived(visit, "tow-volume").Text);
        var all = visit.Protocol.Derived.First(d => d.Parameter == "plankton");
        Assert.Null(all.Value);
        Assert.Equal("132 counted; waits for the volume towed", all.Text);
    }

    [Theory]
    [InlineData(95, "140 mL", false)]
    [InlineData(70, "none: 70 % does not bring it to 70 %", true)]
    public void Alcohol_brings_the_catch_to_the_strength_at_which_it_keeps(int strength, string text, bool weak)
    {
        var visit = Begun();
        visit.Context = visit.Context with
        {
            Gear =
            [
                .. visit.Context.Gear!.Where(g => g.Kind != KitKind.Reagent),
                new Gear("E-1", "alcohol", KitKind.Reagent) { Figures = [new("strength-percent", strength)] },
            ],
        };
        Towed("10 m", "0", visit: visit).Number("jar", "catch", "50 mL").Put("jar", "alcohol", new ObservedValue { Choice = "E-1" });
        Assert.Equal(text, Derived(visit, "alcohol").Text);
        Assert.Equal(weak, visit.Codes.Contains("alcohol-weak"));
    }

    [Fact]
    public void A_net_that_touched_the_bottom_or_stopped_is_towed_again_and_the_good_one_counts()
    {
        var visit = Begun();
        Towed("10 m", "0", touched: true, visit: visit);
        Assert.Contains(visit.Sheet.Findings, f => f is { Code: "tow-touched", Level: FindingLevel.Stop, Kept: null });
        Assert.True(visit.Protocol.Steps.First(s => s.Step == "haul").Failed);

        Towed("8 m", "0", number: 2, visit: visit);
        Assert.Equal("a later try came up right", visit.Sheet.Findings.Single(f => f.Code == "tow-touched").Kept);
        Assert.Equal("392.7 L", Derived(visit, "tow-volume").Text);
        Assert.Equal(8, visit.Protocol.Spans.Single().ToM);
    }

    [Fact]
    public void A_mesh_that_drains_slowly_makes_every_number_at_least()
    {
        var visit = Counted(Towed("10 m", "0", drained: "slowly"), 42, 51, 39);
        Assert.Contains("net-coated", visit.Codes);
        var all = visit.Protocol.Derived.Single(d => d is { Parameter: "plankton", Item: null });
        Assert.StartsWith("at least", all.Text, StringComparison.Ordinal);
        Assert.Equal(Censoring.Above, all.Censored);
    }

    [Theory]
    [InlineData("bottom", "11", "1.0 m off the bottom")]
    [InlineData("mark", "6", "the programme’s fixed mark")]
    [InlineData("thermocline", "11", "no thermocline today: 1.0 m off the bottom")]
    public void Where_the_tow_begins_is_proposed_and_never_answered(string from, string metres, string why)
    {
        var visit = Begun().With("tow.from", from);
        var proposal = visit.Protocol.Proposals.Single(p => p.Field == "from");
        Assert.Equal((metres, why), (proposal.Value.Written, proposal.Why));
        Assert.DoesNotContain(visit.Protocol.Values, v => v.Field == "from");

        Towed("6 m", "0", visit: visit).Number("set", "from", "6 m", "1");
        Assert.Empty(visit.Protocol.Proposals);
        Assert.Equal(from == "thermocline", visit.Codes.Contains("tow-no-thermocline"));
    }

    [Theory]
    [InlineData("preserved", "plankton-preserved")]
    [InlineData("live", "plankton-live")]
    public void The_jar_is_a_sample_like_any_other(string keep, string type)
    {
        var visit = Towed("10 m", "0", visit: Begun().With("tow.keep", keep));
        var jar = Assert.Single(visit.Protocol.Containers);
        Assert.Equal(type, jar.Type.Code);
        Assert.Contains("container", visit.Protocol.Steps.Single(s => s.Step == "jar").Open);

        visit.Visit.Write(
            FillKinds.Fill,
            new FillBody(jar.Number, type, FilledFrom.Net, FilledTo.AsAsked, Preserved: keep == "preserved" ? true : null)
        );
        Assert.DoesNotContain("container", visit.Protocol.Steps.Single(s => s.Step == "jar").Open);
        var sample = VisitSamples.Fold(new FoldRequest(visit.Visit.Entries, visit.Context)).Samples.Single(s => s.Number == jar.Number);
        Assert.Equal((keep == "live" ? SampleState.Taken : SampleState.Preserved, "10.0 m to 0, vertical"), (sample.State, sample.Depth));
    }

    [Fact]
    public void A_jar_without_its_preservative_is_stopped_at_its_step()
    {
        var visit = Begun();
        visit.Visit.Write(
            FillKinds.Fill,
            new FillBody(visit.Protocol.Containers[0].Number, "plankton-preserved", FilledFrom.Net, FilledTo.AsAsked)
        );
        var stop = visit.Sheet.Findings.Single(f => f.Code == "preservative-missing");
        Assert.Equal("net-tow/jar//1/container", stop.At);
    }

    [Fact]
    public void A_horizontal_tow_goes_by_its_ends_or_by_the_meter()
    {
        var visit = Begun();
        Towed("1 m", "0", 60, visit: visit);
        visit.Choose("set", "direction", "horizontal", "1");
        Assert.Equal("waits for start and end, or the turns of the flow meter", Derived(visit, "tow-volume").Text);

        visit
            .Put("haul", "start", new ObservedValue { Position = new(51.9241, -11.4376) }, "1")
            .Put("haul", "end", new ObservedValue { Position = new(51.9241, -11.4370) }, "1");
        Assert.Equal(2019.7, (double)Derived(visit, "tow-volume").Value!.Value, 0);

        visit.Context = visit.Context with
        {
            Gear = [new Gear("N-1", "net", KitKind.Net) { Figures = [new("mouth-radius-cm", 12.5m), new("m-per-turn", 0.3m)] }],
        };
        visit.Put("haul", "turns", new ObservedValue { Written = "100" }, "1");
        Assert.Equal("1472.6 L", Derived(visit, "tow-volume").Text);
    }

    private static ObservedVisit Begun() => new("net-tow");

    private static SheetDerived Derived(ObservedVisit visit, string parameter) =>
        visit.Protocol.Derived.Single(d => d.Parameter == parameter);

    private static ObservedVisit Towed(
        string line,
        string angle,
        double seconds = 20,
        bool touched = false,
        string drained = "freely",
        int number = 1,
        ObservedVisit? visit = null
    ) =>
        (visit ?? Begun())
            .Put("set", "net", new ObservedValue { Choice = "N-1" }, "1", number)
            .Choose("set", "direction", "vertical", "1", number)
            .Number("lower", "line-out", line, "1", number)
            .Number("lower", "angle", $"{angle} °", "1", number)
            .Waited("haul", "tow-s", seconds, "1", number)
            .Choose("haul", "went", "through", "1", number)
            .Yes("haul", "touched", touched, "1", number)
            .Count("wash", "washes", 3, "1", number)
            .Choose("wash", "wash-water", "filtered", "1", number)
            .Choose("wash", "drained", drained, "1", number);

    private static ObservedVisit Counted(ObservedVisit visit, params int[] counts)
    {
        visit.Number("make-up", "made-up", "50 mL").Number("make-up", "sub", "1 mL");
        foreach (var (count, i) in counts.Select((c, i) => (c, i)))
        {
            visit.Tally("count", "counts", $"{i + 1}", ("copepods", count));
        }

        return visit;
    }
}
