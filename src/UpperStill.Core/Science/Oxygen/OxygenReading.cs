using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Oxygen;

/// <summary>The units in which meters show oxygen.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<OxygenUnit>))]
public enum OxygenUnit
{
    /// <summary>Milligrams in a litre.</summary>
    [JsonStringEnumMemberName("mg/L")]
    MgPerL,

    /// <summary>Per cent of what the water would hold in balance with the air.</summary>
    [JsonStringEnumMemberName("%")]
    Percent,

    /// <summary>Partial pressure, kPa.</summary>
    [JsonStringEnumMemberName("kPa")]
    Kpa,

    /// <summary>Micromoles in a litre.</summary>
    [JsonStringEnumMemberName("µmol/L")]
    UmolPerL,

    /// <summary>Micromoles in a kilogram of the water.</summary>
    [JsonStringEnumMemberName("µmol/kg")]
    UmolPerKg,
}

/// <summary>An oxygen reading, and the water it was read in.</summary>
/// <param name="Value">As the meter showed it.</param>
/// <param name="Unit">The unit on its display.</param>
/// <param name="TemperatureC">Water, °C.</param>
/// <param name="Salinity">Practical salinity; 0 in fresh water.</param>
/// <param name="AltitudeM">Of the water's surface, m.</param>
/// <param name="PressureKpa">Air pressure, kPa; null to take the standard atmosphere at the altitude.</param>
/// <param name="FromWeatherReport">True where the pressure was brought to the sea, as weather reports do.</param>
/// <param name="DepthM">At which depth it was read, m.</param>
/// <param name="ConductanceUsCm">Specific conductance at 25 °C, µS/cm, where it stands for the salinity; null where that was read
/// itself.</param>
public sealed record OxygenRequest(
    [property: Within(0, 5000)] decimal Value,
    OxygenUnit Unit,
    [property: Within(-5, 60, "°C")] decimal TemperatureC,
    [property: Within(0, 100)] decimal Salinity = 0,
    [property: Within(-1000, 10000, "m")] decimal AltitudeM = 0,
    [property: Within(10, 200, "kPa")] decimal? PressureKpa = null,
    bool FromWeatherReport = false,
    [property: Within(0, 11000, "m")] decimal? DepthM = null,
    [property: Within(0, 60000, "µS/cm")] decimal? ConductanceUsCm = null
);

/// <summary>All readings of one thing.</summary>
/// <param name="Findings">What is odd about it.</param>
/// <param name="MgPerL">mg/L, 3 decimals; null outside the range of the equations.</param>
/// <param name="Percent">Per cent of saturation at the station, 1 decimal.</param>
/// <param name="SolubilityMgPerL">What the water would hold, mg/L, 3 decimals.</param>
/// <param name="PressureKpa">The pressure at the station that was used, kPa, 2 decimals.</param>
/// <param name="PartialPressureKpa">Partial pressure of oxygen, kPa, 2 decimals.</param>
/// <param name="UmolPerL">µmol/L, 1 decimal.</param>
/// <param name="UmolPerKg">µmol/kg, 1 decimal.</param>
/// <param name="Working">How it came about.</param>
public sealed record OxygenResult(
    IReadOnlyList<Finding> Findings,
    decimal? MgPerL = null,
    decimal? Percent = null,
    decimal? SolubilityMgPerL = null,
    decimal? PressureKpa = null,
    decimal? PartialPressureKpa = null,
    decimal? UmolPerL = null,
    decimal? UmolPerKg = null,
    Working? Working = null
);
