using UpperStill.Core.Application.Review;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Store.Projections;

/// <summary>A visit folded with all that its rows need.</summary>
internal sealed record Folded(FieldSheet Sheet, VisitContext Context, VisitSamples Samples, VisitReview Review)
{
    /// <summary>A visit whose beginning has not arrived waits in the log: null.</summary>
    internal static async Task<Folded?> OfAsync(Entry[] entries, Func<VisitStartedBody, DateOnly, Task<VisitContext?>> contextOf) =>
        await ContextAsync(entries, contextOf) is { } context ? Of(entries, context) : null;

    internal static async Task<VisitContext?> ContextAsync(Entry[] entries, Func<VisitStartedBody, DateOnly, Task<VisitContext?>> contextOf)
    {
        var lies = entries.Any(e => e.Kind == VisitKinds.VisitMoved.Name) ? VisitPlace.Of(new VisitPlaceRequest(entries)) : null;
        var moved = lies?.Station == lies?.Begun ? null : lies?.Station;
        foreach (var start in entries.Where(e => e.Kind == VisitKinds.VisitStarted.Name).OrderBy(e => e.At).ThenBy(e => e.Id))
        {
            if (
                VisitKinds.VisitStarted.Read(start.Body) is { } body
                && await contextOf(moved is null ? body : body with { Station = moved }, DateOnly.FromDateTime(start.At.DateTime))
                    is { } context
            )
            {
                return context;
            }
        }

        return null;
    }

    internal static Folded? Of(Entry[] entries, VisitContext context)
    {
        var request = new FoldRequest(entries, context);
        var sheet = FieldSheet.Fold(request);
        if (sheet.StartedAt is null)
        {
            return null;
        }

        var samples = VisitSamples.Fold(request, sheet);
        return new Folded(sheet, context, samples, VisitReview.Fold(request, sheet, samples));
    }
}
