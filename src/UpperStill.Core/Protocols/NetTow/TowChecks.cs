using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using static UpperStill.Core.Protocols.NetTow.NetTowFields;

namespace UpperStill.Core.Protocols.NetTow;

/// <summary>What is to be said of one try of a tow.</summary>
internal static class TowChecks
{
    internal static void Of(ProtocolRun run, Attempt tow)
    {
        var programme = run.Draft.Context.Programme;
        var depth = DepthM(tow);
        if (tow[Angle] is { } angle && LineLean.Of(run.Draft, angle, tow[LineOut]?.Metres) is { } lean)
        {
            run.Find(tow, lean, Angle);
        }

        if (
            tow[Direction] != "horizontal"
            && depth is { } reached
            && WaterDepth.M(run.Draft) is { } water
            && reached > water - programme.Of(NetTowOptions.Clearance)
        )
        {
            tow.Find(
                NetTowFindings.TooLong,
                LineOut,
                ("length", run.Draft.Show(reached)),
                ("water", run.Draft.Show(water)),
                ("best", Best(run.Draft))
            );
        }

        // Of the line, not of its upright part: the net meets the water at that speed.
        if (SpeedMs(run, tow) is { } speed && (speed < programme.Of(NetTowOptions.Slowest) || speed > programme.Of(NetTowOptions.Fastest)))
        {
            tow.Find(NetTowFindings.Speed, Haul, ("speed", Decimals.Fixed(speed, 2)));
        }

        if (tow[Went] == "stopped")
        {
            tow.Fail(NetTowFindings.Stopped, Went);
        }

        if (tow[Touched] == true)
        {
            tow.Fail(NetTowFindings.Touched, Touched, ("best", Best(run.Draft)));
        }

        if (tow[Drained] == "coated")
        {
            tow.Fail(NetTowFindings.Coated, Drained, ("how", "hardly"));
        }
        else if (tow[Drained] == "slowly")
        {
            tow.Find(NetTowFindings.Coated, Drained, ("how", "slowly"));
        }

        if (tow[WashWater] == "site")
        {
            tow.Find(NetTowFindings.WashUnfiltered, WashWater);
        }
    }

    /// <summary>Depth that the net reached on an upright or leaning line, m.</summary>
    internal static decimal? DepthM(Attempt tow) => tow[LineOut] is { } line ? LineAngle.TrueM(line.Metres, tow[Angle] ?? 0) : null;

    /// <summary>m/s of the haul; null where length or time is missing.</summary>
    internal static decimal? SpeedMs(ProtocolRun run, Attempt tow) =>
        tow[Haul] is { } seconds
        && seconds > 0
        && (tow[Direction] == "horizontal" ? TowVolume.LengthM(run, tow) : tow[LineOut]?.Metres) is { } length
            ? length / seconds
            : null;

    /// <summary>The deepest good beginning, in words.</summary>
    private static string Best(SheetDraft draft) =>
        WaterDepth.M(draft) is { } water
            ? draft.Show(Math.Max(0.5m, water - draft.Context.Programme.Of(NetTowOptions.Clearance)))
            : "further up";
}
