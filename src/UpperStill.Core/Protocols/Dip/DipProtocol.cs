using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Dip;

/// <summary>Phosphorus by hand: a bottle pushed under from the bow, and its second.</summary>
public sealed class DipProtocol : DescribedProtocol
{
    private const string Name = "dip";

    private static readonly FindingWords Unmarked = new(
        "replicate-unmarked",
        FindingLevel.Check,
        "The second is not marked REP.",
        "Two like labels: the laboratory cannot tell them apart.",
        "Mark the second REP."
    );
    private static readonly FindingWords Film = new(
        "dip-film",
        FindingLevel.Check,
        "Film or weed came in.",
        "It is not water from under the surface.",
        "Pour it out away from the spot, rinse, again."
    );

    private static readonly YesNoField Rep = new("rep", "REP stands on the second");
    private static readonly CounterField Rinses = new("rinses", "Rinsed, poured away", 2);
    private static readonly LengthField Depth = new("depth", "Mouth of the bottle under the surface", 0.1m, 0.6m)
    {
        UsualM = (0.25m, 0.35m),
        Offered = ["cm", "in"],
    };
    private static readonly ChoiceField CameIn = new("came-in", "It came in", new("clear", "clear"), new("film", "with film, or weed"));
    private static readonly ChoiceField Frozen = new(
        "put-away",
        "Ashore they went",
        new("freezer", "into the freezer"),
        new("ice", "on ice, to be frozen today")
    );
    private static readonly WordsField Sketch = new("sketch", "Where the spot was, in words") { Required = false };

    /// <summary>Each bottle.</summary>
    private static readonly Repeat Bottle = new("bottle", "bottle", 2, 3);

    /// <summary>One of it is enough.</summary>
    public DipProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Phosphorus by hand",
                Purpose = "Total phosphorus, from the bow, before anything that stirs.",
                Rank = StepRank.ByHand,
                Steps =
                [
                    new("gloves", "Gloves; REP on the second.", "Skin carries phosphorus.", StepScript.Gloves, Rep),
                    new("rinse", "Rinse, poured away from the spot.", "Last water out.", Rinses) { Repeat = Bottle },
                    new(
                        "fill",
                        "Grip it from above, push it down, turn it on its side, move it forward until no bubbles rise.",
                        "New water runs in, none from the hand.",
                        Depth,
                        CameIn
                    )
                    {
                        Repeat = Bottle,
                    },
                    new("cap", "Pour a little out, cap, cooler.", "Ice needs room.") { Repeat = Bottle, Fills = true },
                    new("freeze", "Freezer; a sketch of the spot.", "Thawed, it changes.", Frozen, Sketch) { Bench = true },
                ],
                Containers =
                [
                    new("phosphorus-dip")
                    {
                        Replicates = 1,
                        Place = SampleFrom.Surface,
                        Of = (_, i) => (i + 1).ToString(System.Globalization.CultureInfo.InvariantCulture),
                    },
                ],
                Pack = _ => [Packing.Plain("cooler-ice", Crate.Bottles, "cooler with ice", 1, "keeping the bottles cold")],
                Findings = [Unmarked, Film],
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        if (run.Once[Rep] == false)
        {
            run.Once.Find(Unmarked, Rep);
        }

        foreach (var bottle in run.Every(Bottle).Where(b => b[CameIn] == "film"))
        {
            bottle.Fail(Film, CameIn);
        }
    }
}
