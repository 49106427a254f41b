using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Setup.People;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.People;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A training as it is kept.</summary>
/// <param name="Id">Identity.</param>
/// <param name="What">The protocol, by its code.</param>
/// <param name="On">The day.</param>
/// <param name="By">Who trained them.</param>
public sealed record TrainingKept(Guid Id, string What, DateOnly On, string By);

/// <summary>A self-audit of a visit that somebody made.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Station">Where.</param>
/// <param name="Day">When.</param>
/// <param name="Text">How much was done of what was asked, as the audit has it.</param>
public sealed record AuditOf(Guid Visit, string Station, DateOnly Day, string Text);

/// <summary>What somebody was trained in, and how their visits were audited.</summary>
/// <param name="Trainings">The latest first.</param>
/// <param name="Audits">The latest first.</param>
public sealed record TrainingRecord(IReadOnlyList<TrainingKept> Trainings, IReadOnlyList<AuditOf> Audits);

/// <summary>The training record of people, for coordinators.</summary>
internal static class TrainingEndpoints
{
    private const int MostAudits = 200;

    internal static void MapTraining(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/people/{id:guid}/training").WithTags("people").For(AccessLevel.CoordinatesAll);
        group
            .MapGet("/", (Guid id, TrainingDesk desk, CancellationToken cancel) => desk.OfAsync(id, cancel))
            .WithName("training")
            .WithSummary("What somebody was trained in, when and by whom, and the self-audits of their visits. It certifies nothing.")
            .Produces<TrainingRecord>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/", (Guid id, Trained given, TrainingDesk desk, CancellationToken cancel) => desk.AddAsync(id, given, cancel))
            .WithName("add-training")
            .WithSummary("Writes a training down.")
            .Produces<TrainingRecord>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapDelete("/{training:guid}", (Guid id, Guid training, TrainingDesk desk, CancellationToken cancel) =>
                desk.RemoveAsync(id, training, cancel)
            )
            .WithName("remove-training")
            .WithSummary("Takes a training away that was written down by mistake; who did so is noted.")
            .Produces<TrainingRecord>()
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>The work behind the addresses.</summary>
    internal sealed class TrainingDesk(FieldBook book, Caller caller, TimeProvider clock)
    {
        internal async Task<IResult> OfAsync(Guid id, CancellationToken cancel)
        {
            if (await book.Users.FindAsync([id], cancel) is not { } person)
            {
                return Results.Problem(
                    "See GET /api/people.",
                    statusCode: StatusCodes.Status404NotFound,
                    title: "No such person in this group."
                );
            }

            var names = (await book.NamesAsync(person, cancel)).Names.Select(KnownPeople.Plain).ToHashSet();
            var kept = await book.Trainings.AsNoTracking().Where(t => t.Person == id).ToListAsync(cancel);

            // Whoever made the visit stands first among its observers; the audit is of their work.
            var audits = await (
                from reading in book.Readings.AsNoTracking()
                where reading.Parameter == "audit"
                join visit in book.Visits on reading.Visit equals visit.Visit
                orderby reading.Day descending
                select new
                {
                    reading.Visit,
                    reading.Station,
                    reading.Day,
                    reading.Text,
                    visit.Observers,
                }
            ).ToListAsync(cancel);
            return Results.Ok(
                new TrainingRecord(
                    [.. kept.OrderByDescending(t => t.On).Select(t => new TrainingKept(t.Id, t.What, t.On, t.By))],
                    [
                        .. audits
                            .Where(a => names.Contains(KnownPeople.Plain(a.Observers.Split(", ")[0])))
                            .Take(MostAudits)
                            .Select(a => new AuditOf(a.Visit, a.Station, a.Day, a.Text)),
                    ]
                )
            );
        }

        internal async Task<IResult> AddAsync(Guid id, Trained given, CancellationToken cancel)
        {
            if (given.Fault(DateOnly.FromDateTime(clock.GetLocalNow().DateTime)) is { } fault)
            {
                return Results.Problem(
                    $"{fault.Why} {fault.Act} Nothing was changed.",
                    statusCode: StatusCodes.Status400BadRequest,
                    title: fault.Seen
                );
            }

            if (await book.Users.FindAsync([id], cancel) is not null)
            {
                var row = new TrainingRow
                {
                    Id = Guid.CreateVersion7(),
                    Person = id,
                    What = given.What,
                    On = given.On,
                    By = given.By.Trim(),
                };
                book.Trainings.Add(row);
                book.Note(caller.Name, clock.GetUtcNow(), "training", id.ToString(), null, Words(row));
                await book.SaveChangesAsync(cancel);
            }

            return await OfAsync(id, cancel);
        }

        internal async Task<IResult> RemoveAsync(Guid id, Guid training, CancellationToken cancel)
        {
            if (await book.Trainings.FirstOrDefaultAsync(t => t.Id == training && t.Person == id, cancel) is { } row)
            {
                book.Trainings.Remove(row);
                book.Note(caller.Name, clock.GetUtcNow(), "training", id.ToString(), Words(row), null);
                await book.SaveChangesAsync(cancel);
            }

            return await OfAsync(id, cancel);
        }

        private static string Words(TrainingRow row) => $"{row.What} on {row.On:yyyy-MM-dd} by {row.By}";
    }
}
