using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>Chlorophyll on a filter, at the bench.</summary>
public sealed class FilteringPart() : VisitPart("filtering")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => FilterKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => FilterBoxes.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => FilteringOptions.Methods;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => FilteringOptions.Thresholds;

    /// <inheritdoc/>
    internal override IEnumerable<PackNeed> Pack(Packing outing)
    {
        foreach (var type in outing.Samples.Where(s => SampleTypes.OnFilter(s.Type.Code)).GroupBy(s => s.Type))
        {
            yield return Packing.Counted(type, Crate.Chlorophyll);
            yield return outing.Of(KitKind.Filters, "filters", "filters, not only separators", "filtering") with
            {
                Count = type.Count() + 1,
                Counted = $"{type.Count()} and one spare",
            };
            yield return Packing.Plain(
                "filter-kit",
                Crate.Chlorophyll,
                "filter holder, screen, O-ring, syringe, tubing, tweezers, pin, foil",
                1,
                "filtering"
            );
        }

        if (outing.Samples.Any(s => s.Type.Added?.Name == "MgCO3"))
        {
            yield return outing.Of(KitKind.Reagent, "preservative", "MgCO3 suspension, shaken before use", "chlorophyll that keeps");
        }
    }

    /// <inheritdoc/>
    internal override IEnumerable<PaperPiece> Paper(PlannedStop stop)
    {
        List<string> filters = [.. stop.Samples.Where(s => SampleTypes.OnFilter(s.Type.Code)).Select(s => s.Number)];
        if (filters.Count > 0)
        {
            yield return new PaperPiece("At the bench: filters", StepRank.Bench)
            {
                Table = PaperTable.ToFill(["filter", "from bottle", "through it, mL", "colour", "in its vial (24 h)"], filters),
            };
        }
    }

    /// <inheritdoc/>
    internal override IEnumerable<SampleStepTaken> SampleSteps(SheetDraft draft) => FilterSteps.Of(draft);
}
