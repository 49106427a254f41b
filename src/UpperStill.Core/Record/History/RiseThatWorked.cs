using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.History;

/// <summary>A rise of the composite sampler that brought up water to use.</summary>
/// <param name="Day">When.</param>
/// <param name="DepthM">From how deep, m.</param>
/// <param name="RaiseS">How long it took, s.</param>
public sealed record RiseThatWorked(
    DateOnly Day,
    [property: Within(0, 11000, "m")] decimal DepthM,
    [property: Within(0, 3600, "s")] decimal RaiseS
);
