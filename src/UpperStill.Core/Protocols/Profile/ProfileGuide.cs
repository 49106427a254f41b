using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>Temperature and oxygen, from the surface down.</summary>
internal static class ProfileGuide
{
    internal static IEnumerable<GuideLine> Lines(ChosenMethods methods)
    {
        if (!methods.Is(ProfileOptions.Calibrate, "unasked"))
        {
            yield return ChosenMethods.Line(
                ProfileOptions.Calibrate,
                $"Calibrate oxygen in water-saturated air ({methods.Words(ProfileOptions.Calibrate)}). Write what it read and what "
                    + "it should read."
            );
            yield return new GuideLine(
                "Put the display back from % to mg/L, and confirm it.",
                "Calibrating leaves it on %, and the whole column goes wrong."
            );
        }

        yield return ChosenMethods.Line(
            ProfileOptions.DepthFrom,
            methods.Is(ProfileOptions.DepthFrom, "sensor")
                ? "Zero the depth sensor at the surface; count the marks as a check."
                : "Count the marks of the cable aloud, from the surface."
        );
        yield return ChosenMethods.Line(
            ProfileOptions.Levels,
            $"Go down level by level: {methods.Words(ProfileOptions.Levels)}. The last is 0.3–0.5 m above the bottom, not in it."
        );
        yield return new GuideLine(
            "Keep the probe moving if it has no stirrer, and wait until it holds still.",
            "A membrane uses up the oxygen beside it; a wandering number is picked by eye."
        );
        yield return new GuideLine(
            "Where a level is proposed between two, read it while the probe is near.",
            "It breaks there; the layers meet."
        );
        yield return new GuideLine("A level that was misread is read again, not left out.", "What was written stays legible, struck.");
        yield return new GuideLine("Check the calibration at the end.", "Drift marks the whole profile, and only the end shows it.");
    }
}
