using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.NetTow;

/// <summary>What a programme may choose of a tow.</summary>
public static class NetTowOptions
{
    /// <summary>Where the tow begins.</summary>
    public static readonly Method From = Method.Of(
        MethodGroup.Other,
        "tow.from",
        "A vertical tow begins",
        "The whole column, and no profile needed.",
        ["bottom: a little off the bottom", "thermocline: at the thermocline", "mark: at a fixed mark"],
        breaks: true
    );

    /// <summary>How the catch is kept.</summary>
    public static readonly Method Keep = Method.Of(
        MethodGroup.Other,
        "tow.keep",
        "The catch of a net is kept",
        "It can be counted later.",
        ["preserved: in stained alcohol", "live: alive, cool and dark"]
    );

    /// <summary>What the net is washed with.</summary>
    public static readonly Method Wash = Method.Of(
        MethodGroup.Other,
        "tow.wash",
        "A net is washed with",
        "Filtered water adds nothing.",
        ["filtered: filtered water", "site: water of the site"]
    );

    /// <summary>What the volume rests on.</summary>
    public static readonly Method Volume = Method.Of(
        MethodGroup.Other,
        "tow.volume",
        "The volume of a tow",
        "Less kit; the meter where nets clog.",
        ["length: mouth × length", "meter: the flow meter in the mouth"],
        breaks: true
    );

    /// <summary>How far the net keeps off the bottom, m.</summary>
    public static readonly Threshold Clearance = new("tow.clearance", MethodGroup.Other, "A net keeps off the bottom by", "m", 1, 0.3m, 10);

    /// <summary>The fixed mark, m.</summary>
    public static readonly Threshold Mark = new("tow.mark", MethodGroup.Other, "The fixed mark of a tow", "m", 6, 0.5m, 200);

    /// <summary>Slowest good haul, m/s.</summary>
    public static readonly Threshold Slowest = new(
        "checks.tow-speed-least",
        MethodGroup.Other,
        "A haul is at least",
        "m/s",
        0.3m,
        0.05m,
        2
    );

    /// <summary>Fastest good haul, m/s.</summary>
    public static readonly Threshold Fastest = new("checks.tow-speed-most", MethodGroup.Other, "A haul is at most", "m/s", 1, 0.1m, 5);

    /// <summary>Fewer of a kind give wide limits.</summary>
    public static readonly Threshold CountLow = new(
        "checks.count-low",
        MethodGroup.Other,
        "Of a kind are counted at least",
        "",
        100,
        1,
        10000
    );

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<Method> Methods { get; } = [From, Keep, Wash, Volume];

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<Threshold> Thresholds { get; } = [Clearance, Mark, Slowest, Fastest, CountLow];
}
