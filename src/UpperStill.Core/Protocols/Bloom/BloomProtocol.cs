using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Bloom;

/// <summary>A bloom that somebody sees: it interrupts whatever is done.</summary>
public sealed class BloomProtocol : DescribedProtocol
{
    private const string Name = "bloom";

    /// <summary>Whether its water is taken.</summary>
    public static readonly Method Sample = Method.Of(
        MethodGroup.Other,
        "bloom.sample",
        "A bloom is sampled",
        "Less handling.",
        ["if-asked: if the coordinator asks", "always: always, gloved, from land"]
    );

    private static readonly FindingWords Seen = new(
        "bloom-seen",
        FindingLevel.Check,
        "It may be a harmful bloom.",
        "Some are poisonous to people and dogs.",
        "Do not touch, keep dogs out. Tell the coordinator: they decide on warnings."
    );
    private static readonly FindingWords Untold = new(
        "bloom-untold",
        FindingLevel.Check,
        "Nobody was told of the bloom.",
        "Somebody else may be in the water now.",
        "Ring the coordinator now."
    );

    private static readonly ChoiceField Looks = new(
        "looks",
        "It looks like",
        new("paint", "paint"),
        new("scum", "scum"),
        new("streaks", "streaks"),
        new("mats", "mats"),
        new("soup", "soup"),
        new("foam", "foam")
    );
    private static readonly WordsField Colour = new("colour", "Colour");
    private static readonly ChoiceField Extent = new(
        "extent",
        "How far",
        new("spot", "a spot"),
        new("bay", "a bay"),
        new("whole", "the whole water")
    );
    private static readonly TimeField SeenAt = new("seen-at", "Seen at");
    private static readonly PositionField Where = new("position", "Where");
    private static readonly PhotoField Photos = new("photo", "Photographs, near and wide", 2) { Required = false };
    private static readonly CounterField PeopleIn = new("people-in", "People in the water", 0) { Required = false, Asked = false };
    private static readonly CounterField AnimalsIn = new("animals-in", "Animals in the water", 0) { Required = false, Asked = false };
    private static readonly ChoiceField WindFrom = new(
        "wind-from",
        "Wind from",
        new("n", "N"),
        new("ne", "NE"),
        new("e", "E"),
        new("se", "SE"),
        new("s", "S"),
        new("sw", "SW"),
        new("w", "W"),
        new("nw", "NW"),
        new("calm", "calm")
    )
    {
        Required = false,
    };
    private static readonly PersonField Told = new("told", "Told");
    private static readonly TimeField ToldAt = new("told-at", "Told at");
    private static readonly YesNoField SampleAsked = new("sample-asked", "They ask for a sample") { Required = false };
    private static readonly ChecklistField Washed = new("washed", "Washed", new("hands", "hands"), new("gear", "gear and ropes"));

    /// <summary>One of it is enough.</summary>
    public BloomProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Bloom seen",
                Purpose = "Scum or paint on the water: describe it, tell the coordinator.",
                Rank = StepRank.UltraClean,
                AnyTime = true,
                Steps =
                [
                    new("back", "Step back, keep others off.", "Nobody knows yet what it is.") { Cautions = [Caution.Bloom] },
                    new(
                        "describe",
                        "Describe it.",
                        "It is gone tomorrow.",
                        Looks,
                        Colour,
                        Extent,
                        SeenAt,
                        Where,
                        Photos,
                        PeopleIn,
                        AnimalsIn,
                        WindFrom
                    ),
                    new("tell", "Tell the coordinator.", "They decide on warnings.", Told, ToldAt, SampleAsked),
                    new(
                        "sample",
                        "Only if asked, gloved, from land: half to three quarters, cap, wipe, ice, dark.",
                        "It gives off gas.",
                        StepScript.Gloves
                    )
                    {
                        Fills = true,
                        Cautions = [Caution.Bloom],
                        Asks = (draft, _) => Asked(draft),
                        OnlyAsked = true,
                    },
                    new("wash", "Wash hands and gear.", "It travels on ropes.", Washed),
                ],
                Containers = [new(Name) { Needed = draft => Asked(draft) ? 1 : 0 }],
                Pack = _ =>
                    [
                        Packing.Plain(
                            "bloom",
                            Setup.Equipment.Crate.Bottles,
                            "bloom bottle, gloves, wipes",
                            1,
                            "a bloom, if a sample is asked for"
                        ),
                    ],
                Findings = [Seen, Untold],
                Methods = [Sample],
            }
        ) { }

    private static bool Asked(SheetDraft draft) =>
        draft.Context.Programme.Chooses(Sample, "always")
        || draft
            .Standing(ObservationKinds.Observation)
            .LastOrDefault(o => o.Body.Protocol.Code == Name && o.Body.Field == SampleAsked.Code)
            ?.Body.Value.Yes == true;

    private protected override void Evaluate(ProtocolRun run)
    {
        var once = run.Once;
        if (once.Has(Looks))
        {
            once.Find(Seen, Looks);
            if (!once.Has(Told))
            {
                run.Draft.Findings.Add(Untold.With().On(Beside.Leaving));
            }
        }

        if (once[SeenAt] is { } seen && once[ToldAt] is { } told)
        {
            var minutes = (decimal)(told - seen).TotalMinutes;
            run.Derive(
                new SheetDerived(
                    "bloom-told-min",
                    "Seen until told",
                    $"{Decimals.Fixed(minutes, 0)} min",
                    decimal.Round(minutes, 0),
                    "min",
                    Working: new Working(
                        "Seen until told",
                        [once.Input(SeenAt), once.Input(ToldAt)],
                        [$"{once.Input(ToldAt).Text} − {once.Input(SeenAt).Text} = {Decimals.Fixed(minutes, 0)} min"],
                        "How long nobody knew.",
                        "By the clock"
                    )
                )
            );
        }
    }
}
