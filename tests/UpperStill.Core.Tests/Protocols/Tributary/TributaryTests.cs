using CsCheck;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Hydraulics;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Tributary;

/// <summary>Cases 23 to 33 of the handbook, and the mid-section method.</summary>
public class TributaryTests
{
    private static readonly (string Tape, string Depth, string Speed)[] Example =
    [
        ("0.6", "0.12", "0.12"),
        ("1.0", "0.24", "0.28"),
        ("1.3", "0.33", "0.40"),
        ("1.6", "0.36", "0.43"),
        ("1.9", "0.31", "0.37"),
        ("2.2", "0.22", "0.25"),
        ("2.6", "0.10", "0.10"),
    ];

    [Fact]
    public void Seven_verticals_give_the_flow_of_the_example()
    {
        var visit = Gauged("0.2", "3.0", Example);
        Assert.Equal(0.17298, (double)visit.Derived("flow").Value!.Value, 5);
        Assert.Equal("0.173 m³/s", visit.Derived("flow").Text);
        Assert.DoesNotContain("panel-large", visit.Codes);
        Assert.DoesNotContain("verticals-few", visit.Codes);
        Assert.Equal(26.8m, visit.Protocol.Section!.Panels.Max(p => p.SharePercent));
    }

    [Fact]
    public void Too_few_verticals_are_said_with_how_many_are_asked()
    {
        var five = Gauged(
            "0.2",
            "3.2",
            ("0.7", "0.18", "0.21"),
            ("1.2", "0.30", "0.38"),
            ("1.7", "0.36", "0.45"),
            ("2.2", "0.28", "0.36"),
            ("2.7", "0.14", "0.18")
        );
        Assert.Equal(0.2199, (double)five.Derived("flow").Value!.Value, 4);
        Assert.Equal("5 of 7 verticals.", Assert.Single(five.Sheet.Findings, f => f.Code == "verticals-few").Seen);
    }

    [Fact]
    public void A_wall_is_a_vertical_at_the_edge()
    {
        var visit = Gauged("0", "1.2", ("0.4", "0.30", "0.20"), ("0.8", "0.40", "0.30"), ("1.2", "0.40", "0.20"));
        Assert.Equal(0.088, (double)visit.Derived("flow").Value!.Value, 3);
        Assert.Equal("3 of 7 verticals.", Assert.Single(visit.Sheet.Findings, f => f.Code == "verticals-few").Seen);
    }

    [Fact]
    public void Where_it_is_deep_two_speeds_are_averaged_and_one_alone_is_said()
    {
        var two = Edges("0", "2")
            .Vertical("1", "0.8")
            .Number("vertical", "v-02", "0.42 m/s", "1")
            .Number("vertical", "v-08", "0.26 m/s", "1");
        Assert.Equal(0.34m, two.Protocol.Section!.Panels[0].VelocityMs);
        Assert.DoesNotContain("vertical-speeds", two.Codes);
        var one = Edges("0", "2").Vertical("1", "0.8").Number("vertical", "v", "0.4 m/s", "1");
        Assert.Equal(0.4m, one.Protocol.Section!.Panels[0].VelocityMs);
        Assert.Contains("vertical-speeds", one.Codes);
    }

    [Fact]
    public void A_load_follows() => Assert.Equal(0.9565, (double)Load.Work(new LoadRequest(0.064m, "0.17298", "m³/s")).KgPerDay!.Value, 4);

    [Theory]
    [InlineData("0.42 m", 0.136, null)]
    [InlineData("0.55 m", null, "stage-outside-table")]
    [InlineData("0.40 m", 0.11, null)]
    [InlineData("0.50 m", 0.24, null)]
    public void A_stage_is_read_straight_between_the_rows(string stage, double? flow, string? code)
    {
        var visit = By("table").Number("look", "stage", stage);
        visit.Context = visit.Context with { Station = visit.Context.Station with { StageTable = [new(0.40m, 0.11m), new(0.50m, 0.24m)] } };
        Assert.Equal(flow, (double?)visit.Derived("flow").Value);
        Assert.Equal(code is null ? [] : [code], visit.Codes);
    }

    [Fact]
    public void A_table_that_does_not_rise_is_not_used()
    {
        var visit = By("table").Number("look", "stage", "0.42 m");
        visit.Context = visit.Context with { Station = visit.Context.Station with { StageTable = [new(0.40m, 0.24m), new(0.50m, 0.11m)] } };
        Assert.Equal(["flow-table"], visit.Codes);
        Assert.False(StageTable.Rises([new(1, 1)]));
        Assert.False(StageTable.Rises([new(1, 1), new(1, 2)]));
    }

    [Fact]
    public void A_float_is_about()
    {
        var visit = By("float").Number("float", "area", "0.62 m²").Number("float", "run", "10 m");
        foreach (var item in new[] { "1", "2", "3" })
        {
            visit.Waited("run", "ran", 18.5, item);
        }

        var flow = visit.Derived("flow");
        Assert.Equal((0.285, true), (Math.Round((double)flow.Value!.Value, 3), flow.About));
        Assert.Equal(["flow-estimated"], visit.Codes);
    }

    [Fact]
    public void A_pail_is_timed_three_times()
    {
        var visit = By("pail").Number("pail", "litres", "9 L").Waited("pail-fill", "filled-in", 6.2, "1");
        Assert.Contains("times-few", visit.Codes);
        visit.Waited("pail-fill", "filled-in", 5.9, "2").Waited("pail-fill", "filled-in", 6.5, "3");
        Assert.Equal(0.001452, (double)visit.Derived("flow").Value!.Value, 6);
        Assert.Equal("1.45 L/s", visit.Derived("flow").Text);
        Assert.DoesNotContain("times-few", visit.Codes);
    }

    [Fact]
    public void Fast_water_takes_feet()
    {
        var fast = Edges("0", "2").Vertical("1", "0.7").Number("vertical", "v", "0.9 m/s", "1");
        Assert.Equal(FindingLevel.Stop, Assert.Single(fast.Sheet.Findings, f => f.Code == "wading-fast").Level);
        Assert.DoesNotContain("wading-fast", Edges("0", "2").Vertical("1", "0.6").Number("vertical", "v", "0.9 m/s", "1").Codes);
        Assert.Contains("wading-fast", By("gauge").Choose("look", "water-at", "above").Codes);
        Assert.DoesNotContain("wading-fast", By("gauge").Choose("look", "water-at", "knee").Codes);
    }

    [Fact]
    public void A_bottle_after_the_gauging_is_said()
    {
        var after = Gauged("0.2", "3.0", Example).Later(20);
        after.Fill(rinses: 3);
        Assert.Contains("order-broken", after.Codes);

        var before = By("velocity-area");
        before.Fill(rinses: 3);
        Assert.DoesNotContain(
            "order-broken",
            Verticals(before.Number("tape", "edge-left", "0.2 m").Number("tape", "edge-right", "3 m"), Example).Codes
        );
    }

    [Fact]
    public void A_flow_without_a_unit_gives_no_load()
    {
        var visit = By("gauge").Number("gauge", "flow", "0.42");
        Assert.Equal(["unit-missing"], visit.Codes);
        Assert.Null(visit.Derived("flow").Value);
    }

    [Fact]
    public void The_load_of_a_bottle_follows_from_the_flow_that_was_found_with_it()
    {
        var visit = Gauged("0.2", "3.0", Example);
        visit.Fill(rinses: 3);
        var bottle = visit.Protocol.Containers[0].Number;
        visit.Visit.Write(ResultKinds.Result, new ResultBody(bottle, "total-phosphorus", "64", "µg/L as P"));
        var result = Assert.Single(
            VisitSamples.Fold(new FoldRequest(visit.Visit.Entries, visit.Context)).Samples.Single(s => s.Number == bottle).Results
        );
        Assert.Equal(0.9565, (double)result.Load!.KgPerDay!.Value, 4);
    }

    [Fact]
    public void Two_figures_of_one_flow_are_held_against_each_other()
    {
        var apart = Gauged("0.2", "3.0", Example).Number("gauge", "flow", "0.25 m³/s");
        Assert.Contains("flow-differs", apart.Codes);
        Assert.DoesNotContain("flow-differs", Gauged("0.2", "3.0", Example).Number("gauge", "flow", "0.18 m³/s").Codes);
    }

    [Fact]
    public void Flow_and_bottle_belong_to_one_hour()
    {
        var visit = By("gauge").Number("gauge", "flow", "180 L/s").Clock("gauge", "read-at", 8, 0);
        visit.Fill(rinses: 3);
        Assert.Contains("flow-time-apart", visit.Codes);
        var near = By("gauge").Number("gauge", "flow", "180 L/s");
        near.Fill(rinses: 3);
        Assert.DoesNotContain("flow-time-apart", near.Codes);
        Assert.Equal(0.18m, near.Derived("flow").Value);
    }

    [Fact]
    public void A_panel_that_carries_too_much_asks_for_one_beside_it()
    {
        var visit = Gauged("0", "3", ("0.5", "0.1", "0.1"), ("1.5", "0.5", "0.5"), ("2.5", "0.1", "0.1"));
        Assert.Contains("panel-large", visit.Codes);
    }

    [Fact]
    public void A_vertical_outside_the_water_and_a_speed_outside_the_meter_are_said()
    {
        Assert.Contains("vertical-outside", Gauged("0.2", "3.0", ("3.4", "0.2", "0.2")).Codes);
        var slow = Edges("0", "2").Of("tape", "meter", "C-1").Vertical("1", "0.3").Number("vertical", "v", "0.02 m/s", "1");
        Assert.Contains("value-unusual", slow.Codes);
    }

    [Fact]
    public void The_flow_is_the_same_whichever_way_the_tape_runs_and_adds_up_over_split_panels() =>
        Gen.Select(Gen.Int[1, 20].Array[1, 12], Gen.Int[1, 99].Array[12], Gen.Int[-20, 200].Array[12])
            .Sample(
                (gaps, depths, speeds) =>
                {
                    var at = 0m;
                    List<Vertical> verticals = [];
                    foreach (var (gap, i) in gaps.Select((g, i) => (g, i)))
                    {
                        at += gap / 10m;
                        verticals.Add(new Vertical(at, depths[i] / 100m, speeds[i] / 100m));
                    }

                    var width = at + 0.5m;
                    var flow = MidSection.Panels(0, width, verticals).Sum(p => p.FlowM3S);
                    var turned = MidSection.Panels(width, 0, verticals.AsEnumerable().Reverse()).Sum(p => p.FlowM3S);
                    Assert.Equal(flow, turned);

                    // A vertical that is read twice at one place splits its panel and changes nothing.
                    var split = MidSection.Panels(0, width, [.. verticals, verticals[0]]).Sum(p => p.FlowM3S);
                    Assert.Equal(flow, split);
                },
                iter: 200
            );

    private static ObservedVisit By(string way) => new ObservedVisit("tributary").With("flow.from", way);

    private static ObservedVisit Edges(string left, string right) =>
        By("velocity-area").Number("tape", "edge-left", $"{left} m").Number("tape", "edge-right", $"{right} m");

    private static ObservedVisit Gauged(string left, string right, params (string Tape, string Depth, string Speed)[] verticals) =>
        Verticals(Edges(left, right), verticals);

    private static ObservedVisit Verticals(ObservedVisit visit, params (string Tape, string Depth, string Speed)[] verticals)
    {
        foreach (var ((tape, depth, speed), i) in verticals.Select((v, i) => (v, i)))
        {
            visit
                .Number("vertical", "tape", $"{tape} m", $"{i + 1}")
                .Number("vertical", "depth", $"{depth} m", $"{i + 1}")
                .Number("vertical", "v", $"{speed} m/s", $"{i + 1}");
        }

        return visit;
    }
}

/// <summary>Short forms for verticals.</summary>
internal static class VerticalWords
{
    internal static ObservedVisit Vertical(this ObservedVisit visit, string tape, string depth) =>
        visit.Number("vertical", "tape", $"{tape} m", "1").Number("vertical", "depth", $"{depth} m", "1");
}
