using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Store.Projections;

/// <summary>What later visits of a station are judged by, of one visit.</summary>
/// <param name="Station">The station.</param>
/// <param name="Day">Local day.</param>
/// <param name="Clarity">Its clarity as the record has it; null where there is none.</param>
/// <param name="Coldest">Coldest level, °C.</param>
/// <param name="Warmest">Warmest level, °C.</param>
/// <param name="StartedAt">When it began: of two visits of a day the later one gives way.</param>
/// <param name="Filled">The numbers that it filled: other visits of the day may not use them.</param>
internal sealed record VisitFacts(
    string Station,
    DateOnly Day,
    (decimal ClarityM, bool Censored, bool Usable)? Clarity,
    double? Coldest,
    double? Warmest,
    DateTimeOffset StartedAt,
    string Filled
)
{
    internal static VisitFacts Of(VisitRow visit, ReadingRow? clarity, IReadOnlyList<LevelRow> levels, IEnumerable<SampleRow> samples)
    {
        var warm = levels.Select(l => l.TemperatureC).OfType<double>().ToList();
        return new VisitFacts(
            visit.Station,
            visit.Day,
            clarity is null ? null : (clarity.Value, clarity.Censored == Censoring.Above, clarity.Usable),
            warm.Count == 0 ? null : warm.Min(),
            warm.Count == 0 ? null : warm.Max(),
            visit.StartedAt,
            string.Join(
                ' ',
                samples.Where(s => !OtherVisits.Unfilled.Contains(s.State)).Select(s => s.Number).Order(StringComparer.Ordinal)
            )
        );
    }
}

/// <summary>The visits that are judged by another one. They are few: mostly none, where the newest visit of a station is written.</summary>
internal sealed class Dependents(FieldBook book)
{
    private readonly Dictionary<string, List<(Guid Visit, DateOnly Day)>> stations = [];

    /// <summary>Those whose judgement rests on what has changed, of both where a visit was moved or struck.</summary>
    /// <param name="visit">The one that changed.</param>
    /// <param name="before">As it was; null where it is new.</param>
    /// <param name="after">As it is; null where it is gone.</param>
    /// <param name="cancel">Gives up.</param>
    internal async Task<IEnumerable<(Guid Visit, DateOnly Day)>> OfAsync(
        Guid visit,
        VisitFacts? before,
        VisitFacts? after,
        CancellationToken cancel
    )
    {
        if (before == after)
        {
            return [];
        }

        // What it filled, and when it began, its own day alone is judged by.
        var bottlesOnly =
            before is not null && after is not null && before == after with { Filled = before.Filled, StartedAt = before.StartedAt };
        List<(Guid, DateOnly)> found = [];
        foreach (var facts in new[] { before, after }.OfType<VisitFacts>())
        {
            // The bottles of a day, whose numbers are told apart.
            if (
                before?.Filled != after?.Filled
                || before?.StartedAt != after?.StartedAt
                || before?.Day != after?.Day
                || before?.Station != after?.Station
            )
            {
                found.AddRange((await DaysAsync(facts.Station, cancel)).Where(v => v.Day == facts.Day && v.Visit != visit));
            }

            if (bottlesOnly)
            {
                continue;
            }

            var later = (await DaysAsync(facts.Station, cancel)).Where(v => v.Day > facts.Day).ToList();

            // The same month is compared with it, by clarity and by temperature.
            found.AddRange(later.Where(v => v.Day.Month == facts.Day.Month));

            // The next visit counts the days since: only where there is a clarity now and was none, or it stood on another day.
            if (before?.Clarity is null != after?.Clarity is null || before?.Day != after?.Day || before?.Station != after?.Station)
            {
                // Those between here and the next clarity have this one, or another, as their last.
                var until = (
                    await book
                        .Readings.Clarity()
                        .Where(c => c.Station == facts.Station && c.Day > facts.Day)
                        .OrderBy(c => c.Day)
                        .Select(c => (DateOnly?)c.Day)
                        .FirstOrDefaultAsync(cancel)
                ) ?? DateOnly.MaxValue;
                found.AddRange(later.Where(v => v.Day <= until));
            }
        }

        return found.Distinct();
    }

    private async Task<List<(Guid Visit, DateOnly Day)>> DaysAsync(string station, CancellationToken cancel) =>
        stations.TryGetValue(station, out var known)
            ? known
            : stations[station] = [
                .. (
                    await book
                        .Visits.AsNoTracking()
                        .Where(v => v.Station == station)
                        .Select(v => new { v.Visit, v.Day })
                        .ToListAsync(cancel)
                ).Select(v => (v.Visit, v.Day)),
            ];
}
