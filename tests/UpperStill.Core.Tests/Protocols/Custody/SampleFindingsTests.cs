using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Science.Chlorophyll;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Tests.Protocols.Custody;

/// <summary>Each finding of bench, custody and results: one life that raises it, and one beside it that does not.</summary>
public class SampleFindingsTests
{
    private static readonly string F1 = BenchVisit.F1;
    private static readonly string F1R = BenchVisit.F1R;

    private static readonly Dictionary<string, (Action<BenchVisit> Raises, Action<BenchVisit> Not)> Lives = new()
    {
        ["filter-which"] = (b => Fill(b, new FilterFillBody(F1, "50", "0"), white: false), b => Fill(b, new FilterFillBody(F1, "50", "0"))),
        ["filter-damaged"] = (
            b => b.Visit.Write(FilterKinds.Filter, new FilterBody(F1, Torn: true)),
            b => b.Visit.Write(FilterKinds.Filter, new FilterBody(F1, Torn: false))
        ),
        ["filter-in-light"] = (
            b => b.Visit.Write(FilterKinds.Filter, new FilterBody(F1) { LightMin = "1,5" }),
            b => b.Visit.Write(FilterKinds.Filter, new FilterBody(F1) { LightMin = "1" })
        ),
        ["filter-vacuum"] = (
            b => b.Visit.Write(FilterKinds.Filter, new FilterBody(F1, VacuumKpa: "21")),
            b => b.Visit.Write(FilterKinds.Filter, new FilterBody(F1, VacuumKpa: "20"))
        ),
        ["filter-late note"] = (
            b => Fill(Later(b, 4.2), new FilterFillBody(F1, "50", "0")),
            b => Fill(Later(b, 3.8), new FilterFillBody(F1, "50", "0"))
        ),
        ["filter-late check"] = (
            b => Fill(Later(b, 24.2), new FilterFillBody(F1, "50", "0")),
            b => Fill(Later(b, 23.8), new FilterFillBody(F1, "50", "0"))
        ),
        ["volume-assumed"] = (
            b => Fill(b, new FilterFillBody(F1, ThroughMl: "50", Clogged: true)),
            b => Fill(b, new FilterFillBody(F1, ThroughMl: "50"))
        ),
        ["volume-is-remainder"] = (
            b => Fill(b, new FilterFillBody(F1, ThroughMl: "12", Clogged: true)),
            b => Fill(b, new FilterFillBody(F1, "50", "12", Clogged: true))
        ),
        ["volume-over"] = (b => Fill(b, new FilterFillBody(F1, ThroughMl: "100")), b => Fill(b, new FilterFillBody(F1, "60", "0"))),
        ["volume-low"] = (b => b.Filtered(F1, BenchVisit.C1, "19"), b => b.Filtered(F1, BenchVisit.C1, "20")),
        ["filter-fast"] = (
            b => Fill(b, new FilterFillBody(F1, "50", "0", Seconds: 20)),
            b => Fill(b, new FilterFillBody(F1, "50", "0", Seconds: 36))
        ),
        ["replicate-volumes-apart"] = (b => Both(b, "50", "40"), b => Both(b, "50", "41")),
        ["foil-unconfirmed"] = (b => Store(b, StorePlace.Freezer, null), b => Store(b, StorePlace.Freezer, true)),
        ["stored-wrong"] = (b => Store(b, StorePlace.Refrigerator, true), b => Store(b, StorePlace.Freezer, true)),
        ["stored-warm"] = (b => Store(b, StorePlace.Freezer, true, "-8"), b => Store(b, StorePlace.Freezer, true, "-18")),
        ["label-incomplete"] = (
            b => b.Visit.Write(CustodyKinds.Labelled, new LabelledBody([F1], ["depth"])),
            b => b.Visit.Write(CustodyKinds.Labelled, new LabelledBody([F1]))
        ),
        ["replicate-unmarked"] = (
            b => b.Visit.Write(CustodyKinds.Labelled, new LabelledBody([F1R], ["REP"])),
            b => b.Visit.Write(CustodyKinds.Labelled, new LabelledBody([F1R]))
        ),
        ["step-early"] = (
            b => Receive(b),
            b =>
            {
                HandOver(b);
                Receive(b);
            }
        ),
        ["step-refused"] = (
            b =>
            {
                Lose(b);
                HandOver(b);
            },
            b => HandOver(b)
        ),
        ["handed-over-already"] = (
            b =>
            {
                HandOver(b);
                HandOver(b, Guid.CreateVersion7());
            },
            b => HandOver(b)
        ),
        ["tracking-missing"] = (
            b => HandOver(b, by: TravelBy.Carrier, waybill: "W 1", told: false),
            b => HandOver(b, by: TravelBy.Carrier, waybill: "W 1", told: true)
        ),
        ["thawed on leaving"] = (b => HandOver(b, notFrozen: [F1]), b => HandOver(b, notFrozen: [])),
        ["hold-over"] = (b => HandOver(Later(b, 29 * 24)), b => HandOver(Later(b, 27 * 24))),
        ["thawed on arrival"] = (
            b =>
            {
                HandOver(b);
                Receive(b, ArrivedAs.Thawed);
            },
            b =>
            {
                HandOver(b);
                Receive(b);
            }
        ),
        ["arrived-unfit"] = (
            b =>
            {
                HandOver(b);
                Receive(b, ArrivedAs.Unwrapped);
            },
            b =>
            {
                HandOver(b);
                Receive(b);
            }
        ),
        ["seal-broken"] = (
            b =>
            {
                HandOver(b);
                Receive(b, seal: false);
            },
            b =>
            {
                HandOver(b);
                Receive(b, seal: true);
            }
        ),
        ["result-below-limit"] = (b => Result(b, F1, "0.5", qualifier: Qualifier.Below), b => Result(b, F1, "0.5")),
        ["result-twice"] = (
            b =>
            {
                Result(b, F1, "3.1");
                Result(b, F1, "3.4");
            },
            b =>
            {
                Result(b, F1, "3.1");
                Result(b, F1, "3.10");
            }
        ),
        ["replicates-apart"] = (
            b =>
            {
                Result(b, F1, "4.0");
                Result(b, F1R, "3.2");
            },
            b =>
            {
                Result(b, F1, "4.0");
                Result(b, F1R, "3.3");
            }
        ),
        ["unit-missing"] = (b => Result(b, F1, "3.1", unit: null), b => Result(b, F1, "3.1")),
        ["unit-unlikely"] = (b => Result(b, F1, "3100"), b => Result(b, F1, "310")),
        ["analyte-unknown"] = (b => Result(b, F1, "3.1", analyte: "zeta"), b => Result(b, F1, "3.1")),
        ["acid-ratio-off"] = (b => Measure(b, "0.180", "0.100"), b => Measure(b, "0.160", "0.100")),
        ["blank-high"] = (b => Blank(b, "0.9"), b => Blank(b, "0.2")),
    };

    public static TheoryData<string> Codes => [.. Lives.Keys];

    [Theory]
    [MemberData(nameof(Codes))]
    public void A_finding_is_raised_where_it_should_be_and_nowhere_else(string name)
    {
        var code = name.Split(' ')[0];
        FindingLevel? level =
            name.EndsWith(" note", StringComparison.Ordinal) ? FindingLevel.Note
            : name.EndsWith(" check", StringComparison.Ordinal) ? FindingLevel.Check
            : null;
        var (raises, not) = Lives[name];

        Assert.Contains(Findings(name, raises), f => f.Code == code && (level is null || f.Level == level));
        Assert.DoesNotContain(Findings(name, not), f => f.Code == code && (level is null || f.Level == level));
    }

    [Fact]
    public void An_answer_with_a_reason_stands_beside_its_finding()
    {
        var bench = BenchVisit.Filled();
        var torn = bench.Visit.Write(FilterKinds.Filter, new FilterBody(F1, Torn: true));
        bench.Visit.Keep("filter-damaged", "no water left", torn);

        Assert.Equal("no water left", Assert.Single(bench.Sample(F1).Findings, f => f.Code == "filter-damaged").Kept);
    }

    private static List<Finding> Findings(string name, Action<BenchVisit> write)
    {
        // What happens on bench begins with bottles; what comes later, with vials in the freezer.
        var bench =
            name.StartsWith("filter", StringComparison.Ordinal)
            || name.StartsWith("volume", StringComparison.Ordinal)
            || name.StartsWith("replicate-volumes", StringComparison.Ordinal)
            || name is "foil-unconfirmed" or "stored-wrong" or "stored-warm"
                ? BenchVisit.Filled()
                : BenchVisit.Frozen();
        write(bench);
        return [.. bench.Fold().Samples.SelectMany(s => s.Findings)];
    }

    private static BenchVisit Later(BenchVisit bench, double hours)
    {
        bench.Visit.Later(TimeSpan.FromHours(hours));
        return bench;
    }

    private static void Fill(BenchVisit bench, FilterFillBody fill, bool white = true)
    {
        bench.Visit.Write(FilterKinds.Filter, new FilterBody(F1, BenchVisit.C1, FilterBy.Syringe, WhiteDisc: white, Rinsed: true));
        bench.Visit.Write(FilterKinds.FilterFill, fill);
    }

    private static void Both(BenchVisit bench, string first, string second)
    {
        bench.Filtered(F1, BenchVisit.C1, first);
        bench.Filtered(F1R, BenchVisit.C1R, second);
    }

    private static void Store(BenchVisit bench, StorePlace place, bool? foil, string? celsius = null)
    {
        bench.Filtered(F1, BenchVisit.C1, "50");
        bench.Visit.Write(CustodyKinds.Stored, new StoredBody([F1], place, TemperatureC: celsius, Foil: foil));
    }

    private static void HandOver(
        BenchVisit bench,
        Guid? manifest = null,
        TravelBy by = TravelBy.Hand,
        string? waybill = null,
        bool? told = null,
        string[]? notFrozen = null
    ) =>
        bench.Visit.Write(
            CustodyKinds.HandedOver,
            new HandedOverBody(manifest ?? BenchVisit.Manifest, [F1], "the lab", by, TravelOn.FrozenPacks, "Asa", waybill, told, true)
            {
                NotFrozen = notFrozen,
            }
        );

    private static void Receive(BenchVisit bench, ArrivedAs how = ArrivedAs.Good, bool? seal = null) =>
        bench.Visit.Write(CustodyKinds.Received, new ReceivedBody([F1], how, "Ivo", BenchVisit.Manifest, SealWhole: seal));

    private static void Lose(BenchVisit bench) => bench.Visit.Write(CustodyKinds.SampleLost, new SamplesBody([F1]), why: "broken");

    private static void Result(
        BenchVisit bench,
        string sample,
        string value,
        string? unit = "µg/L",
        Qualifier? qualifier = null,
        string analyte = "chlorophyll-a"
    ) => bench.Visit.Write(ResultKinds.Result, new ResultBody(sample, analyte, value, unit, qualifier));

    private static void Measure(BenchVisit bench, string before, string after) =>
        bench.Visit.Write(
            ResultKinds.Measured,
            new MeasuredBody(F1, new ExtractReadings(ChlorophyllMethod.Monochromatic, "10", "1", before, "0", after, "0"))
        );

    private static void Blank(BenchVisit bench, string value)
    {
        var blank = NewSampleNumberOf(SampleKin.Blank);
        bench.Visit.Write(CustodyKinds.SampleAdded, new SampleAddedBody(blank, "chlorophyll-filter", SampleKin.Blank, F1));
        Result(bench, F1, "4.0");
        Result(bench, blank, value);
    }

    private static string NewSampleNumberOf(SampleKin kin) =>
        NewNumberResult.Work(new NewNumberRequest(F1, kin, "chlorophyll-filter", [F1, F1R])).Number!;
}
