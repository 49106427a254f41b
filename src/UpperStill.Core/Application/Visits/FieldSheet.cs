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
/// <param name="KeepOffM">Top of the zone above the bottom where no sampler goes, m; null before the sounding.</param>
/// <param name="KnownM">The station's known depth, m; null where the file cannot be read.</param>
/// <param name="KnownText">The known depth for the reader.</param>
/// <param name="LineUnit">The unit in which the line is read.</param>
/// <param name="Usable">True where the clarity may join the record without a reviewer's word: no stop stands open.</param>
/// <param name="StopsToEnd">Open stops that must be answered before the visit can end.</param>
/// <param name="Took">What was taken.</param>
/// <param name="TakenEntries">The entry in which each thing that was said to be taken stands.</param>
/// <param name="Due">What is to be taken today; null in visits of before that was asked.</param>
/// <param name="Arrival">The head of the sheet.</param>
/// <param name="Remarks">How the disc was read, colour, opinions.</param>
/// <param name="Tries">Lowerings of the composite sampler.</param>
/// <param name="Aboard">What is counted aboard.</param>
/// <param name="Sums">Sums done by hand on the sheet.</param>
/// <param name="Paper">True where it is typed from a sheet.</param>
/// <param name="Order">The entry that puts the steps in another order than the programme's.</param>
/// <param name="Profile">The profile; null where none is asked for.</param>
/// <param name="Bottles">The bottles; null where none are asked for.</param>
/// <param name="Point">The visit's point in the record; null where no clarity was worked out.</param>
/// <param name="StartedAt">When it began.</param>
/// <param name="ClosedAt">When it ended.</param>
/// <param name="ClosedEntry">The entry that ended it.</param>
/// <param name="Observers">Who reads.</param>
/// <param name="Line">The line in use.</param>
/// <param name="Sounding">Today's sounding.</param>
/// <param name="Protocols">Described protocols, due or recorded; null where there are none.</param>
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
    LengthUnit LineUnit,
    bool Usable,
    IReadOnlyList<string> Observers,
    int StopsToEnd,
    IReadOnlyList<Protocol> Took,
    IReadOnlyList<SheetTaken> TakenEntries,
    SheetArrival Arrival,
    SheetDiscRemarks Remarks,
    SheetTries Tries,
    IReadOnlyList<SheetAboard> Aboard,
    IReadOnlyList<SheetHandSum> Sums,
    bool Paper,
    Guid? Order = null,
    IReadOnlyList<Protocol>? Due = null,
    SheetProfile? Profile = null,
    SheetBottles? Bottles = null,
    ClarityPoint? Point = null,
    decimal? KeepOffM = null,
    decimal? KnownM = null,
    string? KnownText = null,
    DateTimeOffset? StartedAt = null,
    DateTimeOffset? ClosedAt = null,
    Guid? ClosedEntry = null,
    Line? Line = null,
    SheetSounding? Sounding = null,
    IReadOnlyList<SheetProtocol>? Protocols = null
)
{
    /// <summary>What it gives to the record; worked out when it is asked for, because the page does not need it; null where the sheet was
    /// read from JSON.</summary>
    [JsonIgnore]
    public Lazy<VisitRecord>? Record { get; init; }

    /// <summary>Folds the entries of one visit. The result does not depend on their order or repetition.</summary>
    /// <param name="request">Entries of one visit, and what it is judged by.</param>
    public static FieldSheet Fold(FoldRequest request) => new SheetFold(request).Sheet();
}
