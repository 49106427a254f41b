using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>What became of a date.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<DateState>))]
public enum DateState
{
    /// <summary>A visit was made.</summary>
    [JsonStringEnumMemberName("done")]
    Done,

    /// <summary>It was due and nobody went.</summary>
    [JsonStringEnumMemberName("missed")]
    Missed,

    /// <summary>It is today.</summary>
    [JsonStringEnumMemberName("today")]
    Today,

    /// <summary>It is to come.</summary>
    [JsonStringEnumMemberName("planned")]
    Planned,
}

/// <summary>One date of a station.</summary>
/// <param name="Day">The day.</param>
/// <param name="State">What became of it.</param>
/// <param name="Protocols">What is taken, or was to be.</param>
/// <param name="Why">Which rules led to this day, in words.</param>
/// <param name="Welcome">What speaks for the day, or against it, beside the rules.</param>
/// <param name="Alternate">Another day that keeps every rule; null where there is none.</param>
/// <param name="LeaveBy">Local time by which to set out for the lab; null where nothing goes there fresh.</param>
public sealed record SeasonDate(
    DateOnly Day,
    DateState State,
    IReadOnlyList<Protocol> Protocols,
    IReadOnlyList<string> Why,
    IReadOnlyList<string> Welcome,
    DateOnly? Alternate = null,
    DateTime? LeaveBy = null
)
{
    /// <summary>True where a bottle or a filter is brought home for the lab or the freezer.</summary>
    public bool Bottled => Protocols.Any(p => p != Protocol.Clarity && p != Protocol.Profile);

    /// <summary>True where it is still to come, today's with it.</summary>
    public bool Ahead => State is DateState.Planned or DateState.Today;
}

/// <summary>How a statistic of the year stands.</summary>
/// <param name="Protocol">What is counted.</param>
/// <param name="Done">Taken so far.</param>
/// <param name="Planned">Still planned.</param>
/// <param name="Least">Fewest that give a statistic.</param>
public sealed record SeasonCount(Protocol Protocol, int Done, int Planned, int Least);

/// <summary>A station through the season.</summary>
/// <param name="Code">The station.</param>
/// <param name="Dates">Its dates in order, past and to come.</param>
/// <param name="Counts">How its statistics stand.</param>
/// <param name="Findings">What is at risk, and which rule stands against which.</param>
public sealed record StationPlan(
    string Code,
    IReadOnlyList<SeasonDate> Dates,
    IReadOnlyList<SeasonCount> Counts,
    IReadOnlyList<Finding> Findings
);

/// <summary>A season's plan.</summary>
/// <param name="Year">The year.</param>
/// <param name="Stations">In the order of the request.</param>
public sealed record SeasonPlan(int Year, IReadOnlyList<StationPlan> Stations);
