using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Header;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class HeaderOptions
{
    /// <summary>Hours and the tide.</summary>
    public static readonly Method HoursRule = Method.Of(
        MethodGroup.Visit,
        "visit.hours-rule",
        "Hours and the tide",
        "High sun gives the longest usable day; a shore in the tide follows the water instead.",
        [
            "window: within the programme’s hours",
            "same-time: at the same time each visit, in daylight",
            "same-weekday: on the same weekday, at the same hour",
            "low-tide: at low water within the programme’s hours",
            "none: at any hour",
        ],
        breaks: true
    );

    /// <summary>Order of the work.</summary>
    public static readonly Method WorkOrder = Method.Of(
        MethodGroup.Visit,
        "visit.order",
        "Order of the work",
        "Nothing is stirred before it is sampled, and the composite needs the clarity.",
        [
            "clean-first: clean water, clarity, profile, bottles, composite, other gear, tributaries",
            "clarity-first: clarity first",
            "samples-first: samples first, clarity last",
            "sand-first: sand before water, on a beach",
            "deep-first: deep spot before tributaries",
        ]
    );

    /// <summary>Who writes.</summary>
    public static readonly Method Written = Method.Of(
        MethodGroup.Visit,
        "visit.written",
        "Who writes",
        "Fewest copies.",
        [
            "second-person: second person enters directly, read back",
            "caller: caller and recorder, read back",
            "pad: on a pad, copied later",
            "sheet: on a waterproof sheet",
            "memory: in the meter’s memory, downloaded",
        ],
        guideOnly: true
    );

    /// <summary>Copied later: more than after the reading, min.</summary>
    public static readonly Threshold CopiedLater = new(
        "checks.copied-later",
        MethodGroup.Visit,
        "Copied later: more than after the reading",
        "min",
        15,
        1,
        600
    );

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [HoursRule, WorkOrder, Written, SheetOptions.Clock];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } = [CopiedLater];
}
