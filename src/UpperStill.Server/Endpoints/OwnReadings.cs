using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Store;

namespace UpperStill.Server.Endpoints;

/// <summary>What the log says of the boxes of a group’s own protocols before another version is kept.</summary>
internal static class OwnReadings
{
    /// <summary>Boxes that were read, and would change their unit.</summary>
    internal static async Task<IReadOnlyList<FieldFinding>> FindingsAsync(FieldBook book, Programme programme, CancellationToken cancel)
    {
        if (programme.Own is not { Count: > 0 } own)
        {
            return [];
        }

        // Another programme may have had it, too: its readings stand in the same series.
        var published = (await book.Programmes.AsNoTracking().Select(p => p.Definition).ToListAsync(cancel))
            .Select(d => JsonSerializer.Deserialize(d, CoreJson.Default.Programme)!)
            .SelectMany(p => p.Own ?? [])
            .ToLookup(p => p.Code);
        List<FieldFinding> findings = [];
        foreach (var now in own)
        {
            var changed = ComposedChange.Findings(published[now.Code], now, _ => 1);
            if (changed.Count > 0)
            {
                var read = await CountsAsync(book, now.Code, cancel);
                findings.AddRange(
                    ComposedChange
                        .Findings(published[now.Code], now, f => read.GetValueOrDefault(f))
                        .Select(f => f with { Field = $"own/{now.Code}/{f.Field}" })
                );
            }
        }

        return findings;
    }

    private static async Task<Dictionary<string, int>> CountsAsync(FieldBook book, string protocol, CancellationToken cancel) =>
        await book
            .Database.SqlQuery<FieldCount>(
                $"""
                SELECT Body ->> '$.field' AS Field, COUNT(*) AS Count
                FROM Entries
                WHERE Kind = 'observation' AND Body ->> '$.protocol' = {protocol}
                GROUP BY Body ->> '$.field'
                """
            )
            .ToDictionaryAsync(c => c.Field, c => c.Count, cancel);

    private sealed record FieldCount(string Field, int Count);
}
