using UpperStill.Core.Quantities;

namespace UpperStill.Core.Composites;

/// <summary>Body of the entry <c>composite-try</c>: one lowering of the composite sampler.</summary>
/// <param name="Depth">The mark to which it went.</param>
/// <param name="FillPercent">How full it came up, 0–100.</param>
/// <param name="RaiseS">Seconds that the rise took; null where it was not timed.</param>
/// <param name="BeforeSurface">True where it was full before it reached the surface.</param>
/// <param name="LineEnd">True where the line ended before the target.</param>
public sealed record CompositeTryBody(WrittenLength Depth, int FillPercent, decimal? RaiseS = null, bool? BeforeSurface = null, bool? LineEnd = null);
