using UpperStill.Core.Record.Fills;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class BottlesOptions
{
    /// <summary>Gloves.</summary>
    public static readonly Method Gloves = Method.Of(
        MethodGroup.Visit,
        "protocol.gloves",
        "Gloves",
        "Contamination or harm.",
        [
            "where-needed: ultra-clean, phosphorus, plastics, blooms, acids and fixatives",
            "always: always",
            "lab-bottles: before lab bottles",
            "blooms: only for blooms",
            "unasked: not asked",
        ]
    );

    /// <summary>Surface depth.</summary>
    public static readonly Method SurfaceDepth = Method.Of(
        MethodGroup.Bottles,
        "bottle.surface-depth",
        "Surface depth",
        "Under the film.",
        [
            "1.5-m: 1.5 m (5 ft) with a sampler, 0.3 m by hand",
            "zero: at the surface",
            "hand: just under, by hand",
            "6-12-in: 6–12 in",
            "one-foot: one foot",
            "arm: arm’s length",
            "knee: knee-deep water",
        ],
        breaks: true
    );

    /// <summary>Deep depth.</summary>
    public static readonly Method DeepRule = Method.Of(
        MethodGroup.Bottles,
        "bottle.deep-rule",
        "Deep depth",
        "Never in the mud.",
        [
            "whole-metre: whole metre, 1–2 m above the bottom",
            "marks: just off the bottom, by marks",
            "touch: touch, then lift a little",
            "layers: per thermal layer, preset",
            "fixed: a fixed great depth",
        ],
        breaks: true
    );

    /// <summary>Touching bottom.</summary>
    public static readonly Method TouchBottom = Method.Of(
        MethodGroup.Bottles,
        "bottle.touch-bottom",
        "Touching bottom",
        "Stirred mud spoils the sample.",
        ["never: never with a sampler or probe", "allowed: allowed, to find the depth, then raise"],
        guideOnly: true
    );

    /// <summary>Messenger.</summary>
    public static readonly Method Messenger = Method.Of(
        MethodGroup.Bottles,
        "sampler.messenger",
        "Messenger",
        "An early trip costs a cast.",
        ["hand: in the hand while lowering", "at-depth: put on the line at depth", "above: on the line above; some trips need a tug"],
        guideOnly: true
    );

    /// <summary>Rinsing the sampler.</summary>
    public static readonly Method SamplerRinses = Method.Of(
        MethodGroup.Bottles,
        "sampler.rinses",
        "Rinsing the sampler",
        "Last water out.",
        [
            "three-depth: three times at depth, anew at each station",
            "three-dips: three dips",
            "once: once",
            "between: between stations",
            "unasked: not asked",
        ]
    );

    /// <summary>First spurt.</summary>
    public static readonly Method Purge = Method.Of(
        MethodGroup.Bottles,
        "sampler.purge",
        "First spurt",
        "Clears the tap of grit.",
        ["waste: to waste", "unasked: not asked"],
        guideOnly: true
    );

    /// <summary>Rinse amount.</summary>
    public static readonly Method RinseAmount = Method.Of(
        MethodGroup.Samples,
        "container.rinse-amount",
        "Rinse amount",
        "Enough to wet every wall.",
        [
            "tenth: 10 % of the bottle, shaken",
            "whole: whole fill",
            "quarter: quarter, capped and shaken",
            "little: a little",
            "draw: one syringe draw",
        ],
        guideOnly: true
    );

    /// <summary>Rinse water.</summary>
    public static readonly Method RinseWith = Method.Of(
        MethodGroup.Samples,
        "container.rinse-with",
        "Rinse water",
        "Same water, no more.",
        ["sample: the sample itself", "site: site water", "filtered: filtered water only"],
        guideOnly: true
    );

    /// <summary>Rinse goes.</summary>
    public static readonly Method RinseTo = Method.Of(
        MethodGroup.Samples,
        "container.rinse-to",
        "Rinse goes",
        "Not back into the sample.",
        ["down-current: down-current", "away: away from the spot", "other-side: other side of the boat", "back: back in"],
        guideOnly: true
    );

    /// <summary>Capping.</summary>
    public static readonly Method Cap = Method.Of(
        MethodGroup.Samples,
        "container.cap",
        "Capping",
        "Keeps air and film out.",
        [
            "at-once: at once; under water for ultra-clean and plastics",
            "under-water: under water",
            "ashore: ashore only",
            "after-fixing: after fixing",
        ],
        guideOnly: true
    );

    /// <summary>Mixing after the drops.</summary>
    public static readonly Method Mix = Method.Of(
        MethodGroup.Samples,
        "preservative.mix",
        "Mixing after the drops",
        "Shaking breaks cells and adds air.",
        ["swirl: swirl; invert fixed seawater", "shake: shake", "invert: invert"],
        guideOnly: true
    );

    /// <summary>Replicates.</summary>
    public static readonly Method Replicates = Method.Of(
        MethodGroup.Samples,
        "sample.replicates",
        "Replicates",
        "Shows the noise.",
        [
            "one: one for chlorophyll and phosphorus, else none",
            "second: a second bottle",
            "three: three bottles",
            "two-tubes: two tubes",
            "station: one per station",
            "none: none",
        ]
    );

    /// <summary>No deep bottle where the water is shallower than, m.</summary>
    public static readonly Threshold DeepLeast = new(
        "bottle.deep-least",
        MethodGroup.Bottles,
        "No deep bottle where the water is shallower than",
        "m",
        5,
        1,
        20
    );

    /// <summary>The fixed great depth, where that is the rule, m.</summary>
    public static readonly Threshold DeepFixed = new(
        "bottle.deep-fixed",
        MethodGroup.Bottles,
        "The fixed great depth, where that is the rule",
        "m",
        10,
        1,
        5000
    );

    /// <summary>A sampler keeps off the bottom by, m.</summary>
    public static readonly Threshold Clearance = new(
        "bottle.clearance",
        MethodGroup.Bottles,
        "A sampler keeps off the bottom by",
        "m",
        1,
        0.1m,
        10
    );

    /// <summary>Of a sampler’s volume can be used, %.</summary>
    public static readonly Threshold WaterShort = new(
        "checks.water-short",
        MethodGroup.Bottles,
        "Of a sampler’s volume can be used",
        "%",
        95,
        50,
        100
    );

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } =
    [
        Gloves,
        SurfaceDepth,
        DeepRule,
        TouchBottom,
        Messenger,
        SamplerRinses,
        Purge,
        FillOptions.Sediment,
        ContainerOptions.Rinses,
        RinseAmount,
        RinseWith,
        RinseTo,
        ContainerOptions.Fill,
        Cap,
        Mix,
        Replicates,
    ];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [DeepLeast, DeepFixed, Clearance, WaterShort];
}
