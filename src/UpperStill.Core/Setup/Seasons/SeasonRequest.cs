using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>A visit that was made.</summary>
/// <param name="Day">Local day.</param>
/// <param name="Took">What was taken.</param>
public sealed record DoneVisit(DateOnly Day, IReadOnlyList<Protocol> Took);

/// <summary>A day set aside by hand.</summary>
/// <param name="Day">The day.</param>
/// <param name="Why">Why, for example <c>storm</c> or <c>regatta</c>.</param>
public sealed record SetDay(DateOnly Day, string Why);

/// <summary>A station to be planned.</summary>
/// <param name="Code">The station.</param>
/// <param name="Protocols">What is due when.</param>
/// <param name="Hours">When readings may be made, local time.</param>
/// <param name="Done">Visits of this season so far.</param>
/// <param name="LastBefore">The last visit before this season.</param>
/// <param name="Pinned">Dates chosen by hand; kept wherever no hard rule stands against them.</param>
/// <param name="Blocked">Days on which nobody can go.</param>
/// <param name="Volunteers">Days of the week on which its people can go; empty where any will do.</param>
/// <param name="Passes">Days on which a satellite looks down: worth a match.</param>
public sealed record StationSeason(
    string Code,
    IReadOnlyList<ProtocolPlan> Protocols,
    HoursWindow Hours,
    IReadOnlyList<DoneVisit> Done,
    DateOnly? LastBefore = null,
    IReadOnlyList<SetDay>? Pinned = null,
    IReadOnlyList<SetDay>? Blocked = null,
    IReadOnlyList<DayOfWeek>? Volunteers = null,
    IReadOnlyList<DateOnly>? Passes = null
)
{
    /// <summary>Observed ice-out of this year.</summary>
    public DateOnly? IceOut { get; init; }

    /// <summary>What its protocols ask of their days.</summary>
    public IReadOnlyList<DayNeed> Needs { get; init; } = [];

    /// <summary>True where nobody goes but about low water.</summary>
    public bool AtLowWater { get; init; }

    /// <summary>Low waters by day and clock, in daylight, local time; null where the tide there is not known.</summary>
    public IReadOnlyList<DateTime>? LowWaters { get; init; }

    /// <summary>The zone of its local times; null where hours never shift.</summary>
    public TimeZoneInfo? Zone { get; init; }

    /// <summary>The day there, where it is not the season's: the date line and midnight divide waters.</summary>
    public DateOnly? Today { get; init; }
}

/// <summary>A season to be planned.</summary>
/// <param name="Year">The year.</param>
/// <param name="Today">The day from which it is planned; what lies before is a fact.</param>
/// <param name="Stations">The stations.</param>
/// <param name="Laboratory">Where fresh and frozen samples go; null where none is set up.</param>
/// <param name="SharedDays">Days on which everybody tries to go.</param>
/// <param name="PassesSimulated">True where satellite passes are made up: the words say so wherever they stand.</param>
/// <param name="TidesSimulated">The same of low waters.</param>
public sealed record SeasonRequest(
    int Year,
    DateOnly Today,
    IReadOnlyList<StationSeason> Stations,
    Laboratory? Laboratory = null,
    IReadOnlyList<DateOnly>? SharedDays = null,
    bool PassesSimulated = false,
    bool TidesSimulated = false
);
