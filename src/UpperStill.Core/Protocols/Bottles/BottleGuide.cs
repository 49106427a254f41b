using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>Water into bottles: by hand, and from a depth.</summary>
internal static class BottleGuide
{
    internal static IEnumerable<GuideLine> ByHand(ChosenMethods methods) =>
        [
            new("Before anything that stirs: no wading, no lead, no grab upstream of it.", "Stirred bottom ends up in the bottle."),
            ChosenMethods.Line(BottlesOptions.SurfaceDepth, $"Depth: {methods.Words(BottlesOptions.SurfaceDepth)}."),
            .. Into(methods),
        ];

    internal static IEnumerable<GuideLine> AtDepth(ChosenMethods methods)
    {
        yield return new GuideLine(
            "Look over seals, clamps and knot; shut the taps and the vent; cock it.",
            "An open vent or a loose clamp costs the cast."
        );
        yield return ChosenMethods.Line(
            BottlesOptions.TouchBottom,
            methods.Is(BottlesOptions.TouchBottom, "never")
                ? "Lower gently to the mark, never to the bottom, and hold still."
                : "Lower gently to the mark. If it touches, raise it a little and let the water clear."
        );
        if (!methods.Is(BottlesOptions.SamplerRinses, "unasked"))
        {
            yield return ChosenMethods.Line(
                BottlesOptions.SamplerRinses,
                $"Rinse the sampler: {methods.Words(BottlesOptions.SamplerRinses)}."
            );
        }

        yield return ChosenMethods.Line(
            BottlesOptions.Messenger,
            $"Messenger {methods.Words(BottlesOptions.Messenger)}. Let it go on an upright line and feel the trip."
        );
        yield return new GuideLine(
            "Raise slowly, upright. Open, leaking, mud in it? Empty it away from the spot, rinse, again.",
            "That water is not from this depth alone."
        );
        if (methods.Is(BottlesOptions.Purge, "waste"))
        {
            yield return ChosenMethods.Line(BottlesOptions.Purge, "Open the vent, then the tap; the first spurt goes to waste.");
        }

        foreach (var line in Into(methods))
        {
            yield return line;
        }
    }

    /// <summary>From the sampler into the containers.</summary>
    internal static IEnumerable<GuideLine> Into(ChosenMethods methods) =>
        [
            ChosenMethods.Line(CustodyOptions.When, $"Label: {methods.Words(CustodyOptions.When)}; {methods.Words(CustodyOptions.Tool)}."),
            .. Gloves(methods),
            methods.Is(ContainerOptions.Rinses, "never")
                ? ChosenMethods.Line(ContainerOptions.Rinses, "No container is rinsed.")
                : ChosenMethods.Line(
                    ContainerOptions.Rinses,
                    $"Rinse containers with {methods.Words(BottlesOptions.RinseWith)}: {methods.Words(ContainerOptions.Rinses)}, "
                        + $"{methods.Words(BottlesOptions.RinseAmount)}; it goes {methods.Words(BottlesOptions.RinseTo)}."
                ),
            new(
                "The plain bottle first; the acid one is poured from it, never rinsed, never dipped.",
                "Dipping loses the acid that keeps the sample."
            ),
            ChosenMethods.Line(FillOptions.Sediment, $"Sediment in it: {methods.Words(FillOptions.Sediment)}."),
            new("Shake between bottles; the tap touches no lip.", "Solids sink, and one bottle would get more than the other."),
            ChosenMethods.Line(BottlesOptions.Mix, $"What is added in drops: {methods.Words(BottlesOptions.Mix)}."),
            ChosenMethods.Line(BottlesOptions.Cap, $"Cap {methods.Words(BottlesOptions.Cap)}; then into the cooler, dark."),
        ];

    private static IEnumerable<GuideLine> Gloves(ChosenMethods methods) =>
        methods.ChoiceOf(BottlesOptions.Gloves) switch
        {
            "always" => [ChosenMethods.Line(BottlesOptions.Gloves, "Gloves on, for every bottle.")],
            "lab-bottles" => [ChosenMethods.Line(BottlesOptions.Gloves, "Gloves on before a lab bottle is opened.")],
            "blooms" => [ChosenMethods.Line(BottlesOptions.Gloves, "Gloves on where a bloom is seen.")],
            "unasked" => [],
            _ => [ChosenMethods.Line(BottlesOptions.Gloves, $"Gloves on for {methods.Words(BottlesOptions.Gloves)}.")],
        };
}
