using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Surf;

/// <summary>The surf on a pole: the same beach point in any season.</summary>
public sealed class SurfProtocol : DescribedProtocol
{
    private const string Name = "surf";

    /// <summary>What the water is caught in.</summary>
    public static readonly Method Holder = Method.Of(
        MethodGroup.Other,
        "surf.holder",
        "Surf water is caught in",
        "A jar stands.",
        ["jar: a jar", "bag: a tie-top bag"]
    );

    /// <summary>Where it is capped.</summary>
    public static readonly Method Cap = Method.Of(
        MethodGroup.Other,
        "surf.cap",
        "The lid goes on",
        "A lid in the sea is a lost sample.",
        ["ashore: ashore", "at-once: at once, at the water"],
        guideOnly: true
    );

    private static readonly FindingWords NotSettled = new(
        "not-settled",
        FindingLevel.Check,
        "{seconds} of {asked} s in the water.",
        "{why}",
        "Hold it in again and read anew, or say why not."
    );
    private static readonly FindingWords Deep = new(
        "wading-fast",
        FindingLevel.Stop,
        "The stream on the way stands above the knee.",
        "Rain deepens it within hours, and it takes your feet.",
        "Turn back."
    );
    private static readonly FindingWords OtherHolder = new(
        "surf-holder",
        FindingLevel.Note,
        "Caught in {holder}; the programme asks for {asked}.",
        "A bag lets more sand by.",
        "Kept; say why if you know."
    );

    internal static readonly TemperatureField Air = new("air", "Air");
    internal static readonly TemperatureField Air2 = new("air2", "Air, second thermometer");
    private static readonly ChoiceField Crossing = new(
        "crossing",
        "A stream on the way",
        new("none", "none"),
        new("ankle", "to the ankle"),
        new("knee", "to the knee"),
        new("above", "above the knee")
    );
    private static readonly TimerField Watch = new("watch", "Watched", 300, "Waves come in sets.");
    private static readonly WordsField RunUp = new("run-up", "How far the water comes") { Required = false };
    private static readonly ChoiceField Holds = new("holds", "On the pole", new("jar", "jar"), new("bag", "tie-top bag"));
    private static readonly TimerField Held = new("held", "Held under", 60, "The bulb is slow.") { Short = NotSettled };
    internal static readonly TemperatureField Water = new("water", "Water");
    internal static readonly TemperatureField Water2 = new("water2", "Water, second thermometer");
    private static readonly ChoiceField Sand = new(
        "sand",
        "Sand in it",
        new("none", "none"),
        new("little", "a little"),
        new("much", "much, or weed")
    );
    private static readonly Repeat Catch = new("catch", "catch", 1, 1);

    /// <summary>One of it is enough.</summary>
    public SurfProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Surf on a pole",
                Purpose = "The same beach point in any season.",
                Rank = StepRank.ByHand,
                Steps =
                [
                    new("air", "At the head of the path: dry thermometers; site code on the dry jar.", "A wet bulb reads low.", Air, Air2)
                    {
                        Cautions = [Caution.Alone],
                    },
                    new("crossing", "A stream on the way: above the knee, turn back.", "Rain deepens it within hours.", Crossing)
                    {
                        Cautions = [Caution.Fast],
                    },
                    new("watch", "Watch how far the water comes.", "Waves come in sets.", Watch, RunUp) { Cautions = [Caution.Surf] },
                    new("fit", "Fit one; lid off or tie open, ashore only.", "A lid in the sea is a lost sample.", Holds)
                    {
                        Repeat = Catch,
                    },
                    new("catch", "Face the sea, hold the end under, lift, read.", "The bulb is slow.", Held, Water, Water2)
                    {
                        Repeat = Catch,
                        Cautions = [Caution.Surf],
                    },
                    new("ashore", "Ashore: look, lid on, time, ice.", "A little sand passes.", Sand) { Repeat = Catch, Fills = true },
                ],
                Containers = [new(Name)],
                Pack = outing =>
                    [
                        outing.Of(KitKind.Pole, "pole", "a pole with its holder", "the surf"),
                        outing.Of(KitKind.Thermometer, "thermometer", "two thermometers", "temperatures"),
                        Packing.Plain("cooler-ice", Crate.Bottles, "cooler with ice", 1, "keeping it"),
                        Packing.Plain("pad", Crate.Paper, "pad and pencil, waders in winter", 1, "the surf"),
                    ],
                Parameters =
                [
                    new()
                    {
                        Code = new("surf-temperature"),
                        Name = "temperature of the surf",
                        Unit = "°C",
                        Protocol = new(Name),
                    },
                ],
                Findings = [NotSettled, Deep, OtherHolder, .. ThermometersBeside.All],
                Methods = [Holder, Cap],
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        var once = run.Once;
        if (once[Crossing] == "above")
        {
            once.Find(Deep, Crossing);
        }

        ThermometersBeside.Pair(run, once, Air, Air2);
        foreach (var tried in run.Tries(Catch, "1"))
        {
            ThermometersBeside.Pair(run, tried, Water, Water2);
            ThermometersBeside.Water(run, tried, Water);
            if (tried[Sand] == "much")
            {
                tried.Fail(CommonFindings.SampleHasSediment, Sand, ("what", "Much sand, or weed, is"));
            }

            if (tried[Holds] is { } holds && holds != run.Programme.ChoiceOf(Holder))
            {
                tried.Find(OtherHolder, Holds, ("holder", Words(holds)), ("asked", Words(run.Programme.ChoiceOf(Holder))));
            }
        }

        if (run.Counts(Catch, "1") is { } good)
        {
            ThermometersBeside.AirFirst(once, good, Air, Water);
            if (good[Water] is { } celsius)
            {
                run.Derive(
                    new SheetDerived(
                        "surf-temperature",
                        "Water",
                        Temperature.Show(celsius),
                        Decimals.Published(celsius),
                        "°C",
                        Working: new Basis.Workings.Working(
                            "Water",
                            [good.Input(Water), good.Input(Water2)],
                            [
                                good.Unit(Water) == "°F"
                                    ? $"({good.Written(Water)} − 32) × 5 / 9 = {Decimals.Fixed(celsius, 1)} °C"
                                    : $"{Decimals.Text(celsius)} °C",
                            ],
                            "The first is the reading, the second its check; they are never averaged.",
                            "Definition of the scales"
                        )
                    )
                );
            }
        }

        static string Words(string holder) => holder == "jar" ? "a jar" : "a bag";
    }
}
