using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>The scales of thermometers.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TemperatureUnit>))]
public enum TemperatureUnit
{
    /// <summary>Degrees Celsius.</summary>
    [JsonStringEnumMemberName("°C")]
    Celsius,

    /// <summary>Degrees Fahrenheit.</summary>
    [JsonStringEnumMemberName("°F")]
    Fahrenheit,
}

/// <summary>A temperature exactly as it was written down.</summary>
/// <param name="Written">The text as typed.</param>
/// <param name="Unit">The scale it was read on; null where it is not known, and then it is kept but not used.</param>
public sealed record WrittenTemperature(string Written, TemperatureUnit? Unit = null)
{
    /// <summary>The temperature in °C, exact, or the finding that stands in its way.</summary>
    public (decimal? Celsius, Finding? Finding) Read()
    {
        var (value, finding) = NumberText.Read(Written);
        return value is not { } read ? (null, finding)
            : Unit is not { } unit ? (null, Temperature.UnitMissing(Written))
            : (Temperature.Celsius(read, unit), null);
    }
}

/// <summary>Conversions between the scales, exact: °C = (°F - 32) × 5/9.</summary>
public static class Temperature
{
    /// <summary>Degrees Celsius from either scale.</summary>
    public static decimal Celsius(decimal value, TemperatureUnit unit) => unit == TemperatureUnit.Celsius ? value : (value - 32) * 5 / 9;

    /// <summary>The temperature for a reader, with its unit, to the tenth it can be trusted to.</summary>
    internal static string Show(decimal celsius) => $"{Decimals.Fixed(celsius, 1)} °C";

    internal static Finding UnitMissing(string written) =>
        Finding.Stop(
            "unit-missing",
            $"{written} has no unit.",
            "It could be read two ways and is lost if we guess.",
            "Choose the unit on the line or meter, or \"unknown\": then it is kept but not used."
        ) with
        {
            NoWayRound = true,
        };
}
