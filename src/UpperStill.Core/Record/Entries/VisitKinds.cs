using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Entries;

/// <summary>Kinds of entry about the visit itself.</summary>
public static class VisitKinds
{
    /// <summary>A visit begins.</summary>
    public static readonly EntryKind<VisitStartedBody> VisitStarted = new(
        "visit-started",
        1,
        "A visit begins at a station, under a version of a programme.",
        () => VisitJson.Default.VisitStartedBody,
        (b, _) =>
            $"Visit begun at {b.Station}, {string.Join(" and ", b.Observers)}"
            + (
                b.Import is { } from ? $", from {from.File}, line {from.Line}"
                : b.Paper == true ? ", typed from a sheet"
                : string.Empty
            )
            + (b.TimeEstimated == true ? ", the time estimated" : string.Empty)
    )
    {
        NumbersBeside = Beside.Header,
    };

    /// <summary>A visit moved to the station at which it was made.</summary>
    public static readonly EntryKind<VisitMovedBody> VisitMoved = new(
        "visit-moved",
        1,
        "The visit was begun at the wrong station and lies at this one; `why` says how that is known.",
        () => VisitJson.Default.VisitMovedBody,
        (b, _) => $"Moved to {b.Station}"
    )
    {
        Owner = EntryOwner.Mover,
        NeedsReason = true,
    };

    /// <summary>A step left out.</summary>
    public static readonly EntryKind<StepSkippedBody> StepSkipped = new(
        "step-skipped",
        1,
        "A step that is not done; `why` says the reason.",
        () => VisitJson.Default.StepSkippedBody,
        (b, _) => $"Not done: {b.Step}"
    );

    /// <summary>The steps in another order.</summary>
    public static readonly EntryKind<StepOrderBody> StepOrder = new(
        "step-order",
        1,
        "The steps of the visit in the order in which the sampler takes them.",
        () => VisitJson.Default.StepOrderBody,
        (b, _) => $"Order of work: {string.Join(", ", b.Steps)}"
    );

    /// <summary>A sample or profile taken along.</summary>
    public static readonly EntryKind<TakenBody> Taken = new(
        "taken",
        1,
        "A sample or a profile was taken along with this visit.",
        () => VisitJson.Default.TakenBody,
        (b, _) => $"Taken: {b.Protocol.Words()}"
    );

    /// <summary>Another entry struck out, with nothing in its place.</summary>
    public static readonly EntryKind<EmptyBody> Strike = new(
        "strike",
        1,
        "Strikes out another entry; `strikes` and `why` say which and for what reason.",
        () => VisitJson.Default.EmptyBody,
        (_, _) => "Struck out"
    )
    {
        Vouched = Vouched.Nothing,
    };

    /// <summary>A finding answered.</summary>
    public static readonly EntryKind<KeptBody> Kept = new(
        "kept",
        1,
        "A finding answered with a reason; the entries it spoke of stay as they are.",
        () => VisitJson.Default.KeptBody,
        (b, _) => $"Kept in spite of {b.Finding}"
    )
    {
        NeedsReason = true,
        Vouched = Vouched.Nothing,
    };

    /// <summary>The visit ends.</summary>
    public static readonly EntryKind<EmptyBody> VisitClosed = new(
        "visit-closed",
        1,
        "The visit ends. Striking this entry opens it again.",
        () => VisitJson.Default.EmptyBody,
        (_, _) => "Visit ended"
    );

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } =
    [VisitStarted, VisitMoved, StepSkipped, StepOrder, Taken, Strike, Kept, VisitClosed];
}
