using System.Collections.Concurrent;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Programmes;
using UpperStill.Core.Quantities;
using UpperStill.Core.Trends;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Record;

/// <summary>What the series of a station say.</summary>
/// <param name="Station">The station's code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Answers">Series by series.</param>
public sealed record StationAnswer(string Station, string Name, IReadOnlyList<SeriesAnswer> Answers);

/// <summary>What a series says, in short.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Name">Its name in a sentence.</param>
/// <param name="Verdict">What it says.</param>
/// <param name="Headline">The sentence.</param>
/// <param name="Detail">How sure, and from what.</param>
/// <param name="WouldKnow">How long until we would know; null where the scatter is not known yet.</param>
/// <param name="Waiting">Values that wait for review.</param>
/// <param name="Years">Year by year, to be drawn small.</param>
/// <param name="Line">The trend, to be drawn.</param>
/// <param name="Depth">True where it is drawn from the surface down.</param>
public sealed record SeriesAnswer(
    TrendSubject Subject, string Name, TrendVerdict Verdict, string Headline, string Detail, string? WouldKnow, int Waiting, IReadOnlyList<YearSummary> Years, IReadOnlyList<TrendAt>? Line, bool Depth);

/// <summary>Asks the record: is it changing, how sure is that, what would it take to know.</summary>
public sealed class RecordDesk(FieldBook book, Caller caller)
{
    private const int MostKept = 2000;

    // What was worked out holds until something reaches the station's log or the reference tables.
    private static readonly ConcurrentDictionary<(string Database, string Station, long Changed), StationAnswer> Known = new();

    /// <summary>The answers of a water's stations.</summary>
    public async Task<IReadOnlyList<StationAnswer>> AnswersAsync(string water, CancellationToken cancel)
    {
        var setUp = await book.Changes.MaxAsync(c => (long?)c.Sequence, cancel) ?? 0;
        List<StationAnswer> answers = [];
        foreach (var row in await book.Stations.AsNoTracking().Where(s => s.Water == water).OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel))
        {
            var changed = (await book.Visits.Where(v => v.Station == row.Code).MaxAsync(v => (long?)v.LastSequence, cancel) ?? 0) + setUp;
            var key = (book.Database.GetConnectionString() ?? string.Empty, row.Code, changed);
            if (!Known.TryGetValue(key, out var answer))
            {
                answer = await AnswerAsync(row, cancel);
                if (Known.Count >= MostKept)
                {
                    Known.Clear();
                }

                Known[key] = answer;
            }

            answers.Add(answer);
        }

        return answers;
    }

    /// <summary>One subject over all stations that the caller may see.</summary>
    public async Task<RegionalResult> RegionAsync(TrendSubject subject, CancellationToken cancel)
    {
        var stations = (await book.Stations.AsNoTracking().OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel)).Where(s => caller.May.Sees(s.Water)).ToList();
        Dictionary<string, Programme?> programmes = [];
        foreach (var code in stations.Select(s => s.Programme).Distinct())
        {
            programmes[code] = await book.ProgrammeAsync(code, null, cancel);
        }

        var points = await book.PointsOfAllAsync(subject, cancel);
        return RegionalTrend.Together(subject, [.. stations.Where(s => points.ContainsKey(s.Code) && programmes[s.Programme] is not null)
            .Select(s => RegionalTrend.Station(s.Code, subject, points[s.Code], SubjectWords.Of(subject).Window(programmes[s.Programme]!)))]);
    }

    private async Task<StationAnswer> AnswerAsync(StationRow row, CancellationToken cancel)
    {
        var station = row.Read();
        var programme = await book.ProgrammeAsync(row.Programme, null, cancel) ?? throw new JsonException($"Programme {row.Programme} is missing.");
        var native = station.KnownDepth.Unit ?? LengthUnit.Metre;
        var series = await book.SeriesAsync(row.Code, programme, await book.ClaritiesAsync(row.Code, cancel), cancel);
        return new StationAnswer(row.Code, station.Name, [.. series.Select(s => Short(TrendRule.Work(s.Ask(native))))]);
    }

    private static SeriesAnswer Short(TrendResult result) => new(
        result.Subject, result.Name, result.Verdict, result.Headline, result.Detail, result.WouldKnow?.Text, result.Waiting, result.Years, result.Line, SubjectWords.Of(result.Subject).Depth);
}
