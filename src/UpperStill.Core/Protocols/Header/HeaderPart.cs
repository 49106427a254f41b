using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Header;

/// <summary>The head of a visit: when it was made, by whom, in which order.</summary>
public sealed class HeaderPart() : VisitPart("header")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => [.. VisitKinds.All, ObservationKinds.Observation];

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => HeaderOptions.Methods;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => HeaderOptions.Thresholds;

    /// <inheritdoc/>
    internal override void Fold(SheetDraft draft) => HeaderFold.Fold(draft);

    /// <inheritdoc/>
    internal override IEnumerable<PackNeed> Pack(Packing outing)
    {
        yield return Packing.Plain(
            "sheets",
            Crate.Paper,
            "field sheet, even with a phone",
            outing.Stops.Count,
            "going on when the phone fails",
            "one for each station"
        );
        if (outing.Samples.Count > 0)
        {
            yield return Packing.Plain(
                "labels",
                Crate.Paper,
                "labels, dry, on their bottles",
                outing.Samples.Count,
                "telling one bottle from another",
                $"{outing.Samples.Count} bottles and vials"
            );
        }

        string[] tools = [.. outing.Stops.Select(s => CustodyOptions.Pens(s.Programme)).Distinct()];
        yield return Packing.Plain("pencils", Crate.Paper, string.Join("; ", tools), 2, "writing on wet labels");
        yield return Packing.Plain("map", Crate.Paper, "station map and protocol", 1, "finding the spot");
    }
}
