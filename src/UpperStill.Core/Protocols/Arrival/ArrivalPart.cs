using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>Coming to the station: place, people, anchor, weather.</summary>
public sealed class ArrivalPart() : VisitPart("arrival")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => ArrivalKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => ArrivalBoxes.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => ArrivalOptions.Methods;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => ArrivalOptions.Thresholds;

    /// <inheritdoc/>
    internal override void Fold(SheetDraft draft) => draft.Add(ArrivalFold.Fold(draft));

    /// <inheritdoc/>
    internal override IEnumerable<PartStep> Steps(SheetDraft draft)
    {
        if (draft.Asks && draft.Section<SheetArrival>() is { } arrival)
        {
            yield return new PartStep
            {
                Name = "arrive",
                Title = "Arrive",
                Way = "arriving",
                Rank = StepRank.Arrive,
                Done = arrival.Boxes.Count > 0 || arrival.Anchored is not null,
                Summary = arrival.Text,
                Stops = [Basis.Findings.Beside.Header],
                Required = false,
            };
        }
    }

    /// <inheritdoc/>
    internal override StepGuideResult? Guide(string step, ChosenMethods methods) =>
        step == "arrive" ? StepGuideResult.Of(ArrivalGuide.Lines(methods), Caution.Of(methods.Shore), Caution.Bloom) : null;

    /// <inheritdoc/>
    internal override IEnumerable<PackNeed> Pack(Packing outing)
    {
        var people = (int)outing.Stops.Max(s => s.Programme.Of(ArrivalOptions.PeopleMin));
        if (outing.Afloat)
        {
            yield return Packing.Plain("flotation", Crate.Safety, "flotation, worn", people, "going afloat", $"{people} people");
            yield return Packing.Plain("anchor", Crate.Safety, "anchor with spare line", 1, "holding the spot");
            yield return Packing.Plain("bailer", Crate.Safety, "bailer", 1, "going afloat");
        }
        else
        {
            yield return Packing.Plain(
                "boots",
                Crate.Safety,
                "boots or waders, flotation near the edge",
                people,
                "standing at the water",
                $"{people} people"
            );
        }

        yield return Packing.Plain("told", Crate.Safety, "someone ashore told where, and when back", 1, "going at all");
        yield return Packing.Plain("phone", Crate.Safety, "phone or radio, charged, kept dry", 1, "calling for help");
    }

    /// <inheritdoc/>
    internal override IEnumerable<PaperPiece> Paper(PlannedStop stop) => ArrivalPaper.Of(stop);
}
