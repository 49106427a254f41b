using System.Globalization;
using UpperStill.Core.Science.Oxygen;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Instruments;

/// <summary>
/// A stand-in for a sonde with its handheld: it streams a line a second, needs to warm up, settles slowly, has noise and drift, and its
/// display may be
/// left on per cent. Its header names no unit for oxygen, as with many real ones.
/// </summary>
public sealed class SimulatedSonde(LakeColumn column, ulong seed)
{
    private const double LoweredMPerS = 0.5;
    private const double TemperatureLagS = 3;
    private const double OxygenLagS = 6;
    private const double WarmUpS = 60;
    private const double DriftMgPerLPerHour = 0.08;
    private const int HeaderEvery = 30;

    private readonly Chance chance = new(seed);
    private double celsius = column.TemperatureC(0.3);
    private double oxygen = column.OxygenMgPerL(0.3);
    private double onS;
    private int lines;

    /// <summary>Where the probe hangs, m.</summary>
    public double DepthM { get; private set; } = 0.3;

    /// <summary>Where it is being lowered or raised to, m.</summary>
    public double TargetM { get; set; } = 0.3;

    /// <summary>True while the display shows per cent of saturation.</summary>
    public bool Percent { get; set; }

    /// <summary>True while nothing comes through the cable.</summary>
    public bool Silent { get; set; }

    /// <summary>A second goes by.</summary>
    /// <param name="secondsOfDay">The sonde's clock, s.</param>
    /// <returns>What it sends meanwhile.</returns>
    public IReadOnlyList<string> Second(int secondsOfDay)
    {
        onS++;
        var way = Math.Clamp(Math.Clamp(TargetM, 0, column.DepthM) - DepthM, -LoweredMPerS, LoweredMPerS);
        DepthM += way;
        celsius += (column.TemperatureC(DepthM) - celsius) / TemperatureLagS;
        oxygen += (column.OxygenMgPerL(DepthM) - oxygen) / OxygenLagS;
        if (Silent)
        {
            return [];
        }

        var warming = 0.8 * Math.Exp(-3 * onS / WarmUpS);
        var shown = Math.Max(0, oxygen + warming + (DriftMgPerLPerHour * onS / 3600) + (0.012 * chance.Bell()));
        var salinity = column.Salinity(DepthM);
        if (Percent)
        {
            shown *= 100 / Solubility.AtPressure(celsius, salinity, LakeColumn.AirKpa);
        }

        var row =
            string.Create(
                CultureInfo.InvariantCulture,
                $"{TimeSpan.FromSeconds(secondsOfDay % 86400):hh\\:mm\\:ss},{Math.Max(0, DepthM + (0.008 * chance.Bell())):F2},{celsius + (0.012 * chance.Bell()):F2},{shown:F2},{column.ConductivityUs(DepthM) + (0.4 * chance.Bell()):F0},{column.Ph(DepthM) + (0.006 * chance.Bell()):F2}"
            ) + (salinity > 0 ? string.Create(CultureInfo.InvariantCulture, $",{salinity + (0.02 * chance.Bell()):F1}") : "");
        return lines++ % HeaderEvery == 0 ? ["time,depth m,temp C,DO,SpCond uS/cm,pH" + (salinity > 0 ? ",salinity" : ""), row] : [row];
    }
}
