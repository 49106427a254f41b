using System.Globalization;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Seasons;
using UpperStill.Formats.Calendars;
using UpperStill.Server.People;
using UpperStill.Server.Seasons;
using UpperStill.Store;
using UpperStill.Store.People;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A date to be moved, or a day on which nobody can go.</summary>
/// <param name="Station">The station.</param>
/// <param name="From">The planned date; null where a visit is only added.</param>
/// <param name="To">The day wanted instead; null where the planner is to choose.</param>
/// <param name="Why">Why.</param>
/// <param name="Keep">False to be shown what would change.</param>
public sealed record SeasonMove(string Station, DateOnly? From, DateOnly? To, string Why, bool Keep);

/// <summary>A day set aside for all stations or one.</summary>
/// <param name="Day">The day.</param>
/// <param name="Kind">Blocked, Shared or IceOut.</param>
/// <param name="Why">Why.</param>
/// <param name="Station">The station; null for all.</param>
public sealed record SeasonDayGiven(DateOnly Day, SeasonDayKind Kind, string Why, string? Station = null);

/// <summary>Where a calendar program fetches the season.</summary>
/// <param name="Path">The path with its query, to be put behind this server's address.</param>
public sealed record CalendarAddress(string Path);

/// <summary>What re-planning changes.</summary>
/// <param name="Kept">True where it is kept; false where it was only shown.</param>
/// <param name="Changes">Station by station.</param>
public sealed record ReplanAnswer(bool Kept, IReadOnlyList<SeasonChange> Changes);

/// <summary>The season.</summary>
internal static class SeasonEndpoints
{
    private const int FirstYear = 1900;
    private const int LastYear = 2200;

    internal static void MapSeason(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/season").WithTags("season");
        group
            .MapGet("/", ViewAsync)
            .For(AccessLevel.SignedIn)
            .WithName("season")
            .WithSummary("The season of the stations that the caller may see: done, missed, to come, at risk.")
            .Produces<SeasonView>()
            .ProducesProblem(StatusCodes.Status400BadRequest);
        group
            .MapGet("/calendar-address", (Caller caller, CalendarKeys keys) => AddressOf(caller.Person!, keys))
            .For(AccessLevel.SignedIn)
            .WithName("calendar-address")
            .WithSummary("The address at which a calendar program fetches the caller’s season; whoever has it can read the dates.");
        group
            .MapPost("/calendar-address", async (Caller caller, CalendarKeys keys, FieldBook book, CancellationToken cancel) =>
            {
                var person = await book.Users.FirstAsync(p => p.Id == caller.Person!.Id, cancel);
                person.CalendarKey++;
                await book.SaveChangesAsync(cancel);
                return AddressOf(person, keys);
            })
            .For(AccessLevel.SignedIn)
            .WithName("new-calendar-address")
            .WithSummary("A new address for the caller’s calendar; the ones before are worthless from now on.");
        group
            .MapGet("/calendar.ics", CalendarAsync)
            .For(AccessLevel.Anyone)
            .WithName("season-calendar")
            .WithSummary("The dates to come as iCalendar, for whom the key was made.")
            .Produces<string>(StatusCodes.Status200OK, "text/calendar")
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/move", MoveAsync)
            .For(AccessLevel.Works)
            .WithName("move-date")
            .WithSummary("Moves a date, or says that nobody can go; the rest is planned anew, and the answer says what changes.")
            .Produces<ReplanAnswer>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status403Forbidden);
        group
            .MapPost("/days", SetAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("set-day")
            .WithSummary("Sets a day aside: blocked, shared, or the day on which the ice went.")
            .Produces<ReplanAnswer>()
            .ProducesProblem(StatusCodes.Status400BadRequest);
        group
            .MapDelete("/days/{id:guid}", FreeAsync)
            .For(AccessLevel.Works)
            .WithName("free-day")
            .WithSummary("Frees a day that was set aside.")
            .Produces<ReplanAnswer>()
            .ProducesProblem(StatusCodes.Status403Forbidden)
            .ProducesProblem(StatusCodes.Status404NotFound);
        app.MapGet("/api/laboratory", async (FieldBook book, HttpResponse response, CancellationToken cancel) =>
            {
                response.Headers.ETag =
                    $"\"{await book.Laboratories.OrderBy(l => l.Code).Select(l => l.Version).FirstOrDefaultAsync(cancel)}\"";
                return await book.LaboratoryAsync(cancel) is { } laboratory ? Results.Ok(laboratory) : Results.NoContent();
            })
            .For(AccessLevel.SignedIn)
            .WithName("laboratory")
            .WithTags("season")
            .WithSummary("The laboratory’s hours; nothing where none is set up. Its ETag is the version that a change names.")
            .Produces<Laboratory>();
        app.MapPut("/api/laboratory", KeepLaboratoryAsync)
            .For(AccessLevel.CoordinatesAll)
            .WithName("keep-laboratory")
            .WithTags("season")
            .WithSummary("Sets up the laboratory’s hours.")
            .Produces<ReplanAnswer>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static async Task<IResult> ViewAsync(int? year, SeasonDesk desk, Caller caller, HttpResponse response, CancellationToken cancel)
    {
        if (year is { } asked && NoSeason(asked) is { } none)
        {
            return none;
        }

        var view = await desk.ViewAsync(year ?? desk.Today.Year, caller.May, cancel);
        response.Headers["Server-Timing"] = string.Create(
            CultureInfo.InvariantCulture,
            $"planner;dur={desk.PlannerTook.TotalMilliseconds:0.0}"
        );
        return Results.Ok(view);
    }

    private static CalendarAddress AddressOf(Person person, CalendarKeys keys) =>
        new($"/api/season/calendar.ics?key={Uri.EscapeDataString(keys.For(person))}");

    private static async Task<IResult> CalendarAsync(
        string? key,
        FieldBook book,
        SeasonDesk desk,
        CalendarKeys keys,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (
            keys.Read(key) is not var (id, number)
            || await book.Users.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id && p.CalendarKey == number && p.Active, cancel)
                is not { } person
        )
        {
            return Results.Problem(
                "Sign in and take the address from the season’s page.",
                statusCode: StatusCodes.Status404NotFound,
                title: "No calendar belongs to this key."
            );
        }

        using var text = new StringWriter(CultureInfo.InvariantCulture);
        SeasonCalendar.Write(text, await desk.DatesAsync(person.Permissions, null, cancel), clock.GetUtcNow());
        return Results.Text(text.ToString(), "text/calendar; charset=utf-8");
    }

    private static async Task<IResult> MoveAsync(
        SeasonMove given,
        FieldBook book,
        SeasonDesk desk,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var water = await book.Stations.Where(s => s.Code == given.Station).Select(s => s.Water).FirstOrDefaultAsync(cancel);
        if (water is null || !caller.May.Samples(water))
        {
            return Gate.Refused;
        }

        if (string.IsNullOrWhiteSpace(given.Why) || (given.From is null && given.To is null) || given.From == given.To)
        {
            return Fault("A date moves from one day to another, with a reason.", "The others wonder why.");
        }

        List<SeasonDayRow> rows = [];
        if (given.From is { } from)
        {
            rows.Add(Row(from, SeasonDayKind.Blocked));
        }

        if (given.To is { } to)
        {
            rows.Add(Row(to, SeasonDayKind.Pinned));
        }

        var year = (given.To ?? given.From)!.Value.Year;
        var pins = given.From is { } moved
            ? await book
                .SeasonDays.Where(d => d.Station == given.Station && d.Day == moved && d.Kind == SeasonDayKind.Pinned)
                .ToListAsync(cancel)
            : [];
        if (!given.Keep)
        {
            // Only looked at: nothing is written, not even for a moment.
            var ids = pins.ConvertAll(p => p.Id);
            var before = SeasonPlanner.Work((await desk.GatherAsync(year, caller.May, cancel)).Request);
            var after = SeasonPlanner.Work(
                (await desk.GatherAsync(year, caller.May, cancel, asIf: days => days.Where(d => !ids.Contains(d.Id)).Concat(rows))).Request
            );
            return Results.Ok(new ReplanAnswer(false, SeasonChanges.Between(before, after)));
        }

        return await ReplanAsync(
            book,
            desk,
            caller,
            year,
            () =>
            {
                book.SeasonDays.RemoveRange(pins);
                book.SeasonDays.AddRange(rows);
            },
            cancel
        );

        SeasonDayRow Row(DateOnly day, SeasonDayKind kind) =>
            new()
            {
                Id = Guid.CreateVersion7(),
                Station = given.Station,
                Day = day,
                Kind = kind,
                Why = given.Why.Trim(),
                By = caller.Name,
                At = clock.GetUtcNow(),
            };
    }

    private static async Task<IResult> SetAsync(
        SeasonDayGiven given,
        FieldBook book,
        SeasonDesk desk,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (
            string.IsNullOrWhiteSpace(given.Why)
            || (given.Station is not null && !await book.Stations.AnyAsync(s => s.Code == given.Station, cancel))
        )
        {
            return Fault("A day is set aside with a reason, for all stations or for one that is set up.", "The others wonder why.");
        }

        return await ReplanAsync(
            book,
            desk,
            caller,
            given.Day.Year,
            () =>
                book.SeasonDays.Add(
                    new SeasonDayRow
                    {
                        Id = Guid.CreateVersion7(),
                        Station = given.Station,
                        Day = given.Day,
                        Kind = given.Kind,
                        Why = given.Why.Trim(),
                        By = caller.Name,
                        At = clock.GetUtcNow(),
                    }
                ),
            cancel
        );
    }

    private static async Task<IResult> FreeAsync(Guid id, FieldBook book, SeasonDesk desk, Caller caller, CancellationToken cancel)
    {
        if (await book.SeasonDays.FirstOrDefaultAsync(d => d.Id == id, cancel) is not { } row)
        {
            return Results.Problem(
                "Somebody may have freed it already.",
                statusCode: StatusCodes.Status404NotFound,
                title: "No such day is set aside."
            );
        }

        var water = await book.Stations.Where(s => s.Code == row.Station).Select(s => s.Water).FirstOrDefaultAsync(cancel);
        return (water is null ? caller.May.CoordinatesAll : caller.May.Samples(water))
            ? await ReplanAsync(book, desk, caller, row.Day.Year, () => book.SeasonDays.Remove(row), cancel)
            : Gate.Refused;
    }

    private static async Task<IResult> KeepLaboratoryAsync(
        int version,
        Laboratory given,
        FieldBook book,
        SeasonDesk desk,
        Caller caller,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (LaboratoryCheck.Findings(given).FirstOrDefault() is { } fault)
        {
            return Fault(fault.Seen, $"{fault.Why} {fault.Act}");
        }

        var row = await book.Laboratories.OrderBy(l => l.Code).FirstOrDefaultAsync(cancel);
        if (await Stale.AnswerAsync(book, "laboratory", row?.Code ?? "lab", version, row?.Version ?? 0, cancel) is { } stale)
        {
            return stale;
        }

        var after = JsonSerializer.Serialize(given, SetupJson.Default.Laboratory);
        return await ReplanAsync(
            book,
            desk,
            caller,
            desk.Today.Year,
            () =>
            {
                var changed = book.Note(caller.Name, clock.GetUtcNow(), "laboratory", row?.Code ?? "lab", row?.Definition, after);
                if (row is null)
                {
                    book.Laboratories.Add(new LaboratoryRow { Code = "lab", Definition = after });
                }
                else
                {
                    row.Definition = after;
                    row.Version += changed ? 1 : 0;
                }
            },
            cancel
        );
    }

    /// <summary>Plans before and after, and says what differs.</summary>
    private static async Task<IResult> ReplanAsync(
        FieldBook book,
        SeasonDesk desk,
        Caller caller,
        int year,
        Action change,
        CancellationToken cancel
    )
    {
        if (NoSeason(year) is { } none)
        {
            return none;
        }

        await using var transaction = await book.Database.BeginTransactionAsync(cancel);
        var before = SeasonPlanner.Work((await desk.GatherAsync(year, caller.May, cancel)).Request);
        change();
        await book.SaveChangesAsync(cancel);
        var after = SeasonPlanner.Work((await desk.GatherAsync(year, caller.May, cancel)).Request);
        await transaction.CommitAsync(cancel);
        return Results.Ok(new ReplanAnswer(true, SeasonChanges.Between(before, after)));
    }

    private static IResult? NoSeason(int year) =>
        year is >= FirstYear and <= LastYear
            ? null
            : Fault($"No season is planned for the year {year}.", $"It must lie between {FirstYear} and {LastYear}.");

    private static IResult Fault(string title, string why) =>
        Results.Problem($"{why} Nothing was changed.", statusCode: StatusCodes.Status400BadRequest, title: title);
}
