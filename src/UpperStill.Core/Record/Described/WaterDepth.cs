using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Record.Described;

/// <summary>Depth of the water at a station, for protocols that keep off the bottom.</summary>
internal sealed record TodaysDepth(decimal DepthM);

/// <summary>Depth of the water at a station.</summary>
internal static class WaterDepth
{
    /// <summary>m: today’s sounding, else what is on file; null where neither can be read.</summary>
    internal static decimal? M(SheetDraft draft) =>
        draft.Section<TodaysDepth>()?.DepthM ?? draft.Context.Station.KnownDepth.Read().Length?.Metres;
}
