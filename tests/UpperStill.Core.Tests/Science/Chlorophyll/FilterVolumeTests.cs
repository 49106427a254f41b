using UpperStill.Core.Science.Chlorophyll;

namespace UpperStill.Core.Tests.Science.Chlorophyll;

public class FilterVolumeTests
{
    private static readonly DateOnly Day = new(2026, 8, 12);
    private static readonly ChlorophyllLab Lab = new(0.01m, 10);

    // Where both indices of Carlson agree, 2 m of clarity stand for exp((29.4 − 14.41 ln 2) / 9.81) = 7.2 µg/L; 3 × 0.01 × 10 / 7.2 = 41
    // mL.
    [Theory]
    [InlineData(2.0, 50)]
    [InlineData(5.0, 200)] // 1.9 µg/L: 160 mL
    [InlineData(12.0, 600)] // 0.5 µg/L: 577 mL
    [InlineData(30.0, 2000)]
    public void The_clearer_the_lake_the_more_water(double clarity, int volume) =>
        Assert.Equal(volume, FilterVolume.Work(new FilterVolumeRequest((decimal)clarity, Day, [], Lab)).VolumeMl);

    [Fact]
    public void What_is_usual_here_in_this_month_counts_more_than_the_clarity()
    {
        ChlorophyllBefore[] before =
        [
            new(new DateOnly(2023, 8, 9), 3),
            new(new DateOnly(2024, 8, 9), 2),
            new(new DateOnly(2025, 8, 9), 9),
            new(new DateOnly(2025, 6, 9), 0.1m),
            new(new DateOnly(2022, 8, 9), 0.5m, Below: true),
        ];

        var result = FilterVolume.Work(new FilterVolumeRequest(12, Day, before, Lab));
        Assert.Equal(100, result.VolumeMl);
        Assert.Contains("3 × 0.01 µg/mL × 10 mL / 3 µg/L × 1000 = 100 mL", result.Working!.Steps);
    }

    [Fact]
    public void Two_years_are_no_usual() =>
        Assert.Equal(
            600,
            FilterVolume
                .Work(new FilterVolumeRequest(12, Day, [new(new DateOnly(2024, 8, 9), 2), new(new DateOnly(2025, 8, 9), 2)], Lab))
                .VolumeMl
        );

    [Fact]
    public void Without_a_clarity_or_a_limit_it_says_what_is_missing()
    {
        var (limit, clarity) = (
            FilterVolume.Work(new FilterVolumeRequest(2, Day, [])).Finding!,
            FilterVolume.Work(new FilterVolumeRequest(null, Day, [], Lab)).Finding!
        );

        Assert.Equal(("volume-by-habit", "volume-by-habit"), (limit.Code, clarity.Code));
        Assert.Contains("detection limit", limit.Seen, StringComparison.Ordinal);
        Assert.Contains("No clarity", clarity.Seen, StringComparison.Ordinal);
        Assert.Null(FilterVolume.Work(new FilterVolumeRequest(2, Day, [], Lab)).Finding);
    }
}
