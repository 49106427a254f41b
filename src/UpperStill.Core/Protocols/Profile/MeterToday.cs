using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>The meter of a visit: when it was calibrated, what its display shows, what air pressure oxygen is worked out with.</summary>
/// <param name="Entries">What was done to it on this visit.</param>
/// <param name="Pressure">Air pressure at the station, kPa.</param>
/// <param name="Sheet">For the page.</param>
internal sealed record MeterToday(IReadOnlyList<Read<MeterCheckBody>> Entries, decimal Pressure, SheetMeter Sheet)
{
    internal static MeterToday Of(SheetDraft draft)
    {
        var entries = draft.Standing(ProfileKinds.MeterCheck);
        var altitude = draft.Context.Water?.AltitudeM ?? 0;
        var weighed = entries.LastOrDefault(e => e.Body.PressureKpa is not null);
        var pressure = OxygenRule.Pressure(altitude, weighed?.Body.PressureKpa, weighed?.Body.FromWeatherReport == true);
        var gear = draft.Context.Gear?.Where(g => g.Kind == KitKind.Meter).ToList() ?? [];
        var code =
            entries.Count > 0 ? entries[^1].Body.Meter
            : gear.Count == 1 ? gear[0].Code
            : null;
        var start = entries.LastOrDefault(e => !e.Body.AtEnd && e.Body.Read is not null);
        var ashore = gear.FirstOrDefault(g => g.Code == code)?.CalibratedOn;
        var calibrated = start is not null || (ashore is not null && ashore == draft.Day);
        var text =
            (code is null ? "no meter named" : $"meter {code}")
            + (
                start is { } s ? $", calibrated {Clock(s.Entry.At)}"
                : calibrated ? ", calibrated today"
                : ashore is { } day ? $", last calibrated {day.ToString("d MMM", System.Globalization.CultureInfo.InvariantCulture)}"
                : ", not calibrated"
            );
        return new MeterToday(
            entries,
            pressure,
            new SheetMeter(
                code,
                text,
                calibrated,
                Decimals.Plain(decimal.Round(pressure, 2)),
                altitude,
                [.. entries.Select(e => e.Entry.Id)]
            )
        );
    }

    private static string Clock(DateTimeOffset at) => at.ToString("HH:mm", System.Globalization.CultureInfo.InvariantCulture);
}
