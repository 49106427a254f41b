using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Setup.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.People;

/// <summary>The stations that somebody may be told of.</summary>
internal static class SeenStations
{
    /// <summary>The stations of a water, or of every water that somebody sees, in their order.</summary>
    /// <param name="book">The book.</param>
    /// <param name="may">What they may do.</param>
    /// <param name="cancel">Gives up.</param>
    /// <param name="water">The water; null for all.</param>
    internal static async Task<List<StationRow>> StationsAsync(
        this FieldBook book,
        Permissions may,
        CancellationToken cancel,
        string? water = null
    ) =>
        [
            .. (
                await book
                    .Stations.AsNoTracking()
                    .Where(s => water == null || s.Water == water)
                    .OrderBy(s => s.Ordinal)
                    .ThenBy(s => s.Code)
                    .ToListAsync(cancel)
            ).Where(s => may.Sees(s.Water)),
        ];
}
