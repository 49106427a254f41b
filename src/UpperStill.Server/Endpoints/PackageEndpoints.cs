using System.Globalization;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Basis.Findings;
using UpperStill.Server.Hosting;
using UpperStill.Server.Packages;
using UpperStill.Server.People;
using UpperStill.Server.Seasons;
using UpperStill.Store;

namespace UpperStill.Server.Endpoints;

/// <summary>The record as a package, out and in.</summary>
internal static class PackageEndpoints
{
    private const long LargestPackage = 1024L * 1024 * 1024;

    internal static void MapPackages(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/export", ExportAsync)
            .For(AccessLevel.Works)
            .WithName("export")
            .WithTags("open data")
            .WithSummary(
                "A station, a water or everything as a Data Package: tables as CSV with a descriptor, stations as GeoJSON, dates to "
                    + "come as iCalendar; it restores an instance."
            )
            .Produces<byte[]>(StatusCodes.Status200OK, "application/zip")
            .ProducesProblem(StatusCodes.Status404NotFound);
        app.MapPost("/api/import/package", ImportAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("import-package")
            .WithTags("open data")
            .WithSummary("Brings a package into an instance that holds nothing yet: all of it or nothing.")
            .Accepts<byte[]>("application/octet-stream")
            .Produces<PackageAnswer>();
    }

    private static async Task<IResult> ExportAsync(
        string? water,
        string? station,
        HttpContext http,
        FieldBook book,
        PackageExport export,
        SeasonDesk season,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var all = await book.Stations.AsNoTracking().ToListAsync(cancel);
        var seen = all.Where(s =>
                caller.May.Samples(s.Water) && (water is null || s.Water == water) && (station is null || s.Code == station)
            )
            .Select(s => s.Code)
            .ToHashSet();
        var whole = water is null && station is null && caller.May.CoordinatesAll;
        if (seen.Count == 0 && !whole)
        {
            return station is not null ? StationEndpoints.Unknown(station) : WaterEndpoints.Unknown(water ?? "any");
        }

        var dates = await season.DatesAsync(caller.May, seen, cancel);

        // The archive is written as it is made; its format is written in small steps that cannot wait.
        http.Features.Get<IHttpBodyControlFeature>()!.AllowSynchronousIO = true;
        var name =
            $"upper-still-{station ?? water ?? "everything"}-{clock.GetLocalNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}.zip";
        return Results.Stream(
            stream => export.WriteAsync(stream, $"Record of {station ?? water ?? "everything"}", seen, whole, cancel, dates),
            "application/zip",
            name
        );
    }

    private static async Task<IResult> ImportAsync(HttpContext http, PackageImport import, Instance instance, CancellationToken cancel)
    {
        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit)
        {
            limit.MaxRequestBodySize = LargestPackage;
        }

        var part = Path.Combine(instance.DataFolder, $"package-{Guid.NewGuid():N}.part");
        try
        {
            await using var file = new FileStream(
                part,
                FileMode.CreateNew,
                FileAccess.ReadWrite,
                FileShare.None,
                81920,
                FileOptions.Asynchronous
            );
            await http.Request.Body.CopyToAsync(file, cancel);
            file.Position = 0;
            return Results.Ok(await import.ReadAsync(file, cancel));
        }
        catch (PackageBrokenException e)
        {
            return Results.Ok(
                new PackageAnswer(
                    false,
                    [
                        Finding.Stop(
                            "package-broken",
                            e.Message,
                            "A part of the package is not what its descriptor says.",
                            "Nothing was kept. Export it again."
                        ) with
                        {
                            NoWayRound = true,
                        },
                    ]
                )
            );
        }
        finally
        {
            File.Delete(part);
        }
    }
}
