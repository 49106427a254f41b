using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>What stands for a year.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<AnnualStatistic>))]
public enum AnnualStatistic
{
    /// <summary>As the parameter is summed up; the median where a reading is censored, because then no mean is known.</summary>
    [JsonStringEnumMemberName("usual")]
    Usual,

    /// <summary>The mean.</summary>
    [JsonStringEnumMemberName("mean")]
    Mean,

    /// <summary>The median.</summary>
    [JsonStringEnumMemberName("median")]
    Median,

    /// <summary>The geometric mean: exp of the mean of the logarithms; the median where a value is not above 0.</summary>
    [JsonStringEnumMemberName("geometric-mean")]
    GeometricMean,
}

/// <summary>Statistics in words.</summary>
internal static class AnnualStatisticWords
{
    internal static string Words(this AnnualStatistic statistic) =>
        statistic switch
        {
            AnnualStatistic.Median => "median",
            AnnualStatistic.GeometricMean => "geometric mean",
            _ => "mean",
        };
}

/// <summary>Which test is made.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TrendTest>))]
public enum TrendTest
{
    /// <summary>Mann–Kendall on one value a year.</summary>
    [JsonStringEnumMemberName("annual")]
    Annual,

    /// <summary>Seasonal Kendall on one value for each month of each year.</summary>
    [JsonStringEnumMemberName("seasonal")]
    Seasonal,
}

/// <summary>A value of a station's record.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Day">Local day.</param>
/// <param name="Value">In the subject's unit; the limit where it is censored.</param>
/// <param name="Censored">What is known of it.</param>
/// <param name="Usable">False where a stop stands open.</param>
/// <param name="SignedOff">True once a reviewer vouches for it.</param>
/// <param name="Method">How it was measured; null where that is not known.</param>
/// <param name="Text">As reported.</param>
public sealed record SeriesPoint(
    Guid Visit,
    DateOnly Day,
    [property: Within(-1e9, 1e9)] decimal Value,
    Censoring Censored = Censoring.None,
    bool Usable = true,
    bool SignedOff = true,
    string? Method = null,
    string? Text = null
);

/// <summary>A limit that years are held against: somebody else's number.</summary>
/// <param name="Above">True where a good value lies at it or above, false where at it or below.</param>
/// <param name="Value">The number, in the subject's unit.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Source">Where it stands.</param>
public sealed record TrendLimit(bool Above, [property: Within(-1e9, 1e9)] decimal Value, string? Name = null, string? Source = null)
{
    /// <summary>Whether a value keeps it; null where what is known of the value leaves both open.</summary>
    internal bool? KeptBy(decimal value, Censoring censored) =>
        (censored, Above) switch
        {
            (Censoring.None, true) => value >= Value,
            (Censoring.None, false) => value <= Value,
            (Censoring.Above, true) => value >= Value ? true : null,
            (Censoring.Above, false) => value >= Value ? false : null,
            (_, true) => value <= Value ? false : null,
            (_, false) => value <= Value ? true : null,
        };
}

/// <summary>A series to be looked at: is it changing, how sure is that, what would it take to know.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Points">The values, in any order.</param>
/// <param name="Window">Months that count, and how many values a year needs.</param>
/// <param name="Statistic">What stands for a year.</param>
/// <param name="Test">Which test.</param>
/// <param name="Provisional">True to use also what nobody has signed off.</param>
/// <param name="Joins">Days of changes of method across which the series is joined all the same.</param>
/// <param name="LeastYears">Fewer years give no test.</param>
/// <param name="Native">The unit in which depths were read.</param>
/// <param name="Reader">Unit for the words.</param>
public sealed record TrendRequest(
    Parameter Subject,
    IReadOnlyList<SeriesPoint> Points,
    SummarySettings Window,
    AnnualStatistic Statistic = AnnualStatistic.Usual,
    TrendTest Test = TrendTest.Annual,
    bool Provisional = false,
    IReadOnlyList<DateOnly>? Joins = null,
    [property: Within(3, 200)] int LeastYears = TrendRequest.UsualLeastYears,
    LengthUnit Native = LengthUnit.Metre,
    ReaderUnit Reader = ReaderUnit.AsRead
)
{
    /// <summary>The change per decade that is asked for; null for the subject's usual.</summary>
    [Within(-1e9, 1e9)]
    public decimal? AskedPerDecade { get; init; }

    /// <summary>What is known of the subject where it is of a group’s own protocol; null for what is built in.</summary>
    public ParameterDescription? Described { get; init; }

    /// <summary>True for a list: the years and no test.</summary>
    public bool YearsOnly { get; init; }

    /// <summary>Limits that the years are held against.</summary>
    public IReadOnlyList<TrendLimit>? Limits { get; init; }

    /// <summary>The mean of the last results that it is judged by; null where it is not.</summary>
    public RunningRequest? Running { get; init; }

    /// <summary>Fewer years give no test.</summary>
    public const int UsualLeastYears = 8;
}
