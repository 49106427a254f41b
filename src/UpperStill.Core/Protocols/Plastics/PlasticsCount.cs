using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Counting;
using static UpperStill.Core.Protocols.Plastics.PlasticsFields;

namespace UpperStill.Core.Protocols.Plastics;

/// <summary>Sand dug, debris on a square metre, items in a litre of sand and of water.</summary>
internal static class PlasticsCount
{
    private const decimal UsualDepthMm = 20;
    private const decimal OffMm = 5;
    private const decimal LeastOfJar = 0.6m;
    private const decimal MostOfJar = 1.1m;
    private const decimal Cm2PerM2 = 10000;

    internal static void Of(ProtocolRun run)
    {
        var once = run.Once;
        var side = run.Gear(once, Quadrat)?.Figure("side-cm");
        var jarL = run.Gear(once, Jars)?.Figure("volume-ml") / 1000;
        foreach (
            var (field, value, missing) in new (EquipmentField, decimal?, string)[]
            {
                (Quadrat, side, "inner side"),
                (Jars, jarL, "volume"),
            }
        )
        {
            if (once.Has(field) && value is null)
            {
                once.Find(CommonFindings.KitValueMissing, field, ("item", run.Gear(once, field)?.Name ?? "It"), ("value", missing));
            }
        }

        List<decimal> sand = [];
        List<decimal> debris = [];
        foreach (var item in run.All(Sand))
        {
            var volume = Volume(run, item, side, jarL);
            if (item[Debris] is { } counted && side is { } cm)
            {
                var per = counted.Values.Sum() / (cm * cm / Cm2PerM2);
                debris.Add(per);
                Derive(
                    run,
                    "beach-debris",
                    $"Debris, sand {item.ItemCode}",
                    per,
                    0,
                    "per m²",
                    item,
                    [item.Input(Debris)],
                    $"{counted.Values.Sum()} / ({Decimals.Text(cm)} cm)² = {Decimals.Fixed(per, 0)} per m²"
                );
            }

            if (item[SandItems] is { } items && volume is { } litres && litres > 0)
            {
                sand.Add(items / litres);
                Derive(
                    run,
                    "plastics-sand",
                    $"Plastic, sand {item.ItemCode}",
                    items / litres,
                    1,
                    "per L",
                    item,
                    [item.Input(SandItems)],
                    $"{Decimals.Text(items)} / {Decimals.Text(litres)} L = {Decimals.Fixed(items / litres, 1)} per L"
                );
            }
        }

        List<decimal> water = [];
        foreach (var item in run.All(Water))
        {
            if (item[WaterItems] is { } items && item[WaterL] is { } litres)
            {
                water.Add(items / litres);
                Derive(
                    run,
                    "plastics-water",
                    $"Plastic, water {item.ItemCode}",
                    items / litres,
                    1,
                    "per L",
                    item,
                    [item.Input(WaterItems), item.Input(WaterL)],
                    $"{Decimals.Text(items)} / {Decimals.Text(litres)} L = {Decimals.Fixed(items / litres, 1)} per L"
                );
            }
        }

        Mean(run, "plastics-sand", "Plastic in sand", sand, 1, "per L");
        Mean(run, "plastics-water", "Plastic in water", water, 1, "per L");
        Mean(run, "beach-debris", "Debris on the sand", debris, 0, "per m²");
    }

    // Fewer than five depths give no volume; one that is far off is kept as it is.
    private static decimal? Volume(ProtocolRun run, Attempt item, decimal? side, decimal? jarL)
    {
        if (item[Depths] is not { } depths)
        {
            return null;
        }

        if (depths.Count != Depths.Wanted || depths.Any(d => Math.Abs(d - UsualDepthMm) > OffMm))
        {
            item.Find(PlasticsFindings.SandDepths, Depths, ("list", string.Join(", ", depths.Select(Decimals.Text))));
        }

        if (depths.Count != Depths.Wanted || side is not { } cm)
        {
            run.Derive(
                new SheetDerived(
                    "sand-volume",
                    $"Volume, sand {item.ItemCode}",
                    depths.Count == Depths.Wanted
                        ? "waits for the quadrat’s side"
                        : $"waits for {Depths.Wanted - depths.Count} more depths",
                    null,
                    "L",
                    item.ItemCode
                )
            );
            return null;
        }

        var litres = SandVolume.Litres(cm, depths);
        run.Derive(
            new SheetDerived(
                "sand-volume",
                $"Volume, sand {item.ItemCode}",
                $"{Decimals.Text(decimal.Round(litres, 3))} L",
                Decimals.Published(litres),
                "L",
                item.ItemCode,
                Working: new Working(
                    $"Volume, sand {item.ItemCode}",
                    [item.Input(Depths)],
                    [
                        $"({string.Join(" + ", depths.Select(Decimals.Text))}) / 5 = {Decimals.Text(depths.Average())} mm",
                        $"({Decimals.Text(cm)} cm)² × {Decimals.Text(depths.Average())} mm = {Decimals.Text(decimal.Round(litres, 3))} L",
                    ],
                    "The hole is as deep between as it was measured.",
                    "Volume of a prism"
                )
            )
        );
        if (jarL is { } jar && (litres < LeastOfJar * jar || litres > MostOfJar * jar))
        {
            item.Find(
                PlasticsFindings.VolumeOdd,
                Depths,
                ("volume", $"{Decimals.Text(decimal.Round(litres, 2))} L"),
                ("jar", $"{Decimals.Text(jar)} L")
            );
        }

        return litres;
    }

    private static void Derive(
        ProtocolRun run,
        string parameter,
        string name,
        decimal value,
        int decimals,
        string unit,
        Attempt item,
        IReadOnlyList<WorkingInput> inputs,
        string step
    ) =>
        run.Derive(
            new SheetDerived(
                parameter,
                name,
                $"{Decimals.Fixed(value, decimals)} {unit}",
                Decimals.Published(value),
                unit,
                item.ItemCode,
                Working: new Working(name, inputs, [step], "Items against what they lay in.", "Counted")
            )
        );

    private static void Mean(ProtocolRun run, string parameter, string name, List<decimal> values, int decimals, string unit)
    {
        if (values.Count == 0)
        {
            return;
        }

        var mean = values.Average();
        run.Derive(
            new SheetDerived(
                parameter,
                $"{name}, mean of {values.Count}",
                $"{Decimals.Fixed(mean, decimals)} {unit}",
                Decimals.Published(mean),
                unit,
                Working: new Working(
                    name,
                    [],
                    [
                        $"({string.Join(" + ", values.Select(v => Decimals.Fixed(v, decimals)))}) / {values.Count} = {Decimals.Fixed(mean, decimals)} {unit}",
                    ],
                    "The three stations count alike.",
                    "Arithmetic mean"
                )
            )
        );
    }
}
