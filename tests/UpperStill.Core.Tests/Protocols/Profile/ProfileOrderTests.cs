using System.Globalization;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Protocols.Profile;

/// <summary>Which level is next: what is called is filed where it was called.</summary>
public sealed class ProfileOrderTests
{
    [Fact]
    public void Five_numbers_called_on_the_way_down_are_filed_at_the_five_levels_that_were_called()
    {
        var visit = Begun();
        Call(visit, "20.0", "19.8", "18.2", "16.5", "15.0");

        Assert.Equal(
            [(0.3m, "20.0"), (1, "19.8"), (2, "18.2"), (3, "16.5"), (4, "15.0")],
            Profile(visit).Levels.Select(l => (l.DepthM, l.Temperature!))
        );
        Assert.Equal(5, Profile(visit).Next!.DepthM);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Whatever_is_read_the_planned_levels_come_one_after_the_other(int seed)
    {
        var random = new Random(seed);
        var visit = Begun();
        List<decimal> called = [];
        while (Profile(visit).Next is { Wanted: LevelWanted.Planned } next)
        {
            Assert.False(next.Up);
            called.Add(next.DepthM);
            visit.Level(
                next.Depth.Written,
                (random.NextDouble() * 30).ToString("0.0", CultureInfo.InvariantCulture),
                (random.NextDouble() * 12).ToString("0.0", CultureInfo.InvariantCulture)
            );
        }

        Assert.Equal([0.3m, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 11.5m], called);
    }

    [Fact]
    public void What_breaks_is_proposed_beside_the_next_level_and_asked_for_on_the_way_up_from_the_bottom()
    {
        var visit = Begun();
        Call(visit, "20", "20", "18", "18", "16");

        Assert.Equal(5m, Profile(visit).Next!.DepthM);
        Assert.Equal([1.5m, 3.5m], Proposed(visit).Select(t => t.DepthM));
        Call(visit, "16", "16", "16", "16", "16", "16", "16", "16");
        Assert.Equal((3.5m, true), (Profile(visit).Next!.DepthM, Profile(visit).Next!.Up));
        Call(visit, "17");
        Assert.Equal((1.5m, true), (Profile(visit).Next!.DepthM, Profile(visit).Next!.Up));
        Call(visit, "19");
        Assert.Null(Profile(visit).Next);
        Assert.DoesNotContain(visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "profile-level-repeated");
    }

    [Fact]
    public void A_proposed_level_taken_at_once_leaves_the_next_planned_one_where_it_was()
    {
        var visit = Begun();
        Call(visit, "20", "20", "20", "18");
        visit.Level("2.5", "19");
        var sheet = visit.Fold(SampleVisit.Metric);

        Assert.Equal(4, sheet.Profile!.Next!.DepthM);
        Assert.True(sheet.Profile.Levels[3].Added);
        Assert.DoesNotContain(sheet.Findings, f => f.Code == "profile-level-repeated");
    }

    [Fact]
    public void A_proposed_level_is_left_out_by_one_entry_and_comes_back_when_that_is_struck()
    {
        var visit = Begun();
        Call(visit, "20", "20", "20", "18");
        var proposed = Assert.Single(Proposed(visit));
        var left = visit.Write(VisitKinds.Kept, new KeptBody("profile-add-level", proposed.Between!), null, "left out");

        Assert.Empty(Proposed(visit));
        Assert.Equal("left out", visit.Fold(SampleVisit.Metric).Findings.Single(f => f.Code == "profile-add-level").Kept);
        visit.Strike(left);
        Assert.Equal(2.5m, Assert.Single(Proposed(visit)).DepthM);
    }

    [Fact]
    public void A_planned_level_that_was_passed_is_taken_on_the_way_up_and_is_no_slip()
    {
        var visit = Begun();
        foreach (var depth in new[] { "0.3", "1", "2", "4", "5", "6", "7", "8", "9", "10", "11", "11.5" })
        {
            visit.Level(depth, "20");
        }

        Assert.Equal((3m, true), (Profile(visit).Next!.DepthM, Profile(visit).Next!.Up));
        visit.Level("3", "20");
        Assert.DoesNotContain(visit.Fold(SampleVisit.Metric).Findings, f => f.Code.StartsWith("profile-level", StringComparison.Ordinal));
    }

    private static IEnumerable<LevelToRead> Proposed(SampleVisit visit) => Profile(visit).ToRead.Where(t => t.Wanted == LevelWanted.Break);

    private static SheetProfile Profile(SampleVisit visit) => visit.Fold(SampleVisit.Metric).Profile!;

    private static SampleVisit Begun()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Profile);
        visit.SoundMetres("12.0");
        return visit;
    }

    // As the reader calls and the page files: always at what is next.
    private static void Call(SampleVisit visit, params string[] celsius)
    {
        foreach (var called in celsius)
        {
            visit.Level(Profile(visit).Next!.Depth.Written, called);
        }
    }
}
