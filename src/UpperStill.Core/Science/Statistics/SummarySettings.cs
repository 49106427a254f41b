using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Statistics;

/// <summary>The window and the least count of a season's statistic.</summary>
/// <param name="FromMonth">First month, 1–12.</param>
/// <param name="UntilMonth">Last month, 1–12; before the first, the window runs over the New Year and is one season.</param>
/// <param name="LeastReadings">Fewer readings give no mean.</param>
public sealed record SummarySettings(
    [property: Within(1, 12)] int FromMonth,
    [property: Within(1, 12)] int UntilMonth,
    [property: Within(1, 366)] int LeastReadings
)
{
    private bool OverNewYear => FromMonth > UntilMonth;

    /// <summary>True where a month counts.</summary>
    public bool Holds(int month) => OverNewYear ? month >= FromMonth || month <= UntilMonth : month >= FromMonth && month <= UntilMonth;

    /// <summary>The season to which a day belongs: the year, or of a window over the New Year that in which it ends.</summary>
    public int SeasonOf(DateOnly day) => OverNewYear && day.Month >= FromMonth ? day.Year + 1 : day.Year;

    /// <summary>A season’s name: 2025, or 2025/26 where the window runs over the New Year.</summary>
    public string NameOf(int season) =>
        OverNewYear ? $"{season - 1}/{season % 100:00}" : season.ToString(System.Globalization.CultureInfo.InvariantCulture);
}
