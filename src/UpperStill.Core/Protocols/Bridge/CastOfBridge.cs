using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Hydraulics;
using static UpperStill.Core.Protocols.Bridge.BridgeFields;

namespace UpperStill.Core.Protocols.Bridge;

/// <summary>Each lowering: how deep it may go, when to let go, how it came up.</summary>
internal static class CastOfBridge
{
    // The sampler keeps so far off the bed, m.
    private const decimal OffBedM = 0.3m;
    private const decimal CmPerM = 100;

    internal static void Of(ProtocolRun run)
    {
        var once = run.Once;
        var sampler = run.Gear(once, Bottle);
        if (once.Has(Bottle) && sampler?.VolumeL is null)
        {
            once.Find(CommonFindings.KitValueMissing, Bottle, ("item", sampler?.Name ?? "This sampler"), ("value", "volume"));
        }

        Casts(run, sampler?.VolumeL);
        foreach (var cast in run.Every(BridgeProtocol.Cast))
        {
            if (cast[Debris] is "wood" or "ice")
            {
                cast.Find(BridgeFindings.DebrisPassing, Debris, ("what", cast[Debris] == "wood" ? "Wood" : "Ice"));
            }

            Deep(run, cast, sampler?.Figure("length-cm") / CmPerM);
            if (cast[Felt] == false)
            {
                cast.Find(BridgeFindings.Unfelt, Felt);
            }

            if (cast[CameUp] == "touched")
            {
                cast.Fail(BridgeFindings.Touched, CameUp);
            }
            else if (cast[CameUp] is { } how and not "closed")
            {
                cast.Fail(BridgeFindings.Failed, CameUp, ("how", how == "short" ? "short of water" : how));
            }
        }

        if (run.All(BridgeProtocol.Cast).LastOrDefault() is { } last)
        {
            Messenger(run, last, sampler?.FallSpeedMs);
        }
    }

    private static void Deep(ProtocolRun run, Attempt cast, decimal? lengthM)
    {
        if (
            cast[Depth] is { } depth
            && WaterDepth.M(run.Draft) is { } water
            && lengthM is { } length
            && depth.Metres + length + OffBedM > water
        )
        {
            cast.Find(
                BridgeFindings.TooDeep,
                Depth,
                ("depth", LengthText.Write(depth)),
                ("length", run.Draft.Show(length)),
                ("water", run.Draft.Show(water)),
                ("best", water - length - OffBedM > 0 ? run.Draft.Show(water - length - OffBedM) : "Nothing here")
            );
        }
    }

    private static void Messenger(ProtocolRun run, Attempt cast, decimal? fallMs)
    {
        if (cast[Depth] is not { } depth || cast[Height] is not { } height)
        {
            run.Derive(
                new SheetDerived(
                    "messenger",
                    "Messenger",
                    $"waits for {(cast[Height] is null ? "the height of the hand above the water" : "the depth of the sampler")}",
                    null,
                    "s"
                )
            );
            return;
        }

        var (line, fall) = (depth.Metres + height.Metres, fallMs ?? Science.Hydraulics.Messenger.UsualFallMs);
        var seconds = Science.Hydraulics.Messenger.Seconds(line, fall);
        var letGo = cast[Beat] is { } beat ? Science.Hydraulics.Messenger.LetGoAfter(seconds, beat) : (decimal?)null;
        run.Derive(
            new SheetDerived(
                "messenger",
                "Messenger",
                letGo is { } wait
                    ? $"{Decimals.Fixed(seconds, 2)} s; let go {Decimals.Fixed(wait, 2)} s after an upright pass"
                    : $"{Decimals.Fixed(seconds, 2)} s to the trip",
                decimal.Round(letGo ?? seconds, 3),
                "s",
                About: fallMs is null,
                Working: new Working(
                    "Messenger",
                    [cast.Input(Height), cast.Input(Depth), cast.Input(Beat)],
                    [
                        $"({Decimals.Text(height.Metres)} + {Decimals.Text(depth.Metres)}) m / {Decimals.Text(fall)} m/s = "
                            + $"{Decimals.Fixed(seconds, 2)} s{(fallMs is null ? "; nobody timed this messenger: 3 m/s is taken" : string.Empty)}",
                        .. letGo is { } after
                            ? [$"beat {Decimals.Fixed(cast[Beat]!.Value, 2)} s: let go {Decimals.Fixed(after, 2)} s after an upright pass"]
                            : Array.Empty<string>(),
                    ],
                    "It slides at one speed, and the sampler swings evenly.",
                    "Uniform motion"
                )
            )
        );
    }

    private static void Casts(ProtocolRun run, decimal? volumeL)
    {
        List<decimal> bottles =
        [
            .. run.Containers.Bottles.Where(b => b.Type.Added is not { Inside: true }).Select(b => b.Type.VolumeMl / 1000m),
        ];
        if (volumeL is not { } volume || bottles.Count == 0)
        {
            return;
        }

        var rinses = run.Containers.Bottles.Max(b => b.Type.Rinse.Times);
        if (CastsNeeded.Of(volume, bottles, rinses) is not { } casts)
        {
            run.Derive(new SheetDerived("casts", "Casts", "none: a bottle is larger than the sampler", null, string.Empty));
            return;
        }

        run.Derive(
            new SheetDerived(
                "casts",
                "Casts",
                casts == 1 ? "1 cast" : $"{casts} casts",
                casts,
                string.Empty,
                Working: new Working(
                    "Casts",
                    [new WorkingInput("sampler", $"{Decimals.Text(volume)} L"), new WorkingInput("bottles", $"{bottles.Count}")],
                    [
                        $"{string.Join(" + ", bottles.Select(b => Decimals.Text(b)))} L, rinsed {rinses} × with a tenth; "
                            + $"{Decimals.Text(volume)} L × 0.95 each cast: {casts}",
                    ],
                    "No bottle is topped up from another cast: solids differ.",
                    "Small arithmetic of the sampler"
                )
            )
        );
        if (casts > 1 && run.Items(BridgeProtocol.Cast).Count < casts && run.Once.Has(Bottle))
        {
            run.Once.Find(
                BridgeFindings.WaterShort,
                Bottle,
                ("need", $"{Decimals.Text(bottles.Sum(b => b * (1 + (0.1m * rinses))))} L"),
                ("have", $"{Decimals.Text(volume * 0.95m)} L"),
                ("casts", $"{casts} casts")
            );
        }
    }
}
