using UpperStill.Core.Setup.Samples;
using Group = UpperStill.Core.Setup.Programmes.SchoolGroup;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>Every number that a programme may change and that is not part of <see cref="CheckLimits"/> or a rule of its own.</summary>
public static class LimitBook
{
    /// <summary>Fewest people of a visit; ashore one less may go, with someone told.</summary>
    public const string PeopleMin = "visit.people-min";

    /// <summary>Mean wind, m/s.</summary>
    public const string Wind = "visit.wind-limit";

    /// <summary>Waves, 1–4.</summary>
    public const string Waves = "visit.wave-limit";

    /// <summary>Rain of 24 h, mm.</summary>
    public const string RainHeavy = "checks.rain-heavy";

    /// <summary>Cold water, °C.</summary>
    public const string ColdWater = "checks.cold-water";

    /// <summary>Chance of thunder, per cent.</summary>
    public const string Thunder = "checks.thunder";

    /// <summary>Visibility, km.</summary>
    public const string Visibility = "checks.visibility";

    /// <summary>Every limit.</summary>
    public static IReadOnlyList<Limit> All { get; } =
    [
        new(PeopleMin, Group.Visit, "Fewest people afloat; ashore one may go, with someone told", "", 2, 1, 9),
        new(Wind, Group.Visit, "Wind, at most", "m/s", 8, 2, 20),
        new(Waves, Group.Visit, "Waves, at most: 1 flat, 2 ripples, 3 choppy, 4 white caps", "", 3, 1, 4),
        new(Thunder, Group.Visit, "Chance of thunder, below", "%", 20, 1, 100),
        new(ColdWater, Group.Visit, "Water in which a suit is worn, below", "°C", 15, 0, 30),
        new(RainHeavy, Group.Visit, "Heavy rain: more in 24 h than", "mm", 25, 1, 300),
        new(Visibility, Group.Visit, "Visibility, at least", "km", 1, 0.1m, 20),
        new("checks.copied-later", Group.Visit, "Copied later: more than after the reading", "min", 15, 1, 600),
        new("checks.working-differs", Group.Visit, "A sum done by hand differs from the working by more than", "m", 0.1m, 0.01m, 1),
        new("checks.number-called-twice", Group.Visit, "Two numbers for one reading within", "min", 2, 1, 60),

        new("checks.sun-low", Group.Clarity, "Sun low: under", "°", 30, 0, 80),
        new("checks.line-angle-large", Group.Clarity, "Line leans by more than", "°", 30, 5, 60),

        new("checks.settled-oxygen", Group.Profile, "Settled: oxygen moves less in 15 s than", "mg/L", 0.1m, 0.01m, 1),
        new("checks.settled-temperature", Group.Profile, "Settled: temperature moves less in 15 s than", "°C", 0.1m, 0.01m, 1),
        new("checks.calibration-off", Group.Profile, "Calibration is off by more than", "%", 3, 0.5m, 20),
        new("checks.calibration-drift", Group.Profile, "Drift at the end, more than", "mg/L", 0.3m, 0.05m, 2),
        new("checks.barometer", Group.Profile, "Barometer above the altitude’s standard by more than", "kPa", 3, 0.5m, 10),
        new("checks.oxygen-mgl", Group.Profile, "Oxygen in mg/L looks like per cent above", "mg/L", 20, 12, 30),
        new("checks.oxygen-percent", Group.Profile, "Oxygen saturation hardly possible above", "%", 200, 120, 400),
        new("checks.oxygen-jump", Group.Profile, "Neighbouring levels differ in oxygen by more than", "%", 40, 10, 100),
        new("checks.add-level-temperature", Group.Profile, "A level between where temperature differs by more than", "°C", 1, 0.2m, 5),
        new("checks.add-level-oxygen", Group.Profile, "A level between where oxygen differs by more than", "mg/L", 1, 0.2m, 5),
        new("checks.density-falls", Group.Profile, "Density falls with depth by more than", "kg/m³", 0.05m, 0.01m, 1),
        new("checks.thermometers-disagree", Group.Profile, "Two thermometers differ by more than", "°C", 1, 0.1m, 5),
        new("checks.fahrenheit", Group.Profile, "Water in °C looks like °F above", "°C", 40, 25, 60),

        new("bottle.deep-least", Group.Bottles, "No deep bottle where the water is shallower than", "m", 5, 1, 20),
        new("bottle.deep-fixed", Group.Bottles, "The fixed great depth, where that is the rule", "m", 10, 1, 5000),
        new("bottle.clearance", Group.Bottles, "A sampler keeps off the bottom by", "m", 1, 0.1m, 10),
        new("composite.fill-min", Group.Bottles, "Came up at least so full", "%", 50, 10, 100),
        new("composite.fill-max", Group.Bottles, "Came up less full than", "%", 100, 50, 100),
        new("checks.composite-depth-differs", Group.Bottles, "Composite taken off its target by more than", "m", 0.15m, 0.01m, 2),
        new("checks.water-short", Group.Bottles, "Of a sampler’s volume can be used", "%", 95, 50, 100),

        new("filter.within-note", Group.Samples, "Water to filter: a note after", "h", 4, 1, 24),
        new("filter.within", Group.Samples, "Water to filter: at most", "h", 24, 2, 72),
        new("checks.volume-low", Group.Samples, "Filtered volume too little under", "mL", 20, 1, 500),
        new("checks.replicate-volumes-apart", Group.Samples, "Volumes of replicates differ by more than", "%", 20, 1, 100),
        new("checks.replicates-apart", Group.Samples, "Results of replicates differ by more than", "%", 20, 1, 100),
        new("checks.filter-in-light", Group.Samples, "Filter in direct light longer than", "min", 1, 0.1m, 30),
        new("checks.thawed", Group.Samples, "Arrived warmer than, where ice is asked", "°C", 6, 1, 15),

        .. SampleTypes.All.Where(t => t.HoldHours is not null).Select(t => new Limit(t.HoldSetting, Group.Samples, $"To the lab within: {t.Measures}, {t.Container}", "h", t.HoldHours!.Value, 1, 8760)),

        new("checks.companion-window", Group.Season, "Companion samples within", "days", 14, 1, 60),
        new("checks.notice-short", Group.Season, "Coordinator told before ultra-clean work, at least", "days", 14, 1, 60),
        new("checks.tide-not-low", Group.Season, "From low water where low water is asked, at most", "h", 2, 0.5m, 6),
    ];

    /// <summary>A limit by its setting; null where there is none of that name.</summary>
    public static Limit? Find(string setting) => BySetting.GetValueOrDefault(setting);

    private static readonly Dictionary<string, Limit> BySetting = All.ToDictionary(l => l.Setting);
}
