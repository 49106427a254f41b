using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Counting;
using UpperStill.Core.Science.Statistics;
using static UpperStill.Core.Protocols.Grab.GrabFields;

namespace UpperStill.Core.Protocols.Grab;

/// <summary>Animals on a square metre, by depth and group.</summary>
internal static class GrabCount
{
    internal static void Of(ProtocolRun run)
    {
        var area = run.Gear(run.Once, GrabItem)?.Figure("area-cm2");
        List<decimal> totals = [];
        foreach (var depth in run.All(GrabProtocol.Grab).Where(g => g[Counts] is not null).GroupBy(g => DepthItems.DepthOf(g.ItemCode!)))
        {
            List<Attempt> picked = [.. depth.Where(g => Share(g) is not null)];
            var words = DepthItems.Words(depth.Key);
            if (picked.Count == 0 || area is null)
            {
                run.Derive(
                    new SheetDerived(
                        "bottom-animals",
                        $"Bottom animals, {words}",
                        $"waits for {(area is null ? "the area of the grab’s jaws" : "the share of the jar that was picked")}",
                        null,
                        "per m²",
                        Depth: words
                    )
                );
                continue;
            }

            totals.Add(Derive(run, picked, area.Value, depth.Key, words, null));
            foreach (var kind in picked.SelectMany(g => g[Counts]!.Keys).Distinct().Order(StringComparer.Ordinal))
            {
                Derive(run, picked, area.Value, depth.Key, words, kind);
            }
        }

        if (totals.Count > 0)
        {
            var mean = totals.Average();
            run.Derive(
                new SheetDerived(
                    "bottom-animals",
                    "Bottom animals, mean of the depths",
                    $"{Decimals.Fixed(mean, 0)} per m²",
                    Decimals.Published(mean),
                    "per m²",
                    Working: new Working(
                        "Bottom animals, mean of the depths",
                        [],
                        [
                            $"({string.Join(" + ", totals.Select(t => Decimals.Fixed(t, 0)))}) / {totals.Count} = {Decimals.Fixed(mean, 0)} per m²",
                        ],
                        "Each depth that was picked counts once.",
                        "Arithmetic mean"
                    )
                )
                {
                    Method = Sieved(run),
                }
            );
        }
    }

    private static decimal Derive(ProtocolRun run, List<Attempt> picked, decimal area, string at, string depth, string? kind)
    {
        List<PickedJar> jars =
        [
            .. picked.Select(g => new PickedJar(
                kind is null ? g[Counts]!.Values.Sum() : g[Counts]!.GetValueOrDefault(kind),
                Share(g)!.Value
            )),
        ];
        var per = AnimalsPerArea.Of(jars, area);
        var limits = AnimalsPerArea.Limits(jars, area);
        var atLeast = picked.Any(g => g[OverRim] == true);
        var name = kind is null ? "Bottom animals" : Sentence.Begun(Counts.Words(kind));
        var text =
            $"{Decimals.Fixed(per, 0)} per m²"
            + (limits is var (low, high) ? $" ({Decimals.Fixed(low, 0)}–{Decimals.Fixed(high, 0)})" : string.Empty);
        run.Derive(
            new SheetDerived(
                "bottom-animals",
                $"{name}, {depth}",
                atLeast ? $"at least {text}" : text,
                Decimals.Published(per),
                "per m²",
                kind is null ? at : $"{at}/{kind}",
                Censored: atLeast ? Censoring.Above : Censoring.None,
                Depth: depth,
                Working: new Working(
                    $"{name}, {depth}",
                    [.. picked.SelectMany(g => new[] { g.Input(Counts), g.Input(GrabFields.Share) })],
                    [
                        $"Σ(count / share) = {string.Join(" + ", jars.Select(j => $"{j.Count} / {Decimals.Text(j.Share)}"))}",
                        $"… / ({jars.Count} × {Decimals.Text(area)} cm² / 10 000) = {Decimals.Fixed(per, 1)} per m²",
                        limits is null
                            ? "Different shares were picked: no exact limits"
                            : $"Limits of the count, 95 %, by χ²: {Decimals.Fixed(limits.Value.Low, 1)}–{Decimals.Fixed(limits.Value.High, 1)} per m²",
                    ],
                    "Animals lie about by chance; the jaws took everything above their area.",
                    "Garwood 1936, Biometrika 28, 437–442, for the limits"
                )
            )
            {
                Method = Sieved(run),
            }
        );
        return per;
    }

    private static string Sieved(ProtocolRun run) => $"through {run.Programme.ChoiceOf(GrabOptions.Mesh)} µm";

    private static decimal? Share(Attempt grab) =>
        grab[GrabFields.Share] switch
        {
            "all" => 1,
            "half" => 0.5m,
            "quarter" => 0.25m,
            "eighth" => 0.125m,
            _ => null,
        };
}
