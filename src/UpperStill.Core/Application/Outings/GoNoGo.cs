using System.Globalization;
using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Outings;

/// <summary>What the forecast says about going. The skipper decides; nothing here ever says that it is safe.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<GoAdvice>))]
public enum GoAdvice
{
    /// <summary>Nothing in the forecast speaks against it.</summary>
    [JsonStringEnumMemberName("nothing-against")]
    NothingAgainst,

    /// <summary>Another day would be better.</summary>
    [JsonStringEnumMemberName("postpone")]
    Postpone,

    /// <summary>Stay ashore.</summary>
    [JsonStringEnumMemberName("stay")]
    Stay,

    /// <summary>There is no forecast.</summary>
    [JsonStringEnumMemberName("unknown")]
    Unknown,
}

/// <summary>Go or no-go, with the reasons.</summary>
/// <param name="Advice">What the forecast says.</param>
/// <param name="Words">In one sentence.</param>
/// <param name="Findings">The reasons.</param>
/// <param name="GreatestWindMs">Strongest mean wind within the hours, m/s; null without a forecast.</param>
/// <param name="GreatestGustMs">Strongest gust within the hours, m/s.</param>
public sealed record GoAnswer(
    GoAdvice Advice,
    string Words,
    IReadOnlyList<Finding> Findings,
    double? GreatestWindMs = null,
    double? GreatestGustMs = null
);

/// <summary>Weighs a forecast against a programme's limits.</summary>
public static class GoNoGo
{
    // Chop of small lakes by the wind: WMO Beaufort descriptions; whitecaps from about 5.5 m/s in the open.
    private const double RipplesMs = 1.5;
    private const double ChoppyMs = 3.5;
    private const double WhiteCapsMs = 8;
    private const double GustsOverWind = 1.5;

    /// <summary>Weighs the hours of an outing.</summary>
    /// <param name="forecast">The forecast; null where there is none.</param>
    /// <param name="hours">The programme's hours.</param>
    /// <param name="programme">Its limits.</param>
    /// <param name="shore">True where nobody goes afloat.</param>
    /// <param name="alternate">Another day that keeps every rule of the season.</param>
    public static GoAnswer Judge(Forecast? forecast, HoursWindow hours, Programme programme, bool shore, DateOnly? alternate)
    {
        ArgumentNullException.ThrowIfNull(hours);
        ArgumentNullException.ThrowIfNull(programme);
        var during = (forecast?.Hours ?? []).Where(h => Within(h, hours)).ToList();
        if (forecast is null || during.Count == 0)
        {
            return new GoAnswer(
                GoAdvice.Unknown,
                "There is no forecast for these hours. Look at the sky and ask a service you trust. The skipper decides.",
                []
            );
        }

        List<Finding> findings = [.. Stops(forecast, during, programme, shore, alternate), .. Doubts(forecast, programme, shore)];
        var (wind, gust) = (during.Max(h => h.WindMs), during.Max(h => h.GustMs));
        var advice =
            findings.Any(f => f.Level == FindingLevel.Stop) ? GoAdvice.Stay
            : findings.Any(f => f.Code == "rain-heavy") ? GoAdvice.Postpone
            : GoAdvice.NothingAgainst;
        var words = advice switch
        {
            GoAdvice.Stay => "The forecast speaks against going.",
            GoAdvice.Postpone => "Better another day, if the window allows.",
            _ => "Nothing in the forecast speaks against it.",
        };
        return new GoAnswer(advice, words + " The skipper decides.", findings, wind, gust);
    }

    private static bool Within(ForecastHour hour, HoursWindow hours) =>
        TimeOnly.FromDateTime(hour.At.DateTime) is var time && time >= hours.From && time < hours.Until;

    private static IEnumerable<Finding> Stops(
        Forecast forecast,
        List<ForecastHour> during,
        Programme programme,
        bool shore,
        DateOnly? alternate
    )
    {
        var thunder = (double)programme.Of(ArrivalOptions.Thunder);
        if (during.FirstOrDefault(h => h.ThunderPercent >= thunder) is { } storm)
        {
            yield return Stop($"Thunder may come from {Clock(storm)} ({storm.ThunderPercent} %).");
        }

        if (during.FirstOrDefault(h => h.VisibilityKm < (double)programme.Of(ArrivalOptions.Visibility)) is { } fog)
        {
            yield return Stop($"Fog at {Clock(fog)}: {Number(fog.VisibilityKm)} km.");
        }

        if (shore)
        {
            yield break;
        }

        var limit = (double)programme.Of(ArrivalOptions.Wind);
        if (during.FirstOrDefault(h => h.WindMs > limit || h.GustMs > limit * GustsOverWind) is { } windy)
        {
            yield return Stop(
                $"Wind {Number(windy.WindMs)} m/s, gusts {Number(windy.GustMs)} m/s at {Clock(windy)}; the limit is {Number(limit)} m/s."
            );
        }
        else if (during.FirstOrDefault(h => Waves(h.WindMs) > programme.Of(ArrivalOptions.Waves)) is { } rough)
        {
            yield return Stop(
                $"Waves {Waves(rough.WindMs)} are likely at {Clock(rough)}; the limit is {programme.Of(ArrivalOptions.Waves):0}."
            );
        }

        if (forecast.Ice)
        {
            yield return Stop("There is ice.");
        }

        Finding Stop(string seen) =>
            Finding.Stop(
                "weather-over-limit",
                seen,
                "The boat comes before the sample.",
                alternate is { } day
                    ? $"Stay ashore; the alternate date is {day.ToString("ddd d MMM", CultureInfo.InvariantCulture)}. You decide."
                    : "Stay ashore; move the date on the season’s page. You decide."
            );
    }

    private static IEnumerable<Finding> Doubts(Forecast forecast, Programme programme, bool shore)
    {
        if (forecast.RainBefore24Mm > (double)programme.Of(ArrivalOptions.RainHeavy))
        {
            yield return Finding.Note(
                "rain-heavy",
                $"{Number(forecast.RainBefore24Mm)} mm fell in 24 h.",
                "Expect cloudy water; results stand for the storm, not the season.",
                "Postpone if the window allows."
            );
        }

        if (!shore && forecast.WaterC is { } water && water < (double)programme.Of(ArrivalOptions.ColdWater))
        {
            yield return Finding.Check(
                "cold-water",
                $"The water has about {Number(water)} °C.",
                "Cold takes the breath and the strength of whoever falls in.",
                "Wear suits, or stay ashore."
            );
        }
    }

    private static int Waves(double windMs) =>
        windMs < RipplesMs ? 1
        : windMs < ChoppyMs ? 2
        : windMs < WhiteCapsMs ? 3
        : 4;

    private static string Clock(ForecastHour hour) => hour.At.ToString("HH:mm", CultureInfo.InvariantCulture);

    private static string Number(double value) => value.ToString("0.#", CultureInfo.InvariantCulture);
}
