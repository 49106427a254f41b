using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Microsoft.EntityFrameworkCore;
using UpperStill.Store;

namespace UpperStill.Server.Endpoints;

/// <summary>Whoever writes over what somebody else has changed meanwhile is told what, and nothing is kept.</summary>
internal static partial class Stale
{
    private const int MostSaid = 6;
    private const int LongestValue = 60;
    private const int MostChanges = 100;

    /// <summary>409 where what the caller saw is no longer what stands; null where it is.</summary>
    /// <param name="book">The database.</param>
    /// <param name="subject">What sort of thing, as in the record of changes.</param>
    /// <param name="key">Which one.</param>
    /// <param name="seen">The version that the caller saw.</param>
    /// <param name="now">The version that stands.</param>
    /// <param name="cancel">Gives up.</param>
    internal static async Task<IResult?> AnswerAsync(
        FieldBook book,
        string subject,
        string key,
        int seen,
        int now,
        CancellationToken cancel
    )
    {
        if (seen == now)
        {
            return null;
        }

        var since = await book
            .Changes.AsNoTracking()
            .Where(c => c.Subject == subject && c.Key == key)
            .OrderByDescending(c => c.Sequence)
            .Take(Math.Clamp(now - seen, 1, MostChanges))
            .ToListAsync(cancel);
        var by = since.Count == 0 ? "Somebody" : string.Join(" and ", since.Select(c => c.By).Distinct());
        var what = since.Count == 0 ? [] : Differences(since[^1].Before, since[0].After).ToList();
        return Results.Problem(
            $"{(what.Count == 0 ? string.Empty : $"Changed: {string.Join("; ", what.Take(MostSaid))}. ")}Nothing of yours was kept, "
                + "so that nothing of theirs is lost; it stays on this page. Open it anew to see what stands, and change that.",
            statusCode: StatusCodes.Status409Conflict,
            title: $"{by} changed this after you opened it."
        );
    }

    private static IEnumerable<string> Differences(string? before, string? after)
    {
        var (was, now) = (Parts(before), Parts(after));
        foreach (var name in was.Select(p => p.Key).Union(now.Select(p => p.Key)))
        {
            was.TryGetPropertyValue(name, out var a);
            now.TryGetPropertyValue(name, out var b);
            if (!JsonNode.DeepEquals(a, b))
            {
                yield return $"{Capital().Replace(name, " $0").ToLowerInvariant()} from {Short(a)} to {Short(b)}";
            }
        }
    }

    private static JsonObject Parts(string? definition) => definition is null ? [] : JsonNode.Parse(definition) as JsonObject ?? [];

    private static string Short(JsonNode? value) =>
        value?.ToString().ReplaceLineEndings(" ") is not { } text ? "nothing"
        : text.Length <= LongestValue ? text
        : text[..LongestValue] + "…";

    [GeneratedRegex("[A-Z]")]
    private static partial Regex Capital();
}
