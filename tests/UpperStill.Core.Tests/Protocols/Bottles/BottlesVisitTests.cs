using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Protocols.Bottles;

public class BottlesVisitTests
{
    private static readonly string Plain = SampleNumber.Checked("HAR-2-260812-L1");
    private static readonly string Acid = SampleNumber.Checked("HAR-2-260812-A1");
    private static readonly string Amber = SampleNumber.Checked("HAR-2-260812-C1");
    private static readonly string AmberTwin = SampleNumber.Checked("HAR-2-260812-C1R");

    [Fact]
    public void The_plan_names_depth_bottles_and_casts()
    {
        var places = Layered().Fold(SampleVisit.Metric).Bottles!.Places;

        Assert.Equal(["Upper layer", "Thermocline", "Lower layer"], places.Select(p => p.Title));
        Assert.Equal([Plain, Acid], places[0].Bottles.Select(b => b.Number));
        Assert.Equal([FilledFrom.Sampler, FilledFrom.PlainBottle], places[0].Bottles.Select(b => b.From));

        // 1.1 L for the plain bottle with its rinse and 0.25 L for the acid one, of 2.2 × 0.95 L.
        Assert.Equal("1.4 L needed, 2.1 L each cast: 1 cast", places[0].Budget);
        Assert.StartsWith("The plain bottle first", places[0].Order[0], StringComparison.Ordinal);
        Assert.Equal(decimal.Round(places[1].DepthM!.Value / 3, 1), places[1].MessengerS);
    }

    [Theory]
    [InlineData("2.2", false)]
    [InlineData("0.9", true)]
    public void A_sampler_that_is_too_small_for_one_cast_says_how_many(string litres, bool shortOfWater)
    {
        var small = SampleVisit.Metric with
        {
            Gear =
            [
                new Gear(
                    "V-1",
                    "sampler",
                    KitKind.BottleSampler,
                    decimal.Parse(litres, System.Globalization.CultureInfo.InvariantCulture),
                    3
                ),
            ],
        };

        var notes = Layered().Fold(small).Findings.Where(f => f.Code == "water-short").ToList();

        Assert.Equal(shortOfWater, notes.Exists(f => f.Act == "Plan 2 casts." && f.Beside == Beside.Bottles));
    }

    public static TheoryData<FillBody, string, FindingLevel?> Fills =>
        new()
        {
            { Of(Plain, "layer-plain") with { Rinses = 0 }, "rinses-short", FindingLevel.Check },
            { Of(Plain, "layer-plain") with { Rinses = 1 }, "rinses-short", null },
            { Of(Acid, "acid-preserved") with { Rinses = 1, From = FilledFrom.PlainBottle }, "bottle-never-rinsed", FindingLevel.Stop },
            { Of(Acid, "acid-preserved") with { Rinses = 0, From = FilledFrom.PlainBottle }, "bottle-never-rinsed", null },
            { Of(Acid, "acid-preserved"), "acid-bottle-direct", FindingLevel.Stop },
            { Of(Acid, "acid-preserved") with { From = FilledFrom.PlainBottle }, "acid-bottle-direct", null },
            {
                Of(Acid, "acid-preserved") with
                {
                    From = FilledFrom.PlainBottle,
                    To = FilledTo.More,
                },
                "acid-bottle-over",
                FindingLevel.Check
            },
            { Of(Plain, "layer-plain") with { To = FilledTo.More }, "fill-wrong", FindingLevel.Check },
            { Of(Plain, "layer-plain"), "fill-wrong", null },
            { Of(Plain, "layer-plain") with { Sediment = true }, "sample-has-sediment", FindingLevel.Stop },
            { Of(Plain, "layer-plain") with { Sediment = false }, "sample-has-sediment", null },
            { Of(Plain, "seawater") with { Bubbles = true, Drops = 1 }, "sample-has-bubbles", FindingLevel.Stop },
            { Of(Plain, "layer-plain") with { Bubbles = true }, "sample-has-bubbles", null },
            { Of(Plain, "bacteria") with { InsideTouched = true }, "inside-touched", FindingLevel.Stop },
            { Of(Plain, "bacteria"), "inside-touched", null },
            { Of(Amber, "chlorophyll-water") with { From = FilledFrom.Composite }, "preservative-missing", FindingLevel.Stop },
            { Of(Amber, "chlorophyll-water") with { From = FilledFrom.Composite, Drops = 5 }, "preservative-missing", null },
            { Of(Amber, "chlorophyll-water") with { From = FilledFrom.Composite, Drops = 4 }, "preservative-count", FindingLevel.Check },
            { Of(Amber, "chlorophyll-water") with { From = FilledFrom.Composite, Drops = 5 }, "preservative-count", null },
            { Of("PEL-1-260812-L1", "layer-plain"), "label-differs", FindingLevel.Check },
            { Of(Plain, "layer-plain"), "label-differs", null },
        };

    [Theory]
    [MemberData(nameof(Fills))]
    public void A_bottle_is_judged_as_it_is_filled(FillBody fill, string code, FindingLevel? level)
    {
        var visit = Layered(Protocol.Phosphorus, Protocol.Chlorophyll);
        visit.Write(FillKinds.Fill, fill);

        Assert.Equal(level, visit.Fold(SampleVisit.Metric).Findings.SingleOrDefault(f => f.Code == code)?.Level);
    }

    public static TheoryData<CastBody, string, FindingLevel?> Casts =>
        new()
        {
            { Lowered(CastOutcome.Open), "sampler-failed", FindingLevel.Stop },
            { Lowered(CastOutcome.Leaking), "sampler-failed", FindingLevel.Stop },
            { Lowered(CastOutcome.Closed), "sampler-failed", null },
            { Lowered(CastOutcome.Touched), "sampler-touched", FindingLevel.Stop },
            { Lowered(CastOutcome.Closed), "sampler-touched", null },
            { Lowered(CastOutcome.Closed) with { Felt = false }, "trip-unfelt", FindingLevel.Check },
            { Lowered(CastOutcome.Closed) with { Felt = true }, "trip-unfelt", null },
            { Lowered(CastOutcome.Closed) with { Sediment = true }, "sample-has-sediment", FindingLevel.Stop },
            { Lowered(CastOutcome.Closed) with { Rinses = 2 }, "rinses-short", FindingLevel.Check },
            { Lowered(CastOutcome.Closed) with { Rinses = 3 }, "rinses-short", null },
            { Lowered(CastOutcome.Closed) with { Ready = ["seals and tubing firm"] }, "sampler-unready", FindingLevel.Check },
            { Lowered(CastOutcome.Closed) with { Ready = ["a", "b", "c", "d", "e"] }, "sampler-unready", null },
            { Lowered(CastOutcome.Closed) with { AngleDeg = 31 }, "line-angle-large", FindingLevel.Check },
            { Lowered(CastOutcome.Closed) with { AngleDeg = 30 }, "line-angle-large", FindingLevel.Note },
            { Lowered(CastOutcome.Closed) with { AngleDeg = 9 }, "line-angle-large", null },
        };

    [Theory]
    [MemberData(nameof(Casts))]
    public void A_cast_is_judged_by_how_it_came_up(CastBody cast, string code, FindingLevel? level)
    {
        var visit = Layered();
        visit.Write(BottleKinds.Cast, cast);

        Assert.Equal(level, visit.Fold(SampleVisit.Metric).Findings.SingleOrDefault(f => f.Code == code)?.Level);
    }

    [Fact]
    public void A_line_that_leans_gives_a_shallower_depth()
    {
        // 10 m of line at 60° hang 5 m deep.
        var visit = Layered();
        visit.Write(
            BottleKinds.Cast,
            Lowered(CastOutcome.Closed) with
            {
                LineOut = new WrittenLength("10", LengthUnit.Metre),
                AngleDeg = 60,
            }
        );

        Assert.Equal(5m, visit.Fold(SampleVisit.Metric).Bottles!.Places[0].Casts[0].DepthM);
    }

    [Fact]
    public void One_label_on_two_bottles_cannot_be_kept()
    {
        var visit = Layered();
        visit.Write(FillKinds.Fill, Of(Plain, "layer-plain"));
        visit.Write(FillKinds.Fill, Of(Plain, "layer-plain"));

        Assert.True(Assert.Single(visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "sample-number-used").NoWayRound);
    }

    [Fact]
    public void A_lead_on_the_bottom_before_a_hand_dip_breaks_the_order()
    {
        Assert.True(Dipped(SoundedBy.Lead));
        Assert.False(Dipped(SoundedBy.Finder));

        static bool Dipped(SoundedBy by)
        {
            var visit = SampleVisit.MetricBegun(Protocol.Phosphorus);
            visit.SoundMetres("12.0", by);
            visit.Write(FillKinds.Fill, Of(Plain, "layer-plain") with { From = FilledFrom.Lake });
            return visit.Fold(SampleVisit.Metric).Findings.Any(f => f.Code == "order-broken");
        }
    }

    [Theory]
    [InlineData(75, 40, null, null)]
    [InlineData(50, 40, "composite-fill", "raise over about 60 s")] // 40 × 75 / 50
    [InlineData(30, 40, "composite-fill", "raise over about 100 s")]
    [InlineData(100, 40, "composite-fill", "raise over about 30 s")] // 0.75 × 40
    public void A_composite_that_came_up_wrong_is_taken_again_at_another_speed(int fill, int seconds, string? code, string? act)
    {
        var visit = Layered(Protocol.Chlorophyll);
        visit.LostMetres("4.5");
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), fill, seconds));
        var sheet = visit.Fold(SampleVisit.Metric);
        var finding = sheet.Findings.SingleOrDefault(f => f.Code.StartsWith("composite-", StringComparison.Ordinal));

        Assert.Equal(code, finding?.Code);
        Assert.Equal(code is null, sheet.Tries.Good);
        Assert.Contains(act ?? string.Empty, finding?.Act ?? string.Empty, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(CameUp.Half, 50, "Came up about half full.")] // from 45 to 55 %: it may be less than half
    [InlineData(CameUp.OverHalf, 50, null)]
    [InlineData(CameUp.OverHalf, 75, "Came up over half full.")]
    [InlineData(CameUp.ThreeQuarters, 75, null)] // the method of three quarters and more
    [InlineData(CameUp.Full, 50, "Came up full.")]
    public void What_was_seen_by_eye_is_judged_as_the_class_it_is(CameUp fill, int leastPercent, string? said)
    {
        var visit = Layered(Protocol.Chlorophyll);
        visit.LostMetres("4.5");
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), RaiseS: 40, Fill: fill));
        var context = SampleVisit.Metric with
        {
            Programme = SampleVisit.Metric.Programme with
            {
                Thresholds = new Dictionary<string, decimal> { ["composite.fill-min"] = leastPercent },
            },
        };

        Assert.Equal(said, visit.Fold(context).Findings.SingleOrDefault(f => f.Code == "composite-fill")?.Seen);
    }

    [Fact]
    public void A_try_of_which_nobody_says_how_full_it_came_up_stops_and_says_so()
    {
        var visit = Layered(Protocol.Chlorophyll);
        visit.LostMetres("4.5");
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), RaiseS: 40));
        var sheet = visit.Fold(SampleVisit.Metric);

        Assert.Equal("How full it came up is not said.", Assert.Single(sheet.Findings, f => f.Code == "composite-fill").Seen);
        Assert.Equal(("Composite to 9.0 m, how full is not said, raised in 40 s", false), (sheet.Tries.Tries[0].Text, sheet.Tries.Good));
    }

    [Fact]
    public void A_fill_that_an_earlier_build_kept_as_a_number_is_the_class_that_was_touched()
    {
        var visit = Layered(Protocol.Chlorophyll);
        visit.LostMetres("4.5");
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), 75, 40), version: 1);
        Assert.Equal(
            "Composite to 9.0 m, came up three quarters full, raised in 40 s",
            Assert.Single(visit.Fold(SampleVisit.Metric).Tries.Tries).Text
        );

        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), 75, 40));
        Assert.Equal("Composite to 9.0 m, came up 75 % full, raised in 40 s", visit.Fold(SampleVisit.Metric).Tries.Tries[1].Text);
    }

    [Fact]
    public void What_worked_here_before_is_proposed_at_the_same_speed_until_there_is_a_try_of_today()
    {
        var context = SampleVisit.Metric with { WorkedBefore = new RiseThatWorked(new DateOnly(2026, 7, 15), 6, 40) };
        var visit = Layered(Protocol.Chlorophyll);
        visit.LostMetres("4.5");
        Assert.Equal(
            (60m, "40 s worked from 6.0 m on 15 Jul 2026"),
            visit.Fold(context).Tries is var before ? (before.RaiseS!.Value, before.RaiseWords!) : default
        );
        Assert.Null(visit.Fold(context with { WorkedBefore = context.WorkedBefore with { Day = new DateOnly(2026, 8, 12) } }).Tries.RaiseS);

        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), 75, 50));
        var tries = visit.Fold(context).Tries;

        Assert.Equal((50m, new RiseThatWorked(new DateOnly(2026, 8, 12), 9, 50)), (tries.RaiseS!.Value, tries.Worked!));
    }

    [Theory]
    [InlineData(100, false, true)]
    [InlineData(100, true, false)]
    [InlineData(80, false, false)]
    public void In_the_method_that_just_fills_full_at_the_surface_is_right(int fill, bool before, bool good)
    {
        var programme = SampleVisit.Metric.Programme with
        {
            Composite = SampleVisit.Metric.Programme.Composite with { Method = CompositeMethod.JustFills },
        };
        var visit = Layered(Protocol.Chlorophyll);
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), fill, 40, before));

        var sheet = visit.Fold(SampleVisit.Metric with { Programme = programme });
        Assert.Equal(good, sheet.Tries.Good);

        // What the weighted bottle is blamed for is no fault here.
        Assert.DoesNotContain(sheet.Findings, f => f.Why.Contains("Full stopped sampling", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("9.1", false, null)]
    [InlineData("9.2", false, "composite-depth-differs")]
    [InlineData("8.0", true, "composite-short-line")]
    public void A_composite_off_its_depth_is_said(string depth, bool lineEnd, string? code)
    {
        var visit = Layered(Protocol.Chlorophyll);
        visit.LostMetres("4.5");
        visit.Write(
            CompositeKinds.CompositeTry,
            new CompositeTryBody(new WrittenLength(depth, LengthUnit.Metre), 75, 40, LineEnd: lineEnd ? true : null)
        );

        Assert.Equal(
            code,
            visit.Fold(SampleVisit.Metric).Findings.SingleOrDefault(f => f.Code.StartsWith("composite-", StringComparison.Ordinal))?.Code
        );
    }

    [Fact]
    public void Leaving_names_what_is_unfilled_and_a_reason_lets_go()
    {
        var visit = Layered(Protocol.Clarity, Protocol.Profile, Protocol.Chlorophyll);
        visit.LostMetres("4.5");
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), 75));
        visit.Write(FillKinds.Fill, Of(Amber, "chlorophyll-water") with { From = FilledFrom.Composite, Drops = 5, Rinses = 1 });
        Assert.Equal("Composite: 1 of 2 bottles.", Assert.Single(Leaving(visit), f => f.Code == "replicate-missing").Seen);
        Assert.Equal("Still empty: profile.", Assert.Single(Leaving(visit), f => f.Code == "field-empty").Seen);

        visit.Write(FillKinds.Fill, Of(AmberTwin, "chlorophyll-water") with { From = FilledFrom.Composite, Drops = 5, Rinses = 1 });
        visit.Write(VisitKinds.StepSkipped, new StepSkippedBody("profile"), why: "meter left ashore");
        Assert.Empty(Leaving(visit));
        var sheet = visit.Fold(SampleVisit.Metric);
        Assert.Equal(
            (StepState.Skipped, "not done: meter left ashore"),
            sheet.Steps.Where(s => s.Name == "profile").Select(s => (s.State, s.Summary)).Single()
        );
        Assert.Equal([Protocol.Clarity, Protocol.Profile, Protocol.Chlorophyll], sheet.Took);
    }

    [Fact]
    public void A_deep_bottle_still_to_take_is_a_stop_on_leaving()
    {
        var deep = SampleVisit.Metric.Programme with
        {
            Season =
            [
                new ProtocolPlan(Protocol.Phosphorus, Rhythm.Monthly, new(5, 1), new(10, 15))
                {
                    Bottles = [new BottlePlan("depth-water", SampleFrom.Deep)],
                },
            ],
        };
        var visit = SampleVisit.MetricBegun(Protocol.Phosphorus);
        visit.SoundMetres("12.0");
        Assert.Equal(
            "The deep bottle at 11.0 m is still to take.",
            Assert.Single(visit.Fold(SampleVisit.Metric with { Programme = deep }).Findings, f => f.Code == "deep-sample-missing").Seen
        );

        visit.Write(FillKinds.Fill, Of("HAR-2-260812-V1", "depth-water"));
        Assert.DoesNotContain(visit.Fold(SampleVisit.Metric with { Programme = deep }).Findings, f => f.Code == "deep-sample-missing");
    }

    [Theory]
    [InlineData("both", "Thermocline by density", true)]
    [InlineData("degree", "Thermocline by warmth", true)]
    [InlineData("eye", "Thermocline by density", false)]
    public void Layers_place_their_bottles_also_where_no_figure_of_them_is_shown(string way, string step, bool shown)
    {
        var sheet = Layered(Protocol.Phosphorus, Protocol.Profile).Fold(Choosing(ProfileOptions.Thermocline, way));

        Assert.StartsWith(
            step,
            sheet.Bottles!.Places.Single(p => p.Place == SamplePlace.AtThermocline).Working!.Steps[0],
            StringComparison.Ordinal
        );
        Assert.Equal(shown, sheet.Profile!.Figures.Any(f => f.Key == "thermocline"));
    }

    [Fact]
    public void One_replicate_for_the_station_is_of_what_is_bottled_first()
    {
        var planned = PlannedSamples.Of(
            SampleVisit.Metric.Station,
            Choosing(BottlesOptions.Replicates, "station").Programme,
            [Protocol.Clarity, Protocol.Chlorophyll, Protocol.Phosphorus],
            new DateOnly(2026, 8, 12),
            VisitParts.Bottles
        );

        Assert.Equal([("layer-plain", SamplePlace.Upper)], planned.Where(p => p.Replicate > 0).Select(p => (p.Type.Code, p.Place)));
    }

    private static VisitContext Choosing(Method method, string choice) =>
        SampleVisit.Metric with
        {
            Programme = SampleVisit.Metric.Programme with { Methods = new Dictionary<string, string> { [method.Setting] = choice } },
        };

    private static List<Finding> Leaving(SampleVisit visit) =>
        [.. visit.Fold(SampleVisit.Metric).Findings.Where(f => f.Beside == Beside.Leaving)];

    private static FillBody Of(string number, string type) => new(number, type, FilledFrom.Sampler, FilledTo.AsAsked);

    private static CastBody Lowered(CastOutcome outcome) => new(new("layer-1"), new WrittenLength("3.0", LengthUnit.Metre), outcome, "V-1");

    /// <summary>Twelve metres, sounded and layered.</summary>
    private static SampleVisit Layered(params Protocol[] due)
    {
        var visit = SampleVisit.MetricBegun(due.Length > 0 ? due : [Protocol.Phosphorus]);
        visit.SoundMetres("12.0");
        visit.Calibrate();
        foreach (var (depth, celsius) in new[] { ("1", "20"), ("4", "19.8"), ("6", "16"), ("8", "10"), ("11", "8") })
        {
            visit.Level(depth, celsius);
        }

        return visit;
    }
}
