using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>The choices of a programme that have types of their own: <see cref="ClaritySettings"/>, <see cref="CompositeSettings"/>,
/// <see cref="ProtocolPlan"/>, each with what it means on the water.</summary>
internal static class SettingBoxes
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Box> All { get; } =
    [
        Box.Names(
            "programme.clarity.endPoint",
            "Which mark counts",
            ("disappear", "where it is just lost"),
            ("mean", "mean of lost and seen again: the eye’s lag cancels"),
            ("reappear", "where black can be told from white again")
        ),
        Box.Names(
            "programme.clarity.observers",
            "Who reads",
            ("same", "the same eyes throughout"),
            ("swap", "partners swap: shows the difference between eyes")
        ),
        Box.Names(
            "programme.clarity.roundTo",
            "Rounded once, at the end, to",
            ("0.1-m", "0.1 m"),
            ("0.05-m", "0.05 m, by interpolation"),
            ("0.01-m", "0.01 m, by interpolation"),
            ("1-m", "whole metre, on a metre wheel"),
            ("1-in", "nearest inch"),
            ("quarter-ft", "quarter foot: what a marked rope supports"),
            ("half-ft", "half foot")
        ),
        Box.Names(
            "programme.composite.depthRule",
            "How deep",
            ("factor", "so many times today’s clarity"),
            ("preset", "the coordinator’s depth")
        ),
        Box.Names(
            "programme.composite.method",
            "How",
            ("weighted-bottle", "weighted bottle: free fall, slow steady rise"),
            ("just-fills", "open bottle that just fills at the surface"),
            ("pooled-or-tube", "whole-metre bottles to 5 m, a tube beyond")
        ),
        Box.Names("plan.rhythm", "How often", ("days", "every so many days"), ("monthly", "once a month"), ("once", "once")),
        Box.Names(
            "plan.from",
            "From",
            ("composite", "from the composite"),
            ("surface", "from the surface"),
            ("deep", "from the deep"),
            ("layers", "one from each layer"),
            ("protocol", "as its protocol takes it")
        ),
    ];
}
