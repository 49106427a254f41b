using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Science.Density;

namespace UpperStill.Core.Science.Stratification;

/// <summary>Works out what a profile says: where it is layered, where oxygen ends, and by area and depth the means and the
/// stability.</summary>
public static class ProfileRule
{
    private const string LayerSource = "EOS-80, Millero & Poisson 1981; Hutchinson 1957, A Treatise on Limnology, vol. 1";
    private const string BirgeSource = "Birge 1897, in Wetzel 2001, Limnology, 3rd ed.";
    private const string BasinSource = "Schmidt 1928; Idso 1973, Limnol. Oceanogr. 18: 681–683; Simpson’s rule between depths";

    /// <summary>Every figure with its working.</summary>
    public static ProfileResult Work(ProfileRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return Work(request, workings: true);
    }

    /// <summary>Every figure; a fold on the boat leaves the workings out, and they are asked for when a figure is opened.</summary>
    internal static ProfileResult Work(ProfileRequest request, bool workings)
    {
        if (request.Levels.Any(l => !WaterDensity.Holds((double)l.TemperatureC, (double)l.Salinity) || l.DepthM < 0))
        {
            return new ProfileResult(
                [],
                [
                    Finding.Check(
                        "equation-range",
                        "A level lies outside what the equation of density holds for.",
                        "It was measured for -2–40 °C and salinity 0–42.",
                        "Read temperature and salinity again."
                    ),
                ]
            );
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
            return new ProfileResult([], []);
        }

        var figures = new Figures(request, levels, workings).All();
        return new ProfileResult(
            [
                .. request.About
                    ? figures.Select(f => f with { Text = f is { Value: null, DepthM: null } ? f.Text : $"about {f.Text}" })
                    : figures,
            ],
            [.. AreaTable.Findings(request.Hypsography ?? []).Select(f => f with { Level = FindingLevel.Check })]
        );
    }

    /// <summary>The figures of one profile.</summary>
    private sealed class Figures(ProfileRequest request, LayerLevel[] levels, bool workings)
    {
        private readonly Stratification water = new(levels);

        internal IEnumerable<ProfileFigure> All() => [.. Layers(), .. Oxygen(), .. ByVolume()];

        private IEnumerable<ProfileFigure> Layers()
        {
            var byDensity = request.LayersBy != LayersBy.Degree;
            if (byDensity && water.ThermoclineM is { } thermocline && water.Steepest is { } steepest)
            {
                yield return new ProfileFigure(
                    "thermocline",
                    water.BySalt ? "Halocline, by density" : "Thermocline, by density",
                    Show(thermocline),
                    Number(thermocline),
                    null,
                    Working(
                        "Thermocline by density",
                        Densities(),
                        () =>
                            [
                                .. water.Layers.Select(l => $"{Show(l.TopM)}–{Show(l.BottomM)}: {Text(l.Gradient, 3)} kg/m³ per m"),
                                $"Steepest: {Show(water.Layers[steepest].TopM)}–{Show(water.Layers[steepest].BottomM)}, its middle "
                                    + $"{Show(water.Layers[steepest].MidM)}",
                                $"Vertex of the parabola through it and its neighbours: {Show(thermocline)}",
                            ],
                        "The depth of the steepest density gradient; none where it is under 0.1 kg/m³ per m, or the column spans "
                            + "less than 1 °C and less than 0.5 "
                            + $"kg/m³.{(water.BySalt ? " Here salt makes the layers, not warmth." : string.Empty)}",
                        LayerSource
                    )
                );
                var (top, bottom) = water.Metalimnion!.Value;
                yield return new ProfileFigure(
                    "metalimnion",
                    water.BySalt ? "Layer of salt, by density" : "Metalimnion, by density",
                    $"{Show(top)}–{Show(bottom)}",
                    Number(top),
                    Number(bottom),
                    Working(
                        "Metalimnion by density",
                        Densities(),
                        () =>
                            [
                                "From the thermocline up and down until the gradient falls below 0.1 kg/m³ per m: "
                                    + $"{Show(top)}–{Show(bottom)}",
                            ],
                        "The unbroken run of layers round the steepest one with at least 0.1 kg/m³ per m.",
                        LayerSource
                    )
                );
            }
            else if (byDensity)
            {
                yield return new ProfileFigure(
                    "thermocline",
                    "Thermocline, by density",
                    "none, mixed",
                    null,
                    null,
                    Working(
                        "Thermocline by density",
                        Densities(),
                        () =>
                            [
                                $"Steepest gradient {Text(water.Layers.Max(l => l.Gradient), 3)} kg/m³ per m; the column spans "
                                    + $"{Text(levels.Max(l => l.TemperatureC) - levels.Min(l => l.TemperatureC), 1)} °C",
                            ],
                        "None where the steepest gradient is under 0.1 kg/m³ per m, or the column spans less than 1 °C and less "
                            + "than 0.5 kg/m³.",
                        LayerSource
                    )
                );
            }

            if (water is { SteepestN2: { } n2, Steepest: { } at })
            {
                yield return new ProfileFigure(
                    "buoyancy",
                    "Buoyancy frequency N²",
                    $"{Text(n2 * 1e4, 2)} × 10⁻⁴ s⁻²",
                    null,
                    null,
                    Unit: "s⁻²",
                    Value: Number(n2),
                    Working: Working(
                        "Buoyancy frequency",
                        Densities(),
                        () =>
                            [
                                $"g / ρ̄ × dρ/dz = 9.80665 / {Text(levels.Average(l => l.Density), 4)} × "
                                    + $"{Text(water.Layers[at].Gradient, 7)} = {Text(n2 * 1e4, 2)} × 10⁻⁴ s⁻², "
                                    + $"{Show(water.Layers[at].TopM)}–{Show(water.Layers[at].BottomM)}",
                            ],
                        "How firmly the steepest layer holds against being mixed: N² = g / ρ dρ/dz, ρ the mean of the column.",
                        "Turner 1973, Buoyancy Effects in Fluids, 1.2"
                    )
                );
            }

            var fastest = water.Layers.Max(l => l.Falls);
            if (request.LayersBy == LayersBy.Degree && water.Birge is { } run)
            {
                var middle = (run.TopM + run.BottomM) / 2;
                yield return new ProfileFigure(
                    "thermocline",
                    "Thermocline, 1 °C per metre",
                    Show(middle),
                    Number(middle),
                    null,
                    Working(
                        "Thermocline by warmth",
                        Temperatures(),
                        () => [$"The middle of {Show(run.TopM)}–{Show(run.BottomM)}: {Show(middle)}"],
                        "The middle of the layers in which temperature falls at least 1 °C per metre.",
                        BirgeSource
                    )
                );
                yield return new ProfileFigure(
                    "metalimnion",
                    "Metalimnion, 1 °C per metre",
                    $"{Show(run.TopM)}–{Show(run.BottomM)}",
                    Number(run.TopM),
                    Number(run.BottomM),
                    Working(
                        "Metalimnion by warmth",
                        Temperatures(),
                        () => [$"{Show(run.TopM)}–{Show(run.BottomM)}"],
                        "The layers in which temperature falls at least 1 °C per metre.",
                        BirgeSource
                    )
                );
            }
            else if (request.LayersBy != LayersBy.Density)
            {
                yield return new ProfileFigure(
                    "degree",
                    "1 °C per metre",
                    water.Birge is { } birge ? $"{Show(birge.TopM)}–{Show(birge.BottomM)}" : "nowhere",
                    Number(water.Birge?.TopM),
                    Number(water.Birge?.BottomM),
                    Working(
                        "One degree per metre",
                        Temperatures(),
                        () =>
                            [
                                .. water.Layers.Select(l => $"{Show(l.TopM)}–{Show(l.BottomM)}: {Text(l.Falls, 2)} °C per m"),
                                water.Birge is { } b
                                    ? $"Unbroken round the steepest: {Show(b.TopM)}–{Show(b.BottomM)}"
                                    : $"Nowhere: at most {Text(fastest, 2)} °C per m",
                            ],
                        "The unbroken run of layers round the steepest one in which temperature falls at least 1 °C per metre, and "
                            + "1 °C in all.",
                        BirgeSource
                    )
                );
            }

            yield return new ProfileFigure(
                "mixed",
                "Mixed layer",
                water.MixedM is { } mixed ? $"to {Show(mixed)}" : "to the bottom",
                Number(water.MixedM),
                null,
                Working(
                    "Mixed layer",
                    Densities(),
                    () =>
                        [
                            water.MixedM is { } m
                                ? $"Density is 0.1 kg/m³ above that at 1 m first at {Show(m)}"
                                : "Density never exceeds that at 1 m by 0.1 kg/m³",
                        ],
                    "The first depth, interpolated, at which density exceeds that at 1 m (or the first reading below) by 0.1 kg/m³.",
                    LayerSource
                )
            );
        }

        private IEnumerable<ProfileFigure> Oxygen()
        {
            if (levels.LastOrDefault(l => l.OxygenMgL is not null) is not { OxygenMgL: { } deepest } last)
            {
                yield break;
            }

            yield return new ProfileFigure(
                "bottom-oxygen",
                "Oxygen at the bottom",
                $"{Text(deepest, 1)} mg/L at {Show(last.DepthM)}",
                Value: Number(deepest),
                Unit: "mg/L"
            );
            foreach (
                var (key, label, limit) in new[] { ("hypoxic", "Hypoxic", request.HypoxicMgL), ("anoxic", "Anoxic", request.AnoxicMgL) }
            )
            {
                if (water.OxygenBelow((double)limit) is { } below)
                {
                    yield return new ProfileFigure(
                        key,
                        $"{label}, under {Decimals.Text(limit)} mg/L",
                        $"below {Show(below)}",
                        Number(below),
                        null,
                        Working(
                            $"{label} depth",
                            [
                                .. levels
                                    .Where(l => l.OxygenMgL is not null)
                                    .Select(l => new WorkingInput(Show(l.DepthM), $"{Text(l.OxygenMgL!.Value, 2)} mg/L")),
                            ],
                            () => [$"First below {Decimals.Text(limit)} mg/L, straight between the levels: {Show(below)}"],
                            $"The depth at which oxygen first falls below {Decimals.Text(limit)} mg/L, the programme’s limit.",
                            "Nürnberg 1995, Limnol. Oceanogr. 40: 1100–1111"
                        )
                    );
                }
            }
        }

        private IEnumerable<ProfileFigure> ByVolume()
        {
            if (Basin.From(request.Hypsography, [.. levels.Select(l => l.DepthM)]) is not { } basin)
            {
                yield break;
            }

            var density = water.At(basin.Depths, l => l.Density);
            var temperature = water.At(basin.Depths, l => l.TemperatureC);
            string[] Areas() =>
                [
                    $"Surface {Text(basin.SurfaceM2 / 1e4, 1)} ha, volume {Text(basin.VolumeM3 / 1e6, 2)} million m³, from the "
                        + "table of area by depth",
                ];
            var stability = basin.StabilityJPerM2(density);
            yield return new ProfileFigure(
                "stability",
                "Schmidt stability",
                $"{Text(stability, 0)} J/m²",
                null,
                null,
                Unit: "J/m²",
                Value: Number(stability),
                Working: Working(
                    "Schmidt stability",
                    Densities(),
                    () => [.. Areas(), $"g/A0 ∫ (z − zv)(ρ(z) − ρ̄) A(z) dz = {Text(stability, 1)} J/m²"],
                    "The work for each square metre that would mix the water to one density; nothing where it is mixed.",
                    BasinSource
                )
            );
            var mean = basin.Mean(temperature);
            yield return new ProfileFigure(
                "mean-temperature",
                "Mean temperature, by volume",
                $"{Text(mean, 1)} °C",
                null,
                null,
                Unit: "°C",
                Value: Number(mean),
                Working: Working(
                    "Mean temperature by volume",
                    Temperatures(),
                    () => [.. Areas(), $"∫ t A dz / ∫ A dz = {Text(mean, 2)} °C"],
                    "Each depth counts by its area; beyond the readings the nearest stands.",
                    BasinSource
                )
            );
            if (levels.Count(l => l.OxygenMgL is not null) >= 2)
            {
                var oxygen = basin.Mean(water.At(basin.Depths, l => l.OxygenMgL));
                yield return new ProfileFigure(
                    "mean-oxygen",
                    "Mean oxygen, by volume",
                    $"{Text(oxygen, 1)} mg/L",
                    null,
                    null,
                    Unit: "mg/L",
                    Value: Number(oxygen),
                    Working: Working(
                        "Mean oxygen by volume",
                        [
                            .. levels
                                .Where(l => l.OxygenMgL is not null)
                                .Select(l => new WorkingInput(Show(l.DepthM), $"{Text(l.OxygenMgL!.Value, 2)} mg/L")),
                        ],
                        () => [.. Areas(), $"∫ O₂ A dz / ∫ A dz = {Text(oxygen, 2)} mg/L"],
                        "Each depth counts by its area; beyond the readings the nearest stands.",
                        BasinSource
                    )
                );
            }

            if (water.OxygenBelow((double)request.AnoxicMgL) is { } anoxic)
            {
                var share = 100 * basin.AreaM2(anoxic) / basin.SurfaceM2;
                yield return new ProfileFigure(
                    "anoxic-area",
                    "Area without oxygen",
                    $"{Text(share, 0)} %",
                    null,
                    null,
                    Unit: "%",
                    Value: Number(share),
                    Working: Working(
                        "Area without oxygen",
                        [new WorkingInput("anoxic below", Show(anoxic))],
                        () =>
                            [
                                .. Areas(),
                                $"Area at {Show(anoxic)} / area at the surface = 100 × {Text(basin.AreaM2(anoxic) / 1e4, 4)} ha / "
                                    + $"{Text(basin.SurfaceM2 / 1e4, 4)} ha = {Text(share, 1)} %",
                            ],
                        "The share of the lake’s area that lies below the anoxic depth of this profile.",
                        "Nürnberg 1995, Limnol. Oceanogr. 40: 1100–1111"
                    )
                );
            }

            var heat = basin.HeatJPerM2(density, temperature) / 1e6;
            yield return new ProfileFigure(
                "heat",
                "Heat content",
                $"{Text(heat, 0)} MJ/m²",
                null,
                null,
                Unit: "MJ/m²",
                Value: Number(heat),
                Working: Working(
                    "Heat content above 0 °C",
                    Temperatures(),
                    () => [.. Areas(), $"4186 J/kg/K / A0 ∫ ρ t A dz = {Text(heat, 1)} MJ/m²"],
                    "Heat above 0 °C under each square metre of surface.",
                    "Wetzel & Likens 2000, Limnological Analyses, 3rd ed., exercise 4"
                )
            );
        }

        private Working? Working(
            string title,
            IReadOnlyList<WorkingInput> inputs,
            Func<IReadOnlyList<string>> steps,
            string rule,
            string source
        ) => workings ? new Working(title, inputs, steps(), rule, source) : null;

        private WorkingInput[] Densities() =>
            workings
                ? [.. levels.Select(l => new WorkingInput(Show(l.DepthM), $"{Text(l.TemperatureC, 1)} °C, {Text(l.Density, 3)} kg/m³"))]
                : [];

        private WorkingInput[] Temperatures() =>
            workings ? [.. levels.Select(l => new WorkingInput(Show(l.DepthM), $"{Text(l.TemperatureC, 1)} °C"))] : [];

        // A depth between levels is no finer than a tenth of a metre, or an inch.
        private string Show(double metres) =>
            Length.IsFootBased(request.Native) && request.Reader != ReaderUnit.Metres || request.Reader == ReaderUnit.Feet
                ? LengthText.FeetAndInches(Decimals.RoundTo((decimal)metres / Length.MetresPerInch, 1))
                : $"{Text(metres, 1)} m";

        private static string Text(double value, int decimals) => Decimals.Fixed((decimal)value, decimals);

        private static decimal? Number(double? value) => value is { } v ? Decimals.Published((decimal)v) : null;
    }
}
