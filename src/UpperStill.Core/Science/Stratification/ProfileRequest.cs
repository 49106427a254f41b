using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Stratification;

/// <summary>One level of a profile.</summary>
/// <param name="DepthM">m.</param>
/// <param name="TemperatureC">°C, -2 to 40.</param>
/// <param name="OxygenMgL">mg/L; null where it was not read.</param>
/// <param name="Salinity">Practical salinity, 0–42.</param>
public sealed record ProfileLevel(
    [property: Within(0, 11000, "m")] decimal DepthM,
    [property: Within(-5, 60, "°C")] decimal TemperatureC,
    [property: Within(0, 100, "mg/L")] decimal? OxygenMgL = null,
    [property: Within(0, 100)] decimal Salinity = 0
);

/// <summary>A profile, and what it is worked out with.</summary>
/// <param name="Levels">In any order; of two at one depth the last stands.</param>
/// <param name="Hypsography">Area by depth; null where it is not known.</param>
/// <param name="HypoxicMgL">Below this, mg/L, the water is called hypoxic.</param>
/// <param name="AnoxicMgL">Below this, mg/L, it is called anoxic.</param>
/// <param name="Native">The unit in which depths were read.</param>
/// <param name="Reader">Unit for the words.</param>
/// <param name="About">True where a check on a level is open: the figures are only about right, and say so.</param>
/// <param name="LayersBy">What shows the layers.</param>
public sealed record ProfileRequest(
    IReadOnlyList<ProfileLevel> Levels,
    IReadOnlyList<AreaAtDepth>? Hypsography = null,
    [property: Within(0, 20, "mg/L")] decimal HypoxicMgL = 2,
    [property: Within(0, 20, "mg/L")] decimal AnoxicMgL = 1,
    LengthUnit Native = LengthUnit.Metre,
    ReaderUnit Reader = ReaderUnit.AsRead,
    bool About = false,
    LayersBy LayersBy = LayersBy.Both
);

/// <summary>Something worked out from a profile.</summary>
/// <param name="Key">thermocline, degree, metalimnion, buoyancy, mixed, hypoxic, anoxic, bottom-oxygen, stability, anoxic-area, heat,
/// mean-temperature or mean-oxygen.</param>
/// <param name="Label">What it is.</param>
/// <param name="Text">For the reader.</param>
/// <param name="DepthM">Of what lies at a depth, m: the upper one of two.</param>
/// <param name="LowerM">The lower depth of two, m.</param>
/// <param name="Working">How it came about; left out where nobody asked.</param>
/// <param name="Value">Of what is no depth, the number, in <paramref name="Unit"/>.</param>
/// <param name="Unit">J/m² for stability, MJ/m² for heat, % for an area, s⁻² for N², °C or mg/L for a mean; null of a depth.</param>
public sealed record ProfileFigure(
    string Key,
    string Label,
    string Text,
    decimal? DepthM = null,
    decimal? LowerM = null,
    Working? Working = null,
    decimal? Value = null,
    string? Unit = null
);

/// <summary>A profile worked out.</summary>
/// <param name="Figures">In the order in which they are read.</param>
/// <param name="Findings">What stands in the way.</param>
public sealed record ProfileResult(IReadOnlyList<ProfileFigure> Figures, IReadOnlyList<Finding> Findings);
