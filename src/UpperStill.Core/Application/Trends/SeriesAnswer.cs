using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>A year of a series, in short.</summary>
/// <param name="Year">The year.</param>
/// <param name="Count">Usable values inside the window.</param>
/// <param name="Value">What stands for the year; a limit where <paramref name="Censored"/> says so; null where there are too few
/// values.</param>
/// <param name="Text">The same in words.</param>
/// <param name="Censored">What is known of <paramref name="Value"/>.</param>
/// <param name="Provisional">True where a value of it waits for review.</param>
public sealed record YearBrief(
    int Year,
    int Count,
    decimal? Value = null,
    string? Text = null,
    Censoring Censored = Censoring.None,
    bool Provisional = false
)
{
    /// <summary>The year in short.</summary>
    internal static YearBrief Of(YearSummary year) =>
        new(year.Year, year.Count, year.Value, year.Enough ? year.Written() : null, year.Censored, year.Provisional);
}

/// <summary>What a series says, in short: what lists and summaries of many stations need of it.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Name">Its name in a sentence.</param>
/// <param name="Verdict">What it says.</param>
/// <param name="Headline">The sentence.</param>
/// <param name="Detail">How sure, and from what.</param>
/// <param name="Waiting">Values that wait for review.</param>
/// <param name="Years">Year by year, to be drawn small.</param>
/// <param name="Depth">True where it is drawn from the surface down.</param>
/// <param name="Matters">True where people ask after it, or it moves.</param>
/// <param name="Least">Values that a year needs.</param>
public sealed record SeriesAnswer(
    Parameter Subject,
    string Name,
    TrendVerdict Verdict,
    string Headline,
    string Detail,
    int Waiting,
    IReadOnlyList<YearBrief> Years,
    bool Depth,
    bool Matters,
    int Least
)
{
    /// <summary>How long until we would know; null where the scatter is not known yet.</summary>
    public string? WouldKnow { get; init; }

    /// <summary>The two ends of the trend, to be drawn; null where there is none.</summary>
    public IReadOnlyList<TrendAt>? Line { get; init; }

    /// <summary>The annual test; null where there are too few years.</summary>
    public TestNumbers? Annual { get; init; }
}
