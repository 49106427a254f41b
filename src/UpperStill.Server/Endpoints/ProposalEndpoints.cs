using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Waters;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A station that somebody proposes.</summary>
/// <param name="Station">The station; its code is given when it is approved.</param>
/// <param name="Why">Why there.</param>
public sealed record ProposalGiven(Station Station, string Why);

/// <summary>A proposal that waits for a coordinator.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Station">The station.</param>
/// <param name="Why">Why there.</param>
/// <param name="By">Who proposes it.</param>
/// <param name="At">When.</param>
public sealed record Proposal(Guid Id, Station Station, string Why, string By, DateTimeOffset At);

/// <summary>A proposal declined.</summary>
/// <param name="Why">Why.</param>
public sealed record Declined(string Why);

/// <summary>New stations: a sampler proposes, a coordinator of the water approves or declines.</summary>
internal static class ProposalEndpoints
{
    internal static void MapProposals(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/proposals", ProposeAsync)
            .For(AccessLevel.Works)
            .WithName("propose-station")
            .WithTags("stations")
            .WithSummary("Proposes a station; a coordinator of the water decides.")
            .Produces<SetupAnswer>()
            .ProducesProblem(StatusCodes.Status403Forbidden);
        app.MapPost("/api/proposals/{id:guid}/decline", DeclineAsync)
            .For(AccessLevel.Works)
            .WithName("decline-station")
            .WithTags("stations")
            .WithSummary("Declines a proposed station, with a reason. To approve it, set the station up and name the proposal.")
            .Produces<Proposal>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>The proposals of a water that wait.</summary>
    internal static async Task<IReadOnlyList<Proposal>> OpenAsync(FieldBook book, string water, CancellationToken cancel) =>
        [
            .. (await book.Proposals.AsNoTracking().Where(p => p.Water == water && p.Outcome == null).ToListAsync(cancel))
                .OrderBy(p => p.At)
                .Select(Of),
        ];

    private static Proposal Of(ProposalRow row) =>
        new(row.Id, JsonSerializer.Deserialize(row.Definition, CoreJson.Default.Station)!, row.Why, row.By, row.At);

    private static async Task<IResult> ProposeAsync(
        ProposalGiven given,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (
            !caller.May.Samples(given.Station.WaterCode)
            || await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == given.Station.WaterCode, cancel) is not { } row
        )
        {
            return Gate.Refused;
        }

        var water = row.Read();
        var used = await book.Stations.Select(s => s.Code).ToListAsync(cancel);
        var station = given.Station with { Code = Codes.Next(water.Name, used), Water = water.Name, District = water.District };
        List<FieldFinding> findings =
        [
            .. StationCheck.Findings(station, water, [.. (await book.Stations.AsNoTracking().ToListAsync(cancel)).Select(s => s.Read())]),
        ];
        if (string.IsNullOrWhiteSpace(given.Why))
        {
            findings.Add(
                Finding
                    .Stop(
                        "reason-missing",
                        "It does not say why there.",
                        "The coordinator was not on the boat.",
                        "A few words: deepest point found, clear of weeds."
                    )
                    .At("why")
            );
        }

        if (findings.MaySave())
        {
            book.Proposals.Add(
                new ProposalRow
                {
                    Id = Guid.CreateVersion7(),
                    Water = water.Code,
                    Definition = JsonSerializer.Serialize(station, CoreJson.Default.Station),
                    Why = given.Why.Trim(),
                    By = caller.Name,
                    At = clock.GetUtcNow(),
                }
            );
            await book.SaveChangesAsync(cancel);
        }

        return Results.Ok(
            new SetupAnswer(
                findings.MaySave(),
                station.Code,
                findings,
                findings.MaySave() ? null : StationCheck.Meant(new Position(station.LatitudeDeg, station.LongitudeDeg), water.Outline)
            )
        );
    }

    private static async Task<IResult> DeclineAsync(Guid id, Declined given, FieldBook book, Caller caller, CancellationToken cancel)
    {
        if (
            await book.Proposals.FirstOrDefaultAsync(p => p.Id == id && p.Outcome == null, cancel) is not { } row
            || !caller.May.Sees(row.Water)
        )
        {
            return Results.Problem(
                "It may have been decided already. Look at the water’s page.",
                statusCode: StatusCodes.Status404NotFound,
                title: "No such proposal waits."
            );
        }

        if (!caller.May.Coordinates(row.Water))
        {
            return Gate.Refused;
        }

        if (string.IsNullOrWhiteSpace(given.Why))
        {
            return Results.Problem(
                "Who proposed it wants to know. Nothing was changed.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "A proposal is declined with a reason."
            );
        }

        (row.Outcome, row.DecidedBy) = ($"declined: {given.Why.Trim()}", caller.Name);
        await book.SaveChangesAsync(cancel);
        return Results.Ok(Of(row));
    }
}
