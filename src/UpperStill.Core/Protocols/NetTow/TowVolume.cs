using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Hydraulics;
using static UpperStill.Core.Protocols.NetTow.NetTowFields;

namespace UpperStill.Core.Protocols.NetTow;

/// <summary>The water that went through the net.</summary>
/// <param name="Litres">L.</param>
/// <param name="AtLeast">True where the mesh let less through than is worked out: what was caught is then of less water.</param>
internal sealed record TowVolume(decimal Litres, bool AtLeast)
{
    private const decimal LitresPerM3 = 1000;

    /// <summary>Works it out for the tow that counts and says it; null where something is missing.</summary>
    internal static TowVolume? Of(ProtocolRun run)
    {
        if (run.Counts(NetTowProtocol.Tow, "1") is not { } tow)
        {
            return null;
        }

        if (TowChecks.DepthM(tow) is { } depth && tow[Direction] != "horizontal")
        {
            run.Span(new ColumnSpan(0, Decimals.Published(depth), tow.Failed ? "tow, to be made again" : "tow"));
            run.SamplesAreOf($"{run.Draft.Show(decimal.Round(depth, 1))} to 0, vertical");
        }
        else if (tow[Direction] == "horizontal")
        {
            run.SamplesAreOf(tow[From] is { } at ? $"{run.Draft.Show(at)}, horizontal" : "horizontal");
        }

        if (TowChecks.SpeedMs(run, tow) is { } speed)
        {
            run.Derive(
                new SheetDerived("tow-speed", "Speed of the haul", $"{Decimals.Fixed(speed, 2)} m/s", decimal.Round(speed, 3), "m/s")
            );
        }

        var net = run.Gear(tow, Net);
        if (tow.Has(Net) && net?.Figure("mouth-radius-cm") is null)
        {
            tow.Find(
                NetTowFindings.ValueMissing,
                Net,
                ("item", net?.Name ?? tow.Written(Net) ?? "This net"),
                ("value", "radius of its mouth")
            );
        }

        var metered = Metered(run);
        if (metered && tow.Has(Net) && net?.Figure("m-per-turn") is null)
        {
            tow.Find(
                NetTowFindings.ValueMissing,
                Net,
                ("item", net?.Name ?? "This net"),
                ("value", "metres for each turn of its flow meter")
            );
        }

        if (net?.Figure("mouth-radius-cm") is not { } radius || LengthM(run, tow) is not { } length || length == 0)
        {
            run.Derive(new SheetDerived("tow-volume", "Volume towed", $"waits for {Missing(run, tow)}", null, "L"));
            return null;
        }

        // The meter has already seen what did not pass.
        var upright = tow[Direction] == "horizontal" || metered;
        var result = NetVolume.Work(
            new NetVolumeRequest(2 * radius, length, metered ? 100 : net.Figure("efficiency-percent") ?? 100, upright ? 0 : tow[Angle] ?? 0)
        );
        if (result.VolumeM3 is not { } volume)
        {
            run.Derive(new SheetDerived("tow-volume", "Volume towed", "cannot be worked out from these figures", null, "L"));
            return null;
        }

        var atLeast = !metered && tow[Drained] is "slowly" or "coated";
        var litres = volume * LitresPerM3;
        run.Derive(
            new SheetDerived(
                "tow-volume",
                "Volume towed",
                $"{Decimals.Fixed(litres, 1)} L",
                Decimals.Published(litres),
                "L",
                About: atLeast,
                Working: result.Working
            )
            {
                Method = metered ? "flow meter" : "mouth × length",
            }
        );
        return new TowVolume(litres, atLeast);
    }

    /// <summary>Length of the tow, m: line out of a vertical one, the meter's, or from start to end; null where it is missing.</summary>
    internal static decimal? LengthM(ProtocolRun run, Attempt tow) =>
        Metered(run) || (tow[Direction] == "horizontal" && tow[Turns] is not null)
            ? tow[Turns] is { } turns && run.Gear(tow, Net)?.Figure("m-per-turn") is { } each
                ? turns * each
                : null
            : tow[Direction] == "horizontal"
                ? tow[Start] is { } start && tow[End] is { } end
                    ? (decimal)Shape.DistanceM(start, end)
                    : null
                : tow[LineOut]?.Metres;

    private static bool Metered(ProtocolRun run) => run.Draft.Context.Programme.Chooses(NetTowOptions.Volume, "meter");

    private static string Missing(ProtocolRun run, Attempt tow) =>
        !tow.Has(Net) ? "the net"
        : run.Gear(tow, Net)?.Figure("mouth-radius-cm") is null ? "the radius of the net’s mouth"
        : Metered(run)
            ? tow[Turns] == 0 ? "a flow meter that turned"
                : "the turns of the flow meter"
        : tow[Direction] == "horizontal" ? "start and end, or the turns of the flow meter"
        : "the line out";
}
