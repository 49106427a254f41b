using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>Depth of the water, for what keeps off the bottom.</summary>
internal static class WaterDepth
{
    /// <summary>m: today’s sounding, else what is on file; null where neither can be read.</summary>
    internal static decimal? M(SheetDraft draft) =>
        draft.Section<Sounded>()?.Sheet?.DepthM ?? draft.Context.Station.KnownDepth.Read().Length?.Metres;
}
