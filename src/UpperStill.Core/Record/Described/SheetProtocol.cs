using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Record.Described;

/// <summary>A value that stands, at its address.</summary>
/// <param name="Step">The step.</param>
/// <param name="Field">The field.</param>
/// <param name="Item">Which of what the step is repeated for; null where it is done once.</param>
/// <param name="Try">Which try.</param>
/// <param name="Value">As it was recorded.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Entry">The entry it stands in.</param>
public sealed record SheetValue(string Step, string Field, string? Item, int Try, ObservedValue Value, string Text, Guid Entry);

/// <summary>A step of a described protocol on a visit, once for each of what it is repeated for.</summary>
/// <param name="Step">The step.</param>
/// <param name="Item">Which of what it is repeated for; null where it is done once.</param>
/// <param name="Try">The try that counts, or is under way.</param>
/// <param name="State">How far it is.</param>
/// <param name="Open">Fields that it still asks, by their codes.</param>
/// <param name="Failed">True where its last try failed: another is asked.</param>
public sealed record SheetProtocolStep(string Step, string? Item, int Try, StepState State, IReadOnlyList<string> Open, bool Failed = false)
{
    /// <summary>What it is repeated for, in words; null where it is done once.</summary>
    public string? Words { get; init; }

    /// <summary>Fields that the programme does not ask for, by their codes; null where it asks for all.</summary>
    public IReadOnlyList<string>? Unasked { get; init; }

    /// <summary>The containers that are filled in it, by their numbers; null where none is.</summary>
    public IReadOnlyList<string>? Containers { get; init; }
}

/// <summary>What follows from what was recorded.</summary>
/// <param name="Parameter">The parameter’s code.</param>
/// <param name="Name">For people.</param>
/// <param name="Text">For the reader; where it cannot be worked out, what is missing for it.</param>
/// <param name="Value">In its unit; null where it cannot be worked out.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Item">What it is of, where it is not of the whole, such as a kind.</param>
/// <param name="About">True where what it rests on is doubtful.</param>
/// <param name="Working">How it came about; null where it could not be worked out.</param>
/// <param name="Censored">What is known of it.</param>
/// <param name="Depth">Depth or interval that it is of, in words.</param>
public sealed record SheetDerived(
    string Parameter,
    string Name,
    string Text,
    decimal? Value,
    string Unit,
    string? Item = null,
    bool About = false,
    Working? Working = null,
    Censoring Censored = Censoring.None,
    string? Depth = null
)
{
    /// <summary>How it was measured, where there are several ways.</summary>
    public string? Method { get; init; }
}

/// <summary>A value that is proposed for an empty box: a button over it, never an answer.</summary>
/// <param name="Step">The step.</param>
/// <param name="Field">The field.</param>
/// <param name="Value">What is proposed.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Why">Where it comes from.</param>
public sealed record SheetProposal(string Step, string Field, ObservedValue Value, string Text, string Why)
{
    /// <summary>Of which of what its step is repeated for; null where it is done once.</summary>
    public string? Item { get; init; }
}

/// <summary>A stretch of the column that something was taken over.</summary>
/// <param name="FromM">Its upper end, m.</param>
/// <param name="ToM">Its lower end, m.</param>
/// <param name="Label">What.</param>
public sealed record ColumnSpan([property: Within(0, 1000, "m")] decimal FromM, [property: Within(0, 1000, "m")] decimal ToM, string Label);

/// <summary>Time that runs from something that happened, or until something must: it informs and never holds anybody up.</summary>
/// <param name="Name">What it counts.</param>
/// <param name="From">Since when; null where it only has an end.</param>
/// <param name="Until">Until when; null where it only has a beginning.</param>
/// <param name="Words">The same in words.</param>
public sealed record SheetClock(string Name, DateTimeOffset? From, DateTimeOffset? Until, string Words);

/// <summary>A described protocol on a visit.</summary>
/// <param name="Protocol">Its code.</param>
/// <param name="Due">True where it is due today.</param>
/// <param name="Values">What stands.</param>
/// <param name="Steps">Its steps, in order.</param>
/// <param name="Derived">What follows.</param>
public sealed record SheetProtocol(
    string Protocol,
    bool Due,
    IReadOnlyList<SheetValue> Values,
    IReadOnlyList<SheetProtocolStep> Steps,
    IReadOnlyList<SheetDerived> Derived
)
{
    /// <summary>What it fills on this visit.</summary>
    public IReadOnlyList<SheetBottle> Containers { get; init; } = [];

    /// <summary>What is proposed for boxes that are still empty.</summary>
    public IReadOnlyList<SheetProposal> Proposals { get; init; } = [];

    /// <summary>Its clocks.</summary>
    public IReadOnlyList<SheetClock> Clocks { get; init; } = [];

    /// <summary>A stream’s cross-section; null where none was gauged.</summary>
    public SheetSection? Section { get; init; }

    /// <summary>Points of a beach in sand and water; none where it has no such points.</summary>
    public IReadOnlyList<SheetPoint> Points { get; init; } = [];

    /// <summary>What is drawn on the column.</summary>
    public IReadOnlyList<ColumnSpan> Spans { get; init; } = [];

    /// <summary>The depth or interval that its samples are of, in words; null where it is not known.</summary>
    [JsonIgnore]
    internal string? SampleDepth { get; init; }

    /// <summary>The step in which a container of it is filled; null where it is none of its own.</summary>
    internal SheetProtocolStep? StepOf(string sample) =>
        Steps.FirstOrDefault(s => s.Containers?.Any(c => SampleNumber.Same(c, sample)) == true);

    /// <summary>What its later steps say of its containers: what was added, what was counted.</summary>
    [JsonIgnore]
    internal IReadOnlyList<SampleStepTaken> Later { get; init; } = [];

    /// <summary>What a self-audit asks of it: its steps, counters and containers.</summary>
    [JsonIgnore]
    internal IReadOnlyList<AuditLine> Audited { get; init; } = [];

    /// <summary>True while something is still to do at the bench.</summary>
    [JsonIgnore]
    internal bool BenchOpen { get; init; }

    /// <summary>True once every step on the water is done or left out.</summary>
    [JsonIgnore]
    internal bool Done { get; init; }
}

/// <summary>The described protocols of a visit that is being folded.</summary>
internal static class DescribedSection
{
    /// <summary>Those that were folded so far.</summary>
    internal static List<SheetProtocol> Described(this SheetDraft draft)
    {
        if (draft.Section<List<SheetProtocol>>() is not { } protocols)
        {
            draft.Add(protocols = []);
        }

        return protocols;
    }
}
