using System.Text.Json.Serialization;

namespace UpperStill.Core.Seasons;

/// <summary>When a laboratory takes samples in on one day of the week.</summary>
/// <param name="Day">The day of the week.</param>
/// <param name="From">It opens, local time.</param>
/// <param name="Until">It closes its intake, local time.</param>
public sealed record Opening([property: JsonConverter(typeof(JsonStringEnumConverter<DayOfWeek>))] DayOfWeek Day, TimeOnly From, TimeOnly Until);

/// <summary>A laboratory and its intake.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Openings">Hours of intake; a day without one is closed.</param>
/// <param name="ClosedDays">Days on which it is closed all the same.</param>
/// <param name="TravelMinutes">From the water to its door.</param>
/// <param name="TurnIns">Dates on which it takes frozen samples in, before noon.</param>
/// <param name="TurnInPlace">Where they are handed in.</param>
public sealed record Laboratory(
    string Name, IReadOnlyList<Opening> Openings, IReadOnlyList<DateOnly> ClosedDays, int TravelMinutes = 60,
    IReadOnlyList<DateOnly>? TurnIns = null, string? TurnInPlace = null)
{
    /// <summary>
    /// The last moment to set out for the lab, local time, with water that was collected then and may stand so long: the last
    /// closing within collection and hold, less the travel. Null where the lab is not open in between.
    /// </summary>
    public DateTime? LeaveBy(DateTime collected, int holdHours)
    {
        var limit = collected.AddHours(holdHours);
        var earliest = collected.AddMinutes(TravelMinutes);
        for (var day = DateOnly.FromDateTime(limit); day >= DateOnly.FromDateTime(collected); day = day.AddDays(-1))
        {
            if (ClosedDays.Contains(day))
            {
                continue;
            }

            foreach (var opening in Openings.Where(o => o.Day == day.DayOfWeek).OrderByDescending(o => o.Until))
            {
                var (opens, closes) = (day.ToDateTime(opening.From), day.ToDateTime(opening.Until));
                var last = closes < limit ? closes : limit;
                if (last >= opens && last >= earliest)
                {
                    return last.AddMinutes(-TravelMinutes);
                }
            }
        }

        return null;
    }
}
