using System.Text.Json.Serialization;
using UpperStill.Core.Science.Chlorophyll;

namespace UpperStill.Core.Setup.Laboratories;

/// <summary>When a laboratory takes samples in on one day of the week.</summary>
/// <param name="Day">The day of the week.</param>
/// <param name="From">It opens, local time.</param>
/// <param name="Until">It closes its intake, local time.</param>
public sealed record Opening(
    [property: JsonConverter(typeof(JsonStringEnumConverter<DayOfWeek>))] DayOfWeek Day,
    TimeOnly From,
    TimeOnly Until
);

/// <summary>A laboratory and its intake.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Openings">Hours of intake; a day without one is closed.</param>
/// <param name="ClosedDays">Days on which it is closed all the same.</param>
/// <param name="TravelMinutes">From the water to its door.</param>
/// <param name="TurnIns">Dates on which it takes frozen samples in, before noon.</param>
/// <param name="TurnInPlace">Where they are handed in.</param>
/// <param name="NoDryIce">True where it excludes dry ice.</param>
/// <param name="ShippingDays">Days on which ultra-clean samples may be shipped, Sunday = 0; null where any will do.</param>
/// <param name="Chlorophyll">What it needs to see chlorophyll, and its fluorometers' calibrations; null where it has not said.</param>
public sealed record Laboratory(
    string Name,
    IReadOnlyList<Opening> Openings,
    IReadOnlyList<DateOnly> ClosedDays,
    int TravelMinutes = 60,
    IReadOnlyList<DateOnly>? TurnIns = null,
    string? TurnInPlace = null,
    bool NoDryIce = false,
    IReadOnlyList<int>? ShippingDays = null,
    ChlorophyllLab? Chlorophyll = null
)
{
    /// <summary>
    /// The last moment to set out for the lab, local time, with water that was collected then and may stand so long: the last
    /// closing within collection and hold, less the travel. Null where the lab is not open in between.
    /// </summary>
    /// <param name="collected">Local time of collection.</param>
    /// <param name="holdHours">Hours that the water may stand; they pass also while the clocks are changed.</param>
    /// <param name="zone">The zone of the local times; null where hours never shift.</param>
    public DateTime? LeaveBy(DateTime collected, int holdHours, TimeZoneInfo? zone = null)
    {
        var limit = After(collected, TimeSpan.FromHours(holdHours), zone);
        var earliest = After(collected, TimeSpan.FromMinutes(TravelMinutes), zone);
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

    // A local time that the clocks skip is read as the one that they show instead.
    private static DateTime After(DateTime local, TimeSpan span, TimeZoneInfo? zone) =>
        zone is null || zone.IsInvalidTime(local)
            ? local + span
            : TimeZoneInfo.ConvertTimeFromUtc(
                TimeZoneInfo.ConvertTimeToUtc(DateTime.SpecifyKind(local, DateTimeKind.Unspecified), zone) + span,
                zone
            );
}
