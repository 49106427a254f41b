using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Guides;

/// <summary>Water into bottles: by hand, from a depth, through the lit layer.</summary>
internal static class BottleGuide
{
    internal static IEnumerable<GuideLine> ByHand(ChosenSchools schools) =>
    [
        new("Before anything that stirs: no wading, no lead, no grab upstream of it.", "Stirred bottom ends up in the bottle."),
        ChosenSchools.Line("bottle.surface-depth", $"Depth: {schools.Words("bottle.surface-depth")}."),
        .. Into(schools),
    ];

    internal static IEnumerable<GuideLine> AtDepth(ChosenSchools schools)
    {
        yield return new GuideLine("Look over seals, clamps and knot; shut the taps and the vent; cock it.", "An open vent or a loose clamp costs the cast.");
        yield return ChosenSchools.Line("bottle.touch-bottom", schools.Is("bottle.touch-bottom", "never")
            ? "Lower gently to the mark, never to the bottom, and hold still." : "Lower gently to the mark. If it touches, raise it a little and let the water clear.");
        if (!schools.Is("sampler.rinses", "unasked"))
        {
            yield return ChosenSchools.Line("sampler.rinses", $"Rinse the sampler: {schools.Words("sampler.rinses")}.");
        }

        yield return ChosenSchools.Line("sampler.messenger", $"Messenger {schools.Words("sampler.messenger")}. Let it go on an upright line and feel the trip.");
        yield return new GuideLine("Raise slowly, upright. Open, leaking, mud in it? Empty it away from the spot, rinse, again.", "That water is not from this depth alone.");
        if (schools.Is("sampler.purge", "waste"))
        {
            yield return ChosenSchools.Line("sampler.purge", "Open the vent, then the tap; the first spurt goes to waste.");
        }

        foreach (var line in Into(schools))
        {
            yield return line;
        }
    }

    internal static IEnumerable<GuideLine> Composite(ChosenSchools schools, CompositeMethod method) =>
        [.. CompositeHow.Of(method).Select(line => new GuideLine(line.Do, line.Why)), .. Into(schools)];

    private static IEnumerable<GuideLine> Into(ChosenSchools schools) =>
    [
        ChosenSchools.Line("container.rinses", $"Rinse containers with {schools.Words("container.rinse-with")}: {schools.Words("container.rinses")}; it goes {schools.Words("container.rinse-to")}."),
        new("The plain bottle first; the acid one is poured from it, never rinsed, never dipped.", "Dipping loses the acid that keeps the sample."),
        new("Shake between bottles; the tap touches no lip.", "Solids sink, and one bottle would get more than the other."),
        ChosenSchools.Line("container.cap", $"Cap {schools.Words("container.cap")}; then into the cooler, dark."),
    ];
}
