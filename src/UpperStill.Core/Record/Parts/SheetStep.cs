using System.Text.Json.Serialization;

namespace UpperStill.Core.Record.Parts;

/// <summary>How far a visit is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<VisitState>))]
public enum VisitState
{
    /// <summary>Its beginning has not arrived yet.</summary>
    [JsonStringEnumMemberName("not-started")]
    NotStarted,

    /// <summary>Under way.</summary>
    [JsonStringEnumMemberName("open")]
    Open,

    /// <summary>Ended.</summary>
    [JsonStringEnumMemberName("closed")]
    Closed,
}

/// <summary>How far a step is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<StepState>))]
public enum StepState
{
    /// <summary>Done.</summary>
    [JsonStringEnumMemberName("done")]
    Done,

    /// <summary>The next thing to do.</summary>
    [JsonStringEnumMemberName("next")]
    Next,

    /// <summary>Still to do.</summary>
    [JsonStringEnumMemberName("to-do")]
    ToDo,

    /// <summary>Not done, for a reason.</summary>
    [JsonStringEnumMemberName("skipped")]
    Skipped,
}

/// <summary>One step of the visit.</summary>
/// <param name="Name">arrive, sounding, surface, clarity, profile, bottles, composite, leave, or the code of a protocol that describes
/// itself.</param>
/// <param name="State">How far it is.</param>
/// <param name="Summary">What it gave, or what it waits for.</param>
/// <param name="Skip">The entry that leaves it out.</param>
public sealed record SheetStep(string Name, StepState State, string Summary, Guid? Skip = null)
{
    /// <summary>Its name as people read it, as a heading.</summary>
    public required string Title { get; init; }

    /// <summary>The same as it ends "On to …": the sounding, leaving.</summary>
    public required string Way { get; init; }

    /// <summary>The step to go on to from it: the next that is not done, else leaving.</summary>
    public string Then { get; init; } = "leave";
}

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
    Guid Id,
    string Kind,
    string Text,
    DateTimeOffset At,
    string By,
    string Device,
    bool Struck,
    string? Reason = null,
    Guid? Strikes = null,
    string? BroughtInBy = null
);
