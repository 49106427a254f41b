using UpperStill.Core.Protocols.Header;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class SecchiOptions
{
    /// <summary>Midpoint.</summary>
    public static readonly Method Midpoint = Method.Of(
        MethodGroup.Clarity,
        "clarity.midpoint",
        "Midpoint",
        "Both marks stay on record; a folded midpoint may be entered alone.",
        ["marks: two marks read, averaged", "folded: rope folded between two clips", "fingers: clip or fingers"]
    );

    /// <summary>Going past.</summary>
    public static readonly Method Overshoot = Method.Of(
        MethodGroup.Clarity,
        "clarity.overshoot",
        "Going past",
        "The disc must be truly lost.",
        ["foot: 0.3 m (a foot) or more", "feet: several feet", "unasked: not asked"],
        guideOnly: true
    );

    /// <summary>Order in the mean.</summary>
    public static readonly Method Mean = Method.Of(
        MethodGroup.Clarity,
        "clarity.mean",
        "Order in the mean",
        "No reading outweighs another.",
        [
            "midpoints: each reading first, then the mean of the unrounded readings",
            "lowering: down and up of one lowering",
            "reappearances: mean of two reappearances",
        ],
        breaks: true
    );

    /// <summary>Side of the boat.</summary>
    public static readonly Method Side = Method.Of(
        MethodGroup.Clarity,
        "clarity.side",
        "Side of the boat",
        "Glare shortens the reading.",
        ["shaded: shaded", "sunny-tube: sunny, with a viewing tube", "unasked: not asked"],
        breaks: true
    );

    /// <summary>Sunglasses.</summary>
    public static readonly Method Glasses = Method.Of(
        MethodGroup.Clarity,
        "clarity.glasses",
        "Sunglasses",
        "They change contrast.",
        ["off: off", "unasked: not asked"]
    );

    /// <summary>Disc.</summary>
    public static readonly Method Disc = Method.Of(
        MethodGroup.Clarity,
        "clarity.disc",
        "Disc",
        "What most series used.",
        [
            "quartered-20: black and white quarters, 20 cm",
            "white-20: all white, 20 cm",
            "quartered-30: black and white quarters, 30–40 cm",
            "white-30: all white, 30–40 cm, at sea",
        ],
        breaks: true
    );

    /// <summary>What it is called.</summary>
    public static readonly Method Name = Method.Of(
        MethodGroup.Clarity,
        "clarity.name",
        "What it is called",
        "It is a length, whatever the sheet calls it.",
        [
            "clarity: clarity (Secchi depth)",
            "secchi: Secchi depth",
            "transparency: transparency",
            "turbidity: written in a box called turbidity",
        ]
    );

    /// <summary>What a programme calls the result, at the head of a figure.</summary>
    internal static string Named(Programme programme) =>
        programme.ChoiceOf(Name) switch
        {
            "secchi" => "Secchi depth",
            "transparency" => "Transparency",
            "turbidity" => "Clarity, in the box called turbidity",
            _ => "Clarity",
        };

    // As its step is called: short, and as it ends "On to …".
    internal static (string Title, string Way) Step(Programme programme) =>
        programme.ChoiceOf(Name) switch
        {
            "secchi" => ("Secchi depth", "the Secchi depth"),
            "transparency" => ("Transparency", "transparency"),
            _ => ("Clarity", "clarity"),
        };

    // Where its step stands in the order of work.
    internal static int RankOf(Programme programme) =>
        programme.ChoiceOf(HeaderOptions.WorkOrder) switch
        {
            "clarity-first" => StepRank.ClarityFirst,
            "samples-first" => StepRank.ClarityLast,
            _ => StepRank.Clarity,
        };

    /// <summary>Colour.</summary>
    public static readonly Method Method = Method.Of(
        MethodGroup.Clarity,
        "colour.method",
        "Colour",
        "Repeatable.",
        [
            "chart-half: chart on the white quarter at half the clarity",
            "words-foot: clear or murky and a colour word, at one foot",
            "remark: free remark",
            "none: not asked",
        ]
    );

    /// <summary>Opinion.</summary>
    public static readonly Method Questions = Method.Of(
        MethodGroup.Clarity,
        "opinion.questions",
        "Opinion",
        "One touch.",
        ["algae: algae 1–5", "named: several named questions", "remarks: remarks", "none: not asked"]
    );

    /// <summary>Sun low: under, °.</summary>
    public static readonly Threshold SunLow = new("checks.sun-low", MethodGroup.Clarity, "Sun low: under", "°", 30, 0, 80);

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [Midpoint, Overshoot, Mean, Side, Glasses, Disc, Name, Method, Questions];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [SunLow, LineLean.Large];
}
