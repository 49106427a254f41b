using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;

namespace UpperStill.Store.Projections;

/// <summary>Visits of a station with the numbers of what they filled: no other visit of that day may use them.</summary>
public static class OtherVisits
{
    /// <summary>How many days back a device is told of single visits, too.</summary>
    private const int DaysBack = 14;

    /// <summary>States in which a number stands on a label only.</summary>
    internal static readonly string[] Unfilled =
    [
        .. Enum.GetValues<SampleState>().Where(s => s.Whereabouts() == Whereabouts.Planned).Select(s => s.ToString()),
    ];

    /// <summary>The visits of one day beside this one: mostly none.</summary>
    internal static Task<IReadOnlyList<OtherVisit>> BesideAsync(
        this FieldBook book,
        Guid visit,
        string station,
        DateOnly day,
        CancellationToken cancel
    ) => book.ReadAsync(book.Visits.Where(v => v.Station == station && v.Day == day && v.Visit != visit), cancel);

    /// <summary>The visits of late, and every visit that shares its day with another.</summary>
    public static Task<IReadOnlyList<OtherVisit>> KnownAsync(this FieldBook book, string station, DateOnly today, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var since = today.AddDays(-DaysBack);
        return book.ReadAsync(
            book.Visits.Where(v =>
                v.Station == station
                && (v.Day >= since || book.Visits.Any(o => o.Station == station && o.Day == v.Day && o.Visit != v.Visit))
            ),
            cancel
        );
    }

    /// <summary>Every visit of a station that filled something.</summary>
    internal static Task<IReadOnlyList<OtherVisit>> WithBottlesAsync(this FieldBook book, string station, CancellationToken cancel) =>
        book.ReadAsync(
            book.Visits.Where(v => v.Station == station && book.Samples.Any(s => s.Visit == v.Visit && !Unfilled.Contains(s.State))),
            cancel
        );

    private static async Task<IReadOnlyList<OtherVisit>> ReadAsync(
        this FieldBook book,
        IQueryable<VisitRow> which,
        CancellationToken cancel
    )
    {
        var visits = await which.Select(v => new { v.Visit, v.StartedAt }).ToListAsync(cancel);
        if (visits.Count == 0)
        {
            return [];
        }

        var ids = visits.Select(v => v.Visit).ToList();
        var filled = (
            await book
                .Samples.Where(s => ids.Contains(s.Visit) && !Unfilled.Contains(s.State))
                .Select(s => new { s.Visit, s.Number })
                .ToListAsync(cancel)
        ).ToLookup(s => s.Visit, s => s.Number);
        var begun = (
            await book
                .Entries.AsNoTracking()
                .Where(e => ids.Contains(e.Visit) && e.Kind == VisitKinds.VisitStarted.Name)
                .OrderBy(e => e.At)
                .ToListAsync(cancel)
        ).ToLookup(e => e.Visit);
        return
        [
            .. visits
                .OrderBy(v => v.StartedAt.UtcTicks)
                .ThenBy(v => v.Visit)
                .Select(v => new OtherVisit(
                    v.Visit,
                    v.StartedAt,
                    begun[v.Visit].Select(e => VisitKinds.VisitStarted.Read(e.ToEntry().Body)?.Series).OfType<string>().FirstOrDefault(),
                    [.. filled[v.Visit].Order(StringComparer.Ordinal)]
                )),
        ];
    }
}
