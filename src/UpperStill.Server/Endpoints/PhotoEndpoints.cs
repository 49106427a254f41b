using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Record.Described;
using UpperStill.Formats.Photos;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A photograph that was kept.</summary>
/// <param name="Id">Its identity.</param>
public sealed record PhotoKept(Guid Id);

/// <summary>Photographs of landmarks, and those that were taken on a visit.</summary>
internal static class PhotoEndpoints
{
    private const long MostOfAWater = 100 * 1024 * 1024;

    private static readonly (string Type, byte[] Begin)[] Kinds =
    [
        ("image/jpeg", [0xFF, 0xD8, 0xFF]),
        ("image/png", [0x89, 0x50, 0x4E, 0x47]),
    ];

    internal static void MapPhotos(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/waters/{water}/photos", KeepAsync)
            .For(AccessLevel.Works)
            .WithName("keep-photo")
            .WithTags("photos")
            .WithSummary(
                "Keeps a photograph of a water: JPEG or PNG, at most 1 MB, without the position and words that the camera wrote into it."
            )
            .Accepts<byte[]>("image/jpeg", "image/png")
            .Produces<PhotoKept>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status409Conflict);
        app.MapPut("/api/visits/{visit:guid}/photos/{id:guid}", KeepOfVisitAsync)
            .For(AccessLevel.Works)
            .WithName("keep-visit-photo")
            .WithTags("photos")
            .WithSummary("Keeps a photograph that an entry of the visit names; sending it twice is harmless. JPEG or PNG, at most 1 MB.")
            .Accepts<byte[]>("image/jpeg", "image/png")
            .Produces(StatusCodes.Status204NoContent)
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status409Conflict);
        app.MapGet("/api/photos/{id:guid}", ShowAsync)
            .For(AccessLevel.SignedIn)
            .WithName("photo")
            .WithTags("photos")
            .WithSummary("A photograph, for who sees its water.")
            .Produces<byte[]>(StatusCodes.Status200OK, "image/jpeg")
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static async Task<IResult> KeepAsync(
        string water,
        HttpRequest request,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (!caller.May.Sees(water) || !await book.Waters.AnyAsync(w => w.Code == water, cancel))
        {
            return WaterEndpoints.Unknown(water);
        }

        if (!caller.May.Samples(water))
        {
            return Gate.Refused;
        }

        var photo = Guid.CreateVersion7();
        return await StoreAsync(photo, water, request, book, caller, clock, cancel) ?? Results.Ok(new PhotoKept(photo));
    }

    private static async Task<IResult> KeepOfVisitAsync(
        Guid visit,
        Guid id,
        HttpRequest request,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        // The name comes from an entry, never from the address alone.
        var named = (
            await book
                .Entries.AsNoTracking()
                .Where(e => e.Visit == visit && e.Kind == ObservationKinds.Observation.Name)
                .ToListAsync(cancel)
        ).Any(e => ObservationKinds.Observation.Read(e.ToEntry().Body)?.Value.Photo == id);
        if (!named || await book.WaterOfAsync(visit, cancel) is not { } water)
        {
            return Results.Problem(
                "No entry of that visit names it, or the visit is of a water that you do not see. Deliver the entries first.",
                statusCode: StatusCodes.Status404NotFound,
                title: "No such photograph."
            );
        }

        if (!caller.May.Samples(water))
        {
            return Gate.Refused;
        }

        return await book.Photos.AnyAsync(p => p.Id == id, cancel)
            ? Results.NoContent()
            : await StoreAsync(id, water, request, book, caller, clock, cancel) ?? Results.NoContent();
    }

    // Null once it is kept.
    private static async Task<IResult?> StoreAsync(
        Guid id,
        string water,
        HttpRequest request,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        using var whole = new MemoryStream();
        await request.Body.CopyToAsync(whole, cancel);
        var bytes = whole.ToArray();

        // By what it holds, not by what it is called: it is shown to others.
        var kind = Kinds.FirstOrDefault(k => bytes.AsSpan().StartsWith(k.Begin));
        if (kind.Type is null || PhotoMetadata.Without(bytes) is not { } plain)
        {
            return Results.Problem(
                "Others could not look at it. Bring a JPEG or PNG file.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "This is not a photograph."
            );
        }

        if (await book.Photos.Where(p => p.Water == water).SumAsync(p => (long)p.Bytes.Length, cancel) + plain.Length > MostOfAWater)
        {
            return Results.Problem(
                "Backups and packages carry every photograph. Nothing was kept; bring a smaller one, or ask who runs this instance.",
                statusCode: StatusCodes.Status409Conflict,
                title: $"This water has {MostOfAWater / (1024 * 1024)} MB of photographs already."
            );
        }

        var photo = new PhotoRow
        {
            Id = id,
            Water = water,
            ContentType = kind.Type,
            Bytes = plain,
            By = caller.Name,
            At = clock.GetUtcNow(),
        };
        book.Photos.Add(photo);
        await book.SaveChangesAsync(cancel);
        return null;
    }

    private static async Task<IResult> ShowAsync(Guid id, HttpResponse response, FieldBook book, Caller caller, CancellationToken cancel)
    {
        if (await book.Photos.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, cancel) is not { } photo || !caller.May.Sees(photo.Water))
        {
            return Results.Problem(
                "It is not here, or of a water that you do not see.",
                statusCode: StatusCodes.Status404NotFound,
                title: "No such photograph."
            );
        }

        response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.Bytes(photo.Bytes, photo.ContentType);
    }
}
