using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Setup.Laboratories;

/// <summary>What is wrong with a laboratory as it is set up.</summary>
public static class LaboratoryCheck
{
    /// <summary>Stops keep it from being saved.</summary>
    public static IEnumerable<Finding> Findings(Laboratory laboratory)
    {
        ArgumentNullException.ThrowIfNull(laboratory);
        if (string.IsNullOrWhiteSpace(laboratory.Name))
        {
            yield return Finding.Stop(
                "name-missing",
                "The laboratory has no name.",
                "People look for it on the label and the way there.",
                "Write its name."
            );
        }

        if (laboratory.Openings.FirstOrDefault(o => o.From >= o.Until) is { } opening)
        {
            yield return Finding.Stop(
                "hours-order",
                $"On {opening.Day} the laboratory closes before it opens.",
                "Hand-over times come from its hours.",
                "Write the hour it opens first."
            );
        }

        if (laboratory.TravelMinutes is < 0 or > 24 * 60)
        {
            yield return Finding.Stop(
                "travel-range",
                $"The way to the laboratory takes {laboratory.TravelMinutes} minutes.",
                "Fresh water would never arrive in time.",
                "Write the minutes from the water to its door, at most a day."
            );
        }
    }
}
