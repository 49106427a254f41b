using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Oxygen;

/// <summary>Whether an air pressure fits the station, the sea, or neither.</summary>
internal static class Barometer
{
    // The lowest and the highest that were ever read, brought to the sea: 870 hPa (typhoon, 1979) and 1085 hPa (winter high, 2001);
    // WMO World Weather and Climate Extremes Archive.
    private const decimal LowestKpa = 87.0m;
    private const decimal HighestKpa = 108.5m;
    private const decimal SeaLevelExcessKpa = 3;

    /// <summary>True where a barometer on the earth may show it, kPa; what lies outside is not worked with.</summary>
    internal static bool Holds(decimal kpa) => kpa is >= 30 and <= 120;

    /// <summary>What is odd about it; null where nothing is.</summary>
    /// <param name="altitudeM">Altitude of the station, m.</param>
    /// <param name="given">As read, kPa; null where none was.</param>
    /// <param name="fromWeatherReport">True where it is said to be brought to the sea.</param>
    /// <param name="excessKpa">How far above the altitude’s standard it looks like the sea’s, kPa.</param>
    internal static Finding? Doubt(decimal altitudeM, decimal? given, bool fromWeatherReport, decimal excessKpa = SeaLevelExcessKpa)
    {
        if (given is not { } read)
        {
            return null;
        }

        var (usual, sea) = ((decimal)Solubility.PressureKpa((double)altitudeM), (decimal)Solubility.StandardKpa);
        var (low, high) = (LowestKpa * usual / sea, HighestKpa * usual / sea);
        var (altitude, text) = (Decimals.Text(altitudeM), Decimals.Text(read));
        if ((read < low || read > high) && read is < LowestKpa or > HighestKpa)
        {
            return Finding.Check(
                "barometer-impossible",
                $"{text} kPa is no pressure of the air: at {altitude} m it runs from {Decimals.Fixed(low, 1)} to "
                    + $"{Decimals.Fixed(high, 1)} kPa, brought to the sea from 87 to 108.5 kPa.",
                "Every saturation follows from it.",
                "Read the barometer and its unit again: 1 kPa is 10 hPa or 7.5 mmHg."
            );
        }

        // Nearer to what the station has than to what the sea has, and the two are told apart.
        if (fromWeatherReport && sea - usual > excessKpa && read < (usual + sea) / 2)
        {
            return Finding.Check(
                "barometer-brought-down",
                $"{text} kPa fits {altitude} m as it stands (about {Decimals.Fixed(usual, 1)} kPa): weather reports bring it to the "
                    + $"sea, about {Decimals.Fixed(sea, 1)} kPa.",
                $"Brought down a second time it is {Decimals.Fixed(read * usual / sea, 1)} kPa, and every saturation comes out high.",
                "If a barometer showed it at the station, it is not from the weather report."
            );
        }

        return !fromWeatherReport && read - usual > excessKpa
            ? Finding.Check(
                "barometer-at-sea-level",
                $"{text} kPa fits sea level; at {altitude} m about {Decimals.Fixed(usual, 1)} kPa is usual.",
                "Weather reports bring the pressure to the sea, and every saturation comes out low.",
                "Is it from the weather report? Then it will be brought to the station."
            )
            : null;
    }
}
