using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>What a protocol asks of its day, beside its window and the laboratory’s hours.</summary>
/// <param name="Protocol">The protocol.</param>
public sealed record DayNeed(Protocol Protocol)
{
    /// <summary>Days of the week on which it may be collected; null for any.</summary>
    public IReadOnlyList<DayOfWeek>? Weekdays { get; init; }

    /// <summary>Days before, by which the laboratory is told; 0 where it needs no notice.</summary>
    public int NoticeDays { get; init; }

    /// <summary>Days within which its companion sample is taken, before or after; 0 where it has none.</summary>
    public int CompanionDays { get; init; }

    /// <summary>True where it is done about low water, in daylight.</summary>
    public bool LowWater { get; init; }
}
