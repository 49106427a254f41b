using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Outings;

/// <summary>What is due on one day at one water: the stations of one boat.</summary>
/// <param name="Day">The day.</param>
/// <param name="WaterCode">The water.</param>
/// <param name="Water">Its name.</param>
/// <param name="Stations">Codes of its stations in travelling order.</param>
/// <param name="Names">Their names in the same order.</param>
/// <param name="Protocols">What is taken.</param>
/// <param name="Welcome">What speaks for the day.</param>
/// <param name="Today">True where it is today.</param>
/// <param name="LeaveBy">Local time by which to set out for the lab; null where nothing goes there fresh.</param>
public sealed record OutingDay(
    DateOnly Day,
    string WaterCode,
    string Water,
    IReadOnlyList<string> Stations,
    IReadOnlyList<string> Names,
    IReadOnlyList<Protocol> Protocols,
    IReadOnlyList<string> Welcome,
    bool Today,
    DateTime? LeaveBy = null
)
{
    /// <summary>The outings of a plan that are still to come, today's first, each water for itself.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="stations">Its stations, in the same order.</param>
    public static IReadOnlyList<OutingDay> Of(SeasonPlan plan, IReadOnlyList<Station> stations)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return
        [
            .. plan
                .Stations.Zip(stations)
                .SelectMany(s => s.First.Dates.Where(d => d.Ahead).Select(d => (Station: s.Second, Date: d)))
                .GroupBy(s => (s.Date.Day, s.Station.WaterCode))
                .Select(One)
                .OrderBy(o => o.Day)
                .ThenBy(o => o.Water, StringComparer.Ordinal),
        ];
    }

    /// <summary>Stations in the order in which a boat goes: from the deepest by the shortest way.</summary>
    public static IReadOnlyList<Station> InOrder(IEnumerable<Station> stations)
    {
        List<Station> deepest = [.. stations.OrderByDescending(s => s.KnownDepth.Read().Length?.Metres ?? 0)];
        return [.. TravelOrder.Work([.. deepest.Select(s => s.At)]).Select(i => deepest[i])];
    }

    private static OutingDay One(IGrouping<(DateOnly Day, string Water), (Station Station, SeasonDate Date)> due)
    {
        var stations = InOrder(due.Select(d => d.Station));
        return new OutingDay(
            due.Key.Day,
            due.Key.Water,
            stations[0].Water,
            [.. stations.Select(s => s.Code)],
            [.. stations.Select(s => s.Name)],
            [.. due.SelectMany(d => d.Date.Protocols).Distinct().Order()],
            [.. due.SelectMany(d => d.Date.Welcome).Distinct()],
            due.Any(d => d.Date.State == DateState.Today),
            due.Select(d => d.Date.LeaveBy).Where(t => t is not null).Min()
        );
    }
}
