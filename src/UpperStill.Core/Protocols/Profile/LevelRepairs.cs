using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Oxygen;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>How a level of the profile, or the meter, is mended.</summary>
internal static class LevelRepairs
{
    internal static IEnumerable<Repair> Of(Finding finding, SheetDraft draft)
    {
        if (finding.Beside != Beside.Profile || draft.Section<SheetProfile>() is not { } profile)
        {
            return [];
        }

        return finding.Code switch
        {
            "profile-add-level" => Added(finding, profile),
            "meter-unit-unconfirmed" when profile.Meter.Meter is { } meter =>
            [
                Repair.Write("It is back on mg/L", ProfileKinds.MeterCheck.Anew(new MeterCheckBody(meter, Display: OxygenUnit.MgPerL))),
            ],
            "meter-uncalibrated" => [Repair.Ask("Calibrate", RepairAsk.Meter)],
            var code when code.StartsWith("calibration-", StringComparison.Ordinal) => [Repair.Ask("Calibrate", RepairAsk.Meter)],
            _ when profile.Levels.FirstOrDefault(l => finding.About.Contains(l.Entry)) is { } level => Level(finding.Code, profile, level),
            _ => [],
        };
    }

    private static IEnumerable<Repair> Added(Finding finding, SheetProfile profile)
    {
        if (profile.ToRead.FirstOrDefault(t => t.Between?.All(finding.About.Contains) == true) is { } level)
        {
            yield return Repair.Ask($"Take {level.Text} now", RepairAsk.Level, Decimals.Text(level.DepthM));
            yield return Repair.Write("Leave it out", VisitKinds.Kept.Anew(new KeptBody(finding.Code, finding.About), why: "left out"));
        }
    }

    private static IEnumerable<Repair> Level(string code, SheetProfile profile, SheetLevel level)
    {
        var alike = profile.Levels.Where(l => l.Oxygen is not null && l.OxygenUnit == level.OxygenUnit).ToList();
        var down = alike.Where(l => l.DepthM >= level.DepthM).ToList();
        IEnumerable<Repair> readings = code switch
        {
            "oxygen-as-percent" =>
            [
                Read("Read this one as %", RereadAs.OxygenPercent, level),
                Read("From here down", RereadAs.OxygenPercent, [.. down]),
                Read("The whole column", RereadAs.OxygenPercent, [.. alike]),
                Read("The point was lost", RereadAs.OxygenTenth, level),
            ],
            "oxygen-as-mgl" =>
            [
                Read("Read this one as mg/L", RereadAs.OxygenMgPerL, level),
                Read("From here down", RereadAs.OxygenMgPerL, [.. down]),
                Read("The whole column", RereadAs.OxygenMgPerL, [.. alike]),
            ],
            "oxygen-point-lost" => [Read("The point was lost", RereadAs.OxygenTenth, level)],
            "temperature-as-fahrenheit" =>
            [
                Read("It was °F", RereadAs.Fahrenheit, level),
                Read("The whole column", RereadAs.Fahrenheit, [.. profile.Levels]),
            ],
            _ => [],
        };
        return readings.Append(Repair.Ask("Read it again", RepairAsk.Level, level.Entry.ToString()));
    }

    private static Repair Read(string label, RereadAs @as, params SheetLevel[] levels) =>
        Repair.Write(label, ProfileKinds.Reread.Anew(new RereadBody([.. levels.Select(l => l.Entry)], @as)));
}
