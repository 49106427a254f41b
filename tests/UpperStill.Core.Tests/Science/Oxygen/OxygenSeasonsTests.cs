using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Science.Oxygen;

public sealed class OxygenSeasonsTests
{
    [Fact]
    public void The_anoxic_factor_worked_by_hand()
    {
        // 30 days × (0 + 0.2)/2 + 30 days × (0.2 + 0.4)/2 = 3 + 9 days.
        var season = Assert.Single(Work(Visit(6, 1, area: 0), Visit(7, 1, area: 0.2, anoxic: 10), Visit(7, 31, area: 0.4, anoxic: 8)));
        Assert.Equal((12.0, 8.0, 3), (season.AnoxicFactorDays!.Value, season.ShallowestAnoxicM!.Value, season.Visits));
    }

    [Fact]
    public void The_deficit_worked_by_hand()
    {
        // 0.05 mg/L a day × 6 m × 1000 L/m³ = 300 mg/m² a day.
        var season = Assert.Single(Work(Visit(6, 1, deep: 9), Visit(7, 1, deep: 7.5), Visit(7, 31, deep: 6)));
        Assert.Equal(300, season.DeficitMgM2Day!.Value, 6);
        Assert.Contains("300 mg/m² a day", season.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Nothing_is_laid_over_a_gap_of_more_than_45_days() =>
        Assert.Null(Assert.Single(Work(Visit(6, 1, area: 0.1), Visit(7, 17, area: 0.3))).AnoxicFactorDays);

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public void Too_few_visits_have_no_deficit_and_a_lake_without_a_table_of_areas_no_factor(int visits) =>
        Assert.Equal(
            (null, null),
            Assert.Single(Work([.. Enumerable.Range(0, visits).Select(i => Visit(6, 1 + i, deep: 8))])) is var s
                ? (s.DeficitMgM2Day, s.AnoxicFactorDays)
                : default
        );

    [Fact]
    public void Years_stand_by_themselves() =>
        Assert.Equal([2024, 2025], Work(Visit(6, 1), new OxygenVisit(new DateOnly(2024, 7, 1), BottomMgL: 3)).Select(s => s.Year));

    private static IReadOnlyList<OxygenSeason> Work(params OxygenVisit[] visits) =>
        OxygenSeasons.Work(new OxygenSeasonsRequest(visits)).Seasons;

    private static OxygenVisit Visit(int month, int day, double? area = null, double? anoxic = null, double? deep = null) =>
        new(new DateOnly(2025, month, day), anoxic, area, deep, 6, 4);

    [Fact]
    public void A_southern_summer_over_the_new_year_is_one_season()
    {
        OxygenVisit[] visits =
        [
            .. new[] { (2025, 12), (2026, 1), (2026, 2), (2026, 12) }.Select(d => new OxygenVisit(
                new DateOnly(d.Item1, d.Item2, 10),
                AnoxicArea: 0.2,
                BottomMgL: 1
            )),
        ];

        var season = OxygenSeasons.Work(new OxygenSeasonsRequest(visits, new SummarySettings(11, 4, 3))).Seasons;
        Assert.Equal([("2025/26", 3), ("2026/27", 1)], season.Select(s => (s.Name, s.Visits)));
        Assert.Equal(62 * 0.2, season[0].AnoxicFactorDays!.Value, 6); // 10 December to 10 February
        Assert.Equal(
            [("2025", 1), ("2026", 3)],
            OxygenSeasons.Work(new OxygenSeasonsRequest(visits)).Seasons.Select(s => (s.Name, s.Visits))
        );
    }
}
