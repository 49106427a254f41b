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
            500,
            HoldHours: null
        )
        {
            Keep = Keeping.Ice,
            Hold = "filter within 24 h, better 4 h",
            LabelAlso = ["interval", "drops"],
            Rinses = 1,
            Drops = 5,
        },
        new(
            "chlorophyll-filter",
            "F",
            "chlorophyll",
            "vial, wholly in foil",
            null,
            "one filter folded in quarters",
            "syringe, one draw",
            0,
            FilledAt.Bench,
            672
        )
        {
            Keep = Keeping.Frozen,
            Hold = "28 days, to the turn-in date",
            LabelAlso = ["volume filtered"],
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
            1000
        )
        {
            Keep = Keeping.Ice,
            Hold = "24 h and lab hours",
            LabelAlso = ["interval"],
            Rinses = 1,
        },
        new(
            "phosphorus-dip",
            "P",
            "total phosphorus",
            "bottle",
            null,
            "until bubbles stop, then a little out for ice",
            "2, lake water",
            HoldHours: 672
        )
        {
            Keep = Keeping.Frozen,
            Hold = "28 days, to the turn-in date",
            LabelAlso = [],
            Rinses = 2,
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
            60,
            HoldHours: 672
        )
        {
            Keep = Keeping.Cold,
            Hold = "28 days, posted",
            LabelAlso = ["date in pencil"],
            Rinses = 2,
            PurityCounts = true,
        },
        new("phosphorus-composite", "P", "total phosphorus", "lab bottle", null, "below the lip", "as the lab says")
        {
            Keep = Keeping.Ice,
            Hold = "as the lab says",
            LabelAlso = ["interval"],
            Rinses = 1,
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
            1000
        )
        {
            Keep = Keeping.Ice,
            Hold = "24 h and lab hours",
            LabelAlso = ["layer"],
            Rinses = 1,
        },
        new(
            "acid-preserved",
            "A",
            "nutrients, acid",
            "small bottle, acid inside",
            "acid",
            "shoulder, poured from the plain one",
            "never",
            HoldHours: 672
        )
        {
            Keep = Keeping.Ice,
            Hold = "28 days, with the plain one",
            LabelAlso = ["layer"],
            Caution = AcidCaution,
            HoldsAcid = true,
        },
        new("solids", "S", "suspended solids", "plain bottle", null, "full", "3", 1000, HoldHours: 168)
        {
            Keep = Keeping.Cold,
            Hold = "7 days",
            LabelAlso = [],
            Rinses = 3,
        },
        new("nutrients-dissolved", "N", "dissolved nutrients", "plain bottle", null, "full, filtered on site", "3", HoldHours: 48)
        {
            Keep = Keeping.Cold,
            Hold = "48 h",
            LabelAlso = ["filtered or not"],
            Rinses = 3,
        },
        new("lake-container", "K", "to be split at the bench", "collapsible container", null, "top", "once, shaken", 4000, HoldHours: null)
        {
            Keep = Keeping.Cold,
            Hold = "split that day",
            LabelAlso = ["temperature"],
            Rinses = 1,
        },
        new("bacteria", "B", "bacteria", "small sterile bottle", null, "one scoop, 2–3 cm air", "never", HoldHours: 6)
        {
            Keep = Keeping.Ice,
            Hold = "6 h, and 2 h in the lab",
            LabelAlso = [],
            LabHours = 2,
            Sterile = true,
        },
        new("surf", "U", "surf zone", "jar or tie-top bag on a pole", null, "as caught, little sand", "never if sterile", HoldHours: 6)
        {
            Keep = Keeping.Ice,
            Hold = "same outing, 6 h",
            LabelAlso = ["site code before it is wet"],
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
            1000,
            HoldHours: null
        )
        {
            Keep = Keeping.Cold,
            Hold = "as the lab says",
            LabelAlso = ["pair number"],
            Rinses = 3,
            PurityCounts = true,
        },
        new("plastics-sand", "D", "plastics, sand", "jar", null, "full, top 2 cm", "none", HoldHours: null)
        {
            Keep = Keeping.Cold,
            Hold = "as the lab says",
            LabelAlso = ["pair number"],
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
            500
        )
        {
            Keep = Keeping.Ice,
            Hold = "shipped within 24 h, Monday–Wednesday",
            LabelAlso = ["bottle's code"],
            Rinses = 3,
            PurityCounts = true,
        },
        new("companion", "X", "companion sample", "as the lab says", null, "as the lab says", "as the lab says")
        {
            Keep = Keeping.Ice,
            Hold = "as the lab says; the water within 14 days of it",
            LabelAlso = [],
        },
        new(
            "seawater",
            "Y",
            "carbonate chemistry",
            "glass, fresh press-on cap",
            "1 drop fixative, inverted",
            "no bubbles, 1 % air",
            "3, same water",
            HoldHours: null
        )
        {
            Keep = Keeping.Room,
            Hold = "stable once fixed",
            LabelAlso = ["bottle number", "temperature", "salinity"],
            Caution = FixativeCaution,
            Rinses = 3,
            Drops = 1,
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
            1500
        )
        {
            Keep = Keeping.Cold,
            Hold = "as soon as can be",
            LabelAlso = ["the property's own sample name"],
            Rinses = 3,
        },
        new("bridge", "R", "river load", "bottle", null, "steady stream, shaken between", "sampler 3 dips", 1000)
        {
            Keep = Keeping.Ice,
            Hold = "as the lab says",
            LabelAlso = ["stage or flow"],
            Rinses = 1,
        },
        new("depth-water", "V", "water at a depth", "bottle", null, "as its analyte", "sampler 3 at depth", 1000)
        {
            Keep = Keeping.Ice,
            Hold = "as the lab says",
            LabelAlso = ["smell", "colour"],
            Rinses = 1,
        },
        new(
            "plankton-preserved",
            "T",
            "plankton",
            "jar",
            "stained alcohol, to 70 %",
            "cup and washings",
            "cup with the stain",
            HoldHours: null
        )
        {
            Keep = Keeping.Room,
            Hold = "months",
            LabelAlso = ["mesh", "mouth", "tow"],
            Caution = AlcoholCaution,
            Water = false,
        },
        new("plankton-live", "Z", "plankton, live", "jar, loose lid", null, "washed down, half full", "net from outside, filtered water")
        {
            Keep = Keeping.Cold,
            Hold = "hours",
            LabelAlso = ["mesh", "mouth", "tow"],
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
            HoldHours: null
        )
        {
            Keep = Keeping.Cold,
            Hold = "days; preserved months",
            LabelAlso = ["area", "grabs", "sieve mesh"],
            Caution = AlcoholCaution,
            Water = false,
        },
        new("bloom", "G", "harmful bloom", "bloom bottle", null, "half to three quarters", "none, gloves")
        {
            Keep = Keeping.Ice,
            Hold = "24 h",
            LabelAlso = ["photograph"],
            Caution = BloomCaution,
        },
        new("blank", "Q", "blank", "the sample's own bottle", null, "lab water opened on site", "as the sample")
        {
            Keep = Keeping.Ice,
            Hold = "as the sample",
            LabelAlso = ["BLANK"],
        },
    ];

    /// <summary>True for a bottle whose water goes through filters.</summary>
    public static bool ForFilters(string code) => code == "chlorophyll-water";

    /// <summary>True for a filter in its vial.</summary>
    public static bool OnFilter(string code) => code == "chlorophyll-filter";

    /// <summary>A type by its code; null where there is none.</summary>
    public static SampleType? Find(string code) => All.FirstOrDefault(t => t.Code == code);
}
