using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>Whether water that is collected on a day can be at the laboratory while it may still be used: the Saturday problem, before
/// anybody casts off.</summary>
public static class LabReach
{
    private const int HoursAtStation = 1;
    private const int DaysLooked = 14;

    /// <summary>What is to be said where it cannot; null where it can, or where nothing goes there fresh.</summary>
    /// <param name="laboratory">The laboratory.</param>
    /// <param name="day">The day.</param>
    /// <param name="hours">When water is collected, local time.</param>
    /// <param name="plans">What is due.</param>
    /// <param name="zone">The zone of the local times; null where hours never shift.</param>
    public static Finding? Check(
        Laboratory laboratory,
        DateOnly day,
        HoursWindow hours,
        IEnumerable<ProtocolPlan> plans,
        TimeZoneInfo? zone = null
    )
    {
        ArgumentNullException.ThrowIfNull(laboratory);
        ArgumentNullException.ThrowIfNull(hours);
        if (
            plans.Where(p => p.HoldHours is not null).MinBy(p => p.HoldHours) is not { HoldHours: { } hold } strictest
            || Reaches(laboratory, day, hours, hold, zone)
        )
        {
            return null;
        }

        var better = Enumerable.Range(1, DaysLooked).Select(day.AddDays).FirstOrDefault(d => Reaches(laboratory, d, hours, hold, zone));
        return Finding.Stop(
            "cannot-reach-lab",
            $"Water for {strictest.Protocol.Words()} of {Words(day)} cannot be at {laboratory.Name} within {hold} h.",
            "The lab is closed until it is too old, and it would be refused.",
            better == default ? "Ask the laboratory before you go." : $"Go on {Words(better)} instead, or leave it out."
        );
    }

    private static bool Reaches(Laboratory laboratory, DateOnly day, HoursWindow hours, int hold, TimeZoneInfo? zone)
    {
        for (var time = day.ToDateTime(hours.From).AddHours(HoursAtStation); time <= day.ToDateTime(hours.Until); time = time.AddHours(1))
        {
            if (laboratory.LeaveBy(time, hold, zone) is not null)
            {
                return true;
            }
        }

        return false;
    }

    private static string Words(DateOnly day) => day.ToString("dddd d MMMM", CultureInfo.InvariantCulture);
}
