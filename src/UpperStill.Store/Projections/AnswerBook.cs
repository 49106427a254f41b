using System.Collections.Concurrent;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Store.Log;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Projections;

/// <summary>What series say. Worked out when it is first asked for, and kept until something under it changes: a visit, a join, the
/// station, its programme, or the rules themselves.</summary>
public static class AnswerBook
{
    // The values of so many stations are in memory at once.
    private const int StationsAtOnce = 50;

    // Kept answers are read so many at a time, and each is made short before the next come.
    private const int AnswersAtOnce = 200;

    // Whoever asks does not wait for an import to finish only to keep what was worked out.
    private const int KeepWithinS = 1;

    private static readonly string Rules = typeof(TrendRule).Module.ModuleVersionId.ToString();

    /// <summary>The answers of some stations, by station, in the order of the subjects; only those that there are.</summary>
    /// <param name="book">The book.</param>
    /// <param name="stations">The stations.</param>
    /// <param name="subjects">What of them; null for everything.</param>
    /// <param name="reader">Unit of the words.</param>
    /// <param name="cancel">Gives up.</param>
    public static Task<ILookup<string, SeriesAnswer>> AnswersAsync(
        this FieldBook book,
        IReadOnlyCollection<StationRow> stations,
        IReadOnlyList<Parameter>? subjects,
        ReaderUnit reader,
        CancellationToken cancel
    ) => AnswersAsync(book, stations, subjects, reader, (_, answer) => answer, cancel);

    /// <summary>What is made of the answers of some stations, by station; of thousands the whole answers need not be in memory.</summary>
    /// <param name="book">The book.</param>
    /// <param name="stations">The stations.</param>
    /// <param name="subjects">What of them; null for everything.</param>
    /// <param name="reader">Unit of the words.</param>
    /// <param name="brief">What is made of a station's answer; called from several threads.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<ILookup<string, T>> AnswersAsync<T>(
        this FieldBook book,
        IReadOnlyCollection<StationRow> stations,
        IReadOnlyList<Parameter>? subjects,
        ReaderUnit reader,
        Func<string, SeriesAnswer, T> brief,
        CancellationToken cancel
    )
        where T : class
    {
        ArgumentNullException.ThrowIfNull(stations);
        return await AskAsync(
            book,
            stations,
            subjects ?? await book.SubjectsAsync(stations, cancel),
            reader,
            whole: true,
            (station, json) => brief(station, JsonSerializer.Deserialize(json, SetupJson.Default.SeriesAnswer)!),
            brief,
            cancel
        );
    }

    /// <summary>The tests alone of one subject, by station.</summary>
    /// <param name="book">The book.</param>
    /// <param name="stations">The stations.</param>
    /// <param name="subject">What of them.</param>
    /// <param name="cancel">Gives up.</param>
    public static Task<ILookup<string, RegionalStation>> TestsAsync(
        this FieldBook book,
        IReadOnlyCollection<StationRow> stations,
        Parameter subject,
        CancellationToken cancel
    ) =>
        AskAsync(
            book,
            stations,
            [subject],
            ReaderUnit.AsRead,
            whole: false,
            (_, json) => JsonSerializer.Deserialize(json, SetupJson.Default.RegionalStation)!,
            (_, answer) => RegionalStation.Of(answer),
            cancel
        );

    private static async Task<ILookup<string, T>> AskAsync<T>(
        FieldBook book,
        IReadOnlyCollection<StationRow> stations,
        IReadOnlyList<Parameter> subjects,
        ReaderUnit reader,
        bool whole,
        Func<string, string, T> read,
        Func<string, SeriesAnswer, T> brief,
        CancellationToken cancel
    )
        where T : class
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(stations);
        ConcurrentDictionary<(string Station, Parameter Subject), T?> found = [];

        // Marks first: what changes while the values are read makes the answer old, not wrong for good.
        var few = stations.Count <= StationsAtOnce ? stations.Select(s => s.Code).ToList() : null;
        var marks = await book
            .StationMarks.AsNoTracking()
            .Where(m => few == null || few.Contains(m.Station))
            .ToDictionaryAsync(m => m.Station, m => m.Mark, cancel);
        var kept = book
            .Answers.AsNoTracking()
            .Where(a => a.Reader == reader && subjects.Contains(a.Subject) && (few == null || few.Contains(a.Station)) && a.Rules == Rules)
            .Select(a => new
            {
                a.Station,
                a.Subject,
                a.Mark,
                Json = whole ? a.Definition : a.Test,
            })
            .AsAsyncEnumerable();
        await foreach (var some in kept.Chunk(AnswersAtOnce).WithCancellation(cancel))
        {
            Parallel.ForEach(some.Where(a => a.Mark == marks.GetValueOrDefault(a.Station)), row =>
                found[(row.Station, row.Subject)] = row.Json is null ? null : read(row.Station, row.Json)
            );
        }

        foreach (var old in stations.Where(s => subjects.Any(subject => !found.ContainsKey((s.Code, subject)))).Chunk(StationsAtOnce))
        {
            var missing = subjects.Where(subject => old.Any(s => !found.ContainsKey((s.Code, subject)))).ToList();
            var series = await book.SeriesAsync(old, missing, cancel);
            ConcurrentBag<AnswerRow> rows = [];
            Parallel.ForEach(old.SelectMany(s => missing.Select(subject => (s.Code, subject))).Where(one => !found.ContainsKey(one)), one =>
            {
                var (all, native) = series[one.Code];
                var answer = all.FirstOrDefault(s => s.Subject == one.subject) is { } values
                    ? TrendRule.Answer(values.Ask(native, reader))
                    : null;
                found[one] = answer is null ? null : brief(one.Code, answer);
                rows.Add(
                    new AnswerRow
                    {
                        Reader = reader,
                        Subject = one.subject,
                        Station = one.Code,
                        Mark = marks.GetValueOrDefault(one.Code),
                        Rules = Rules,
                        Test = answer is null
                            ? null
                            : JsonSerializer.Serialize(RegionalStation.Of(answer), SetupJson.Default.RegionalStation),
                        Definition = answer is null ? null : JsonSerializer.Serialize(answer, SetupJson.Default.SeriesAnswer),
                    }
                );
            });
            await KeepAsync(book, rows, cancel);
        }

        return stations
            .SelectMany(s => subjects.Select(subject => (s.Code, Answer: found[(s.Code, subject)])))
            .Where(a => a.Answer is not null)
            .ToLookup(a => a.Code, a => a.Answer!);
    }

    private static async Task KeepAsync(FieldBook book, IEnumerable<AnswerRow> rows, CancellationToken cancel)
    {
        await book.Database.OpenConnectionAsync(cancel);
        try
        {
            await using var command = book.Database.GetDbConnection().CreateCommand();
            command.CommandTimeout = KeepWithinS;
            command.CommandText = """
                INSERT OR REPLACE INTO Answers (Reader, Subject, Station, Mark, Rules, Test, Definition)
                SELECT value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4, value ->> 5, value ->> 6 FROM json_each($rows)
                """;
            command.Parameters.Add(
                new SqliteParameter(
                    "$rows",
                    JsonSerializer.Serialize(
                        rows.Select(r =>
                            new object?[] { r.Reader.ToString(), r.Subject.ToString(), r.Station, r.Mark, r.Rules, r.Test, r.Definition }
                        )
                    )
                )
            );
            await command.ExecuteNonQueryAsync(cancel);
        }
        catch (SqliteException busy) when (StorageFaults.Of(busy) is StorageFault.Busy)
        {
            // Somebody writes; it is worked out again next time.
        }
        finally
        {
            await book.Database.CloseConnectionAsync();
        }
    }
}
