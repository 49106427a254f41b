using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Bacteria;

/// <summary>Germs at a beach that tell of faeces, knee-deep, in a bottle that is never rinsed.</summary>
public sealed class BacteriaProtocol : DescribedProtocol
{
    private const string Name = "bacteria";
    private const int UsualResults = 5;
    private const int UsualDays = 30;

    /// <summary>Over which results the geometric mean goes.</summary>
    public static readonly Method Mean = Method.Of(
        MethodGroup.Other,
        "bacteria.mean",
        "Geometric mean of bacteria",
        "With the days that they span.",
        ["last-five: the last five results", "last-five-30: the last five within 30 days"]
    );

    private static readonly NumberField Bathers = new("bathers", "People in the water", 0, 9999) { Whole = true };
    private static readonly NumberField Birds = new("birds", "Birds", 0, 9999) { Whole = true };
    private static readonly NumberField Dogs = new("dogs", "Dogs", 0, 9999) { Whole = true };
    private static readonly ChoiceField Drain = new(
        "drain",
        "A drain on the beach",
        new("none", "none"),
        new("dry", "dry"),
        new("running", "running")
    );
    private static readonly YesNoField Labelled = new("labelled", "Labelled dry; the station on the sheet, too");
    private static readonly LengthField Depth = new("depth", "Depth where you stand", 0.2m, 1) { UsualM = KneeDeep.Range };
    private static readonly TimerField Wait = new("wait", "Waited", 60, "Sand that you stirred holds germs.");
    private static readonly CounterField Scoops = new(
        "scoops",
        "Scoops",
        1,
        new FindingWords(
            "scoops-none",
            FindingLevel.Check,
            "{count} of {wanted} scoops.",
            "Without one the bottle is empty.",
            "Scoop, or say why not."
        )
    );
    private static readonly TemperatureField Air = new("air", "Air, dry thermometer");
    private static readonly TemperatureField Water = new("water", "Water");

    private static readonly FindingWords ScoopsMany = new(
        "scoops-many",
        FindingLevel.Check,
        "{count} scoops.",
        "Each passes the film of the surface once more.",
        "One scoop, or say why."
    );

    /// <summary>One of it is enough.</summary>
    public BacteriaProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Beach bacteria",
                Purpose = "Germs that tell of faeces. First on the beach, at the same hour.",
                Rank = StepRank.ByHand,
                Steps =
                [
                    new("look", "Look along the beach.", "It explains a high count.", Bathers, Birds, Dogs, Drain),
                    new("label", "Label the bottle while it is dry; write the station on the sheet, too.", "Wet ink runs.", Labelled),
                    new("wade", "Wade to the knee, face the current, wait.", "Sand holds germs.", Depth, Wait)
                    {
                        Cautions = [Caution.Wading, Caution.Germs],
                    },
                    new(
                        "scoop",
                        "Open it; touch neither neck nor inside of the cap, never rinse. Turn it over, plunge to the elbow, scoop "
                            + "in a U away from you.",
                        "Your hand would be counted; the film and your skin stay out.",
                        Scoops
                    ),
                    new("cap", "Leave 2–3 cm of air, cap, ice.", "The lab must shake it.") { Fills = true },
                    new("temperatures", "Air with the dry thermometer, then water.", "Warm water keeps germs alive.", Air, Water),
                ],
                Containers = [new(Name)],
                Pack = outing =>
                    [
                        Packing.Plain("cooler-ice", Crate.Bottles, "cooler with ice", 1, "bacteria"),
                        outing.Of(KitKind.Thermometer, "thermometer", "a thermometer", "temperatures"),
                    ],
                Parameters =
                [
                    new()
                    {
                        Code = new(Name),
                        Name = "bacteria",
                        Unit = "per 100 mL",
                        Decimals = 0,
                        Summary = SeasonSummary.GeometricMean,
                        Log = true,
                        Better = BetterWhen.Lower,
                        AskedPerDecade = 50,
                        Analyte = "e-coli",
                        Protocol = new(Name),
                        Running = new RunningMean(UsualResults, programme => programme.Chooses(Mean, "last-five-30") ? UsualDays : null),
                    },
                ],
                Findings = [ScoopsMany],
                Methods = [Mean],
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        var once = run.Once;
        KneeDeep.Of(once, Depth);
        if (once[Scoops] > 1)
        {
            once.Find(ScoopsMany, Scoops, ("count", Decimals.Text(once[Scoops]!.Value)));
        }
    }
}
