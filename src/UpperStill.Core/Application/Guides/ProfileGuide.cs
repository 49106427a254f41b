namespace UpperStill.Core.Application.Guides;

/// <summary>Temperature and oxygen, from the surface down.</summary>
internal static class ProfileGuide
{
    internal static IEnumerable<GuideLine> Lines(ChosenSchools schools)
    {
        if (!schools.Is("profile.calibrate", "unasked"))
        {
            yield return ChosenSchools.Line("profile.calibrate", $"Calibrate oxygen in water-saturated air ({schools.Words("profile.calibrate")}). Write what it read and what it should read.");
            yield return new GuideLine("Put the display back from % to mg/L, and confirm it.", "Calibrating leaves it on %, and the whole column goes wrong.");
        }

        yield return ChosenSchools.Line("profile.depth-from", schools.Is("profile.depth-from", "sensor")
            ? "Zero the depth sensor at the surface; count the marks as a check." : "Count the marks of the cable aloud, from the surface.");
        yield return ChosenSchools.Line("profile.levels", $"Go down level by level: {schools.Words("profile.levels")}. The last is 0.3–0.5 m above the bottom, not in it.");
        yield return new GuideLine("Keep the probe moving if it has no stirrer, and wait until it holds still.", "A membrane uses up the oxygen beside it; a wandering number is picked by eye.");
        yield return new GuideLine("Where a level is proposed between two, read it while the probe is near.", "It breaks there; the layers meet.");
        yield return new GuideLine("A level that was misread is read again, not left out.", "What was written stays legible, struck.");
        yield return new GuideLine("Check the calibration at the end.", "Drift marks the whole profile, and only the end shows it.");
    }
}
