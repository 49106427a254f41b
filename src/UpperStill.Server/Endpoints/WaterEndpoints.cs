using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Waters;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A water in the list.</summary>
/// <param name="Water">The water.</param>
/// <param name="Stations">How many stations it has.</param>
/// <param name="MayChange">True where the caller may set it up.</param>
/// <param name="Version">Counts up with every change; whoever changes it names the one they saw.</param>
public sealed record WaterInfo(Water Water, int Stations, bool MayChange, int Version);

/// <summary>A water with its stations.</summary>
/// <param name="Water">The water.</param>
/// <param name="Stations">Its stations.</param>
/// <param name="NextCode">A code that a new station of it may have.</param>
/// <param name="MayChange">True where the caller may set it up.</param>
/// <param name="MayPropose">True where the caller may propose a station.</param>
/// <param name="Proposals">Stations proposed that wait for a coordinator.</param>
/// <param name="Version">Counts up with every change; whoever changes it names the one they saw.</param>
public sealed record WaterDetail(
    Water Water,
    IReadOnlyList<StationSetup> Stations,
    string NextCode,
    bool MayChange,
    bool MayPropose,
    IReadOnlyList<Proposal> Proposals,
    int Version
);

/// <summary>Waters, set up by their coordinators.</summary>
internal static class WaterEndpoints
{
    internal static void MapWaters(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/waters").WithTags("waters");
        group
            .MapGet("/", async (FieldBook book, Caller caller, CancellationToken cancel) =>
            {
                var stations = await book
                    .Stations.GroupBy(s => s.Water)
                    .Select(g => new { g.Key, Count = g.Count() })
                    .ToDictionaryAsync(g => g.Key, g => g.Count, cancel);
                return (await book.Waters.AsNoTracking().ToListAsync(cancel))
                    .Where(w => caller.May.Sees(w.Code))
                    .Select(w => new WaterInfo(w.Read(), stations.GetValueOrDefault(w.Code), caller.May.Coordinates(w.Code), w.Version))
                    .OrderBy(w => w.Water.Name, StringComparer.OrdinalIgnoreCase);
            })
            .For(AccessLevel.SignedIn)
            .WithName("waters")
            .WithSummary("The waters that the caller may see.");
        group
            .MapGet("/{code}", DetailAsync)
            .For(AccessLevel.SignedIn)
            .WithName("water")
            .WithSummary("A water with its stations.")
            .Produces<WaterDetail>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/", AddAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("add-water")
            .WithSummary("Sets up a new water; its code comes from its name.")
            .Produces<SetupAnswer>();
        group
            .MapPut("/{code}", ChangeAsync)
            .For(AccessLevel.Works)
            .WithName("change-water")
            .WithSummary("Changes a water.")
            .Produces<SetupAnswer>()
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static async Task<IResult> AddAsync(Water given, FieldBook book, Caller caller, TimeProvider clock, CancellationToken cancel)
    {
        var used = await book.Waters.Select(w => w.Code).ToListAsync(cancel);

        // A namesake in another district gets a code of its own; it never takes the other's place.
        string[] codes = [Codes.From(given.Name), Codes.From($"{given.Name} {given.District}")];
        var code = codes.FirstOrDefault(c => c.Length > 0 && !used.Contains(c)) ?? Codes.Next(given.Name, used);
        return await KeepAsync(given with { Code = code }, null, book, caller, clock, cancel);
    }

    private static async Task<IResult> ChangeAsync(
        string code,
        int version,
        Water given,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    ) =>
        !caller.May.Coordinates(code) ? Gate.Refused
        : await book.Waters.FirstOrDefaultAsync(w => w.Code == code, cancel) is { } row
            ? await Stale.AnswerAsync(book, "water", code, version, row.Version, cancel)
                ?? await KeepAsync(given with { Code = code }, row, book, caller, clock, cancel)
        : Unknown(code);

    private static async Task<IResult> KeepAsync(
        Water water,
        WaterRow? row,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var others = (await book.Waters.AsNoTracking().Where(w => w.Code != water.Code).ToListAsync(cancel)).Select(w => w.Read());
        var findings = WaterCheck.Findings(water, [.. others], TimeZoneInfo.TryFindSystemTimeZoneById(water.TimeZone, out _));
        if (!findings.MaySave())
        {
            return Results.Ok(new SetupAnswer(false, water.Code, findings));
        }

        var after = JsonSerializer.Serialize(water, SetupJson.Default.Water);
        var changed = book.Note(caller.Name, clock.GetUtcNow(), "water", water.Code, row?.Definition, after);
        if (row is null)
        {
            book.Waters.Add(new WaterRow { Code = water.Code, Definition = after });
        }
        else
        {
            row.Definition = after;
            row.Version += changed ? 1 : 0;
            foreach (var station in await book.Stations.Where(s => s.Water == water.Code).ToListAsync(cancel))
            {
                // A station carries its water's names, so that a device needs no second table.
                station.Definition = JsonSerializer.Serialize(
                    station.Read() with
                    {
                        Water = water.Name,
                        District = water.District,
                    },
                    CoreJson.Default.Station
                );
            }
        }

        await book.SaveChangesAsync(cancel);
        return Results.Ok(new SetupAnswer(true, water.Code, findings));
    }

    private static async Task<IResult> DetailAsync(string code, FieldBook book, Caller caller, CancellationToken cancel)
    {
        if (!caller.May.Sees(code) || await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == code, cancel) is not { } row)
        {
            return Unknown(code);
        }

        var stations = await book
            .Stations.AsNoTracking()
            .Where(s => s.Water == code)
            .OrderBy(s => s.Ordinal)
            .ThenBy(s => s.Code)
            .ToListAsync(cancel);
        var water = row.Read();
        var next = Codes.Next(water.Name, await book.Stations.Select(s => s.Code).ToListAsync(cancel));
        return Results.Ok(
            new WaterDetail(
                water,
                [.. stations.Select(s => new StationSetup(s.Read(), s.Programme, s.Line, s.ReadWeekdays(), null, s.Version))],
                next,
                caller.May.Coordinates(code),
                caller.May.Samples(code),
                await ProposalEndpoints.OpenAsync(book, code, cancel),
                row.Version
            )
        );
    }

    internal static IResult Unknown(string water) =>
        Results.Problem(
            "Choose one from GET /api/waters.",
            statusCode: StatusCodes.Status404NotFound,
            title: $"No water “{water}” is known here."
        );
}
