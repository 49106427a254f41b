using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>The checks on the meter: calibrated, back on mg/L, zeroed, and how far it drifted.</summary>
internal static class MeterChecks
{
    private const decimal ZeroM = 0.1m;

    internal static IEnumerable<Finding> Of(SheetDraft draft, MeterToday meter, IReadOnlyList<ReadLevel> levels)
    {
        var programme = draft.Context.Programme;
        var oxygen = levels.Where(l => l.OxygenShown is not null).ToList();
        // Of an old table nobody knows it any more.
        if (oxygen.Count > 0 && !draft.Imported && !meter.Sheet.Calibrated && !programme.Chooses(ProfileOptions.Calibrate, "unasked"))
        {
            yield return Finding
                .Stop(
                    "meter-uncalibrated",
                    "No calibration today.",
                    "Oxygen may be wrong all the way down.",
                    "Calibrate, or go on with a reason; the cast is marked."
                )
                .On(Beside.Profile);
        }

        for (var i = 0; i < meter.Entries.Count; i++)
        {
            var check = meter.Entries[i];
            // Wiped off, repeated, and right: what it read before was seen and mended.
            var settled = meter
                .Entries.Skip(i + 1)
                .Any(later =>
                    later.Body.AtEnd == check.Body.AtEnd
                    && later.Body.Read is not null
                    && !One(programme, later, meter.Sheet.AltitudeM).Any()
                );
            foreach (var finding in One(programme, check, meter.Sheet.AltitudeM))
            {
                var said = finding.On(Beside.Profile, check.Entry.Id);
                yield return settled ? said.Settled("a later one was right") : said;
            }
        }

        var begun = meter.Entries.LastOrDefault(e => !e.Body.AtEnd && e.Body.Read?.Unit == OxygenUnit.Percent);
        var shows = meter.Entries.LastOrDefault(e => e.Body.Display is not null)?.Body.Display;
        if (begun is not null && shows != OxygenUnit.MgPerL && oxygen.Any(l => l.Body.Oxygen?.Unit == OxygenUnit.MgPerL))
        {
            yield return Finding
                .Check(
                    "meter-unit-unconfirmed",
                    "Is the display back on mg/L?",
                    "Calibrating leaves it on % and the whole column goes wrong.",
                    "Switch, then confirm."
                )
                .On(Beside.Profile, begun.Entry.Id);
        }
    }

    private static IEnumerable<Finding> One(Programme programme, Read<MeterCheckBody> check, decimal altitudeM)
    {
        var body = check.Body;
        if ((body.Expected?.Read().Finding ?? body.Read?.Read().Finding ?? body.AtSurface?.Read().Finding) is { } unread)
        {
            yield return unread;
        }

        if (body.Expected?.Read().Value is { } expected && body.Read?.Read().Value is { } read && expected != 0)
        {
            var (off, unit) = (Math.Abs(read - expected), OxygenUnits.Text(body.Read.Unit ?? OxygenUnit.MgPerL));
            if (!body.AtEnd && off / Math.Abs(expected) * 100 > programme.Of(ProfileOptions.CalibrationOff))
            {
                yield return Finding.Check(
                    "calibration-off",
                    $"Read {Decimals.Text(read)} {unit}, should be {Decimals.Text(expected)} {unit}.",
                    "The membrane or cap may be old, or wet outside.",
                    "Look at the membrane or cap, wipe off drops, repeat."
                );
            }

            if (
                body.AtEnd
                && (
                    body.Read.Unit == OxygenUnit.Percent
                        ? off > programme.Of(ProfileOptions.CalibrationOff)
                        : off > programme.Of(ProfileOptions.CalibrationDrift) * OxygenUnits.PerMgPerL(body.Read.Unit)
                )
            )
            {
                yield return Finding.Check(
                    "calibration-drift",
                    $"{Decimals.Text(off)} {unit} since the start.",
                    "The whole profile is marked.",
                    "Calibrate again before the next station."
                );
            }
        }

        if (
            Barometer.Doubt(altitudeM, body.PressureKpa, body.FromWeatherReport == true, programme.Of(ProfileOptions.Barometer)) is
            { } pressure
        )
        {
            yield return pressure;
        }

        if (body.AtSurface?.Read().Length is { } zero && zero.Metres > ZeroM)
        {
            yield return Finding.Check(
                "depth-not-zeroed",
                $"The meter shows {LengthText.Write(zero)} at the surface.",
                "Every level is off by that.",
                "Zero it, then say so."
            );
        }
    }
}
