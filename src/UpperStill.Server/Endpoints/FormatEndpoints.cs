using UpperStill.Core.Setup.Waters;
using UpperStill.Formats.Shapes;
using UpperStill.Formats.Tracks;
using UpperStill.Server.People;

namespace UpperStill.Server.Endpoints;

/// <summary>Files that are read and not kept.</summary>
internal static class FormatEndpoints
{
    internal static void MapFormats(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/formats").WithTags("formats").For(AccessLevel.Works);
        group
            .MapPost("/shape", async (HttpRequest request, CancellationToken cancel) => await GeoJsonShape.ReadAsync(request.Body, cancel))
            .WithName("read-shape")
            .WithSummary("Reads a water’s outline and depth contours from GeoJSON; nothing is kept.")
            .Accepts<object>("application/geo+json");
        group
            .MapPost("/track", ReadTrackAsync)
            .WithName("read-track")
            .WithSummary("Proposes the deepest place from a track: GPX, or lines of latitude, longitude and depth; nothing is kept.")
            .Accepts<string>("application/gpx+xml", "text/plain")
            .Produces<ScoutResult>();
    }

    private static async Task<ScoutResult> ReadTrackAsync(HttpRequest request, CancellationToken cancel)
    {
        if (request.ContentType?.StartsWith("text/plain", StringComparison.Ordinal) == true)
        {
            using var reader = new StreamReader(request.Body);
            return ScoutTrack.Read(await reader.ReadToEndAsync(cancel));
        }

        // The body may be read asynchronously only; the server has limited its size.
        using var whole = new MemoryStream();
        await request.Body.CopyToAsync(whole, cancel);
        whole.Position = 0;
        var (points, fault) = GpxTrack.Read(whole);
        return fault is null ? ScoutTrack.Work(new ScoutRequest(points)) : new ScoutResult([fault], null, 0);
    }
}
