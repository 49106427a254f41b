namespace UpperStill.StandIns.Lakes;

/// <summary>The clarity of a simulated lake through the years.</summary>
/// <param name="ClarityM">Mean of the first summer, m.</param>
/// <param name="TrendMPerYear">Change of that mean, m per year.</param>
/// <param name="SummerDip">Part of the clarity lost at the height of the algae, 0–1.</param>
/// <param name="YearScatter">Standard deviation between years, as a part of the mean.</param>
/// <param name="DayScatter">Standard deviation between visits, as a part of the mean.</param>
/// <param name="DepthM">Depth at the station, m.</param>
/// <param name="LevelSwingM">How much lower the water stands in September than in May, m.</param>
public sealed record LakeModel(
    double ClarityM,
    double TrendMPerYear,
    double SummerDip,
    double YearScatter,
    double DayScatter,
    double DepthM,
    double LevelSwingM
)
{
    /// <summary>Clarity on a day, m, before the bottom cuts it off.</summary>
    /// <param name="day">The day.</param>
    /// <param name="firstYear">The year in which <see cref="ClarityM"/> holds.</param>
    /// <param name="yearShift">The year's own departure, in standard deviations.</param>
    /// <param name="chance">For the scatter of the day.</param>
    public double Clarity(DateOnly day, int firstYear, double yearShift, Chance chance)
    {
        ArgumentNullException.ThrowIfNull(chance);
        var mean = ClarityM + (TrendMPerYear * (day.Year - firstYear));

        // A clear time in June after the spring algae, the least in August, clearing again toward autumn.
        var season =
            1
            - (SummerDip * Math.Exp(-Math.Pow((day.DayOfYear - 228) / 42.0, 2)))
            - (0.5 * SummerDip * Math.Exp(-Math.Pow((day.DayOfYear - 118) / 20.0, 2)));
        var scatter = 1 + (YearScatter * yearShift) + (DayScatter * chance.Bell());
        return Math.Max(0.3, mean * season * Math.Max(0.4, scatter) * (1 + (SummerDip / 3)));
    }

    /// <summary>Depth of the water on a day, m.</summary>
    public double Depth(DateOnly day) => DepthM - (LevelSwingM * Math.Clamp((day.DayOfYear - 130) / 130.0, 0, 1));
}
