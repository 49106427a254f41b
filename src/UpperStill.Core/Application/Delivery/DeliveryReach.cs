using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Delivery;

/// <summary>An entry as far as its owner is judged by it.</summary>
/// <param name="Visit">Its visit.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Strikes">What it strikes.</param>
/// <param name="About">For an answer to a finding: the entries that the finding speaks of.</param>
public sealed record KnownEntry(Guid Visit, string Kind, Guid? Strikes, IReadOnlyList<Guid> About);

/// <summary>
/// What the person who delivers may write to which visit, and what they may strike. Where a visit lies is decided by what the log
/// holds first; only where it holds no beginning does one in the delivery say so.
/// </summary>
/// <param name="who">That person.</param>
public sealed class DeliveryReach(Deliverer who)
{
    private readonly Permissions may = who.May;
    private readonly Dictionary<Guid, (string Station, string? Water)> places = [];
    private readonly Dictionary<Guid, HashSet<string>> begun = [];
    private readonly Dictionary<Guid, HashSet<string>> waters = [];
    private readonly Dictionary<Guid, KnownEntry> entries = [];
    private readonly HashSet<Guid> ofOthers = [];
    private readonly HashSet<Guid> moved = [];
    private readonly Dictionary<Guid, Finding> notBegun = [];

    /// <summary>Where a visit lies.</summary>
    /// <param name="visit">The visit.</param>
    /// <param name="station">Its station.</param>
    /// <param name="water">That station's water; null where none is known.</param>
    public void Place(Guid visit, string station, string? water)
    {
        if (places.TryAdd(visit, (station, water)))
        {
            Was(visit, station, water, begun: false);
        }
    }

    /// <summary>A station at which a visit lies or once lay.</summary>
    /// <param name="visit">The visit.</param>
    /// <param name="station">The station.</param>
    /// <param name="water">Its water; null where none is known.</param>
    /// <param name="begun">True where a beginning of the log names it.</param>
    public void Was(Guid visit, string station, string? water, bool begun)
    {
        Of(waters, visit).Add(water ?? string.Empty);
        if (begun)
        {
            Of(this.begun, visit).Add(station);
        }

        static HashSet<string> Of(Dictionary<Guid, HashSet<string>> all, Guid visit) =>
            all.TryGetValue(visit, out var set) ? set : all[visit] = new(StringComparer.Ordinal);
    }

    /// <summary>True where it is known where a visit lies.</summary>
    /// <param name="visit">The visit.</param>
    public bool Lies(Guid visit) => places.ContainsKey(visit);

    /// <summary>Somebody else delivered to this visit, whose beginning has not come yet.</summary>
    public void OfOthers(Guid visit) => ofOthers.Add(visit);

    /// <summary>The beginning of a visit was refused: where it has no place already, nothing of it is kept, so that it stays whole on the
    /// device.</summary>
    public void NotBegun(Guid visit, Finding finding) => notBegun.TryAdd(visit, finding);

    /// <summary>An entry of the log, or one that was just judged good.</summary>
    public void Know(Guid id, KnownEntry entry) => entries[id] = entry;

    /// <summary>True where an entry strikes one that is not here yet: it can be judged when that comes.</summary>
    public bool Waits(Entry entry) => entry.Strikes is { } struck && !entries.ContainsKey(struck);

    /// <summary>A station that is not there, for whoever would see it; others are told the same of it as of one that they do not
    /// see.</summary>
    /// <param name="station">The station that is named.</param>
    /// <param name="water">Its water; null where none is known.</param>
    public Finding? Unknown(string station, string? water) =>
        Practice.Is(station) ? Practice.Refusal(station) with { NoWayRound = true }
        : water is not null || !may.CoordinatesAll ? null
        : Finding.Stop(
            "station-unknown",
            $"No station “{station}” is known here.",
            "A reading without a place cannot join a record.",
            "Choose the station, or ask the coordinator to add it; until then the visit stays on the device."
        ) with
        {
            NoWayRound = true,
        };

    /// <summary>A beginning: never the one by which a visit changes its place or its owner.</summary>
    /// <param name="start">The entry.</param>
    /// <param name="station">The station it names.</param>
    /// <param name="water">That station's water.</param>
    public Finding? Begins(Entry start, string station, string? water)
    {
        if (places.TryGetValue(start.Visit, out var place))
        {
            // A header put right after the visit was moved still names the station on its labels; that moves nothing.
            return place.Station == station || (moved.Contains(start.Visit) && begun[start.Visit].Contains(station))
                ? Refusal(start)
                : Finding.Stop(
                    "visit-elsewhere",
                    $"This visit lies {(Sees(place.Water) ? $"at {place.Station}" : "elsewhere")}; a beginning at {station} does "
                        + "not move it.",
                    "What was read would be taken for another water’s.",
                    "Begin another visit there, or ask the coordinator."
                ) with
                {
                    NoWayRound = true,
                };
        }

        if (water is null || !may.Samples(water))
        {
            return Missing(Sees(water) ? station : $"{station}, or there is no such station");
        }

        if (ofOthers.Contains(start.Visit) && !may.Coordinates(water))
        {
            return Finding.Stop(
                "visit-of-another",
                "Somebody else has written to this visit, and its beginning has not come yet.",
                "Who begins a visit says where its readings belong.",
                "Let their device send first; until then this waits here."
            ) with
            {
                NoWayRound = true,
            };
        }

        places[start.Visit] = (station, water);
        if (Refusal(start) is { } refusal)
        {
            places.Remove(start.Visit);
            return refusal;
        }

        Was(start.Visit, station, water, begun: true);
        return null;
    }

    /// <summary>A move: by a coordinator of every water at which the visit lay, lies or will lie.</summary>
    /// <param name="move">The entry.</param>
    /// <param name="station">The station it names.</param>
    /// <param name="water">That station's water.</param>
    public Finding? Moves(Entry move, string station, string? water)
    {
        if (Refusal(move) is { } refusal)
        {
            return refusal;
        }

        if (water is null || !may.Coordinates(water))
        {
            return Missing(Sees(water) ? station : $"{station}, or there is no such station");
        }

        if (!places.ContainsKey(move.Visit))
        {
            return Finding.Stop(
                "move-nothing",
                "It moves a visit whose beginning is not here yet.",
                "Nobody knows from where it would be moved.",
                "Move it once its beginning has come."
            ) with
            {
                NoWayRound = true,
            };
        }

        Moved(move.Visit, station, water);
        return null;
    }

    /// <summary>A visit was moved to a station.</summary>
    /// <param name="visit">The visit.</param>
    /// <param name="station">The station.</param>
    /// <param name="water">Its water.</param>
    public void Moved(Guid visit, string station, string? water)
    {
        moved.Add(visit);
        places[visit] = (station, water);
        Was(visit, station, water, begun: false);
    }

    /// <summary>Why an entry that is no first beginning cannot be kept; null where it can.</summary>
    public Finding? Refusal(Entry entry)
    {
        if (entry.Strikes is { } struck && entries.TryGetValue(struck, out var target) && target.Visit != entry.Visit)
        {
            return Finding.Stop(
                "strike-elsewhere",
                "It strikes an entry of another visit.",
                "A visit is corrected where it stands.",
                "Strike it in its own visit."
            ) with
            {
                NoWayRound = true,
            };
        }

        places.TryGetValue(entry.Visit, out var place);
        if (who.Refusal(entry, OwnerOf(entry), place.Water is { } at ? may.Coordinates(at) : may.CoordinatesAll) is { } refusal)
        {
            return refusal;
        }

        // Before its beginning has arrived a visit has no water; a laboratory and a reviewer have nothing to say of it yet.
        if (place.Station is null)
        {
            return notBegun.TryGetValue(entry.Visit, out var finding) ? finding
                : may.CoordinatesAll || (may.Works && OwnerOf(entry) == EntryOwner.Sampler) ? null
                : Missing("this visit, which is not known here yet");
        }

        return
            place.Water is { } water
            && Owns(OwnerOf(entry), entry.Visit, water)
            && (entry.Strikes is not { } id || Owns(OwnerOf(id), entry.Visit, water))
            ? null
            : Missing(Sees(place.Water) ? place.Station : "this visit");
    }

    private bool Sees(string? water) => water is not null && may.Sees(water);

    private bool Owns(EntryOwner owner, Guid visit, string water) =>
        owner switch
        {
            // Every water it ever touched: undoing a move changes the record of both.
            EntryOwner.Mover => may.Coordinates(water) && waters[visit].All(may.Coordinates),
            EntryOwner.Reviewer => may.Coordinates(water),
            EntryOwner.Laboratory => may.Reports(water),
            EntryOwner.Either => may.Samples(water) || may.Reports(water),
            _ => may.Samples(water),
        };

    private EntryOwner OwnerOf(Entry entry) =>
        OwnerOf(new KnownEntry(entry.Visit, entry.Kind, entry.Strikes, EntryKinds.About(entry.Kind, entry.Body)), 0);

    private EntryOwner OwnerOf(Guid id) => entries.TryGetValue(id, out var entry) ? OwnerOf(entry, 0) : EntryOwner.Sampler;

    // A bare strike belongs to whoever owns what it strikes, and an answer to a finding to whoever wrote all that the finding is about.
    private EntryOwner OwnerOf(KnownEntry entry, int deep)
    {
        if (
            deep < entries.Count
            && entry.Kind == VisitKinds.Strike.Name
            && entry.Strikes is { } struck
            && entries.TryGetValue(struck, out var target)
        )
        {
            return OwnerOf(target, deep + 1);
        }

        if (entry.Kind == VisitKinds.Kept.Name)
        {
            return
                entry.About.Count > 0
                && entry.About.All(a =>
                    entries.TryGetValue(a, out var about)
                    && about.Kind != VisitKinds.Kept.Name
                    && OwnerOf(about, deep + 1) == EntryOwner.Laboratory
                )
                ? EntryOwner.Either
                : EntryOwner.Sampler;
        }

        return EntryKinds.All.TryGetValue(entry.Kind, out var kind) ? kind.Owner : EntryOwner.Sampler;
    }

    private static Finding Missing(string where) =>
        Finding.Stop(
            "role-missing",
            $"Your role does not reach {where}.",
            "Samplers and coordinators of a water write to its record, laboratories what they receive and find, coordinators review.",
            "Ask the coordinator for that role, or let someone who has it sign in here; until then the entries stay on the device."
        ) with
        {
            NoWayRound = true,
        };
}
