using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Application.Outings;

/// <summary>The weather expected in one hour.</summary>
/// <param name="At">Its beginning, local time of the water.</param>
/// <param name="WindMs">Mean wind, m/s.</param>
/// <param name="GustMs">Gusts, m/s.</param>
/// <param name="WindFromDeg">Direction it comes from, degrees from north.</param>
/// <param name="RainMm">Rain in that hour, mm.</param>
/// <param name="CloudEighths">Cloud, 0–8.</param>
/// <param name="AirC">Air, °C.</param>
/// <param name="VisibilityKm">Visibility, km.</param>
/// <param name="ThunderPercent">Chance of thunder, per cent.</param>
public sealed record ForecastHour(
    DateTimeOffset At,
    double WindMs,
    double GustMs,
    double WindFromDeg,
    double RainMm,
    int CloudEighths,
    double AirC,
    double VisibilityKm,
    int ThunderPercent
);

/// <summary>The weather expected on a day, and what fell before it.</summary>
/// <param name="Hours">Hour by hour.</param>
/// <param name="RainBefore24Mm">Rain of the 24 h before the day's first hour, mm.</param>
/// <param name="RainBefore72Mm">Rain of the 72 h before it, mm.</param>
/// <param name="WaterC">Surface water, °C; null where it is not known.</param>
/// <param name="Ice">True where the water is frozen.</param>
public sealed record Forecast(
    IReadOnlyList<ForecastHour> Hours,
    double RainBefore24Mm,
    double RainBefore72Mm,
    double? WaterC = null,
    bool Ice = false
);

/// <summary>A weather service.</summary>
public interface IForecastService
{
    /// <summary>True where the weather is made up and must be marked so on the screen.</summary>
    bool Simulated { get; }

    /// <summary>The forecast for a place and a local day; null where the service does not reach so far.</summary>
    /// <param name="place">Where.</param>
    /// <param name="day">The local day.</param>
    /// <param name="offset">The place's offset from UTC on that day.</param>
    /// <param name="cancel">Gives up waiting.</param>
    Task<Forecast?> ForecastAsync(Position place, DateOnly day, TimeSpan offset, CancellationToken cancel);
}
