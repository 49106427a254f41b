using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>Whether a temperature of the water can be, by thermometer or by meter.</summary>
internal static class WaterTemperature
{
    private const decimal RangeRoomC = 3;
    private const decimal HottestC = 40;
    private const decimal ColdestFreshC = -0.5m;
    private const decimal ColdestSeaC = -2;

    /// <summary>The scale of the programme's thermometers.</summary>
    internal static TemperatureUnit Scale(SheetDraft draft) =>
        draft.Context.Programme.Chooses(ArrivalOptions.TemperatureUnit, "fahrenheit")
            ? TemperatureUnit.Fahrenheit
            : TemperatureUnit.Celsius;

    /// <summary>What is doubtful about it; null where nothing is.</summary>
    /// <param name="draft">The visit.</param>
    /// <param name="celsius">°C.</param>
    /// <param name="asCelsius">True where it was written on that scale, and may have been read on the other.</param>
    internal static Finding? Doubt(SheetDraft draft, decimal celsius, bool asCelsius)
    {
        var sea = draft.Context.Water?.Kind == WaterKind.Sea;
        if (asCelsius)
        {
            var f = Temperature.Celsius(celsius, TemperatureUnit.Fahrenheit);
            var odd =
                draft.UsualTemperatures is var (low, high)
                && celsius > high + RangeRoomC
                && f >= low - RangeRoomC
                && f <= high + RangeRoomC;
            if (odd || (!sea && celsius > draft.Context.Programme.Of(ArrivalOptions.Fahrenheit)))
            {
                return Finding.Stop(
                    "temperature-as-fahrenheit",
                    $"{Decimals.Text(celsius)} °C is warmer than this water gets.",
                    $"As °F it would be {Temperature.Show(f)}.",
                    "Which scale was it?"
                );
            }
        }

        return celsius < (sea ? ColdestSeaC : ColdestFreshC) || celsius > HottestC
            ? Finding.Check(
                "temperature-range",
                $"{Temperature.Show(celsius)} is outside what is likely.",
                "Sign, unit or a misread scale?",
                "Read again."
            )
            : null;
    }
}
