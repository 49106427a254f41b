using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Record.Readings;
using UpperStill.Server.Hosting;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A limit that values are held against: somebody else's number.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Subject">What it is of.</param>
/// <param name="Above">True where a value should lie above it, false where below.</param>
/// <param name="Value">The number, in the subject's unit.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Source">Where it stands.</param>
public sealed record Benchmark(Guid Id, Parameter Subject, bool Above, decimal Value, string Name, string Source);

/// <summary>A limit to be kept.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Above">True where a value should lie above it, false where below.</param>
/// <param name="Value">The number, in the subject's unit.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Source">Where it stands.</param>
public sealed record NewBenchmark(Parameter Subject, bool Above, decimal Value, string Name, string Source);

/// <summary>Limits that values of a water are held against.</summary>
internal static class BenchmarkEndpoints
{
    private const int Longest = 200;

    internal static void MapBenchmarks(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/waters/{code}/limits").WithTags("record");
        group
            .MapGet("/", async (string code, FieldBook book, Caller caller, CancellationToken cancel) =>
                !caller.May.Sees(code)
                    ? WaterEndpoints.Unknown(code)
                    : Results.Ok(
                        (await book.Benchmarks.AsNoTracking().Where(l => l.Water == code).ToListAsync(cancel))
                            .Select(Show)
                            .OrderBy(l => l.Subject)
                            .ThenBy(l => l.Value)
                            .ToList()
                    )
            )
            .For(AccessLevel.SignedIn)
            .WithName("limits")
            .WithSummary("Limits that values of a water are held against, with their sources.")
            .Produces<IReadOnlyList<Benchmark>>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/", AddAsync)
            .For(AccessLevel.Works)
            .WithName("add-limit")
            .WithSummary("Adds a limit.")
            .Produces<Benchmark>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapDelete("/{id:guid}", RemoveAsync)
            .For(AccessLevel.Works)
            .WithName("remove-limit")
            .WithSummary("Takes a limit away.")
            .Produces(StatusCodes.Status204NoContent)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static async Task<IResult> AddAsync(
        string code,
        NewBenchmark given,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (!caller.May.Sees(code) || !await book.Waters.AnyAsync(w => w.Code == code, cancel))
        {
            return WaterEndpoints.Unknown(code);
        }

        if (!caller.May.Coordinates(code))
        {
            return Gate.Refused;
        }

        var measured = await book.SubjectsAsync(await book.StationsAsync(caller.May, cancel, code), cancel);
        if (!measured.Contains(given.Subject))
        {
            throw new UnknownChoiceException(given.Subject.Code, [.. measured.Select(p => p.Code)]);
        }

        if (given.Value < 0 || given.Name.Trim().Length is 0 or > Longest || given.Source.Trim().Length is 0 or > Longest)
        {
            return Results.Problem(
                "A limit needs a number from 0 up, a name, and where it stands; without its source nobody can check it.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "The limit is not whole."
            );
        }

        var row = new BenchmarkRow
        {
            Id = Guid.CreateVersion7(),
            Water = code,
            Subject = given.Subject.ToString(),
            Above = given.Above,
            Value = given.Value,
            Name = given.Name.Trim(),
            Source = given.Source.Trim(),
        };
        book.Benchmarks.Add(row);
        book.Note(caller.Name, clock.GetUtcNow(), "limit", code, null, Words(row));
        await book.SaveChangesAsync(cancel);
        return Results.Ok(Show(row));
    }

    private static async Task<IResult> RemoveAsync(
        string code,
        Guid id,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (!caller.May.Sees(code) || await book.Benchmarks.FirstOrDefaultAsync(l => l.Id == id && l.Water == code, cancel) is not { } row)
        {
            return WaterEndpoints.Unknown(code);
        }

        if (!caller.May.Coordinates(code))
        {
            return Gate.Refused;
        }

        book.Benchmarks.Remove(row);
        book.Note(caller.Name, clock.GetUtcNow(), "limit", code, Words(row), null);
        await book.SaveChangesAsync(cancel);
        return Results.NoContent();
    }

    private static string Words(BenchmarkRow row) =>
        FormattableString.Invariant($"{row.Subject} {(row.Above ? "above" : "below")} {row.Value}: {row.Name} ({row.Source})");

    private static Benchmark Show(BenchmarkRow row) => new(row.Id, new Parameter(row.Subject), row.Above, row.Value, row.Name, row.Source);
}
