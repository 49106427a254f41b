using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Audit;

/// <summary>The lines of a self-audit: each step, counter and container of the day, as its entries have it.</summary>
internal static class AuditLines
{
    internal static IReadOnlyList<AuditLine> Of(SheetDraft draft)
    {
        if (draft.Section<Drawn>() is { } drawn)
        {
            return drawn.Lines;
        }

        List<AuditLine> lines = [];
        HashSet<string> described = [.. draft.Described().Select(p => p.Protocol)];
        lines.AddRange(
            draft
                .StepsSoFar()
                .Where(s => !described.Contains(s.Name) && (s.Required || s.Done))
                .OrderBy(s => s.Rank)
                .Select(s => new AuditLine(s.Name, s.Title, s.Done ? null : "it is not written as done"))
        );
        foreach (var protocol in draft.Described().Where(p => p.Due || p.Values.Count > 0))
        {
            lines.AddRange(protocol.Audited);
        }

        draft.Add(new Drawn(lines));
        return lines;
    }

    private sealed record Drawn(IReadOnlyList<AuditLine> Lines);
}
