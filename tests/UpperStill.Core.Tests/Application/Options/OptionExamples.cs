using System.Text.Json;
using UpperStill.Core.Application.Guides;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Outings;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.Core.Tests.Application.Visits;
using UpperStill.Core.Tests.Protocols.Custody;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Application.Options;

/// <summary>What people see of an example: the guides, and everything else.</summary>
internal sealed record Seen(string Guides, string Elsewhere);

/// <summary>Small visits, plans and bottles in which the options of a programme show. Each shows everything that it has, by a
/// programme.</summary>
internal static class OptionExamples
{
    private static readonly string[] GuidedSteps =
    [
        "arrive",
        "sounding",
        "surface",
        "clarity",
        "profile",
        "bottles",
        "composite",
        "leave",
        .. VisitParts.Described.Select(d => d.Code),
    ];
    private static readonly (string Depth, string Celsius)[] Depths = [("1", "20"), ("4", "19.8"), ("6", "16"), ("8", "10"), ("11", "8")];
    private static readonly Guid Visit = Guid.CreateVersion7();
    private static readonly DateOnly Day = new(2026, 8, 12);
    private static readonly ProtocolPlan Clarity = new(Protocol.Clarity, Rhythm.Days, new(5, 1), new(10, 15));
    private static readonly ProtocolPlan Profile = new(Protocol.Profile, Rhythm.Monthly, new(5, 1), new(10, 15));
    private static readonly ProtocolPlan Chlorophyll = new(Protocol.Chlorophyll, Rhythm.Monthly, new(5, 1), new(10, 15));
    private static readonly ProtocolPlan Dipped = new(Protocol.Phosphorus, Rhythm.Monthly, new(5, 1), new(10, 15), TurnIn: true);
    private static readonly ProtocolPlan Layers = Dipped with { TurnIn = false, HoldHours = 24 };
    private static readonly ProtocolPlan Deep = new(Protocol.Seawater, Rhythm.Monthly, new(5, 1), new(10, 15))
    {
        Bottles = [new("depth-water", SampleFrom.Deep)],
    };

    /// <summary>By name.</summary>
    internal static IReadOnlyDictionary<string, Func<Programme, Seen>> All { get; } =
        new Dictionary<string, Func<Programme, Seen>>
        {
            ["arrival"] = Arrival(),
            ["disc"] = Disc(),
            ["profile"] = Profiled(),
            ["uncalibrated"] = Profiled("8.0"),
            ["feet"] = Feet(),
            ["bottles"] = Bottles(),
            ["composite"] = Composite(),
            ["bench"] = Show(BenchVisit.Frozen().Visit, SampleVisit.Metric, Chlorophyll),
            ["tow"] = Tow(),
            ["drops"] = Observed(
                new ObservedVisit("refractometer")
                    .Number("zero", "zero", "0 ppt")
                    .Count("drop", "drops", 1, "1")
                    .Number("read", "salinity", "21 ppt", "1")
            ),
            ["beach"] = Beach(),
            ["grab"] = Grabbed(),
            ["rake"] = Observed(new ObservedVisit("rake")),
            ["stream"] = Stream(),
            ["surf"] = Observed(new ObservedVisit("surf").Choose("fit", "holds", "jar", "1")),
            ["sea"] = SeaBottle(),
            ["traces"] = Observed(
                new ObservedVisit("ultra-clean")
                    .Day("notice", "told", 8, 1)
                    .Day("notice", "companion", 8, 1)
                    .Choose("fill", "capped", "in-air", "1")
            ),
            ["pond"] = Observed(new ObservedVisit("pond").Number("stand", "depth", "1 m")),
            ["sand"] = Observed(
                new ObservedVisit("plastics").Place("fix", "north", 51.836, -11.615).Place("fix", "south", 51.83545, -11.615)
            ),
            ["scum"] = Observed(new ObservedVisit("bloom").Choose("describe", "looks", "scum")),
            ["opinions"] = Opinions(),
            ["audit"] = Observed(new ObservedVisit("audit").Person("sign", "by", "Asa")),
            ["series"] = Series,
            ["paper sheet"] = programme =>
                new(
                    string.Empty,
                    JsonSerializer.Serialize(
                        OpenProtocols.Work(new OpenProtocolsRequest(programme, Day)),
                        CoreJson.Default.OpenProtocolsResult
                    )
                ),
            ["station"] = Station,
        };

    private static Func<Programme, Seen> Arrival()
    {
        var visit = new SampleVisit().Later(TimeSpan.FromHours(7));
        visit.Write(VisitKinds.VisitStarted, new VisitStartedBody("HAR-2", "layered", 1, ["Asa"], "R-5", [Protocol.Clarity]));
        visit.Write(ArrivalKinds.Fix, new FixBody(51.9341, -11.4376, FixSource.Device));
        visit.Conditions(
            new ConditionsBody(1, false, WindMs: 9, Waves: 3) { Water = new WrittenTemperature("21.34", TemperatureUnit.Celsius) }
        );
        visit.SoundMetres("14.0");
        visit.LostMetres("4.5");
        return Show(visit, SampleVisit.Metric, Clarity);
    }

    private static Func<Programme, Seen> Disc()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity);
        visit.SoundMetres("12.0");
        foreach (var (lowering, lost, seen) in new[] { (1, "4.5", "4.3"), (2, "4.8", "4.6") })
        {
            visit.Write(
                SecchiKinds.DiscMark,
                new DiscMarkBody(lowering, DiscEvent.Disappeared, new WrittenLength(lost, LengthUnit.Metre), "Asa")
            );
            visit.Write(
                SecchiKinds.DiscMark,
                new DiscMarkBody(lowering, DiscEvent.Reappeared, new WrittenLength(seen, LengthUnit.Metre), "Asa")
            );
        }

        var show = Show(visit, SampleVisit.Metric, Clarity);
        return programme => show(programme with { Clarity = programme.Clarity with { EndPoint = EndPoint.Mean } });
    }

    private static Func<Programme, Seen> Profiled(string? oxygen = null)
    {
        var visit = SampleVisit.MetricBegun(Protocol.Profile);
        visit.SoundMetres("12.0");
        foreach (var (depth, celsius) in Depths)
        {
            visit.Level(depth, celsius, oxygen);
        }

        return Show(visit, SampleVisit.Metric, Profile);
    }

    private static Func<Programme, Seen> Feet()
    {
        var visit = new SampleVisit();
        visit.Write(VisitKinds.VisitStarted, new VisitStartedBody("HAR-1", "monthly", 1, ["Asa"], "R-3", [Protocol.Profile]));
        visit.Sound("102");
        return Show(visit, SampleVisit.Context, Profile);
    }

    private static Func<Programme, Seen> Bottles()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Phosphorus, Protocol.Chlorophyll, Protocol.Seawater, Protocol.Profile);
        visit.SoundMetres("12.0");
        Warm(visit);
        visit.Write(
            BottleKinds.Cast,
            new CastBody(new("deep"), new WrittenLength("11.0", LengthUnit.Metre), CastOutcome.Closed, "V-1", Rinses: 0)
        );
        visit.Write(
            FillKinds.Fill,
            new FillBody(
                SampleNumber.Checked("HAR-2-260812-P1"),
                "phosphorus-dip",
                FilledFrom.Lake,
                FilledTo.Less,
                Rinses: 1,
                Sediment: true,
                Bubbles: true
            )
        );
        return Show(visit, SampleVisit.Metric, Dipped, Chlorophyll, Deep, Profile);
    }

    private static Func<Programme, Seen> Composite()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Chlorophyll);
        visit.SoundMetres("12.0");
        visit.LostMetres("4.5");
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), 100, 40));
        return Show(visit, SampleVisit.Metric, Chlorophyll, Layers);
    }

    /// <summary>A tow of which few animals were counted.</summary>
    internal static Func<Programme, Seen> Counted()
    {
        var visit = Towed()
            .Number("make-up", "made-up", "50 mL")
            .Number("make-up", "sub", "1 mL")
            .Tally("count", "counts", "1", ("copepods", 90))
            .Tally("count", "counts", "2", ("copepods", 85));
        return Observed(visit);
    }

    private static Func<Programme, Seen> Tow() => Observed(Towed());

    private static ObservedVisit Towed()
    {
        var visit = new ObservedVisit("net-tow")
            .Put("set", "net", new() { Choice = "N-1" }, "1")
            .Choose("set", "direction", "vertical", "1")
            .Number("lower", "line-out", "10 m", "1")
            .Number("lower", "angle", "0 °", "1")
            .Waited("haul", "tow-s", 20, "1")
            .Choose("haul", "went", "through", "1")
            .Choose("wash", "wash-water", "site", "1");
        visit.Visit.SoundMetres("12.0");
        return visit;
    }

    private static Func<Programme, Seen> Beach()
    {
        var visit = new ObservedVisit("bacteria");
        var number = visit.Protocol.Containers[0].Number;
        visit.Visit.Write(FillKinds.Fill, new FillBody(number, "bacteria", FilledFrom.Lake, FilledTo.AsAsked, Rinses: 0));
        return Observed(visit);
    }

    private static Func<Programme, Seen> Grabbed()
    {
        var visit = new ObservedVisit("grab")
            .Of("look", "grab", "G-1")
            .Number("depth", "depth", "1.4 m", "1")
            .Choose("pick", "share", "all", "1")
            .Tally("pick", "counts", "1", ("worms", 3));
        visit.Fill();
        return Observed(visit);
    }

    private static Func<Programme, Seen> Stream()
    {
        var visit = new ObservedVisit("tributary").Number("look", "stage", "0.42 m").Number("gauge", "flow", "0.2 m³/s");
        visit.Context = visit.Context with { Station = visit.Context.Station with { StageTable = [new(0.40m, 0.11m), new(0.50m, 0.24m)] } };
        visit.Number("tape", "edge-left", "0 m").Number("tape", "edge-right", "2 m");
        visit.Number("vertical", "tape", "1 m", "1").Number("vertical", "depth", "0.3 m", "1").Number("vertical", "v", "0.5 m/s", "1");
        return Observed(visit);
    }

    private static Func<Programme, Seen> SeaBottle()
    {
        var visit = new ObservedVisit("seawater");
        visit.Fill();
        visit.Later(20).Gloves("fix").Count("fix", "drops", 1).Choose("warmth", "thermometer-in", "bottle");
        return Observed(visit);
    }

    private static Func<Programme, Seen> Opinions()
    {
        var visit = new ObservedVisit("survey");
        visit.Visit.Entries.Clear();
        visit.Visit.Write(VisitKinds.VisitStarted, new VisitStartedBody("HAR-2", "layered", 1, ["Asa", "Ben"], "R-5", [new("survey")]));
        return Observed(visit);
    }

    private static Seen Series(Programme programme)
    {
        var running = VisitParts.Parameters.Single(p => p.Code == new Parameter("bacteria")).Running!;
        SeriesPoint[] points =
        [
            .. new[] { 20, 45, 10, 130, 88 }.Select((value, i) => new SeriesPoint(Visit, Day.AddDays(14 * i), value, Censoring.None)),
        ];
        var trend = TrendRule.Work(
            new TrendRequest(new Parameter("bacteria"), points, programme.Summary)
            {
                Running = new RunningRequest(running.Count, running.WithinDays(programme)),
            }
        );
        return new(string.Empty, JsonSerializer.Serialize(trend, CoreJson.Default.TrendResult));
    }

    private static Seen Station(Programme programme)
    {
        Water mere = new("mere", "The Mere", "Aldwick", WaterKind.Lake, "Europe/London", Hypsography: [new(0, 2_000_000), new(30, 0)]);
        Station deep = new("MER-1", "mere", "The Mere", "Aldwick", "Deep Hole", new WrittenLength("31", LengthUnit.Metre), 51.91, -21.44);
        var findings = StationsOfWater.Findings(
            deep with
            {
                Code = "MER-2",
                KnownDepth = new WrittenLength("8", LengthUnit.Metre),
            },
            mere,
            [deep],
            programme
        );
        return new(string.Empty, string.Join('\n', findings.Select(f => $"{f.Field}: {f.Finding.Seen}")));
    }

    private static void Warm(SampleVisit visit)
    {
        visit.Calibrate();
        foreach (var (depth, celsius) in Depths)
        {
            visit.Level(depth, celsius, "8.0");
        }
    }

    private static Func<Programme, Seen> Observed(ObservedVisit visit) =>
        Show(visit.Visit, visit.Context, visit.Context.Programme.Season![^1]);

    /// <summary>The sheet, the samples, the record and the outing of a visit by a programme, and its guides.</summary>
    internal static Func<Programme, Seen> Show(SampleVisit visit, VisitContext context, params ProtocolPlan[] season) =>
        programme =>
        {
            var by = programme with { Season = season };
            var asked = new FoldRequest(visit.Entries, context with { Programme = by });
            var sheet = FieldSheet.Fold(asked);
            var outing = Outing.Prepare(
                new OutingRequest(
                    Day,
                    TimeSpan.FromHours(1),
                    [new OutingPlace(context.Station, by, [.. season.Select(p => p.Protocol)])],
                    [],
                    null,
                    null,
                    false,
                    []
                )
            );
            return new(
                string.Join(
                    '\n',
                    GuidedSteps.SelectMany(step => StepGuide.Work(new StepGuideRequest(step, by)).Lines).Select(line => line.Do)
                ),
                string.Join(
                    '\n',
                    [
                        JsonSerializer.Serialize(sheet, CoreJson.Default.FieldSheet),
                        JsonSerializer.Serialize(VisitSamples.Fold(asked), CoreJson.Default.VisitSamples),
                        .. outing.Pack.Select(need => need.ToString()),
                        JsonSerializer.Serialize(outing.Stops.SelectMany(stop => stop.Paper)),
                        .. outing.Stops.SelectMany(stop => stop.Samples).Select(s => s.ToString()),
                    ]
                )
            );
        };
}
