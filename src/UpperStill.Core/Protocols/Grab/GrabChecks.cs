using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using static UpperStill.Core.Protocols.Grab.GrabFields;

namespace UpperStill.Core.Protocols.Grab;

/// <summary>What is to be said of each grab.</summary>
internal static class GrabChecks
{
    internal static void Of(ProtocolRun run)
    {
        foreach (var grab in run.Every(GrabProtocol.Grab))
        {
            if (
                grab[Depth] is { } depth
                && DepthItems.TargetM(grab.ItemCode!) is { } target
                && Math.Abs(depth.Metres - target) > run.Programme.Of(GrabOptions.DepthOff)
                && target > 0
            )
            {
                grab.Find(GrabFindings.DepthOff, Depth, ("depth", LengthText.Write(depth)), ("target", run.Draft.Show(target)));
            }

            if (grab[Jaws] is { } jaws and not "closed")
            {
                grab.Fail(GrabFindings.Open, Jaws, ("jaws", jaws == "empty" ? "closed on nothing" : "held open"));
            }

            if (grab[Fullness] is { } fullness and ("under-half" or "over"))
            {
                grab.Fail(GrabFindings.Full, Fullness, ("fullness", fullness == "over" ? "Over the top" : "Under half full"));
            }

            if (grab[OverRim] == true)
            {
                grab.Find(GrabFindings.SieveOver, OverRim);
            }

            if (grab[Counts]?.GetValueOrDefault(ListedKind.Code) > 0)
            {
                grab.Find(CommonFindings.InvaderSeen, Counts, ("kind", "An animal"));
            }
        }

        var once = run.Once;
        if (once.Has(GrabItem) && run.Gear(once, GrabItem)?.Figure("area-cm2") is null)
        {
            once.Find(
                CommonFindings.KitValueMissing,
                GrabItem,
                ("item", run.Gear(once, GrabItem)?.Name ?? "This grab"),
                ("value", "area of its jaws")
            );
        }
    }
}
