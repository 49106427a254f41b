using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Leaving;
using UpperStill.Core.Protocols.Paper;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Visits;

/// <summary>The state of a visit: what was read, what follows from it, what to look at, what is still to do.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="State">How far it is.</param>
/// <param name="Entries">The log, oldest first.</param>
/// <param name="Steps">The steps in the order of work.</param>
/// <param name="Findings">All findings; those beside "leaving" matter when the visit is to be ended.</param>
/// <param name="Clarity">The disc.</param>
/// <param name="Composite">The composite's depth.</param>
/// <param name="Scale">A depth scale for the column.</param>
/// <param name="BottomM">Depth to which the column is drawn, m: the sounding, or the known depth before it.</param>
/// <param name="LineUnit">The unit in which the line is read.</param>
public sealed record FieldSheet(
    Guid Visit,
    VisitState State,
    IReadOnlyList<SheetEntry> Entries,
    IReadOnlyList<SheetStep> Steps,
    IReadOnlyList<Finding> Findings,
    SheetClarity Clarity,
    CompositeResult Composite,
    DepthScale Scale,
    decimal BottomM,
    LengthUnit LineUnit
)
{
    /// <summary>True where the clarity may join the record without a reviewer's word: no stop stands open.</summary>
    public required bool Usable { get; init; }

    /// <summary>False where nothing is taken by depth, and no column of water is drawn.</summary>
    public required bool ByDepth { get; init; }

    /// <summary>Who reads.</summary>
    public required IReadOnlyList<string> Observers { get; init; }

    /// <summary>Open stops that must be answered before the visit can end.</summary>
    public required int StopsToEnd { get; init; }

    /// <summary>What was taken.</summary>
    public required IReadOnlyList<Protocol> Took { get; init; }

    /// <summary>The entry in which each thing that was said to be taken stands.</summary>
    public required IReadOnlyList<SheetTaken> TakenEntries { get; init; }

    /// <summary>The head of the sheet.</summary>
    public required SheetArrival Arrival { get; init; }

    /// <summary>How the disc was read, colour, opinions.</summary>
    public required SheetDiscRemarks Remarks { get; init; }

    /// <summary>Lowerings of the composite sampler.</summary>
    public required SheetTries Tries { get; init; }

    /// <summary>What is counted aboard.</summary>
    public required IReadOnlyList<SheetAboard> Aboard { get; init; }

    /// <summary>Sums done by hand on the sheet.</summary>
    public required IReadOnlyList<SheetHandSum> Sums { get; init; }

    /// <summary>True where it is typed from a sheet.</summary>
    public required bool Paper { get; init; }

    /// <summary>The entry that puts the steps in another order than the programme's.</summary>
    public Guid? Order { get; init; }

    /// <summary>What is to be taken today; null in visits of before that was asked.</summary>
    public IReadOnlyList<Protocol>? Due { get; init; }

    /// <summary>The profile; null where none is asked for.</summary>
    public SheetProfile? Profile { get; init; }

    /// <summary>The bottles; null where none are asked for.</summary>
    public SheetBottles? Bottles { get; init; }

    /// <summary>The visit's point in the record; null where no clarity was worked out.</summary>
    public ClarityPoint? Point { get; init; }

    /// <summary>Top of the zone above the bottom where no sampler goes, m; null before the sounding.</summary>
    public decimal? KeepOffM { get; init; }

    /// <summary>The station's known depth, m; null where the file cannot be read.</summary>
    public decimal? KnownM { get; init; }

    /// <summary>The known depth for the reader.</summary>
    public string? KnownText { get; init; }

    /// <summary>When it began.</summary>
    public DateTimeOffset? StartedAt { get; init; }

    /// <summary>When it ended.</summary>
    public DateTimeOffset? ClosedAt { get; init; }

    /// <summary>The entry that ended it.</summary>
    public Guid? ClosedEntry { get; init; }

    /// <summary>The line in use.</summary>
    public Line? Line { get; init; }

    /// <summary>Today's sounding.</summary>
    public SheetSounding? Sounding { get; init; }

    /// <summary>Described protocols, due or recorded; null where there are none.</summary>
    public IReadOnlyList<SheetProtocol>? Protocols { get; init; }

    /// <summary>What it gives to the record; worked out when it is asked for, because the page does not need it; null where the sheet was
    /// read from JSON.</summary>
    [JsonIgnore]
    public Lazy<VisitRecord>? Record { get; init; }

    /// <summary>Folds the entries of one visit. The result does not depend on their order or repetition.</summary>
    /// <param name="request">Entries of one visit, and what it is judged by.</param>
    public static FieldSheet Fold(FoldRequest request) => new SheetFold(request).Sheet();
}
