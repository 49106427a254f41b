using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Leaving;

/// <summary>Kinds of entry on leaving the station.</summary>
public static class LeavingKinds
{
    /// <summary>Something counted aboard.</summary>
    public static readonly EntryKind<AboardBody> Aboard = new(
        "aboard",
        1,
        "Gear counted aboard on leaving.",
        () => LeavingJson.Default.AboardBody,
        (b, _) => $"{b.Thing} {(b.Aboard ? "aboard" : "missing")}"
    );

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [Aboard];
}
