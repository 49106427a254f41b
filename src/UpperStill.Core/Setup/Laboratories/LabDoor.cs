using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Chlorophyll;

namespace UpperStill.Core.Setup.Laboratories;

/// <summary>A span in which the laboratory takes samples in, as instants: they hold also where the clocks change.</summary>
/// <param name="From">It opens.</param>
/// <param name="Until">It closes its intake.</param>
public sealed record OpenSpan(DateTimeOffset From, DateTimeOffset Until);

/// <summary>What a bench needs to know of the laboratory for the next weeks, also with no signal.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Open">When it takes samples in, oldest first.</param>
/// <param name="TurnIns">Until when frozen samples are turned in: noon of each date.</param>
/// <param name="TravelMinutes">From the bench to its door.</param>
/// <param name="TurnInPlace">Where they are turned in.</param>
/// <param name="NoDryIce">True where it excludes dry ice.</param>
/// <param name="ShippingDays">Days on which ultra-clean samples may be shipped, as numbers from Sunday = 0; null where any will do.</param>
/// <param name="Chlorophyll">What it needs to see chlorophyll.</param>
/// <param name="Simulated">True where a stand-in answers for it.</param>
public sealed record LabDoor(
    string Name,
    IReadOnlyList<OpenSpan> Open,
    IReadOnlyList<DateTimeOffset> TurnIns,
    [property: Within(0, 20160, "min")] int TravelMinutes,
    string? TurnInPlace = null,
    bool NoDryIce = false,
    [property: Within(0, 6)] IReadOnlyList<int>? ShippingDays = null,
    ChlorophyllLab? Chlorophyll = null,
    bool Simulated = false
)
{
    private static readonly TimeOnly Noon = new(12, 0);

    /// <summary>The laboratory's door for some days.</summary>
    /// <param name="laboratory">The laboratory.</param>
    /// <param name="from">First day.</param>
    /// <param name="days">How many.</param>
    /// <param name="zone">Where it is.</param>
    /// <param name="simulated">True where a stand-in answers for it.</param>
    public static LabDoor Of(Laboratory laboratory, DateOnly from, int days, TimeZoneInfo zone, bool simulated = false)
    {
        ArgumentNullException.ThrowIfNull(laboratory);
        ArgumentNullException.ThrowIfNull(zone);
        List<OpenSpan> open = [];
        for (var day = from; day < from.AddDays(days); day = day.AddDays(1))
        {
            if (!laboratory.ClosedDays.Contains(day))
            {
                open.AddRange(
                    laboratory
                        .Openings.Where(o => o.Day == day.DayOfWeek)
                        .OrderBy(o => o.From)
                        .Select(o => new OpenSpan(At(day, o.From, zone), At(day, o.Until, zone)))
                );
            }
        }

        return new LabDoor(
            laboratory.Name,
            open,
            [.. (laboratory.TurnIns ?? []).Where(t => t >= from).Order().Select(t => At(t, Noon, zone))],
            laboratory.TravelMinutes,
            laboratory.TurnInPlace,
            laboratory.NoDryIce,
            laboratory.ShippingDays,
            laboratory.Chlorophyll,
            simulated
        );
    }

    /// <summary>The last moment to set out so that samples are taken in between two moments; null where it is not open in
    /// between.</summary>
    /// <param name="earliest">Not to be there before.</param>
    /// <param name="latest">To be there by.</param>
    public DateTimeOffset? LeaveBy(DateTimeOffset earliest, DateTimeOffset latest)
    {
        foreach (var span in Open.Reverse())
        {
            var last = span.Until < latest ? span.Until : latest;
            if (last >= span.From && last >= earliest)
            {
                return last.AddMinutes(-TravelMinutes).ToOffset(span.Until.Offset);
            }
        }

        return null;
    }

    /// <summary>The span in which somebody who comes then is let in, or the next one.</summary>
    public OpenSpan? OpenAt(DateTimeOffset arrival) => Open.FirstOrDefault(s => s.Until >= arrival);

    // A clock time that is skipped is read as the one shown instead; of one shown twice the first counts: better early than late.
    private static DateTimeOffset At(DateOnly day, TimeOnly time, TimeZoneInfo zone)
    {
        var local = day.ToDateTime(time);
        while (zone.IsInvalidTime(local))
        {
            local = local.AddMinutes(15);
        }

        var offset = zone.IsAmbiguousTime(local) ? zone.GetAmbiguousTimeOffsets(local).Max() : zone.GetUtcOffset(local);
        return new DateTimeOffset(local, offset);
    }
}
