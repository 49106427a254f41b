using UpperStill.Core.Clarity;
using UpperStill.Core.Operations;
using UpperStill.Core.Quantities;
using UpperStill.Core.Seasons;

namespace UpperStill.Core.Visits;

/// <summary>All kinds of entry.</summary>
public static class EntryKinds
{
    /// <summary>A visit begins.</summary>
    public static readonly EntryKind<VisitStartedBody> VisitStarted = new(
        "visit-started", 1, "A visit begins at a station, under a version of a programme.", CoreJson.Default.VisitStartedBody,
        (b, _) => $"Visit begun at {b.Station}, {string.Join(" and ", b.Observers)}");

    /// <summary>The depth of the water.</summary>
    public static readonly EntryKind<SoundingBody> Sounding = new(
        "sounding", 1, "The depth of the water as read.", CoreJson.Default.SoundingBody, (b, r) => $"Sounding {Written(b.Depth, r)}");

    /// <summary>One mark of the disc.</summary>
    public static readonly EntryKind<DiscMarkBody> DiscMark = new(
        "disc-mark", 1, "The disc lost, or seen again, at a mark of the line.", CoreJson.Default.DiscMarkBody,
        (b, r) => $"Disc {(b.Event == DiscEvent.Disappeared ? "lost" : "seen again")} at {Written(b.Depth, r)}"
            + (b.Lowering > 1 || b.Observer is not null ? $" (reading {b.Lowering}{(b.Observer is null ? string.Empty : ", " + b.Observer)})" : string.Empty));

    /// <summary>A clarity reading that ended otherwise.</summary>
    public static readonly EntryKind<DiscOutcomeBody> DiscOutcome = new(
        "disc-outcome", 1, "The disc on the bottom, lost in plants or mud, or the reading not taken.", CoreJson.Default.DiscOutcomeBody,
        (b, _) => b.Outcome switch
        {
            Clarity.DiscOutcome.OnBottom => "Disc on the bottom, in sight",
            Clarity.DiscOutcome.InPlants => "Disc lost in plants",
            Clarity.DiscOutcome.InMud => "Disc lost in stirred sediment",
            _ => "Clarity not taken",
        });

    /// <summary>Another entry struck out, with nothing in its place.</summary>
    public static readonly EntryKind<EmptyBody> Strike = new(
        "strike", 1, "Strikes out another entry; `strikes` and `why` say which and for what reason.", CoreJson.Default.EmptyBody, (_, _) => "Struck out");

    /// <summary>A sample or profile taken along.</summary>
    public static readonly EntryKind<TakenBody> Taken = new(
        "taken", 1, "A sample or a profile was taken along with this visit.", CoreJson.Default.TakenBody, (b, _) => $"Taken: {b.Protocol.Words()}");

    /// <summary>A finding answered.</summary>
    public static readonly EntryKind<KeptBody> Kept = new(
        "kept", 1, "A finding answered with a reason; the entries it spoke of stay as they are.", CoreJson.Default.KeptBody, (b, _) => $"Kept in spite of {b.Finding}");

    /// <summary>The visit ends.</summary>
    public static readonly EntryKind<EmptyBody> VisitClosed = new(
        "visit-closed", 1, "The visit ends. Striking this entry opens it again.", CoreJson.Default.EmptyBody, (_, _) => "Visit ended");

    /// <summary>Every kind, by name.</summary>
    public static IReadOnlyDictionary<string, EntryKind> All { get; } =
        new EntryKind[] { VisitStarted, Sounding, DiscMark, DiscOutcome, Taken, Strike, Kept, VisitClosed }.ToDictionary(k => k.Name, StringComparer.Ordinal);

    private static string Written(WrittenLength depth, ReaderUnit reader) =>
        depth.Read().Length is { } length ? LengthText.Show(length, reader) : $"“{depth.Written}”";
}
