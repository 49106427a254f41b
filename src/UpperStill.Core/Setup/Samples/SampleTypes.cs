namespace UpperStill.Core.Setup.Samples;

/// <summary>The sample types, with the usual practice for each; a programme may ask for others.</summary>
public static class SampleTypes
{
    private const string AcidCaution = "Acid burns: gloves, eye protection, the safety sheet; poured from the plain bottle, never dipped.";
    private const string FixativeCaution = "The fixative is poison: gloves, eye protection, the safety sheet.";
    private const string AlcoholCaution = "Alcohol burns easily: gloves, no flame.";
    private const string BloomCaution = "May be poisonous: gloves, do not touch, keep dogs out.";

    /// <summary>Animals of the bottom in a jar.</summary>
    public const string BottomAnimals = "bottom-animals";

    /// <summary>Hours that live animals stand on ice.</summary>
    public const int LiveHours = 72;

    /// <summary>Every type.</summary>
    public static IReadOnlyList<SampleType> All { get; } =
    [
        new(
            "chlorophyll-water",
            "C",
            "chlorophyll, to filter",
            "amber bottle",
            new Preservative("MgCO3", "MgCO3, 5 drops, shaken first", 5),
            new FillLevel("just below the neck"),
            new RinseRule(1, "once with a little sample"),
            500,
            HoldHours: null
        )
        {
            Keep = Keeping.Ice,
            Hold = "filter within 24 h, better 4 h",
            LabelAlso = ["interval", "drops"],
        },
        new(
            "chlorophyll-filter",
            "F",
            "chlorophyll",
            "vial, wholly in foil",
            null,
            new FillLevel("one filter folded in quarters"),
            new RinseRule(0, "syringe, one draw"),
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
            new FillLevel("neck"),
            new RinseRule(1, "bucket with lake water, bottle with bucket water"),
            1000
        )
        {
            Keep = Keeping.Ice,
            Hold = "24 h and lab hours",
            LabelAlso = ["interval"],
        },
        new(
            "phosphorus-dip",
            "P",
            "total phosphorus",
            "bottle",
            null,
            new FillLevel("until bubbles stop, then a little out for ice"),
            new RinseRule(2, "2, lake water"),
            HoldHours: 672
        )
        {
            Keep = Keeping.Frozen,
            Hold = "28 days, to the turn-in date",
            LabelAlso = [],
            PurityCounts = true,
        },
        new(
            "phosphorus-mesh",
            "P",
            "total phosphorus, through a mesh",
            "glass tube",
            null,
            new FillLevel("1 cm over the line"),
            new RinseRule(2, "2, filtered water only"),
            60,
            HoldHours: 672
        )
        {
            Keep = Keeping.Cold,
            Hold = "28 days, posted",
            LabelAlso = ["date in pencil"],
            PurityCounts = true,
        },
        new(
            "phosphorus-composite",
            "P",
            "total phosphorus",
            "lab bottle",
            null,
            new FillLevel("below the lip"),
            new RinseRule(1, "as the lab says")
        )
        {
            Keep = Keeping.Ice,
            Hold = "as the lab says",
            LabelAlso = ["interval"],
            PurityCounts = true,
        },
        new(
            "layer-plain",
            "L",
            "layer chemistry",
            "large white bottle",
            null,
            new FillLevel("top, topped up after feeding the acid bottle"),
            new RinseRule(1, "once, a little"),
            1000
        )
        {
            Keep = Keeping.Ice,
            Hold = "24 h and lab hours",
            LabelAlso = ["layer"],
        },
        new(
            "acid-preserved",
            "A",
            "nutrients, acid",
            "small bottle, acid inside",
            Preservative.Acid,
            new FillLevel("shoulder, poured from the plain one"),
            new RinseRule(0, "never"),
            HoldHours: 672
        )
        {
            Keep = Keeping.Ice,
            Hold = "28 days, with the plain one",
            LabelAlso = ["layer"],
            Caution = AcidCaution,
        },
        new("solids", "S", "suspended solids", "plain bottle", null, new FillLevel("full"), new RinseRule(3, "3"), 1000, HoldHours: 168)
        {
            Keep = Keeping.Cold,
            Hold = "7 days",
            LabelAlso = [],
        },
        new(
            "nutrients-dissolved",
            "N",
            "dissolved nutrients",
            "plain bottle",
            null,
            new FillLevel("full, filtered on site"),
            new RinseRule(3, "3"),
            HoldHours: 48
        )
        {
            Keep = Keeping.Cold,
            Hold = "48 h",
            LabelAlso = ["filtered or not"],
        },
        new(
            "lake-container",
            "K",
            "to be split at the bench",
            "collapsible container",
            null,
            new FillLevel("top"),
            new RinseRule(1, "once, shaken"),
            4000,
            HoldHours: null
        )
        {
            Keep = Keeping.Cold,
            Hold = "split that day",
            LabelAlso = ["temperature"],
        },
        new(
            "bacteria",
            "B",
            "bacteria",
            "small sterile bottle",
            null,
            new FillLevel("one scoop, 2–3 cm air"),
            new RinseRule(0, "never"),
            HoldHours: 6
        )
        {
            Keep = Keeping.Ice,
            Hold = "6 h, and 2 h in the lab",
            LabelAlso = [],
            LabHours = 2,
            Sterile = true,
        },
        new(
            "surf",
            "U",
            "surf zone",
            "jar or tie-top bag on a pole",
            null,
            new FillLevel("as caught, little sand"),
            new RinseRule(0, "never if sterile"),
            HoldHours: 6
        )
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
            new FillLevel("full, capped under water"),
            new RinseRule(3, "3 whole fills, down-current"),
            1000,
            HoldHours: null
        )
        {
            Keep = Keeping.Cold,
            Hold = "as the lab says",
            LabelAlso = ["pair number"],
            PurityCounts = true,
        },
        new("plastics-sand", "D", "plastics, sand", "jar", null, new FillLevel("full, top 2 cm"), new RinseRule(0, "none"), HoldHours: null)
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
            new FillLevel("brim, capped under water"),
            new RinseRule(3, "bottle and cap 3, little"),
            500
        )
        {
            Keep = Keeping.Ice,
            Hold = "shipped within 24 h, Monday–Wednesday",
            LabelAlso = ["bottle's code"],
            Shipped = true,
            PurityCounts = true,
        },
        new(
            "companion",
            "X",
            "companion sample",
            "as the lab says",
            null,
            new FillLevel("as the lab says"),
            new RinseRule(0, "as the lab says")
        )
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
            new Preservative("fixative", "1 drop fixative, inverted", 1),
            new FillLevel("no bubbles, 1 % air", true),
            new RinseRule(3, "3, same water"),
            HoldHours: null
        )
        {
            Keep = Keeping.Room,
            Hold = "stable once fixed",
            LabelAlso = ["bottle number", "temperature", "salinity"],
            Caution = FixativeCaution,
        },
        new(
            "farm-pond",
            "O",
            "water for farm use",
            "1.5 L bottle",
            null,
            new FillLevel("2–3 cm headspace"),
            new RinseRule(3, "3 quarter fills, capped, shaken, poured away"),
            1500
        )
        {
            Keep = Keeping.Cold,
            Hold = "as soon as can be",
            LabelAlso = ["the property's own sample name"],
        },
        new(
            "bridge",
            "R",
            "river load",
            "bottle",
            null,
            new FillLevel("steady stream, shaken between"),
            new RinseRule(1, "sampler 3 dips"),
            1000
        )
        {
            Keep = Keeping.Ice,
            Hold = "as the lab says",
            LabelAlso = ["stage or flow"],
        },
        new("stream", "E", "stream water", "plain bottle", null, new FillLevel("full, mid-depth"), new RinseRule(3, "3, behind you"), 1000)
        {
            Keep = Keeping.Ice,
            Hold = "as the lab says",
            LabelAlso = ["stage or flow"],
        },
        new(
            "depth-water",
            "V",
            "water at a depth",
            "bottle",
            null,
            new FillLevel("as its analyte"),
            new RinseRule(1, "sampler 3 at depth"),
            1000
        )
        {
            Keep = Keeping.Ice,
            Hold = "as the lab says",
            LabelAlso = ["smell", "colour"],
        },
        new(
            "plankton-preserved",
            "T",
            "plankton",
            "jar",
            new Preservative("stained alcohol", "stained alcohol, to 70 %"),
            new FillLevel("cup and washings"),
            new RinseRule(0, "cup with the stain"),
            HoldHours: null
        )
        {
            Keep = Keeping.Room,
            Hold = "months",
            LabelAlso = ["mesh", "mouth", "tow"],
            Caution = AlcoholCaution,
            Water = false,
        },
        new(
            "plankton-live",
            "Z",
            "plankton, live",
            "jar, loose lid",
            null,
            new FillLevel("washed down, half full"),
            new RinseRule(0, "net from outside, filtered water")
        )
        {
            Keep = Keeping.Cold,
            Hold = "hours",
            LabelAlso = ["mesh", "mouth", "tow"],
            Water = false,
        },
        new(
            BottomAnimals,
            "I",
            "bottom animals",
            "jar",
            new Preservative("alcohol", "alcohol, or live"),
            new FillLevel("residue of the sieve"),
            new RinseRule(0, "sieve at the surface"),
            HoldHours: null
        )
        {
            Keep = Keeping.Cold,
            Hold = "days; preserved months",
            LabelAlso = ["area", "grabs", "sieve mesh"],
            Caution = AlcoholCaution,
            Water = false,
        },
        new("bloom", "G", "harmful bloom", "bloom bottle", null, new FillLevel("half to three quarters"), new RinseRule(0, "none, gloves"))
        {
            Keep = Keeping.Ice,
            Hold = "24 h",
            LabelAlso = ["photograph"],
            Caution = BloomCaution,
        },
        new(
            "blank",
            "Q",
            "blank",
            "the sample's own bottle",
            null,
            new FillLevel("lab water opened on site"),
            new RinseRule(0, "as the sample")
        )
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
