using UpperStill.Core.Findings;
using UpperStill.Core.Quantities;
using UpperStill.Core.Workings;

namespace UpperStill.Core.Oxygen;

/// <summary>Turns a reading in mg/L into per cent of saturation at the station, or back, and says what looks like another unit.</summary>
public static class OxygenRule
{
    private const decimal MostMgPerL = 20;
    private const decimal MostPercent = 200;
    private const decimal SurfaceM = 3;
    private const decimal SeaLevelExcessKpa = 3;

    /// <summary>Works out both readings; outside the range of the equations there is a finding and no number.</summary>
    public static OxygenResult Work(OxygenRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var (t, s) = ((double)request.TemperatureC, (double)request.Salinity);
        if (!Solubility.Holds(t, s) || request.AltitudeM is < -500 or > 9000 || request.PressureKpa is < 30 or > 120)
        {
            return new OxygenResult([Finding.Check(
                "equation-range", $"{Decimals.Text(request.TemperatureC)} °C at salinity {Decimals.Text(request.Salinity)} and {Decimals.Text(request.AltitudeM)} m is outside what the equations hold for.",
                "They were measured for 0–40 °C, salinity 0–40 and the air of the earth.", "Read temperature, salinity and pressure again.")]);
        }

        var usual = (decimal)Solubility.PressureKpa((double)request.AltitudeM);
        var pressure = Pressure(request.AltitudeM, request.PressureKpa, request.FromWeatherReport);
        var holds = (decimal)Solubility.AtPressure(t, s, (double)pressure);
        var (mgl, percent) = request.Unit == OxygenUnit.MgPerL ? (request.Value, request.Value / holds * 100) : (request.Value * holds / 100, request.Value);
        return new OxygenResult(
            [.. new[] { Doubt(request.Value, request.Unit, holds, request.DepthM), Barometer(request.AltitudeM, request.PressureKpa, request.FromWeatherReport) }.OfType<Finding>()],
            Round(mgl, 3), Round(percent, 1), Round(holds, 3), Round(pressure, 2), Show(request, usual, pressure, holds, mgl, percent));
    }

    /// <summary>What is odd about a reading: another unit, a lost point of the decimal, or more than water can hold; null where nothing is.</summary>
    /// <param name="value">As read.</param>
    /// <param name="unit">Its unit.</param>
    /// <param name="holds">What the water would hold, mg/L.</param>
    /// <param name="depthM">At which depth, m.</param>
    /// <param name="mostMgPerL">mg/L above which it looks like per cent.</param>
    /// <param name="mostPercent">Per cent above which it is hardly possible.</param>
    internal static Finding? Doubt(decimal value, OxygenUnit unit, decimal holds, decimal? depthM, decimal mostMgPerL = MostMgPerL, decimal mostPercent = MostPercent)
    {
        var inMgPerL = unit == OxygenUnit.MgPerL;
        var percent = inMgPerL ? value / holds * 100 : value;
        var text = Decimals.Text(value);
        return inMgPerL && (value > mostMgPerL || percent > mostPercent) && value is >= 40 and <= 160
            ? AsPercent(value, holds)
            : !inMgPerL && value is >= 0 and < MostMgPerL && depthM <= SurfaceM && value / holds * 100 is >= 60 and <= 140
                ? Finding.Check("oxygen-as-mgl", $"{text} % near the surface is rare.", $"As mg/L it would be {Decimals.Fixed(value / holds * 100, 0)} %.", "Which unit?")
                : percent > mostPercent || value < 0
                    ? Finding.Check("oxygen-impossible", $"{text} {(inMgPerL ? "mg/L" : "%")} is {Decimals.Fixed(percent, 0)} %.", "A thick bloom may do it by day; nothing else does.", "Check calibration and unit.")
                    : null;
    }

    /// <summary>A number in the mg/L box that is a percentage.</summary>
    internal static Finding AsPercent(decimal value, decimal holds) => Finding.Stop(
        "oxygen-as-percent", $"{Decimals.Text(value)} mg/L would be {Decimals.Fixed(value / holds * 100, 0)} %: hardly possible.",
        $"As {Decimals.Text(value)} % it is {Decimals.Fixed(value * holds / 100, 2)} mg/L.", "Reread this one, from here down, or the whole column? What you wrote is kept.");

    /// <summary>The pressure at the station, kPa: the barometer's, brought there where it is the weather report's, or the standard atmosphere at the altitude.</summary>
    internal static decimal Pressure(decimal altitudeM, decimal? given, bool fromWeatherReport)
    {
        var usual = (decimal)Solubility.PressureKpa((double)altitudeM);
        return given is not { } read ? usual : fromWeatherReport ? read * usual / (decimal)Solubility.StandardKpa : read;
    }

    /// <summary>A pressure that fits the sea better than the altitude of the station.</summary>
    internal static Finding? Barometer(decimal altitudeM, decimal? given, bool fromWeatherReport, decimal excessKpa = SeaLevelExcessKpa)
    {
        var usual = (decimal)Solubility.PressureKpa((double)altitudeM);
        return given is { } read && !fromWeatherReport && read - usual > excessKpa
            ? Finding.Check(
                "barometer-at-sea-level", $"{Decimals.Text(read)} kPa fits sea level; at {Decimals.Text(altitudeM)} m about {Decimals.Fixed(usual, 1)} kPa is usual.",
                "Weather reports bring the pressure to the sea, and every saturation comes out low.", "Is it from the weather report? Then it will be brought to the station.")
            : null;
    }

    private static Working Show(OxygenRequest request, decimal usual, decimal pressure, decimal holds, decimal mgl, decimal percent)
    {
        List<WorkingInput> inputs =
        [
            new("oxygen, as read", $"{Decimals.Text(request.Value)} {(request.Unit == OxygenUnit.MgPerL ? "mg/L" : "%")}"),
            new("water", $"{Decimals.Text(request.TemperatureC)} °C, salinity {Decimals.Text(request.Salinity)}"),
            new("altitude", $"{Decimals.Text(request.AltitudeM)} m"),
        ];
        List<string> steps = [];
        if (request.PressureKpa is { } given)
        {
            inputs.Add(new("pressure", $"{Decimals.Text(given)} kPa{(request.FromWeatherReport ? ", from the weather report" : string.Empty)}"));
        }

        steps.Add(request.PressureKpa is null ? $"Standard atmosphere at the altitude: {Decimals.Fixed(usual, 2)} kPa"
            : request.FromWeatherReport ? $"Brought to the station: {Decimals.Text(request.PressureKpa.Value)} × {Decimals.Fixed(usual, 2)} / 101.325 = {Decimals.Fixed(pressure, 2)} kPa"
            : $"Pressure at the station: {Decimals.Fixed(pressure, 2)} kPa");
        steps.Add($"Solubility at {Decimals.Text(request.TemperatureC)} °C and {Decimals.Fixed(pressure, 2)} kPa: {Decimals.Fixed(holds, 3)} mg/L");
        steps.Add(request.Unit == OxygenUnit.MgPerL
            ? $"100 × {Decimals.Text(request.Value)} / {Decimals.Fixed(holds, 3)} = {Decimals.Fixed(percent, 1)} %"
            : $"{Decimals.Text(request.Value)} % × {Decimals.Fixed(holds, 3)} / 100 = {Decimals.Fixed(mgl, 3)} mg/L");
        return new Working("Oxygen", inputs, steps, "Per cent of what the water would hold in balance with moist air at the station’s true pressure.", Solubility.Source);
    }

    private static decimal Round(decimal value, int decimals) => Decimals.Plain(decimal.Round(value, decimals, MidpointRounding.AwayFromZero));
}
