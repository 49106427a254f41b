using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>What pushes the water through a filter.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FilterBy>))]
public enum FilterBy
{
    /// <summary>A syringe of 60 mL.</summary>
    [JsonStringEnumMemberName("syringe")]
    Syringe,

    /// <summary>A pump and a funnel.</summary>
    [JsonStringEnumMemberName("pump")]
    Pump,
}

/// <summary>Body of the entry <c>filter</c>: answers on one filter; an entry carries only what was answered with it.</summary>
/// <param name="Sample">The filter's number.</param>
/// <param name="From">The bottle that its water comes from.</param>
/// <param name="By">What pushes.</param>
/// <param name="WhiteDisc">True where the glossy, opaque, white disc is in the holder.</param>
/// <param name="Rinsed">True where the syringe or funnel was rinsed with the sample.</param>
/// <param name="Lot">The filters' lot.</param>
/// <param name="DiameterMm">Its diameter, mm.</param>
/// <param name="PoreUm">Its nominal pore, µm.</param>
/// <param name="VacuumKpa">Vacuum of the pump, kPa, as read.</param>
/// <param name="Torn">True where it is torn.</param>
public sealed record FilterBody(
    string Sample,
    string? From = null,
    FilterBy? By = null,
    bool? WhiteDisc = null,
    bool? Rinsed = null,
    string? Lot = null,
    [property: Within(1, 300, "mm")] decimal? DiameterMm = null,
    [property: Within(0.01, 500, "µm")] decimal? PoreUm = null,
    string? VacuumKpa = null,
    bool? Torn = null
)
{
    /// <summary>True where it leaked at the rim.</summary>
    public bool? Leaked { get; init; }

    /// <summary>True where fingers touched it.</summary>
    public bool? Fingers { get; init; }

    /// <summary>True where it was dropped.</summary>
    public bool? Dropped { get; init; }

    /// <summary>Minutes in direct light, as read.</summary>
    public string? LightMin { get; init; }

    /// <summary>Drops of MgCO3 on the filter.</summary>
    [Within(0, 500)]
    public int? Drops { get; init; }

    /// <summary>True where it is folded with the colour inside and in its vial, capped: the run has ended.</summary>
    public bool? Folded { get; init; }

    /// <summary>Whether it is visibly tinted.</summary>
    public bool? Tinted { get; init; }
}

/// <summary>Body of the entry <c>filter-fill</c>: one fill pushed through. Either what went through is given, or where it began and what
/// was left.</summary>
/// <param name="Sample">The filter's number.</param>
/// <param name="StartMl">Where it began, mL, as read.</param>
/// <param name="LeftMl">What the syringe or funnel still holds, mL, as read.</param>
/// <param name="ThroughMl">What went through, mL, as read.</param>
/// <param name="Seconds">How long it took, s.</param>
/// <param name="Clogged">True where it clogged.</param>
public sealed record FilterFillBody(
    string Sample,
    string? StartMl = null,
    string? LeftMl = null,
    string? ThroughMl = null,
    [property: Within(0, 86400, "s")] decimal? Seconds = null,
    bool? Clogged = null
);
