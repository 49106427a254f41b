using UpperStill.Core.Application.Samples;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Counting;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Grab;

/// <summary>Cases 11 to 14 of the handbook, and what a grab does to its visit.</summary>
public class GrabTests
{
    [Fact]
    public void A_count_in_one_grab_gives_animals_on_a_square_metre_with_exact_limits()
    {
        var visit = Picked(Begun(), "1", "all", 47);

        var total = visit.Derived("bottom-animals", "1");
        Assert.Equal("2089 per m² (1535–2778)", total.Text);
        Assert.Equal(2088.9, (double)total.Value!.Value, 1);
        var (low, high) = AnimalsPerArea.Limits([new(47, 1)], 225)!.Value;
        Assert.Equal((1534.8, 2777.8), (Math.Round((double)low, 1), Math.Round((double)high, 1)));
    }

    [Fact]
    public void Three_grabs_of_a_depth_are_one_area_and_a_quarter_stands_for_four()
    {
        var three = Begun().With("grab.count", "three");
        foreach (var (item, count) in new[] { ("1-1", 40), ("1-2", 38), ("1-3", 40) })
        {
            Picked(three, item, "all", count);
        }

        Assert.Equal(1748.1, (double)three.Derived("bottom-animals", "1").Value!.Value, 1);
        Assert.Equal(5511.1, (double)Picked(Begun(), "1", "quarter", 31).Derived("bottom-animals", "1").Value!.Value, 1);
    }

    [Fact]
    public void Jars_of_different_shares_are_added_and_have_no_exact_limits()
    {
        Assert.Null(AnimalsPerArea.Limits([new(10, 1), new(10, 0.5m)], 225));
        Assert.Equal(30 / 0.045m, AnimalsPerArea.Of([new(10, 1), new(10, 0.5m)], 225));
    }

    [Fact]
    public void Three_grabs_that_failed_are_kept_and_ask_for_another_way_until_one_comes_up_right()
    {
        var visit = Begun();
        foreach (var (jaws, number) in new[] { ("held-open", 1), ("empty", 2), ("held-open", 3) })
        {
            visit.Choose("lower", "jaws", jaws, "1", number);
        }

        Assert.Equal(["grab-open", "grab-open", "grab-open", "tries-many"], visit.Codes);
        visit.Choose("lower", "jaws", "closed", "1", 4);
        Assert.DoesNotContain("tries-many", visit.Codes);
        Assert.All(visit.Sheet.Findings.Where(f => f.Code == "grab-open"), f => Assert.NotNull(f.Kept));
    }

    [Theory]
    [InlineData("under-half", true)]
    [InlineData("over", true)]
    [InlineData("half", false)]
    [InlineData("full", false)]
    public void Too_little_or_over_the_top_is_taken_again(string fullness, bool again)
    {
        var visit = Begun().Choose("lower", "jaws", "closed", "1").Choose("lower", "fullness", fullness, "1");
        Assert.Equal(again, visit.Codes.Contains("grab-fullness"));
        Assert.Equal(again, visit.Protocol.Steps.Single(s => s is { Step: "lower", Item: "1" }).Failed);
    }

    [Theory]
    [InlineData("1.8 m", true)]
    [InlineData("1.7 m", false)]
    [InlineData("1.2 m", true)]
    public void A_depth_that_is_off_its_target_is_said(string depth, bool off) =>
        Assert.Equal(off, Begun().Number("depth", "depth", depth, "1.5").Codes.Contains("grab-depth-off"));

    [Fact]
    public void Over_the_rim_the_number_is_at_least()
    {
        var visit = Picked(Begun(), "1", "all", 47).Yes("wash", "over-rim", true, "1");
        Assert.Contains("sieve-over", visit.Codes);
        Assert.Equal(Censoring.Above, visit.Derived("bottom-animals", "1").Censored);
        Assert.StartsWith("at least", visit.Derived("bottom-animals", "1").Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_the_area_of_the_jaws_counts_are_kept_and_wait()
    {
        var visit = new ObservedVisit("grab").Of("look", "grab", "G-9");
        Picked(visit, "1", "all", 47);
        Assert.Contains("kit-value-missing", visit.Codes);
        Assert.Equal("waits for the area of the grab’s jaws", visit.Protocol.Derived.Single(d => d.Parameter == "bottom-animals").Text);
    }

    [Fact]
    public void Each_depth_has_its_jar_and_depths_that_the_water_does_not_reach_are_left_out()
    {
        var visit = Begun();
        Assert.Equal(6, visit.Protocol.Containers.Count);
        visit.Visit.SoundMetres("1.6");
        Assert.Equal(4, visit.Protocol.Containers.Count);
        Assert.Equal(["at the shore", "0.5 m", "1 m", "1.5 m"], visit.Protocol.Steps.Where(s => s.Step == "depth").Select(s => s.Words));
        var jar = visit.Protocol.Steps.Single(s => s is { Step: "jar", Item: "0.5" });
        Assert.Equal("I2", SampleNumber.Body(Assert.Single(jar.Containers!)).Split('-')[^1]);
    }

    [Fact]
    public void A_listed_animal_is_told_and_gear_that_was_not_cleaned_too()
    {
        var visit = Begun().Tally("pick", "counts", "1", ("listed-invader", 1)).Tick("clean", "clean", "clean", "drain");
        Assert.Contains("invader-seen", visit.Codes);
        Assert.Contains("gear-unclean", visit.Codes);
        Assert.DoesNotContain("invader-seen", Begun().Tally("pick", "counts", "1", ("worms", 1)).Codes);
        Assert.DoesNotContain("gear-unclean", Begun().Tick("clean", "clean", "clean", "drain", "dry").Codes);
    }

    [Fact]
    public void Gloves_come_before_alcohol()
    {
        var visit = Begun().Gloves("jar", "1");
        Assert.DoesNotContain("gloves-missing", visit.Codes);
        var bare = Begun().Put("jar", "gloves", new() { Ticked = ["whole"] }, "1");
        Assert.Equal(FindingLevel.Stop, Assert.Single(bare.Sheet.Findings, f => f.Code == "gloves-missing").Level);
    }

    [Fact]
    public void Live_animals_need_no_alcohol()
    {
        var live = Begun().With("grab.keep", "live");
        live.Fill();
        Assert.DoesNotContain("preservative-missing", live.Codes);
        var kept = Begun();
        kept.Fill();
        Assert.Contains("preservative-missing", kept.Codes);
    }

    [Fact]
    public void A_jar_that_was_picked_at_the_bench_waits_for_no_laboratory()
    {
        var visit = Begun();
        var (first, second) = (visit.Protocol.Containers[0].Number, visit.Protocol.Containers[1].Number);
        visit.Fill();
        visit.Fill();
        var items = visit.Protocol.Steps.Where(s => s.Containers?.Count > 0).Select(s => s.Item!).ToList();
        Picked(visit, items[0], "all", 47);

        var samples = VisitSamples.Fold(new FoldRequest(visit.Visit.Entries, visit.Context)).Samples.ToDictionary(s => s.Number);
        Assert.Equal((SampleState.Counted, null), (samples[first].State, samples[first].Hold));
        Assert.Equal(SampleState.Taken, samples[second].State);
        Assert.Empty(samples[first].Findings);

        // What was counted and never filled is a jar that nobody wrote down.
        Picked(visit, items[2], "all", 3);
        Assert.Equal(SampleState.Planned, VisitSamples.Fold(new FoldRequest(visit.Visit.Entries, visit.Context)).Samples[^1].State);
    }

    [Fact]
    public void What_stirs_comes_after_clean_water()
    {
        var visit = new ObservedVisit("bacteria", "grab");
        visit.Context = visit.Context with
        {
            Programme = visit.Context.Programme with { Season = [.. visit.Context.Programme.Season!, Plan("grab")] },
        };
        visit.Visit.Write(
            Core.Record.Described.ObservationKinds.Observation,
            new Core.Record.Described.ObservationBody(new("grab"), 1, "lower", "jaws", new() { Choice = "closed" }, "1")
        );
        visit.Fill();
        Assert.Contains("order-broken", visit.Codes);

        var good = new ObservedVisit("bacteria");
        good.Fill();
        Assert.DoesNotContain("order-broken", good.Codes);
    }

    private static Core.Setup.Programmes.ProtocolPlan Plan(string code) =>
        new(new(code), Core.Setup.Programmes.Rhythm.Monthly, new(5, 1), new(10, 15));

    private static ObservedVisit Begun() => new ObservedVisit("grab").Of("look", "grab", "G-1");

    private static ObservedVisit Picked(ObservedVisit visit, string item, string share, int count) =>
        visit.Choose("pick", "share", share, item).Tally("pick", "counts", item, ("worms", count));
}
