using UpperStill.Core.Protocols.Header;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>Coming to a station.</summary>
internal static class ArrivalGuide
{
    internal static IEnumerable<GuideLine> Lines(ChosenMethods methods)
    {
        yield return ChosenMethods.Line(ArrivalOptions.FoundBy, $"Find the station by {methods.Words(ArrivalOptions.FoundBy)}.");
        yield return ChosenMethods.Line(HeaderOptions.HoursRule, $"Come {methods.Words(HeaderOptions.HoursRule)}.");
        yield return ChosenMethods.Line(HeaderOptions.WorkOrder, $"Go about it in this order: {methods.Words(HeaderOptions.WorkOrder)}.");
        if (!methods.Shore && !methods.Is(ArrivalOptions.Anchor, "unasked"))
        {
            yield return ChosenMethods.Line(ArrivalOptions.Anchor, "Anchor with spare line, and wait until the boat lies still.");
        }

        if (methods.Is(ArrivalOptions.AirAndWater, "air-first"))
        {
            yield return ChosenMethods.Line(ArrivalOptions.AirAndWater, "Read the air first, in shade, before the thermometer is wet.");
        }

        yield return ChosenMethods.Line(
            ArrivalOptions.ThermometerPlace,
            $"Water temperature: {methods.Words(ArrivalOptions.ThermometerPlace)}."
        );
        yield return ChosenMethods.Line(
            ArrivalOptions.ThermometerSettling,
            $"Wait {methods.Words(ArrivalOptions.ThermometerSettling)}; read it to "
                + $"{methods.Words(ArrivalOptions.TemperatureRoundTo)}."
        );
        if (methods.Is(ArrivalOptions.Rain, "recorded"))
        {
            yield return ChosenMethods.Line(
                ArrivalOptions.Rain,
                "Write down the rain of the last 24 and 72 h; a guess marked as such will do."
            );
        }

        if (methods.Is(ArrivalOptions.Sky, "sun"))
        {
            yield return ChosenMethods.Line(ArrivalOptions.Sky, "In broken cloud wait for a gap.");
        }
        else if (methods.Is(ArrivalOptions.Sky, "steady"))
        {
            yield return ChosenMethods.Line(ArrivalOptions.Sky, "Come when the weather has been steady for days.");
        }

        yield return ChosenMethods.Line(
            HeaderOptions.Written,
            methods.ChoiceOf(HeaderOptions.Written) switch
            {
                "caller" => "One reads and calls the number; another writes it and reads it back digit by digit.",
                "pad" => "Write each number on the pad as it is called; copy it the same day: both times are kept.",
                "sheet" => "Write each number on the waterproof sheet as it is called; type it in ashore.",
                "memory" => "Let the meter log each reading, and note its number; bring the file in ashore.",
                _ => "Whoever reads calls the number; whoever writes enters it here and reads it back digit by digit.",
            }
        );
    }
}
