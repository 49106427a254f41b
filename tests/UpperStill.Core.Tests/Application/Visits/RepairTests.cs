using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Application.Visits;

/// <summary>What is offered to mend a finding mends it: it can be kept, the finding is open no more, nothing is lost.</summary>
public class RepairTests
{
    private static readonly Dictionary<string, Func<SampleVisit>> Examples = new()
    {
        ["unit-unlikely"] = () => Sounded("39.4"),
        ["sounding-differs"] = () => Sounded("8.0"),
        ["clarity-reappear-deeper"] = () =>
        {
            var visit = SampleVisit.Begun();
            visit.Sound("102");
            visit.Lost("11 3");
            visit.Seen("12 9");
            return visit;
        },
        ["oxygen-as-percent"] = () => Cast(("1", "19.0", "98.0"), ("2", "19.0", "97.5")),
        ["temperature-as-fahrenheit"] = () => Cast(("1", "66.2", "9.1"), ("2", "66.0", "9.1")),
        ["preservative-missing"] = () =>
        {
            var visit = SampleVisit.MetricBegun(Protocol.Chlorophyll);
            visit.SoundMetres("12.0");
            visit.LostMetres("4.5");
            visit.Write(
                FillKinds.Fill,
                new FillBody("HAR-2-260812-C1-B", "chlorophyll-water", FilledFrom.Composite, FilledTo.AsAsked, Rinses: 1)
            );
            return visit;
        },
        ["devices-disagree"] = () =>
        {
            var visit = SampleVisit.Begun();
            visit.Sound("102", device: "phone");
            visit.Sound("98", device: "tablet");
            return visit;
        },
    };

    public static TheoryData<string> Codes() => [.. Examples.Keys];

    [Theory]
    [MemberData(nameof(Codes))]
    public void Every_repair_that_writes_ends_its_finding(string code)
    {
        var ways = Found(Examples[code](), code).Repairs ?? [];
        Assert.Contains(ways, w => w.Writes is not null);
        for (var i = 0; i < ways.Count; i++)
        {
            var visit = Examples[code]();
            var finding = Found(visit, code);
            if (finding.Repairs![i].Writes is not { } writes)
            {
                continue;
            }

            var before = visit.Entries.Count;
            foreach (var one in writes)
            {
                var entry = visit.Write(one);
                Assert.Null(EntryCheck.Refusal(entry));
            }

            var sheet = visit.Fold(Context(visit));
            Assert.Equal(before + writes.Count, sheet.Entries.Count);
            Assert.DoesNotContain(sheet.Findings, f =>
                f.Code == code && f.Kept is null && f.About.Count > 0 && f.About.SequenceEqual(finding.About)
            );
        }
    }

    [Fact]
    public void A_finding_that_was_answered_offers_no_repair()
    {
        var visit = Sounded("8.0");
        var finding = Found(visit, "sounding-differs");
        visit.Keep(finding.Code, "low water", [.. visit.Entries.Where(e => finding.About.Contains(e.Id))]);

        Assert.Null(Found(visit, "sounding-differs").Repairs);
    }

    [Fact]
    public void A_finding_knows_the_step_on_whose_page_it_is_answered()
    {
        var sheet = Cast(("1", "19.0", "98.0"), ("2", "19.0", "97.5")).Fold(SampleVisit.Metric);

        Assert.All(sheet.Findings.Where(f => f.Beside == Beside.Profile), f => Assert.Equal("profile", f.Step));
        Assert.All(sheet.Findings.Where(f => f.Beside == Beside.Leaving), f => Assert.Equal("leave", f.Step));
        Assert.All(sheet.Findings, f => Assert.True(f.Step is null || sheet.Steps.Any(s => s.Name == f.Step), f.Code));
    }

    [Fact]
    public void What_is_still_to_be_done_is_one_touch_away_from_leaving()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity, Protocol.Profile);
        visit.SoundMetres("12.0");
        var finding = visit.Fold(SampleVisit.Metric).Findings.First(f => f is { Beside: Beside.Leaving, Kept: null });

        var way = Assert.Single(finding.Repairs!);
        Assert.Equal((RepairAsk.Step, "clarity"), (way.Asks, way.Of));
    }

    private static VisitContext Context(SampleVisit visit) =>
        visit.Entries[0].Body.GetProperty("station").GetString() == "HAR-2" ? SampleVisit.Metric : SampleVisit.Context;

    private static Finding Found(SampleVisit visit, string code) => visit.Fold(Context(visit)).Findings.First(f => f.Code == code);

    private static SampleVisit Sounded(string metres)
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity);
        visit.SoundMetres(metres);
        return visit;
    }

    private static SampleVisit Cast(params (string Depth, string Celsius, string Oxygen)[] levels)
    {
        var visit = SampleVisit.MetricBegun(Protocol.Profile);
        visit.SoundMetres("12.0");
        visit.Calibrate();
        foreach (var (depth, celsius, oxygen) in levels)
        {
            visit.Level(depth, celsius, oxygen);
        }

        return visit;
    }
}
