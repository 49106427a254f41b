using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Rake;

/// <summary>Cases 15 to 17 of the handbook, and what a throw does to its visit.</summary>
public class RakeTests
{
    [Fact]
    public void Frequency_is_of_good_throws_with_the_kind_live()
    {
        var visit = new ObservedVisit("rake").With("rake.throws", "four").With("rake.depths", "metres");
        var throws = new[] { "shore", "1", "2" }.SelectMany(d => Enumerable.Range(1, 4).Select(n => $"{d}-{n}")).ToList();
        foreach (var (item, i) in throws.Select((t, i) => (t, i)))
        {
            Thrown(visit, item, "1 m");
            if (i < 9)
            {
                Kind(visit, item, "stonewort", "live");
            }
        }

        Kind(visit, throws[0], "milfoil", "dead");
        Assert.Equal(75m, visit.Derived("plant-frequency", "stonewort").Value);
        Assert.DoesNotContain(visit.Protocol.Derived, d => d.Item == "milfoil");
        Assert.Equal("1 kind", visit.Derived("plant-kinds").Text);
    }

    [Fact]
    public void Dying_counts_as_live()
    {
        var visit = Thrown(new ObservedVisit("rake"), "1", "1 m");
        Assert.Equal(100m, Kind(visit, "1", "milfoil", "dying").Derived("plant-frequency", "milfoil").Value);
    }

    [Theory]
    [InlineData("4", "2", true)]
    [InlineData("2", "2", false)]
    [InlineData("1", "4", false)]
    public void A_kind_is_not_more_than_the_rake(string kind, string all, bool found)
    {
        var visit = Thrown(new ObservedVisit("rake"), "1", "1 m", all);
        Assert.Equal(found, Kind(visit, "1", "milfoil", "live", kind).Codes.Contains("kind-over-total"));
    }

    [Fact]
    public void Plants_in_the_deepest_throw_may_reach_deeper()
    {
        var visit = Kind(Thrown(Thrown(new ObservedVisit("rake"), "2", "2 m"), "3", "3 m"), "3", "stonewort", "live");
        var deepest = visit.Derived("deepest-plants");
        Assert.Equal(("> 3.0 m", Censoring.Above), (deepest.Text, deepest.Censored));
        Assert.Contains("plants-deeper", visit.Codes);

        var shallower = Kind(Thrown(Thrown(new ObservedVisit("rake"), "2", "2 m"), "3", "3 m"), "2", "stonewort", "live");
        Assert.Equal((2m, Censoring.None), (shallower.Derived("deepest-plants").Value, shallower.Derived("deepest-plants").Censored));
        Assert.DoesNotContain("plants-deeper", shallower.Codes);
    }

    [Fact]
    public void A_failed_throw_counts_nowhere_and_without_a_good_one_there_is_nothing()
    {
        var visit = new ObservedVisit("rake").Choose("throw", "outcome", "turned", "1").Number("depth", "depth", "1 m", "1");
        Assert.Equal(["rake-throw"], visit.Codes);
        Assert.Equal("waits for a good throw", visit.Derived("deepest-plants").Text);
        visit.Choose("throw", "outcome", "good", "1", 2).Number("depth", "depth", "1 m", "1", 2);
        Assert.Equal("no live plants came up", visit.Derived("deepest-plants").Text);
    }

    [Fact]
    public void A_side_that_is_written_after_the_rake_was_judged_is_said()
    {
        var after = new ObservedVisit("rake").Choose("judge", "fullness", "2", "1").Choose("side", "side", "bow", "1");
        Assert.Contains("rake-side-unset", after.Codes);
        var before = new ObservedVisit("rake").Choose("side", "side", "bow", "1").Choose("judge", "fullness", "2", "1");
        Assert.DoesNotContain("rake-side-unset", before.Codes);
    }

    [Fact]
    public void Sides_are_proposed_in_turn_and_a_throw_is_worked_to_its_end()
    {
        var sheet = new ObservedVisit("rake").Protocol;
        Assert.Equal(["bow", "stern", "left", "right"], sheet.Proposals.Where(p => p.Field == "side").Select(p => p.Value.Choice));
        Assert.Equal(["side", "depth", "throw", "judge"], sheet.Steps.Where(s => s.Item == "shore").Select(s => s.Step));
        Assert.True(sheet.Steps.ToList().FindLastIndex(s => s.Item == "shore") < sheet.Steps.ToList().FindIndex(s => s.Item == "1"));
    }

    [Fact]
    public void An_invader_is_told_today()
    {
        var visit = Kind(Thrown(new ObservedVisit("rake"), "1", "1 m"), "1", "listed-invader", "live");
        Assert.Contains("invader-seen", visit.Codes);
        Assert.DoesNotContain("invader-seen", Kind(Thrown(new ObservedVisit("rake"), "1", "1 m"), "1", "moss", "live").Codes);
    }

    [Fact]
    public void By_presence_no_grade_is_asked()
    {
        var visit = new ObservedVisit("rake").With("rake.scale", "presence");
        Thrown(visit, "1", "1 m", null).Yes("judge", "present", true, "1");
        Assert.Empty(visit.Protocol.Steps.Single(s => s is { Step: "judge", Item: "1" }).Open);
        Assert.Equal(["fullness"], visit.Protocol.Steps.Single(s => s is { Step: "judge", Item: "1" }).Unasked);
    }

    private static ObservedVisit Thrown(ObservedVisit visit, string item, string depth, string? fullness = "4")
    {
        visit.Choose("side", "side", "bow", item).Number("depth", "depth", depth, item).Choose("throw", "outcome", "good", item);
        return fullness is null ? visit : visit.Choose("judge", "fullness", fullness, item);
    }

    private static ObservedVisit Kind(ObservedVisit visit, string item, string kind, string state, string fullness = "1") =>
        visit.Choose("name", "kind-fullness", fullness, $"{item}+{kind}").Choose("name", "state", state, $"{item}+{kind}");
}
