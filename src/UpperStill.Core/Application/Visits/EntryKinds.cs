using System.Text.Json;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.Leaving;
using UpperStill.Core.Protocols.Paper;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Application.Visits;

/// <summary>All kinds of entry.</summary>
public static class EntryKinds
{
    /// <summary>Every kind, by name.</summary>
    public static IReadOnlyDictionary<string, EntryKind> All { get; } = new[]
    {
        VisitKinds.All,
        ArrivalKinds.All,
        SoundingKinds.All,
        SecchiKinds.All,
        ProfileKinds.All,
        BottleKinds.All,
        CompositeKinds.All,
        PaperKinds.All,
        LeavingKinds.All,
        FilterKinds.All,
        CustodyKinds.All,
        ResultKinds.All,
        ReviewKinds.All,
    }.SelectMany(k => k).ToDictionary(k => k.Name, StringComparer.Ordinal);

    /// <summary>The entries that an answer to a finding speaks of; of other kinds none.</summary>
    public static IReadOnlyList<Guid> About(string kind, JsonElement body) => kind == VisitKinds.Kept.Name ? VisitKinds.Kept.Read(body)?.About ?? [] : [];
}
