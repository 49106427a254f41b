using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Visits;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Projections;

/// <summary>Keeps the projections true to the log. Every row is a pure function of the log and the reference tables.</summary>
public static class Projector
{
    /// <summary>Projects these visits anew, and the later ones of the same station and month, whose comparison rests on them.</summary>
    public static async Task ProjectAsync(this FieldBook book, IEnumerable<Guid> visits, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(visits);
        HashSet<Guid> done = [];
        foreach (var visit in visits.Order())
        {
            if (done.Add(visit) && await ProjectOneAsync(book, visit, cancel) is { } row)
            {
                var later = await book.Visits.Where(v => v.Station == row.Station && v.Day > row.Day).Select(v => new { v.Visit, v.Day }).ToListAsync(cancel);
                foreach (var next in later.Where(v => v.Day.Month == row.Day.Month))
                {
                    await ProjectOneAsync(book, next.Visit, cancel);
                }
            }
        }
    }

    /// <summary>Empties the projections and makes them anew from the log, oldest visit first.</summary>
    /// <returns>A line for each published clarity that changed, with its old and new value.</returns>
    public static async Task<IReadOnlyList<string>> RebuildAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        await using var transaction = await book.Database.BeginTransactionAsync(cancel);
        var before = await book.Clarities.AsNoTracking().ToDictionaryAsync(c => c.Visit, cancel);
        await book.Visits.ExecuteDeleteAsync(cancel);
        await book.Clarities.ExecuteDeleteAsync(cancel);
        await book.Findings.ExecuteDeleteAsync(cancel);
        book.ChangeTracker.Clear();
        var starts = await book.Entries.AsNoTracking().Where(e => e.Kind == EntryKinds.VisitStarted.Name).Select(e => new { e.Visit, e.At }).ToListAsync(cancel);
        foreach (var visit in starts.OrderBy(s => s.At).Select(s => s.Visit).Distinct())
        {
            await ProjectOneAsync(book, visit, cancel);
            book.ChangeTracker.Clear();
        }

        var after = await book.Clarities.AsNoTracking().ToDictionaryAsync(c => c.Visit, cancel);
        await transaction.CommitAsync(cancel);
        return [.. before.Keys.Union(after.Keys).Order().Select(v => Change(before.GetValueOrDefault(v), after.GetValueOrDefault(v))).OfType<string>()];
    }

    private static string? Change(ClarityRow? before, ClarityRow? after)
    {
        var (was, now) = (Words(before), Words(after));
        var row = after ?? before!;
        return was == now ? null : $"{row.Station} {row.Day:yyyy-MM-dd}: clarity was {was}, is {now} by the rules of this version";

        static string Words(ClarityRow? row) => row is null ? "none" : row.Text + (row.Usable ? string.Empty : " (a stop is open)");
    }

    private static async Task<VisitRow?> ProjectOneAsync(FieldBook book, Guid visit, CancellationToken cancel)
    {
        Entry[] entries = [.. (await book.Entries.AsNoTracking().Where(e => e.Visit == visit).ToListAsync(cancel)).Select(e => e.ToEntry())];
        if (await FoldAsync(book, entries, cancel) is not { } folded)
        {
            return null;
        }

        var (sheet, context) = folded;
        await book.Visits.Where(v => v.Visit == visit).ExecuteDeleteAsync(cancel);
        await book.Clarities.Where(c => c.Visit == visit).ExecuteDeleteAsync(cancel);
        await book.Findings.Where(f => f.Visit == visit).ExecuteDeleteAsync(cancel);
        book.ChangeTracker.Clear();
        var day = DateOnly.FromDateTime(sheet.StartedAt!.Value.DateTime);
        var row = new VisitRow
        {
            Visit = visit,
            Station = context.Station.Code,
            Day = day,
            StartedAt = sheet.StartedAt.Value,
            Closed = sheet.State == VisitState.Closed,
            Observers = string.Join(", ", sheet.Observers),
        };
        book.Visits.Add(row);
        var clarity = sheet.Clarity.Result;
        if (clarity.ClarityM is { } metres)
        {
            book.Clarities.Add(new ClarityRow
            {
                Visit = visit,
                Station = context.Station.Code,
                Day = day,
                ClarityM = metres,
                Censored = clarity.Censored,
                Usable = sheet.Usable,
                Text = clarity.Text!,
            });
        }

        book.Findings.AddRange(sheet.Findings.Select((f, i) => new FindingRow
        {
            Visit = visit,
            Ordinal = i,
            Code = f.Code,
            Level = f.Level.ToString(),
            Seen = f.Seen,
            Kept = f.Kept,
        }));
        await book.SaveChangesAsync(cancel);
        return row;
    }

    // A visit whose beginning has not arrived waits in the log.
    private static async Task<(FieldSheet Sheet, VisitContext Context)?> FoldAsync(FieldBook book, Entry[] entries, CancellationToken cancel)
    {
        foreach (var start in entries.Where(e => e.Kind == EntryKinds.VisitStarted.Name).OrderBy(e => e.At).ThenBy(e => e.Id))
        {
            if (EntryKinds.VisitStarted.Read(start.Body) is { } body
                && await book.ContextAsync(body.Station, body.Programme, body.ProgrammeVersion, cancel) is { } context)
            {
                var sheet = FieldSheet.Fold(new FoldRequest(entries, context));
                return sheet.StartedAt is null ? null : (sheet, context);
            }
        }

        return null;
    }
}
