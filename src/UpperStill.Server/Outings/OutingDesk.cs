using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Outings;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Sky;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;
using UpperStill.Core.Setup.Waters;
using UpperStill.Server.People;
using UpperStill.Server.Seasons;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Outings;

/// <summary>Gathers what an outing is prepared from, and prepares it.</summary>
public sealed class OutingDesk(
    FieldBook book,
    SeasonDesk season,
    IForecastService forecasts,
    ITideConstants tides,
    IPassCalendar passes,
    Caller caller
)
{
    /// <summary>The outing of a day at a water; null where the caller does not see the water or it has no station with a
    /// programme.</summary>
    public async Task<Outing?> PrepareAsync(DateOnly day, string waterCode, CancellationToken cancel)
    {
        if (
            !caller.May.Sees(waterCode)
            || await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == waterCode, cancel) is not { } row
        )
        {
            return null;
        }

        var water = row.Read();
        var places = await PlacesAsync(day, waterCode, cancel);
        if (places.Count == 0)
        {
            return null;
        }

        var zone = TimeZoneInfo.FindSystemTimeZoneById(water.TimeZone);
        var offset = zone.GetUtcOffset(day.ToDateTime(new TimeOnly(12, 0)));
        var at = new Position(places[0].Station.LatitudeDeg, places[0].Station.LongitudeDeg);
        var tide = water.Kind == WaterKind.Sea ? tides.At(at) : null;
        var forecast = await forecasts.ForecastAsync(at, day, offset, cancel);
        var passing = passes.Passes(at, day.Year).Contains(day);
        List<string> simulated = [];
        if (forecasts.Simulated)
        {
            simulated.Add("the weather");
        }

        if (tide is not null && tides.Simulated)
        {
            simulated.Add("the tide");
        }

        if (passing && passes.Simulated)
        {
            simulated.Add("the satellite");
        }

        return Outing.Prepare(
            new OutingRequest(
                day,
                offset,
                places,
                await book.KitItemsAsync(cancel),
                forecast,
                tide,
                passing,
                simulated,
                await book.LaboratoryAsync(cancel),
                zone
            )
        );
    }

    // What the season says is due; where nothing is, every station of the water with all that its programme takes on that day.
    private async Task<List<OutingPlace>> PlacesAsync(DateOnly day, string waterCode, CancellationToken cancel)
    {
        var (request, stations, _) = await season.GatherAsync(day.Year, caller.May, cancel);
        var rows = await book.Stations.AsNoTracking().Where(s => s.Water == waterCode).ToDictionaryAsync(s => s.Code, cancel);

        // Each station is planned by itself; the others need not be.
        var own = stations.Where(s => rows.ContainsKey(s.Station.Code)).ToList();
        var plan = SeasonPlanner.Work(request with { Stations = [.. request.Stations.Where(s => rows.ContainsKey(s.Code))] });
        List<OutingPlace> due = [];
        List<OutingPlace> all = [];
        foreach (var (planned, station) in plan.Stations.Zip(own))
        {
            var set = rows[planned.Code];
            if (await book.ProgrammeAsync(set.Programme, null, cancel) is not { } programme)
            {
                continue;
            }

            if (planned.Dates.FirstOrDefault(d => d.Day == day && d.State != DateState.Missed) is { } date)
            {
                due.Add(new OutingPlace(station.Station, programme, date.Protocols, set.Line, date.LeaveBy, date.Alternate));
            }
            else
            {
                Protocol[] open = [.. (programme.Season ?? []).Where(p => p.Holds(day)).Select(p => p.Protocol).Distinct()];
                all.Add(new OutingPlace(station.Station, programme, open.Length > 0 ? open : [Protocol.Clarity], set.Line));
            }
        }

        return due.Count > 0 ? due : all;
    }
}
