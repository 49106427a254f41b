using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Density;

namespace UpperStill.Core.Science.Oxygen;

/// <summary>The water in which oxygen was read, and the air above it; each figure to six places, as it is printed in a working.</summary>
/// <param name="TemperatureC">Water, 0–40 °C.</param>
/// <param name="Salinity">Practical salinity, 0–40.</param>
/// <param name="PressureKpa">Air pressure at the station, kPa.</param>
public readonly record struct OxygenWater(double TemperatureC, double Salinity, double PressureKpa)
{
    /// <summary>What it holds in balance with moist air, mg/L.</summary>
    public decimal HoldsMgPerL => Printed(Solubility.AtPressure(TemperatureC, Salinity, PressureKpa));

    /// <summary>Partial pressure of oxygen in moist air at its surface, kPa: 0.20946 (P − u).</summary>
    public decimal AirKpa => Printed(Solubility.ShareOfAir * (PressureKpa - (Solubility.VapourAtm(TemperatureC) * Solubility.StandardKpa)));

    /// <summary>Its density at the surface, kg/m³.</summary>
    public decimal DensityKgPerM3 => Printed(WaterDensity.KgPerM3(TemperatureC, Salinity));

    /// <summary>A figure that the next step goes on with.</summary>
    internal static decimal Printed(double value) => Decimals.ToSignificant((decimal)value, 6);
}

/// <summary>
/// Readings of one thing in five units. Partial pressure is that of the water in balance with moist air; the small rise with the
/// pressure of the depth is left out, as meters leave it out.
/// </summary>
public static class OxygenUnits
{
    /// <summary>Molar mass of O₂, g/mol.</summary>
    /// <remarks>IUPAC 2021, standard atomic weight of oxygen 15.9994 (abridged 15.999).</remarks>
    public const decimal MolarMass = 31.9988m;

    /// <summary>The unit as it is written.</summary>
    public static string Text(OxygenUnit unit) =>
        unit switch
        {
            OxygenUnit.Percent => "%",
            OxygenUnit.Kpa => "kPa",
            OxygenUnit.UmolPerL => "µmol/L",
            OxygenUnit.UmolPerKg => "µmol/kg",
            _ => "mg/L",
        };

    /// <summary>A reading in mg/L.</summary>
    public static decimal MgPerL(decimal value, OxygenUnit unit, OxygenWater water) =>
        unit switch
        {
            OxygenUnit.Percent => value * water.HoldsMgPerL / 100,
            OxygenUnit.Kpa => value / water.AirKpa * water.HoldsMgPerL,
            OxygenUnit.UmolPerL => value * MolarMass / 1000,
            OxygenUnit.UmolPerKg => value * MolarMass / 1000 * water.DensityKgPerM3 / 1000,
            _ => value,
        };

    /// <summary>How far a reading moves where mg/L moves by one, in ordinary water: for limits that are set in mg/L.</summary>
    internal static decimal PerMgPerL(OxygenUnit? unit) =>
        unit switch
        {
            OxygenUnit.Percent => 10,
            OxygenUnit.Kpa => 2.3m,
            OxygenUnit.UmolPerL or OxygenUnit.UmolPerKg => 31.25m,
            _ => 1,
        };
}
