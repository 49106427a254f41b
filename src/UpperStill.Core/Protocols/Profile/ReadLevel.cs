using System.Runtime.CompilerServices;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Density;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>A level of a visit, read and put into working units.</summary>
internal sealed class ReadLevel
{
    private const decimal SameM = 0.06m;

    /// <summary>True where two depths, m, are one level.</summary>
    internal static bool Same(decimal a, decimal b) => Math.Abs(a - b) < SameM;

    // An entry never changes: what was worked out of it holds for the next fold, too, unless it is reread or the pressure is another.
    private static readonly ConditionalWeakTable<Entry, Known> Before = [];

    private Shown? shown;

    private ReadLevel(Read<LevelBody> level, RereadAs? temperatureAs, RereadAs? oxygenAs, decimal pressureKpa, Length depth)
    {
        (Entry, At, Body, Depth) = (level.Entry.Id, level.Entry.At, level.Body, depth);
        Conductivity = Number(Body.Conductivity);
        Ph = Number(Body.Ph);
        Salinity = Number(Body.Salinity);
        if (Body.Temperature is { } temperature && NumberText.Read(temperature.Written).Value is { } degrees)
        {
            TemperatureUnit = temperatureAs is { } asRead
                ? asRead == RereadAs.Fahrenheit
                    ? Core.Basis.Quantities.TemperatureUnit.Fahrenheit
                    : Core.Basis.Quantities.TemperatureUnit.Celsius
                : temperature.Unit;
            Reread |= TemperatureUnit != temperature.Unit;
            CelsiusAsWritten = temperature.Unit == Core.Basis.Quantities.TemperatureUnit.Celsius ? degrees : null;
            Celsius = TemperatureUnit is { } scale ? Temperature.Celsius(degrees, scale) : null;
        }

        if (Celsius is { } c && WaterDensity.Holds((double)c, (double)WorkingSalinity))
        {
            Density = (decimal)WaterDensity.KgPerM3((double)c, (double)WorkingSalinity);
        }

        if (Body.Oxygen is { } oxygen && NumberText.Read(oxygen.Written).Value is { } shown)
        {
            OxygenUnit = oxygenAs switch
            {
                RereadAs.OxygenPercent => Core.Science.Oxygen.OxygenUnit.Percent,
                RereadAs.OxygenMgPerL => Core.Science.Oxygen.OxygenUnit.MgPerL,
                _ => oxygen.Unit,
            };
            OxygenShown = oxygenAs == RereadAs.OxygenTenth ? shown / 10 : shown;
            Reread |= oxygenAs is not null;
            Oxygenate(pressureKpa);
        }
    }

    /// <summary>Reads a level.</summary>
    /// <param name="level">As written.</param>
    /// <param name="rereads">Levels read in another unit.</param>
    /// <param name="pressureKpa">Pressure at the meter, kPa.</param>
    /// <returns>The level, null where its depth cannot be read; and what cannot be read of it.</returns>
    internal static (ReadLevel? Level, Finding? Wrong) Of(
        Read<LevelBody> level,
        IReadOnlyDictionary<(Guid Level, bool Oxygen), RereadAs> rereads,
        decimal pressureKpa
    )
    {
        var temperatureAs = rereads.TryGetValue((level.Entry.Id, false), out var t) ? t : (RereadAs?)null;
        var oxygenAs = rereads.TryGetValue((level.Entry.Id, true), out var o) ? o : (RereadAs?)null;
        if (
            Before.TryGetValue(level.Entry, out var known)
            && known.PressureKpa == pressureKpa
            && known.TemperatureAs == temperatureAs
            && known.OxygenAs == oxygenAs
        )
        {
            return (known.Level, known.Wrong);
        }

        var (depth, finding) = level.Body.Depth.Read();
        known = new Known(
            pressureKpa,
            temperatureAs,
            oxygenAs,
            depth is { } length ? new ReadLevel(level, temperatureAs, oxygenAs, pressureKpa, length) : null,
            finding ?? Unread(level.Body)
        );
        Before.AddOrUpdate(level.Entry, known);
        return (known.Level, known.Wrong);
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
    internal decimal WorkingSalinity =>
        Salinity ?? (Conductivity is { } sc and >= 0 and <= PracticalSalinity.MostConductance ? PracticalSalinity.OfConductance(sc) : 0);

    /// <summary>The level for the equations; null without temperature.</summary>
    internal ProfileLevel? Worked =>
        Celsius is { } c && Density is not null
            ? new ProfileLevel(
                DepthM,
                decimal.Round(c, 4),
                MgPerL is { } mgl ? decimal.Round(mgl, 4) : null,
                decimal.Round(WorkingSalinity, 4)
            )
            : null;

    /// <summary>The level as the page shows it.</summary>
    /// <param name="reader">Unit for the words.</param>
    /// <param name="above">The level above it.</param>
    /// <param name="added">True where the method does not ask for it.</param>
    /// <param name="marked">True where it may not be water.</param>
    /// <param name="open">Whether a stop on its temperature, or its oxygen, is open.</param>
    internal SheetLevel Show(ReaderUnit reader, ReadLevel? above, bool added, bool marked, (bool Temperature, bool Oxygen) open)
    {
        if (
            shown is { } last
            && last.Reader == reader
            && last.Above == above
            && last.Sheet.Added == added
            && last.Sheet.Marked == marked
            && (last.Sheet.TemperatureOpen, last.Sheet.OxygenOpen) == open
        )
        {
            return last.Sheet;
        }

        var fall =
            above?.Celsius is { } warm && Celsius is { } cold && DepthM > above.DepthM
                ? (warm - cold) / (DepthM - above.DepthM)
                : (decimal?)null;
        var sheet = new SheetLevel(
            Entry,
            Decimals.Published(DepthM),
            LengthText.Show(Depth, reader),
            Body.Depth,
            Body.Temperature?.Written,
            TemperatureUnit,
            Rounded(Celsius, 4),
            Body.Oxygen?.Written,
            OxygenUnit,
            Rounded(MgPerL, 4)
        )
        {
            MgLText = MgPerL is { } mgl ? Decimals.Fixed(mgl, 1) : null,
            Percent = Percent is { } percent ? Decimals.Fixed(percent, 0) : null,
            FallText = fall is { } f ? Decimals.Fixed(f, 1) : null,
            Density = Rounded(Density, 3),
            Conductivity = Conductivity,
            Ph = Ph,
            Salinity = Salinity,
            Reread = Reread,
            Added = added,
            Marked = marked,
            From = Body.From,
            TemperatureOpen = open.Temperature,
            OxygenOpen = open.Oxygen,
            OxygenRead =
                Body.Oxygen is { } written && OxygenShown is { } corrected && NumberText.Read(written.Written).Value != corrected
                    ? Decimals.Text(corrected)
                    : null,
        };
        shown = new Shown(reader, above, sheet);
        return sheet;
    }

    private static decimal? Rounded(decimal? value, int decimals) =>
        value is { } v ? Decimals.Plain(decimal.Round(v, decimals, MidpointRounding.AwayFromZero)) : null;

    private void Oxygenate(decimal pressureKpa)
    {
        if (Celsius is { } c && Solubility.Holds((double)c, (double)WorkingSalinity))
        {
            Holds = (decimal)Solubility.AtPressure((double)c, (double)WorkingSalinity, (double)pressureKpa);
        }

        if (OxygenUnit is not { } unit || OxygenShown is not { } shown)
        {
            return;
        }

        // A number in mg/L stands whatever the water; of the others only where the equations hold.
        MgPerL =
            unit == Core.Science.Oxygen.OxygenUnit.MgPerL ? shown
            : Holds is { } can && Celsius is { } t
                ? unit == Core.Science.Oxygen.OxygenUnit.Percent ? shown * can / 100
                    : OxygenUnits.MgPerL(shown, unit, new OxygenWater((double)t, (double)WorkingSalinity, (double)pressureKpa))
            : null;
        Percent =
            unit == Core.Science.Oxygen.OxygenUnit.Percent ? shown
            : Holds is { } holds ? MgPerL / holds * 100
            : null;
    }

    private static decimal? Number(string? written) => written is null ? null : NumberText.Read(written).Value;

    private static Finding? Unread(LevelBody body) =>
        body.Temperature?.Read().Finding
        ?? body.Oxygen?.Read().Finding
        ?? Doubt(body.Conductivity)
        ?? Doubt(body.Ph)
        ?? Doubt(body.Salinity);

    private static Finding? Doubt(string? written) => written is null ? null : NumberText.Read(written).Finding;

    private sealed record Shown(ReaderUnit Reader, ReadLevel? Above, SheetLevel Sheet);

    private sealed record Known(decimal PressureKpa, RereadAs? TemperatureAs, RereadAs? OxygenAs, ReadLevel? Level, Finding? Wrong);
}
