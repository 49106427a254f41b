using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.People;
using UpperStill.Formats.Results;
using UpperStill.Server.Ledger;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>Why a held row is put aside.</summary>
/// <param name="Why">In a few words.</param>
public sealed record HeldSettled(string Why);

/// <summary>An analyte, for a list to choose from.</summary>
/// <param name="Code">Its code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Units">Its units; the first is its own.</param>
public sealed record AnalyteChoice(string Code, string Name, IReadOnlyList<string> Units);

/// <summary>Results files: looked at, mapped, joined to samples.</summary>
internal static class ResultEndpoints
{
    // Some 200 000 rows of 150 characters, and room.
    private const long LargestFile = 64L * 1024 * 1024;
    private const int LongestMapping = 16 * 1024;

    internal static void MapResults(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/results").WithTags("ledger").For(AccessLevel.Writes);
        group
            .MapPost("/look", LookAsync)
            .WithName("look-at-results")
            .WithSummary("Looks at a results file: its columns, its first rows, and how they were read the last time; nothing is kept.")
            .Accepts<string>("text/csv")
            .Produces<ResultLook>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge);
        group
            .MapPost("/import", ImportAsync)
            .WithName("import-results")
            .WithSummary(
                "Joins the rows of a results file to samples by number; without keep=true it only says what would come of it. "
                    + "Bringing a file again is harmless."
            )
            .Accepts<string>("text/csv")
            .Produces<ImportAnswer>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge);
        group
            .MapGet("/held", (ResultDesk desk, CancellationToken cancel) => desk.HeldAsync(cancel))
            .WithName("held-results")
            .WithSummary("Rows of results files that wait for somebody.");
        group
            .MapPost("/held/again", (ResultDesk desk, CancellationToken cancel) => desk.AgainAsync(cancel))
            .WithName("held-again")
            .WithSummary("Tries the held rows again: their samples may have come since.");
        group
            .MapPost("/held/{id:guid}/settled", SettleAsync)
            .WithName("settle-held")
            .WithSummary("Puts a held row aside, with a reason; it stays on file.")
            .Produces(StatusCodes.Status204NoContent)
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapGet("/analytes", () => Analytes.All.Select(a => new AnalyteChoice(a.Code, a.Name, [.. a.Units.Select(u => u.Name)])))
            .WithName("analytes")
            .WithSummary("The analytes and their units.");
    }

    private static async Task<IResult> LookAsync(HttpContext http, FieldBook book, CancellationToken cancel)
    {
        await using var file = await RawBody.WholeAsync(http, LargestFile, cancel);
        using var text = ResultFile.Text(file);
        var look = ResultFile.Look(text);
        if (look.Problem is not null)
        {
            return Results.Problem(
                look.Problem,
                statusCode: StatusCodes.Status400BadRequest,
                title: "This file cannot be read as results."
            );
        }

        var heads = ResultFile.Remembered(look.Heads);
        var kept = await book.ResultMappings.AsNoTracking().FirstOrDefaultAsync(m => m.Heads == heads, cancel);
        return Results.Ok(
            kept is null || JsonSerializer.Deserialize<ResultMapping>(kept.Mapping, JsonSerializerOptions.Web) is not { } mapping
                ? look
                : look with
                {
                    Mapping = mapping,
                }
        );
    }

    private static async Task<IResult> ImportAsync(
        HttpContext http,
        string mapping,
        string name,
        bool? keep,
        FieldBook book,
        ResultDesk desk,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (!caller.May.Grants.Any(g => g.Role is Role.Laboratory or Role.Coordinator))
        {
            return Results.Problem(
                "Ask one of them to bring the file. Nothing was changed.",
                statusCode: StatusCodes.Status403Forbidden,
                title: "Results come in from the laboratory or a coordinator."
            );
        }

        if (
            RawBody.Beside<ResultMapping>(mapping, LongestMapping) is not { Number: not null, Value: not null } columns
            || string.IsNullOrWhiteSpace(name)
            || name.Length > 200
        )
        {
            return Results.Problem(
                "Say at least which column is the sample number and which the value.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "How the columns are read is not complete."
            );
        }

        await using var file = await RawBody.WholeAsync(http, LargestFile, cancel);
        if (keep == true)
        {
            using var head = ResultFile.Text(file);
            await RememberAsync(ResultFile.Remembered(ResultFile.Look(head).Heads), columns, book, caller, clock, cancel);
            file.Position = 0;
        }

        using var text = ResultFile.Text(file);
        return Results.Ok(await desk.ImportAsync(ResultFile.Read(text, columns, name), name, keep == true, cancel));
    }

    private static async Task RememberAsync(
        string heads,
        ResultMapping mapping,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var row = await book.ResultMappings.FirstOrDefaultAsync(m => m.Heads == heads, cancel);
        if (row is null)
        {
            row = new ResultMappingRow
            {
                Heads = heads,
                Mapping = string.Empty,
                By = string.Empty,
            };
            book.ResultMappings.Add(row);
        }

        (row.Mapping, row.By, row.At) = (JsonSerializer.Serialize(mapping, JsonSerializerOptions.Web), caller.Name, clock.GetUtcNow());
        await book.SaveChangesAsync(cancel);
    }

    private static async Task<IResult> SettleAsync(Guid id, HeldSettled given, ResultDesk desk, CancellationToken cancel) =>
        string.IsNullOrWhiteSpace(given.Why) || given.Why.Length > 500
            ? Results.Problem(
                "Later nobody knows why it was put aside. Say so in a few words.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "The reason is missing."
            )
        : await desk.SettleAsync(id, given.Why.Trim(), cancel) ? Results.NoContent()
        : Results.Problem(
            "Somebody may have settled it already.",
            statusCode: StatusCodes.Status404NotFound,
            title: "No such row is held."
        );
}
