using UpperStill.Core.Density;
using UpperStill.Core.Quantities;
using UpperStill.Core.Workings;

namespace UpperStill.Core.Oxygen;

/// <summary>How an oxygen reading was turned into the others.</summary>
internal static class OxygenWorking
{
    internal static Working Of(OxygenRequest request, decimal pressure, OxygenWater water, decimal mgl, decimal percent)
    {
        var salinity = Decimals.Significant(request.Salinity, 6);
        var (value, unit) = (Decimals.Text(request.Value), OxygenUnits.Text(request.Unit));
        List<WorkingInput> inputs =
        [
            new("oxygen, as read", $"{value} {unit}"),
            new("water", $"{Decimals.Text(request.TemperatureC)} °C{(request.ConductanceUsCm is { } sc ? $", {Decimals.Text(sc)} µS/cm at 25 °C" : $", salinity {salinity}")}"),
            new("altitude", $"{Decimals.Text(request.AltitudeM)} m"),
        ];
        if (request.PressureKpa is { } given)
        {
            inputs.Add(new("pressure", $"{Decimals.Text(given)} kPa{(request.FromWeatherReport ? ", from the weather report" : string.Empty)}"));
        }

        var usual = Solubility.PressureKpa((double)request.AltitudeM);
        var (holds, air, density) = (Six(water.HoldsMgPerL), Six(water.AirKpa), Six(water.DensityKgPerM3));
        List<string> steps =
        [
            .. request.ConductanceUsCm is { } c ? [$"Salinity from the conductance: 5.572e-4 × {Decimals.Text(c)} + 2.02e-9 × {Decimals.Text(c)}² = {salinity}"] : Array.Empty<string>(),
            request.PressureKpa is null ? $"Standard atmosphere at the altitude: {Decimals.Fixed((decimal)usual, 2)} kPa"
                : request.FromWeatherReport ? $"Brought to the station: {Decimals.Text(request.PressureKpa.Value)} × {Six(usual)} / 101.325 = {Decimals.Fixed(pressure, 2)} kPa"
                : $"Pressure at the station: {Decimals.Fixed(pressure, 2)} kPa",
            $"Solubility at {Decimals.Text(request.TemperatureC)} °C, salinity {salinity} and {Decimals.Fixed(pressure, 2)} kPa: {holds} mg/L",
        ];
        if (request.Unit is not (OxygenUnit.MgPerL or OxygenUnit.Percent))
        {
            steps.Add(request.Unit switch
            {
                OxygenUnit.Kpa => $"{value} kPa / {air} × {holds} = {Decimals.Fixed(mgl, 3)} mg/L",
                OxygenUnit.UmolPerL => $"{value} µmol/L × 31.9988 / 1000 = {Decimals.Fixed(mgl, 3)} mg/L",
                _ => $"{value} µmol/kg × 31.9988 / 1000 × {density} / 1000 = {Decimals.Fixed(mgl, 3)} mg/L",
            });
        }

        // What follows is worked from the reading as it stands in mg/L, not from its rounded text.
        var m = request.Unit == OxygenUnit.MgPerL ? value : Six((double)mgl);
        steps.Add(request.Unit == OxygenUnit.Percent
            ? $"{value} % × {holds} / 100 = {Decimals.Fixed(mgl, 3)} mg/L"
            : $"100 × {m} / {holds} = {Decimals.Fixed(percent, 1)} %");
        steps.Add($"Partial pressure, 0.20946 × (pressure − vapour) = {air} kPa in balance: {Six((double)percent)} % × {air} / 100 = {Decimals.Fixed(percent * (decimal)water.AirKpa / 100, 2)} kPa");
        steps.Add($"{m} mg/L × 1000 / 31.9988 = {Decimals.Fixed(mgl * 1000 / (decimal)OxygenUnits.MolarMass, 1)} µmol/L; / {density} × 1000 = {Decimals.Fixed(mgl * 1_000_000 / (decimal)OxygenUnits.MolarMass / (decimal)water.DensityKgPerM3, 1)} µmol/kg");
        return new Working("Oxygen", inputs, steps, "Per cent of what the water would hold in balance with moist air at the station’s true pressure.", request.ConductanceUsCm is null ? Solubility.Source : $"{Solubility.Source}; salinity from conductance, {PracticalSalinity.ByConductance}");
    }

    private static string Six(double value) => Decimals.Significant((decimal)value, 6);
}
