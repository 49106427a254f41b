using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>The boxes of the head of the sheet that are answered with one touch.</summary>
internal static class ArrivalBoxes
{
    /// <summary>Asked where a boat lies to.</summary>
    internal static readonly Box Anchored = Box.YesNo("conditions.anchored", "Does the anchor hold?");

    /// <summary>Asked where a station has marks ashore.</summary>
    internal static readonly Box InLine = Box.YesNo("landmarks.inLine", "The two marks stand", "in line", "not in line");

    public static readonly IReadOnlyList<Box> All =
    [
        Box.Count("conditions.people", "How many are you?", 1, 5),
        Anchored,
        WeatherClasses.Waves,
        Box.Count("conditions.cloudEighths", "Cloud, eighths of the sky", 0, 8),
        WeatherClasses.Wind,
        Box.Plain("conditions.windFrom", "Wind from", "N", "NE", "E", "SE", "S", "SW", "W", "NW"),
        WeatherClasses.Rain("conditions.rain24", "Rain in the last 24 h"),
        WeatherClasses.Rain("conditions.rain72", "Rain in the last 72 h"),
        Box.Plain("conditions.surface", "Surface of the water", "clear", "scum", "foam", "pollen", "debris"),
        Box.YesNo("conditions.waterSteady", "Thermometer in the water still for a minute?"),
        Box.Plain("conditions.smell", "Smell", "none", "earth", "fish", "rotten eggs", "chemical"),
        Box.YesNo("conditions.thunder", "Thunder in the last half hour?"),
        Box.YesNo("conditions.fog", "Fog: less than a kilometre?"),
        InLine,
    ];
}
