using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class ArrivalOptions
{
    /// <summary>Finding the station.</summary>
    public static readonly Method FoundBy = Method.Of(
        MethodGroup.Visit,
        "station.found-by",
        "Finding the station",
        "A position and a sounding each fail alone; landmarks are kept as second proof.",
        [
            "radius: position within the radius, and a sounding",
            "transits: four landmarks as two lines",
            "bearings: three bearings",
            "sounding: depth finder or sounding alone",
            "dam: the dam end of a reservoir",
            "markers: markers laid out on a beach",
            "path: path or stairs, from the shore",
            "memory: memory, or the coordinator shows it",
        ]
    );

    /// <summary>Anchor.</summary>
    public static readonly Method Anchor = Method.Of(
        MethodGroup.Visit,
        "visit.anchor",
        "Anchor",
        "Drift moves place and depth.",
        ["required: required, with spare line", "advised: advised", "unasked: not asked"]
    );

    /// <summary>Sky.</summary>
    public static readonly Method Sky = Method.Of(
        MethodGroup.Visit,
        "visit.sky",
        "Sky",
        "In broken cloud wait for sun: changing light does more harm than dull light.",
        ["any: any, recorded", "sun: sun or part cloud, wait for a gap", "steady: steady weather for days"],
        breaks: true,
        guideOnly: true
    );

    /// <summary>Rain.</summary>
    public static readonly Method Rain = Method.Of(
        MethodGroup.Visit,
        "visit.rain",
        "Rain",
        "It explains a cloudy result.",
        ["recorded: recorded for 24 and 72 h", "postpone: postpone after heavy rain", "ignored: not asked"]
    );

    /// <summary>Where the thermometer is.</summary>
    public static readonly Method ThermometerPlace = Method.Of(
        MethodGroup.Profile,
        "temperature.place",
        "Where the thermometer is",
        "Never in the sample bottle itself: it contaminates.",
        [
            "container: in a container just filled, in shade",
            "cup: in a cup from one foot down, in shade",
            "bottle: in a bottle kept for it",
            "pole: on a pole in the water",
            "probe: a probe",
        ],
        guideOnly: true
    );

    /// <summary>Unit of temperature.</summary>
    public static readonly Method TemperatureUnit = Method.Of(
        MethodGroup.Profile,
        "temperature.unit",
        "Unit of temperature",
        "As read.",
        ["celsius: °C", "fahrenheit: °F"]
    );

    /// <summary>Temperature to.</summary>
    public static readonly Method TemperatureRoundTo = Method.Of(
        MethodGroup.Profile,
        "temperature.round-to",
        "Temperature to",
        "What the scale shows.",
        ["scale: whole on glass, 0.1 on a probe", "whole: whole degree", "half: half degree", "tenth: 0.1"]
    );

    /// <summary>Air and water.</summary>
    public static readonly Method AirAndWater = Method.Of(
        MethodGroup.Profile,
        "temperature.order",
        "Air and water",
        "A wet bulb reads low.",
        ["air-first: air first", "water-only: water only"],
        guideOnly: true
    );

    /// <summary>Settling.</summary>
    public static readonly Method ThermometerSettling = Method.Of(
        MethodGroup.Profile,
        "temperature.settle",
        "Settling",
        "Bulbs are slow.",
        ["steady: until steady, at least 1 min", "1-min: 1 min", "2-min: 1–2 min", "minutes: a few minutes"],
        guideOnly: true
    );

    /// <summary>Fewest people afloat; ashore one may go, with someone told.</summary>
    public static readonly Threshold PeopleMin = new(
        "visit.people-min",
        MethodGroup.Visit,
        "Fewest people afloat; ashore one may go, with someone told",
        "",
        2,
        1,
        9
    );

    /// <summary>Wind, at most, m/s.</summary>
    public static readonly Threshold Wind = new("visit.wind-limit", MethodGroup.Visit, "Wind, at most", "m/s", 8, 2, 20);

    /// <summary>Waves, at most: 1 flat, 2 ripples, 3 choppy, 4 white caps.</summary>
    public static readonly Threshold Waves = new(
        "visit.wave-limit",
        MethodGroup.Visit,
        "Waves, at most: 1 flat, 2 ripples, 3 choppy, 4 white caps",
        "",
        3,
        1,
        4
    );

    /// <summary>Chance of thunder, below, %.</summary>
    public static readonly Threshold Thunder = new("checks.thunder", MethodGroup.Visit, "Chance of thunder, below", "%", 20, 1, 100);

    /// <summary>Water in which a suit is worn, below, °C.</summary>
    public static readonly Threshold ColdWater = new(
        "checks.cold-water",
        MethodGroup.Visit,
        "Water in which a suit is worn, below",
        "°C",
        15,
        0,
        30
    );

    /// <summary>Heavy rain: more in 24 h than, mm.</summary>
    public static readonly Threshold RainHeavy = new(
        "checks.rain-heavy",
        MethodGroup.Visit,
        "Heavy rain: more in 24 h than",
        "mm",
        25,
        1,
        300
    );

    /// <summary>Visibility, at least, km.</summary>
    public static readonly Threshold Visibility = new("checks.visibility", MethodGroup.Visit, "Visibility, at least", "km", 1, 0.1m, 20);

    /// <summary>Two thermometers differ by more than, °C.</summary>
    public static readonly Threshold ThermometersDisagree = new(
        "checks.thermometers-disagree",
        MethodGroup.Profile,
        "Two thermometers differ by more than",
        "°C",
        1,
        0.1m,
        5
    );

    /// <summary>Water in °C looks like °F above, °C.</summary>
    public static readonly Threshold Fahrenheit = new(
        "checks.fahrenheit",
        MethodGroup.Profile,
        "Water in °C looks like °F above",
        "°C",
        40,
        25,
        60
    );

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } =
    [FoundBy, Anchor, Sky, Rain, ThermometerPlace, TemperatureUnit, TemperatureRoundTo, AirAndWater, ThermometerSettling];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } =
    [PeopleMin, Wind, Waves, Thunder, ColdWater, RainHeavy, Visibility, ThermometersDisagree, Fahrenheit];
}
