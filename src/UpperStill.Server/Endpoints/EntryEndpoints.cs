using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.People;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>Entries sent by a device.</summary>
/// <param name="SentAt">The device's clock at the moment of sending; the server notes how far it is off.</param>
/// <param name="Entries">The entries, in any order; each is judged by itself. None, where the device only asks whether its mark is
/// held.</param>
/// <param name="Mark">The mark that the last delivery was answered with; null before the first.</param>
/// <param name="OnBehalf">True where a coordinator brings in a saved file of what others made; it is noted in the record of changes and in
/// the review.</param>
public sealed record EntryDelivery(DateTimeOffset SentAt, IReadOnlyList<JsonElement> Entries, LogMark? Mark = null, bool OnBehalf = false);

/// <summary>What became of one entry.</summary>
/// <param name="Index">Its place in the delivery.</param>
/// <param name="Status">kept, already, refused; or waits: it strikes an entry that has not come yet, send it again after that.</param>
/// <param name="Id">Its id, where it could be read.</param>
/// <param name="Problem">Why it was refused, or what it waits for.</param>
public sealed record EntryAnswer(int Index, string Status, Guid? Id = null, EntryProblem? Problem = null);

/// <summary>Problem details (RFC 9457) for one refused entry.</summary>
/// <param name="Type">Names the problem.</param>
/// <param name="Title">What was seen.</param>
/// <param name="Status">The status it would have had alone.</param>
/// <param name="Detail">Why it matters, and what to do.</param>
public sealed record EntryProblem(string Type, string Title, int Status, string Detail);

/// <summary>Answers in the order of the delivery.</summary>
/// <param name="Answers">One for each entry.</param>
/// <param name="Mark">How far the log reaches now.</param>
/// <param name="Holds">False where this log does not hold the device’s mark: it was restored, or lost what it had. Then the device offers
/// again what it sent; nothing is doubled.</param>
public sealed record DeliveryAnswer(IReadOnlyList<EntryAnswer> Answers, LogMark Mark, bool Holds);

/// <summary>Entries in and out.</summary>
internal static class EntryEndpoints
{
    private const int MostEntries = 500;

    internal static void MapEntries(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/entries", DeliverAsync)
            .For(AccessLevel.Writes)
            .WithName("deliver-entries")
            .WithTags("entries")
            .WithSummary("Delivers entries. Sending them again is harmless; a bad one is refused by itself and the good ones are kept.")
            .Produces<DeliveryAnswer>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge);
        app.MapGet("/api/visits/{visit:guid}/entries", EntriesAsync)
            .For(AccessLevel.SignedIn)
            .WithName("visit-entries")
            .WithTags("entries")
            .WithSummary("All entries of a visit, in the order in which they arrived.")
            .Produces<IReadOnlyList<Entry>>()
            .ProducesProblem(StatusCodes.Status403Forbidden);
    }

    private static async Task<IResult> EntriesAsync(Guid visit, FieldBook book, Caller caller, CancellationToken cancel)
    {
        var water = await book.WaterOfAsync(visit, cancel);
        if (water is not null && !caller.May.Sees(water))
        {
            return Gate.Refused;
        }

        // Before its beginning has arrived a visit has no water; then only who delivered may read.
        var rows = await book
            .Entries.AsNoTracking()
            .Where(e =>
                e.Visit == visit
                && (
                    water != null
                    || e.DeliveredById == caller.Person!.Id
                    || (e.DeliveredById == null && e.DeliveredBy == caller.Person.UserName)
                )
            )
            .OrderBy(e => e.Sequence)
            .ToListAsync(cancel);
        return Results.Ok(rows.Select(e => e.ToEntry()));
    }

    private static async Task<IResult> DeliverAsync(
        EntryDelivery delivery,
        LogBook log,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (delivery.Entries.Count > MostEntries)
        {
            return Results.Problem(
                $"At most {MostEntries} entries at once; nothing was kept. Send them in parts.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "Too many entries in one delivery."
            );
        }

        var read = delivery.Entries.Select(EntryCheck.Read).ToList();
        var now = clock.GetUtcNow();
        var receipt = new EntryReceipt(now, (long)(delivery.SentAt - now).TotalSeconds, caller.Name, caller.Person!.Id);
        var who = new Deliverer(caller.May, await book.NamesAsync(caller.Person, cancel), delivery.OnBehalf);
        var holds = delivery.Mark is not { } mark || await book.HoldsAsync(mark, cancel);
        var results = new Queue<Delivered>(
            await log.DeliverAsync(book, [.. read.Where(r => r.Entry is not null).Select(r => r.Entry!)], receipt, who, cancel)
        );
        return Results.Ok(
            new DeliveryAnswer(
                [
                    .. read.Select(
                        (r, i) =>
                            r.Entry is null
                                ? new EntryAnswer(i, "refused", null, Problem(r.Unreadable!))
                                : Answer(i, r.Entry.Id, results.Dequeue())
                    ),
                ],
                await book.MarkAsync(cancel),
                holds
            )
        );
    }

    private static EntryAnswer Answer(int index, Guid id, Delivered delivered) =>
        new(
            index,
            delivered.Delivery switch
            {
                Delivery.Kept => "kept",
                Delivery.Already => "already",
                Delivery.Waits => "waits",
                _ => "refused",
            },
            id,
            delivered.Refusal is { } refusal ? Problem(refusal) : null
        );

    private static EntryProblem Problem(Finding finding) =>
        new("about:blank#" + finding.Code, finding.Seen, StatusCodes.Status422UnprocessableEntity, $"{finding.Why} {finding.Act}");
}
