using System.Text.Json.Serialization;
using UpperStill.Core.Findings;
using UpperStill.Core.Workings;

namespace UpperStill.Core.Oxygen;

/// <summary>The units in which meters show oxygen.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<OxygenUnit>))]
public enum OxygenUnit
{
    /// <summary>Milligrams in a litre.</summary>
    [JsonStringEnumMemberName("mg/L")] MgPerL,

    /// <summary>Per cent of what the water would hold in balance with the air.</summary>
    [JsonStringEnumMemberName("%")] Percent,
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
public sealed record OxygenRequest(
    decimal Value, OxygenUnit Unit, decimal TemperatureC, decimal Salinity = 0, decimal AltitudeM = 0, decimal? PressureKpa = null, bool FromWeatherReport = false, decimal? DepthM = null);

/// <summary>Both readings of one thing.</summary>
/// <param name="Findings">What is odd about it.</param>
/// <param name="MgPerL">mg/L, 3 decimals; null outside the range of the equations.</param>
/// <param name="Percent">Per cent of saturation at the station, 1 decimal.</param>
/// <param name="SolubilityMgPerL">What the water would hold, mg/L, 3 decimals.</param>
/// <param name="PressureKpa">The pressure at the station that was used, kPa, 2 decimals.</param>
/// <param name="Working">How it came about.</param>
public sealed record OxygenResult(
    IReadOnlyList<Finding> Findings, decimal? MgPerL = null, decimal? Percent = null, decimal? SolubilityMgPerL = null, decimal? PressureKpa = null, Working? Working = null);
