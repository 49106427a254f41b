using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Projections;

/// <summary>
/// What visits are judged by, kept from one delivery to the next. It is read again where the set-up has changed since, and where the
/// record of its station has, before the day of the visit: no visit is judged by its own day or a later one.
/// For one writer at a time; whoever writes otherwise, or takes something back, lets it forget.
/// </summary>
public sealed class ContextMemory
{
    private const int MostKept = 64;

    private readonly Dictionary<(string Station, string Programme, int Version), (VisitContext? Context, DateOnly? StaleAfter)> known = [];
    private long setUp = -1;

    /// <summary>Looks whether the set-up is still the one that is remembered.</summary>
    public async Task LookAsync(FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var now = await book.Changes.MaxAsync(c => (long?)c.Sequence, cancel) ?? 0;
        if (now != setUp || known.Count > MostKept)
        {
            known.Clear();
            setUp = now;
        }
    }

    /// <summary>Forgets everything.</summary>
    public void Forget() => setUp = -1;

    internal async Task<VisitContext?> OfAsync(FieldBook book, VisitStartedBody start, DateOnly day, CancellationToken cancel)
    {
        var key = (start.Station, start.Programme, start.ProgrammeVersion);
        if (!known.TryGetValue(key, out var kept) || kept.StaleAfter < day)
        {
            known[key] = kept = (await book.ContextAsync(start.Station, start.Programme, start.ProgrammeVersion, cancel), null);
        }

        return kept.Context;
    }

    /// <summary>Something of a day of a station has changed that later days are judged by.</summary>
    internal void Changed(string station, DateOnly day)
    {
        foreach (var key in known.Keys.Where(k => k.Station == station).ToList())
        {
            var (context, stale) = known[key];
            known[key] = (context, stale < day ? stale : day);
        }
    }
}
