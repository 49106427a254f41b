using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>The profile's part of the sheet: what was read, what is still to read, what follows.</summary>
internal static class ProfileFold
{
    internal static SheetProfile? Fold(SheetDraft draft)
    {
        // A logged cast that is struck takes its levels with it.
        var casts = draft.Standing(ProfileKinds.LoggedCast);
        var entries = draft
            .Standing(ProfileKinds.Level)
            .Where(l => l.Body.Cast is not { } cast || casts.Any(c => c.Entry.Id == cast))
            .ToList();
        if (entries.Count == 0 && !draft.Wants(Protocol.Profile))
        {
            return null;
        }

        var meter = MeterToday.Of(draft);
        var rereads = Rereads(draft);
        List<ReadLevel> read = [];
        foreach (var entry in entries)
        {
            var (level, wrong) = ReadLevel.Of(entry, rereads, meter.Pressure);
            if (wrong is not null)
            {
                draft.Findings.Add(wrong.On(Beside.Profile, entry.Entry.Id));
            }

            if (level is not null)
            {
                read.Add(level);
            }
        }

        var planned = Planned(draft);
        var levels = read.OrderBy(l => l.DepthM).ThenBy(l => l.At).ToList();
        var deepest = levels.Count == 0 ? -1 : levels[^1].DepthM;
        var breaks = ProfileBreaks.Of(draft, levels);
        List<LevelToRead> toRead =
        [
            .. planned.Where(p => !Read(levels, p.Metres)).Select(p => ToRead(draft, p, LevelWanted.Planned, deepest)),
        ];
        toRead.AddRange(
            breaks
                .Where(b => !Read(levels, b.Depth.Metres) && !toRead.Any(t => ReadLevel.Same(t.DepthM, b.Depth.Metres)))
                .Select(b => ToRead(draft, b.Depth, LevelWanted.Break, deepest) with { Between = [b.Above, b.Below] })
        );
        toRead.Sort((a, b) => a.DepthM.CompareTo(b.DepthM));
        draft.Findings.AddRange(MeterChecks.Of(draft, meter, levels));
        var marked = new HashSet<Guid>();
        var found = ProfileChecks.Of(draft, levels, read, [.. planned.Select(p => p.Metres)], marked);
        draft.Findings.AddRange(found);

        // What a stop is open on counts nowhere; with a check open, what follows is only about right.
        var unanswered = found.Where(f => f.Level != FindingLevel.Note && draft.AnswerTo(f) is null).ToLookup(f => f.About[0]);
        var open = levels.ToDictionary(
            l => l.Entry,
            l =>
                (
                    Temperature: unanswered[l.Entry].Any(f => f.Level == FindingLevel.Stop && !OfOxygen(f)),
                    Oxygen: unanswered[l.Entry].Any(f => f.Level == FindingLevel.Stop && OfOxygen(f))
                )
        );
        var counted = levels.Where(l => !marked.Contains(l.Entry) && !open[l.Entry].Temperature).ToList();
        var asked = new ProfileRequest(
            [
                .. counted
                    .Select(l =>
                        open[l.Entry].Oxygen
                            ? l.Worked is { } plain
                                ? plain with
                                {
                                    OxygenMgL = null,
                                }
                                : null
                            : l.Worked
                    )
                    .OfType<ProfileLevel>(),
            ],
            draft.Context.Water?.Hypsography,
            Native: Native(draft, levels),
            Reader: draft.Reader,
            About: counted.Exists(l => unanswered[l.Entry].Any(f => f.Level == FindingLevel.Check)),
            LayersBy: ProfileOptions.Layers(draft.Context.Programme)
        );
        var temperatures = WaterTemperature.Scale(draft);
        var next = NextOf(toRead, read, deepest);
        var worked = ProfileRule.Work(asked, workings: false).Figures;
        var byEye = ProfileOptions.ByEye(draft.Context.Programme);
        return new SheetProfile(
            [
                .. levels.Select(
                    (l, i) =>
                        l.Show(
                            draft.Reader,
                            i == 0 ? null : levels[i - 1],
                            !planned.Any(p => ReadLevel.Same(p.Metres, l.DepthM)),
                            marked.Contains(l.Entry),
                            open[l.Entry]
                        )
                ),
            ],
            toRead,
            next,
            planned.Count,
            byEye ? [.. worked.Where(f => f.Key is not ("thermocline" or "metalimnion" or "degree"))] : worked,
            meter.Sheet,
            asked,
            Columns(draft, levels),
            temperatures,
            levels.LastOrDefault(l => l.Body.Oxygen?.Unit is not null)?.Body.Oxygen!.Unit
                ?? (draft.Context.Programme.ChoiceOf(ProfileOptions.OxygenUnitShown) == "percent" ? OxygenUnit.Percent : OxygenUnit.MgPerL)
        )
        {
            Casts =
            [
                .. casts.Select(c => new SheetLoggedCast(
                    c.Entry.Id,
                    $"{c.Body.File}: {c.Body.Used} of {c.Body.Rows} rows{(c.Body.WayUp ? ", the way up" : string.Empty)}",
                    entries.Count(l => l.Body.Cast == c.Entry.Id),
                    c.Body.Sha256
                )),
            ],
            Worked = worked,
            BothUnits = !draft.Context.Programme.Chooses(ProfileOptions.OxygenUnitShown, "as-shown"),
        };
    }

    /// <summary>The levels that the method asks for; none before the depth of the water is known.</summary>
    internal static IReadOnlyList<Length> Planned(SheetDraft draft)
    {
        if ((draft.Section<Sounded>()?.Read.Body.Depth.Read().Length ?? draft.Context.Station.KnownDepth.Read().Length) is not { } depth)
        {
            return [];
        }

        var feet = draft.Context.Programme.ChoiceOf(ProfileOptions.Units) switch
        {
            "feet" => true,
            "metres" => false,
            _ => Length.IsFootBased(depth.Unit),
        };
        return PlannedLevels.Of(
            draft.Context.Programme.ChoiceOf(ProfileOptions.Levels),
            feet ? new Length(depth.Metres / Length.MetresPerFoot, LengthUnit.Foot, 0.1m) : new Length(depth.Metres, LengthUnit.Metre, 0.1m)
        );
    }

    private static bool OfOxygen(Finding finding) => finding.Code.StartsWith("oxygen-", StringComparison.Ordinal);

    private static Dictionary<(Guid Level, bool Oxygen), RereadAs> Rereads(SheetDraft draft)
    {
        Dictionary<(Guid Level, bool Oxygen), RereadAs> rereads = [];
        foreach (var reread in draft.Standing(ProfileKinds.Reread))
        {
            foreach (var level in reread.Body.Levels)
            {
                rereads[(level, reread.Body.As is RereadAs.OxygenPercent or RereadAs.OxygenMgPerL or RereadAs.OxygenTenth)] = reread
                    .Body
                    .As;
            }
        }

        return rereads;
    }

    private static bool Read(List<ReadLevel> levels, decimal metres) => levels.Any(l => ReadLevel.Same(l.DepthM, metres));

    // Down as planned: what is only proposed never takes the place of the next planned level. What is left then is read on the way up.
    private static LevelToRead? NextOf(List<LevelToRead> toRead, List<ReadLevel> read, decimal deepest)
    {
        var last = read.Count == 0 ? deepest : read[^1].DepthM;
        return toRead.Find(t => t.Wanted == LevelWanted.Planned && t.DepthM > deepest)
            ?? toRead.FindLast(t => t.DepthM < last)
            ?? toRead.LastOrDefault();
    }

    private static LevelToRead ToRead(SheetDraft draft, Length depth, LevelWanted wanted, decimal deepest) =>
        new(
            Decimals.Published(depth.Metres),
            new WrittenLength(Decimals.Text(depth.Value), depth.Unit),
            draft.Show(depth),
            wanted,
            depth.Metres < deepest
        );

    private static LengthUnit Native(SheetDraft draft, List<ReadLevel> levels) => levels.Count > 0 ? levels[0].Depth.Unit : draft.Native;

    // A pier in the tide asks for salinity; boxes once filled stay.
    private static List<string> Columns(SheetDraft draft, List<ReadLevel> levels)
    {
        List<string> columns = ["temperature", "oxygen"];
        if (levels.Any(l => l.Body.Conductivity is not null))
        {
            columns.Add("conductivity");
        }

        if (levels.Any(l => l.Body.Ph is not null))
        {
            columns.Add("ph");
        }

        if (draft.Context.Water?.Kind == WaterKind.Sea || levels.Any(l => l.Body.Salinity is not null))
        {
            columns.Add("salinity");
        }

        return columns;
    }
}
