namespace UpperStill.Core.Setup.Samples;

/// <summary>The sample types, with the usual practice for each; a programme may ask for others.</summary>
public static class SampleTypes
{
    private const string AcidCaution = "Acid burns: gloves, eye protection, the safety sheet; poured from the plain bottle, never dipped.";
    private const string FixativeCaution = "The fixative is poison: gloves, eye protection, the safety sheet.";
    private const string AlcoholCaution = "Alcohol burns easily: gloves, no flame.";
    private const string BloomCaution = "May be poisonous: gloves, do not touch, keep dogs out.";

    /// <summary>Every type.</summary>
    public static IReadOnlyList<SampleType> All { get; } =
    [
        new(
            "chlorophyll-water",
            "C",
            "chlorophyll, to filter",
            "amber bottle",
            "MgCO3, 5 drops, shaken first",
            "just below the neck",
            "once with a little sample",
            Keeping.Ice,
            "filter within 24 h, better 4 h",
            ["interval", "drops"],
            VolumeMl: 500,
            Rinses: 1,
            Drops: 5,
            HoldHours: null
        ),
        new(
            "chlorophyll-filter",
            "F",
            "chlorophyll",
            "vial, wholly in foil",
            null,
            "one filter folded in quarters",
            "syringe, one draw",
            Keeping.Frozen,
            "28 days, to the turn-in date",
            ["volume filtered"],
            VolumeMl: 0,
            FilledAt: FilledAt.Bench,
            HoldHours: 672
        )
        {
            Water = false,
        },
        new(
            "chlorophyll-lab",
            "C",
            "chlorophyll",
            "large amber bottle",
            null,
            "neck",
            "bucket with lake water, bottle with bucket water",
            Keeping.Ice,
            "24 h and lab hours",
            ["interval"],
            VolumeMl: 1000,
            Rinses: 1
        ),
        new(
            "phosphorus-dip",
            "P",
            "total phosphorus",
            "bottle",
            null,
            "until bubbles stop, then a little out for ice",
            "2, lake water",
            Keeping.Frozen,
            "28 days, to the turn-in date",
            [],
            Rinses: 2,
            HoldHours: 672
        )
        {
            PurityCounts = true,
        },
        new(
            "phosphorus-mesh",
            "P",
            "total phosphorus, through a mesh",
            "glass tube",
            null,
            "1 cm over the line",
            "2, filtered water only",
            Keeping.Cold,
            "28 days, posted",
            ["date in pencil"],
            VolumeMl: 60,
            Rinses: 2,
            HoldHours: 672
        )
        {
            PurityCounts = true,
        },
        new(
            "phosphorus-composite",
            "P",
            "total phosphorus",
            "lab bottle",
            null,
            "below the lip",
            "as the lab says",
            Keeping.Ice,
            "as the lab says",
            ["interval"],
            Rinses: 1
        )
        {
            PurityCounts = true,
        },
        new(
            "layer-plain",
            "L",
            "layer chemistry",
            "large white bottle",
            null,
            "top, topped up after feeding the acid bottle",
            "once, a little",
            Keeping.Ice,
            "24 h and lab hours",
            ["layer"],
            VolumeMl: 1000,
            Rinses: 1
        ),
        new(
            "acid-preserved",
            "A",
            "nutrients, acid",
            "small bottle, acid inside",
            "acid",
            "shoulder, poured from the plain one",
            "never",
            Keeping.Ice,
            "28 days, with the plain one",
            ["layer"],
            AcidCaution,
            HoldHours: 672
        )
        {
            HoldsAcid = true,
        },
        new(
            "solids",
            "S",
            "suspended solids",
            "plain bottle",
            null,
            "full",
            "3",
            Keeping.Cold,
            "7 days",
            [],
            VolumeMl: 1000,
            Rinses: 3,
            HoldHours: 168
        ),
        new(
            "nutrients-dissolved",
            "N",
            "dissolved nutrients",
            "plain bottle",
            null,
            "full, filtered on site",
            "3",
            Keeping.Cold,
            "48 h",
            ["filtered or not"],
            Rinses: 3,
            HoldHours: 48
        ),
        new(
            "lake-container",
            "K",
            "to be split at the bench",
            "collapsible container",
            null,
            "top",
            "once, shaken",
            Keeping.Cold,
            "split that day",
            ["temperature"],
            VolumeMl: 4000,
            Rinses: 1,
            HoldHours: null
        ),
        new(
            "bacteria",
            "B",
            "bacteria",
            "small sterile bottle",
            null,
            "one scoop, 2–3 cm air",
            "never",
            Keeping.Ice,
            "6 h, and 2 h in the lab",
            [],
            HoldHours: 6,
            LabHours: 2
        )
        {
            Sterile = true,
        },
        new(
            "surf",
            "U",
            "surf zone",
            "jar or tie-top bag on a pole",
            null,
            "as caught, little sand",
            "never if sterile",
            Keeping.Ice,
            "same outing, 6 h",
            ["site code before it is wet"],
            HoldHours: 6
        )
        {
            Sterile = true,
        },
        new(
            "plastics-water",
            "W",
            "plastics, water",
            "jar",
            null,
            "full, capped under water",
            "3 whole fills, down-current",
            Keeping.Cold,
            "as the lab says",
            ["pair number"],
            VolumeMl: 1000,
            Rinses: 3,
            HoldHours: null
        )
        {
            PurityCounts = true,
        },
        new(
            "plastics-sand",
            "D",
            "plastics, sand",
            "jar",
            null,
            "full, top 2 cm",
            "none",
            Keeping.Cold,
            "as the lab says",
            ["pair number"],
            HoldHours: null
        )
        {
            Water = false,
            PurityCounts = true,
        },
        new(
            "mercury",
            "M",
            "mercury, ultra-clean",
            "plastic bottle in two bags",
            null,
            "brim, capped under water",
            "bottle and cap 3, little",
            Keeping.Ice,
            "shipped within 24 h, Monday–Wednesday",
            ["bottle's code"],
            VolumeMl: 500,
            Rinses: 3
        )
        {
            PurityCounts = true,
        },
        new(
            "companion",
            "X",
            "companion sample",
            "as the lab says",
            null,
            "as the lab says",
            "as the lab says",
            Keeping.Ice,
            "as the lab says; the water within 14 days of it",
            []
        ),
        new(
            "seawater",
            "Y",
            "carbonate chemistry",
            "glass, fresh press-on cap",
            "1 drop fixative, inverted",
            "no bubbles, 1 % air",
            "3, same water",
            Keeping.Room,
            "stable once fixed",
            ["bottle number", "temperature", "salinity"],
            FixativeCaution,
            Rinses: 3,
            Drops: 1,
            HoldHours: null
        )
        {
            NoBubbles = true,
        },
        new(
            "farm-pond",
            "O",
            "water for farm use",
            "1.5 L bottle",
            null,
            "2–3 cm headspace",
            "3 quarter fills, capped, shaken, poured away",
            Keeping.Cold,
            "as soon as can be",
            ["the property's own sample name"],
            VolumeMl: 1500,
            Rinses: 3
        ),
        new(
            "bridge",
            "R",
            "river load",
            "bottle",
            null,
            "steady stream, shaken between",
            "sampler 3 dips",
            Keeping.Ice,
            "as the lab says",
            ["stage or flow"],
            VolumeMl: 1000,
            Rinses: 1
        ),
        new(
            "depth-water",
            "V",
            "water at a depth",
            "bottle",
            null,
            "as its analyte",
            "sampler 3 at depth",
            Keeping.Ice,
            "as the lab says",
            ["smell", "colour"],
            VolumeMl: 1000,
            Rinses: 1
        ),
        new(
            "plankton-preserved",
            "T",
            "plankton",
            "jar",
            "stained alcohol, to 70 %",
            "cup and washings",
            "cup with the stain",
            Keeping.Room,
            "months",
            ["mesh", "mouth", "tow"],
            AlcoholCaution,
            HoldHours: null
        )
        {
            Water = false,
        },
        new(
            "plankton-live",
            "Z",
            "plankton, live",
            "jar, loose lid",
            null,
            "washed down, half full",
            "net from outside, filtered water",
            Keeping.Cold,
            "hours",
            ["mesh", "mouth", "tow"]
        )
        {
            Water = false,
        },
        new(
            "bottom-animals",
            "I",
            "bottom animals",
            "jar",
            "alcohol, or live",
            "residue of the sieve",
            "sieve at the surface",
            Keeping.Cold,
            "days; preserved months",
            ["area", "grabs", "sieve mesh"],
            AlcoholCaution,
            HoldHours: null
        )
        {
            Water = false,
        },
        new(
            "bloom",
            "G",
            "harmful bloom",
            "bloom bottle",
            null,
            "half to three quarters",
            "none, gloves",
            Keeping.Ice,
            "24 h",
            ["photograph"],
            BloomCaution
        ),
        new(
            "blank",
            "Q",
            "blank",
            "the sample's own bottle",
            null,
            "lab water opened on site",
            "as the sample",
            Keeping.Ice,
            "as the sample",
            ["BLANK"]
        ),
    ];

    /// <summary>True for a bottle whose water goes through filters.</summary>
    public static bool ForFilters(string code) => code == "chlorophyll-water";

    /// <summary>True for a filter in its vial.</summary>
    public static bool OnFilter(string code) => code == "chlorophyll-filter";

    /// <summary>A type by its code; null where there is none.</summary>
    public static SampleType? Find(string code) => All.FirstOrDefault(t => t.Code == code);
}
