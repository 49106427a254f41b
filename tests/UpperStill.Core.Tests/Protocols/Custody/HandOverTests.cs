using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Tests.Setup.Seasons;

namespace UpperStill.Core.Tests.Protocols.Custody;

public class HandOverTests
{
    private static readonly DateTimeOffset Now = new(2026, 8, 12, 9, 0, 0, TimeSpan.FromHours(1));
    private static readonly LabDoor Door = LabDoor.Of(
        SampleSeason.Lab with
        {
            NoDryIce = true,
            ShippingDays = [1, 2, 3],
        },
        new DateOnly(2026, 8, 12),
        14,
        TimeZoneInfo.FindSystemTimeZoneById("Europe/London")
    );
    private static readonly HandOverSample Vial = new(
        SampleNumber.Checked("HAR-1-260701-F1"),
        "chlorophyll-filter",
        SampleState.Stored,
        new SampleHold(Now.AddDays(-20), Now.AddDays(8), "at the lab within 28 days", TurnIn: true),
        Foil: true,
        Cold: true,
        LabelSame: true
    );

    [Fact]
    public void A_vial_that_is_frozen_wrapped_labelled_and_in_time_can_go()
    {
        var result = HandOver.Work(new HandOverRequest(Now, [Vial], TravelBy.Hand, TravelOn.FrozenPacks, Door));

        Assert.True(Assert.Single(result.Samples).Ready);
        Assert.Empty(result.Samples[0].Findings);
        Assert.Empty(result.Journey);
    }

    public static TheoryData<string, HandOverSample, bool> Samples =>
        new()
        {
            { "foil-unconfirmed", Vial with { Foil = null }, false },
            { "label-unread", Vial with { LabelSame = null }, false },
            { "form-and-label-differ", Vial with { Differs = "depth" }, false },
            { "cold-unconfirmed", Vial with { Cold = null }, false },
            { "thawed", Vial with { Cold = false }, true },
            { "hold-over", Vial with { Hold = Vial.Hold! with { Limit = Now.AddHours(-1) } }, true },
            { "handed-over-already", Vial with { State = SampleState.HandedOver, To = "the lab" }, false },
            { "handed-over-already", Vial with { State = SampleState.Reported }, false },
            { "step-refused", Vial with { State = SampleState.Lost }, false },
            { "step-refused", Vial with { State = SampleState.Planned }, false },
            { "not-filtered", Vial with { Type = "chlorophyll-water" }, false },
            {
                "cannot-reach-lab",
                Vial with
                {
                    Type = "layer-plain",
                    Hold = new SampleHold(Now.AddHours(-23.5), Now.AddMinutes(30), "at the lab within 24 h", Fresh: true),
                },
                true
            },
        };

    [Theory]
    [MemberData(nameof(Samples))]
    public void What_stands_in_the_way_is_said_and_a_stop_keeps_it_here(string code, HandOverSample sample, bool ready)
    {
        var answer = Assert.Single(HandOver.Work(new HandOverRequest(Now, [sample], TravelBy.Hand, TravelOn.FrozenPacks, Door)).Samples);

        Assert.Equal((code, ready), (Assert.Single(answer.Findings).Code, answer.Ready));
    }

    [Fact]
    public void The_same_vial_twice_goes_once() =>
        Assert.Equal(
            [true, false],
            HandOver.Work(new HandOverRequest(Now, [Vial, Vial], TravelBy.Hand, TravelOn.FrozenPacks, Door)).Samples.Select(s => s.Ready)
        );

    [Theory]
    [InlineData("2026-08-12T09:00", TravelBy.Hand, TravelOn.DryIce, "not-dry-ice")]
    [InlineData("2026-08-12T09:00", TravelBy.Carrier, TravelOn.FrozenPacks, "tracking-missing")]
    [InlineData("2026-08-12T14:30", TravelBy.Hand, TravelOn.FrozenPacks, "cannot-reach-lab")]
    [InlineData("2026-08-15T09:00", TravelBy.Hand, TravelOn.FrozenPacks, "cannot-reach-lab")]
    public void The_journey_is_looked_at_too(string now, TravelBy by, TravelOn on, string code)
    {
        var at = new DateTimeOffset(DateTime.Parse(now, System.Globalization.CultureInfo.InvariantCulture), TimeSpan.FromHours(1));

        Assert.Equal(code, Assert.Single(HandOver.Work(new HandOverRequest(at, [Vial], by, on, Door)).Journey).Code);
    }

    [Theory]
    [InlineData("2026-08-12T09:00", true)]
    [InlineData("2026-08-13T09:00", false)]
    public void Ultra_clean_bottles_are_shipped_on_their_days_only(string now, bool ready)
    {
        var bottle = new HandOverSample(
            SampleNumber.Checked("HAR-1-260812-M1"),
            "mercury",
            SampleState.Stored,
            Cold: true,
            LabelSame: true
        );
        var at = new DateTimeOffset(DateTime.Parse(now, System.Globalization.CultureInfo.InvariantCulture), TimeSpan.FromHours(1));

        Assert.Equal(
            ready,
            HandOver.Work(new HandOverRequest(at, [bottle], TravelBy.Carrier, TravelOn.Ice, Door, "W 1", true, true)).Samples[0].Ready
        );
    }

    [Fact]
    public void Where_dry_ice_may_be_used_its_dangers_are_said() =>
        Assert.Equal(
            FindingLevel.Note,
            Assert
                .Single(
                    HandOver.Work(new HandOverRequest(Now, [Vial], TravelBy.Hand, TravelOn.DryIce, Door with { NoDryIce = false })).Journey
                )
                .Level
        );
}
