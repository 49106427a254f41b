using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>Rules of a season that cannot be met by any plan: found before one is tried.</summary>
public static class SeasonCheck
{
    /// <summary>Stops keep a station from being planned.</summary>
    public static IReadOnlyList<Finding> Findings(SeasonRequest request, StationSeason station)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(station);
        return [.. station.Protocols.SelectMany(PlanCheck.Findings), .. Laboratory(request, station)];
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
                "lab-missing",
                $"{string.Join(" and ", fresh.Select(p => p.Protocol.Words()))} must reach a lab within "
                    + $"{fresh.Min(p => p.HoldHours)} h, and none is set up.",
                "A date may fall where no lab is open.",
                "Set up the lab’s hours."
            );
        }
        else if (laboratory.Openings.Count == 0)
        {
            yield return Finding.Stop(
                "cannot-reach-lab",
                $"{laboratory.Name} has no open day.",
                $"Water for {fresh[0].Protocol.Words()} may stand {fresh[0].HoldHours} h and could never be handed over.",
                "Set up its hours of intake."
            );
        }
    }
}
