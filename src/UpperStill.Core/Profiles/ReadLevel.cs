using UpperStill.Core.Density;
using UpperStill.Core.Oxygen;
using UpperStill.Core.Quantities;
using UpperStill.Core.Visits;

namespace UpperStill.Core.Profiles;

/// <summary>A level of a visit, read and put into working units.</summary>
internal sealed class ReadLevel
{
    private const decimal SameM = 0.06m;

    /// <summary>True where two depths, m, are one level.</summary>
    internal static bool Same(decimal a, decimal b) => Math.Abs(a - b) < SameM;

    internal ReadLevel(Read<LevelBody> level, IReadOnlyDictionary<(Guid Level, bool Oxygen), RereadAs> rereads, decimal pressureKpa, Length depth)
    {
        (Entry, At, Body, Depth) = (level.Entry.Id, level.Entry.At, level.Body, depth);
        Conductivity = Number(Body.Conductivity);
        Ph = Number(Body.Ph);
        Salinity = Number(Body.Salinity);
        if (Body.Temperature is { } temperature && NumberText.Read(temperature.Written).Value is { } degrees)
        {
            TemperatureUnit = rereads.TryGetValue((Entry, false), out var asRead) ? asRead == RereadAs.Fahrenheit ? Quantities.TemperatureUnit.Fahrenheit : Quantities.TemperatureUnit.Celsius : temperature.Unit;
            Reread |= TemperatureUnit != temperature.Unit;
            CelsiusAsWritten = temperature.Unit == Quantities.TemperatureUnit.Celsius ? degrees : null;
            Celsius = TemperatureUnit is { } scale ? Temperature.Celsius(degrees, scale) : null;
        }

        if (Celsius is { } c && WaterDensity.Holds((double)c, (double)WorkingSalinity))
        {
            Density = (decimal)WaterDensity.KgPerM3((double)c, (double)WorkingSalinity);
        }

        if (Body.Oxygen is { } oxygen && NumberText.Read(oxygen.Written).Value is { } shown)
        {
            var again = rereads.TryGetValue((Entry, true), out var how) ? how : (RereadAs?)null;
            OxygenUnit = again switch { RereadAs.OxygenPercent => Core.Oxygen.OxygenUnit.Percent, RereadAs.OxygenMgPerL => Core.Oxygen.OxygenUnit.MgPerL, _ => oxygen.Unit };
            OxygenShown = again == RereadAs.OxygenTenth ? shown / 10 : shown;
            Reread |= again is not null;
            Oxygenate(pressureKpa);
        }
    }

    internal Guid Entry { get; }

    internal DateTimeOffset At { get; }

    internal LevelBody Body { get; }

    internal Length Depth { get; }

    internal decimal DepthM => Depth.Metres;

    internal TemperatureUnit? TemperatureUnit { get; }

    internal decimal? Celsius { get; }

    /// <summary>What was written, where it was written as °C: a reread leaves it as it is.</summary>
    internal decimal? CelsiusAsWritten { get; }

    internal OxygenUnit? OxygenUnit { get; private set; }

    /// <summary>The number that stands, in <see cref="OxygenUnit"/>.</summary>
    internal decimal? OxygenShown { get; }

    internal decimal? MgPerL { get; private set; }

    internal decimal? Percent { get; private set; }

    /// <summary>What this water would hold, mg/L; null where temperature is missing or outside the equations.</summary>
    internal decimal? Holds { get; private set; }

    internal decimal? Conductivity { get; }

    internal decimal? Ph { get; }

    internal decimal? Salinity { get; }

    internal decimal? Density { get; }

    internal bool Reread { get; }

    /// <summary>Salinity for density and solubility: as read, else from the specific conductance, else fresh.</summary>
    /// <remarks>5.572e-4 SC + 2.02e-9 SC²: USGS 2011, Office of Water Quality Technical Memorandum 2011.03.</remarks>
    internal decimal WorkingSalinity => Salinity ?? (Conductivity is { } sc and >= 0 and <= 60_000 ? (5.572e-4m * sc) + (2.02e-9m * sc * sc) : 0);

    /// <summary>The level for the equations; null without temperature.</summary>
    internal ProfileLevel? Worked => Celsius is { } c && Density is not null ? new ProfileLevel(DepthM, decimal.Round(c, 4), MgPerL is { } mgl ? decimal.Round(mgl, 4) : null, decimal.Round(WorkingSalinity, 4)) : null;

    private void Oxygenate(decimal pressureKpa)
    {
        if (Celsius is { } c && Solubility.Holds((double)c, (double)WorkingSalinity))
        {
            Holds = (decimal)Solubility.AtPressure((double)c, (double)WorkingSalinity, (double)pressureKpa);
        }

        if (OxygenUnit == Core.Oxygen.OxygenUnit.MgPerL)
        {
            MgPerL = OxygenShown;
            Percent = Holds is { } holds ? OxygenShown / holds * 100 : null;
        }
        else if (OxygenUnit == Core.Oxygen.OxygenUnit.Percent)
        {
            Percent = OxygenShown;
            MgPerL = Holds is { } holds ? OxygenShown * holds / 100 : null;
        }
    }

    private static decimal? Number(string? written) => written is null ? null : NumberText.Read(written).Value;
}
