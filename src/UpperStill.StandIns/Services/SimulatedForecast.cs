using UpperStill.Core.Application.Outings;
using UpperStill.Core.Science.Geodesy;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Services;

/// <summary>Made-up weather: the same place and day always have the same, and neighbouring places much the same. It reaches ten days
/// ahead.</summary>
public sealed class SimulatedForecast(TimeProvider clock) : IForecastService
{
    private const int DaysAhead = 10;
    private const double CellDeg = 0.5;
    private const int HottestHour = 15;

    /// <inheritdoc/>
    public bool Simulated => true;

    /// <inheritdoc/>
    public Task<Forecast?> ForecastAsync(Position place, DateOnly day, TimeSpan offset, CancellationToken cancel)
    {
        cancel.ThrowIfCancellationRequested();
        var ahead = day.DayNumber - DateOnly.FromDateTime(clock.GetUtcNow().ToOffset(offset).DateTime).DayNumber;
        return Task.FromResult(ahead is >= 0 and <= DaysAhead ? Made(place, day, offset) : null);
    }

    private static Forecast Made(Position place, DateOnly day, TimeSpan offset)
    {
        var weather = DayOf(place, day);
        List<ForecastHour> hours = [];
        for (var hour = 0; hour < 24; hour++)
        {
            // Wind and warmth rise to the afternoon; a shower, where there is one, comes with them.
            var rise = Math.Exp(-Math.Pow((hour - HottestHour) / 5.0, 2));
            var wind = weather.WindMs * (0.6 + (0.5 * rise));
            var wet = weather.Wet && hour is >= 13 and <= 18;
            hours.Add(
                new ForecastHour(
                    new DateTimeOffset(day.ToDateTime(new TimeOnly(hour, 0)), offset),
                    Round(wind),
                    Round(wind * 1.5),
                    weather.FromDeg,
                    wet ? Round(weather.RainMm / 6) : 0,
                    wet ? 7 : weather.CloudEighths,
                    Round(weather.MeanC + (7 * rise) - 2),
                    weather.Fog && hour < 11 ? 0.6 : 20,
                    weather.Thunder && wet ? 45
                        : weather.Wet ? 8
                        : 2
                )
            );
        }

        return new Forecast(hours, Before(place, day, 1), Before(place, day, 3), Round(4 + (weather.MeanC * 0.85)));
    }

    private static double Before(Position place, DateOnly day, int days) =>
        Round(Enumerable.Range(1, days).Sum(d => DayOf(place, day.AddDays(-d)) is { Wet: true } wet ? wet.RainMm : 0));

    private static DayWeather DayOf(Position place, DateOnly day)
    {
        var cell = ((long)Math.Floor(place.LatitudeDeg / CellDeg) * 7919) + (long)Math.Floor(place.LongitudeDeg / CellDeg);
        var chance = new Chance((ulong)((day.DayNumber * 104_729L) + cell));
        var season = Math.Cos(2 * Math.PI * (day.DayOfYear - 205) / 365.25) * (place.LatitudeDeg < 0 ? -1 : 1);
        var wet = chance.Even() < 0.3;
        return new DayWeather(
            Round(1.5 + (7 * chance.Even() * chance.Even()) + (wet ? 1.5 : 0)),
            Math.Round(chance.Even() * 36) * 10,
            wet,
            Round(2 + (30 * chance.Even() * chance.Even())),
            chance.Whole(0, 6),
            Round(10 + (7 * season) + (2 * chance.Bell())),
            chance.Even() < 0.04,
            chance.Even() < 0.2
        );
    }

    private static double Round(double value) => Math.Round(value, 1);

    private sealed record DayWeather(
        double WindMs,
        double FromDeg,
        bool Wet,
        double RainMm,
        int CloudEighths,
        double MeanC,
        bool Fog,
        bool Thunder
    );
}
