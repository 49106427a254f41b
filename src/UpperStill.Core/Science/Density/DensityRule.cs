using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Density;

/// <summary>Water whose density is asked for.</summary>
/// <param name="TemperatureC">°C.</param>
/// <param name="Salinity">Practical salinity; 0 in fresh water.</param>
public sealed record DensityRequest([property: Within(-5, 60, "°C")] decimal TemperatureC, [property: Within(0, 100)] decimal Salinity = 0);

/// <summary>The density of water.</summary>
/// <param name="Findings">What stands in the way.</param>
/// <param name="KgPerM3">kg/m³; null outside of what the equation holds for.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Working">How it came about.</param>
public sealed record DensityResult(IReadOnlyList<Finding> Findings, decimal? KgPerM3 = null, string? Text = null, Working? Working = null);

/// <summary>Density with its working; see <see cref="WaterDensity"/>.</summary>
public static class DensityRule
{
    /// <summary>Works it out.</summary>
    public static DensityResult Work(DensityRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var (t, s) = ((double)request.TemperatureC, (double)request.Salinity);
        if (!WaterDensity.Holds(t, s))
        {
            return new DensityResult([
                Finding.Check(
                    "equation-range",
                    $"{Decimals.Text(request.TemperatureC)} °C at salinity {Decimals.Text(request.Salinity)} lies outside of what "
                        + "the equation holds for.",
                    "It was measured for -2–40 °C and salinity 0–42.",
                    "Read temperature and salinity again."
                ),
            ]);
        }

        var (density, pure) = (WaterDensity.KgPerM3(t, s), WaterDensity.KgPerM3(t));
        var text = $"{Decimals.Fixed((decimal)density, 3)} kg/m³";
        return new DensityResult(
            [],
            decimal.Round((decimal)density, 4),
            text,
            new Working(
                "Density of water",
                [
                    new WorkingInput("temperature", $"{Decimals.Text(request.TemperatureC)} °C"),
                    new WorkingInput("salinity", Decimals.Text(request.Salinity)),
                ],
                [
                    $"Pure water at this temperature: {Decimals.Fixed((decimal)pure, 3)} kg/m³",
                    $"Salt adds {Decimals.Fixed((decimal)(density - pure), 3)} kg/m³: {text}",
                ],
                "At one atmosphere.",
                WaterDensity.Source
            )
        );
    }
}
