using UpperStill.Core.Visits;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Projections;

/// <summary>What visits of one round are judged by, read once for a station and its programme until its record changes.</summary>
internal sealed class ContextMemory(FieldBook book)
{
    private readonly Dictionary<(string Station, string Programme, int Version), VisitContext?> known = [];

    internal async Task<VisitContext?> OfAsync(VisitStartedBody start, CancellationToken cancel)
    {
        var key = (start.Station, start.Programme, start.ProgrammeVersion);
        return known.TryGetValue(key, out var context) ? context : known[key] = await book.ContextAsync(start.Station, start.Programme, start.ProgrammeVersion, cancel);
    }

    /// <summary>The record of a station has changed.</summary>
    internal void Forget(string station)
    {
        foreach (var key in known.Keys.Where(k => k.Station == station).ToList())
        {
            known.Remove(key);
        }
    }
}
