namespace UpperStill.Core.Places;

/// <summary>Clock times of a place.</summary>
public static class TimeZones
{
    /// <summary>A day and a clock time in a zone as an instant with its offset. A time that the change to summer time skips moves on by the hour; of two equal ones the first is taken.</summary>
    public static DateTimeOffset At(TimeZoneInfo zone, DateOnly day, TimeOnly time)
    {
        ArgumentNullException.ThrowIfNull(zone);
        var local = day.ToDateTime(time);
        if (zone.IsInvalidTime(local))
        {
            local = local.AddHours(1);
        }

        var offset = zone.IsAmbiguousTime(local) ? zone.GetAmbiguousTimeOffsets(local).Max() : zone.GetUtcOffset(local);
        return new DateTimeOffset(local, offset);
    }
}
