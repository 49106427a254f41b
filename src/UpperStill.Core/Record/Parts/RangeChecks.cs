using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Record.Parts;

/// <summary>Numbers of a visit outside what is declared for them: kept as written, and never without a word.</summary>
internal static class RangeChecks
{
    /// <summary>Those of the visit on the water; where another stop speaks of the entry, that one says it better.</summary>
    internal static void Fold(SheetDraft draft, IEnumerable<EntryKind> kinds)
    {
        foreach (var kind in kinds.Where(k => k.NumbersBeside is not null))
        {
            foreach (var entry in draft.Log.StandingOf(kind.Name))
            {
                if (
                    Of(kind, entry, draft.Reader, kind.NumbersBeside!.Value) is { } finding
                    && !draft.Findings.Exists(f => f.Level == FindingLevel.Stop && f.About.Contains(entry.Id))
                )
                {
                    draft.Findings.Add(finding);
                }
            }
        }
    }

    /// <summary>What an entry holds outside its range; null where nothing is.</summary>
    internal static Finding? Of(EntryKind kind, Entry entry, ReaderUnit reader, Beside beside) =>
        kind.Outside(entry) is { } outside
            ? Finding
                .Stop(
                    "number-out-of-range",
                    $"{kind.Words(entry, reader)}: {outside}.",
                    "A slip of the hand or another unit: it would spoil what is worked out with it.",
                    "Type it again, or say why it is so."
                )
                .On(beside, entry.Id)
            : null;
}
