namespace UpperStill.Core.Setup.Laboratories;

/// <summary>The analytes, their units, and what turns one unit into another. Molar masses: IUPAC 2021 (P 30.973762, N 14.007, O
/// 15.999).</summary>
public static class Analytes
{
    private const decimal MolarP = 30.973762m;
    private const decimal MolarN = 14.007m;
    private const decimal PInPhosphate = 0.326136m;
    private const decimal NInNitrate = 0.225897m;
    private const decimal NInAmmonium = 0.776490m;

    private static readonly AnalyteUnit[] Pigment =
    [
        new("µg/L", 1, ["ug/l", "mg/m3", "ppb", "ug*l-1", "ugl-1"]),
        new("mg/L", 1000, ["ppm", "g/m3", "mgl-1"]),
        new("ng/L", 0.001m, ["ngl-1"]),
    ];

    private static readonly AnalyteUnit[] Phosphorus =
    [
        new("µg/L as P", 1, ["ug/l", "ugp/l", "ug/l-p", "mg/m3", "ppb", "ug/lp"]),
        new("mg/L as P", 1000, ["mg/l", "mgp/l", "mg/l-p", "ppm", "mg/lp"]),
        new("µmol/L", MolarP, ["umol/l", "um"]),
        new("µg/L as PO4", PInPhosphate, ["ug/laspo4", "ugpo4/l"]),
        new("mg/L as PO4", 1000 * PInPhosphate, ["mg/laspo4", "mgpo4/l"]),
    ];

    /// <summary>Every analyte.</summary>
    public static IReadOnlyList<Analyte> All { get; } =
    [
        new(
            "chlorophyll-a",
            "chlorophyll a",
            Pigment,
            (0.1m, 400),
            ["chlorophylla", "chla", "chl", "chlorophyll", "chlorophyllacorrected", "chlorophyllacorr"]
        ),
        new(
            "pheophytin-a",
            "pheophytin a",
            Pigment,
            (0, 200),
            ["pheophytina", "phaeophytina", "pheo", "phaeo", "pheoa", "phaeoa", "pheophytin"]
        ),
        new("total-phosphorus", "total phosphorus", Phosphorus, (1, 2000), ["totalphosphorus", "tp", "phosphorustotal", "ptot", "totalp"]),
        new(
            "phosphate",
            "phosphate",
            Phosphorus,
            (0.5m, 1500),
            ["phosphate", "po4", "po4p", "srp", "orthophosphate", "solublereactivephosphorus"]
        ),
        new(
            "nitrate",
            "nitrate",
            [
                new("mg/L as N", 1, ["mgn/l", "mg/l-n", "mg/lasn", "mg/lno3-n", "mg/ln"]),
                new("µg/L as N", 0.001m, ["ugn/l", "ug/l-n", "ug/ln"]),
                new("mg/L as NO3", NInNitrate, ["mg/lasno3", "mgno3/l", "mg/lno3"]),
                new("µmol/L", MolarN / 1000, ["umol/l", "um"]),
            ],
            (0.005m, 30),
            ["nitrate", "no3", "no3n", "nitratenitrogen"]
        ),
        new(
            "total-nitrogen",
            "total nitrogen",
            [
                new("mg/L as N", 1, ["mg/l", "mgn/l", "mg/l-n", "mg/ln"]),
                new("µg/L as N", 0.001m, ["ug/l", "ugn/l", "ug/l-n", "ug/ln"]),
                new("µmol/L", MolarN / 1000, ["umol/l", "um"]),
            ],
            (0.05m, 40),
            ["totalnitrogen", "tn", "ntot", "nitrogentotal", "totaln"]
        ),
        new(
            "ammonium",
            "ammonium",
            [
                new("mg/L as N", 1, ["mgn/l", "mg/l-n", "mg/lnh4-n", "mg/ln"]),
                new("µg/L as N", 0.001m, ["ugn/l", "ug/l-n", "ug/ln"]),
                new("mg/L as NH4", NInAmmonium, ["mg/lasnh4", "mgnh4/l", "mg/lnh4"]),
            ],
            (0.002m, 10),
            ["ammonium", "nh4", "nh4n", "ammonia"]
        ),
        new(
            "suspended-solids",
            "suspended solids",
            [new("mg/L", 1, ["ppm", "g/m3", "mgl-1"]), new("g/L", 1000, ["kg/m3"])],
            (0.2m, 3000),
            ["suspendedsolids", "tss", "totalsuspendedsolids", "solids", "ss"]
        ),
        new(
            "conductivity",
            "conductivity at 25 °C",
            [new("µS/cm", 1, ["us/cm", "umhos/cm", "umho/cm"]), new("mS/cm", 1000, []), new("mS/m", 10, []), new("S/m", 10_000, [])],
            (5, 60_000),
            ["conductivity", "specificconductance", "cond", "ec", "sc"]
        ),
        new(
            "alkalinity",
            "alkalinity",
            [new("mg/L as CaCO3", 1, ["mg/l", "mgcaco3/l"]), new("meq/L", 50.0435m, ["mmol/l"])],
            (1, 400),
            ["alkalinity", "alk"]
        ),
        new("chloride", "chloride", [new("mg/L", 1, ["ppm"]), new("g/L", 1000, [])], (0.2m, 21_000), ["chloride", "cl"]),
        new(
            "e-coli",
            "E. coli",
            [new("per 100 mL", 1, ["/100ml", "cfu/100ml", "mpn/100ml", "per100ml"])],
            (1, 100_000),
            ["ecoli", "escherichiacoli"]
        ),
    ];

    /// <summary>An analyte by its code; null where there is none.</summary>
    public static Analyte? Find(string code) => All.FirstOrDefault(a => a.Code == code);

    /// <summary>An analyte by what a laboratory calls it; null where nobody knows.</summary>
    public static Analyte? Named(string name)
    {
        ArgumentNullException.ThrowIfNull(name);
        var plain = new string([.. name.ToLowerInvariant().Where(char.IsAsciiLetterOrDigit)]);
        return All.FirstOrDefault(a => a.Spellings.Contains(plain) || a.Code.Replace("-", string.Empty, StringComparison.Ordinal) == plain);
    }
}
