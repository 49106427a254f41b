using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Setup.Composed;

/// <summary>The choices of whoever composes a protocol.</summary>
internal static class ComposedBoxes
{
    /// <summary>All of them.</summary>
    internal static IReadOnlyList<Box> All { get; } =
    [
        Box.Names(
            "composed.kind",
            "It holds",
            ("whole", "a whole number"),
            ("number", "a number with a unit"),
            ("length", "a length, as it is read"),
            ("temperature", "a temperature"),
            ("counter", "a count, one touch each"),
            ("yes-no", "yes or no"),
            ("one-of", "one of some choices"),
            ("some-of", "some of some choices"),
            ("words", "words"),
            ("checklist", "a list to tick"),
            ("timer", "a time that is waited"),
            ("photo", "a photograph"),
            ("time", "a time of day"),
            ("position", "a place"),
            ("person", "a person"),
            ("code", "a code that is scanned")
        ),
        Box.Names(
            "composed.rule",
            "It is",
            ("sum", "the sum"),
            ("mean", "the mean"),
            ("median", "the median"),
            ("least", "the least"),
            ("greatest", "the greatest"),
            ("count", "how many there are"),
            ("line-depth", "the depth of a slanted line: line, lean in °"),
            ("bucket-flow", "a flow by bucket: L, s"),
            ("per-area", "how many on a square metre: count, area in cm²")
        ),
        Box.Numbers(
            "composed.rank",
            "When on a visit",
            (10, "before anything else"),
            (20, "by hand from the surface"),
            (35, "after clarity"),
            (40, "with the profile"),
            (50, "with the bottles"),
            (60, "with the composite"),
            (70, "with the net"),
            (85, "after what stirs the bottom"),
            (90, "at the stream"),
            (98, "last")
        ),
        Box.Names(
            "composed.caution",
            "What can hurt",
            ("W", "water’s edge"),
            ("F", "fast water"),
            ("S", "surf"),
            ("T", "traffic"),
            ("J", "jaws"),
            ("R", "rope"),
            ("A", "alcohol and stain"),
            ("X", "fixative"),
            ("K", "acid"),
            ("B", "bloom"),
            ("G", "germs"),
            ("L", "working alone")
        ),
        Box.Names(
            "composed.keep",
            "It is kept",
            ("ice", "on ice"),
            ("frozen", "frozen"),
            ("cold", "refrigerated"),
            ("room", "at room temperature")
        ),
    ];
}
