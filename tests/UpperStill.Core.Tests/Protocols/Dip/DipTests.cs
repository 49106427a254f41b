using UpperStill.Core.Record.Fills;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Dip;

/// <summary>Case 58 of the handbook, and what a dip does to its visit.</summary>
public class DipTests
{
    [Fact]
    public void Rinses_and_filling_are_checked_bottle_by_bottle()
    {
        var visit = new ObservedVisit("dip").Count("rinse", "rinses", 1, "1");
        Assert.Equal(["rinses-short"], visit.Codes);
        visit.Fill(to: FilledTo.More);
        Assert.Contains("fill-wrong", visit.Codes);
        Assert.Single(visit.Protocol.Containers, c => c.Entry is null);
        Assert.Contains("container", visit.Protocol.Steps.Single(s => s is { Step: "cap", Item: "2" }).Open);
        Assert.DoesNotContain("container", visit.Protocol.Steps.Single(s => s is { Step: "cap", Item: "1" }).Open);
    }

    [Fact]
    public void The_second_is_a_replicate_and_marked()
    {
        var visit = new ObservedVisit("dip");
        Assert.Equal([0, 1], visit.Protocol.Containers.Select(c => c.Replicate));
        visit.Gloves("gloves").Yes("gloves", "rep", false);
        Assert.Equal(["replicate-unmarked"], visit.Codes);
        Assert.Empty(new ObservedVisit("dip").Gloves("gloves").Yes("gloves", "rep", true).Codes);
    }

    [Theory]
    [InlineData("12 in", false)]
    [InlineData("30 cm", false)]
    [InlineData("45 cm", true)]
    public void It_is_pushed_a_foot_under(string depth, bool odd) =>
        Assert.Equal(odd, new ObservedVisit("dip").Number("fill", "depth", depth, "1").Codes.Contains("value-unusual"));

    [Fact]
    public void Film_or_weed_asks_for_another_try()
    {
        Assert.Equal(["dip-film"], new ObservedVisit("dip").Choose("fill", "came-in", "film", "1").Codes);
        Assert.Empty(new ObservedVisit("dip").Choose("fill", "came-in", "clear", "1").Codes);
    }

    [Fact]
    public void The_lead_before_it_is_said()
    {
        var visit = new ObservedVisit("dip");
        visit.Visit.SoundMetres("12.0", Core.Protocols.Sounding.SoundedBy.Lead);
        visit.Fill();
        Assert.Contains("order-broken", visit.Codes);
        var finder = new ObservedVisit("dip");
        finder.Visit.SoundMetres("12.0");
        finder.Fill();
        Assert.DoesNotContain("order-broken", finder.Codes);
    }
}
