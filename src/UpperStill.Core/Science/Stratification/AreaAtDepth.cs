using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Stratification;

/// <summary>Area of the water at a depth: one row of the hypsographic table.</summary>
/// <param name="DepthM">m below the usual surface.</param>
/// <param name="AreaM2">m².</param>
public sealed record AreaAtDepth([property: Within(0, 11000, "m")] decimal DepthM, [property: Within(0, 5e11, "m²")] decimal AreaM2);
