using System.Text.Json.Serialization;

namespace UpperStill.Core.Record.Readings;

/// <summary>How the values of a parameter are summed up over a season.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<SeasonSummary>))]
public enum SeasonSummary
{
    /// <summary>Mean; the median where a value is censored, because then no mean is known.</summary>
    [JsonStringEnumMemberName("mean")]
    Mean,

    /// <summary>Median.</summary>
    [JsonStringEnumMemberName("median")]
    Median,

    /// <summary>Geometric mean; the median where a value is censored or not above 0.</summary>
    [JsonStringEnumMemberName("geometric-mean")]
    GeometricMean,
}
