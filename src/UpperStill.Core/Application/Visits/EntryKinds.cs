using System.Text.Json;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Application.Visits;

/// <summary>All kinds of entry.</summary>
public static class EntryKinds
{
    /// <summary>Every kind, by name.</summary>
    public static IReadOnlyDictionary<string, EntryKind> All { get; } =
        VisitParts.All.SelectMany(p => p.Kinds).ToDictionary(k => k.Name, StringComparer.Ordinal);

    /// <summary>The entries that an answer to a finding speaks of; of other kinds none.</summary>
    public static IReadOnlyList<Guid> About(string kind, JsonElement body) =>
        kind == VisitKinds.Kept.Name ? VisitKinds.Kept.Read(body)?.About ?? [] : [];
}
