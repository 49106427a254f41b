using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Waters;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A station in the list.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">The programme's name.</param>
/// <param name="Changed">Grows when the station's record changes; a device fetches the record when it differs from its own.</param>
/// <param name="MaySample">True where the caller may write readings.</param>
/// <param name="Last">Its last clarity; null where there is none.</param>
public sealed record StationSummary(Station Station, string Programme, long Changed, bool MaySample, ClarityPoint? Last = null);

/// <summary>A station with all that a visit there is judged by.</summary>
/// <param name="Context">Station, programme, lines and record.</param>
/// <param name="ObserversNeeded">How many people must read.</param>
/// <param name="Line">The line proposed for a visit.</param>
/// <param name="Observers">Who read last time.</param>
/// <param name="Profiles">Its last profiles, newest first.</param>
/// <param name="Values">What its visits say of analytes, oldest first.</param>
/// <param name="Series">What is followed through the years; the points of clarity are the context's history and do not come twice.</param>
/// <param name="First">What of it is looked at first.</param>
/// <param name="MayReview">True where the caller may sign visits off and join series.</param>
/// <param name="Crew">Who read last time, with who they are.</param>
public sealed record StationRecord(
    VisitContext Context,
    int ObserversNeeded,
    string? Line,
    string? Observers,
    IReadOnlyList<EarlierProfile> Profiles,
    IReadOnlyList<StationValue> Values,
    IReadOnlyList<StationSeries> Series,
    Parameter First,
    bool MayReview,
    IReadOnlyList<NamedPerson> Crew
);

/// <summary>What a visit says of an analyte.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Day">Local day.</param>
/// <param name="Analyte">The analyte's code.</param>
/// <param name="Place">Where in the water.</param>
/// <param name="Depth">Depth or interval.</param>
/// <param name="Value">In the analyte's own unit.</param>
/// <param name="Below">True where it lies under that.</param>
/// <param name="Text">For the reader.</param>
public sealed record StationValue(
    Guid Visit,
    DateOnly Day,
    string Analyte,
    string Place,
    string Depth,
    decimal Value,
    bool Below,
    string Text
);

/// <summary>Stations and their records.</summary>
internal static class StationEndpoints
{
    private const int ProfilesBehind = 3;

    internal static void MapStations(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/stations", async (FieldBook book, Caller caller, CancellationToken cancel) =>
            {
                // What is set up counts like an entry: a device fetches anew when either has grown.
                var setUp = await book.Changes.MaxAsync(c => (long?)c.Sequence, cancel) ?? 0;
                var rows = await book.StationsAsync(caller.May, cancel);
                var programmes = await book.ProgrammesAsync(rows.Select(r => r.Programme), cancel);
                var changed = await book
                    .Stations.Select(s => new
                    {
                        s.Code,
                        Last = book.Visits.Where(v => v.Station == s.Code).Max(v => (long?)v.LastSequence),
                    })
                    .ToDictionaryAsync(s => s.Code, s => s.Last ?? 0, cancel);
                var last = (await book.LastClaritiesAsync(cancel)).ToDictionary(
                    c => c.Station,
                    c => new ClarityPoint(c.Visit, c.Day, c.Value, c.Censored == Censoring.Above, c.Usable, c.Text)
                );
                return rows.ConvertAll(row => new StationSummary(
                    row.Read(),
                    programmes[row.Programme].Name,
                    changed[row.Code] + setUp,
                    caller.May.Samples(row.Water),
                    last.GetValueOrDefault(row.Code)
                ));
            })
            .For(AccessLevel.SignedIn)
            .WithName("stations")
            .WithTags("stations")
            .WithSummary("The stations that the caller may see, with their last clarity.");
        app.MapGet(
                "/api/stations/{code}",
                async (string code, FieldBook book, Caller caller, TimeProvider clock, CancellationToken cancel) =>
                {
                    if (await book.ContextAsync(code, null, null, cancel) is not { } context || !caller.May.Sees(context.Station.WaterCode))
                    {
                        return Unknown(code);
                    }

                    var row = await book.Stations.AsNoTracking().FirstAsync(s => s.Code == code, cancel);
                    var last = await book
                        .Visits.Where(v => v.Station == code)
                        .OrderByDescending(v => v.Day)
                        .Select(v => new { v.Visit, v.Observers })
                        .FirstOrDefaultAsync(cancel);
                    var observers = last?.Observers;
                    var began = last is null
                        ? null
                        : await book
                            .Entries.AsNoTracking()
                            .Where(e => e.Visit == last.Visit && e.Kind == VisitKinds.VisitStarted.Name)
                            .OrderByDescending(e => e.Sequence)
                            .FirstOrDefaultAsync(cancel);
                    List<NamedPerson> crew = began is null ? [] : [.. VisitKinds.VisitStarted.Read(began.ToEntry().Body)?.People ?? []];

                    // Who uses this water is its people's to know; the rest of the group is not.
                    var here = (await book.Users.AsNoTracking().ToListAsync(cancel))
                        .Where(p => new Permissions(p.Grants).Sees(context.Station.WaterCode))
                        .Select(p => p.Id)
                        .ToHashSet();
                    context = context with
                    {
                        People = [.. context.People!.Where(p => here.Contains(p.Id))],
                        Others = await book.KnownAsync(code, DateOnly.FromDateTime(clock.GetLocalNow().DateTime), cancel),
                    };
                    var series = (await book.SeriesAsync([row], null, cancel))[code].Series;
                    return Results.Ok(
                        new StationRecord(
                            context,
                            context.Programme.Clarity.ObserversNeeded(),
                            row.Line,
                            observers,
                            await book.LastProfilesAsync(code, ProfilesBehind, cancel),
                            await book
                                .Readings.AsNoTracking()
                                .Where(v => v.Station == code && v.OfLaboratory)
                                .OrderBy(v => v.Day)
                                .ThenBy(v => v.Visit)
                                .ThenBy(v => v.Parameter)
                                .ThenBy(v => v.Item)
                                .Select(v => new StationValue(
                                    v.Visit,
                                    v.Day,
                                    v.Parameter,
                                    v.Item,
                                    v.Depth,
                                    v.Value,
                                    v.Censored == Censoring.Below,
                                    v.Text!
                                ))
                                .ToListAsync(cancel),
                            [.. series.Select(s => s.Subject == Parameter.Clarity ? s with { Points = [] } : s)],
                            Subjects.First(context.Programme, [.. series.Where(s => s.Points.Count > 0).Select(s => s.Subject)]),
                            caller.May.Coordinates(context.Station.WaterCode),
                            crew
                        )
                    );
                }
            )
            .For(AccessLevel.SignedIn)
            .WithName("station")
            .WithTags("stations")
            .WithSummary("A station with all that a visit there is judged by: programme, lines and its clarity record.")
            .Produces<StationRecord>()
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    internal static IResult Unknown(string code) =>
        Results.Problem(
            "Choose one from GET /api/stations.",
            statusCode: StatusCodes.Status404NotFound,
            title: $"No station “{code}” is known here."
        );
}
