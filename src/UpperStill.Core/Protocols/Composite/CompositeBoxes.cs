using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Protocols.Composite;

/// <summary>The boxes of a lowering of the composite sampler that are answered with one touch.</summary>
internal static class CompositeBoxes
{
    public static readonly IReadOnlyList<Box> All =
    [
        Box.Names(
            "composite-try.fill",
            "It came up",
            ("empty", "empty"),
            ("a-quarter", "a quarter"),
            ("under-half", "under half"),
            ("half", "about half"),
            ("over-half", "over half"),
            ("three-quarters", "three quarters"),
            ("nearly-full", "nearly full"),
            ("full", "full")
        ),
    ];
}
