using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>Temperature and dissolved oxygen by depth.</summary>
public sealed class ProfilePart() : VisitPart("profile")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => ProfileKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => MeterBoxes.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => ProfileOptions.Methods;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => ProfileOptions.Thresholds;

    /// <inheritdoc/>
    public override IReadOnlyList<ParameterDescription> Parameters => ProfileParameters.All;

    /// <inheritdoc/>
    internal override IReadOnlyList<MoveCost> MoveCosts { get; } =
    [
        new("profile", "bottles", "The depths of the bottles come from today’s profile."),
        new("profile", "composite", "The profile shows where the layers meet."),
    ];

    /// <inheritdoc/>
    internal override void Fold(SheetDraft draft)
    {
        if (ProfileFold.Fold(draft) is { } profile)
        {
            draft.Add(profile);
        }
    }

    /// <inheritdoc/>
    internal override IEnumerable<PartStep> Steps(SheetDraft draft)
    {
        if (draft.Section<SheetProfile>() is not { } profile)
        {
            yield break;
        }

        var left = profile.ToRead.Count(t => t.Wanted == LevelWanted.Planned);
        yield return new PartStep
        {
            Name = "profile",
            Title = "Profile",
            Way = "the profile",
            Rank = StepRank.Profile,
            Done = profile.Levels.Count > 0 && left == 0,
            Summary =
                profile.Levels.Count == 0 ? $"{profile.Planned} levels"
                : left == 0 ? $"{profile.Levels.Count} levels"
                : $"{profile.Levels.Count} of {profile.Levels.Count + left} levels",
            Stops = [Beside.Profile],
            NeedsDepth = true,
            Required = draft.Wants(Protocol.Profile),
        };
    }

    /// <inheritdoc/>
    internal override IEnumerable<string> Overboard(SheetDraft draft) =>
        draft.Standing(ProfileKinds.MeterCheck).Select(m => m.Body.Meter).Distinct().Select(m => $"meter {m}, probes moist");

    /// <inheritdoc/>
    internal override IEnumerable<Protocol> Took(SheetDraft draft) =>
        draft.Section<SheetProfile>() is { Levels.Count: > 1 } ? [Protocol.Profile] : [];

    /// <inheritdoc/>
    internal override IEnumerable<Reading> Readings(SheetDraft draft) => ProfileParameters.Readings(draft);

    /// <inheritdoc/>
    internal override IEnumerable<Repair> Repairs(Finding finding, SheetDraft draft) => LevelRepairs.Of(finding, draft);

    /// <inheritdoc/>
    internal override StepGuideResult? Guide(string step, ChosenMethods methods) =>
        step == "profile" ? StepGuideResult.Of(ProfileGuide.Lines(methods)) : null;

    /// <inheritdoc/>
    internal override IEnumerable<PackNeed> Pack(Packing outing)
    {
        if (outing.Takes(Protocol.Profile))
        {
            yield return outing.Of(KitKind.Meter, "meter", "a meter with its calibration kit", "profile");
        }

        if (outing.Takes(Protocol.Profile) || outing.Samples.Count > 0)
        {
            yield return outing.Of(KitKind.Thermometer, "thermometer", "a thermometer", "temperatures");
        }

        if (outing.Takes(Protocol.Seawater))
        {
            yield return outing.Of(KitKind.Refractometer, "refractometer", "a refractometer, distilled water", "salinity");
        }
    }

    /// <inheritdoc/>
    internal override IEnumerable<PaperPiece> Paper(PlannedStop stop)
    {
        if (PlannedLevels.At(stop) is { Count: > 0 } levels)
        {
            yield return new PaperPiece("Profile: what the meter shows, its unit once at the top", StepRank.Profile)
            {
                Table = PaperTable.ToFill(
                    ["depth", $"temperature, {PaperBox.ToWrite}", $"oxygen, {PaperBox.ToWrite}", PaperBox.ToWrite],
                    levels
                ),
            };
        }
    }
}
