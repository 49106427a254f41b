using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Formats.Calendars;

/// <summary>A station's dates for a calendar.</summary>
/// <param name="Station">The station.</param>
/// <param name="Hours">When readings may be made, local time.</param>
/// <param name="TimeZone">IANA name of its water's zone.</param>
/// <param name="Plan">Its dates.</param>
public sealed record CalendarStation(Station Station, HoursWindow Hours, string TimeZone, StationPlan Plan);

/// <summary>The season as iCalendar (RFC 5545): a date to come is an event in the hours of its programme, with its alternate and its
/// reasons.</summary>
public static class SeasonCalendar
{
    private const string End = "END:VCALENDAR";

    /// <summary>Writes the dates to come, event by event; the same plan gives the same text but for the stamp.</summary>
    /// <param name="text">Where it goes.</param>
    /// <param name="stations">The stations; each is asked for when those before it are written.</param>
    /// <param name="stamp">When it is written.</param>
    public static void Write(TextWriter text, IEnumerable<CalendarStation> stations, DateTimeOffset stamp)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(stations);
        var calendar = new Calendar { ProductId = "-//Upper Still//Season//EN" };
        calendar.AddProperty("X-WR-CALNAME", "Upper Still, the season");
        var frame = new CalendarSerializer().SerializeToString(calendar)!;
        text.Write(frame[..frame.LastIndexOf(End, StringComparison.Ordinal)]);
        var events = new ComponentSerializer();
        foreach (var station in stations)
        {
            foreach (var date in station.Plan.Dates.Where(d => d.Ahead))
            {
                text.Write(events.SerializeToString(Event(station, date, stamp)));
            }
        }

        text.Write($"{End}\r\n");
    }

    private static CalendarEvent Event(CalendarStation station, SeasonDate date, DateTimeOffset stamp) =>
        new()
        {
            // One event for a station and day: a calendar that is fetched again does not double it.
            Uid = $"{station.Station.Code}-{date.Day:yyyyMMdd}@upper-still",
            DtStamp = new CalDateTime(stamp.UtcDateTime, CalDateTime.UtcTzId),
            DtStart = new CalDateTime(date.Day.ToDateTime(station.Hours.From), station.TimeZone),
            DtEnd = new CalDateTime(date.Day.ToDateTime(station.Hours.Until), station.TimeZone),
            Summary = $"{station.Station.Water}, {station.Station.Name}: {string.Join(", ", date.Protocols.Select(p => p.Words()))}",
            Location = $"{station.Station.Water}, {station.Station.District}",
            GeographicLocation = new GeographicLocation(station.Station.LatitudeDeg, station.Station.LongitudeDeg),
            Description = string.Join(
                "\n",
                [
                    .. date.Alternate is { } alternate ? new[] { $"Or {alternate:yyyy-MM-dd}." } : [],
                    .. date.LeaveBy is { } leave ? new[] { $"To the lab: leave by {leave:yyyy-MM-dd HH:mm}." } : [],
                    .. date.Why,
                    .. date.Welcome,
                ]
            ),
        };
}
