using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Chlorophyll;

/// <summary>How chlorophyll is measured in an extract.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ChlorophyllMethod>))]
public enum ChlorophyllMethod
{
    /// <summary>Absorbance at one wavelength, before and after acid (Lorenzen 1967).</summary>
    [JsonStringEnumMemberName("monochromatic")]
    Monochromatic,

    /// <summary>Absorbance at three wavelengths (Jeffrey &amp; Humphrey 1975).</summary>
    [JsonStringEnumMemberName("trichromatic")]
    Trichromatic,

    /// <summary>Fluorescence before and after acid.</summary>
    [JsonStringEnumMemberName("fluorometric")]
    Fluorometric,

    /// <summary>Absorbance at one wavelength, before and after acid, in hot 90 % ethanol (ISO 10260:1992; Nusch 1980).</summary>
    [JsonStringEnumMemberName("hot-ethanol")]
    HotEthanol,
}

/// <summary>A fluorometer's calibration; each has its own version, and a measurement carries the one that it was made with.</summary>
/// <param name="Instrument">The instrument.</param>
/// <param name="Version">Counts up from 1 for that instrument.</param>
/// <param name="From">First day on which it holds.</param>
/// <param name="Factor">K: µg/L of extract for one unit of the reading.</param>
/// <param name="AcidRatio">r: reading before acid over reading after, for pure chlorophyll a; above 1.</param>
public sealed record FluorometerCalibration(
    string Instrument,
    [property: Within(1, 10000)] int Version,
    DateOnly From,
    [property: Within(0, 1000000)] decimal Factor,
    [property: Within(1.01, 20)] decimal AcidRatio
);

/// <summary>What an instrument showed of an extract, as read. Absorbances have no unit; wavelengths in nm.</summary>
/// <param name="Method">How.</param>
/// <param name="ExtractMl">Volume of the extract, mL.</param>
/// <param name="PathCm">Light path, cm; not needed for fluorescence.</param>
/// <param name="At664Before">664 nm before acid, or 664 nm of the three.</param>
/// <param name="At750Before">750 nm before acid: turbidity.</param>
/// <param name="At665After">665 nm after acid.</param>
/// <param name="At750After">750 nm after acid.</param>
/// <param name="At647">647 nm.</param>
/// <param name="At630">630 nm.</param>
/// <param name="FluorescenceBefore">Fluorescence before acid, less its blank.</param>
public sealed record ExtractReadings(
    ChlorophyllMethod Method,
    string ExtractMl,
    string? PathCm = null,
    string? At664Before = null,
    string? At750Before = null,
    string? At665After = null,
    string? At750After = null,
    string? At647 = null,
    string? At630 = null,
    string? FluorescenceBefore = null
)
{
    /// <summary>Fluorescence after acid, less its blank.</summary>
    public string? FluorescenceAfter { get; init; }

    /// <summary>The fluorometer's calibration.</summary>
    public FluorometerCalibration? Calibration { get; init; }

    /// <summary>How many times the extract was diluted before reading, 1 or more.</summary>
    public string? Dilution { get; init; }

    /// <summary>665 nm before acid, in ethanol.</summary>
    public string? At665Before { get; init; }
}
