using UpperStill.Core.Record.Parts;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Refractometer;

public class RefractometerTests
{
    private static ObservedVisit Begun(string zero = "0 ppt") => new ObservedVisit("refractometer").Number("zero", "zero", zero);

    [Fact]
    public void A_zero_that_was_kept_is_taken_off()
    {
        var visit = Read(Begun("1 ppt").Choose("zero", "zero-is", "kept"), "21 ppt");

        var salinity = Assert.Single(visit.Protocol.Derived);
        Assert.Equal((20m, "20 ppt, brackish"), (salinity.Value, salinity.Text));
        Assert.Equal(["21 − 1 = 20 ppt"], salinity.Working!.Steps);
        Assert.Equal(["refractometer-off"], visit.Codes);
    }

    [Fact]
    public void A_zero_that_was_set_is_not_taken_off() =>
        Assert.Equal(21m, Read(Begun("1 ppt").Choose("zero", "zero-is", "set"), "21 ppt").Protocol.Derived[0].Value);

    [Theory]
    [InlineData("27 ppt", "27 ppt, brackish", "salinity-in-gap")]
    [InlineData("0.4 ppt", "0.4 ppt, fresh", null)]
    [InlineData("30 ppt", "30 ppt, sea", null)]
    [InlineData("12 ppt", "12 ppt, brackish", null)]
    [InlineData("25 ppt", "25 ppt, brackish", null)]
    [InlineData("0.5 ppt", "0.5 ppt, brackish", "salinity-in-gap")]
    public void The_band_follows_from_the_number(string read, string text, string? code)
    {
        var visit = Read(Begun(), read);

        Assert.Equal(text, visit.Protocol.Derived[0].Text);
        Assert.Equal(code is null ? [] : [code], visit.Codes);
    }

    [Fact]
    public void Below_the_zero_it_is_fresh() => Assert.Equal("0 ppt, fresh", Read(Begun("1 ppt"), "0 ppt").Protocol.Derived[0].Text);

    [Fact]
    public void The_gravity_scale_is_seen_by_its_decimals_and_asks_for_another_try()
    {
        var visit = Read(Begun(), "1.016 ppt");
        Assert.Equal(["salinity-as-gravity"], visit.Codes);
        Assert.Null(visit.Protocol.Derived[0].Value);
        Assert.True(visit.Protocol.Steps.Single(s => s.Step == "read").Failed);

        Read(visit, "21 ppt", number: 2);
        Assert.Equal(21m, visit.Protocol.Derived[0].Value);
        Assert.Equal("a later try came up right", Assert.Single(visit.Sheet.Findings, f => f.Code == "salinity-as-gravity").Kept);
        Assert.DoesNotContain("salinity-as-gravity", Read(Begun(), "1.01 ppt").Codes);
    }

    [Fact]
    public void Two_drops_apart_ask_for_a_third_and_then_the_median_counts()
    {
        var visit = Read(Read(Begun(), "20 ppt"), "22 ppt", "2");
        Assert.Equal(["drops-apart"], visit.Codes);
        Assert.Equal(21m, visit.Protocol.Derived[0].Value);

        Read(visit, "20.5 ppt", "3");
        Assert.Empty(visit.Codes);
        Assert.Equal(20.5m, visit.Protocol.Derived[0].Value);
    }

    [Fact]
    public void Bubbles_ask_for_another_drop_and_three_failed_ones_for_another_way()
    {
        var visit = Begun();
        for (var number = 1; number <= 3; number++)
        {
            visit.Yes("drop", "bubbles", true, "1", number);
        }

        Assert.Equal(["drop-bubbles", "drop-bubbles", "drop-bubbles", "tries-many"], visit.Codes);
        Read(visit, "21 ppt", number: 4);
        Assert.DoesNotContain("tries-many", visit.Codes);
    }

    [Fact]
    public void A_step_of_the_visit_is_done_once_every_box_is_full()
    {
        var visit = Begun();
        Assert.NotEqual(StepState.Done, visit.Sheet.Steps.Single(s => s.Name == "refractometer").State);
        Assert.Contains(visit.Sheet.Findings, f => f.Code == "field-empty" && f.Seen.Contains("refractometer", StringComparison.Ordinal));

        Read(visit, "21 ppt");
        var step = visit.Sheet.Steps.Single(s => s.Name == "refractometer");
        Assert.Equal((StepState.Done, "Salinity 21 ppt, brackish"), (step.State, step.Summary));
    }

    private static ObservedVisit Read(ObservedVisit visit, string salinity, string item = "1", int number = 1) =>
        visit
            .Count("drop", "drops", 1, item, number)
            .Yes("drop", "bubbles", false, item, number)
            .Waited("wait", "wait", 30, item, number)
            .Number("read", "salinity", salinity, item, number);
}
