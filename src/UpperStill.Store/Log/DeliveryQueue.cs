namespace UpperStill.Store.Log;

/// <summary>Deliveries that wait for the one writer. Those that do not touch each other are written together: one transaction, one sync of
/// the disk.</summary>
internal sealed class DeliveryQueue
{
    private const int MostEntries = 2000;

    // Below the number from which the records of whole stations would be made anew.
    private const int MostVisits = 60;

    private readonly Lock gate = new();
    private readonly List<WaitingDelivery> waiting = [];

    internal void Join(WaitingDelivery delivery)
    {
        lock (gate)
        {
            waiting.Add(delivery);
        }
    }

    /// <summary>Takes a delivery out, and with it those behind it that speak of nothing that one of these speaks of.</summary>
    internal List<WaitingDelivery> With(WaitingDelivery first)
    {
        lock (gate)
        {
            waiting.RemoveAll(w => w == first || w.Gone);
            List<WaitingDelivery> group = [first];
            HashSet<Guid> touched = [.. first.Touches];
            var (visits, entries) = (first.Visits.Count, first.Entries.Count);
            foreach (var next in waiting)
            {
                if (
                    visits + next.Visits.Count <= MostVisits
                    && entries + next.Entries.Count <= MostEntries
                    && !touched.Overlaps(next.Touches)
                )
                {
                    group.Add(next);
                    (visits, entries) = (visits + next.Visits.Count, entries + next.Entries.Count);
                }

                // Also where it stays: what comes after it on the same visit stays behind it.
                touched.UnionWith(next.Touches);
            }

            waiting.RemoveAll(group.Contains);
            return group;
        }
    }
}
