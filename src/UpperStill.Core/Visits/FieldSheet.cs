using System.Text.Json.Serialization;
using UpperStill.Core.Arrival;
using UpperStill.Core.Bottles;
using UpperStill.Core.Clarity;
using UpperStill.Core.Composites;
using UpperStill.Core.Findings;
using UpperStill.Core.Kit;
using UpperStill.Core.People;
using UpperStill.Core.Places;
using UpperStill.Core.Profiles;
using UpperStill.Core.Programmes;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Visits;

/// <summary>What a visit is judged by, beside its own entries.</summary>
/// <param name="Station">Where.</param>
/// <param name="Programme">The version of the programme that the visit names.</param>
/// <param name="Lines">The lines that may be used there.</param>
/// <param name="History">The station's record.</param>
/// <param name="Water">The water.</param>
/// <param name="Gear">Meters, samplers and discs that may be used there.</param>
/// <param name="LastDay">The last visit before this one, where <paramref name="History"/> is only a part of the record.</param>
/// <param name="Temperatures">How cold and warm the water was here, month by month.</param>
/// <param name="WorkedBefore">How fast the composite sampler was raised when it last worked here.</param>
/// <param name="People">Everybody with an account here, by all the names the record knows them by.</param>
/// <param name="Others">Other visits of the station, those of the day at least: their samples have their numbers already.</param>
public sealed record VisitContext(
    Station Station,
    Programme Programme,
    IReadOnlyList<Line> Lines,
    IReadOnlyList<ClarityPoint> History,
    WaterFacts? Water = null,
    IReadOnlyList<Gear>? Gear = null,
    DateOnly? LastDay = null,
    IReadOnlyList<MonthTemperatures>? Temperatures = null,
    RiseThatWorked? WorkedBefore = null,
    IReadOnlyList<PersonNames>? People = null,
    IReadOnlyList<OtherVisit>? Others = null);

/// <summary>A visit to be folded.</summary>
/// <param name="Entries">All its entries, in any order; repeated ones do no harm.</param>
/// <param name="Context">What it is judged by.</param>
/// <param name="Reader">Unit for the words.</param>
public sealed record FoldRequest(IReadOnlyList<Entry> Entries, VisitContext Context, ReaderUnit Reader = ReaderUnit.AsRead);

/// <summary>How far a visit is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<VisitState>))]
public enum VisitState
{
    /// <summary>Its beginning has not arrived yet.</summary>
    [JsonStringEnumMemberName("not-started")] NotStarted,

    /// <summary>Under way.</summary>
    [JsonStringEnumMemberName("open")] Open,

    /// <summary>Ended.</summary>
    [JsonStringEnumMemberName("closed")] Closed,
}

/// <summary>How far a step is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<StepState>))]
public enum StepState
{
    /// <summary>Done.</summary>
    [JsonStringEnumMemberName("done")] Done,

    /// <summary>The next thing to do.</summary>
    [JsonStringEnumMemberName("next")] Next,

    /// <summary>Still to do.</summary>
    [JsonStringEnumMemberName("to-do")] ToDo,

    /// <summary>Not done, for a reason.</summary>
    [JsonStringEnumMemberName("skipped")] Skipped,
}

/// <summary>One step of the visit.</summary>
/// <param name="Name">arrive, sounding, surface, clarity, profile, bottles, composite or leave.</param>
/// <param name="State">How far it is.</param>
/// <param name="Summary">What it gave, or what it waits for.</param>
/// <param name="Skip">The entry that leaves it out.</param>
public sealed record SheetStep(string Name, StepState State, string Summary, Guid? Skip = null);

/// <summary>Something to count aboard before the station is left.</summary>
/// <param name="Thing">What.</param>
/// <param name="Aboard">The answer; null while it is open.</param>
/// <param name="Entry">The entry it stands in.</param>
public sealed record SheetAboard(string Thing, bool? Aboard = null, Guid? Entry = null);

/// <summary>An entry as the log of the visit shows it.</summary>
/// <param name="Id">The entry.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Text">What it says.</param>
/// <param name="At">When.</param>
/// <param name="By">Who.</param>
/// <param name="Device">Which device.</param>
/// <param name="Struck">True where another entry strikes it.</param>
/// <param name="Reason">Why it was struck; or, for an answer, its reason.</param>
/// <param name="Strikes">The entry it strikes.</param>
/// <param name="BroughtInBy">Who delivered it, where that is not who made it.</param>
public sealed record SheetEntry(
    Guid Id, string Kind, string Text, DateTimeOffset At, string By, string Device, bool Struck, string? Reason = null, Guid? Strikes = null, string? BroughtInBy = null);

/// <summary>Today's sounding.</summary>
/// <param name="DepthM">m.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Entry">The entry it stands in.</param>
/// <param name="Likelier">The same figure in the unit in which it would be usual here; null where it is usual as it stands, or in neither.</param>
/// <param name="LikelierText">That, as the finder would show it.</param>
public sealed record SheetSounding(decimal DepthM, string Text, Guid Entry, WrittenLength? Likelier = null, string? LikelierText = null);

/// <summary>A box for one mark of the disc, filled or still empty.</summary>
/// <param name="Lowering">Which lowering, from 1.</param>
/// <param name="Event">Lost or seen again.</param>
/// <param name="Observer">Whose turn it is, or whose it was.</param>
/// <param name="Extra">True where the programme did not ask for this lowering.</param>
/// <param name="Entry">The entry in it; null while empty.</param>
/// <param name="DepthM">m; null while empty or unreadable.</param>
/// <param name="Text">The mark as read, for the reader.</param>
/// <param name="ObserverId">Who the observer is; null in visits of earlier builds.</param>
public sealed record DiscBox(
    int Lowering, DiscEvent Event, string? Observer, bool Extra, Guid? Entry = null, decimal? DepthM = null, string? Text = null, Guid? ObserverId = null);

/// <summary>The disc's part of the sheet.</summary>
/// <param name="Boxes">The marks, read and still to read.</param>
/// <param name="Result">The clarity worked out.</param>
/// <param name="Outcome">A special outcome, where one stands.</param>
/// <param name="OutcomeEntry">The entry it stands in.</param>
/// <param name="Blind">True while the second observer is to read without knowing what the first has read: no number of it stands anywhere on the sheet.</param>
/// <param name="Read">Readings that are whole; told while they are blind, too.</param>
public sealed record SheetClarity(
    IReadOnlyList<DiscBox> Boxes, ClarityResult Result, DiscOutcome? Outcome = null, Guid? OutcomeEntry = null, bool Blind = false, int Read = 0);

/// <summary>Something said to be taken.</summary>
/// <param name="Protocol">What.</param>
/// <param name="Entry">The entry it stands in.</param>
public sealed record SheetTaken(Protocol Protocol, Guid Entry);

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
    SheetSounding? Sounding = null)
{
    /// <summary>Folds the entries of one visit. The result does not depend on their order or repetition.</summary>
    /// <param name="request">Entries of one visit, and what it is judged by.</param>
    public static FieldSheet Fold(FoldRequest request) => new SheetFold(request).Sheet();
}
