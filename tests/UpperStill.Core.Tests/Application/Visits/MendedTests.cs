using UpperStill.Core.Application.Samples;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Application.Visits;

/// <summary>What was found ends when it is mended, and both tries stay.</summary>
public sealed class MendedTests
{
    private const string Amber = "HAR-2-260812-C1-B";

    [Fact]
    public void A_composite_that_came_up_full_is_settled_by_a_later_one_that_came_up_right()
    {
        var visit = Begun(Protocol.Chlorophyll);
        visit.LostMetres("4.5");
        Try(visit, CameUp.Full);
        Assert.Equal([null], Kept(visit, "composite-fill"));
        Assert.False(visit.Fold(SampleVisit.Metric).Tries.Good);

        Try(visit, CameUp.ThreeQuarters);
        Assert.Equal(["a later one came up right"], Kept(visit, "composite-fill"));
        Assert.Equal([false, true], visit.Fold(SampleVisit.Metric).Tries.Tries.Select(t => t.Good));

        // What went wrong after the good one is open.
        Try(visit, CameUp.Empty);
        Assert.Equal(["a later one came up right", null], Kept(visit, "composite-fill"));
    }

    [Fact]
    public void A_cast_is_settled_by_a_later_one_at_its_depth_unless_a_bottle_holds_its_water()
    {
        var visit = Begun(Protocol.Phosphorus);
        var open = visit.Write(BottleKinds.Cast, Cast("layer-1", CastOutcome.Open));
        visit.Write(BottleKinds.Cast, Cast("layer-2", CastOutcome.Closed));
        Assert.Equal([null], Kept(visit, "sampler-failed")); // another depth

        visit.Write(BottleKinds.Cast, Cast("layer-1", CastOutcome.Closed));
        Assert.Equal(["a later cast came up right"], Kept(visit, "sampler-failed"));

        visit.Write(FillKinds.Fill, new FillBody("HAR-2-260812-L1", "layer-plain", FilledFrom.Sampler, FilledTo.AsAsked, Cast: open.Id));
        Assert.Equal([null], Kept(visit, "sampler-failed"));
    }

    [Fact]
    public void A_bottle_that_went_wrong_is_filled_anew_under_its_number_and_counts_once()
    {
        var visit = Begun(Protocol.Chlorophyll);
        var first = visit.Write(FillKinds.Fill, Fill(drops: 5) with { To = FilledTo.More });
        var second = visit.Write(FillKinds.Fill, Fill(drops: 5));
        var sheet = visit.Fold(SampleVisit.Metric);

        Assert.Equal(["filled anew"], Kept(visit, "fill-wrong"));
        Assert.DoesNotContain(sheet.Findings, f => f.Code == "sample-number-used");
        Assert.Equal(second.Id, sheet.Bottles!.Places.SelectMany(p => p.Bottles).Single(b => b.Number == Amber).Entry);
        var sample = VisitSamples.Fold(new FoldRequest(visit.Entries, SampleVisit.Metric)).Samples.Single(s => s.Number == Amber);
        Assert.Equal(second.At, sample.CollectedAt);
        Assert.NotEqual(first.At, sample.CollectedAt);
    }

    [Fact]
    public void A_preservative_that_was_added_later_ends_the_stop_and_says_when()
    {
        var visit = Begun(Protocol.Chlorophyll);
        visit.Write(FillKinds.Fill, Fill(drops: null));
        Assert.Equal([null], Kept(visit, "preservative-missing"));

        var added = visit.Write(FillKinds.Preserved, new PreservedBody([Amber], "5 drops"));
        Assert.Equal([$"5 drops, added at {added.At:HH:mm}"], Kept(visit, "preservative-missing"));
        visit.Strike(added);
        Assert.Equal([null], Kept(visit, "preservative-missing"));
    }

    [Fact]
    public void A_calibration_that_was_off_is_settled_by_one_that_is_right_but_not_by_the_check_at_the_end()
    {
        var visit = Begun(Protocol.Profile);
        visit.Calibrate(read: "80");
        visit.Calibrate(read: "100", atEnd: true);
        Assert.Equal([null], Kept(visit, "calibration-off"));

        visit.Calibrate(read: "99");
        Assert.Equal(["a later one was right"], Kept(visit, "calibration-off"));
    }

    [Theory]
    [InlineData("meter-uncalibrated")]
    [InlineData("oxygen-jump")]
    [InlineData("fill-wrong")]
    [InlineData("a-finding-of-another-year")]
    public void Reasons_for_going_on_fit_what_was_found(string code)
    {
        var reasons = Finding.Check(code, "Seen.", "Why.", "Act.").Reasons;

        Assert.NotEmpty(reasons);
        Assert.DoesNotContain("swell", reasons);
    }

    [Fact]
    public void Swell_is_a_reason_for_a_disc_and_a_note_asks_for_none()
    {
        Assert.Contains("swell", Finding.Check("clarity-pair-apart", "Seen.", "Why.", "Act.").Reasons);
        Assert.Empty(Finding.Note("clarity-pair-same", "Seen.", "Why.", "Act.").Reasons);
    }

    private static IEnumerable<string?> Kept(SampleVisit visit, string code) =>
        visit.Fold(SampleVisit.Metric).Findings.Where(f => f.Code == code).Select(f => f.Kept);

    private static void Try(SampleVisit visit, CameUp fill) =>
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("9.0", LengthUnit.Metre), RaiseS: 40, Fill: fill));

    private static CastBody Cast(string place, CastOutcome outcome) =>
        new(new(place), new WrittenLength("3.0", LengthUnit.Metre), outcome, "V-1");

    private static FillBody Fill(int? drops) =>
        new(Amber, "chlorophyll-water", FilledFrom.Composite, FilledTo.AsAsked, Rinses: 1, Drops: drops);

    private static SampleVisit Begun(Protocol due)
    {
        var visit = SampleVisit.MetricBegun(due);
        visit.SoundMetres("12.0");
        return visit;
    }
}
