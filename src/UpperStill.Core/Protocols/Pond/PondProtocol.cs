using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Pond;

/// <summary>A pond for a use: how it stands to the limits for animals, crops or fish.</summary>
public sealed class PondProtocol : DescribedProtocol
{
    private const string Name = "pond";

    // Below this depth half of it is taken, m.
    private const decimal ShallowM = 0.6m;

    /// <summary>At which depth.</summary>
    public static readonly Method Depth = Method.Of(
        MethodGroup.Other,
        "pond.depth",
        "A pond is sampled at",
        "Under the film and off the mud.",
        ["band: 15–30 cm, or half where it is shallower than 0.6 m", "half: half its depth, always"],
        breaks: true
    );

    private static readonly FindingWords FormDiffers = new(
        "form-and-label-differ",
        FindingLevel.Stop,
        "Form and bottle are not alike.",
        "Unlike ones are refused.",
        "Make them the same before it leaves your hands."
    );
    private static readonly FindingWords Far = new(
        "position-far",
        FindingLevel.Check,
        "{distance} from the spot on file.",
        "Years compare only at one spot.",
        "Move, or say why here."
    );
    private static readonly FindingWords Scum = new(
        "pond-came-in",
        FindingLevel.Check,
        "{what} came in.",
        "It is not water from under the film.",
        "Empty it away from the spot, rinse, again."
    );
    private static readonly FindingWords TakenOff = new(
        "pond-depth-off",
        FindingLevel.Check,
        "Filled at {taken}; {asked} is asked.",
        "Nearer the film or the mud it is other water.",
        "Again, or say why."
    );

    private static readonly ChoiceField Use = new(
        "use",
        "The water is for",
        new("animals", "animals to drink"),
        new("crops", "crops"),
        new("fish", "fish"),
        new("household", "house and garden"),
        new("other", "something else")
    );
    private static readonly WordsField OtherUse = new("other-use", "What else it is for") { Required = false };
    private static readonly WordsField Named = new("sample-name", "The property’s own name of the sample, as on the form");
    private static readonly PositionField Spot = new("spot", "The spot");
    private static readonly PhotoField Photo = new("photo", "Photograph of the spot") { Required = false };
    private static readonly ChoiceField By = new(
        "by",
        "Taken",
        new("wading", "wading"),
        new("boat", "from a boat"),
        new("pole", "with a pole")
    );
    private static readonly TimerField Wait = new("wait", "Stood still", 60, "Mud that you stirred settles.");
    private static readonly LengthField Water = new("depth", "Depth of the water here", 0.1m, 10);
    private static readonly CounterField Rinses = new("rinses", "Rinsed: a quarter full, capped, shaken, poured away", 3);
    private static readonly LengthField Taken = new("taken", "Mouth of the bottle under the surface", 0.05m, 2) { Offered = ["cm", "in"] };
    private static readonly ChoiceField CameIn = new(
        "came-in",
        "It came in",
        new("clear", "clear"),
        new("sediment", "with sediment"),
        new("scum", "with scum")
    );
    private static readonly YesNoField FormSame = new("form-same", "Form and bottle read the same");
    private static readonly Repeat Fill = new("fill", "filling", 1, 1);

    /// <summary>One of it is enough.</summary>
    public PondProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Pond for a use",
                Purpose = "How a pond stands to the limits for animals, crops or fish.",
                Rank = StepRank.ByHand,
                Steps =
                [
                    new(
                        "label",
                        "Label and form alike: the property’s own name, date, collector.",
                        "The lab goes by the bottle.",
                        Use,
                        OtherUse,
                        Named
                    )
                    {
                        Cautions = [Caution.Alone],
                    },
                    new("spot", "Choose open water: no edge, sticks, scum.", "Years compare only at one spot.", Spot, Photo, By)
                    {
                        Cautions = [Caution.Bloom],
                    },
                    new("stand", "Go slowly, stand still, face the wind.", "Water runs in, mud stays out.", Wait, Water)
                    {
                        Cautions = [Caution.Wading],
                    },
                    new("rinse", "Rinse: quarter full, cap, shake, pour away from the spot.", "Last water out.", Rinses) { Repeat = Fill },
                    new("fill", "Upside down to the proposed depth, turn it up, fill.", "The film stays out.", Taken, CameIn)
                    {
                        Repeat = Fill,
                    },
                    new(
                        "cap",
                        "Pour to 2–3 cm of air, cap, cold, dark; read the form against the bottle.",
                        "Unlike ones are refused.",
                        FormSame
                    )
                    {
                        Fills = true,
                    },
                ],
                Containers = [new("farm-pond") { RinsesCounted = true }],
                Pack = outing =>
                    [
                        outing.Of(KitKind.Pole, "pole", "a pole with its holder", "reaching open water"),
                        Packing.Plain(
                            "cooler-ice",
                            Crate.Bottles,
                            "cooler with ice, the form, a marker",
                            1,
                            "the pond’s bottle; never drink from it"
                        ),
                    ],
                Findings = [FormDiffers, Far, Scum, TakenOff],
                Methods = [Depth],
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        var once = run.Once;
        if (
            once[Spot] is { } spot
            && Shape.DistanceM(spot, run.Draft.Context.Station.At) is var off
            && off > (double)(run.Draft.Context.Station.RadiusM + (once.Accuracy(Spot) ?? 0))
        )
        {
            once.Find(Far, Spot, ("distance", PlaceText.Distance((decimal)off)));
        }

        if (once[FormSame] == false)
        {
            once.Find(FormDiffers, FormSame);
        }

        var (low, high) = Asked(run);
        if (high is { } most)
        {
            var shown = low == most ? $"{Cm(most)} cm" : $"{Cm(low!.Value)}–{Cm(most)} cm";
            run.Derive(
                new SheetDerived(
                    "pond-depth",
                    "Fill at",
                    shown,
                    Decimals.Published(most),
                    "m",
                    Working: new Basis.Workings.Working(
                        "Depth of the bottle",
                        [once.Input(Water)],
                        [
                            low == most
                                ? $"Half of {LengthText.Write(once[Water]!.Value)} = {shown}"
                                : $"{LengthText.Write(once[Water]!.Value)} of water: 15–30 cm",
                        ],
                        "Under the film and off the mud.",
                        "Practice of farm water tests"
                    )
                )
            );
            run.Propose(
                Taken,
                new ObservedValue { Written = Cm(low == most ? most : 0.2m), Unit = "cm" },
                low == most ? "half the depth" : "within 15–30 cm",
                "1"
            );
        }

        foreach (var fill in run.Every(Fill))
        {
            if (fill[CameIn] is { } came and not "clear")
            {
                fill.Fail(Scum, CameIn, ("what", came == "scum" ? "Scum" : "Sediment"));
            }

            if (
                fill[Taken] is { } taken
                && high is { } top
                && low is { } least
                && (taken.Metres < least - 0.05m || taken.Metres > top + 0.05m)
            )
            {
                fill.Find(
                    TakenOff,
                    Taken,
                    ("taken", LengthText.Write(taken)),
                    ("asked", least == top ? $"{Cm(top)} cm" : $"{Cm(least)}–{Cm(top)} cm")
                );
            }
        }

        if (run.Containers.Bottles is [var bottle, ..])
        {
            var each = bottle.Type.VolumeMl / 4000m;
            run.Derive(
                new SheetDerived(
                    "rinse-water",
                    "Each rinse",
                    $"{Decimals.Text(each)} L",
                    each,
                    "L",
                    Working: new Basis.Workings.Working(
                        "Rinse",
                        [new Basis.Workings.WorkingInput("bottle", $"{bottle.Type.VolumeMl} mL")],
                        [$"{bottle.Type.VolumeMl} mL / 4 × 3 = {Decimals.Text(each * 3)} L in all"],
                        "A quarter, shaken, wets every wall.",
                        "Practice of farm water tests"
                    )
                )
            );
        }
    }

    // The band to fill in, m; both alike where it is one depth.
    private static (decimal? Low, decimal? High) Asked(ProtocolRun run) =>
        run.Once[Water] is not { } water ? (null, null)
        : water.Metres < ShallowM || run.Programme.Chooses(Depth, "half") ? (water.Metres / 2, water.Metres / 2)
        : (0.15m, 0.3m);

    private static string Cm(decimal metres) => Decimals.Text(decimal.Round(metres * 100, 1));
}
