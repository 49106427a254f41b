using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Server.People;
using UpperStill.Server.Seasons;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>An item with what is due and its history.</summary>
/// <param name="Item">The item.</param>
/// <param name="History">Its checks with what they gave, newest first.</param>
/// <param name="Stations">The stations for which the line is proposed.</param>
/// <param name="Version">Counts up with every change; whoever changes it names the one they saw.</param>
/// <param name="Due">When its check falls due; null where none does.</param>
public sealed record KitInfo(
    KitItem Item,
    IReadOnlyList<CheckedKit> History,
    IReadOnlyList<string> Stations,
    int Version,
    KitDue? Due = null
);

/// <summary>A check with what it gave.</summary>
/// <param name="Check">The check.</param>
/// <param name="Result">What it gave.</param>
public sealed record CheckedKit(KitCheck Check, KitCheckResult Result);

/// <summary>A check to be kept.</summary>
/// <param name="Check">The check; who made it, the server knows.</param>
/// <param name="Keep">False to be shown what it gives.</param>
public sealed record KitCheckGiven(KitCheck Check, bool Keep);

/// <summary>What became of a check.</summary>
/// <param name="Kept">True where it is kept.</param>
/// <param name="Result">What it gave.</param>
/// <param name="Changes">Published clarities that changed with it, a line each.</param>
public sealed record KitCheckAnswer(bool Kept, KitCheckResult Result, IReadOnlyList<string> Changes);

/// <summary>A check struck out.</summary>
/// <param name="Why">Why.</param>
public sealed record CheckStruck(string Why);

/// <summary>New marks on an old line.</summary>
/// <param name="Code">The name of the line with its new marks.</param>
/// <param name="Marks">The new marks.</param>
public sealed record NewMarks(string Code, LineMarks Marks);

/// <summary>The kit: what there is, what is due, and its checks.</summary>
internal static class KitEndpoints
{
    internal static void MapKit(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/kit").WithTags("kit");
        group.MapGet("/", ListAsync).For(AccessLevel.Works).WithName("kit").WithSummary("The kit, with what is due and its history.");
        group
            .MapGet("/rules", () => KitRules.All)
            .For(AccessLevel.Works)
            .WithName("kit-rules")
            .WithSummary("What is asked of each kind of item.");
        group
            .MapPost("/", AddAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("add-item")
            .WithSummary("Adds an item; a code that is used already is refused.")
            .Produces<SetupAnswer>();
        group
            .MapPut("/{code}", ChangeAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("change-item")
            .WithSummary("Changes an item; its code, its kind and its history stay.")
            .Produces<SetupAnswer>()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status409Conflict);
        group
            .MapPost("/{code}/checks", CheckAsync)
            .For(AccessLevel.Works)
            .WithName("check-item")
            .WithSummary(
                "Judges a check, and keeps it where asked. A line’s check corrects the readings made with it; the answer says which "
                    + "clarities changed."
            )
            .Produces<KitCheckAnswer>()
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/{code}/checks/{id:guid}/strike", StrikeAsync)
            .For(AccessLevel.Works)
            .WithName("strike-check")
            .WithSummary(
                "Strikes a check that was written down wrongly; it stays in the history with the reason, and readings are worked "
                    + "out without it."
            )
            .Produces<KitCheckAnswer>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/{code}/marks", RemarkAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("remark-line")
            .WithSummary("Gives a line new marks under a new name; the old marks are given up, their readings keep them.")
            .Produces<SetupAnswer>()
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static async Task<IEnumerable<KitInfo>> ListAsync(FieldBook book, SeasonDesk desk, Caller caller, CancellationToken cancel)
    {
        var stations = (await book.StationsAsync(caller.May, cancel)).ToLookup(s => s.Line, s => s.Code);
        var versions = await book.Kit.ToDictionaryAsync(i => i.Code, i => i.Version, cancel);
        return (await book.KitItemsAsync(cancel)).Select(item => new KitInfo(
            item,
            [
                .. (item.Checks ?? [])
                    .OrderByDescending(c => c.Day)
                    .Select(c => new CheckedKit(c, KitCheckRule.Judge(item, c, DateOnly.MaxValue))),
            ],
            [.. stations[item.Code]],
            versions[item.Code],
            KitDue.Of(item, desk.Today)
        ));
    }

    private static async Task<IResult> AddAsync(KitItem given, FieldBook book, Caller caller, TimeProvider clock, CancellationToken cancel)
    {
        var findings = KitItemCheck.Findings(given, await book.Kit.Select(i => i.Code).ToListAsync(cancel));
        if (findings.MaySave())
        {
            Add(book, given with { Checks = [], RetiredOn = null }, caller, clock);
            await book.SaveChangesAsync(cancel);
        }

        return Results.Ok(new SetupAnswer(findings.MaySave(), given.Code, findings));
    }

    private static async Task<IResult> ChangeAsync(
        string code,
        int version,
        KitItem given,
        FieldBook book,
        SeasonDesk desk,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (await book.Kit.FirstOrDefaultAsync(i => i.Code == code, cancel) is not { } row)
        {
            return Unknown(code);
        }

        if (await Stale.AnswerAsync(book, "kit", code, version, row.Version, cancel) is { } stale)
        {
            return stale;
        }

        var before = await book.ReadAsync(row, cancel);

        // Marks that readings were made on stay as they are; new ones get a name of their own.
        var item = given with
        {
            Code = code,
            Kind = before.Kind,
            Checks = before.Checks,
            Marks = before.Marks,
            RetiredOn = given.Condition == Condition.Retired ? before.RetiredOn ?? desk.Today : null,
        };
        var findings = KitItemCheck.Findings(item, []);
        if (findings.MaySave())
        {
            Change(book, row, item, caller, clock);
            await book.SaveChangesAsync(cancel);
        }

        return Results.Ok(new SetupAnswer(findings.MaySave(), code, findings));
    }

    private static async Task<IResult> CheckAsync(
        string code,
        KitCheckGiven given,
        FieldBook book,
        LogBook log,
        SeasonDesk desk,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (await book.Kit.FirstOrDefaultAsync(i => i.Code == code, cancel) is not { } row)
        {
            return Unknown(code);
        }

        var item = await book.ReadAsync(row, cancel);
        var check = given.Check with
        {
            Id = Guid.CreateVersion7(),
            By = caller.Name,
            MadeAt = clock.GetUtcNow(),
            Struck = null,
            StruckBy = null,
            StruckAt = null,
        };
        var result = KitCheckRule.Judge(item, check, desk.Today);
        if (!given.Keep || !result.Findings.MaySave())
        {
            return Results.Ok(new KitCheckAnswer(false, result, []));
        }

        return await ReachesAsync(item, book, caller, cancel)
            ? Results.Ok(new KitCheckAnswer(true, result, await KeepCheckAsync(check, null, code, book, log, caller, clock, cancel)))
            : Gate.Refused;
    }

    private static async Task<IResult> StrikeAsync(
        string code,
        Guid id,
        CheckStruck given,
        FieldBook book,
        LogBook log,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (
            await book.Kit.FirstOrDefaultAsync(i => i.Code == code, cancel) is not { } row
            || await book.ReadAsync(row, cancel) is var item
                && item.Checks?.FirstOrDefault(c => c.Id == id && c.Struck is null) is not { } check
        )
        {
            return Unknown(code);
        }

        if (string.IsNullOrWhiteSpace(given.Why))
        {
            return Results.Problem(
                "Later nobody knows which check stood, and why. Nothing was changed.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "A check is struck with a reason."
            );
        }

        var struck = check with { Struck = given.Why.Trim(), StruckBy = caller.Name, StruckAt = clock.GetUtcNow() };
        return await ReachesAsync(item, book, caller, cancel)
            ? Results.Ok(
                new KitCheckAnswer(
                    true,
                    KitCheckRule.Judge(item, struck, DateOnly.MaxValue),
                    await KeepCheckAsync(struck, check, code, book, log, caller, clock, cancel)
                )
            )
            : Gate.Refused;
    }

    // A line corrects what was read with it: only people of every water where it is used write down what it measures.
    private static async Task<bool> ReachesAsync(KitItem item, FieldBook book, Caller caller, CancellationToken cancel) =>
        item.Kind != KitKind.Line || (await book.WatersOfLineAsync(item.Code, cancel)).All(caller.May.Samples);

    // A row more, never one less. What the check means for readings is worked out in the same breath as it is kept.
    private static Task<IReadOnlyList<string>> KeepCheckAsync(
        KitCheck check,
        KitCheck? before,
        string code,
        FieldBook book,
        LogBook log,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    ) =>
        log.AloneAsync(
            book,
            async () =>
            {
                book.AddCheck(code, check);
                book.Note(caller.Name, clock.GetUtcNow(), "kit-check", code, before is null ? null : Words(before), Words(check));
                await book.SaveChangesAsync(cancel);
                return check.Kind == KitCheckKind.Taped
                    ? await book.ProjectLineAsync(code, new DateOnly(check.Day.Year, 1, 1), DateOnly.MaxValue, cancel)
                    : [];
            },
            cancel
        );

    private static async Task<IResult> RemarkAsync(
        string code,
        NewMarks given,
        FieldBook book,
        SeasonDesk desk,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (await book.Kit.FirstOrDefaultAsync(i => i.Code == code && i.Kind == KitKind.Line, cancel) is not { } row)
        {
            return Unknown(code);
        }

        var old = await book.ReadAsync(row, cancel);
        var line = old with { Code = given.Code, Marks = given.Marks, Checks = [], Condition = Condition.InUse, RetiredOn = null };
        var findings = KitItemCheck.Findings(line, await book.Kit.Select(i => i.Code).ToListAsync(cancel));
        if (findings.MaySave())
        {
            Add(book, line, caller, clock);
            Change(book, row, old with { Condition = Condition.Retired, RetiredOn = desk.Today }, caller, clock);
            foreach (var station in await book.Stations.Where(s => s.Line == code).ToListAsync(cancel))
            {
                station.Line = given.Code;
            }

            await book.SaveChangesAsync(cancel);
        }

        return Results.Ok(new SetupAnswer(findings.MaySave(), given.Code, findings));
    }

    private static void Add(FieldBook book, KitItem item, Caller caller, TimeProvider clock)
    {
        book.AddItem(item);
        book.Note(caller.Name, clock.GetUtcNow(), "kit", item.Code, null, ReferenceBook.Definition(item));
    }

    private static void Change(FieldBook book, KitRow row, KitItem item, Caller caller, TimeProvider clock)
    {
        var definition = ReferenceBook.Definition(item);
        row.Version += book.Note(caller.Name, clock.GetUtcNow(), "kit", item.Code, row.Definition, definition) ? 1 : 0;
        row.Definition = definition;
    }

    private static string Words(KitCheck check) => JsonSerializer.Serialize(check, SetupJson.Default.KitCheck);

    private static IResult Unknown(string code) =>
        Results.Problem("See GET /api/kit.", statusCode: StatusCodes.Status404NotFound, title: $"No item “{code}” is in the kit.");
}
