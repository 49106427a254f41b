using System.Globalization;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.Plastics.PlasticsFields;

namespace UpperStill.Core.Protocols.Plastics;

/// <summary>Beach plastics: small plastic in sand and in near-shore water, in three pairs.</summary>
public sealed class PlasticsProtocol : DescribedProtocol
{
    private const string Name = "plastics";

    /// <summary>How far the markers stand apart.</summary>
    public static readonly Method Spacing = Method.Of(
        MethodGroup.Other,
        "plastics.spacing",
        "Markers on a beach stand apart",
        "The series.",
        ["100-ft: 100 ft (30.5 m)", "20-m: 20 m"],
        breaks: true
    );

    /// <summary>Which comes first.</summary>
    public static readonly Method Order = Method.Of(
        MethodGroup.Other,
        "plastics.order",
        "On the beach first",
        "Wading stirs water, not sand.",
        ["sand: sand", "water: water"],
        guideOnly: true
    );

    /// <summary>One of it is enough.</summary>
    public PlasticsProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Beach plastics",
                Purpose = "Small plastic in sand and near-shore water, at low water, in three pairs.",
                Rank = StepRank.ByHand,
                Day = _ => new(new(Name)) { LowWater = true },
                Steps =
                [
                    new(
                        "ready",
                        "Six jars; the general part, the shore, photographs first.",
                        "Feet change the beach.",
                        Ready,
                        Photos,
                        LowWater
                    ),
                    new(
                        "band",
                        "Find high-tide line and wrack line; markers between, in one line, 100 ft (30.5 m) apart.",
                        "Other bands hold other amounts.",
                        BandNorth,
                        BandMiddle,
                        BandSouth
                    ),
                    new("fix", "Fix both outer marks, marker 1 the northernmost.", "The distance is checked.", North, South),
                    new("tools", "Quadrat and jars.", "Their figures make the volume.", Quadrat, Jars),
                    new(
                        "pick",
                        "Gloves; back to the water, the marker at the quadrat’s upper left; pick visible debris out.",
                        "It is counted apart.",
                        Debris
                    )
                    {
                        Repeat = Sand,
                    },
                    new(
                        "skim",
                        "Read the label; fill the jar by skimming the top with metal, about 2 cm; cap.",
                        "Plastic tools add plastic."
                    )
                    {
                        Repeat = Sand,
                        Fills = true,
                    },
                    new("measure", "Measure corners and middle.", "Depth makes the volume.", Depths) { Repeat = Sand },
                    new(
                        "wade",
                        "Straight off the sand of the same number. Gloves, knee-deep, face out, wait.",
                        "The pairs are the point.",
                        Off,
                        Where,
                        Depth,
                        Wait,
                        Current
                    )
                    {
                        Repeat = Water,
                        Cautions = [Caution.Wading, Caution.Surf],
                    },
                    new(
                        "sink",
                        "Sink the shut jar, off the bottom, open, fill, pour down-current, three times; the fourth fill is capped under "
                            + "water.",
                        "Film and air carry fibres.",
                        Rinses,
                        Capped,
                        Holds
                    )
                    {
                        Repeat = Water,
                        Fills = true,
                    },
                    new("back", "Count everything back.", "Litter here is data gone wrong.", Back),
                    new("count-sand", "Count the sand jar.", "Per litre it can be compared.", SandItems) { Repeat = Sand, Bench = true },
                    new("count-water", "Count the water jar.", "Per litre it can be compared.", WaterItems, WaterL)
                    {
                        Repeat = Water,
                        Bench = true,
                    },
                ],
                Containers =
                [
                    new("plastics-sand")
                    {
                        Step = "skim",
                        Count = _ => Places,
                        Of = (_, i) => Item(i),
                        CountedIn = SandItems,
                    },
                    new("plastics-water")
                    {
                        Step = "sink",
                        Count = _ => Places,
                        Of = (_, i) => Item(i),
                        RinsesCounted = true,
                        CountedIn = WaterItems,
                    },
                ],
                Pack = outing =>
                    [
                        outing.Of(KitKind.Quadrat, "quadrat", "a quadrat", "the sand"),
                        Packing.Plain("markers", Crate.Bottles, "three markers, tape, metal spoon, ruler in mm", 1, "the beach"),
                        Packing.Plain("camera", Crate.Paper, "camera, receiver", 1, "photographs and marks"),
                    ],
                Parameters =
                [
                    Per("plastics-sand", "plastic in sand", "per L"),
                    Per("plastics-water", "plastic in water", "per L"),
                    Per("beach-debris", "debris on the sand", "per m²"),
                ],
                Findings = PlasticsFindings.All,
                Methods = [Spacing, Order],
            }
        ) { }

    private static string? Item(int i) => (i + 1).ToString(CultureInfo.InvariantCulture);

    private static ParameterDescription Per(string code, string name, string unit) =>
        new()
        {
            Code = new(code),
            Name = name,
            Unit = unit,
            Better = BetterWhen.Lower,
            AskedPerDecade = 5,
            Protocol = new(Name),
        };

    private protected override void Evaluate(ProtocolRun run)
    {
        PlasticsChecks.Of(run);
        PlasticsCount.Of(run);
        foreach (var place in Enumerable.Range(1, Places))
        {
            var item = place.ToString(CultureInfo.InvariantCulture);
            var (sand, water) = (run.Counts(Sand, item), run.Counts(Water, item));
            run.Point(new SheetPoint(run.Words(Sand, item), false, place, sand?.Has(Depths) == true));
            run.Point(
                new SheetPoint(run.Words(Water, item), true, place, water is { Failed: false } && water.Has(Holds), (int?)water?[Off])
            );
        }
    }
}
