using UpperStill.Core.Application.Outings;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Application.Outings;

public class OutingTests
{
    private static readonly DateOnly Day = new(2026, 8, 12);
    private static readonly Programme Monthly = Presets.All.Single(p => p.Programme.Code == "monthly-composite").Programme;
    private static readonly Programme Layered = Presets.All.Single(p => p.Programme.Code == "layered-lake").Programme;
    private static readonly Station Deep = new("HAR-1", "harrowmere", "Harrowmere", "Aldwick", "Deep Hole", Feet("102"), 51.9127, -11.4419);
    private static readonly Station Arm = new(
        "HAR-2",
        "harrowmere",
        "Harrowmere",
        "Aldwick",
        "North Arm",
        new WrittenLength("12", LengthUnit.Metre),
        51.9241,
        -11.4376
    );
    private static readonly Station Pier = Deep with { Code = "SKA-1", Name = "Pier head", Shore = true };

    [Fact]
    public void The_deep_spot_comes_first_and_the_way_between_is_said()
    {
        var outing = Prepare(Place(Arm, Layered, Protocol.Clarity), Place(Deep, Monthly, Protocol.Clarity));

        Assert.Equal(["HAR-1", "HAR-2"], outing.Stops.Select(s => s.Station.Code));
        Assert.Null(outing.Stops[0].FromLastM);
        Assert.InRange(outing.Stops[1].FromLastM!.Value, 1250, 1350);
    }

    [Fact]
    public void Bottles_are_counted_by_protocol_depth_and_replicate_with_one_spare()
    {
        var pack = Prepare(Place(Deep, Monthly, Protocol.Clarity, Protocol.Chlorophyll)).Pack;

        // Water to filter with its replicate, and the two filters.
        Assert.Equal(3, Need(pack, "type-chlorophyll-water").Count);
        Assert.Equal("2 and one spare", Need(pack, "type-chlorophyll-filter").Counted);
        Assert.Equal(4, Need(pack, "labels").Count);
        Assert.Equal("filtering", Need(pack, "filters").Stops);
    }

    [Fact]
    public void Each_layer_gets_its_plain_and_its_acid_bottle()
    {
        var samples = Prepare(Place(Arm, Layered, Protocol.Phosphorus)).Stops[0].Samples;

        Assert.Equal(
            ["HAR-2-260812-L1", "HAR-2-260812-L2", "HAR-2-260812-L3", "HAR-2-260812-A1", "HAR-2-260812-A2", "HAR-2-260812-A3"],
            samples.Select(s => SampleNumber.Body(s.Number))
        );
        Assert.Equal(["upper layer", "at the thermocline", "lower layer"], samples.Take(3).Select(s => s.Depth));
    }

    [Fact]
    public void No_two_bottles_of_a_season_have_one_number()
    {
        var numbers = Presets
            .All.SelectMany(p =>
                Enumerable
                    .Range(0, 30)
                    .SelectMany(d =>
                        new[] { Deep, Arm }.SelectMany(s =>
                            PlannedSamples.Of(
                                s with
                                {
                                    Code = s.Code + p.Programme.Code,
                                },
                                p.Programme,
                                SampleVisit.Protocols,
                                Day.AddDays(d),
                                VisitParts.Bottles
                            )
                        )
                    )
            )
            .Select(s => s.Number)
            .ToList();

        Assert.True(numbers.Count > 500);
        Assert.Equal(numbers.Count, numbers.Distinct().Count());
    }

    [Fact]
    public void A_replicate_is_told_from_its_sample()
    {
        var dips = Prepare(Place(Deep, Monthly, Protocol.Phosphorus)).Stops[0].Samples;

        Assert.Equal([("HAR-1-260812-P1", 0), ("HAR-1-260812-P1R", 1)], dips.Select(s => (SampleNumber.Body(s.Number), s.Replicate)));
    }

    [Fact]
    public void Every_line_of_the_list_names_the_step_it_would_stop_and_stands_in_the_order_of_packing()
    {
        var pack = Prepare(Place(Deep, Monthly, [.. SampleVisit.Protocols]), Place(Arm, Layered, [.. SampleVisit.Protocols])).Pack;

        Assert.All(pack, n => Assert.False(string.IsNullOrWhiteSpace(n.Stops)));
        Assert.Equal(pack.Count, pack.Select(n => n.Key).Distinct().Count());
        Assert.Equal(pack.Select(n => n.Crate), pack.Select(n => n.Crate).Order());
    }

    [Fact]
    public void A_clarity_alone_needs_neither_meter_nor_cooler()
    {
        var keys = Prepare(Place(Deep, Monthly, Protocol.Clarity)).Pack.Select(n => n.Key).ToList();

        Assert.Contains("disc", keys);
        Assert.DoesNotContain("meter", keys);
        Assert.DoesNotContain("cooler", keys);
    }

    [Fact]
    public void From_a_pier_no_anchor_is_asked()
    {
        var outing = Prepare(Place(Pier, Monthly, Protocol.Clarity));

        Assert.DoesNotContain(outing.Pack, n => n.Key == "anchor");
        Assert.Contains(outing.Cautions, c => c.Contains("Slippery", StringComparison.Ordinal));
    }

    [Fact]
    public void What_is_overdue_or_stretched_or_too_short_is_found_ashore()
    {
        KitItem rope = new("R-4", "Old rope", KitKind.Line, Marks: new LineMarks(LengthUnit.FootInch, Feet("1"), Feet("80")))
        {
            Checks =
            [
                new KitCheck(
                    Guid.NewGuid(),
                    KitCheckKind.Taped,
                    new DateOnly(2025, 7, 30),
                    "Noor",
                    [new TapedMark(Feet("40"), Feet("40 11"))]
                ),
            ],
        };
        var need = Need(Prepare([rope], Place(Deep, Monthly, Protocol.Clarity) with { Line = "R-4" }).Pack, "line-R-4");

        Assert.Equal(["kit-overdue", "line-stretched", "line-too-short"], need.Findings.Select(f => f.Code).Order());
    }

    [Fact]
    public void What_is_due_is_left_ashore_where_another_is_not()
    {
        KitItem old = new("F-25", "Old box", KitKind.Filters, UsableUntil: new DateOnly(2026, 6, 30));
        KitItem fresh = new("F-26", "New box", KitKind.Filters, UsableUntil: new DateOnly(2028, 6, 30));
        var need = Need(Prepare([old, fresh], Place(Deep, Monthly, Protocol.Chlorophyll)).Pack, "filters");

        Assert.Equal(("F-26", 0), (need.Item, need.Findings.Count));
    }

    [Fact]
    public void The_latest_time_back_is_the_strictest_station_s()
    {
        var early = new DateTime(2026, 8, 12, 14, 0, 0);
        var outing = Prepare(
            Place(Deep, Monthly, Protocol.Clarity) with
            {
                LeaveBy = early.AddHours(20),
            },
            Place(Arm, Layered, Protocol.Chlorophyll) with
            {
                LeaveBy = early,
            }
        );

        Assert.Equal(early, outing.LatestBack);
    }

    private static PackNeed Need(IReadOnlyList<PackNeed> pack, string key) => Assert.Single(pack, n => n.Key == key);

    private static OutingPlace Place(Station station, Programme programme, params Protocol[] protocols) =>
        new(station, programme, protocols);

    private static Outing Prepare(params OutingPlace[] places) => Prepare([], places);

    private static Outing Prepare(KitItem[] kit, params OutingPlace[] places) =>
        Outing.Prepare(new OutingRequest(Day, TimeSpan.FromHours(1), places, kit, null, null, false, []));

    private static WrittenLength Feet(string written) => new(written, LengthUnit.FootInch);
}
