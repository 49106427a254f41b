using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>What a programme may choose of containers, whatever they are filled by; see <see cref="ContainerRules"/> for what reads
/// it.</summary>
public static class ContainerOptions
{
    /// <summary>Rinses of a container.</summary>
    public static readonly Method Rinses = Method.Of(
        MethodGroup.Samples,
        "container.rinses",
        "Rinses of a container",
        "None ever for acid or sterile bottles.",
        [
            "3: three, or as few as its sort says",
            "2: two",
            "1: one, where the sample is scarce",
            "swirl: a swirl of the sample",
            "never: never",
        ]
    );

    /// <summary>Fill.</summary>
    public static readonly Method Fill = Method.Of(
        MethodGroup.Samples,
        "container.fill",
        "Fill",
        "What the lab and the ice need.",
        [
            "by-type: by sample type",
            "brim: brim, capped under water",
            "top: top",
            "neck: neck",
            "below-neck: below the neck",
            "below-lip: below the lip",
            "shoulder: shoulder",
            "line: line + 1 cm",
            "headspace: 1 in headspace",
            "ice: some out for ice",
            "no-bubbles: no bubbles",
        ]
    );

    /// <summary>Keeping.</summary>
    public static readonly Method Keep = Method.Of(
        MethodGroup.Samples,
        "sample.keep",
        "Keeping",
        "Each analyte fades in its own way.",
        [
            "by-type: by sample type",
            "frozen: frozen",
            "refrigerated: refrigerated",
            "ice-packs: ice packs",
            "ice-then-cold: ice, then refrigerator",
            "stable: stable once fixed",
            "alcohol: alcohol",
        ]
    );

    /// <summary>Bacteria to the lab.</summary>
    public static readonly Method Bacteria = Method.Of(
        MethodGroup.Samples,
        "bacteria.within",
        "Bacteria to the lab",
        "Counts drift.",
        ["6-h: 6 h, and 2 h in the lab", "24-h: 24 h", "same-outing: same outing", "unasked: not asked"]
    );

    /// <summary>How bottom animals are kept.</summary>
    public static readonly Method BottomAnimals = Method.Of(
        MethodGroup.Other,
        "grab.keep",
        "Bottom animals are kept",
        "Picked when there is time.",
        ["alcohol: in alcohol, twice the residue", "live: alive, on ice, for days"]
    );
}

/// <summary>A sample type as a programme has it rinsed, filled and kept.</summary>
public static class ContainerRules
{
    private const int Day = 24;

    /// <summary>The type of a code by a programme; null where there is no such type.</summary>
    public static SampleType? TypeOf(this Programme programme, string code)
    {
        ArgumentNullException.ThrowIfNull(programme);
        return SampleTypes.Find(code) is { } type
            ? Held(programme, Alive(programme, Kept(programme, Filled(programme, Rinsed(programme, type)))))
            : OwnType(programme, code);
    }

    // What a group composed is rinsed, filled and kept as it composed it.
    private static SampleType? OwnType(Programme programme, string code) =>
        (programme.Own ?? [])
            .SelectMany(p => p.Containers.Select((c, i) => (c.Own, Code: p.SampleCode(i))))
            .Where(c => c.Own is not null && c.Code == code)
            .Select(c => c.Own!.As(code))
            .FirstOrDefault();

    // What is never rinsed stays so: acid would be lost, and a sterile wall with it.
    private static SampleType Rinsed(Programme programme, SampleType type) =>
        type.Rinse.Times == 0 || type.NeverRinsed || programme.Chooses(ContainerOptions.Rinses, "3")
            ? type
            : type with
            {
                Rinse = new RinseRule(
                    programme.ChoiceOf(ContainerOptions.Rinses) switch
                    {
                        "2" => 2,
                        "never" => 0,
                        _ => 1,
                    },
                    Words(programme, ContainerOptions.Rinses)
                ),
            };

    private static SampleType Filled(Programme programme, SampleType type) =>
        !type.Water || type.NeverRinsed || programme.Chooses(ContainerOptions.Fill, "by-type")
            ? type
            : type with
            {
                Fill = new FillLevel(
                    Words(programme, ContainerOptions.Fill),
                    type.Fill.NoBubbles || programme.Chooses(ContainerOptions.Fill, "no-bubbles")
                ),
            };

    private static SampleType Kept(Programme programme, SampleType type) =>
        !type.Water || programme.Chooses(ContainerOptions.Keep, "by-type")
            ? type
            : type with
            {
                Keep = programme.ChoiceOf(ContainerOptions.Keep) switch
                {
                    "frozen" => Keeping.Frozen,
                    "refrigerated" => Keeping.Cold,
                    "stable" or "alcohol" => Keeping.Room,
                    _ => Keeping.Ice,
                },
            };

    private static SampleType Alive(Programme programme, SampleType type) =>
        type.Code == SampleTypes.BottomAnimals && programme.Chooses(ContainerOptions.BottomAnimals, "live")
            ? type with
            {
                Added = null,
                Keep = Keeping.Ice,
                Hold = "days",
                HoldHours = SampleTypes.LiveHours,
            }
            : type;

    private static SampleType Held(Programme programme, SampleType type) =>
        !type.Sterile
            ? type
            : programme.ChoiceOf(ContainerOptions.Bacteria) switch
            {
                "24-h" => type with { Hold = "24 h", HoldHours = Day, LabHours = 0 },
                "same-outing" => type with { Hold = "the same outing", LabHours = 0 },
                "unasked" => type with { Hold = "as the lab says", HoldHours = null, LabHours = 0 },
                _ => type,
            };

    private static string Words(Programme programme, Method method) =>
        method.Options.First(o => o.Code == programme.ChoiceOf(method)).Words;
}
