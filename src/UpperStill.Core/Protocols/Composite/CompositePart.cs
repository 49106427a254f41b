using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Composite;

/// <summary>The composite through the lit layer.</summary>
public sealed class CompositePart() : VisitPart("composite")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => CompositeKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => CompositeBoxes.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => CompositeOptions.Methods;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => CompositeOptions.Thresholds;

    /// <inheritdoc/>
    internal override void Fold(SheetDraft draft)
    {
        var clarity = draft.Section<SheetClarity>()!.Result;
        var settings = draft.Context.Programme.Composite with { Method = CompositeHow.By(draft.Context.Programme) };
        var composite = CompositeRule.Work(
            new CompositeRequest(
                settings,
                clarity.Censored ? null : clarity.MeanM,
                clarity.Censored,
                draft.Section<Sounded>()?.Read.Body.Depth,
                draft.Line,
                draft.Reader,
                draft.Day,
                CompositeHow.Slow(draft.Context.Programme)
            )
        );
        draft.Add(composite);
        if ((!draft.Asks || Pour(draft) is not null) && (clarity.ClarityM is not null || settings.DepthRule == CompositeDepthRule.Preset))
        {
            // Before a clarity is read its absence is no fault of the composite.
            draft.Findings.AddRange(composite.Findings);
        }

        draft.Add(CompositeFold.Fold(draft, composite));
    }

    /// <inheritdoc/>
    internal override IEnumerable<PartStep> Steps(SheetDraft draft)
    {
        var pour = Pour(draft);
        if (draft.Asks && pour is null)
        {
            yield break;
        }

        var (tries, composite) = (draft.Section<SheetTries>()!, draft.Section<CompositeResult>()!);

        // Before bottles were entered the depth was all there was.
        var poured = pour?.Done ?? (composite.Text is not null && draft.Section<SheetClarity>()!.Done);
        yield return new PartStep
        {
            Name = "composite",
            Title = "Composite",
            Way = "the composite",
            Rank = StepRank.Composite,
            Done = poured && (pour is null || tries.Good),
            ReadOff = !draft.Asks && composite.Text is not null,
            Summary =
                pour is not null && tries.Tries.Count > 0 ? $"{(tries.Good ? "taken" : "again")}, {BottlesPart.Filled([pour])}"
                : composite.Text is { } text ? $"mark the line at {text}"
                : "waits for sounding and clarity",
            Stops = pour is null ? [Beside.Composite, Beside.Clarity, Beside.Sounding] : [Beside.Composite],
            Required = pour is not null,
            NeedsDepth = true,
            Missing = pour is null ? null : BottlesPart.Missing(pour),
            Waits = !draft.Asks,
        };
    }

    /// <inheritdoc/>
    internal override IEnumerable<string> Overboard(SheetDraft draft) =>
        draft.Standing(CompositeKinds.CompositeTry).Count > 0 ? ["every part of the composite sampler"] : [];

    /// <inheritdoc/>
    internal override StepGuideResult? Guide(string step, ChosenMethods methods) =>
        step == "composite"
            ? StepGuideResult.Of([
                .. CompositeHow
                    .Of(CompositeHow.By(methods.Programme), CompositeHow.Slow(methods.Programme))
                    .Select(line => new GuideLine(line.Do, line.Why)),
                .. BottleGuide.Into(methods),
            ])
            : null;

    /// <inheritdoc/>
    internal override IEnumerable<PackNeed> Pack(Packing outing)
    {
        if (!outing.Samples.Any(s => s.Place == SamplePlace.Composite))
        {
            yield break;
        }

        yield return outing.Stops.Any(s => !BottlesPart.Pools(s))
            ? outing.Of(KitKind.CompositeSampler, "composite-sampler", "a composite sampler", "composite")
            : Packing.Plain("bucket", Crate.Chlorophyll, "clean bucket to pool in", 1, "composite");
    }

    private static SheetPlace? Pour(SheetDraft draft) =>
        draft.Section<SheetBottles>()?.Places.FirstOrDefault(p => p.Place == SamplePlace.Composite);

    /// <inheritdoc/>
    internal override IEnumerable<PaperPiece> Paper(PlannedStop stop)
    {
        if (stop.Samples.Any(s => s.Place == SamplePlace.Composite))
        {
            yield return new PaperPiece("Composite", StepRank.Composite)
            {
                Boxes = [new("Lowered to", stop.Unit), .. CompositeBoxes.All.Select(PaperBox.Of), new("Lowerings")],
            };
        }
    }
}
