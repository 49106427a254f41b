using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>What a series says.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TrendVerdict>))]
public enum TrendVerdict
{
    /// <summary>It rises.</summary>
    [JsonStringEnumMemberName("rising")]
    Rising,

    /// <summary>It falls.</summary>
    [JsonStringEnumMemberName("falling")]
    Falling,

    /// <summary>Nothing can be told from chance.</summary>
    [JsonStringEnumMemberName("none")]
    None,

    /// <summary>Seasons move in opposite directions.</summary>
    [JsonStringEnumMemberName("mixed")]
    Mixed,

    /// <summary>Too few years.</summary>
    [JsonStringEnumMemberName("too-few")]
    TooFew,

    /// <summary>Too many values are only known to lie beyond a limit.</summary>
    [JsonStringEnumMemberName("censored")]
    Censored,
}

/// <summary>One year of a series.</summary>
/// <param name="Year">The year; of a season over the New Year that in which it ends.</param>
/// <param name="Name">Its name, such as 2025 or 2025/26.</param>
/// <param name="Count">Usable values inside the window.</param>
/// <param name="CensoredCount">How many of them are censored.</param>
/// <param name="Enough">True where the least count is met.</param>
/// <param name="Text">The year in words.</param>
/// <param name="Provisional">True where a value of it waits for review.</param>
/// <param name="Mean">Mean; null where there are too few, or any is censored.</param>
/// <param name="Median">Median, where it is certain.</param>
/// <param name="Censored">What is known of <see cref="Value"/>.</param>
public sealed record YearSummary(
    int Year,
    string Name,
    int Count,
    int CensoredCount,
    bool Enough,
    string Text,
    bool Provisional = false,
    decimal? Mean = null,
    decimal? Median = null,
    Censoring Censored = Censoring.None
)
{
    /// <summary>Least.</summary>
    public decimal? Low { get; init; }

    /// <summary>Greatest.</summary>
    public decimal? High { get; init; }

    /// <summary>Of the mean.</summary>
    public decimal? StandardError { get; init; }

    /// <summary>What stands for the year; a limit where <see cref="Censored"/> says so.</summary>
    public decimal? Value { get; init; }

    /// <summary>What stands for the year, without how many values it rests on.</summary>
    internal string Written() => Text.Split(' ', 2)[1].Split(" of ", 2)[0];
}

/// <summary>A change of method.</summary>
/// <param name="Day">The first day of the new one.</param>
/// <param name="Before">The method before.</param>
/// <param name="After">The method after.</param>
/// <param name="Joined">True where the series is joined across it.</param>
public sealed record SeriesBreak(DateOnly Day, string Before, string After, bool Joined);

/// <summary>A test and its numbers.</summary>
/// <param name="Test">Which.</param>
/// <param name="Years">Years in it.</param>
/// <param name="Count">Values in it.</param>
/// <param name="S">Kendall's score.</param>
/// <param name="Variance">Its variance.</param>
/// <param name="Z">Standard normal deviate.</param>
/// <param name="P">How likely by chance, both sides.</param>
/// <param name="PerDecade">Slope per decade; null where no pair has one.</param>
/// <param name="LowPerDecade">Lower limit, 95 %.</param>
/// <param name="HighPerDecade">Upper limit, 95 %.</param>
public sealed record TestNumbers(
    TrendTest Test,
    int Years,
    int Count,
    long S,
    double Variance,
    double Z,
    double P,
    double? PerDecade,
    double? LowPerDecade,
    double? HighPerDecade
)
{
    /// <summary>Share of the pairs whose order is certain, 0–1.</summary>
    public required double CertainShare { get; init; }

    /// <summary>Pairs whose order is compared: Kendall’s tau is S over them.</summary>
    public required long Pairs { get; init; }

    /// <summary>Slopes that the median and its limits are taken from, N′.</summary>
    public required long Slopes { get; init; }

    /// <summary>C of the limits: 1.96 times the root of the variance.</summary>
    public required double HalfWidth { get; init; }

    /// <summary>Seasonal: how likely the seasons are to differ so much by chance.</summary>
    public double? HeterogeneityP { get; init; }

    /// <summary>Seasonal: the χ² that this is read from, with one degree less than there are seasons.</summary>
    public double? HeterogeneityChiSquare { get; init; }

    /// <summary>Seasonal: month, Z.</summary>
    public IReadOnlyList<SeasonNumbers>? Seasons { get; init; }
}

/// <summary>A season in a seasonal test.</summary>
/// <param name="Month">The month, 1–12.</param>
/// <param name="Years">Years.</param>
/// <param name="Z">Standard normal deviate.</param>
public sealed record SeasonNumbers(int Month, int Years, double Z);

/// <summary>The trend at a year, to be drawn.</summary>
/// <param name="Year">The year.</param>
/// <param name="Value">The line.</param>
/// <param name="Low">Lower edge of its band.</param>
/// <param name="High">Upper edge.</param>
public sealed record TrendAt(int Year, decimal Value, decimal Low, decimal High);

/// <summary>How long until we would know.</summary>
/// <param name="AskedPerDecade">The change per decade that is asked for.</param>
/// <param name="Years">Years needed; null where sixty are not enough.</param>
/// <param name="Have">Years there are.</param>
/// <param name="Scatter">Scatter of a year round the trend, its standard deviation.</param>
/// <param name="Text">In words.</param>
/// <param name="YearsFrom">Years needed where the scatter is as small as it may well be: its lower limit, 90 % on both sides
/// together.</param>
/// <param name="YearsUntil">Years needed where it is as great; null where sixty are not enough.</param>
public sealed record WouldKnow(
    decimal AskedPerDecade,
    int? Years,
    int Have,
    decimal Scatter,
    string Text,
    int? YearsFrom = null,
    int? YearsUntil = null
);

/// <summary>What a series says, in words first.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Name">Its name in a sentence.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Verdict">What it says.</param>
/// <param name="Headline">The sentence.</param>
/// <param name="Detail">How sure, and from what.</param>
/// <param name="HeldBack">What holds the answer back.</param>
/// <param name="Years">Every year from the first to the last.</param>
/// <param name="Points">The values, oldest first, with words for the reader.</param>
/// <param name="Breaks">Changes of method.</param>
public sealed record TrendResult(
    Parameter Subject,
    string Name,
    string Unit,
    TrendVerdict Verdict,
    string Headline,
    string Detail,
    IReadOnlyList<string> HeldBack,
    IReadOnlyList<YearSummary> Years,
    IReadOnlyList<SeriesPoint> Points,
    IReadOnlyList<SeriesBreak> Breaks
)
{
    /// <summary>What to look at.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>What a year rests on, in words.</summary>
    public required string Window { get; init; }

    /// <summary>Values that a year needs.</summary>
    public required int Least { get; init; }

    /// <summary>What stands for a year.</summary>
    public required AnnualStatistic Statistic { get; init; }

    /// <summary>Values that wait for review.</summary>
    public required int Waiting { get; init; }

    /// <summary>The greatest value, to draw to.</summary>
    public required decimal Greatest { get; init; }

    /// <summary>The annual test.</summary>
    public TestNumbers? Annual { get; init; }

    /// <summary>The seasonal test.</summary>
    public TestNumbers? Seasonal { get; init; }

    /// <summary>The trend, year by year, where there is one to draw.</summary>
    public IReadOnlyList<TrendAt>? Line { get; init; }

    /// <summary>A smooth line for the eye.</summary>
    public IReadOnlyList<TrendAt>? Smooth { get; init; }

    /// <summary>How long until we would know.</summary>
    public WouldKnow? WouldKnow { get; init; }

    /// <summary>How it came about.</summary>
    public Working? Working { get; init; }

    /// <summary>For a depth: the scale.</summary>
    public DepthScale? Scale { get; init; }

    /// <summary>How the years stand to each limit that was asked for, in words.</summary>
    public IReadOnlyList<string>? Limits { get; init; }

    /// <summary>True where its axis is logarithmic.</summary>
    public bool Log { get; init; }

    /// <summary>Geometric means of the last results, oldest first; null where it is not judged by them.</summary>
    public IReadOnlyList<RunningAt>? Running { get; init; }

    /// <summary>Which way is the better one.</summary>
    public BetterWhen Better { get; init; }
}
