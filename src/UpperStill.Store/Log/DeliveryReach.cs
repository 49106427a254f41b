using UpperStill.Core.Findings;
using UpperStill.Core.People;
using UpperStill.Core.Visits;

namespace UpperStill.Store.Log;

/// <summary>What the person who delivers may write to which visit: samplers what is done on water and bench, laboratories what is theirs, coordinators both.</summary>
internal sealed class DeliveryReach(Permissions may, IReadOnlyDictionary<Guid, string> struckKinds)
{
    private readonly Dictionary<Guid, (string Station, string? Water)> places = [];
    private readonly Dictionary<Guid, Finding> refused = [];

    internal void Place(Guid visit, string station, string? water) => places[visit] = (station, water);

    internal void Refuse(Guid visit, Finding finding) => refused[visit] = finding;

    internal Finding? Refusal(Entry entry)
    {
        if (refused.TryGetValue(entry.Visit, out var finding))
        {
            return finding;
        }

        // Before its beginning has arrived a visit has no water; a laboratory has nothing to say of it yet.
        if (!places.TryGetValue(entry.Visit, out var place))
        {
            return may.Works ? null : Missing("this visit, which is not known here yet");
        }

        var laboratory = EntryKinds.All.TryGetValue(entry.Kind, out var kind) && kind.OfLaboratory;
        if (kind?.OfReview == true)
        {
            return place.Water is { } reviewed && may.Coordinates(reviewed) ? null : Missing(place.Station);
        }

        var ofLaboratory = laboratory || kind == EntryKinds.Kept || kind == EntryKinds.Strike;
        var reaches = place.Water is { } water && (laboratory ? may.Reports(water) : may.Samples(water) || (ofLaboratory && may.Reports(water))) && MayStrike(entry, water);
        return reaches ? null : Missing(place.Station);
    }

    // Each strikes its own kinds of entry; a coordinator any.
    private bool MayStrike(Entry entry, string water) => entry.Strikes is not { } struck || !struckKinds.TryGetValue(struck, out var kind) || may.Coordinates(water)
        || (EntryKinds.All.TryGetValue(kind, out var known) && known.OfLaboratory ? may.Reports(water) : may.Samples(water));

    private static Finding Missing(string where) => Finding.Stop(
        "role-missing", $"Your role does not reach {where}.", "Samplers and coordinators of a water write to its record, laboratories what they receive and find, coordinators review.",
        "Ask the coordinator for that role, or let someone who has it sign in here; until then the entries stay on the device.") with
    { NoWayRound = true };
}
