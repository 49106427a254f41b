using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Composite;

/// <summary>How a composite is taken, in the few lines that are read on the boat, each with its reason.</summary>
internal static class CompositeHow
{
    /// <summary>The method of a programme: a weighted bottle that goes down as fast as it will is one that just fills.</summary>
    internal static CompositeMethod By(Programme programme) =>
        programme.Composite.Method == CompositeMethod.WeightedBottle && programme.Chooses(CompositeOptions.Lowering, "fast-fill")
            ? CompositeMethod.JustFills
            : programme.Composite.Method;

    /// <summary>True where it goes down as slowly as it comes up.</summary>
    internal static bool Slow(Programme programme) => programme.Chooses(CompositeOptions.Lowering, "slow");

    internal static IReadOnlyList<(string Do, string Why)> Of(CompositeMethod method, bool slow) =>
        method switch
        {
            CompositeMethod.WeightedBottle =>
            [
                (
                    "Count the sampler’s parts; rinse its bottle with lake water, away from the spot.",
                    "A part left behind costs the cast; the spot stays clean."
                ),
                ("Clip the line at the depth to mark and lay it out free.", "A snag stops the fall above the depth."),
                slow
                    ? ("Lower it slowly, then raise it slowly and steadily.", "It takes in water on both ways, at one pace.")
                    : (
                        "Let it fall, then raise it slowly and steadily: the rise does the sampling.",
                        "Each metre of the layer then gives its share."
                    ),
                (
                    "It must come up over half full and not full. If not, empty it, change the speed, again.",
                    "A full one stopped sampling part way; too little is not the whole layer."
                ),
            ],
            CompositeMethod.JustFills =>
            [
                ("Rinse the bottle three times.", "Water of the last station stays in it."),
                ("Down to the mark as fast as it will go.", "It should fill on the way up, not on the way down."),
                (
                    "Raise it so that it just fills at the surface. If not, empty it, change the speed, again.",
                    "Full before the surface it lacks the upper layer."
                ),
            ],
            CompositeMethod.PooledOrTube =>
            [
                ("Rinse the bucket with lake water.", "What was in it last would be in the sample."),
                (
                    "One full sampler from each whole metre, the deepest first, into the rinsed bucket; deeper than 5 m use the tube.",
                    "Equal parts make the mean of the layer."
                ),
                ("Mix, then fill.", "Solids sink, and one bottle would get more than the other."),
            ],
            _ => throw new ArgumentOutOfRangeException(nameof(method)),
        };
}
