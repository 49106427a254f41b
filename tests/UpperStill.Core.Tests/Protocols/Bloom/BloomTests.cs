using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Bloom;

/// <summary>Case 65 of the handbook: a bloom interrupts, and somebody is told.</summary>
public class BloomTests
{
    [Fact]
    public void A_bloom_that_nobody_was_told_of_is_said_at_leaving()
    {
        var visit = new ObservedVisit("bloom").Choose("describe", "looks", "scum");
        Assert.Equal(["bloom-seen", "photos-few"], visit.Codes.Order());
        Assert.Equal(Beside.Leaving, Assert.Single(visit.Sheet.Findings, f => f.Code == "bloom-untold").Beside);
        visit.Person("tell", "told", "Dana");
        Assert.DoesNotContain(visit.Sheet.Findings, f => f.Code == "bloom-untold");
    }

    [Fact]
    public void How_long_nobody_knew_is_by_the_clock()
    {
        var visit = new ObservedVisit("bloom").Clock("describe", "seen-at", 10, 5).Clock("tell", "told-at", 10, 20);
        Assert.Equal("15 min", visit.Derived("bloom-told-min").Text);
    }

    [Fact]
    public void Its_water_is_taken_only_where_it_is_asked_for()
    {
        var visit = new ObservedVisit("bloom");
        Assert.Empty(visit.Protocol.Containers);
        Assert.DoesNotContain(visit.Protocol.Steps, s => s.Step == "sample");
        visit.Yes("tell", "sample-asked", true);
        Assert.Single(visit.Protocol.Containers);
        Assert.Single(new ObservedVisit("bloom").With("bloom.sample", "always").Protocol.Containers);
    }

    [Fact]
    public void It_begins_on_any_visit_and_asks_nothing_where_none_was_seen()
    {
        var visit = new ObservedVisit("refractometer");
        Assert.DoesNotContain(visit.Sheet.Protocols!, p => p.Protocol == "bloom");
        visit.Visit.Write(
            Core.Record.Described.ObservationKinds.Observation,
            new Core.Record.Described.ObservationBody(new("bloom"), 1, "describe", "looks", new() { Choice = "paint" })
        );
        Assert.Contains(visit.Sheet.Steps, s => s is { Name: "bloom", State: not StepState.Done });
        Assert.Contains("bloom-seen", visit.Codes);
    }

    [Fact]
    public void Gloves_come_before_its_bottle()
    {
        var visit = new ObservedVisit("bloom").With("bloom.sample", "always").Put("sample", "gloves", new() { Ticked = ["on"] });
        Assert.Contains("gloves-missing", visit.Codes);
    }
}
