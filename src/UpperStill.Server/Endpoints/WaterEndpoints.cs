using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Findings;
using UpperStill.Core.Operations;
using UpperStill.Core.Places;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A water in the list.</summary>
/// <param name="Water">The water.</param>
/// <param name="MayChange">True where the caller may set it up.</param>
public sealed record WaterInfo(Water Water, bool MayChange);

/// <summary>What was kept, and what to look at.</summary>
/// <param name="Findings">Nothing is kept where one of them is a stop.</param>
/// <param name="Kept">True where it is kept.</param>
public sealed record SetupAnswer(bool Kept, IReadOnlyList<Finding> Findings);

/// <summary>Waters, set up by their coordinators.</summary>
internal static class WaterEndpoints
{
    internal static void MapWaters(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/waters").WithTags("waters");
        group.MapGet("/", async (FieldBook book, Caller caller, CancellationToken cancel) =>
                (await book.Waters.AsNoTracking().OrderBy(w => w.Code).ToListAsync(cancel)).Where(w => caller.May.Sees(w.Code))
                    .Select(w => new WaterInfo(w.Read(), caller.May.Coordinates(w.Code))))
            .For(AccessLevel.SignedIn).WithName("waters").WithSummary("The waters that the caller may see.");
        group.MapPut("/{code}", KeepAsync).For(AccessLevel.Works).WithName("keep-water")
            .WithSummary("Sets up a water, or changes one. A new one needs a coordinator of the whole group.")
            .Produces<SetupAnswer>().ProducesProblem(StatusCodes.Status403Forbidden);
    }

    private static async Task<IResult> KeepAsync(string code, Water given, FieldBook book, Caller caller, TimeProvider clock, CancellationToken cancel)
    {
        var row = await book.Waters.FirstOrDefaultAsync(w => w.Code == code, cancel);
        if (row is null ? !caller.May.CoordinatesAll : !caller.May.Coordinates(code))
        {
            return Gate.Refused;
        }

        var water = given with { Code = code };
        var others = (await book.Waters.AsNoTracking().Where(w => w.Code != code).ToListAsync(cancel)).Select(w => w.Read());
        var findings = WaterCheck.Findings(water, [.. others], TimeZoneInfo.TryFindSystemTimeZoneById(water.TimeZone, out _));
        if (findings.Any(f => f.Level == FindingLevel.Stop))
        {
            return Results.Ok(new SetupAnswer(false, findings));
        }

        var after = JsonSerializer.Serialize(water, SetupJson.Default.Water);
        book.Note(caller.Name, clock.GetUtcNow(), "water", code, row?.Definition, after);
        if (row is null)
        {
            book.Waters.Add(new WaterRow { Code = code, Definition = after });
        }
        else
        {
            row.Definition = after;
            foreach (var station in await book.Stations.Where(s => s.Water == code).ToListAsync(cancel))
            {
                // A station carries its water's names, so that a device needs no second table.
                station.Definition = JsonSerializer.Serialize(station.Read() with { Water = water.Name, District = water.District }, CoreJson.Default.Station);
            }
        }

        await book.SaveChangesAsync(cancel);
        return Results.Ok(new SetupAnswer(true, findings));
    }
}
