using System.Globalization;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>
/// The twelve months over which a station is planned: the year, or, where a window runs over the New Year (southern summers, winter
/// work), from July to June, so that its season is one.
/// </summary>
public sealed class SeasonSpan
{
    private const int Midyear = 7;

    /// <summary>The months of a station.</summary>
    /// <param name="year">The year that is looked at; of a season over the New Year that in which it ends, or this year’s present
    /// one.</param>
    /// <param name="today">The day at the station.</param>
    /// <param name="protocols">What is due when.</param>
    public SeasonSpan(int year, DateOnly today, IReadOnlyCollection<ProtocolPlan> protocols)
    {
        ArgumentNullException.ThrowIfNull(protocols);
        OverNewYear = protocols.Any(p => p.OverNewYear);
        First = !OverNewYear
            ? new DateOnly(year, 1, 1)
            : new DateOnly(year == today.Year && today.Month >= Midyear ? year : year - 1, Midyear, 1);
        Last = First.AddYears(1).AddDays(-1);
    }

    /// <summary>True where it is not the calendar’s year.</summary>
    public bool OverNewYear { get; }

    /// <summary>Its first day.</summary>
    public DateOnly First { get; }

    /// <summary>Its last day.</summary>
    public DateOnly Last { get; }

    /// <summary>How it is called: 2026, or 2026/27.</summary>
    public string Name =>
        OverNewYear
            ? string.Create(CultureInfo.InvariantCulture, $"{First.Year}/{Last.Year % 100:00}")
            : First.Year.ToString(CultureInfo.InvariantCulture);

    /// <summary>True where it holds a day.</summary>
    public bool Holds(DateOnly day) => day >= First && day <= Last;

    /// <summary>A day of any year, in these months.</summary>
    public DateOnly In(DayOfYear day) => day.In(First.Year) is var first && first >= First ? first : day.In(Last.Year);

    /// <summary>First and last day of a protocol in these months; all of them where its window runs over their ends.</summary>
    public (DateOnly From, DateOnly Until) Window(ProtocolPlan protocol)
    {
        ArgumentNullException.ThrowIfNull(protocol);
        var (from, until) = (In(protocol.From), In(protocol.Until));
        return from <= until ? (from, until) : (First, Last);
    }

    /// <summary>The first day of a month.</summary>
    /// <param name="month">1–12.</param>
    public DateOnly Month(int month) => In(new DayOfYear(month, 1));
}
