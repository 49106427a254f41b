using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.Seawater.SeawaterFields;

namespace UpperStill.Core.Protocols.Seawater;

/// <summary>A bottle of sea water for carbonate chemistry: no bubbles, fixed within minutes, the same place and hour each week.</summary>
public sealed class SeawaterProtocol : DescribedProtocol
{
    /// <summary>What the temperature is read in.</summary>
    public static readonly Method ThermometerIn = Method.Of(
        MethodGroup.Other,
        "seawater.thermometer",
        "The temperature of a seawater bottle is read in",
        "Nothing enters the sample.",
        ["bucket: the bucket", "bottle: the bottle"]
    );

    /// <summary>Minutes from filling until the fixative is in.</summary>
    public static readonly Threshold FixWithin = new("checks.fix-late", MethodGroup.Other, "Sea water is fixed within", "min", 10, 1, 120);

    /// <summary>One of it is enough.</summary>
    public SeawaterProtocol()
        : base(
            new ProtocolScript
            {
                Code = Protocol.Seawater.Code,
                Title = "Seawater bottle",
                Purpose = "Carbonate chemistry: the same place and hour each week, one trained.",
                Rank = StepRank.ByHand,
                FilledBefore = true,
                Steps =
                [
                    new("bucket", "Draw a bucket, carry it above the high-tide mark.", "The tide comes while you work.", Drawn)
                    {
                        Cautions = [Caution.Surf, Caution.Wading],
                    },
                    new("bottle", "Scan the bottle.", "Its number is its name.", Bottle) { Repeat = Fill },
                    new("rinse", "Rinse three times with the same water, poured aside.", "Wet glass holds no bubbles.", Rinses)
                    {
                        Repeat = Fill,
                    },
                    new("fill", "Fill slowly down the wall; leave 1 % of air.", "Bubbles trade gas.", Bubbles)
                    {
                        Repeat = Fill,
                        Fills = true,
                    },
                    new("warmth", "Warmth of the bucket, once it is steady.", "Nothing enters the sample.", Water, Steady, In),
                    new("salinity", "Salinity of the same bucket.", "The chemistry needs both.", Salinity),
                    new("fix", "Fixative within 10 min of filling.", "Life goes on until then.", StepScript.Gloves, Lot, Drops)
                    {
                        Cautions = [Caution.Fixative],
                    },
                    new("cap", "Fresh cap, firm; turn it over five times.", "Shaking adds air.", Turns, FreshCap),
                    new("dark", "Into the dark box.", "Light starts life again.", Dark),
                ],
                Containers =
                [
                    new("seawater")
                    {
                        Place = SampleFrom.Surface,
                        Fixed = Drops,
                        RinsesCounted = true,
                    },
                ],
                Pack = outing =>
                    [
                        outing.Of(KitKind.Bucket, "bucket", "a bucket with a line", "drawing sea water"),
                        outing.Of(KitKind.Thermometer, "thermometer", "a thermometer to 0.1 °C", "temperatures"),
                        outing.Of(KitKind.Refractometer, "refractometer", "a refractometer", "salinity"),
                        Packing.Plain(
                            "fixing",
                            Crate.Bottles,
                            "fixative, dropper, tray, gloves, glasses, fresh caps",
                            1,
                            "fixing the bottle"
                        ),
                    ],
                Parameters =
                [
                    new()
                    {
                        Code = new("salinity"),
                        Name = "salinity",
                        Unit = "ppt",
                        Protocol = Protocol.Seawater,
                    },
                    new()
                    {
                        Code = new("bucket-temperature"),
                        Name = "temperature of the bucket",
                        Unit = "°C",
                        Protocol = Protocol.Seawater,
                    },
                ],
                Findings = [.. SeawaterFindings.All, .. ThermometersBeside.All],
                Methods = [ThermometerIn],
                Thresholds = [FixWithin],
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run) => SeawaterChecks.Of(run);
}
