using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using static UpperStill.Core.Protocols.Bridge.BridgeFields;

namespace UpperStill.Core.Protocols.Bridge;

/// <summary>Each bottle: from which cast it came, and whether the solids were still in the water.</summary>
internal static class PourOfBridge
{
    internal static void Of(ProtocolRun run)
    {
        foreach (var pour in run.Every(BridgeProtocol.Pour).Where(p => p[Lip] == true))
        {
            pour.Find(BridgeFindings.LipTouched, Lip);
        }

        var casts = run.Every(BridgeProtocol.Cast).Where(c => c.Has(CameUp)).OrderBy(c => c.WrittenAt(CameUp)).ToList();
        Attempt? before = null;
        foreach (var fill in run.Containers.Fills.Where(f => f.Body.From != FilledFrom.PlainBottle))
        {
            if (casts.LastOrDefault(c => c.WrittenAt(CameUp) <= fill.Entry.At) is not { } cast)
            {
                continue;
            }

            if (cast.Failed)
            {
                run.Containers.Say(
                    fill,
                    BridgeFindings.WaterCast,
                    ("sample", fill.Body.Sample),
                    ("how", cast[CameUp] == "touched" ? "touched the bed" : $"came up {cast[CameUp]}")
                );
            }
            else if (cast == before && Shaken(run, fill) == 0)
            {
                run.Containers.Say(fill, BridgeFindings.NotShaken, ("sample", fill.Body.Sample));
            }

            before = cast;
        }
    }

    private static int Shaken(ProtocolRun run, Read<FillBody> fill) =>
        run.Containers.ItemOf(fill.Body.Sample) is { } item && run.Counts(BridgeProtocol.Pour, item) is { } pour ? pour[Shakes] ?? 0 : 0;
}
