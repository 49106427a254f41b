using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Review;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A visit that waits for review.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Station">The station's code.</param>
/// <param name="Name">The station's name.</param>
/// <param name="Water">The water.</param>
/// <param name="Day">Local day.</param>
/// <param name="Observers">Who read.</param>
/// <param name="State">How far the review is.</param>
/// <param name="OpenFindings">Findings that are open.</param>
/// <param name="OpenQuestions">Questions that nobody has answered.</param>
/// <param name="Seen">What the findings saw, the gravest first.</param>
public sealed record WaitingVisit(
    Guid Visit,
    string Station,
    string Name,
    string Water,
    DateOnly Day,
    string Observers,
    ReviewState State,
    int OpenFindings,
    int OpenQuestions,
    IReadOnlyList<string> Seen
)
{
    /// <summary>True where the visit itself is signed off and only results are new.</summary>
    public required bool ResultsOnly { get; init; }

    /// <summary>True where the caller may sign it off.</summary>
    public required bool MayReview { get; init; }
}

/// <summary>Visits that wait for review.</summary>
internal static class ReviewEndpoints
{
    private const int MostShown = 500;
    private const int MostSeen = 3;

    internal static void MapReviews(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/reviews", async (FieldBook book, Caller caller, CancellationToken cancel) =>
            {
                // From the newest on, until there are enough: what waits is few, and the waters of most callers are fewer still.
                var seen = (await book.Stations.AsNoTracking().Select(s => new { s.Code, s.Water }).ToListAsync(cancel))
                    .Where(s => caller.May.Sees(s.Water))
                    .Select(s => s.Code)
                    .ToHashSet();
                var waiting = await book
                    .Visits.AsNoTracking()
                    .Where(v => v.Review == nameof(ReviewState.Open) || v.Review == nameof(ReviewState.Ready))
                    .OrderByDescending(v => v.Day)
                    .ThenBy(v => v.Visit)
                    .AsAsyncEnumerable()
                    .Where(v => seen.Contains(v.Station))
                    .Take(MostShown)
                    .ToListAsync(cancel);

                // What a station is called is read once, and only where something waits.
                var here = waiting.Select(v => v.Station).Distinct().ToList();
                var stations = await book
                    .Stations.AsNoTracking()
                    .Where(s => here.Contains(s.Code))
                    .ToDictionaryAsync(s => s.Code, s => (Row: s, Station: s.Read()), cancel);
                var ids = waiting.Select(v => v.Visit).ToList();
                var findings = (
                    await book
                        .Findings.AsNoTracking()
                        .Where(f => ids.Contains(f.Visit) && f.Kept == null && f.Level != "Note")
                        .OrderByDescending(f => f.Level)
                        .ThenBy(f => f.Ordinal)
                        .ToListAsync(cancel)
                ).ToLookup(f => f.Visit, f => f.Seen);
                return waiting
                    .Select(v =>
                    {
                        var (row, station) = stations[v.Station];
                        return new WaitingVisit(
                            v.Visit,
                            v.Station,
                            station.Name,
                            station.Water,
                            v.Day,
                            v.Observers,
                            Enum.Parse<ReviewState>(v.Review),
                            v.OpenFindings,
                            v.OpenQuestions,
                            [.. findings[v.Visit].Take(MostSeen)]
                        )
                        {
                            ResultsOnly = v.FieldSigned && !v.ResultsSigned,
                            MayReview = caller.May.Coordinates(row.Water),
                        };
                    })
                    .ToList();
            })
            .For(AccessLevel.SignedIn)
            .WithName("reviews")
            .WithTags("record")
            .WithSummary("Visits that nobody has signed off yet, newest first.");
}
