using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Stratification;

/// <summary>A level of an earlier visit.</summary>
/// <param name="DepthM">m.</param>
/// <param name="Celsius">°C.</param>
/// <param name="OxygenMgL">mg/L.</param>
public sealed record EarlierLevel(
    [property: Within(0, 11000, "m")] decimal DepthM,
    [property: Within(-5, 60, "°C")] decimal? Celsius = null,
    [property: Within(0, 100, "mg/L")] decimal? OxygenMgL = null
);

/// <summary>The profile of an earlier visit, to be drawn behind today's.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Day">Its day.</param>
/// <param name="Levels">From the surface down.</param>
public sealed record EarlierProfile(Guid Visit, DateOnly Day, IReadOnlyList<EarlierLevel> Levels);
