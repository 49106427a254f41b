using Microsoft.EntityFrameworkCore;

namespace UpperStill.Store.Projections;

/// <summary>What the projections hold of some visits, read at once.</summary>
internal sealed record ProjectedVisits(
    IReadOnlyDictionary<Guid, VisitRow> Visits,
    ILookup<Guid, ReadingRow> Readings,
    ILookup<Guid, LevelRow> Levels,
    ILookup<Guid, FindingRow> Findings,
    ILookup<Guid, SampleRow> Samples,
    ILookup<Guid, ProfileRow> Profiles
)
{
    internal static async Task<ProjectedVisits> ReadAsync(FieldBook book, HashSet<Guid> visits, CancellationToken cancel) =>
        new(
            await book.Visits.AsNoTracking().Where(v => visits.Contains(v.Visit)).ToDictionaryAsync(v => v.Visit, cancel),
            (await book.Readings.AsNoTracking().Where(r => visits.Contains(r.Visit)).ToListAsync(cancel)).ToLookup(r => r.Visit),
            (await book.Levels.AsNoTracking().Where(l => visits.Contains(l.Visit)).ToListAsync(cancel)).ToLookup(l => l.Visit),
            (await book.Findings.AsNoTracking().Where(f => visits.Contains(f.Visit)).ToListAsync(cancel)).ToLookup(f => f.Visit),
            (await book.Samples.AsNoTracking().Where(s => visits.Contains(s.Visit)).ToListAsync(cancel)).ToLookup(s => s.Visit),
            (await book.Profiles.AsNoTracking().Where(p => visits.Contains(p.Visit)).ToListAsync(cancel)).ToLookup(p => p.Visit)
        );
}
