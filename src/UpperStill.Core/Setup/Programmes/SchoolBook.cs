using Group = UpperStill.Core.Setup.Programmes.SchoolGroup;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>
/// Every school that a programme chooses by name. What is worked with in arithmetic (end point, rounding, composite depth, hours,
/// rhythm) stands in the programme as itself; see <see cref="Programme"/>.
/// </summary>
public static class SchoolBook
{
    /// <summary>Every school, in the order of the work.</summary>
    public static IReadOnlyList<School> All { get; } =
    [
        Of(Group.Visit, "station.found-by", "Finding the station", "A position and a sounding each fail alone; landmarks are kept as second proof.",
            ["radius: position within the radius, and a sounding", "transits: four landmarks as two lines", "bearings: three bearings", "sounding: depth finder or sounding alone", "dam: the dam end of a reservoir", "markers: markers laid out on a beach", "path: path or stairs, from the shore", "memory: memory, or the coordinator shows it"]),
        Of(Group.Visit, "station.depth-tolerance", "Depth check of the station", "10 %, never finer than 0.3 m: a shallow lake’s level moves that much.",
            ["percent: within the limit below", "none: no check"]),
        Of(Group.Visit, "season.stations", "Stations on a water", "Basins differ.",
            ["basin: one per basin", "deepest: one, at the deepest point", "size: more with the size of the lake"]),
        Of(Group.Visit, "visit.anchor", "Anchor", "Drift moves place and depth.",
            ["required: required, with spare line", "advised: advised", "unasked: not asked"]),
        Of(Group.Visit, "visit.hours-rule", "Hours and the tide", "High sun gives the longest usable day; a shore in the tide follows the water instead.",
            ["window: within the hours above", "same-time: the same time each visit, in daylight", "same-weekday: the same weekday and hour", "low-tide: at low water within the hours above", "none: at any hour"], breaks: true),
        Of(Group.Visit, "visit.sky", "Sky", "In broken cloud wait for sun: changing light does more harm than dull light.",
            ["any: any, recorded", "sun: sun or part cloud, wait for a gap", "steady: steady weather for days"], breaks: true),
        Of(Group.Visit, "visit.rain", "Rain", "It explains a cloudy result.",
            ["recorded: recorded for 24 and 72 h", "postpone: postpone after heavy rain", "ignored: not asked"]),
        Of(Group.Visit, "visit.order", "Order of the work", "Nothing is stirred before it is sampled, and the composite needs the clarity.",
            ["clean-first: clean water, clarity, profile, bottles, composite, other gear, tributaries", "clarity-first: clarity first", "samples-first: samples first, clarity last", "sand-first: sand before water, on a beach", "deep-first: deep spot before tributaries"]),
        Of(Group.Visit, "visit.written", "Who writes", "Fewest copies.",
            ["second-person: second person enters directly, read back", "caller: caller and recorder, read back", "pad: on a pad, copied later", "sheet: on a waterproof sheet", "memory: in the meter’s memory, downloaded"]),
        Of(Group.Visit, "visit.clock", "Clock", "The half of the day follows from it: never ask twice.",
            ["24h: 24 h", "half-day: 24 h and an a.m./p.m. box"]),
        Of(Group.Visit, "programme.units", "Units", "Read, do not convert.",
            ["as-marked: as the line or meter is marked", "feet: feet and inches", "metres: metres", "mixed: several within one job"]),
        Of(Group.Visit, "protocol.gloves", "Gloves", "Contamination or harm.",
            ["where-needed: ultra-clean, phosphorus, plastics, blooms, acids and fixatives", "always: always", "lab-bottles: before lab bottles", "blooms: only for blooms", "unasked: not asked"]),

        Of(Group.Clarity, "clarity.midpoint", "Midpoint", "Both marks stay on record; a folded midpoint may be entered alone.",
            ["marks: two marks read, averaged", "folded: rope folded between two clips", "fingers: clip or fingers"]),
        Of(Group.Clarity, "clarity.overshoot", "Going past", "The disc must be truly lost.",
            ["foot: 0.3 m (a foot) or more", "feet: several feet", "unasked: not asked"]),
        Of(Group.Clarity, "clarity.mean", "Order in the mean", "No reading outweighs another.",
            ["midpoints: each reading first, then the mean of the unrounded readings", "lowering: down and up of one lowering", "reappearances: mean of two reappearances"], breaks: true),
        Of(Group.Clarity, "clarity.side", "Side of the boat", "Glare shortens the reading.",
            ["shaded: shaded", "sunny-tube: sunny, with a viewing tube", "unasked: not asked"], breaks: true),
        Of(Group.Clarity, "clarity.glasses", "Sunglasses", "They change contrast.",
            ["off: off", "unasked: not asked"]),
        Of(Group.Clarity, "clarity.disc", "Disc", "What most series used.",
            ["quartered-20: black and white quarters, 20 cm", "white-20: all white, 20 cm", "quartered-30: black and white quarters, 30–40 cm", "white-30: all white, 30–40 cm, at sea"], breaks: true),
        Of(Group.Clarity, "clarity.name", "What it is called", "It is a length, whatever the sheet calls it.",
            ["clarity: clarity (Secchi depth)", "secchi: Secchi depth", "transparency: transparency", "turbidity: written in a box called turbidity"]),
        Of(Group.Clarity, "colour.method", "Colour", "Repeatable.",
            ["chart-half: chart on the white quarter at half the clarity", "words-foot: clear or murky and a colour word, at one foot", "remark: free remark", "none: not asked"]),
        Of(Group.Clarity, "opinion.questions", "Opinion", "One touch.",
            ["algae: algae 1–5", "named: several named questions", "remarks: remarks", "none: not asked"]),

        Of(Group.Profile, "temperature.place", "Where the thermometer is", "Never in the sample bottle itself: it contaminates.",
            ["container: in a container just filled, in shade", "cup: in a cup from one foot down, in shade", "bottle: in a bottle kept for it", "pole: on a pole in the water", "probe: a probe"]),
        Of(Group.Profile, "temperature.unit", "Unit of temperature", "As read.",
            ["celsius: °C", "fahrenheit: °F"]),
        Of(Group.Profile, "temperature.round-to", "Temperature to", "What the scale shows.",
            ["scale: whole on glass, 0.1 on a probe", "whole: whole degree", "half: half degree", "tenth: 0.1"]),
        Of(Group.Profile, "temperature.order", "Air and water", "A wet bulb reads low.",
            ["air-first: air first", "water-only: water only"]),
        Of(Group.Profile, "temperature.settle", "Settling", "Bulbs are slow.",
            ["steady: until steady, at least 1 min", "1-min: 1 min", "2-min: 1–2 min", "minutes: a few minutes"]),
        Of(Group.Profile, "profile.levels", "Levels", "Enough for the thermocline, finer where it breaks.",
            ["1-m: 1 m (5 ft on a line in feet), finer where it breaks", "0.5-m: 0.5 m", "1-ft: each foot", "2-ft: 1 or 2 ft by how fast it changes", "5-ft: 1 ft, then each 5 ft"]),
        Of(Group.Profile, "profile.depth-from", "Depth from", "Zero drifts, counts slip.",
            ["sensor: the meter’s sensor, marks as check", "marks: cable marks counted"]),
        Of(Group.Profile, "profile.calibrate", "Calibration", "Pressure and warmth shift it.",
            ["day: on the day, near the station’s altitude", "morning: that morning, all probes", "boat: 10–20 min in the chamber on the boat", "unasked: not asked"]),
        Of(Group.Profile, "profile.oxygen-unit", "Unit of oxygen", "Neither is lost.",
            ["both: both columns, the one read marked", "mgl: mg/L with % beside it", "percent: %", "as-shown: whatever shows"]),
        Of(Group.Profile, "profile.thermocline", "Thermocline", "Density is defined in cool and salt water.",
            ["both: both shown, density leads", "density: steepest density gradient", "degree: 1 °C per metre", "eye: by eye"], breaks: true),

        Of(Group.Bottles, "bottle.surface-depth", "Surface depth", "Under the film.",
            ["1.5-m: 1.5 m (5 ft) with a sampler, 0.3 m by hand", "zero: at the surface", "hand: just under, by hand", "6-12-in: 6–12 in", "one-foot: one foot", "arm: arm’s length", "knee: knee-deep water"], breaks: true),
        Of(Group.Bottles, "bottle.deep-rule", "Deep depth", "Never in the mud.",
            ["whole-metre: whole metre, 1–2 m above the bottom", "marks: just off the bottom, by marks", "touch: touch, then lift a little", "layers: per thermal layer, preset", "fixed: a fixed great depth"], breaks: true),
        Of(Group.Bottles, "bottle.touch-bottom", "Touching bottom", "Stirred mud spoils the sample.",
            ["never: never with a sampler or probe", "allowed: allowed, to find the depth, then raise"]),
        Of(Group.Bottles, "sampler.messenger", "Messenger", "An early trip costs a cast.",
            ["hand: in the hand while lowering", "at-depth: put on the line at depth", "above: on the line above; some trips need a tug"]),
        Of(Group.Bottles, "sampler.rinses", "Rinsing the sampler", "Last water out.",
            ["three-depth: three times at depth, anew at each station", "three-dips: three dips", "once: once", "between: between stations", "unasked: not asked"]),
        Of(Group.Bottles, "sampler.purge", "First spurt", "Clears the tap of grit.",
            ["waste: to waste", "unasked: not asked"]),
        Of(Group.Bottles, "sample.sediment", "Sediment seen", "In rivers the solids are the sample.",
            ["again: empty, rinse, again", "little: a little sand accepted", "spurt: first spurt away", "keep: shake and keep, in rivers"]),
        Of(Group.Bottles, "composite.lowering", "Down and up", "The rise does the sampling.",
            ["free-steady: free fall, slow steady rise", "fast-fill: as fast as it will, rise so it just fills", "slow: slow down"], breaks: true),

        Of(Group.Samples, "container.rinses", "Rinses of a container", "None ever for acid or sterile bottles.",
            ["3: three", "2: two", "1: one, where the sample is scarce", "swirl: a swirl of the sample", "never: never"]),
        Of(Group.Samples, "container.rinse-amount", "Rinse amount", "Enough to wet every wall.",
            ["tenth: 10 % of the bottle, shaken", "whole: whole fill", "quarter: quarter, capped and shaken", "little: a little", "draw: one syringe draw"]),
        Of(Group.Samples, "container.rinse-with", "Rinse water", "Same water, no more.",
            ["sample: the sample itself", "site: site water", "filtered: filtered water only"]),
        Of(Group.Samples, "container.rinse-to", "Rinse goes", "Not back into the sample.",
            ["down-current: down-current", "away: away from the spot", "other-side: other side of the boat", "back: back in"]),
        Of(Group.Samples, "container.fill", "Fill", "What the lab and the ice need.",
            ["by-type: by sample type", "brim: brim, capped under water", "top: top", "neck: neck", "below-neck: below the neck", "below-lip: below the lip", "shoulder: shoulder", "line: line + 1 cm", "headspace: 1 in headspace", "ice: some out for ice", "no-bubbles: no bubbles"]),
        Of(Group.Samples, "container.cap", "Capping", "Keeps air and film out.",
            ["at-once: at once; under water for ultra-clean and plastics", "under-water: under water", "ashore: ashore only", "after-fixing: after fixing"]),
        Of(Group.Samples, "preservative.mix", "Mixing after the drops", "Shaking breaks cells and adds air.",
            ["swirl: swirl; invert fixed seawater", "shake: shake", "invert: invert"]),
        Of(Group.Samples, "filter.pace", "Pushing the syringe", "A jet tears the filter.",
            ["quick-drops: quick drops, not faster than 35 s for 50 mL", "drop-by-drop: drop by drop, 35–40 s for 50 mL"]),
        Of(Group.Samples, "sample.replicates", "Replicates", "Shows the noise.",
            ["one: one for chlorophyll and phosphorus, else none", "second: a second bottle", "three: three bottles", "two-tubes: two tubes", "station: one per station", "none: none"]),
        Of(Group.Samples, "label.when", "Labelling", "The time is not known yet.",
            ["before-dry: before, dry, without the time", "before-time: before, with the time", "path: at the path’s head, before it is wet", "on-site: on site", "after: afterwards", "verify: pre-labelled, verify"]),
        Of(Group.Samples, "label.tool", "Writing tool", "Survives wet.",
            ["printed: printed, the rest in pencil", "pencil: pencil", "marker: permanent or waterproof marker", "pen: pen"]),
        Of(Group.Samples, "sample.keep", "Keeping", "Each analyte fades in its own way.",
            ["by-type: by sample type", "frozen: frozen", "refrigerated: refrigerated", "ice-packs: ice packs", "ice-then-cold: ice, then refrigerator", "stable: stable once fixed", "alcohol: alcohol"]),
        Of(Group.Samples, "bacteria.within", "Bacteria to the lab", "Counts drift.",
            ["6-h: 6 h, and 2 h in the lab", "24-h: 24 h", "same-outing: same outing", "unasked: not asked"]),
        Of(Group.Season, "refractometer.drops", "Refractometer", "More runs off.",
            ["one: one drop, if it covers the glass", "two: two drops"]),
    ];

    /// <summary>A school by its setting; null where there is none of that name.</summary>
    public static School? Find(string setting) => BySetting.GetValueOrDefault(setting);

    private static readonly Dictionary<string, School> BySetting = All.ToDictionary(s => s.Setting);

    // An option is written "code: words".
    private static School Of(Group group, string setting, string matter, string why, string[] options, bool breaks = false) =>
        new(setting, group, matter, [.. options.Select(o => o.Split(": ", 2)).Select(o => new SchoolOption(o[0], o[1]))], why, breaks);
}
