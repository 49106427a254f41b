using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Formats.Labels;
using UpperStill.Formats.Manifests;
using UpperStill.Server.Hosting;
using UpperStill.Server.Ledger;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>What the laboratory has to say, and what was written of it.</summary>
/// <param name="Simulated">True where it is made up.</param>
/// <param name="ReadyAt">When to ask again; null where nothing more comes.</param>
/// <param name="Rejected">How many vials it rejected.</param>
/// <param name="FileName">Name of the results file; null while it works.</param>
/// <param name="File">The file.</param>
public sealed record LaboratoryAnswer(bool Simulated, DateTimeOffset? ReadyAt, int Rejected, string? FileName = null, string? File = null);

/// <summary>The ledger: samples, manifests, and the laboratory's answers.</summary>
internal static class LedgerEndpoints
{
    private const int DoorDays = 45;
    private const string StandIn = "the simulated laboratory";

    internal static void MapLedger(this IEndpointRouteBuilder app)
    {
        var samples = app.MapGroup("/api/samples").WithTags("ledger").For(AccessLevel.SignedIn);
        samples
            .MapGet("/", (long? since, LedgerDesk desk, CancellationToken cancel) => desk.SinceAsync(since ?? 0, cancel))
            .WithName("samples")
            .WithSummary("The samples that changed since a place in the log; without one, all that are under way or of the last weeks.");
        samples
            .MapGet("/{number}", (string number, LedgerDesk desk, CancellationToken cancel) => desk.FindAsync(number, cancel))
            .WithName("sample")
            .WithSummary("The sample with a number, with or without its check character; none or two where that is so.");
        samples
            .MapGet("/{number}/code", (string number) =>
                SampleNumber.Read(number).Number is { } read
                    ? Results.Ok(QrPath.Of(read))
                    : Results.Problem(
                        "Type what stands under the QR code of a label.",
                        statusCode: StatusCodes.Status404NotFound,
                        title: "That is not a sample’s number."
                    )
            )
            .WithName("sample-code")
            .WithSummary("A sample number as a QR code.")
            .Produces<QrPath>()
            .ProducesProblem(StatusCodes.Status404NotFound);

        var manifests = app.MapGroup("/api/manifests").WithTags("ledger").For(AccessLevel.SignedIn);
        manifests
            .MapGet("/", (LedgerDesk desk, CancellationToken cancel) => desk.ManifestsAsync(cancel))
            .WithName("manifests")
            .WithSummary("The last manifests, newest first.");
        manifests
            .MapGet("/{id:guid}", async (Guid id, LedgerDesk desk, CancellationToken cancel) =>
                await desk.ManifestAsync(id, cancel) is { } manifest ? Results.Ok(manifest) : Unknown
            )
            .WithName("manifest")
            .WithSummary("Samples that left together.")
            .Produces<Manifest>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        manifests
            .MapGet("/{id:guid}/manifest.csv", async (Guid id, LedgerDesk desk, CancellationToken cancel) =>
                await desk.ManifestAsync(id, cancel) is { } manifest
                    ? Results.Text(ManifestCsv.Write(manifest.Samples), "text/csv; charset=utf-8")
                    : Unknown
            )
            .WithName("manifest-csv")
            .WithSummary("A manifest as CSV.")
            .Produces<string>(StatusCodes.Status200OK, "text/csv")
            .ProducesProblem(StatusCodes.Status404NotFound);
        app.MapPost("/api/manifests/{id:guid}/answer", AskAsync)
            .For(AccessLevel.Writes)
            .WithName("ask-laboratory")
            .WithTags("ledger")
            .WithSummary(
                "Asks the laboratory what it has to say of a manifest; what it took in and rejected is written down, results come as a file."
            )
            .Produces<LaboratoryAnswer>()
            .ProducesProblem(StatusCodes.Status404NotFound);

        app.MapGet("/api/laboratory/door", DoorAsync)
            .For(AccessLevel.SignedIn)
            .WithName("laboratory-door")
            .WithTags("ledger")
            .WithSummary("When the laboratory takes samples in over the next weeks, as instants; nothing where none is set up.")
            .Produces<LabDoor>();
    }

    private static async Task<IResult> DoorAsync(
        FieldBook book,
        ILaboratoryLink link,
        Instance instance,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (await book.LaboratoryAsync(cancel) is not { } laboratory)
        {
            return Results.NoContent();
        }

        // The laboratory stands where the group's waters are.
        var water = await book.Waters.AsNoTracking().OrderBy(w => w.Code).FirstOrDefaultAsync(cancel);
        var zone = water is null ? TimeZoneInfo.Utc : TimeZoneInfo.FindSystemTimeZoneById(water.Read().TimeZone);
        var today = DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(clock.GetUtcNow(), zone).DateTime);
        return Results.Ok(LabDoor.Of(laboratory, today, DoorDays, zone, Answers(link, instance)));
    }

    private static async Task<IResult> AskAsync(
        Guid id,
        LedgerDesk desk,
        ILaboratoryLink link,
        Instance instance,
        LogBook log,
        FieldBook book,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (!Answers(link, instance))
        {
            return Results.Problem(
                "Bring its results file in when it comes.",
                statusCode: StatusCodes.Status404NotFound,
                title: "No laboratory answers here by itself."
            );
        }

        if (await desk.ManifestAsync(id, cancel) is not { } manifest)
        {
            return Unknown;
        }

        var answer = await link.AskAsync(
            id,
            manifest.LeftAt,
            [.. manifest.Samples.Select(s => new LabItem(s.Number, s.Station, s.Day, s.Type, s.VolumeMl, s.Kin == SampleKin.Blank))],
            cancel
        );
        if (answer.FileName is not null)
        {
            await WriteAsync(manifest, answer, log, book, clock, cancel);
        }

        return Results.Ok(new LaboratoryAnswer(link.Simulated, answer.ReadyAt, answer.Rejected.Count, answer.FileName, answer.File));
    }

    // Made-up results belong into the demo only, never into a group's record.
    private static bool Answers(ILaboratoryLink link, Instance instance) => link.Simulated && instance.Demo;

    // What a real laboratory's people would write themselves. Asking again writes nothing twice: only what is still on the road is taken
    // in.
    private static async Task WriteAsync(
        Manifest manifest,
        LabAnswer answer,
        LogBook log,
        FieldBook book,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var now = clock.GetLocalNow();
        List<Entry> entries = [];
        foreach (var visit in manifest.Samples.Where(s => s.State == SampleState.HandedOver).GroupBy(s => s.Visit))
        {
            entries.Add(
                Make(
                    visit.Key,
                    CustodyKinds.Received,
                    JsonSerializer.SerializeToElement(
                        new ReceivedBody([.. visit.Select(s => s.Number)], ArrivedAs.Good, StandIn, manifest.Id),
                        CustodyJson.Default.ReceivedBody
                    ),
                    null
                )
            );
            entries.AddRange(
                visit.Join(
                    answer.Rejected,
                    s => s.Number,
                    r => r.Number,
                    (s, r) =>
                        Make(
                            visit.Key,
                            CustodyKinds.SampleRejected,
                            JsonSerializer.SerializeToElement(new SamplesBody([s.Number]), ResultJson.Default.SamplesBody),
                            r.Why
                        )
                )
            );
        }

        if (entries.Count > 0)
        {
            await log.DeliverAsync(
                book,
                entries,
                new EntryReceipt(now, 0, StandIn),
                new Deliverer(new Core.Setup.People.Permissions([new Core.Setup.People.Grant(Core.Setup.People.Role.Laboratory)])),
                cancel
            );
        }

        Entry Make(Guid visit, EntryKind kind, JsonElement body, string? why) =>
            new(Guid.CreateVersion7(now), visit, kind.Name, kind.Version, body, now, StandIn, "stand-in", null, why);
    }

    private static IResult Unknown =>
        Results.Problem(
            "Its hand-over may not have reached this server yet, or it is of waters that you do not see.",
            statusCode: StatusCodes.Status404NotFound,
            title: "No such manifest is known here."
        );
}
