using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Setup.Seasons;

/// <summary>Days on which an earth-observing satellite looks down on a place; only clear days count, so a match is a preference.</summary>
public interface IPassCalendar
{
    /// <summary>True where the days are made up and must be marked so on the screen.</summary>
    bool Simulated { get; }

    /// <summary>The local days of a year.</summary>
    IReadOnlyList<DateOnly> Passes(Position place, int year);
}
