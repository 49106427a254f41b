using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Tests.Science.Stratification;

public sealed class DepthTimeTests
{
    [Fact]
    public void Between_two_visits_and_two_levels_it_is_straight()
    {
        var map = DepthTime.Work(
            new DepthTimeRequest([Profile(new DateOnly(2025, 6, 1), 20, 10), Profile(new DateOnly(2025, 6, 21), 24, 14)], MapOf.Temperature)
        );
        var block = Assert.Single(map.Blocks);
        Assert.Equal((11, 2.0, 60), (block.Columns, block.StepDays, map.Rows));
        Assert.Equal(20, block.Values[0]);
        Assert.Equal(22, block.Values[5]!.Value, 6); // the surface on the tenth day
        Assert.Equal(14, block.Values[^1]!.Value, 6); // the bottom on the last
        Assert.Equal((10, 24), (map.Low, map.High));
    }

    [Fact]
    public void Nothing_is_drawn_across_a_gap_of_more_than_45_days()
    {
        var map = DepthTime.Work(
            new DepthTimeRequest(
                [
                    Profile(new DateOnly(2025, 5, 1), 12, 8),
                    Profile(new DateOnly(2025, 5, 31), 16, 8),
                    Profile(new DateOnly(2025, 7, 16), 20, 8),
                    Profile(new DateOnly(2025, 8, 30), 18, 8),
                ],
                MapOf.Temperature
            )
        );
        Assert.Equal([new DateOnly(2025, 5, 1), new DateOnly(2025, 7, 16)], map.Blocks.Select(b => b.From));
        Assert.Equal(["31 May to 16 Jul: 46 days without a profile"], map.Gaps);
        Assert.Equal(4, map.Visits.Count);
    }

    [Fact]
    public void Below_the_deepest_reading_of_either_visit_it_is_empty()
    {
        var deep = Profile(new DateOnly(2025, 6, 1), 20, 10);
        var shallow = new EarlierProfile(Guid.NewGuid(), new DateOnly(2025, 6, 11), [new EarlierLevel(0, 20), new EarlierLevel(4, 16)]);
        var block = Assert.Single(DepthTime.Work(new DepthTimeRequest([deep, shallow], MapOf.Temperature)).Blocks);
        Assert.Null(block.Values[(59 * block.Columns) + 1]);
        Assert.NotNull(block.Values[(20 * block.Columns) + 1]);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    public void No_profile_and_a_single_one_have_no_map(int count) =>
        Assert.Empty(
            DepthTime
                .Work(
                    new DepthTimeRequest(
                        [.. Enumerable.Range(0, count).Select(i => Profile(new DateOnly(2025, 6, 1 + i), 20, 10))],
                        MapOf.Oxygen
                    )
                )
                .Blocks
        );

    private static EarlierProfile Profile(DateOnly day, decimal surface, decimal bottom) =>
        new(Guid.NewGuid(), day, [new EarlierLevel(0, surface), new EarlierLevel(12, bottom)]);
}
