namespace UpperStill.Core.Record.Entries;

/// <summary>Where a visit lies: where it was begun, unless a coordinator moved it. Never where a later beginning says.</summary>
public static class VisitPlace
{
    /// <summary>The place of a visit, from its entries in any order. A beginning that was struck still says where the visit lies.</summary>
    /// <param name="request">All entries of one visit; its beginnings, moves and strikes are enough.</param>
    public static VisitPlaceResult Of(VisitPlaceRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var log = EntryLog.Settle(request.Entries);
        var begun = Stations(log.StandingOf(VisitKinds.VisitStarted.Name)).FirstOrDefault()
            ?? Stations(log.All.Where(e => e.Kind == VisitKinds.VisitStarted.Name)).FirstOrDefault();
        var moved = log.StandingOf(VisitKinds.VisitMoved.Name).Select(VisitKinds.VisitMoved.Read).OfType<VisitMovedBody>().LastOrDefault();
        return new VisitPlaceResult(moved?.Station ?? begun, begun);
    }

    private static IEnumerable<string> Stations(IEnumerable<Entry> starts) =>
        starts.Select(VisitKinds.VisitStarted.Read).OfType<VisitStartedBody>().Select(b => b.Station);
}

/// <summary>The question where a visit lies.</summary>
/// <param name="Entries">Its entries.</param>
public sealed record VisitPlaceRequest(IReadOnlyList<Entry> Entries);

/// <summary>Where a visit lies.</summary>
/// <param name="Station">The station's code; null where its beginning is not among the entries.</param>
/// <param name="Begun">Where it was begun: by that its bottles are labelled.</param>
public sealed record VisitPlaceResult(string? Station = null, string? Begun = null);
