using UpperStill.Core.Findings;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Visits;

/// <summary>Numbers of a visit outside what is declared for them: kept as written, and never without a word.</summary>
internal static class RangeChecks
{
    private static readonly (EntryKind Kind, Beside Beside)[] OnTheWater =
    [
        (EntryKinds.VisitStarted, Beside.Header), (EntryKinds.Fix, Beside.Header), (EntryKinds.Landmarks, Beside.Header), (EntryKinds.Conditions, Beside.Header),
        (EntryKinds.DiscMark, Beside.Clarity), (EntryKinds.DiscConditions, Beside.Clarity), (EntryKinds.Colour, Beside.Clarity), (EntryKinds.Opinion, Beside.Clarity),
        (EntryKinds.MeterCheck, Beside.Profile), (EntryKinds.Level, Beside.Profile), (EntryKinds.LoggedCast, Beside.Profile),
        (EntryKinds.Cast, Beside.Bottles), (EntryKinds.Fill, Beside.Bottles), (EntryKinds.CompositeTry, Beside.Composite),
    ];

    /// <summary>Those of the visit on the water; where another stop speaks of the entry, that one says it better.</summary>
    internal static void Fold(SheetDraft draft)
    {
        foreach (var (kind, beside) in OnTheWater)
        {
            foreach (var entry in draft.Log.StandingOf(kind.Name))
            {
                if (Of(kind, entry, draft.Reader, beside) is { } finding && !draft.Findings.Exists(f => f.Level == FindingLevel.Stop && f.About.Contains(entry.Id)))
                {
                    draft.Findings.Add(finding);
                }
            }
        }
    }

    /// <summary>What an entry holds outside its range; null where nothing is.</summary>
    internal static Finding? Of(EntryKind kind, Entry entry, ReaderUnit reader, Beside beside) => kind.Outside(entry) is { } outside
        ? Finding.Stop("number-out-of-range", $"{kind.Words(entry, reader)}: {outside}.", "A slip of the hand or another unit: it would spoil what is worked out with it.", "Type it again, or say why it is so.").On(beside, entry.Id)
        : null;
}
