using UpperStill.Core.Application.Samples;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Seawater;

/// <summary>Cases 44 to 46 of the handbook, and what a seawater bottle does to its visit.</summary>
public class SeawaterTests
{
    [Fact]
    public void A_number_without_its_unit_is_kept_and_not_used()
    {
        var visit = new ObservedVisit("seawater").Number("warmth", "water", "8.1");
        Assert.Contains("unit-missing", visit.Codes);
        Assert.DoesNotContain(visit.Protocol.Derived, d => d.Parameter == "bucket-temperature");
        Assert.Equal("8.1", visit.Protocol.Values[0].Value.Written);
    }

    [Fact]
    public void Bubbles_ask_for_another_filling()
    {
        var visit = new ObservedVisit("seawater").Yes("fill", "bubbles", true, "1");
        Assert.Equal(["sample-has-bubbles"], visit.Codes);
        visit.Yes("fill", "bubbles", false, "1", 2);
        Assert.NotNull(Assert.Single(visit.Sheet.Findings, f => f.Code == "sample-has-bubbles").Kept);
        Assert.Equal(2, visit.Protocol.Steps.Single(s => s.Step == "fill").Try);
    }

    [Theory]
    [InlineData(0, "preservative-missing")]
    [InlineData(1, null)]
    [InlineData(2, "preservative-count")]
    public void One_drop_of_fixative_is_asked(int drops, string? code)
    {
        var visit = new ObservedVisit("seawater");
        visit.Fill();
        Assert.DoesNotContain("preservative-missing", visit.Codes);
        visit.Gloves("fix").Count("fix", "drops", drops);
        Assert.Equal(code is null ? [] : [code], visit.Codes);
    }

    [Theory]
    [InlineData(7, false)]
    [InlineData(12, true)]
    public void It_is_fixed_within_ten_minutes(int later, bool late)
    {
        var visit = new ObservedVisit("seawater");
        visit.Fill();
        Assert.Single(visit.Protocol.Clocks);
        visit.Later(later).Gloves("fix").Count("fix", "drops", 1);
        Assert.Equal(late, visit.Codes.Contains("fix-late"));
        Assert.Empty(visit.Protocol.Clocks);
    }

    [Fact]
    public void Gloves_come_before_the_fixative()
    {
        var bare = new ObservedVisit("seawater").Count("fix", "drops", 1);
        Assert.Equal(FindingLevel.Stop, Assert.Single(bare.Sheet.Findings, f => f.Code == "gloves-missing").Level);
        Assert.DoesNotContain("gloves-missing", bare.Gloves("fix").Codes);
    }

    [Fact]
    public void Thermometer_cap_and_dark_are_said()
    {
        var visit = new ObservedVisit("seawater")
            .Choose("warmth", "thermometer-in", "bottle")
            .Yes("cap", "fresh-cap", false)
            .Yes("dark", "dark", false)
            .Count("cap", "turns", 3);
        Assert.Equal(["cap-reused", "sample-in-light", "thermometer-in-sample", "turns-few"], visit.Codes.Order());
        Assert.Empty(
            new ObservedVisit("seawater")
                .Choose("warmth", "thermometer-in", "bucket")
                .Yes("cap", "fresh-cap", true)
                .Yes("dark", "dark", true)
                .Count("cap", "turns", 5)
                .Codes
        );
        Assert.Empty(
            new ObservedVisit("seawater").With("seawater.thermometer", "bottle").Choose("warmth", "thermometer-in", "bottle").Codes
        );
    }

    [Fact]
    public void The_sample_is_preserved_once_its_drops_are_counted()
    {
        var visit = new ObservedVisit("seawater");
        visit.Fill();
        Assert.Null(Bottle().Added);
        visit.Gloves("fix").Count("fix", "drops", 1);
        Assert.Equal("1 drop of fixative", Bottle().Added);

        LedgerSample Bottle() =>
            VisitSamples.Fold(new FoldRequest(visit.Visit.Entries, visit.Context)).Samples.Single(b => b.Type == "seawater");
    }

    [Fact]
    public void One_per_cent_of_the_bottle_is_air() => Assert.Equal("2.5 mL", new ObservedVisit("seawater").Derived("air-left").Text);

    [Fact]
    public void A_bottle_that_was_filled_before_its_steps_were_asked_is_enough()
    {
        var visit = new ObservedVisit("seawater");
        Assert.NotEqual(StepState.Done, visit.Sheet.Steps.Single(s => s.Name == "seawater").State);
        visit.Visit.Write(
            FillKinds.Fill,
            new FillBody(visit.Protocol.Containers[0].Number, "seawater", FilledFrom.Lake, FilledTo.AsAsked, Drops: 1)
        );
        Assert.Equal(StepState.Done, visit.Sheet.Steps.Single(s => s.Name == "seawater").State);
        visit.Put("bottle", "bottle", new() { Written = "W-117" }, "1");
        Assert.NotEqual(StepState.Done, visit.Sheet.Steps.Single(s => s.Name == "seawater").State);
    }
}
