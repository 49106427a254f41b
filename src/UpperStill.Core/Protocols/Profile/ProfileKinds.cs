using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Science.Oxygen;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>Kinds of entry of the profile.</summary>
public static class ProfileKinds
{
    /// <summary>Calibration, display and depth sensor of the meter.</summary>
    public static readonly EntryKind<MeterCheckBody> MeterCheck = new(
        "meter-check",
        1,
        "A meter calibrated, checked at the end, its display or its depth sensor looked at.",
        () => ProfileJson.Default.MeterCheckBody,
        (b, _) => MeterWords(b)
    )
    {
        NumbersBeside = Beside.Profile,
    };

    /// <summary>One level of a profile.</summary>
    public static readonly EntryKind<LevelBody> Level = new(
        "level",
        1,
        "What the meter showed at one depth.",
        () => ProfileJson.Default.LevelBody,
        (b, r) =>
            string.Join(
                ", ",
                new[]
                {
                    $"At {LengthText.AsRead(b.Depth, r)}",
                    b.Temperature is { } t ? $"{t.Written} {(t.Unit == TemperatureUnit.Fahrenheit ? "°F" : "°C")}" : null,
                    b.Oxygen is { } o ? $"{o.Written} {(o.Unit is { } unit ? OxygenUnits.Text(unit) : "in an unknown unit")}" : null,
                    b.Salinity is { } s ? $"salinity {s}" : null,
                }.OfType<string>()
            )
    )
    {
        NumbersBeside = Beside.Profile,
    };

    /// <summary>A file of a meter's memory.</summary>
    public static readonly EntryKind<LoggedCastBody> LoggedCast = new(
        "logged-cast",
        1,
        "A logged cast from which levels were made; struck, its levels fall with it.",
        () => ProfileJson.Default.LoggedCastBody,
        (b, _) => $"Logged cast {b.File}, {b.Used} of {b.Rows} rows"
    )
    {
        NumbersBeside = Beside.Profile,
    };

    /// <summary>Levels read anew in another unit.</summary>
    public static readonly EntryKind<RereadBody> Reread = new(
        "reread",
        1,
        "Levels whose numbers are read in another unit; what was written stays.",
        () => ProfileJson.Default.RereadBody,
        (b, _) =>
            $"{b.Levels.Count} {(b.Levels.Count == 1 ? "level" : "levels")} reread as "
            + $"{b.As switch { RereadAs.OxygenPercent => "%", RereadAs.OxygenMgPerL => "mg/L", RereadAs.Fahrenheit => "°F", RereadAs.Celsius => "°C", _ => "a tenth" }}"
    );

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [MeterCheck, Level, LoggedCast, Reread];

    private static string MeterWords(MeterCheckBody b) =>
        string.Join(
            ", ",
            new[]
            {
                b.Read is { } read
                    ? $"{b.Meter} {(b.AtEnd ? "at the end" : "calibrated")}: read {read.Written}, should be {b.Expected?.Written}"
                    : null,
                b.PressureKpa is { } pressure ? $"pressure {Decimals.Text(pressure)} kPa" : null,
                b.Display is { } display ? $"display on {OxygenUnits.Text(display)}" : null,
                b.AtSurface is { } zero ? $"shows {zero.Written} at the surface" : null,
            }.OfType<string>()
        )
            is { Length: > 0 } words
            ? words
            : $"Meter {b.Meter}";
}
