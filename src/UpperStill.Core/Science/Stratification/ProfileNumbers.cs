namespace UpperStill.Core.Science.Stratification;

/// <summary>What a profile leaves in the record: the numbers that are followed through the years, without their workings.</summary>
/// <param name="SurfaceC">Temperature at the shallowest level, °C.</param>
/// <param name="BottomC">Temperature at the deepest level, °C.</param>
/// <param name="ThermoclineM">Depth of the thermocline by density, m; null in a mixed column.</param>
/// <param name="BottomOxygenMgL">Oxygen at the deepest level that has it, mg/L.</param>
/// <param name="BottomM">Depth of that level, m.</param>
/// <param name="HypoxicM">Depth below which the water is hypoxic, m; null where it is not.</param>
/// <param name="AnoxicM">Depth below which it is anoxic, m.</param>
/// <param name="StabilityJM2">Schmidt stability, J/m²; null without a table of areas.</param>
/// <param name="AnoxicArea">Share of the lake's area that lies below the anoxic depth, 0–1; null without a table of areas.</param>
/// <param name="DeepOxygenMgL">Oxygen of the water below the metalimnion, by volume, mg/L; null in a mixed column or without a table of
/// areas.</param>
public sealed record ProfileNumbers(
    double SurfaceC,
    double BottomC,
    double? ThermoclineM = null,
    double? BottomOxygenMgL = null,
    double? BottomM = null,
    double? HypoxicM = null,
    double? AnoxicM = null,
    double? StabilityJM2 = null,
    double? AnoxicArea = null,
    double? DeepOxygenMgL = null
)
{
    /// <summary>Mean thickness of that water, m: its volume over its area.</summary>
    public double? DeepThicknessM { get; init; }

    /// <summary>The numbers of a profile; null where it has fewer than two levels that the equations hold for.</summary>
    /// <param name="request">The profile.</param>
    public static ProfileNumbers? Of(ProfileRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (request.Levels.Any(l => !Density.WaterDensity.Holds((double)l.TemperatureC, (double)l.Salinity) || l.DepthM < 0))
        {
            return null;
        }

        LayerLevel[] levels =
        [
            .. request
                .Levels.GroupBy(l => l.DepthM)
                .Select(g => g.Last())
                .OrderBy(l => l.DepthM)
                .Select(l => LayerLevel.Of((double)l.DepthM, (double)l.TemperatureC, (double?)l.OxygenMgL, (double)l.Salinity)),
        ];
        if (levels.Length < 2)
        {
            return null;
        }

        var water = new Stratification(levels);
        LayerLevel? deepest = levels.Any(l => l.OxygenMgL is not null) ? levels.Last(l => l.OxygenMgL is not null) : null;
        var anoxic = water.OxygenBelow((double)request.AnoxicMgL);
        var numbers = new ProfileNumbers(
            levels[0].TemperatureC,
            levels[^1].TemperatureC,
            water.ThermoclineM,
            deepest?.OxygenMgL,
            deepest?.DepthM,
            water.OxygenBelow((double)request.HypoxicMgL),
            anoxic
        );
        return ByArea(numbers, water, levels, request.Hypsography, anoxic);
    }

    private static ProfileNumbers ByArea(
        ProfileNumbers numbers,
        Stratification water,
        LayerLevel[] levels,
        IReadOnlyList<AreaAtDepth>? areas,
        double? anoxic
    )
    {
        var deep = water.Metalimnion?.BottomM;
        if (
            Basin.From(
                areas,
                [
                    .. levels.Select(l => l.DepthM),
                    .. anoxic is { } a ? [a] : Array.Empty<double>(),
                    .. deep is { } d ? [d] : Array.Empty<double>(),
                ]
            )
            is not { } basin
        )
        {
            return numbers;
        }

        numbers = numbers with
        {
            StabilityJM2 = basin.StabilityJPerM2(water.At(basin.Depths, l => l.Density)),
            AnoxicArea = anoxic is { } from ? basin.AreaM2(from) / basin.SurfaceM2 : 0,
        };
        return
            deep is { } top
            && numbers.BottomOxygenMgL is not null
            && basin.Below(top, water.At(basin.Depths, l => l.OxygenMgL)) is { } below
            ? numbers with
            {
                DeepOxygenMgL = below.Mean,
                DeepThicknessM = below.VolumeM3 / basin.AreaM2(top),
            }
            : numbers;
    }
}
