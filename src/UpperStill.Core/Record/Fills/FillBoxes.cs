using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Record.Fills;

/// <summary>The boxes of a container as it is filled that are answered with one touch.</summary>
internal static class FillBoxes
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Box> All { get; } =
    [
        Box.Names("fill.from", "From", ("sampler", "the sampler"), ("plain-bottle", "the plain bottle"), ("lake", "the lake, by hand")),
        Box.Names("fill.to", "Filled", ("as-asked", "as asked"), ("less", "less"), ("more", "more")),
        Box.YesNo("fill.insideTouched", "Neck, or the inside of the cap, was touched"),
        Box.YesNo("fill.preserved", "Added?"),
    ];
}
