using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Store.Log;

/// <summary>What the log and the set-up hold that deliveries are judged by, read at once for all that are written together.</summary>
internal sealed class LogView
{
    private readonly Dictionary<Guid, List<EntryRow>> visits = [];
    private readonly Dictionary<Guid, EntryRow> entries = [];

    /// <summary>Where the projection says that the visits lie.</summary>
    internal required IReadOnlyDictionary<Guid, string> Places { get; init; }

    /// <summary>The waters of the stations that are named, by the stations' codes.</summary>
    internal required IReadOnlyDictionary<string, string> Stations { get; init; }

    /// <summary>The known versions of the programmes that beginnings name.</summary>
    internal required IReadOnlySet<(string Code, int Version)> Programmes { get; init; }

    /// <summary>The entries of a visit, in the order of the log.</summary>
    internal IReadOnlyList<EntryRow> OfVisit(Guid visit) => visits.GetValueOrDefault(visit) ?? [];

    /// <summary>An entry of one of the visits, or one that is struck, or that bears the id of one delivered.</summary>
    internal EntryRow? Find(Guid id) => entries.GetValueOrDefault(id);

    /// <summary>Whole visits as they will be with these rows.</summary>
    internal Dictionary<Guid, IReadOnlyList<EntryRow>> With(IEnumerable<EntryRow> rows) =>
        rows.GroupBy(r => r.Visit).ToDictionary(g => g.Key, g => (IReadOnlyList<EntryRow>)[.. OfVisit(g.Key), .. g]);

    /// <summary>These rows are in the log now.</summary>
    internal void Add(IEnumerable<EntryRow> rows)
    {
        foreach (var row in rows)
        {
            (visits.TryGetValue(row.Visit, out var of) ? of : visits[row.Visit] = []).Add(row);
            entries[row.Id] = row;
        }
    }

    internal static async Task<LogView> ReadAsync(
        FieldBook book,
        IReadOnlyList<Entry> entries,
        NewestVisits newest,
        CancellationToken cancel
    )
    {
        var visits = entries.Select(e => e.Visit).ToHashSet();
        var ids = entries.Select(e => e.Id).Concat(entries.Select(e => e.Strikes).OfType<Guid>()).ToHashSet();
        var rows = visits.SelectMany(v => newest.Of(v) ?? []).ToList();
        var unread = visits.Where(v => newest.Of(v) is null).ToHashSet();
        ids.ExceptWith(rows.Select(r => r.Id));
        rows.AddRange(
            await book
                .Entries.AsNoTracking()
                .Where(e => unread.Contains(e.Visit) || ids.Contains(e.Id))
                .OrderBy(e => e.Sequence)
                .ToListAsync(cancel)
        );
        var places = await book
            .Visits.Where(v => visits.Contains(v.Visit))
            .Select(v => new { v.Visit, v.Station })
            .ToDictionaryAsync(v => v.Visit, v => v.Station, cancel);
        var named = entries
            .Select(StationIn)
            .Concat(
                rows.Where(r => r.Kind == VisitKinds.VisitStarted.Name || r.Kind == VisitKinds.VisitMoved.Name)
                    .Select(r => StationIn(r.ToEntry()))
            )
            .Concat(places.Values)
            .OfType<string>()
            .ToHashSet();
        var stations = await book
            .Stations.Where(s => named.Contains(s.Code))
            .Select(s => new { s.Code, s.Water })
            .ToDictionaryAsync(s => s.Code, s => s.Water, cancel);
        var codes = entries
            .Where(e => e.Kind == VisitKinds.VisitStarted.Name)
            .Select(e => VisitKinds.VisitStarted.Read(e.Body)?.Programme)
            .OfType<string>()
            .ToHashSet();
        var programmes = await book
            .Programmes.Where(p => codes.Contains(p.Code))
            .Select(p => new { p.Code, p.Version })
            .ToListAsync(cancel);
        var view = new LogView
        {
            Places = places,
            Stations = stations,
            Programmes = programmes.Select(p => (p.Code, p.Version)).ToHashSet(),
        };
        view.Add(rows);
        return view;
    }

    /// <summary>The station that a beginning or a move names.</summary>
    internal static string? StationIn(Entry entry) =>
        entry.Kind == VisitKinds.VisitStarted.Name ? VisitKinds.VisitStarted.Read(entry.Body)?.Station
        : entry.Kind == VisitKinds.VisitMoved.Name ? VisitKinds.VisitMoved.Read(entry.Body)?.Station
        : null;
}
