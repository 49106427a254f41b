using UpperStill.Core.Application.Outings;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Application.Outings;

public class GoNoGoTests
{
    private static readonly Programme Programme = Presets.All.Single(p => p.Programme.Code == "town-lakes").Programme;
    private static readonly DateOnly Alternate = new(2026, 8, 13);

    [Fact]
    public void A_calm_day_has_nothing_against_it_and_is_never_called_safe()
    {
        var go = Judge(Day(h => h));

        Assert.Equal(GoAdvice.NothingAgainst, go.Advice);
        Assert.Empty(go.Findings);
        Assert.Contains("The skipper decides.", go.Words, StringComparison.Ordinal);
        Assert.DoesNotContain("safe", go.Words, StringComparison.OrdinalIgnoreCase);
    }

    [Theory]
    [InlineData("thunder")]
    [InlineData("fog")]
    [InlineData("wind")]
    [InlineData("gusts")]
    [InlineData("ice")]
    public void What_endangers_the_boat_says_stay_and_names_the_alternate(string what)
    {
        var go = Judge(
            Day(h =>
                h.At.Hour != 13
                    ? h
                    : what switch
                    {
                        "thunder" => h with { ThunderPercent = 40 },
                        "fog" => h with { VisibilityKm = 0.4 },
                        "wind" => h with { WindMs = 8.5 },
                        "gusts" => h with { GustMs = 12.5 },
                        _ => h,
                    }
            ) with
            {
                Ice = what == "ice",
            }
        );

        var finding = Assert.Single(go.Findings);
        Assert.Equal((GoAdvice.Stay, "weather-over-limit", FindingLevel.Stop), (go.Advice, finding.Code, finding.Level));
        Assert.Contains("Thu 13 Aug", finding.Act, StringComparison.Ordinal);
    }

    [Fact]
    public void Weather_outside_the_hours_does_not_count() =>
        Assert.Equal(GoAdvice.NothingAgainst, Judge(Day(h => h.At.Hour == 18 ? h with { ThunderPercent = 90, WindMs = 20 } : h)).Advice);

    [Fact]
    public void Ashore_wind_does_not_stop_but_thunder_does()
    {
        Assert.Equal(
            GoAdvice.NothingAgainst,
            GoNoGo.Judge(Day(h => h with { WindMs = 14, GustMs = 20 }), Programme.Hours, Programme, true, null).Advice
        );
        Assert.Equal(GoAdvice.Stay, GoNoGo.Judge(Day(h => h with { ThunderPercent = 30 }), Programme.Hours, Programme, true, null).Advice);
    }

    [Fact]
    public void After_heavy_rain_another_day_is_better() =>
        Assert.Equal(GoAdvice.Postpone, Judge(Day(h => h) with { RainBefore24Mm = 26 }).Advice);

    [Fact]
    public void Cold_water_is_said_to_those_afloat()
    {
        Assert.Contains(Judge(Day(h => h) with { WaterC = 9 }).Findings, f => f.Code == "cold-water");
        Assert.DoesNotContain(GoNoGo.Judge(Day(h => h) with { WaterC = 9 }, Programme.Hours, Programme, true, null).Findings, f =>
            f.Code == "cold-water"
        );
    }

    [Fact]
    public void A_programmes_own_limit_holds() =>
        Assert.Equal(
            GoAdvice.Stay,
            GoNoGo
                .Judge(
                    Day(h => h with { WindMs = 5 }),
                    Programme.Hours,
                    Programme with
                    {
                        Thresholds = new Dictionary<string, decimal> { [ArrivalOptions.Wind.Setting] = 4 },
                    },
                    false,
                    null
                )
                .Advice
        );

    [Fact]
    public void Without_a_forecast_nothing_is_said_of_the_weather() => Assert.Equal(GoAdvice.Unknown, Judge(null).Advice);

    private static GoAnswer Judge(Forecast? forecast) => GoNoGo.Judge(forecast, Programme.Hours, Programme, false, Alternate);

    private static Forecast Day(Func<ForecastHour, ForecastHour> change) =>
        new(
            [
                .. Enumerable
                    .Range(0, 24)
                    .Select(h =>
                        change(
                            new ForecastHour(new DateTimeOffset(2026, 8, 12, h, 0, 0, TimeSpan.FromHours(1)), 3, 5, 240, 0, 3, 18, 20, 2)
                        )
                    ),
            ],
            0,
            0,
            19
        );
}
