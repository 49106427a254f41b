using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>What was kept, and what to look at.</summary>
/// <param name="Kept">True where it is kept.</param>
/// <param name="Code">Its code.</param>
/// <param name="Findings">Nothing is kept where one of them is a stop.</param>
/// <param name="Meant">Where a position lies inside only when read another way: that reading.</param>
public sealed record SetupAnswer(bool Kept, string Code, IReadOnlyList<FieldFinding> Findings, Position? Meant = null);

/// <summary>A station as it is set up.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">The code of the programme it is sampled under.</param>
/// <param name="Line">The line proposed for a visit.</param>
/// <param name="Weekdays">Days of the week on which its people can go, Sunday = 0; empty where any will do.</param>
/// <param name="Proposal">The proposal that is approved with it.</param>
/// <param name="Version">Counts up with every change; whoever changes it sends the one they saw.</param>
public sealed record StationSetup(
    Station Station,
    string Programme,
    string? Line = null,
    IReadOnlyList<int>? Weekdays = null,
    Guid? Proposal = null,
    int? Version = null
);

/// <summary>Stations, set up by the coordinators of their water.</summary>
internal static class StationSetupEndpoints
{
    internal static void MapStationSetup(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/stations", AddAsync)
            .For(AccessLevel.Works)
            .WithName("add-station")
            .WithTags("stations")
            .WithSummary("Sets up a new station; a code that is used already is refused.")
            .Produces<SetupAnswer>()
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
        app.MapPut("/api/stations/{code}", ChangeAsync)
            .For(AccessLevel.Works)
            .WithName("change-station")
            .WithTags("stations")
            .WithSummary("Changes a station; its code and its water stay.")
            .Produces<SetupAnswer>()
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static async Task<IResult> AddAsync(
        StationSetup given,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    ) => caller.May.Coordinates(given.Station.WaterCode) ? await KeepAsync(given, null, book, caller, clock, cancel) : Gate.Refused;

    private static async Task<IResult> ChangeAsync(
        string code,
        StationSetup given,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    ) =>
        await book.Stations.FirstOrDefaultAsync(s => s.Code == code, cancel) is not { } row || !caller.May.Sees(row.Water)
            ? StationEndpoints.Unknown(code)
        : caller.May.Coordinates(row.Water)
            ? await Stale.AnswerAsync(book, "station", code, given.Version ?? -1, row.Version, cancel)
                ?? await KeepAsync(
                    given with
                    {
                        Station = given.Station with { Code = code, WaterCode = row.Water },
                    },
                    row,
                    book,
                    caller,
                    clock,
                    cancel
                )
        : Gate.Refused;

    private static async Task<IResult> KeepAsync(
        StationSetup given,
        StationRow? row,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == given.Station.WaterCode, cancel) is not { } waterRow)
        {
            return WaterEndpoints.Unknown(given.Station.WaterCode);
        }

        var water = waterRow.Read();
        var station = given.Station.Settled() with { Water = water.Name, District = water.District };
        var others = (await book.Stations.AsNoTracking().ToListAsync(cancel))
            .Where(s => row is null || s.Code != row.Code)
            .Select(s => s.Read());
        List<FieldFinding> findings = [.. StationCheck.Findings(station, water, [.. others])];
        if (await book.ProgrammeAsync(given.Programme, null, cancel) is { } programme)
        {
            findings.AddRange(StationsOfWater.Findings(station, water, [.. others], programme));
        }
        else
        {
            findings.Add(
                Finding
                    .Stop(
                        "programme-missing",
                        "The station has no programme.",
                        "Methods, limits and dates come from it.",
                        "Choose one; set it up first where there is none."
                    )
                    .At("programme")
            );
        }

        if (given.Line is not null && !await book.Kit.AnyAsync(i => i.Code == given.Line && i.Kind == KitKind.Line, cancel))
        {
            findings.Add(
                Finding
                    .Stop(
                        "line-unknown",
                        $"No line “{given.Line}” is in the kit.",
                        "Depths could not be read from it.",
                        "Choose one of the kit, or none."
                    )
                    .At("line")
            );
        }

        if (!findings.MaySave())
        {
            return Results.Ok(
                new SetupAnswer(
                    false,
                    station.Code,
                    findings,
                    StationCheck.Meant(new Position(station.LatitudeDeg, station.LongitudeDeg), water.Outline)
                )
            );
        }

        var after = JsonSerializer.Serialize(station, CoreJson.Default.Station);
        var weekdays = string.Join(',', (given.Weekdays ?? []).Where(d => d is >= 0 and <= 6).Distinct().Order());
        var changed = book.Note(
            caller.Name,
            clock.GetUtcNow(),
            "station",
            station.Code,
            row is null ? null : Words(row.Definition, row.Programme, row.Line, row.Weekdays),
            Words(after, given.Programme, given.Line, weekdays)
        );
        if (row is null)
        {
            row = new StationRow
            {
                Code = station.Code,
                Water = water.Code,
                Definition = after,
                Programme = given.Programme,
                Ordinal = await book.Stations.MaxAsync(s => (int?)s.Ordinal, cancel) + 1 ?? 0,
            };
            book.Stations.Add(row);
            if (
                await book.Proposals.FirstOrDefaultAsync(
                    p => p.Id == given.Proposal && p.Water == water.Code && p.Outcome == null,
                    cancel
                ) is
                { } proposal
            )
            {
                (proposal.Outcome, proposal.DecidedBy) = (station.Code, caller.Name);
            }
        }
        else
        {
            row.Version += changed ? 1 : 0;
        }

        (row.Definition, row.Programme, row.Line) = (after, given.Programme, given.Line);
        row.Weekdays = weekdays;
        await book.SaveChangesAsync(cancel);
        return Results.Ok(new SetupAnswer(true, station.Code, findings));
    }

    // For the record of changes: the station with what stands beside it in the table.
    private static string Words(string definition, string programme, string? line, string weekdays)
    {
        var words = (JsonObject)JsonNode.Parse(definition)!;
        (words["programme"], words["line"], words["weekdays"]) = (programme, line, weekdays);
        return words.ToJsonString();
    }
}
