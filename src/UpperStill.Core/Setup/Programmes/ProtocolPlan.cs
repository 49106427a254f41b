using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>What sets the days of a protocol.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Rhythm>))]
public enum Rhythm
{
    /// <summary>Every so many days, within a least and a greatest gap.</summary>
    [JsonStringEnumMemberName("days")]
    Days,

    /// <summary>Once in each month of its window.</summary>
    [JsonStringEnumMemberName("monthly")]
    Monthly,

    /// <summary>Once, as near as can be to a day: so many days after ice-out, or a day of the year.</summary>
    [JsonStringEnumMemberName("once")]
    Once,
}

/// <summary>A day of any year.</summary>
/// <param name="Month">1–12.</param>
/// <param name="Day">1–31; a day that the month does not have is its last.</param>
[method: JsonConstructor]
public readonly record struct DayOfYear([property: Within(1, 12)] int Month, [property: Within(1, 31)] int Day)
{
    /// <summary>That day in a year.</summary>
    public DateOnly In(int year) => new(year, Month, Math.Min(Day, DateTime.DaysInMonth(year, Month)));
}

/// <summary>Where in the water a sample comes from.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<SampleFrom>))]
public enum SampleFrom
{
    /// <summary>The composite through the lit layer.</summary>
    [JsonStringEnumMemberName("composite")]
    Composite,

    /// <summary>The surface, by the programme's method.</summary>
    [JsonStringEnumMemberName("surface")]
    Surface,

    /// <summary>Deep, by the programme's method.</summary>
    [JsonStringEnumMemberName("deep")]
    Deep,

    /// <summary>One from each thermal layer: three.</summary>
    [JsonStringEnumMemberName("layers")]
    Layers,

    /// <summary>As the protocol that fills it takes it: a net's catch, a scoop.</summary>
    [JsonStringEnumMemberName("protocol")]
    Protocol,
}

/// <summary>Bottles of one sort that a protocol fills.</summary>
/// <param name="Type">The sample type's code.</param>
/// <param name="From">Where the water comes from.</param>
/// <param name="Replicates">Further bottles of the same water.</param>
public sealed record BottlePlan(string Type, SampleFrom From, [property: Within(0, 20)] int Replicates = 0)
{
    /// <summary>True where the protocol itself fills it, step by step.</summary>
    internal bool Own { get; init; }

    /// <summary>True where of several places only the first has the further bottles.</summary>
    internal bool OnlyFirst { get; init; }
}

/// <summary>When a protocol is due through the season, and what binds its days.</summary>
/// <param name="Protocol">What is taken.</param>
/// <param name="Rhythm">What sets the days.</param>
/// <param name="From">First day of its window.</param>
/// <param name="Until">Last day of its window.</param>
/// <param name="EveryDays">Wanted days between two; used by the rhythm of days.</param>
/// <param name="LeastGapDays">Fewest days between two.</param>
/// <param name="GreatestGapDays">Most days between two; used by the rhythm of days.</param>
/// <param name="Least">Fewest in a season that give a statistic; 0 where none is made.</param>
/// <param name="HoldHours">Hours within which the water must be at the lab; null where nothing goes there fresh.</param>
/// <param name="TurnIn">True where it is frozen and handed in on a turn-in date.</param>
public sealed record ProtocolPlan(
    Protocol Protocol,
    Rhythm Rhythm,
    DayOfYear From,
    DayOfYear Until,
    [property: Within(1, 366, "d")] int EveryDays = 14,
    [property: Within(0, 366, "d")] int LeastGapDays = 10,
    [property: Within(0, 366, "d")] int GreatestGapDays = 18,
    [property: Within(0, 366)] int Least = 0,
    [property: Within(0, 100000, "h")] int? HoldHours = null,
    bool TurnIn = false
)
{
    /// <summary>For the rhythm once: its day counts from the observed ice-out, where one is known.</summary>
    [Within(0, 366, "d")]
    public int? DaysAfterIceOut { get; init; }

    /// <summary>The bottles it fills; null for the usual ones of the protocol.</summary>
    public IReadOnlyList<BottlePlan>? Bottles { get; init; }

    /// <summary>True where its window runs over the New Year: November to April is one season.</summary>
    [JsonIgnore]
    public bool OverNewYear => (From.Month, From.Day).CompareTo((Until.Month, Until.Day)) > 0;

    /// <summary>True where its window holds a day.</summary>
    public bool Holds(DateOnly day) =>
        OverNewYear ? day >= From.In(day.Year) || day <= Until.In(day.Year) : day >= From.In(day.Year) && day <= Until.In(day.Year);
}
