using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Seasons;

namespace UpperStill.StandIns.Services;

/// <summary>A made-up satellite that comes back to the same path every sixteen days; places a path apart see it on other days.</summary>
public sealed class SimulatedPasses : IPassCalendar
{
    private const int RepeatDays = 16;
    private const double DegreesPerPath = 1.545;

    /// <inheritdoc/>
    public bool Simulated => true;

    /// <inheritdoc/>
    public IReadOnlyList<DateOnly> Passes(Position place, int year)
    {
        var path = (int)Math.Floor((place.LongitudeDeg + 180) / DegreesPerPath);
        var first = new DateOnly(2000, 1, 1).AddDays(path * 7 % RepeatDays);
        var begin = new DateOnly(year, 1, 1);
        var ahead = (((begin.DayNumber - first.DayNumber) % RepeatDays) + RepeatDays) % RepeatDays;
        var day = begin.AddDays((RepeatDays - ahead) % RepeatDays);
        List<DateOnly> days = [];
        for (; day.Year == year; day = day.AddDays(RepeatDays))
        {
            days.Add(day);
        }

        return days;
    }
}
