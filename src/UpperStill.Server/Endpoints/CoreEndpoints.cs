using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.Http.Features;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Entries;
using UpperStill.Server.People;

namespace UpperStill.Server.Endpoints;

/// <summary>An operation as the list shows it.</summary>
/// <param name="Name">The name in the address.</param>
/// <param name="Description">What it does.</param>
/// <param name="Longest">The longest request, bytes.</param>
/// <param name="Request">JSON schema of the request.</param>
/// <param name="Response">JSON schema of the response.</param>
/// <param name="Ranges">What the numbers of the request may be, and their units; outside, the request is refused.</param>
public sealed record OperationInfo(
    string Name,
    string Description,
    int Longest,
    JsonNode Request,
    JsonNode Response,
    IReadOnlyList<DeclaredRange> Ranges
);

/// <summary>A kind of entry as the list shows it.</summary>
/// <param name="Name">The kind.</param>
/// <param name="Version">The version written today.</param>
/// <param name="Description">What it records.</param>
/// <param name="Body">JSON schema of the body.</param>
/// <param name="Ranges">What the numbers of the body may be, and their units; outside, it is kept as written, with a finding.</param>
public sealed record KindInfo(string Name, int Version, string Description, JsonNode Body, IReadOnlyList<DeclaredRange> Ranges);

/// <summary>Maps the table of operations.</summary>
internal static class CoreEndpoints
{
    internal const string RateLimit = "core";

    private static readonly SemaphoreSlim Heavy = new(Math.Max(1, Environment.ProcessorCount - 1));

    private static readonly JsonSerializerOptions Described = new(CoreJson.Default.Options)
    {
        TypeInfoResolver = new DefaultJsonTypeInfoResolver(),
    };

    internal static void MapCore(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/core", () =>
                OperationTable.All.Values.Select(o => new OperationInfo(
                    o.Name,
                    o.Description,
                    o.Longest,
                    Schema(o.Request),
                    Schema(o.Response),
                    o.Ranges
                ))
            )
            .WithTags("core")
            .WithSummary("All operations, each with one line and its schemas.")
            .RequireRateLimiting(RateLimit)
            .For(AccessLevel.Anyone, form: false);
        app.MapGet("/api/kinds", () =>
                EntryKinds.All.Values.Select(k => new KindInfo(k.Name, k.Version, k.Description, Schema(k.Body), Ranges.Of(k.Body)))
            )
            .WithTags("entries")
            .WithSummary("All kinds of entry, each with the schema of its body.")
            .RequireRateLimiting(RateLimit)
            .For(AccessLevel.Anyone, form: false);
        foreach (var operation in OperationTable.All.Values)
        {
            app.MapPost("/api/core/" + operation.Name, (HttpRequest request, CancellationToken cancel) =>
                    RunAsync(operation, request, cancel)
                )
                .WithTags("core")
                .WithName(operation.Name)
                .WithSummary(operation.Description)
                .RequireRateLimiting(RateLimit)
                .For(operation.Cost == OperationCost.Light ? AccessLevel.Anyone : AccessLevel.SignedIn, form: false)
                .Accepts(operation.Request.Type, "application/json")
                .Produces(StatusCodes.Status200OK, operation.Response.Type, "application/json")
                .ProducesProblem(StatusCodes.Status400BadRequest)
                .ProducesProblem(StatusCodes.Status413PayloadTooLarge)
                .ProducesProblem(StatusCodes.Status429TooManyRequests);
        }
    }

    private static async Task<IResult> RunAsync(Operation operation, HttpRequest request, CancellationToken cancel)
    {
        if (request.HttpContext.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit)
        {
            limit.MaxRequestBodySize = operation.Longest;
        }

        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, cancel);
        var given = body.GetBuffer().AsMemory(0, (int)body.Length);
        try
        {
            using (var json = JsonDocument.Parse(given))
            {
                if (operation.Fault(json.RootElement) is { } fault)
                {
                    return Unshaped($"{fault}.", operation);
                }
            }

            // One processor is left to those who deliver.
            var door = operation.Cost == OperationCost.Heavy ? Heavy : null;
            await (door?.WaitAsync(cancel) ?? Task.CompletedTask);
            try
            {
                return Results.Bytes(operation.Invoke(given.Span), "application/json; charset=utf-8");
            }
            finally
            {
                door?.Release();
            }
        }
        catch (JsonException e)
        {
            return Unshaped(e.Message, operation);
        }
        catch (Exception e) when (e is ArgumentOutOfRangeException or OverflowException)
        {
            return Results.Problem(
                $"{e.Message} Nothing was worked out. Look at the units and the signs.",
                statusCode: StatusCodes.Status400BadRequest,
                title: $"A number in it is outside what {operation.Name} works with."
            );
        }
    }

    private static IResult Unshaped(string seen, Operation operation) =>
        Results.Problem(
            $"{seen} See GET /api/core for the shape of {operation.Name}.",
            statusCode: StatusCodes.Status400BadRequest,
            title: "The request is not of the operation’s shape."
        );

    // Core’s own description of an answer can only write it; the server reads the type itself.
    private static JsonNode Schema(JsonTypeInfo type) =>
        Described.GetJsonSchemaAsNode(type.Type, new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true });
}
