using UpperStill.Core.Findings;
using UpperStill.Core.Programmes;

namespace UpperStill.Core.Seasons;

/// <summary>Rules of a season that cannot be met by any plan: found before one is tried.</summary>
public static class SeasonCheck
{
    /// <summary>Stops keep a station from being planned.</summary>
    public static IReadOnlyList<Finding> Findings(SeasonRequest request, StationSeason station)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(station);
        return [.. station.Protocols.SelectMany(Findings), .. Laboratory(request, station)];
    }

    /// <summary>What is wrong with one protocol by itself.</summary>
    public static IEnumerable<Finding> Findings(ProtocolPlan protocol)
    {
        ArgumentNullException.ThrowIfNull(protocol);
        var name = protocol.Protocol.Words();
        if (protocol.From.Month is < 1 or > 12 || protocol.Until.Month is < 1 or > 12 || protocol.From.Day is < 1 or > 31 || protocol.Until.Day is < 1 or > 31)
        {
            yield return Finding.Stop("season-window", $"The window of {name} begins or ends on a day that no year has.", "No date can be proposed.", "Months run from 1 to 12, days to 31.");
        }

        if (protocol.LeastGapDays < 1 || (protocol.Rhythm == Rhythm.Days && protocol.LeastGapDays > protocol.GreatestGapDays))
        {
            yield return Finding.Stop(
                "season-gaps", $"The least gap of {name}, {protocol.LeastGapDays} days, and the greatest, {protocol.GreatestGapDays}, leave nothing between.", "No two dates can keep both.",
                "The least is at least 1 and not above the greatest.");
        }
        else if (protocol.Rhythm == Rhythm.Days && (protocol.EveryDays < protocol.LeastGapDays || protocol.EveryDays > protocol.GreatestGapDays))
        {
            yield return Finding.Stop(
                "season-gaps", $"{name} is wanted every {protocol.EveryDays} days, but {protocol.LeastGapDays}–{protocol.GreatestGapDays} are allowed.", "The rhythm lies outside its own gaps.", "Change one of the three.");
        }

        if (protocol.HoldHours is <= 0)
        {
            yield return Finding.Stop("hold-none", $"{name} may stand {protocol.HoldHours} h.", "No lab is reached in that time.", "Write the hours as the lab says; 24 on ice where it has not said.");
        }
    }

    /// <summary>What is wrong with a laboratory by itself.</summary>
    public static IEnumerable<Finding> Findings(Laboratory laboratory)
    {
        ArgumentNullException.ThrowIfNull(laboratory);
        if (string.IsNullOrWhiteSpace(laboratory.Name))
        {
            yield return Finding.Stop("name-missing", "The laboratory has no name.", "People look for it on the label and the way there.", "Write its name.");
        }

        if (laboratory.Openings.FirstOrDefault(o => o.From >= o.Until) is { } opening)
        {
            yield return Finding.Stop("hours-order", $"On {opening.Day} the laboratory closes before it opens.", "Hand-over times come from its hours.", "Write the hour it opens first.");
        }

        if (laboratory.TravelMinutes is < 0 or > 24 * 60)
        {
            yield return Finding.Stop("travel-range", $"The way to the laboratory takes {laboratory.TravelMinutes} minutes.", "Fresh water would never arrive in time.", "Write the minutes from the water to its door, at most a day.");
        }
    }

    private static IEnumerable<Finding> Laboratory(SeasonRequest request, StationSeason station)
    {
        var fresh = station.Protocols.Where(p => p.HoldHours is not null).ToList();
        if (fresh.Count == 0)
        {
            yield break;
        }

        if (request.Laboratory is not { } laboratory)
        {
            yield return Finding.Check(
                "lab-missing", $"{string.Join(" and ", fresh.Select(p => p.Protocol.Words()))} must reach a lab within {fresh.Min(p => p.HoldHours)} h, and none is set up.",
                "A date may fall where no lab is open.", "Set up the lab’s hours.");
        }
        else if (laboratory.Openings.Count == 0)
        {
            yield return Finding.Stop(
                "cannot-reach-lab", $"{laboratory.Name} has no open day.", $"Water for {fresh[0].Protocol.Words()} may stand {fresh[0].HoldHours} h and could never be handed over.", "Set up its hours of intake.");
        }
    }
}
