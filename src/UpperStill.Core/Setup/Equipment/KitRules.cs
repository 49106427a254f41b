namespace UpperStill.Core.Setup.Equipment;

/// <summary>A figure that an item of a kind should have, because results are worked out with it.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Words">For people, with the unit.</param>
public sealed record FigureRule(string Name, string Words);

/// <summary>What is asked of the items of one kind.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="Words">Its name for people.</param>
/// <param name="Crate">Where it is packed.</param>
/// <param name="Due">The check that falls due; null where none does.</param>
/// <param name="EveryDays">Days after which it falls due again; null where it is once a season, before the first visit.</param>
/// <param name="Checks">Checks that can be written down.</param>
/// <param name="Figures">Figures that belong to it.</param>
/// <param name="LookAt">What to look at before leaving.</param>
public sealed record KitRule(
    KitKind Kind,
    string Words,
    Crate Crate,
    KitCheckKind? Due,
    int? EveryDays,
    IReadOnlyList<KitCheckKind> Checks,
    IReadOnlyList<FigureRule> Figures,
    IReadOnlyList<string> LookAt
);

/// <summary>What is asked of each kind of item.</summary>
public static class KitRules
{
    private const int MeterEveryDays = 30;

    /// <summary>Every kind.</summary>
    public static IReadOnlyList<KitRule> All { get; } =
    [
        Season(
            KitKind.Line,
            "line or chain",
            Crate.Clarity,
            KitCheckKind.Taped,
            [],
            "knot sound",
            "marks legible",
            "long enough for today, and clean",
            "laid so that it cannot tangle"
        ),
        Season(
            KitKind.Disc,
            "disc",
            Crate.Clarity,
            KitCheckKind.LookedOver,
            [new("diameter-cm", "diameter, cm"), new("weight-g", "weight, g")],
            "clean, unscratched",
            "weight on",
            "knot sound"
        ),
        Season(KitKind.ViewingTube, "viewing tube", Crate.Clarity, KitCheckKind.LookedOver, [], "window clean", "no water inside"),
        Season(
            KitKind.CompositeSampler,
            "composite sampler",
            Crate.Chlorophyll,
            KitCheckKind.Counted,
            [
                new("mouth-mm", "width of the mouth, mm"),
                new("tube-height-mm", "height of the glass tubes, mm"),
                new("volume-l", "volume, L"),
            ],
            "every part counted: bottle, stopper, glass tubes, weight, line"
        ),
        Season(
            KitKind.BottleSampler,
            "bottle sampler",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [
                new("volume-l", "volume, L"),
                new("fall-speed-ms", "fall speed of the messenger, m/s"),
                new("length-cm", "length of the sampler, cm"),
            ],
            "no cracks, no leaks",
            "seals firm",
            "stretch tubing pulls hard enough to shut",
            "clamps tight",
            "line unfrayed where it enters the trip",
            "knot sound",
            "taps and vent close",
            "messenger and its carrier aboard"
        ) with
        {
            Checks = [KitCheckKind.LookedOver, KitCheckKind.Timed],
        },
        Season(
            KitKind.Meter,
            "meter",
            Crate.Profile,
            KitCheckKind.Calibrated,
            [],
            "charged",
            "probes moist",
            "guard aboard",
            "calibration kit",
            "display on mg/L after calibrating"
        ) with
        {
            EveryDays = MeterEveryDays,
            Checks = [KitCheckKind.Calibrated, KitCheckKind.EndCheck, KitCheckKind.LookedOver],
        },
        Season(KitKind.Thermometer, "thermometer", Crate.Profile, KitCheckKind.IcePoint, [], "unbroken column", "in its case"),
        Season(KitKind.Refractometer, "refractometer", Crate.Profile, KitCheckKind.Zeroed, [], "glass clean", "reads 0 in distilled water"),
        Season(
            KitKind.Net,
            "net",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [
                new("mesh-um", "mesh, µm"),
                new("mouth-radius-cm", "radius of the mouth, cm"),
                new("efficiency-percent", "share of the water in its way that goes through, %; 100 where nobody measured it"),
                new("m-per-turn", "flow meter in the mouth, m for each turn"),
            ],
            "no holes",
            "cup screwed, clip shut",
            "wash bottle"
        ),
        Season(
            KitKind.Grab,
            "bottom grab",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [new("area-cm2", "area of the jaws, cm²")],
            "safety pin and spring pin",
            "jaws close"
        ),
        Season(
            KitKind.Rake,
            "plant rake",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [new("width-cm", "width of the head, cm")],
            "tines straight",
            "rope sound, marked in metres",
            "clean and dry"
        ),
        Season(
            KitKind.Sieve,
            "sieve or sieve bucket",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [new("mesh-um", "mesh, µm")],
            "no holes",
            "rim tight"
        ),
        Season(
            KitKind.Quadrat,
            "quadrat",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [new("side-cm", "inner side, cm")],
            "corners square",
            "no plastic that sheds"
        ),
        Season(KitKind.Pole, "pole with a holder", Crate.Bottles, KitCheckKind.LookedOver, [], "holder tight", "joints locked"),
        Season(
            KitKind.Mesh,
            "mesh",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [new("mesh-um", "mesh, µm")],
            "whole, held to the light",
            "rinsed and dry"
        ),
        Season(KitKind.Bucket, "bucket with a line", Crate.Bottles, KitCheckKind.LookedOver, [], "handle and knot sound", "rinsed"),
        Season(
            KitKind.CurrentMeter,
            "current meter",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [new("speed-min-ms", "slowest speed it reads, m/s"), new("speed-max-ms", "fastest, m/s")],
            "rotor turns freely",
            "charged",
            "rod and tape with it"
        ),
        Season(KitKind.Staff, "staff", Crate.Bottles, KitCheckKind.LookedOver, [], "marks legible"),
        Season(
            KitKind.CountingCell,
            "counting cell",
            Crate.Bottles,
            KitCheckKind.LookedOver,
            [new("volume-ml", "volume, mL")],
            "glass clean, no scratches"
        ),
        Lot(
            KitKind.Filters,
            "lot of filters",
            Crate.Chlorophyll,
            [new("diameter-mm", "diameter, mm"), new("pore-um", "pore, µm"), new("left", "left in the box")],
            "filters, not only separators"
        ),
        Lot(
            KitKind.Bottles,
            "lot of bottles or vials",
            Crate.Bottles,
            [new("volume-ml", "volume, mL"), new("left", "left")],
            "clean, capped, labelled",
            "acid and sterile ones told apart"
        ),
        Lot(
            KitKind.Reagent,
            "preservative, fixative or standard",
            Crate.Chlorophyll,
            [new("strength-percent", "strength of alcohol, %")],
            "in date",
            "shaken before use",
            "gloves and eye protection with it"
        ),
        Lot(KitKind.Other, "other", Crate.Bottles, [], "whole and clean"),
    ];

    /// <summary>What is asked of a kind.</summary>
    public static KitRule Of(KitKind kind) => All.First(r => r.Kind == kind);

    private static KitRule Season(
        KitKind kind,
        string words,
        Crate crate,
        KitCheckKind due,
        IReadOnlyList<FigureRule> figures,
        params string[] lookAt
    ) => new(kind, words, crate, due, null, due == KitCheckKind.LookedOver ? [due] : [due, KitCheckKind.LookedOver], figures, lookAt);

    private static KitRule Lot(KitKind kind, string words, Crate crate, IReadOnlyList<FigureRule> figures, params string[] lookAt) =>
        new(kind, words, crate, null, null, [KitCheckKind.LookedOver], figures, lookAt);
}
