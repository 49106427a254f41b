using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>The depth of the water, before anything goes down.</summary>
public sealed class SoundingPart() : VisitPart("sounding")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => SoundingKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => SoundingBoxes.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => SoundingOptions.Methods;

    /// <inheritdoc/>
    internal override IReadOnlyList<MoveCost> MoveCosts { get; } = [new("sounding", null, "Touching bottom unawares spoils the sample.")];

    /// <inheritdoc/>
    internal override void Fold(SheetDraft draft) => SoundingFold.Fold(draft);

    /// <inheritdoc/>
    internal override IEnumerable<PartStep> Steps(SheetDraft draft)
    {
        var sounding = draft.Section<Sounded>()?.Sheet;
        yield return new PartStep
        {
            Name = "sounding",
            Title = "Sounding",
            Way = "the sounding",
            Rank = StepRank.Sounding,
            Done = sounding is not null,
            Summary =
                sounding is null ? "depth not yet measured"
                : draft.Context.Station.KnownDepth.Read().Length is { } known ? $"{sounding.Text}, {draft.Show(known)} known"
                : sounding.Text,
            Stops = [Beside.Sounding],
            AskedBefore = true,
            GivesDepth = true,
        };
    }

    /// <inheritdoc/>
    internal override IEnumerable<Repair> Repairs(Finding finding, SheetDraft draft) => SoundingRepairs.Of(finding, draft);

    /// <inheritdoc/>
    internal override StepGuideResult? Guide(string step, ChosenMethods methods) =>
        step == "sounding" ? StepGuideResult.Of(SoundingGuide.Lines) : null;

    /// <inheritdoc/>
    internal override IEnumerable<PaperPiece> Paper(PlannedStop stop) =>
        stop.Station.OnLand
            ? []
            :
            [
                new PaperPiece("Sounding, before anything goes down", StepRank.Sounding)
                {
                    Boxes = [new("Depth", stop.Unit), .. SoundingBoxes.All.Select(PaperBox.Of)],
                },
            ];
}
