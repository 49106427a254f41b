using System.Security.Cryptography;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Server.Hosting;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>The files of logged casts, kept as they came from the meter, beside the database. A file is named by the SHA-256 of its bytes,
/// so that sending it twice is harmless.</summary>
internal static class CastFileEndpoints
{
    // A million rows of eighty characters, and room.
    private const long LargestFile = 128L * 1024 * 1024;

    internal static void MapCastFiles(this IEndpointRouteBuilder app)
    {
        app.MapPut("/api/visits/{visit:guid}/casts/{sha256}", KeepAsync)
            .For(AccessLevel.Works)
            .WithName("keep-cast-file")
            .WithTags("entries")
            .WithSummary("Keeps the file of a logged cast that an entry of the visit names; at most 128 MB.")
            .Accepts<string>("text/csv")
            .Produces(StatusCodes.Status204NoContent)
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge);
        app.MapGet("/api/visits/{visit:guid}/casts/{sha256}", ShowAsync)
            .For(AccessLevel.SignedIn)
            .WithName("cast-file")
            .WithTags("entries")
            .WithSummary("The file of a logged cast as it came from the meter.")
            .Produces<string>(StatusCodes.Status200OK, "text/csv")
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static async Task<IResult> KeepAsync(
        Guid visit,
        string sha256,
        HttpContext http,
        FieldBook book,
        Caller caller,
        Instance instance,
        CancellationToken cancel
    )
    {
        if (await WaterAsync(book, visit, sha256, cancel) is not { } water)
        {
            return Unknown;
        }

        if (!caller.May.Samples(water))
        {
            return Gate.Refused;
        }

        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit)
        {
            limit.MaxRequestBodySize = LargestFile;
        }

        var whole = instance.CastFile(sha256)!;
        Directory.CreateDirectory(Path.GetDirectoryName(whole)!);
        if (File.Exists(whole))
        {
            return Results.NoContent();
        }

        var part = $"{whole}.{Guid.NewGuid():N}.part";
        try
        {
            if (await CopyAsync(http.Request.Body, part, cancel) != sha256)
            {
                return Results.Problem(
                    "It would be kept under a name that is not its own. Nothing was kept; send it again.",
                    statusCode: StatusCodes.Status400BadRequest,
                    title: "The file is not the one that the entry names."
                );
            }

            File.Move(part, whole, overwrite: true);
            return Results.NoContent();
        }
        finally
        {
            File.Delete(part);
        }
    }

    private static async Task<string> CopyAsync(Stream body, string path, CancellationToken cancel)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        await using var file = File.Create(path);
        var buffer = new byte[81920];
        int read;
        while ((read = await body.ReadAsync(buffer, cancel)) > 0)
        {
            hash.AppendData(buffer, 0, read);
            await file.WriteAsync(buffer.AsMemory(0, read), cancel);
        }

        file.Flush(flushToDisk: true);
        return Convert.ToHexStringLower(hash.GetHashAndReset());
    }

    private static async Task<IResult> ShowAsync(
        Guid visit,
        string sha256,
        FieldBook book,
        Caller caller,
        Instance instance,
        CancellationToken cancel
    )
    {
        var path = await WaterAsync(book, visit, sha256, cancel) is { } water && caller.May.Sees(water) ? instance.CastFile(sha256) : null;
        return path is not null && File.Exists(path) ? Results.File(path, "text/csv", $"cast-{sha256[..8]}.csv") : Unknown;
    }

    // The water whose visit names the file; null where no entry does: the name comes from an entry, never from the address alone, and
    // nothing else is written or shown.
    private static async Task<string?> WaterAsync(FieldBook book, Guid visit, string sha256, CancellationToken cancel)
    {
        if (sha256.Length != 64 || !sha256.All(char.IsAsciiHexDigitLower))
        {
            return null;
        }

        var rows = await book
            .Entries.AsNoTracking()
            .Where(e => e.Visit == visit && e.Kind == ProfileKinds.LoggedCast.Name)
            .ToListAsync(cancel);
        return rows.Any(r => ProfileKinds.LoggedCast.Read(r.ToEntry().Body)?.Sha256 == sha256)
            ? await book.WaterOfAsync(visit, cancel)
            : null;
    }

    private static IResult Unknown =>
        Results.Problem(
            "No entry of that visit names it, or the visit is of a water that you do not see. Deliver the entries first.",
            statusCode: StatusCodes.Status404NotFound,
            title: "No such cast."
        );
}
