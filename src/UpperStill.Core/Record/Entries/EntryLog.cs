namespace UpperStill.Core.Record.Entries;

/// <summary>
/// The entries of one visit put in order: duplicates gone, struck ones told from standing ones.
/// The result is the same for any order and any repetition of the entries.
/// </summary>
internal sealed class EntryLog
{
    private Dictionary<Guid, Entry>? byId;
    private static readonly List<Entry> None = [];
    private readonly Dictionary<Guid, Entry> struckBy = [];
    private readonly Dictionary<string, List<Entry>> standing = [];

    private EntryLog(IReadOnlyList<Entry> all) => All = all;

    /// <summary>Every entry once, by time and then by id.</summary>
    internal IReadOnlyList<Entry> All { get; }

    /// <summary>Those that are not struck, in the same order.</summary>
    internal IEnumerable<Entry> Standing => All.Where(e => !struckBy.ContainsKey(e.Id));

    internal static EntryLog Settle(IEnumerable<Entry> entries)
    {
        // An id names one entry for ever. Should two differ under one id, the choice must not hang on the order of arrival;
        // a copy with the server's receipt says more than one without.
        var log = new EntryLog([
            .. entries
                .GroupBy(e => e.Id)
                .Select(g =>
                    g.Count() == 1
                        ? g.First()
                        : g.OrderByDescending(e => e.Receipt is not null)
                            .ThenBy(e => e.At)
                            .ThenBy(e => e.Kind, StringComparer.Ordinal)
                            .ThenBy(e => e.Body.GetRawText(), StringComparer.Ordinal)
                            .ThenBy(e => e.By, StringComparer.Ordinal)
                            .ThenBy(e => e.Device, StringComparer.Ordinal)
                            .ThenBy(e => e.Why, StringComparer.Ordinal)
                            .ThenBy(e => e.Strikes)
                            .ThenBy(e => e.Visit)
                            .ThenBy(e => e.Version)
                            .ThenBy(e => e.Receipt?.At)
                            .ThenBy(e => e.Receipt?.ClockOffS)
                            .First()
                )
                .OrderBy(e => e.At.UtcTicks)
                .ThenBy(e => e.Id),
        ]);
        log.Strike();
        foreach (var entry in log.Standing)
        {
            if (!log.standing.TryGetValue(entry.Kind, out var kind))
            {
                log.standing[entry.Kind] = kind = [];
            }

            kind.Add(entry);
        }

        return log;
    }

    /// <summary>Those of a kind that are not struck, in the same order.</summary>
    /// <summary>An entry by its id; null where there is none.</summary>
    internal Entry? Find(Guid id) => (byId ??= All.GroupBy(e => e.Id).ToDictionary(g => g.Key, g => g.First())).GetValueOrDefault(id);

    internal List<Entry> StandingOf(string kind) => standing.GetValueOrDefault(kind, None);

    internal Entry? StruckBy(Entry entry) => struckBy.GetValueOrDefault(entry.Id);

    /// <summary>
    /// A correction goes on striking what it replaced even when it is struck itself: a second misreading does not make the first one right.
    /// A bare strike that is struck is undone.
    /// </summary>
    private void Strike()
    {
        foreach (var striker in All.Where(e => e.Strikes is not null && e.Kind != VisitKinds.Strike.Name))
        {
            struckBy.TryAdd(striker.Strikes!.Value, striker);
        }

        // Bare strikes are settled from the newest back, each standing unless a newer one has struck it.
        var bare = All.Where(e => e.Strikes is not null && e.Kind == VisitKinds.Strike.Name).OrderByDescending(e => e.Id);
        foreach (var striker in bare.Where(s => !struckBy.ContainsKey(s.Id)))
        {
            struckBy.TryAdd(striker.Strikes!.Value, striker);
        }
    }
}
