using UpperStill.Core.Application.Review;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Record.Entries;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>What the demo's coordinator signed off: everything up to the last weeks, but for the visits whose stops nobody has
/// answered.</summary>
public static class DemoReviews
{
    private const int WeeksBehind = 6;

    /// <summary>Answers to findings, and sign-offs. The same visits give the same entries, ids included.</summary>
    /// <param name="scenario">The demo.</param>
    /// <param name="reviews">The reviews as they are before.</param>
    /// <param name="started">When each visit began.</param>
    public static IReadOnlyList<Entry> Write(
        DemoScenario scenario,
        IReadOnlyList<VisitReview> reviews,
        IReadOnlyDictionary<Guid, DateTimeOffset> started
    )
    {
        ArgumentNullException.ThrowIfNull(scenario);
        ArgumentNullException.ThrowIfNull(reviews);
        ArgumentNullException.ThrowIfNull(started);
        var chance = new Chance(scenario.Seed + 4242);
        List<Entry> entries = [];
        foreach (var review in reviews.OrderBy(r => started[r.Visit]).ThenBy(r => r.Visit))
        {
            var at = Evening(started[review.Visit].AddDays(9));
            if (
                at > scenario.Now.AddDays(-7 * WeeksBehind)
                || review.State == ReviewState.NotEnded
                || review.Findings.Any(f => f.Finding is { Level: FindingLevel.Stop, Kept: null })
            )
            {
                continue;
            }

            foreach (
                var open in review
                    .Findings.Where(f => f.Finding.Kept is null)
                    .DistinctBy(f => (f.Finding.Code, string.Join(' ', f.Finding.About)))
            )
            {
                at = at.AddMinutes(2);
                entries.Add(Made(VisitKinds.Kept, new KeptBody(open.Finding.Code, open.Finding.About), "asked the sampler; it stands"));
            }

            at = at.AddMinutes(3);
            entries.Add(Made(ReviewKinds.SignedOff, new SignedOffBody(review.Field, review.Results), null));

            Entry Made<T>(EntryKind<T> kind, T body, string? why)
                where T : class => new DemoEntry(scenario.People[0].Name, "office").Of(chance, review.Visit, kind, body, at, why: why);
        }

        return entries;
    }

    private static DateTimeOffset Evening(DateTimeOffset day) => new(day.Date.AddHours(19), day.Offset);
}
