using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Store.Log;

/// <summary>Judges each entry of a delivery by what the log holds and by what its deliverer may write.</summary>
internal static class DeliveryJudge
{
    /// <summary>What becomes of each entry. Beginnings first, then whatever strikes nothing that is still to come, until nothing more can
    /// be judged.</summary>
    internal static Delivered[] Judge(LogView view, WaitingDelivery delivery)
    {
        var entries = delivery.Entries;
        var reach = Reach(view, delivery);
        Dictionary<Guid, Entry> taken = [];
        var results = new Delivered[entries.Count];
        var open = Enumerable.Range(0, entries.Count).OrderBy(i => entries[i].Kind != VisitKinds.VisitStarted.Name).ToList();
        for (var before = -1; open.Count != before; )
        {
            before = open.Count;
            List<int> later = [];
            foreach (var i in open)
            {
                var entry = entries[i];
                var finding = Same(view, taken, entry, out var already) ?? (already ? null : EntryCheck.Refusal(entry));
                if (finding is null && !already && reach.Waits(entry))
                {
                    later.Add(i);
                    continue;
                }

                finding ??= already ? null : Refusal(view, entry, reach);
                results[i] = finding is not null
                    ? new Delivered(Delivery.Refused, finding)
                    : new Delivered(already ? Delivery.Already : Delivery.Kept);
                if (results[i].Delivery == Delivery.Kept)
                {
                    taken[entry.Id] = entry;
                    reach.Know(entry.Id, Known(entry));
                }
            }

            open = later;
        }

        foreach (var i in open)
        {
            results[i] = new Delivered(Delivery.Waits, NotYet);
        }

        return results;
    }

    // An id is written once: the same again is no harm, other words under it are refused.
    private static Finding? Same(LogView view, Dictionary<Guid, Entry> taken, Entry entry, out bool already)
    {
        var row = view.Find(entry.Id)
            ?? (taken.TryGetValue(entry.Id, out var first) ? EntryRow.From(first, new EntryReceipt(default, 0)) : null);
        already = row?.Says(entry) == true;
        return row is null || already ? null : Differs;
    }

    private static Finding? Refusal(LogView view, Entry entry, DeliveryReach reach)
    {
        if (entry.Kind == VisitKinds.VisitMoved.Name && LogView.StationIn(entry) is { } station)
        {
            var there = view.Stations.GetValueOrDefault(station);
            return reach.Unknown(station, there) ?? reach.Moves(entry, station, there);
        }

        if (entry.Kind != VisitKinds.VisitStarted.Name || VisitKinds.VisitStarted.Read(entry.Body) is not { } start)
        {
            return reach.Refusal(entry);
        }

        var water = view.Stations.GetValueOrDefault(start.Station);
        var refusal = reach.Unknown(start.Station, water) ?? UnknownProgramme(view, start) ?? reach.Begins(entry, start.Station, water);
        if (refusal is not null)
        {
            reach.NotBegun(entry.Visit, refusal);
        }

        return refusal;
    }

    private static KnownEntry Known(Entry entry) => new(entry.Visit, entry.Kind, entry.Strikes, EntryKinds.About(entry.Kind, entry.Body));

    // What the log says of these visits, and of the entries that are struck.
    private static DeliveryReach Reach(LogView view, WaitingDelivery delivery)
    {
        var (who, receipt) = (delivery.Who, delivery.Receipt);
        var reach = new DeliveryReach(who);
        foreach (var struck in delivery.Entries.Select(e => e.Strikes).OfType<Guid>())
        {
            if (view.Find(struck) is { } row)
            {
                reach.Know(struck, Known(row));
            }
        }

        foreach (var visit in delivery.Visits)
        {
            var (own, others) = (false, false);
            List<Entry> placing = [];
            foreach (var row in view.OfVisit(visit))
            {
                reach.Know(row.Id, Known(row));

                // What came before people had ids says by name whose it is.
                var mine =
                    row.DeliveredById is { } by ? by == receipt.DeliveredById
                    : who.Is is null ? row.DeliveredBy == receipt.DeliveredBy
                    : who.IsCalled(row.By);
                (own, others) = (own || mine, others || !mine);
                if (row.Strikes is not null || row.Kind == VisitKinds.VisitStarted.Name || row.Kind == VisitKinds.VisitMoved.Name)
                {
                    placing.Add(row.ToEntry());
                }
            }

            Place(view, reach, visit, placing);
            if (others && !own && !reach.Lies(visit))
            {
                reach.OfOthers(visit);
            }
        }

        return reach;
    }

    private static void Place(LogView view, DeliveryReach reach, Guid visit, List<Entry> placing)
    {
        if (placing.Count == 0)
        {
            return;
        }

        // What the projection says counts before it: an older log may hold beginnings at two stations.
        var lies = VisitPlace.Of(new VisitPlaceRequest(placing));
        if (view.Places.GetValueOrDefault(visit, lies.Station!) is { } station)
        {
            reach.Place(visit, station, view.Stations.GetValueOrDefault(station));
        }

        foreach (var one in placing)
        {
            if (LogView.StationIn(one) is { } at)
            {
                reach.Was(visit, at, view.Stations.GetValueOrDefault(at), begun: one.Kind == VisitKinds.VisitStarted.Name);
            }
        }

        if (lies.Begun is not null && lies.Station != lies.Begun)
        {
            reach.Moved(visit, lies.Station!, view.Stations.GetValueOrDefault(lies.Station!));
        }
    }

    // Of what is struck or speaks of others, the words count, too.
    private static KnownEntry Known(EntryRow row) =>
        row.Kind == VisitKinds.Kept.Name || row.Strikes is not null ? Known(row.ToEntry()) : new(row.Visit, row.Kind, null, []);

    private static Finding NotYet { get; } =
        Finding.Note(
            "strike-waits",
            "It strikes an entry that is not here yet.",
            "Whether it may be struck is judged by what it is.",
            "It is sent again by itself, once the other has come."
        );

    private static Finding Differs { get; } =
        Finding.Stop(
            "entry-differs",
            "Another entry with this id is in the log and says something else.",
            "An entry is written once; the one that came first stands.",
            "Strike it with a new entry."
        ) with
        {
            NoWayRound = true,
        };

    private static Finding? UnknownProgramme(LogView view, VisitStartedBody start) =>
        view.Programmes.Contains((start.Programme, start.ProgrammeVersion))
            ? null
            : Finding.Stop(
                "programme-unknown",
                $"No programme “{start.Programme}” version {start.ProgrammeVersion} is known here.",
                "The rules of the visit would be guessed.",
                "Ask the coordinator; until then the visit stays on the device."
            ) with
            {
                NoWayRound = true,
            };
}
