using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Oxygen;

namespace UpperStill.Formats.Casts;

/// <summary>Units of columns as Core names them; null where the column does not say.</summary>
internal static class CastUnits
{
    internal static TemperatureUnit? OfTemperature(string? unit) =>
        unit switch
        {
            "°C" => TemperatureUnit.Celsius,
            "°F" => TemperatureUnit.Fahrenheit,
            _ => null,
        };

    internal static OxygenUnit? OfOxygen(string? unit) =>
        unit switch
        {
            "mg/L" => OxygenUnit.MgPerL,
            "%" => OxygenUnit.Percent,
            "kPa" => OxygenUnit.Kpa,
            "µmol/L" or "umol/L" => OxygenUnit.UmolPerL,
            "µmol/kg" or "umol/kg" => OxygenUnit.UmolPerKg,
            _ => null,
        };
}
