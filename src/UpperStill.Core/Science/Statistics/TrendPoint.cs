using System.Text.Json.Serialization;

namespace UpperStill.Core.Science.Statistics;

/// <summary>What is known of a value.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Censoring>))]
public enum Censoring
{
    /// <summary>The value itself.</summary>
    [JsonStringEnumMemberName("none")]
    None,

    /// <summary>It lies above the number: the disc was seen on the bottom.</summary>
    [JsonStringEnumMemberName("above")]
    Above,

    /// <summary>It lies below the number: less than the laboratory can see.</summary>
    [JsonStringEnumMemberName("below")]
    Below,
}

/// <summary>A value in time, for the statistics.</summary>
/// <param name="T">Time, in any unit: years for a trend.</param>
/// <param name="Y">The value, or its limit where it is censored.</param>
/// <param name="Censored">What is known of it.</param>
public readonly record struct TrendPoint(double T, double Y, Censoring Censored = Censoring.None)
{
    // A value lies between two edges; the second part orders an open edge just beyond its number.
    internal (double Value, int Side) Low =>
        Censored switch
        {
            Censoring.Above => (Y, 1),
            Censoring.Below => (double.NegativeInfinity, 0),
            _ => (Y, 0),
        };

    internal (double Value, int Side) High =>
        Censored switch
        {
            Censoring.Above => (double.PositiveInfinity, 0),
            Censoring.Below => (Y, -1),
            _ => (Y, 0),
        };
}
