using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Density;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Refractometer;

/// <summary>Salinity from a few drops on a refractometer.</summary>
public sealed class RefractometerProtocol : DescribedProtocol
{
    private static readonly FieldUnit Ppt = new("ppt");
    private static readonly Repeat Reading = new("reading", "reading", 1, 3);

    private static readonly FindingWords DropsFew = new(
        "drops-few",
        FindingLevel.Check,
        "{count} of {wanted} drops.",
        "Where the glass is not covered the line is faint.",
        "Add one, or say why not."
    );

    private static readonly Method DropsAsked = Method.Of(
        MethodGroup.Other,
        "refractometer.drops",
        "Refractometer",
        "More runs off.",
        ["one: one drop, if it covers the glass", "two: two drops"]
    );

    private static readonly NumberField Zero = new("zero", "Reading of distilled water", -5, 5, Ppt);
    private static readonly ChoiceField ZeroKept = new(
        "zero-is",
        "A zero that is not 0 was",
        new("set", "set to 0"),
        new("kept", "kept, and taken off")
    )
    {
        Required = false,
    };
    private static readonly CounterField Drops = new("drops", "Drops on the glass", 1, DropsFew);
    private static readonly YesNoField Bubbles = new("bubbles", "Bubbles or sand under the lid");
    private static readonly TimerField Wait = new("wait", "Waited", 30, "The drop takes the glass’s warmth.");
    private static readonly NumberField Salinity = new("salinity", "Salinity", 0, 100, Ppt);

    private static readonly FindingWords BubblesUnder = new(
        "drop-bubbles",
        FindingLevel.Check,
        "Bubbles or sand under the lid.",
        "Grains and air blur the line.",
        "Clean the glass, another drop."
    );
    private static readonly FindingWords Off = new(
        "refractometer-off",
        FindingLevel.Check,
        "{zero} in distilled water.",
        "Every reading is off by it.",
        "Set it, or it is taken off."
    );
    private static readonly FindingWords Apart = new(
        "drops-apart",
        FindingLevel.Check,
        "{a} and {b}.",
        "Two drops of one water should agree to 1 ppt.",
        "Clean, a third drop; the median counts."
    );
    private static readonly FindingWords AsGravity = new(
        "salinity-as-gravity",
        FindingLevel.Stop,
        "{value} looks like the gravity scale.",
        "It is another scale on the same glass.",
        "Read the ppt scale."
    );
    private static readonly FindingWords InGap = new(
        "salinity-in-gap",
        FindingLevel.Note,
        "{value} is brackish, but outside the common 12–25.",
        "Rare water, or a dirty glass.",
        "Clean the glass, take another drop."
    );

    /// <summary>One of it is enough.</summary>
    public RefractometerProtocol()
        : base(
            new ProtocolScript
            {
                Code = "refractometer",
                Title = "Refractometer",
                Purpose = "Salinity, anywhere, by one person.",
                Rank = StepRank.Profile,
                Steps =
                [
                    new(
                        "zero",
                        "Clean the glass; read distilled water. Set it to 0, or keep the zero.",
                        "Every reading is off by the zero.",
                        Zero,
                        ZeroKept
                    ),
                    new("drop", "A drop without sand, the lid down.", "Grains and air blur the line.", Drops, Bubbles) { Repeat = Reading },
                    new("wait", "Wait.", "The drop takes the glass’s warmth.", Wait) { Repeat = Reading },
                    new("read", "Toward the light, focus, read the ppt scale.", "The other scale is gravity.", Salinity)
                    {
                        Repeat = Reading,
                    },
                    new("clean", "Rinse, dry.", "Salt crusts."),
                ],
                Parameters =
                [
                    new()
                    {
                        Code = new("salinity"),
                        Name = "salinity",
                        Unit = "ppt",
                        Protocol = new("refractometer"),
                    },
                ],
                Methods = [DropsAsked],
                Findings = [BubblesUnder, Off, Apart, AsGravity, InGap],
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        var zero = run.Once[Zero];
        if (zero is { } off && off != 0)
        {
            run.Once.Find(Off, Zero, ("zero", $"{Decimals.Text(off)} ppt"));
        }

        var taken = run.Once[ZeroKept] == "set" ? 0 : zero ?? 0;
        List<Attempt> read = [];
        foreach (var item in run.Items(Reading))
        {
            foreach (var attempt in run.Tries(Reading, item))
            {
                if (attempt[Bubbles] == true)
                {
                    attempt.Fail(BubblesUnder, Bubbles);
                }

                if (attempt[Drops] == 1 && run.Draft.Context.Programme.Chooses(DropsAsked, "two"))
                {
                    attempt.Find(DropsFew, Drops, ("count", "1"), ("wanted", "2"));
                }

                if (attempt[Salinity] is { } ppt and >= 1.000m and <= 1.040m && NumberText.Places(attempt.Written(Salinity)!) >= 3)
                {
                    attempt.Fail(AsGravity, Salinity, ("value", Decimals.Text(ppt)));
                }
            }

            if (run.Counts(Reading, item) is { Failed: false } good && good[Salinity] is not null)
            {
                read.Add(good);
            }
        }

        if (read.Count == 2 && read[0][Salinity] is { } a && read[1][Salinity] is { } b && Math.Abs(a - b) > 1)
        {
            read[1].Find(Apart, Salinity, ("a", $"{Decimals.Text(a)} ppt"), ("b", $"{Decimals.Text(b)} ppt"));
        }

        if (read.Count == 0)
        {
            run.Derive(new SheetDerived("salinity", "Salinity", "waits for a reading", null, "ppt"));
            return;
        }

        var result = SalinityByDrops.Of([.. read.Select(r => r[Salinity]!.Value)], taken);
        if (result.InGap)
        {
            read[^1].Find(InGap, Salinity, ("value", $"{Decimals.Text(result.Ppt)} ppt"));
        }

        run.Derive(
            new SheetDerived(
                "salinity",
                "Salinity",
                $"{Decimals.Text(result.Ppt)} ppt, {result.Band}",
                result.Ppt,
                "ppt",
                About: zero is null,
                Working: new Working(
                    "Salinity",
                    [run.Once.Input(Zero), .. read.Select(r => r.Input(Salinity))],
                    result.Steps,
                    "Reading less the zero; the mean of two, the median of three. Fresh below 0.5, brackish below 30.",
                    "Practice of refractometers"
                )
            )
        );
    }
}
