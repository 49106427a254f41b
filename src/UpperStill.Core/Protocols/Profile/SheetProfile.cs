using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>One level of the sheet, as read and as worked out.</summary>
/// <param name="Entry">The entry it stands in.</param>
/// <param name="DepthM">m.</param>
/// <param name="DepthText">For the reader.</param>
/// <param name="Depth">As it was written.</param>
/// <param name="Temperature">As written.</param>
/// <param name="TemperatureUnit">The scale on which it is read.</param>
/// <param name="TemperatureC">°C.</param>
/// <param name="Oxygen">As written.</param>
/// <param name="OxygenUnit">The unit in which it is read.</param>
/// <param name="OxygenMgL">mg/L.</param>
public sealed record SheetLevel(
    Guid Entry,
    decimal DepthM,
    string DepthText,
    WrittenLength Depth,
    string? Temperature = null,
    TemperatureUnit? TemperatureUnit = null,
    decimal? TemperatureC = null,
    string? Oxygen = null,
    OxygenUnit? OxygenUnit = null,
    decimal? OxygenMgL = null
)
{
    /// <summary>mg/L for the reader.</summary>
    public string? MgLText { get; init; }

    /// <summary>Per cent of saturation, for the reader.</summary>
    public string? Percent { get; init; }

    /// <summary>°C lost per metre since the level above, for the reader.</summary>
    public string? FallText { get; init; }

    /// <summary>kg/m³.</summary>
    public decimal? Density { get; init; }

    /// <summary>µS/cm at 25 °C.</summary>
    public decimal? Conductivity { get; init; }

    /// <summary>pH.</summary>
    public decimal? Ph { get; init; }

    /// <summary>Practical salinity.</summary>
    public decimal? Salinity { get; init; }

    /// <summary>True where it is read in another unit than it was written in.</summary>
    public bool Reread { get; init; }

    /// <summary>True where the plan did not ask for it.</summary>
    public bool Added { get; init; }

    /// <summary>True where it may not be water: in the mud, or under the bottom.</summary>
    public bool Marked { get; init; }

    /// <summary>Where it came from, if it was not typed.</summary>
    public LevelSource? From { get; init; }

    /// <summary>True while a stop on its temperature is open: it is drawn by itself and counts nowhere.</summary>
    public bool TemperatureOpen { get; init; }

    /// <summary>The same of its oxygen.</summary>
    public bool OxygenOpen { get; init; }

    /// <summary>What the oxygen is read as, where a point was lost in what is written; null where it is read as
    /// written.</summary>
    public string? OxygenRead { get; init; }

    /// <summary>The temperature that is counted with, °C; null where there is none, it may be mud, or a stop on it is open.</summary>
    [JsonIgnore]
    public decimal? CountedC => Marked || TemperatureOpen ? null : TemperatureC;

    /// <summary>The oxygen that is counted with, mg/L.</summary>
    [JsonIgnore]
    public decimal? CountedMgL => Marked || OxygenOpen ? null : OxygenMgL;
}

/// <summary>Why a level is asked for.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<LevelWanted>))]
public enum LevelWanted
{
    /// <summary>By the programme's method.</summary>
    [JsonStringEnumMemberName("planned")]
    Planned,

    /// <summary>Proposed, because it breaks between its neighbours.</summary>
    [JsonStringEnumMemberName("break")]
    Break,
}

/// <summary>A level still to be read.</summary>
/// <param name="DepthM">m.</param>
/// <param name="Depth">As it is read on the display or cable.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Wanted">Why.</param>
/// <param name="Up">True where it lies above a level that was read: the probe goes up to it.</param>
/// <param name="Between">Of a proposed level the entries between which it breaks; whoever leaves it out names them.</param>
public sealed record LevelToRead(
    decimal DepthM,
    WrittenLength Depth,
    string Text,
    LevelWanted Wanted,
    bool Up,
    IReadOnlyList<Guid>? Between = null
);

/// <summary>A logged cast of the visit.</summary>
/// <param name="Entry">Its entry.</param>
/// <param name="Text">File and rows, in words.</param>
/// <param name="Levels">How many levels stand on it.</param>
/// <param name="Sha256">Which file it is.</param>
public sealed record SheetLoggedCast(Guid Entry, string Text, int Levels, string Sha256);

/// <summary>The meter today.</summary>
/// <param name="Meter">Its code; null where none was named.</param>
/// <param name="Text">Calibration in words.</param>
/// <param name="Calibrated">True where it was calibrated today.</param>
/// <param name="PressureKpa">Air pressure at the station that oxygen is worked out with, kPa.</param>
/// <param name="AltitudeM">m.</param>
/// <param name="Entries">The entries it rests on.</param>
public sealed record SheetMeter(
    string? Meter,
    string Text,
    bool Calibrated,
    decimal? PressureKpa,
    decimal AltitudeM,
    IReadOnlyList<Guid> Entries
);

/// <summary>The profile's part of the sheet.</summary>
/// <param name="Levels">What was read, from the surface down.</param>
/// <param name="ToRead">What is still asked for, from the surface down.</param>
/// <param name="Next">The level to read next: down as planned, then what is left on the way up; null where none is left.</param>
/// <param name="Planned">Levels that the method asks for.</param>
/// <param name="Figures">What follows.</param>
/// <param name="Meter">The meter.</param>
/// <param name="Asked">What the figures are worked out from, to ask for their working.</param>
/// <param name="Columns">Which boxes a level has beside depth: temperature, oxygen, conductivity, ph, salinity.</param>
/// <param name="TemperatureUnit">The scale of the column.</param>
/// <param name="OxygenUnit">The unit of the column.</param>
public sealed record SheetProfile(
    IReadOnlyList<SheetLevel> Levels,
    IReadOnlyList<LevelToRead> ToRead,
    LevelToRead? Next,
    int Planned,
    IReadOnlyList<ProfileFigure> Figures,
    SheetMeter Meter,
    ProfileRequest Asked,
    IReadOnlyList<string> Columns,
    TemperatureUnit TemperatureUnit,
    OxygenUnit OxygenUnit
)
{
    /// <summary>Logged casts that levels were made from.</summary>
    public required IReadOnlyList<SheetLoggedCast> Casts { get; init; }

    /// <summary>True where oxygen is shown in the other unit, too.</summary>
    public bool BothUnits { get; init; } = true;

    /// <summary>All that was worked out, also what a programme leaves to the eye.</summary>
    internal IReadOnlyList<ProfileFigure> Worked { get; init; } = [];

    /// <summary>The thermocline that places bottles and tows; null where the water is mixed.</summary>
    internal ProfileFigure? Thermocline => Worked.FirstOrDefault(f => f.Key == "thermocline");

    /// <summary>The layer around it.</summary>
    internal ProfileFigure? Metalimnion => Worked.FirstOrDefault(f => f.Key == "metalimnion");
}
