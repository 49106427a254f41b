using UpperStill.Core.Application.Outings;
using UpperStill.Core.Setup.Labels;
using UpperStill.Formats.Labels;
using UpperStill.Server.Outings;
using UpperStill.Server.People;
using UpperStill.Server.Seasons;

namespace UpperStill.Server.Endpoints;

/// <summary>A label of a bottle or vial.</summary>
/// <param name="Sample">What stands on it.</param>
/// <param name="Qr">Its number as a QR code.</param>
public sealed record Label(PlannedSample Sample, QrPath Qr);

/// <summary>Outings: what is to be prepared, one day and one water at a time.</summary>
internal static class OutingEndpoints
{
    internal static void MapOutings(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/outings").WithTags("outings").For(AccessLevel.SignedIn);
        group
            .MapGet("/", async (SeasonDesk desk, Caller caller, CancellationToken cancel) =>
                (await desk.ViewAsync(desk.Today.Year, caller.May, cancel)).Outings
            )
            .WithName("outings")
            .WithSummary("The outings to come of the waters that the caller may see.");
        group
            .MapGet("/{day}/{water}", async (DateOnly day, string water, OutingDesk desk, CancellationToken cancel) =>
                await desk.PrepareAsync(day, water, cancel) is { } outing ? Results.Ok(outing) : WaterEndpoints.Unknown(water)
            )
            .WithName("outing")
            .WithSummary("One outing prepared: stations in travelling order, weather, pack list, samples, latest time back.")
            .Produces<Outing>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapGet("/{day}/{water}/labels", async (DateOnly day, string water, OutingDesk desk, CancellationToken cancel) =>
                await desk.PrepareAsync(day, water, cancel) is { } outing
                    ? Results.Ok(outing.Stops.SelectMany(s => s.Samples).Select(s => new Label(s, QrPath.Of(s.Number))))
                    : WaterEndpoints.Unknown(water)
            )
            .WithName("labels")
            .WithSummary("The labels of an outing, each with its number as a QR code.")
            .Produces<IReadOnlyList<Label>>()
            .ProducesProblem(StatusCodes.Status404NotFound);
    }
}
