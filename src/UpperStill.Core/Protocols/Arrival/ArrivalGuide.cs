using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>Coming to a station.</summary>
internal static class ArrivalGuide
{
    internal static IEnumerable<GuideLine> Lines(ChosenMethods methods)
    {
        yield return new GuideLine("Come to the position, and see that the landmarks are in line.", "Depth and water differ from place to place; each proof fails alone.");
        if (!methods.Shore && !methods.Is(ArrivalOptions.Anchor, "unasked"))
        {
            yield return ChosenMethods.Line(ArrivalOptions.Anchor, "Anchor with spare line, and wait until the boat lies still.");
        }

        if (methods.Is(ArrivalOptions.AirAndWater, "air-first"))
        {
            yield return ChosenMethods.Line(ArrivalOptions.AirAndWater, "Read the air first, in shade, before the thermometer is wet.");
        }

        if (methods.Is(ArrivalOptions.Rain, "recorded"))
        {
            yield return ChosenMethods.Line(ArrivalOptions.Rain, "Write down the rain of the last 24 and 72 h; a guess marked as such will do.");
        }

        if (methods.Is(ArrivalOptions.Sky, "sun"))
        {
            yield return ChosenMethods.Line(ArrivalOptions.Sky, "In broken cloud wait for a gap.");
        }

        yield return new GuideLine("Whoever reads calls the number; whoever writes reads it back digit by digit.", "A misheard number looks like any other.");
    }
}
