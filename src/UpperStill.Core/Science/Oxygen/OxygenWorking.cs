using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Science.Density;

namespace UpperStill.Core.Science.Oxygen;

/// <summary>How an oxygen reading was turned into the others.</summary>
internal static class OxygenWorking
{
    internal static Working Of(OxygenRequest request, decimal pressure, OxygenWater water, decimal mgl, decimal percent)
    {
        var salinity = Decimals.Text(request.Salinity);
        var (value, unit) = (Decimals.Text(request.Value), OxygenUnits.Text(request.Unit));
        List<WorkingInput> inputs =
        [
            new("oxygen, as read", $"{value} {unit}"),
            new(
                "water",
                $"{Decimals.Text(request.TemperatureC)} "
                    + $"°C{(request.ConductanceUsCm is { } sc ? $", {Decimals.Text(sc)} µS/cm at 25 °C" : $", salinity {salinity}")}"
            ),
            new("altitude", $"{Decimals.Text(request.AltitudeM)} m"),
        ];
        if (request.PressureKpa is { } given)
        {
            inputs.Add(
                new("pressure", $"{Decimals.Text(given)} kPa{(request.FromWeatherReport ? ", from the weather report" : string.Empty)}")
            );
        }

        var usual = OxygenWater.Printed(Solubility.PressureKpa((double)request.AltitudeM));
        var (holds, air, density, m) = (water.HoldsMgPerL, water.AirKpa, water.DensityKgPerM3, Decimals.Text(mgl));
        List<string> steps =
        [
            .. request.ConductanceUsCm is { } c
                ? [$"Salinity from the conductance: 5.572e-4 × {Decimals.Text(c)} + 2.02e-9 × {Decimals.Text(c)}² = {salinity}"]
                : Array.Empty<string>(),
            request.PressureKpa is null ? $"Standard atmosphere at the altitude: {Decimals.Fixed(usual, 2)} kPa"
            : request.FromWeatherReport
                ? $"Brought to the station: {Decimals.Text(request.PressureKpa.Value)} × {Decimals.Text(usual)} / 101.325 = "
                    + $"{Decimals.Fixed(pressure, 2)} kPa"
            : $"Pressure at the station: {Decimals.Fixed(pressure, 2)} kPa",
            $"Solubility at {Decimals.Text(request.TemperatureC)} °C, salinity {salinity} and {Decimals.Fixed(pressure, 2)} kPa: "
                + $"{Decimals.Text(holds)} mg/L",
            request.Unit switch
            {
                OxygenUnit.Percent => $"{value} % × {Decimals.Text(holds)} / 100 = {m} mg/L",
                OxygenUnit.Kpa => $"{value} kPa / {Decimals.Text(air)} × {Decimals.Text(holds)} = {m} mg/L",
                OxygenUnit.UmolPerL => $"{value} µmol/L × 31.9988 / 1000 = {m} mg/L",
                OxygenUnit.UmolPerKg => $"{value} µmol/kg × 31.9988 / 1000 × {Decimals.Text(density)} / 1000 = {m} mg/L",
                _ => $"100 × {m} / {Decimals.Text(holds)} = {Decimals.Fixed(percent, 1)} %",
            },
        ];
        if (request.Unit is not (OxygenUnit.MgPerL or OxygenUnit.Percent))
        {
            steps.Add($"100 × {m} / {Decimals.Text(holds)} = {Decimals.Fixed(percent, 1)} %");
        }

        steps.Add(
            $"In balance 0.20946 × (pressure − vapour) is {Decimals.Text(air)} kPa: {m} / {Decimals.Text(holds)} × "
                + $"{Decimals.Text(air)} = {Decimals.Fixed(mgl / holds * air, 2)} kPa"
        );
        steps.Add($"{m} mg/L × 1000 / 31.9988 = {Decimals.Fixed(mgl * 1000 / OxygenUnits.MolarMass, 1)} µmol/L");
        steps.Add(
            $"{m} mg/L × 1000 / 31.9988 × 1000 / {Decimals.Text(density)} = "
                + $"{Decimals.Fixed(mgl * 1_000_000 / OxygenUnits.MolarMass / density, 1)} µmol/kg"
        );
        return new Working(
            "Oxygen",
            inputs,
            steps,
            "Per cent of what the water would hold in balance with moist air at the station’s true pressure.",
            request.ConductanceUsCm is null
                ? Solubility.Source
                : $"{Solubility.Source}; salinity from conductance, {PracticalSalinity.ByConductance}"
        );
    }
}
