using System.Globalization;
using UpperStill.Core.Application.Import;
using UpperStill.Core.Basis.Findings;
using UpperStill.Formats.Historic;
using UpperStill.Formats.Results;
using UpperStill.Server.Historic;
using UpperStill.Server.People;

namespace UpperStill.Server.Endpoints;

/// <summary>Why an import is taken back.</summary>
/// <param name="Why">In a few words.</param>
public sealed record ImportUndone(string Why);

/// <summary>How many visits it reached.</summary>
/// <param name="Visits">How many.</param>
public sealed record VisitsReached(int Visits);

/// <summary>Old tables: looked at, mapped, brought in, taken back.</summary>
internal static class HistoricEndpoints
{
    private const long LargestFile = 32L * 1024 * 1024;
    private const int LongestMapping = 64 * 1024;

    internal static void MapHistoric(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/imports").WithTags("open data").For(AccessLevel.Works);
        group
            .MapPost("/look", LookAsync)
            .WithName("look-at-table")
            .WithSummary("Looks at an old table: its columns, its first rows, and what the heads seem to mean; nothing is kept.")
            .Accepts<string>("text/csv")
            .Produces<HistoricLook>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge);
        group
            .MapPost("/", ReadAsync)
            .WithName("import-table")
            .WithSummary(
                "Reads an old table; without keep=true it only says what would come of it. All its visits are brought in, or none; "
                    + "what many of them say is worked out afterwards, between the deliveries of boats."
            )
            .Accepts<string>("text/csv")
            .Produces<HistoricAnswer>()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge);
        group
            .MapGet("/", (HistoricDesk desk, CancellationToken cancel) => desk.ImportsAsync(cancel))
            .WithName("imports")
            .WithSummary("Old tables that were brought in, the newest first.");
        group
            .MapPost("/{id:guid}/undo", async (Guid id, ImportUndone given, HistoricDesk desk, CancellationToken cancel) =>
                string.IsNullOrWhiteSpace(given.Why) || given.Why.Length > 500
                    ? Results.Problem(
                        "Later nobody knows why its visits are gone. Say so in a few words.",
                        statusCode: StatusCodes.Status400BadRequest,
                        title: "The reason is missing."
                    )
                    : Answer(await desk.UndoAsync(id, given.Why.Trim(), cancel))
            )
            .WithName("undo-import")
            .WithSummary("Takes a whole import back: its visits are struck with the reason, and stay readable in the log.")
            .Produces<VisitsReached>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/{id:guid}/sign-off", async (Guid id, HistoricDesk desk, CancellationToken cancel) =>
                Answer(await desk.SignOffAsync(id, cancel))
            )
            .WithName("sign-off-import")
            .WithSummary("Signs off every visit of an import that has nothing open; not by who brought it in.")
            .Produces<VisitsReached>()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static IResult Answer(ImportOutcome outcome) =>
        outcome.Reach switch
        {
            ImportReach.Done => Results.Ok(new VisitsReached(outcome.Visits)),
            ImportReach.Own => Results.Problem(
                "Nobody sees their own slips. Ask another coordinator.",
                statusCode: StatusCodes.Status409Conflict,
                title: "You brought this table in, or read all of it."
            ),
            ImportReach.Waits => StillWorking,
            ImportReach.Beyond => Gate.Refused,
            _ => Results.Problem(
                "See GET /api/imports.",
                statusCode: StatusCodes.Status404NotFound,
                title: "No such table was brought in."
            ),
        };

    private static async Task<IResult> LookAsync(HttpContext http, CancellationToken cancel)
    {
        await using var file = await RawBody.WholeAsync(http, LargestFile, cancel);
        using var text = ResultFile.Text(file);
        var look = HistoricFile.Look(text);
        return look.Problem is { } problem ? Refused(problem) : Results.Ok(look);
    }

    private static async Task<IResult> ReadAsync(
        HttpContext http,
        string mapping,
        string name,
        string? stand,
        bool? keep,
        HistoricDesk desk,
        CancellationToken cancel
    )
    {
        if (
            RawBody.Beside<HistoricMapping>(mapping, LongestMapping) is not { Columns.Count: > 0 } columns
            || string.IsNullOrWhiteSpace(name)
            || name.Length > 200
        )
        {
            return Results.Problem(
                "Say of each column what it holds.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "How the columns are read is not complete."
            );
        }

        if (Fields(stand) is not { } fields)
        {
            return Results.Problem(
                "Write each as its line and its column from 0, such as 12.3, with commas between.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "The fields that stand cannot be read."
            );
        }

        await using var file = await RawBody.WholeAsync(http, LargestFile, cancel);
        using var text = ResultFile.Text(file);
        var (heads, rows, problem) = HistoricFile.Read(text);
        if (problem is not null || !heads.SequenceEqual(columns.Columns.Select(c => c.Head)))
        {
            return Refused(
                problem
                    ?? Finding.Stop(
                        "table-differs",
                        "The columns of the file are not those that were looked at.",
                        "Its numbers would be taken for others.",
                        "Choose the file again."
                    ) with
                    {
                        NoWayRound = true,
                    }
            );
        }

        return await desk.ReadAsync(rows, columns, name, fields, keep == true, cancel) is { } answer ? Results.Ok(answer) : StillWorking;
    }

    // "12.3,15.4": line and column of each; null where one is neither.
    private static HashSet<HistoricField>? Fields(string? stand)
    {
        HashSet<HistoricField> fields = [];
        foreach (var one in (stand ?? string.Empty).Split(',', StringSplitOptions.RemoveEmptyEntries))
        {
            if (
                one.Split('.') is not [var line, var column]
                || !int.TryParse(line, NumberStyles.None, CultureInfo.InvariantCulture, out var at)
                || !int.TryParse(column, NumberStyles.None, CultureInfo.InvariantCulture, out var place)
            )
            {
                return null;
            }

            fields.Add(new HistoricField(at, place));
        }

        return fields;
    }

    private static IResult StillWorking =>
        Results.Problem(
            "Before that is done nobody knows which days are there already. How far it is stands under “Tables brought in”; then try again.",
            statusCode: StatusCodes.Status409Conflict,
            title: "A table that was brought in is still being worked out."
        );

    private static IResult Refused(Finding problem) =>
        Results.Problem($"{problem.Why} {problem.Act}", statusCode: StatusCodes.Status400BadRequest, title: problem.Seen);
}
