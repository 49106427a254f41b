namespace UpperStill.Core.Composites;

/// <summary>How a composite is taken, in the few lines that are read on the boat.</summary>
internal static class CompositeHow
{
    internal static IReadOnlyList<string> Of(CompositeMethod method) => method switch
    {
        CompositeMethod.WeightedBottle =>
        [
            "Count the sampler’s parts; rinse its bottle with lake water, away from the spot.",
            "Clip the line at the depth to mark and lay it out free.",
            "Let it fall, then raise it slowly and steadily: the rise does the sampling.",
            "It must come up over half full and not full. If not, empty it, change the speed, again.",
        ],
        CompositeMethod.JustFills =>
        [
            "Rinse the bottle three times.",
            "Down to the mark as fast as it will go.",
            "Raise it so that it just fills at the surface. If not, empty it, change the speed, again.",
        ],
        CompositeMethod.PooledOrTube =>
        [
            "Rinse the bucket with lake water.",
            "One full sampler from each whole metre, the deepest first, into the bucket; deeper than 5 m use the tube.",
            "Mix, then fill.",
        ],
        _ => throw new ArgumentOutOfRangeException(nameof(method)),
    };
}
