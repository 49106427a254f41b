using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>What happens to samples after they are filled: labels, keeping, the way to the laboratory.</summary>
public sealed class CustodyPart() : VisitPart("custody")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => CustodyKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => CustodyBoxes.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => CustodyOptions.Methods;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => CustodyOptions.Thresholds;

    /// <inheritdoc/>
    internal override IEnumerable<PackNeed> Pack(Packing outing)
    {
        var cold = outing.Samples.Count(s => s.Type.Keep != Keeping.Room);
        if (cold > 0)
        {
            yield return Packing.Plain(
                "cooler",
                Crate.Cold,
                "cooler large enough for all, dark",
                1,
                "keeping samples",
                $"for {cold} bottles and vials"
            );
            yield return Packing.Plain("ice", Crate.Cold, "plenty of ice, not dry ice", 1, "keeping samples");
        }
    }

    /// <inheritdoc/>
    internal override IEnumerable<PaperPiece> Paper(PlannedStop stop)
    {
        if (stop.Samples.Count > 0)
        {
            yield return new PaperPiece("Samples", StepRank.Samples)
            {
                Table = new PaperTable(
                    ["number", "what", "depth", "time", "kept", "remarks"],
                    [
                        .. stop.Samples.Select(s =>
                            (string[])
                                [
                                    s.Number,
                                    What(s),
                                    s.DepthOpen ? $"{s.Depth} ______" : s.Depth,
                                    string.Empty,
                                    s.Type.Keep.Words(),
                                    string.Empty,
                                ]
                        ),
                    ]
                ),
            };
        }
    }

    private static string What(PlannedSample sample) => sample.Type.Measures + (sample.Replicate > 0 ? ", REP" : string.Empty);

    /// <inheritdoc/>
    internal override IEnumerable<SampleStepTaken> SampleSteps(SheetDraft draft) => CustodySteps.Of(draft);
}
