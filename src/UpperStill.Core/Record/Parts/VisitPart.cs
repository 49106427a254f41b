using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Parts;

/// <summary>
/// A part of a visit, which says everything about itself: its kinds of entry, what a programme may choose, how it is folded, its
/// steps, guide and pack lines. One list names the parts; whatever a visit needs is a loop over it.
/// </summary>
/// <param name="code">Its name, for ever.</param>
public abstract class VisitPart(string code)
{
    /// <summary>Its name, for ever.</summary>
    public string Code => code;

    /// <summary>Its kinds of entry.</summary>
    public virtual IReadOnlyList<EntryKind> Kinds => [];

    /// <summary>What it does in several accepted ways.</summary>
    public virtual IReadOnlyList<Method> Methods => [];

    /// <summary>The numbers of it that a programme may change.</summary>
    public virtual IReadOnlyList<Threshold> Thresholds => [];

    /// <summary>What it gives to the record.</summary>
    public virtual IReadOnlyList<ParameterDescription> Parameters => [];

    /// <summary>Its boxes that are answered with one touch, for the pages.</summary>
    public virtual IReadOnlyList<Box> Boxes => [];

    /// <summary>The bottles that it fills where a protocol's plan names none.</summary>
    internal virtual IReadOnlyList<BottlePlan> Bottles(ProtocolPlan plan, Programme programme) => [];

    /// <summary>What is lost where its steps change places with others.</summary>
    internal virtual IReadOnlyList<MoveCost> MoveCosts => [];

    /// <summary>Folds its entries: adds its section to the draft, for the parts after it and for the sheet, and its findings.</summary>
    internal virtual void Fold(SheetDraft draft) { }

    /// <summary>The ways to mend an open finding beside it, the likeliest first, after every part was folded.</summary>
    internal virtual IEnumerable<Repair> Repairs(Finding finding, SheetDraft draft) => [];

    /// <summary>The steps that it has on this visit, after every part was folded.</summary>
    internal virtual IEnumerable<PartStep> Steps(SheetDraft draft) => [];

    /// <summary>What went over the side and must be back aboard.</summary>
    internal virtual IEnumerable<string> Overboard(SheetDraft draft) => [];

    /// <summary>What the visit took by it.</summary>
    internal virtual IEnumerable<Protocol> Took(SheetDraft draft) => [];

    /// <summary>The numbers that the visit gives to the record by it, after every part was folded.</summary>
    internal virtual IEnumerable<Reading> Readings(SheetDraft draft) => [];

    /// <summary>What its entries say of samples.</summary>
    internal virtual IEnumerable<SampleStepTaken> SampleSteps(SheetDraft draft) => [];

    /// <summary>How one of its steps is done; null for a step of another part.</summary>
    internal virtual StepGuideResult? Guide(string step, ChosenMethods methods) => null;

    /// <summary>What it needs on an outing.</summary>
    internal virtual IEnumerable<PackNeed> Pack(Packing outing) => [];

    /// <summary>Its pieces of the paper sheet of a station.</summary>
    internal virtual IEnumerable<PaperPiece> Paper(PlannedStop stop) => [];
}
