using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Science.Stratification;
using UpperStill.Server.Hosting;
using UpperStill.Server.People;
using UpperStill.Server.Record;
using UpperStill.Store;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A profile of the record.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Day">Local day.</param>
/// <param name="SignedOff">True once a reviewer vouches for it.</param>
/// <param name="Levels">From the surface down.</param>
/// <param name="ThermoclineM">Depth of the thermocline, m.</param>
/// <param name="Words">The profile in one sentence.</param>
/// <param name="ClarityM">Clarity of the visit, m.</param>
public sealed record RecordProfile(
    Guid Visit,
    DateOnly Day,
    bool SignedOff,
    IReadOnlyList<EarlierLevel> Levels,
    double? ThermoclineM,
    string Words,
    decimal? ClarityM
);

/// <summary>A change of method to be joined, or the join taken back.</summary>
/// <param name="Subject">What the series is of.</param>
/// <param name="Day">The first day of the new method.</param>
/// <param name="Why">Why they may be joined; null to take the join back.</param>
public sealed record SeriesJoin(Parameter Subject, DateOnly Day, string? Why = null);

/// <summary>The record of stations and waters: series, profiles, answers.</summary>
internal static class RecordEndpoints
{
    internal static void MapRecord(this IEndpointRouteBuilder app)
    {
        var stations = app.MapGroup("/api/stations/{code}").WithTags("record");
        stations
            .MapGet("/profiles", ProfilesAsync)
            .For(AccessLevel.SignedIn)
            .WithName("station-profiles")
            .WithSummary("The profiles of a station in one year, oldest first.")
            .Produces<IReadOnlyList<RecordProfile>>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        stations
            .MapGet("/oxygen", OxygenAsync)
            .For(AccessLevel.SignedIn)
            .WithName("station-oxygen")
            .WithSummary("Oxygen of a station, visit by visit, oldest first.")
            .Produces<IReadOnlyList<OxygenVisit>>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        stations
            .MapPost("/joins", JoinAsync)
            .For(AccessLevel.Works)
            .WithName("join-series")
            .WithSummary("Joins a series across a change of method, or takes the join back.")
            .Produces(StatusCodes.Status204NoContent)
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
        app.MapGet("/api/waters/{code}/answers", async (string code, RecordDesk desk, Caller caller, CancellationToken cancel) =>
                caller.May.Sees(code) ? Results.Ok(await desk.AnswersAsync(code, cancel)) : WaterEndpoints.Unknown(code)
            )
            .For(AccessLevel.SignedIn)
            .WithName("water-answers")
            .WithTags("record")
            .WithSummary("Is it changing, how sure is that, what would it take: each series of each station of a water.")
            .Produces<IReadOnlyList<StationAnswer>>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        app.MapGet(
                "/api/waters/{code}/report",
                async (
                    string code,
                    int? year,
                    string? reader,
                    RecordDesk desk,
                    Caller caller,
                    TimeProvider clock,
                    CancellationToken cancel
                ) =>
                    caller.May.Sees(code)
                    && await desk.ReportAsync(code, year ?? clock.GetLocalNow().Year, Named(reader, ReaderUnit.AsRead), cancel)
                        is { } report
                        ? Results.Ok(report)
                        : WaterEndpoints.Unknown(code)
            )
            .For(AccessLevel.SignedIn)
            .WithName("water-report")
            .WithTags("record")
            .WithSummary("The annual report on a water, in plain words, with what its pictures are drawn from.")
            .Produces<WaterReport>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        app.MapGet("/api/record/region", async (string? subject, RecordDesk desk, CancellationToken cancel) =>
                await desk.RegionAsync(Measured(subject), cancel)
            )
            .For(AccessLevel.SignedIn)
            .WithName("region")
            .WithTags("record")
            .WithSummary("One subject over all stations that the caller may see: how many rise, how many fall, and all together.");
        app.MapGet("/api/record/stations", async (string? subject, int? year, string? reader, RecordDesk desk, CancellationToken cancel) =>
                await desk.BesideAsync(Measured(subject), year, Named(reader, ReaderUnit.AsRead), cancel)
            )
            .For(AccessLevel.SignedIn)
            .WithName("stations-beside")
            .WithTags("record")
            .WithSummary("Stations that the caller may see, side by side: one subject, one year beside those before it.");
        app.MapGet("/api/record/summary", async (int? year, string? reader, RecordDesk desk, CancellationToken cancel) =>
                await desk.SummaryAsync(year, Named(reader, ReaderUnit.AsRead), cancel)
            )
            .For(AccessLevel.SignedIn)
            .WithName("record-summary")
            .WithTags("record")
            .WithSummary("The coordinator's summary of a year across waters: what was done, what changes, what waits.");
    }

    private static async Task<IResult> ProfilesAsync(
        string code,
        int? year,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (!await SeesAsync(code, book, caller, cancel))
        {
            return StationEndpoints.Unknown(code);
        }

        var (from, until) = (new DateOnly(year ?? clock.GetLocalNow().Year, 1, 1), new DateOnly(year ?? clock.GetLocalNow().Year, 12, 31));
        var levels = (
            await book.Levels.AsNoTracking().Where(l => l.Station == code && l.Day >= from && l.Day <= until).ToListAsync(cancel)
        ).ToLookup(l => l.Visit);
        var profiles = (
            await book.Profiles.AsNoTracking().Where(p => p.Station == code && p.Day >= from && p.Day <= until).ToListAsync(cancel)
        ).ToDictionary(p => p.Visit);
        var visits = await book
            .Visits.AsNoTracking()
            .Where(v => v.Station == code && v.Day >= from && v.Day <= until)
            .OrderBy(v => v.StartedAt)
            .Select(v => new
            {
                v.Visit,
                v.Day,
                v.FieldSigned,
            })
            .ToListAsync(cancel);
        var clarities = await book
            .Readings.AsNoTracking()
            .Clarity()
            .Where(c => c.Station == code && c.Day >= from && c.Day <= until && c.Censored == Censoring.None)
            .ToDictionaryAsync(c => c.Visit, c => c.Value, cancel);
        return Results.Ok(
            visits.Where(v => levels.Contains(v.Visit)).OrderBy(v => v.Day).Select(v => Profile(v.Visit, v.Day, v.FieldSigned)).ToList()
        );

        RecordProfile Profile(Guid visit, DateOnly day, bool signed)
        {
            var numbers = profiles.GetValueOrDefault(visit);
            return new RecordProfile(
                visit,
                day,
                signed,
                [
                    .. levels[visit]
                        .OrderBy(l => l.Ordinal)
                        .Select(l => new EarlierLevel((decimal)l.DepthM, (decimal?)l.TemperatureC, (decimal?)l.OxygenMgL)),
                ],
                numbers?.ThermoclineM,
                numbers is null ? "One level only." : ProfileWords.Of(numbers.ThermoclineM, numbers.HypoxicM, numbers.AnoxicM),
                clarities.TryGetValue(visit, out var m) ? m : null
            );
        }
    }

    private static async Task<IResult> OxygenAsync(string code, FieldBook book, Caller caller, CancellationToken cancel) =>
        !await SeesAsync(code, book, caller, cancel)
            ? StationEndpoints.Unknown(code)
            : Results.Ok(
                (await book.Profiles.AsNoTracking().Where(p => p.Station == code && p.Usable).OrderBy(p => p.Day).ToListAsync(cancel))
                    .Select(p => p.Oxygen())
                    .ToList()
            );

    private static async Task<IResult> JoinAsync(
        string code,
        SeriesJoin join,
        FieldBook book,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (
            await book.Stations.AsNoTracking().Where(s => s.Code == code).Select(s => s.Water).FirstOrDefaultAsync(cancel) is not { } water
            || !caller.May.Sees(water)
        )
        {
            return StationEndpoints.Unknown(code);
        }

        if (!caller.May.Coordinates(water))
        {
            return Gate.Refused;
        }

        var measured = await book.SubjectsAsync(await book.StationsAsync(caller.May, cancel, water), cancel);
        if (!measured.Contains(join.Subject))
        {
            throw new UnknownChoiceException(join.Subject.Code, [.. measured.Select(p => p.Code)]);
        }

        var (subject, row) = (join.Subject.ToString(), await book.SeriesJoins.FindAsync([code, join.Subject.ToString(), join.Day], cancel));
        if (join.Why is not null && string.IsNullOrWhiteSpace(join.Why))
        {
            return Results.Problem(
                "Say why the two methods may be taken as one; it is printed with the trend.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "No reason was given."
            );
        }

        var after = join.Why is null ? null : $"{subject} across {join.Day:O}: {join.Why}";
        book.Note(
            caller.Name,
            clock.GetUtcNow(),
            "series-join",
            code,
            row is null ? null : $"{subject} across {join.Day:O}: {row.Why}",
            after
        );
        if (row is not null)
        {
            book.SeriesJoins.Remove(row);
        }

        if (join.Why is { } why)
        {
            if (row is not null)
            {
                await book.SaveChangesAsync(cancel);
            }

            book.SeriesJoins.Add(
                new SeriesJoinRow
                {
                    Station = code,
                    Subject = subject,
                    Day = join.Day,
                    Why = why.Trim(),
                    By = caller.Name,
                }
            );
        }

        await book.SaveChangesAsync(cancel);
        return Results.NoContent();
    }

    private static Parameter Measured(string? code) =>
        code is null ? Parameter.Clarity
        : Subjects.Measured.Contains(new Parameter(code)) ? new Parameter(code)
        : throw new UnknownChoiceException(code, [.. Subjects.Measured.Select(p => p.Code)]);

    // A choice by the name it has in JSON.
    private static T Named<T>(string? name, T usual)
        where T : struct, Enum
    {
        if (name is null)
        {
            return usual;
        }

        foreach (var choice in Enum.GetValues<T>())
        {
            if (JsonSerializer.SerializeToElement(choice).GetString() == name)
            {
                return choice;
            }
        }

        throw new UnknownChoiceException(name, [.. Enum.GetValues<T>().Select(c => JsonSerializer.SerializeToElement(c).GetString()!)]);
    }

    private static async Task<bool> SeesAsync(string code, FieldBook book, Caller caller, CancellationToken cancel) =>
        await book.Stations.AsNoTracking().Where(s => s.Code == code).Select(s => s.Water).FirstOrDefaultAsync(cancel) is { } water
        && caller.May.Sees(water);
}
