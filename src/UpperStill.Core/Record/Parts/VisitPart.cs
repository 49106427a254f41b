using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
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

    /// <summary>What is lost where its steps change places with others.</summary>
    internal virtual IReadOnlyList<MoveCost> MoveCosts => [];

    /// <summary>Folds its entries: adds its section to the draft, for the parts after it and for the sheet, and its findings.</summary>
    internal virtual void Fold(SheetDraft draft)
    {
    }

    /// <summary>The steps that it has on this visit, after every part was folded.</summary>
    internal virtual IEnumerable<PartStep> Steps(SheetDraft draft) => [];

    /// <summary>What went over the side and must be back aboard.</summary>
    internal virtual IEnumerable<string> Overboard(SheetDraft draft) => [];

    /// <summary>What the visit took by it.</summary>
    internal virtual IEnumerable<Protocol> Took(SheetDraft draft) => [];

    /// <summary>How one of its steps is done; null for a step of another part.</summary>
    internal virtual StepGuideResult? Guide(string step, ChosenMethods methods) => null;

    /// <summary>What it needs on an outing.</summary>
    internal virtual IEnumerable<PackNeed> Pack(Packing outing) => [];
}

/// <summary>A step of a part on a visit.</summary>
internal sealed record PartStep
{
    /// <summary>Its name.</summary>
    internal required string Name { get; init; }

    /// <summary>Where it stands in the order of work; see <see cref="StepRank"/>.</summary>
    internal required int Rank { get; init; }

    /// <summary>True once what it asks is written.</summary>
    internal required bool Done { get; init; }

    /// <summary>What it gave, or what it waits for.</summary>
    internal required string Summary { get; init; }

    /// <summary>Where a stop stands that keeps it from being done.</summary>
    internal IReadOnlyList<Beside> Stops { get; init; } = [];

    /// <summary>False where the visit may end without it.</summary>
    internal bool Required { get; init; } = true;

    /// <summary>What leaving says where it is open; null where that it is empty says enough.</summary>
    internal Finding? Missing { get; init; }

    /// <summary>True where leaving asks for it on visits of before it was asked what is due, too.</summary>
    internal bool AskedBefore { get; init; }

    /// <summary>False where it is never the next thing to do.</summary>
    internal bool Waits { get; init; }
}

/// <summary>The order of work: clean water before anything that stirs, what gives a depth before what is taken there.</summary>
internal static class StepRank
{
    internal const int Arrive = 0;
    internal const int Sounding = 5;
    internal const int ClarityFirst = 15;
    internal const int ByHand = 20;
    internal const int Clarity = 30;
    internal const int Profile = 40;
    internal const int Bottles = 50;
    internal const int ClarityLast = 55;
    internal const int Composite = 60;
}

/// <summary>What is lost where a step comes after another that it should come before.</summary>
/// <param name="First">The step that should come first.</param>
/// <param name="Then">The one that should come later; null for any.</param>
/// <param name="Lost">What is lost.</param>
internal sealed record MoveCost(string First, string? Then, string Lost);
