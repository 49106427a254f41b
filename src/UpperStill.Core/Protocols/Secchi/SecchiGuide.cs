using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>Reading the disc by the programme's method.</summary>
internal static class SecchiGuide
{
    internal static IEnumerable<GuideLine> Lines(ChosenMethods methods)
    {
        var how = DiscMethod.Of(methods.Programme);
        var clarity = how.Settings;
        yield return ChosenMethods.Line(SecchiOptions.Disc, $"Hang the disc: {methods.Words(SecchiOptions.Disc)}.");
        if (!methods.Is(SecchiOptions.Side, "unasked"))
        {
            yield return ChosenMethods.Line(
                SecchiOptions.Side,
                methods.Is(SecchiOptions.Side, "sunny-tube")
                    ? "Read on the sunny side, through the viewing tube with its end just under the surface."
                    : "Read on the shaded side of the boat or pier, without a tube."
            );
        }

        if (methods.Is(SecchiOptions.Glasses, "off"))
        {
            yield return ChosenMethods.Line(SecchiOptions.Glasses, "Sunglasses off, polarised ones, too.");
        }

        yield return new GuideLine(
            "Lower slowly on an upright line until the disc is just lost.",
            "A leaning line reads too deep; add weight on windy days."
        );
        if (clarity.EndPoint == EndPoint.Disappear)
        {
            yield return new GuideLine("That mark is read.", "The last glow of the white counts.");
        }
        else
        {
            if (!methods.Is(SecchiOptions.Overshoot, "unasked"))
            {
                yield return ChosenMethods.Line(SecchiOptions.Overshoot, $"Lower {methods.Words(SecchiOptions.Overshoot)} past it.");
            }

            yield return clarity.EndPoint == EndPoint.Mean
                ? ChosenMethods.Line(
                    SecchiOptions.Midpoint,
                    methods.ChoiceOf(SecchiOptions.Midpoint) switch
                    {
                        "folded" => "Clip the line where it is lost, raise slowly, clip it where you see it again; fold it between the "
                            + "clips: the middle is read.",
                        "fingers" => "Hold the line with a clip or two fingers where it is lost, raise slowly until you see it again. Both "
                            + "marks are read.",
                        _ => "Raise slowly until you see it again. Both marks are read.",
                    }
                )
                : new GuideLine(
                    "Raise slowly until black and white can be told apart. That mark is read.",
                    "It is a sharper moment than the last glow."
                );
        }

        if (clarity.Observers == ObserverMethod.Swap)
        {
            yield return new GuideLine(
                "Then the other reads, without knowing the first number.",
                "The swap shows the difference between eyes."
            );
        }

        yield return new GuideLine("Write the marks as they are; do no sums.", "Sums aloud slip; raw marks can always be worked out anew.");
        if (methods.Is(SecchiOptions.Method, "words-foot"))
        {
            yield return ChosenMethods.Line(
                SecchiOptions.Method,
                "For the colour look at the disc one foot down: clear or murky, and one word."
            );
        }

        if (methods.Is(SecchiOptions.Method, "chart-half"))
        {
            yield return ChosenMethods.Line(
                SecchiOptions.Method,
                "For the colour hang the disc at half the clarity and compare its white with the chart."
            );
        }

        yield return new GuideLine(
            "Still in sight on the bottom, lost in plants, lost in stirred mud: say so.",
            "Each is its own kind of answer; as a number it would mislead."
        );
    }
}
