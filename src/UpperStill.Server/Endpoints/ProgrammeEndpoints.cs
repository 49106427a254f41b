using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A programme in the list.</summary>
/// <param name="Programme">Its newest version.</param>
/// <param name="Stations">The stations that follow it, as far as the caller sees their waters.</param>
public sealed record ProgrammeInfo(Programme Programme, IReadOnlyList<string> Stations);

/// <summary>A programme to be kept as a new version.</summary>
/// <param name="Programme">The rules; the version is counted by the server.</param>
/// <param name="Keep">False to be shown what would break.</param>
public sealed record ProgrammeGiven(Programme Programme, bool Keep);

/// <summary>What became of a programme.</summary>
/// <param name="Kept">True where it is kept.</param>
/// <param name="Version">The version it was kept as, or would be.</param>
/// <param name="Findings">Nothing is kept where one is a stop.</param>
/// <param name="Breaks">Methods that differ from the version before so that a series breaks.</param>
/// <param name="Stations">The stations whose series would break.</param>
public sealed record ProgrammeAnswer(
    bool Kept,
    int Version,
    IReadOnlyList<FieldFinding> Findings,
    IReadOnlyList<string> Breaks,
    IReadOnlyList<string> Stations
);

/// <summary>What a programme may choose.</summary>
/// <param name="Methods">Ways of doing a step.</param>
/// <param name="Thresholds">Numbers.</param>
/// <param name="Samples">Sorts of samples.</param>
public sealed record MethodList(
    [property: JsonPropertyName("schools")] IReadOnlyList<Method> Methods,
    [property: JsonPropertyName("limits")] IReadOnlyList<Threshold> Thresholds,
    IReadOnlyList<SampleType> Samples
);

/// <summary>Programmes and their versions.</summary>
internal static class ProgrammeEndpoints
{
    internal static void MapProgrammes(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/programmes").WithTags("programmes");
        group
            .MapGet("/", ListAsync)
            .For(AccessLevel.SignedIn)
            .WithName("programmes")
            .WithSummary("The newest version of every programme, with those of its stations that you see.");
        group.MapGet("/presets", () => Presets.All).For(AccessLevel.SignedIn).WithName("presets").WithSummary("Programmes to begin from.");
        group
            .MapGet("/schools", () => new MethodList(VisitParts.Options.Methods, VisitParts.Options.Thresholds, SampleTypes.All))
            .For(AccessLevel.SignedIn)
            .WithName("schools")
            .WithSummary("Every method and limit that a programme may choose, explained.");
        group
            .MapGet("/schema", () =>
                CoreJson.Default.Programme.GetJsonSchemaAsNode(new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true })
            )
            .For(AccessLevel.Anyone)
            .WithName("programme-schema")
            .WithSummary("The JSON schema of a programme’s file.")
            .Produces<JsonNode>();
        group
            .MapGet("/own/schema", () =>
                CoreJson.Default.ComposedProtocol.GetJsonSchemaAsNode(
                    new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true }
                )
            )
            .For(AccessLevel.Anyone)
            .WithName("own-protocol-schema")
            .WithSummary("The JSON schema of the file of a protocol of a group's own.")
            .Produces<JsonNode>();
        group
            .MapGet("/{code}/{version:int}", async (string code, int version, FieldBook book, CancellationToken cancel) =>
                await book.ProgrammeAsync(code, version, cancel) is { } programme ? Results.Ok(programme) : Unknown(code)
            )
            .For(AccessLevel.SignedIn)
            .WithName("programme")
            .WithSummary("One version of a programme: also the file to hand to another group.")
            .Produces<Programme>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/", AddAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("add-programme")
            .WithSummary("Keeps a new programme; its code comes from its name.")
            .Produces<ProgrammeAnswer>();
        group
            .MapPut("/{code}", ChangeAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("change-programme")
            .WithSummary("Keeps a programme as a new version, or says what that would break.")
            .Produces<ProgrammeAnswer>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/read", ReadAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("read-programme")
            .WithSummary("Reads a programme’s file; nothing is kept. A broken one is refused with the line and the reason.")
            .Accepts<Programme>("application/json")
            .Produces<Programme>()
            .ProducesProblem(StatusCodes.Status400BadRequest);
    }

    private static async Task<IReadOnlyList<ProgrammeInfo>> ListAsync(FieldBook book, Caller caller, CancellationToken cancel)
    {
        var stations = (await book.StationsAsync(caller.May, cancel)).ToLookup(s => s.Programme, s => s.Code);
        return
        [
            .. (await book.Programmes.AsNoTracking().ToListAsync(cancel))
                .GroupBy(p => p.Code, StringComparer.Ordinal)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => new ProgrammeInfo(
                    JsonSerializer.Deserialize(g.MaxBy(p => p.Version)!.Definition, CoreJson.Default.Programme)!,
                    [.. stations[g.Key]]
                )),
        ];
    }

    private static async Task<IResult> AddAsync(
        Programme given,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var programme = given with { Code = Codes.From(given.Name) is { Length: > 0 } code ? code : given.Code };
        if (await book.ProgrammeAsync(programme.Code, null, cancel) is not { } twin)
        {
            return await KeepAsync(new ProgrammeGiven(programme, true), null, book, caller, clock, cancel);
        }

        var used = Finding
            .Stop(
                "name-used",
                $"There is a programme called {twin.Name} already.",
                "The stations that follow it would follow this one from then on.",
                "Change that one, or give this another name."
            )
            .At("name");
        return Results.Ok(new ProgrammeAnswer(false, 1, [used], [], []));
    }

    private static async Task<IResult> ChangeAsync(
        string code,
        int version,
        ProgrammeGiven given,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    ) =>
        await book.ProgrammeAsync(code, null, cancel) is { } before
            ? await Stale.AnswerAsync(book, "programme", code, version, before.Version, cancel)
                ?? await KeepAsync(given with { Programme = given.Programme with { Code = code } }, before, book, caller, clock, cancel)
            : Unknown(code);

    private static async Task<IResult> KeepAsync(
        ProgrammeGiven given,
        Programme? before,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var programme = Publishing.Counted(before, given.Programme with { Version = (before?.Version ?? 0) + 1 });
        IReadOnlyList<FieldFinding> findings =
        [
            .. ProgrammeCheck.Findings(programme, VisitParts.Options),
            .. await OwnReadings.FindingsAsync(book, programme, cancel),
        ];
        var breaks = before is null ? [] : ProgrammeCheck.Breaks(before, programme, VisitParts.Options);
        var stations =
            breaks.Count == 0
                ? []
                : await book
                    .Stations.Where(s => s.Programme == programme.Code)
                    .OrderBy(s => s.Ordinal)
                    .Select(s => s.Code)
                    .ToListAsync(cancel);
        if (!given.Keep || !findings.MaySave())
        {
            return Results.Ok(new ProgrammeAnswer(false, programme.Version, findings, breaks, stations));
        }

        // A version stays as it is for ever: visits name it.
        var after = JsonSerializer.Serialize(programme, CoreJson.Default.Programme);
        book.Programmes.Add(
            new ProgrammeRow
            {
                Code = programme.Code,
                Version = programme.Version,
                Definition = after,
            }
        );
        book.Note(
            caller.Name,
            clock.GetUtcNow(),
            "programme",
            programme.Code,
            before is null ? null : JsonSerializer.Serialize(before, CoreJson.Default.Programme),
            after
        );
        await book.SaveChangesAsync(cancel);
        return Results.Ok(new ProgrammeAnswer(true, programme.Version, findings, breaks, stations));
    }

    private static async Task<IResult> ReadAsync(HttpRequest request, CancellationToken cancel)
    {
        try
        {
            return await JsonSerializer.DeserializeAsync(request.Body, CoreJson.Default.Programme, cancel) is { } programme
                ? Results.Ok(programme)
                : Broken("It is empty.", null);
        }
        catch (JsonException e)
        {
            return Broken(e.Message, e.LineNumber);
        }
    }

    private static IResult Broken(string why, long? line) =>
        Results.Problem(
            $"{why} See GET /api/programmes/schema.",
            statusCode: StatusCodes.Status400BadRequest,
            title: line is { } number ? $"The file is not a programme: line {number + 1}." : "The file is not a programme."
        );

    private static IResult Unknown(string code) =>
        Results.Problem("See GET /api/programmes.", statusCode: StatusCodes.Status404NotFound, title: $"No such version of “{code}”.");
}
