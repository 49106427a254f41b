using System.Text.Json;
using UpperStill.Core.Application.Trends;

namespace UpperStill.Core.Application.Reports;

/// <summary>The numbers of a station in a coordinator's summary.</summary>
/// <param name="Station">Its code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Water">Its water.</param>
/// <param name="Visits">Visits of the year.</param>
/// <param name="Waiting">Of them, not signed off.</param>
/// <param name="Open">Open findings of the year.</param>
/// <param name="Lost">Samples lost or rejected.</param>
/// <param name="Years">The year beside those before it, by the subject's name in JSON.</param>
public sealed record StationYear(
    string Station,
    string Name,
    string Water,
    int Visits,
    int Waiting,
    int Open,
    int Lost,
    IReadOnlyDictionary<string, YearBeside> Years
)
{
    /// <summary>The numbers of a station in a year.</summary>
    /// <param name="of">The station.</param>
    public static StationYear Of(SummaryStation of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return new StationYear(
            of.Station.Code,
            of.Station.Name,
            of.Station.Water,
            of.Visits,
            of.Waiting,
            of.Open,
            of.Lost,
            of.Trends.Where(t => t.Year is not null)
                .ToDictionary(t => JsonNamingPolicy.KebabCaseLower.ConvertName(t.Subject.ToString()), t => t.Year!)
        );
    }
}
