using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Findings;
using UpperStill.Core.Operations;
using UpperStill.Core.Places;
using UpperStill.Formats.Shapes;
using UpperStill.Formats.Tracks;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A water in the list.</summary>
/// <param name="Water">The water.</param>
/// <param name="Stations">How many stations it has.</param>
/// <param name="MayChange">True where the caller may set it up.</param>
public sealed record WaterInfo(Water Water, int Stations, bool MayChange);

/// <summary>What was kept, and what to look at.</summary>
/// <param name="Kept">True where it is kept.</param>
/// <param name="Findings">Nothing is kept where one of them is a stop.</param>
/// <param name="Meant">Where a position lies inside only when read another way: that reading.</param>
public sealed record SetupAnswer(bool Kept, IReadOnlyList<FieldFinding> Findings, Position? Meant = null);

/// <summary>A station as it is set up.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">The code of the programme it is sampled under.</param>
/// <param name="Line">The line proposed for a visit.</param>
/// <param name="Weekdays">Days of the week on which its people can go, Sunday = 0; empty where any will do.</param>
public sealed record StationSetup(Station Station, string Programme, string? Line = null, IReadOnlyList<int>? Weekdays = null);

/// <summary>A water with its stations.</summary>
/// <param name="Water">The water.</param>
/// <param name="Stations">Its stations.</param>
/// <param name="MayChange">True where the caller may set it up.</param>
public sealed record WaterDetail(Water Water, IReadOnlyList<StationSetup> Stations, bool MayChange);

/// <summary>Waters, set up by their coordinators.</summary>
internal static class WaterEndpoints
{
    internal static void MapWaters(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/waters").WithTags("waters");
        group.MapGet("/", async (FieldBook book, Caller caller, CancellationToken cancel) =>
            {
                var stations = await book.Stations.GroupBy(s => s.Water).Select(g => new { g.Key, Count = g.Count() }).ToDictionaryAsync(g => g.Key, g => g.Count, cancel);
                return (await book.Waters.AsNoTracking().ToListAsync(cancel)).Where(w => caller.May.Sees(w.Code))
                    .Select(w => new WaterInfo(w.Read(), stations.GetValueOrDefault(w.Code), caller.May.Coordinates(w.Code))).OrderBy(w => w.Water.Name, StringComparer.OrdinalIgnoreCase);
            })
            .For(AccessLevel.SignedIn).WithName("waters").WithSummary("The waters that the caller may see.");
        group.MapGet("/{code}", DetailAsync).For(AccessLevel.SignedIn).WithName("water").WithSummary("A water with its stations.")
            .Produces<WaterDetail>().ProducesProblem(StatusCodes.Status404NotFound);
        app.MapPut("/api/stations/{code}", KeepStationAsync).For(AccessLevel.Works).WithName("keep-station").WithTags("stations")
            .WithSummary("Sets up a station, or changes one.").Produces<SetupAnswer>().ProducesProblem(StatusCodes.Status403Forbidden).ProducesProblem(StatusCodes.Status404NotFound);
        app.MapPost("/api/formats/shape", async (HttpRequest request, CancellationToken cancel) => await GeoJsonShape.ReadAsync(request.Body, cancel))
            .For(AccessLevel.Works).WithName("read-shape").WithTags("formats").WithSummary("Reads a water’s outline and depth contours from GeoJSON; nothing is kept.")
            .Accepts<object>("application/geo+json");
        app.MapPost("/api/formats/track", ReadTrackAsync).For(AccessLevel.Works).WithName("read-track").WithTags("formats")
            .WithSummary("Proposes the deepest place from a track: GPX, or lines of latitude, longitude and depth; nothing is kept.")
            .Accepts<string>("application/gpx+xml", "text/plain").Produces<ScoutResult>();
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
        if (!findings.MaySave())
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

    private static async Task<IResult> DetailAsync(string code, FieldBook book, Caller caller, CancellationToken cancel)
    {
        if (!caller.May.Sees(code) || await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == code, cancel) is not { } row)
        {
            return Unknown(code);
        }

        var stations = await book.Stations.AsNoTracking().Where(s => s.Water == code).OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel);
        return Results.Ok(new WaterDetail(row.Read(), [.. stations.Select(s => new StationSetup(s.Read(), s.Programme, s.Line, s.ReadWeekdays()))], caller.May.Coordinates(code)));
    }

    private static async Task<IResult> KeepStationAsync(string code, StationSetup given, FieldBook book, Caller caller, TimeProvider clock, CancellationToken cancel)
    {
        var row = await book.Stations.FirstOrDefaultAsync(s => s.Code == code, cancel);
        var place = row?.Water ?? given.Station.WaterCode;
        if (!caller.May.Coordinates(place))
        {
            return Gate.Refused;
        }

        if (await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == place, cancel) is not { } waterRow)
        {
            return Unknown(place);
        }

        var water = waterRow.Read();
        var station = given.Station with { Code = code, WaterCode = place, Water = water.Name, District = water.District };
        var others = (await book.Stations.AsNoTracking().Where(s => s.Code != code).ToListAsync(cancel)).Select(s => s.Read());
        List<FieldFinding> findings = [.. StationCheck.Findings(station, water, [.. others])];
        if (!await book.Programmes.AnyAsync(p => p.Code == given.Programme, cancel))
        {
            findings.Add(Finding.Stop("programme-missing", "The station has no programme.", "Schools, limits and dates come from it.", "Choose one; set it up first where there is none.").At("programme"));
        }

        if (given.Line is not null && !await book.Lines.AnyAsync(l => l.Code == given.Line, cancel))
        {
            findings.Add(Finding.Stop("line-unknown", $"No line “{given.Line}” is in the kit.", "Depths could not be read from it.", "Choose one of the kit, or none.").At("line"));
        }

        if (!findings.MaySave())
        {
            return Results.Ok(new SetupAnswer(false, findings, StationCheck.Meant(new Position(station.LatitudeDeg, station.LongitudeDeg), water.Outline)));
        }

        var after = JsonSerializer.Serialize(station, CoreJson.Default.Station);
        book.Note(caller.Name, clock.GetUtcNow(), "station", code, row?.Definition, after);
        if (row is null)
        {
            row = new StationRow { Code = code, Water = place, Definition = after, Programme = given.Programme, Ordinal = await book.Stations.MaxAsync(s => (int?)s.Ordinal, cancel) + 1 ?? 0 };
            book.Stations.Add(row);
        }

        (row.Definition, row.Programme, row.Line) = (after, given.Programme, given.Line);
        row.Weekdays = string.Join(',', (given.Weekdays ?? []).Where(d => d is >= 0 and <= 6).Distinct().Order());
        await book.SaveChangesAsync(cancel);
        return Results.Ok(new SetupAnswer(true, findings));
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

    private static IResult Unknown(string water) =>
        Results.Problem("Choose one from GET /api/waters.", statusCode: StatusCodes.Status404NotFound, title: $"No water “{water}” is known here.");
}
