namespace UpperStill.Core.Setup.Seasons;

/// <summary>
/// Plans a season. Hard rules are never broken by a proposed date: windows, least and greatest gap, blocked days, low tide,
/// the lab's hours within the holding time, turn-in dates. Preferences are weighed: even spacing, the people's days, satellite
/// passes, shared days, the middle of the month. The search is exhaustive by dynamic programming (Bellman, 1957), so a count
/// that can be met is met, and keeping to the plan changes nothing in it.
/// </summary>
public static class SeasonPlanner
{
    /// <summary>The plan, station by station.</summary>
    public static SeasonPlan Work(SeasonRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return new SeasonPlan(request.Year, [.. Each(request)]);
    }

    /// <summary>The plans one after the other, each made when it is asked for: no station waits for another.</summary>
    public static IEnumerable<StationPlan> Each(SeasonRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return request.Stations.Select(s => new StationPlanner(request, s).Plan());
    }
}
