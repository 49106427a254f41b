namespace UpperStill.Store.Log;

/// <summary>
/// The entries of the visits that were written to last, kept from one delivery to the next: a boat sends to its visit all day.
/// For the one writer; whoever writes otherwise, or takes something back, lets it forget.
/// </summary>
public sealed class NewestVisits
{
    // Some ten megabytes.
    private const int MostEntries = 8000;

    // In the order in which they were written to.
    private readonly OrderedDictionary<Guid, IReadOnlyList<EntryRow>> known = [];
    private int entries;

    /// <summary>All entries of a visit in the order of the log; null where they are not remembered.</summary>
    /// <param name="visit">The visit.</param>
    public IReadOnlyList<EntryRow>? Of(Guid visit) => known.GetValueOrDefault(visit);

    /// <summary>These are all entries of a visit now.</summary>
    /// <param name="visit">The visit.</param>
    /// <param name="rows">Its entries in the order of the log.</param>
    public void Keep(Guid visit, IReadOnlyList<EntryRow> rows)
    {
        ArgumentNullException.ThrowIfNull(rows);
        Drop(visit);

        // A visit of which everything was refused would take room for nothing.
        if (rows.Count > 0)
        {
            known.Add(visit, rows);
            entries += rows.Count;
        }

        while (entries > MostEntries)
        {
            Drop(known.GetAt(0).Key);
        }
    }

    /// <summary>Forgets everything.</summary>
    public void Forget()
    {
        known.Clear();
        entries = 0;
    }

    private void Drop(Guid visit)
    {
        if (known.Remove(visit, out var rows))
        {
            entries -= rows.Count;
        }
    }
}
