using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Review;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Store.Log;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Projections;

/// <summary>Keeps the projections true to the log. Every row is a pure function of the log and the reference tables.</summary>
public static class Projector
{
    private const int VisitsAtOnce = 500;

    // From so many visits on the records of their stations are made anew in one go: an old table, or its undoing.
    private const int Many = 100;

    /// <summary>Projects these visits anew, oldest first, and the later ones whose judgement rests on what changed with them.</summary>
    /// <param name="book">The book.</param>
    /// <param name="visits">The visits.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task ProjectAsync(this FieldBook book, IEnumerable<Guid> visits, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(visits);
        var given = visits.ToHashSet();
        await (
            given.Count >= Many
                ? ManyAsync(book, given, cancel)
                : book.ProjectAsync(await LogAsync(book, given, cancel), new ContextMemory(), cancel)
        );
    }

    /// <summary>Projects these visits anew from their entries, oldest first, and the later ones whose judgement rests on what changed with
    /// them.</summary>
    /// <param name="book">The book.</param>
    /// <param name="log">All entries of these visits.</param>
    /// <param name="contexts">What is remembered from before.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task ProjectAsync(
        this FieldBook book,
        IReadOnlyDictionary<Guid, IReadOnlyList<EntryRow>> log,
        ContextMemory contexts,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(log);
        ArgumentNullException.ThrowIfNull(contexts);
        if (log.Count >= Many)
        {
            contexts.Forget();
            await ManyAsync(book, log.Keys.ToHashSet(), cancel);
            return;
        }

        await contexts.LookAsync(book, cancel);
        book.ChangeTracker.Clear();
        var there = await ProjectedVisits.ReadAsync(book, log.Keys.ToHashSet(), cancel);
        var dependents = new Dependents(book);
        HashSet<Guid> done = [];
        var later = new SortedSet<(DateOnly Day, Guid Visit)>();
        var open = new Queue<Guid>(
            log.OrderBy(v => v.Value.Where(r => r.Kind == VisitKinds.VisitStarted.Name).Select(r => r.At).Order().FirstOrDefault())
                .ThenBy(v => v.Key)
                .Select(v => v.Key)
        );
        while (open.Count > 0)
        {
            List<Unfolded> together = [];
            Dictionary<string, DateOnly> days = [];
            while (open.TryPeek(out var next))
            {
                // One that comes after another of the same station, on its day or a later one, may be judged by it.
                var one = await ReadAsync(next, log[next], days);
                if (one is null)
                {
                    break;
                }

                open.Dequeue();
                together.Add(one);
            }

            // New visits are among those that may rest on others.
            dependents = new Dependents(book);
            await WriteAsync(together, there);
        }

        // Each rests on days before its own: earliest first, none comes twice.
        while (later.Count > 0)
        {
            var (_, visit) = later.Min;
            later.Remove(later.Min);
            await WriteAsync(
                [(await ReadAsync(visit, (await LogAsync(book, [visit], cancel))[visit], []))!],
                await ProjectedVisits.ReadAsync(book, [visit], cancel)
            );
        }

        async Task<Unfolded?> ReadAsync(Guid visit, IReadOnlyList<EntryRow> rows, Dictionary<string, DateOnly> days)
        {
            Entry[] entries = [.. rows.Select(e => e.ToEntry())];
            List<(string Station, DateOnly Day)> own = [];
            var waits = false;
            var context = await Folded.ContextAsync(entries, async (start, day) =>
            {
                own.Add((start.Station, day));
                waits |= days.TryGetValue(start.Station, out var first) && first <= day;
                return waits
                    ? null
                    : await WithOthersAsync(book, visit, await contexts.OfAsync(book, start, day, cancel), start.Station, day, cancel);
            });
            own.ForEach(o => days.TryAdd(o.Station, o.Day));
            return waits ? null : new Unfolded(visit, rows, entries, context);
        }

        async Task WriteAsync(List<Unfolded> together, ProjectedVisits from)
        {
            var folds = together.AsParallel().AsOrdered().Select(u => u.Context is null ? null : Folded.Of(u.Entries, u.Context)).ToList();
            var changes = together.Zip(folds, (u, folded) => Write(book, u, folded, from)).ToList();
            await book.SaveChangesAsync(cancel);
            book.ChangeTracker.Clear();
            done.UnionWith(together.Select(u => u.Visit));
            foreach (var (visit, (before, after)) in together.Select(u => u.Visit).Zip(changes))
            {
                // Those still to come will see it; one that was worked out beside it, or before, did not.
                later.UnionWith(
                    (await dependents.OfAsync(visit, before, after, cancel))
                        .Where(d => !log.ContainsKey(d.Visit) || done.Contains(d.Visit))
                        .Select(d => (d.Day, d.Visit))
                );
                foreach (var facts in new[] { before, after }.OfType<VisitFacts>().Where(_ => before != after))
                {
                    contexts.Changed(facts.Station, facts.Day);
                }
            }
        }
    }

    // A visit with what it is judged by; without, where its beginning has not come yet, or was struck.
    private sealed record Unfolded(Guid Visit, IReadOnlyList<EntryRow> Rows, Entry[] Entries, VisitContext? Context);

    private static async Task ManyAsync(FieldBook book, HashSet<Guid> given, CancellationToken cancel)
    {
        var places = await StationsAsync(book, given, cancel);
        var whole = await book.Visits.Where(v => places.Contains(v.Station)).Select(v => v.Visit).ToListAsync(cancel);
        await MakeAsync(book, [.. whole.Union(given)], [], null, cancel);
    }

    /// <summary>Projects anew some visits of long imports, of one station or more: the earliest that are left there.</summary>
    internal static async Task ProjectWaitingAsync(this FieldBook book, List<Guid> visits, CancellationToken cancel) =>
        await MakeAsync(book, visits, await StationsAsync(book, [.. visits], cancel), null, cancel);

    private static async Task<Dictionary<Guid, IReadOnlyList<EntryRow>>> LogAsync(
        FieldBook book,
        HashSet<Guid> visits,
        CancellationToken cancel
    )
    {
        var rows = (
            await book.Entries.AsNoTracking().Where(e => visits.Contains(e.Visit)).OrderBy(e => e.Sequence).ToListAsync(cancel)
        ).ToLookup(e => e.Visit);
        return visits.ToDictionary(v => v, v => (IReadOnlyList<EntryRow>)[.. rows[v]]);
    }

    /// <summary>Projects anew the visits of a span of days that were made with a line, after its check changed what its marks
    /// mean.</summary>
    /// <returns>A line for each published clarity that changed.</returns>
    public static async Task<IReadOnlyList<string>> ProjectLineAsync(
        this FieldBook book,
        string line,
        DateOnly from,
        DateOnly until,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        var begun = await book
            .Entries.FromSql($"SELECT * FROM Entries WHERE Kind = {VisitKinds.VisitStarted.Name} AND json_extract(Body, '$.line') = {line}")
            .AsNoTracking()
            .Select(e => e.Visit)
            .Distinct()
            .ToListAsync(cancel);
        var visits = await book
            .Visits.Where(v => begun.Contains(v.Visit) && v.Day >= from && v.Day <= until)
            .Select(v => v.Visit)
            .ToListAsync(cancel);
        var before = await book
            .Readings.AsNoTracking()
            .Clarity()
            .Where(c => visits.Contains(c.Visit))
            .ToDictionaryAsync(c => c.Visit, cancel);
        await book.ProjectAsync(visits, cancel);
        var after = await book
            .Readings.AsNoTracking()
            .Clarity()
            .Where(c => visits.Contains(c.Visit))
            .ToDictionaryAsync(c => c.Visit, cancel);
        return
        [
            .. visits
                .Select(v => Change(before.GetValueOrDefault(v), after.GetValueOrDefault(v), $"after the check of {line}"))
                .OfType<string>(),
        ];
    }

    /// <summary>Empties the projections and makes them anew from the log, oldest visit first.</summary>
    /// <param name="book">The book.</param>
    /// <param name="cancel">Gives up.</param>
    /// <param name="reviewed">Told the review of each visit on the way.</param>
    /// <returns>A line for each published clarity that changed, with its old and new value.</returns>
    public static async Task<IReadOnlyList<string>> RebuildAsync(
        this FieldBook book,
        CancellationToken cancel,
        Action<VisitReview>? reviewed = null
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        // Whoever brings a whole record in has begun one already.
        await using var transaction = book.Database.CurrentTransaction is null ? await book.Database.BeginTransactionAsync(cancel) : null;
        var before = await book.Readings.AsNoTracking().Clarity().ToDictionaryAsync(c => c.Visit, cancel);
        await book.Waiting.ExecuteDeleteAsync(cancel);
        await MakeAsync(book, null, [], reviewed, cancel);
        var after = await book.Readings.AsNoTracking().Clarity().ToDictionaryAsync(c => c.Visit, cancel);
        if (transaction is not null)
        {
            await transaction.CommitAsync(cancel);
        }

        return
        [
            .. before
                .Keys.Union(after.Keys)
                .Order()
                .Select(v => Change(before.GetValueOrDefault(v), after.GetValueOrDefault(v), "by the rules of this version"))
                .OfType<string>(),
        ];
    }

    // Where visits are, and where they were.
    private static async Task<List<string>> StationsAsync(FieldBook book, HashSet<Guid> visits, CancellationToken cancel)
    {
        var begun = await book
            .Entries.AsNoTracking()
            .Where(e =>
                visits.Contains(e.Visit)
                && (e.Kind == VisitKinds.VisitStarted.Name || e.Kind == VisitKinds.VisitMoved.Name || e.Strikes != null)
            )
            .ToListAsync(cancel);
        var were = await book.Visits.Where(v => visits.Contains(v.Visit)).Select(v => v.Station).Distinct().ToListAsync(cancel);
        return
        [
            .. begun
                .GroupBy(e => e.Visit)
                .Select(g => VisitPlace.Of(new VisitPlaceRequest([.. g.Select(e => e.ToEntry())])).Station)
                .OfType<string>()
                .Union(were),
        ];
    }

    // Empties the projections of these visits, of all where none are named, and makes them anew, oldest first. Each rests on those before
    // it at its station:
    // a station's come together, or the station is named of whose record a part stays.
    private static async Task MakeAsync(
        FieldBook book,
        List<Guid>? visits,
        List<string> standing,
        Action<VisitReview>? reviewed,
        CancellationToken cancel
    )
    {
        await book.Visits.Where(v => visits == null || visits.Contains(v.Visit)).ExecuteDeleteAsync(cancel);
        await book.Readings.Where(c => visits == null || visits.Contains(c.Visit)).ExecuteDeleteAsync(cancel);
        await book.Findings.Where(f => visits == null || visits.Contains(f.Visit)).ExecuteDeleteAsync(cancel);
        await book.Levels.Where(l => visits == null || visits.Contains(l.Visit)).ExecuteDeleteAsync(cancel);
        await book.Samples.Where(s => visits == null || visits.Contains(s.Visit)).ExecuteDeleteAsync(cancel);
        await book.Profiles.Where(p => visits == null || visits.Contains(p.Visit)).ExecuteDeleteAsync(cancel);
        book.ChangeTracker.Clear();
        var reference = await ReferenceSnapshot.ReadAsync(book, standing, cancel);
        var starts = await book
            .Entries.AsNoTracking()
            .Where(e => e.Kind == VisitKinds.VisitStarted.Name && (visits == null || visits.Contains(e.Visit)))
            .Select(e => new { e.Visit, e.At })
            .ToListAsync(cancel);
        foreach (var part in starts.OrderBy(s => s.At).ThenBy(s => s.Visit).Select(s => s.Visit).Distinct().Chunk(VisitsAtOnce))
        {
            var rows = (await book.Entries.AsNoTracking().Where(e => part.Contains(e.Visit)).ToListAsync(cancel)).ToLookup(e => e.Visit);
            foreach (var visit in part)
            {
                if (
                    await Folded.OfAsync([.. rows[visit].Select(e => e.ToEntry())], (start, day) =>
                        Task.FromResult(reference.Context(start, day))
                    ) is
                    { } folded
                )
                {
                    var made = Projected.Of(rows[visit].Max(e => e.Sequence), folded);
                    book.AddRange([
                        made.Visit,
                        .. made.Readings,
                        .. made.Levels,
                        .. made.Samples,
                        .. made.Findings,
                        .. new object?[] { made.Profile }.OfType<object>(),
                    ]);
                    reference.Remember(made.Clarity, folded.Context.Station.Code, folded.Sheet, made.Samples);
                    reviewed?.Invoke(folded.Review);
                }
            }

            await book.SaveChangesAsync(cancel);
            book.ChangeTracker.Clear();
        }
    }

    private static string? Change(ReadingRow? before, ReadingRow? after, string why)
    {
        var (was, now) = (Words(before), Words(after));
        var row = after ?? before!;
        return was == now ? null : $"{row.Station} {row.Day:yyyy-MM-dd}: clarity was {was}, is {now} {why}";

        static string Words(ReadingRow? row) => row is null ? "none" : row.Text + (row.Usable ? string.Empty : " (a stop is open)");
    }

    // Only rows that differ are written: a level more is one row, not all of them.
    private static (VisitFacts? Before, VisitFacts? After) Write(FieldBook book, Unfolded unfolded, Folded? folded, ProjectedVisits there)
    {
        var visit = unfolded.Visit;
        var old = there.Visits.GetValueOrDefault(visit);
        var before = old is null
            ? null
            : VisitFacts.Of(old, Projected.ClarityOf(there.Readings[visit]), [.. there.Levels[visit]], there.Samples[visit]);
        var made = folded is null ? null : Projected.Of(unfolded.Rows.Max(e => e.Sequence), folded);
        Only(book, there.Readings[visit], made?.Readings ?? [], r => (r.Protocol, r.Parameter, r.Item));
        Only(book, there.Levels[visit], made?.Levels ?? [], l => l.Ordinal);
        Only(book, there.Findings[visit], made?.Findings ?? [], f => f.Ordinal);
        Only(book, there.Samples[visit], made?.Samples ?? [], s => s.Number);
        Only(book, there.Profiles[visit], made?.Profile is { } profile ? [profile] : [], p => p.Visit);

        // The visit's own row differs with every entry: that raises the mark of its station, by which kept answers know that they are old.
        Only<VisitRow, Guid>(book, old is null ? [] : [old], made is null ? [] : [made.Visit], v => v.Visit);
        return (before, made is null ? null : VisitFacts.Of(made.Visit, made.Clarity, made.Levels, made.Samples));
    }

    private static void Only<T, TKey>(FieldBook book, IEnumerable<T> there, IReadOnlyList<T> made, Func<T, TKey> key)
        where T : class
        where TKey : notnull
    {
        var left = there.ToDictionary(key);
        foreach (var row in made)
        {
            if (!left.Remove(key(row), out var same))
            {
                book.Add(row);
            }
            else if (!same.Equals(row))
            {
                book.Update(row);
            }
        }

        book.RemoveRange(left.Values);
    }

    /// <summary>The review of a visit as it stands; null where there is no such visit.</summary>
    public static async Task<VisitReview?> ReviewAsync(this FieldBook book, Guid visit, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var rows = await book.Entries.AsNoTracking().Where(e => e.Visit == visit).ToListAsync(cancel);
        return (
            await Folded.OfAsync([.. rows.Select(e => e.ToEntry())], async (start, day) =>
                await WithOthersAsync(
                    book,
                    visit,
                    await book.ContextAsync(start.Station, start.Programme, start.ProgrammeVersion, cancel),
                    start.Station,
                    day,
                    cancel
                )
            )
        )?.Review;
    }

    private static async Task<VisitContext?> WithOthersAsync(
        FieldBook book,
        Guid visit,
        VisitContext? context,
        string station,
        DateOnly day,
        CancellationToken cancel
    ) => context is null ? null : context with { Others = await book.BesideAsync(visit, station, day, cancel) };
}
