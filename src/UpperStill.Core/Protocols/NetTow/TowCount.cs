using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Counting;
using UpperStill.Core.Science.Statistics;
using static UpperStill.Core.Protocols.NetTow.NetTowFields;

namespace UpperStill.Core.Protocols.NetTow;

/// <summary>The jar: alcohol that it needs, what was counted of it, how many that is in a litre of the lake.</summary>
internal static class TowCount
{
    internal static void Of(ProtocolRun run, TowVolume? volume)
    {
        Preserve(run);
        var counted = run.Items(NetTowProtocol.Sub)
            .Select(i => run.Counts(NetTowProtocol.Sub, i)!)
            .Where(a => a[Counts] is not null)
            .ToList();
        if (counted.Count == 0)
        {
            return;
        }

        int[] sums = [.. counted.Select(a => a[Counts]!.Values.Sum())];
        if (Unevenness.Of(sums) is { Beyond: true } uneven)
        {
            counted[^1].Find(NetTowFindings.Uneven, Counts, ("list", string.Join(", ", sums)));
        }

        var once = run.Once;
        if (once[MadeUpMl] is not { } madeUp || once[SubMl] is not { } sub)
        {
            run.Derive(
                new SheetDerived(
                    "plankton",
                    "Plankton",
                    $"waits for {(once[MadeUpMl] is null ? "what the jar was made up to" : "the volume of a sub-sample")}",
                    null,
                    "per L"
                )
            );
            return;
        }

        var factor = madeUp / (sums.Length * sub);
        var total = sums.Sum();
        run.Derive(
            new SheetDerived(
                "plankton-jar",
                "In the jar",
                $"{Decimals.Significant(total * factor, 2)} animals",
                Decimals.Published(total * factor),
                string.Empty
            )
        );
        Derive(run, counted, "Plankton", null, total, factor, volume, madeUp, sub);
        foreach (var kind in counted.SelectMany(a => a[Counts]!.Keys).Distinct().Order(StringComparer.Ordinal))
        {
            var n = counted.Sum(a => a[Counts]!.GetValueOrDefault(kind));
            var name = Counts.Words(kind);
            Derive(run, counted, Sentence.Begun(name), kind, n, factor, volume, madeUp, sub);
            if (n > 0 && n < run.Draft.Context.Programme.Of(NetTowOptions.CountLow))
            {
                var (low, high) = CountLimits.Of(n);
                counted[^1]
                    .Find(
                        NetTowFindings.CountLow,
                        Counts,
                        ("n", Decimals.Text(n)),
                        ("kind", name),
                        ("low", Decimals.Fixed((decimal)low, 0)),
                        ("high", Decimals.Fixed((decimal)high, 0))
                    );
            }
        }
    }

    private static void Derive(
        ProtocolRun run,
        List<Attempt> counted,
        string name,
        string? kind,
        int n,
        decimal factor,
        TowVolume? volume,
        decimal madeUp,
        decimal sub
    )
    {
        if (volume is null)
        {
            run.Derive(new SheetDerived("plankton", name, $"{n} counted; waits for the volume towed", null, "per L", kind));
            return;
        }

        var (low, high) = CountLimits.Of(n);
        var per = factor / volume.Litres;
        var text =
            $"{Decimals.Significant(n * per, 2)} per L "
            + $"({Decimals.Significant((decimal)low * per, 2)}–{Decimals.Significant((decimal)high * per, 2)})";
        run.Derive(
            new SheetDerived(
                "plankton",
                name,
                volume.AtLeast ? $"at least {text}" : text,
                Decimals.Published(n * per),
                "per L",
                kind,
                Censored: volume.AtLeast ? Censoring.Above : Censoring.None,
                Working: new Working(
                    name,
                    [.. counted.Select(a => a.Input(Counts)), run.Once.Input(MadeUpMl), run.Once.Input(SubMl)],
                    [
                        $"{n} counted × {Decimals.Text(madeUp)} mL / ({counted.Count} × {Decimals.Text(sub)} mL) = "
                            + $"{Decimals.Significant(n * factor, 4)} in the jar",
                        $"{Decimals.Significant(n * factor, 4)} / {Decimals.Fixed(volume.Litres, 1)} L = "
                            + $"{Decimals.Significant(n * per, 3)} per L",
                        $"Limits of the count, 95 %: χ²(0.025; {2 * n})/2 = {Decimals.Fixed((decimal)low, 1)}, χ²(0.975; "
                            + $"{(2 * n) + 2})/2 = {Decimals.Fixed((decimal)high, 1)}",
                    ],
                    "Animals lie in the stirred jar by chance; the net took everything in its way.",
                    "Garwood 1936, Biometrika 28, 437–442"
                )
            )
        );
    }

    private static void Preserve(ProtocolRun run)
    {
        var once = run.Once;
        if (once[CatchMl] is not { } catchMl)
        {
            return;
        }

        var alcohol = run.Gear(once, Alcohol);
        if (alcohol?.Figure("strength-percent") is not { } strength)
        {
            run.Derive(
                new SheetDerived(
                    "alcohol",
                    "Alcohol to add",
                    once.Has(Alcohol) ? "waits for the strength of the alcohol" : "waits for which alcohol it is",
                    null,
                    "mL"
                )
            );
        }
        else if (PreservingAlcohol.Ml(catchMl, strength) is { } ml)
        {
            run.Derive(
                new SheetDerived(
                    "alcohol",
                    "Alcohol to add",
                    $"{Decimals.Fixed(ml, 0)} mL",
                    decimal.Round(ml, 1),
                    "mL",
                    Working: new Working(
                        "Alcohol to add",
                        [once.Input(CatchMl), new WorkingInput("strength", $"{Decimals.Text(strength)} %")],
                        [$"{Decimals.Text(catchMl)} mL × 70 / ({Decimals.Text(strength)} − 70) = {Decimals.Fixed(ml, 0)} mL"],
                        "Volumes are taken to add up.",
                        "Mixing of two strengths"
                    )
                )
            );
        }
        else
        {
            once.Find(NetTowFindings.StrengthWeak, Alcohol, ("item", alcohol.Name), ("strength", Decimals.Text(strength)));
            run.Derive(
                new SheetDerived("alcohol", "Alcohol to add", $"none: {Decimals.Text(strength)} % does not bring it to 70 %", null, "mL")
            );
        }
    }
}
