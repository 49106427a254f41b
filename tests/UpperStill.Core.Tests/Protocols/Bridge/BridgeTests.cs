using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Science.Hydraulics;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Bridge;

/// <summary>Cases 18 to 22 of the handbook, and what a cast from a bridge does to its visit.</summary>
public class BridgeTests
{
    [Fact]
    public void The_messenger_is_let_go_so_that_it_trips_upright()
    {
        Assert.Equal(2.03, (double)Messenger.Seconds(6.3m, 3.1m), 2);
        Assert.Equal(0.47, (double)Messenger.LetGoAfter(6.3m / 3.1m, 2.5m), 2);
        Assert.Equal(0, Messenger.LetGoAfter(5, 2.5m));

        var from = new DateTimeOffset(2026, 8, 12, 11, 0, 0, TimeSpan.FromHours(1));
        var visit = Lowered().Put("trip", "beat", new() { At = from, Until = from.AddSeconds(5) }, "1");
        Assert.Equal("2.03 s; let go 0.47 s after an upright pass", visit.Derived("messenger").Text);
    }

    [Fact]
    public void Without_a_timed_messenger_it_is_about()
    {
        var visit = new ObservedVisit("bridge").Number("lower", "depth", "0.3 m", "1").Number("lower", "height", "6 m", "1");
        Assert.True(visit.Derived("messenger").About);
        Assert.False(Lowered().Derived("messenger").About);
    }

    [Theory]
    [InlineData(0, 2)]
    [InlineData(1, 3)]
    public void Bottles_are_packed_into_casts(int rinses, int casts) => Assert.Equal(casts, CastsNeeded.Of(2.2m, [1, 1, 1, 1], rinses));

    [Fact]
    public void A_bottle_larger_than_a_cast_cannot_be_filled_and_sizes_are_packed_largest_first()
    {
        Assert.Null(CastsNeeded.Of(2.2m, [2.1m]));
        Assert.Equal(2, CastsNeeded.Of(2.2m, [1.5m, 0.5m, 1.5m, 0.5m]));
    }

    [Theory]
    [InlineData("touched", "sampler-touched")]
    [InlineData("leaking", "sampler-failed")]
    [InlineData("open", "sampler-failed")]
    [InlineData("short", "sampler-failed")]
    public void From_a_cast_that_failed_nothing_is_filled(string cameUp, string code)
    {
        var visit = Lowered().Choose("raise", "came-up", cameUp, "1");
        Assert.Equal([code], visit.Codes);
        Assert.True(visit.Protocol.Steps.Single(s => s is { Step: "raise" }).Failed);
        visit.Fill(FilledFrom.Sampler, 1);
        Assert.Contains("fill-from-bad-cast", visit.Codes);
    }

    [Fact]
    public void The_second_bottle_of_a_cast_asks_for_a_shake()
    {
        var visit = WithBottles(2);
        visit.Choose("raise", "came-up", "closed", "1");
        visit.Fill(FilledFrom.Sampler, 1);
        Assert.DoesNotContain("not-shaken", visit.Codes);
        var second = visit.Fill(FilledFrom.Sampler, 1);
        Assert.Equal([second.Id], Assert.Single(visit.Sheet.Findings, f => f.Code == "not-shaken").About);

        visit.Count("pour", "shakes", 1, "2");
        Assert.DoesNotContain("not-shaken", visit.Codes);
    }

    [Fact]
    public void A_load_follows_from_the_flow_that_was_posted()
    {
        var visit = new ObservedVisit("bridge").Number("stage", "flow", "15 ft³/s").Number("stage", "stage", "0.6 m");
        Assert.Equal(0.424753m, visit.Derived("flow").Value);
        Assert.Equal(3.119, (double)Load.Work(new LoadRequest(0.085m, "15", "ft³/s")).KgPerDay!.Value, 3);
        Assert.Contains("unit-missing", new ObservedVisit("bridge").Number("stage", "flow", "0.42").Codes);
    }

    [Fact]
    public void A_sampler_that_would_stir_the_bed_is_stopped()
    {
        var visit = Lowered();
        visit.Visit.SoundMetres("1.0");
        Assert.Equal("0.2 m is the deepest.", Assert.Single(visit.Sheet.Findings, f => f.Code == "bottle-too-deep").Act);
        var deep = Lowered();
        deep.Visit.SoundMetres("1.2");
        Assert.DoesNotContain("bottle-too-deep", deep.Codes);
    }

    [Fact]
    public void Wood_waits_a_trip_is_felt_the_lip_stays_clean_and_the_sampler_is_looked_over()
    {
        var visit = Lowered()
            .Choose("upstream", "debris", "wood", "1")
            .Yes("trip", "felt", false, "1")
            .Yes("pour", "lip", true, "1")
            .Tick("ready", "ready", "clamps")
            .Tick("stand", "safe", "vest");
        Assert.Superset(
            new HashSet<string> { "debris-passing", "trip-unfelt", "lip-touched", "sampler-unready", "safety-unticked" },
            visit.Codes.ToHashSet()
        );
        var good = Lowered().Choose("upstream", "debris", "leaves", "1").Yes("trip", "felt", true, "1").Yes("pour", "lip", false, "1");
        Assert.Empty(good.Codes);
    }

    [Fact]
    public void More_water_than_a_cast_holds_is_told_before()
    {
        var visit = WithBottles(4);
        Assert.Equal(FindingLevel.Note, Assert.Single(visit.Sheet.Findings, f => f.Code == "water-short").Level);
        Assert.Equal("3 casts", visit.Derived("casts").Text);
        Assert.DoesNotContain("water-short", WithBottles(1).Codes);
    }

    private static ObservedVisit Lowered() =>
        new ObservedVisit("bridge")
            .Of("ready", "bottle-sampler", "V-2")
            .Number("lower", "depth", "0.3 m", "1")
            .Number("lower", "height", "6 m", "1");

    private static ObservedVisit WithBottles(int count)
    {
        var visit = Lowered();
        var season = visit.Context.Programme.Season!;
        visit.Context = visit.Context with
        {
            Programme = visit.Context.Programme with
            {
                Season =
                [
                    .. season.SkipLast(1),
                    season[^1] with
                    {
                        Bottles =
                        [
                            .. Enumerable.Repeat(
                                new Core.Setup.Programmes.BottlePlan("bridge", Core.Setup.Programmes.SampleFrom.Protocol),
                                count
                            ),
                        ],
                    },
                ],
            },
        };
        return visit;
    }
}
