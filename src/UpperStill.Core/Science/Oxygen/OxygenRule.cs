using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Density;

namespace UpperStill.Core.Science.Oxygen;

/// <summary>Turns a reading in mg/L into per cent of saturation at the station, or back, and says what looks like another unit.</summary>
public static class OxygenRule
{
    private const decimal MostMgPerL = 20;
    private const decimal MostPercent = 200;
    private const decimal SurfaceM = 3;

    /// <summary>Works out both readings; outside the range of the equations there is a finding and no number.</summary>
    public static OxygenResult Work(OxygenRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (request.ConductanceUsCm is { } conductance)
        {
            request = request with { Salinity = Decimals.ToSignificant(PracticalSalinity.OfConductance(conductance), 6) };
        }

        var (t, s) = ((double)request.TemperatureC, (double)request.Salinity);
        if (!Solubility.Holds(t, s) || request.AltitudeM is < -500 or > 9000 || (request.PressureKpa is { } kpa && !Barometer.Holds(kpa)))
        {
            return new OxygenResult([
                Finding.Check(
                    "equation-range",
                    $"{Decimals.Text(request.TemperatureC)} °C at salinity {Decimals.Text(request.Salinity)} and "
                        + $"{Decimals.Text(request.AltitudeM)} m is outside what the equations hold for.",
                    "They were measured for 0–40 °C, salinity 0–40 and the air of the earth.",
                    "Read temperature, salinity and pressure again."
                ),
            ]);
        }

        var pressure = Pressure(request.AltitudeM, request.PressureKpa, request.FromWeatherReport);
        OxygenWater water = new(t, s, (double)pressure);
        var holds = water.HoldsMgPerL;
        var mgl =
            request.Unit == OxygenUnit.MgPerL
                ? request.Value
                : Decimals.ToSignificant(OxygenUnits.MgPerL(request.Value, request.Unit, water), 6);
        var percent = request.Unit == OxygenUnit.Percent ? request.Value : mgl / holds * 100;
        return new OxygenResult(
            [
                .. new[]
                {
                    Doubt(request.Value, request.Unit, percent, holds, request.DepthM),
                    Barometer.Doubt(request.AltitudeM, request.PressureKpa, request.FromWeatherReport),
                }.OfType<Finding>(),
            ],
            Round(mgl, 3),
            Round(percent, 1),
            Round(holds, 3),
            Round(pressure, 2),
            Round(mgl / holds * water.AirKpa, 2),
            Round(mgl * 1000 / OxygenUnits.MolarMass, 1),
            Round(mgl * 1_000_000 / OxygenUnits.MolarMass / water.DensityKgPerM3, 1),
            OxygenWorking.Of(request, pressure, water, mgl, percent)
        );
    }

    /// <summary>What is odd about a reading: another unit, a lost point of the decimal, or more than water can hold; null where nothing
    /// is.</summary>
    /// <param name="value">As read.</param>
    /// <param name="unit">Its unit.</param>
    /// <param name="percent">What it is of saturation, per cent.</param>
    /// <param name="holds">What the water would hold, mg/L.</param>
    /// <param name="depthM">At which depth, m.</param>
    /// <param name="mostMgPerL">mg/L above which it looks like per cent.</param>
    /// <param name="mostPercent">Per cent above which it is hardly possible.</param>
    internal static Finding? Doubt(
        decimal value,
        OxygenUnit unit,
        decimal percent,
        decimal holds,
        decimal? depthM,
        decimal mostMgPerL = MostMgPerL,
        decimal mostPercent = MostPercent
    )
    {
        var inMgPerL = unit == OxygenUnit.MgPerL;
        var text = Decimals.Text(value);
        return inMgPerL && (value > mostMgPerL || percent > mostPercent) && value is >= 40 and <= 160 ? AsPercent(value, holds)
            : unit == OxygenUnit.Percent && value is >= 0 and < MostMgPerL && depthM <= SurfaceM && value / holds * 100 is >= 60 and <= 140
                ? Finding.Check(
                    "oxygen-as-mgl",
                    $"{text} % near the surface is rare.",
                    $"As mg/L it would be {Decimals.Fixed(value / holds * 100, 0)} %.",
                    "Which unit?"
                )
            : percent > mostPercent || value < 0
                ? Finding.Check(
                    "oxygen-impossible",
                    $"{text} {OxygenUnits.Text(unit)} is {Decimals.Fixed(percent, 0)} %.",
                    "A thick bloom may do it by day; nothing else does.",
                    "Check calibration and unit."
                )
            : null;
    }

    /// <summary>A number in the mg/L box that is a percentage.</summary>
    internal static Finding AsPercent(decimal value, decimal holds) =>
        Finding.Stop(
            "oxygen-as-percent",
            $"{Decimals.Text(value)} mg/L would be {Decimals.Fixed(value / holds * 100, 0)} %: hardly possible.",
            $"As {Decimals.Text(value)} % it is {Decimals.Fixed(value * holds / 100, 2)} mg/L.",
            "Reread this one, from here down, or the whole column? What you wrote is kept."
        );

    /// <summary>The pressure at the station, kPa: the barometer's, brought there where it is the weather report's, or the standard
    /// atmosphere at the altitude.</summary>
    internal static decimal Pressure(decimal altitudeM, decimal? given, bool fromWeatherReport)
    {
        var usual = OxygenWater.Printed(Solubility.PressureKpa((double)altitudeM));
        return given is not { } read || !Barometer.Holds(read) ? usual
            : fromWeatherReport ? read * usual / (decimal)Solubility.StandardKpa
            : read;
    }

    private static decimal Round(decimal value, int decimals) =>
        Decimals.Plain(decimal.Round(value, decimals, MidpointRounding.AwayFromZero));
}
