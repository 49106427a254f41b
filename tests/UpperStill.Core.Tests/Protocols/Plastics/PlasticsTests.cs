using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Plastics;

/// <summary>Cases 60 to 64 of the handbook, and what a beach does to its visit.</summary>
public class PlasticsTests
{
    [Theory]
    [InlineData(51.83545, -11.61500, 61.2, false)]
    [InlineData(51.83560, -11.61475, 47.7, true)]
    public void The_outer_marks_stand_two_hundred_feet_apart(double latitude, double longitude, double metres, bool off)
    {
        var visit = new ObservedVisit("plastics")
            .Place("fix", "north", 51.83600, -11.61500, 8)
            .Place("fix", "south", latitude, longitude, 5);
        Assert.Equal(metres, (double)visit.Derived("marker-distance").Value!.Value, 1);
        Assert.Equal(off, visit.Codes.Contains("marker-spacing"));
    }

    [Fact]
    public void Marks_that_were_swapped_are_said()
    {
        var visit = new ObservedVisit("plastics").Place("fix", "north", 51.83545, -11.615).Place("fix", "south", 51.83600, -11.615);
        Assert.Equal(["markers-swapped"], visit.Codes);
    }

    [Theory]
    [InlineData("J-15", "19 21 20 22 18", "1.25 L", null)]
    [InlineData("J-10", "19 21 20 22 18", "1.25 L", "sand-volume-odd")]
    [InlineData("J-15", "19 27 20 22 18", "1.325 L", "sand-depths")]
    public void Depth_makes_the_volume(string jars, string depths, string volume, string? code)
    {
        var visit = Tools(jars).List("measure", "depths", "1", "mm", depths.Split(' '));
        Assert.Equal(volume, visit.Derived("sand-volume", "1").Text);
        Assert.Equal(code is null ? [] : [code], visit.Codes.Where(c => c.StartsWith("sand-", StringComparison.Ordinal)));
    }

    [Fact]
    public void Fewer_than_five_depths_give_no_volume()
    {
        var visit = Tools("J-15").List("measure", "depths", "1", "mm", "19", "21", "20");
        Assert.Equal("waits for 2 more depths", visit.Derived("sand-volume", "1").Text);
        Assert.Contains("sand-depths", visit.Codes);
        Assert.Contains("value-impossible", Tools("J-15").List("measure", "depths", "1", "mm", "19", "21", "20", "22", "90").Codes);
        Assert.Contains("unit-unknown", Tools("J-15").List("measure", "depths", "1", "cm", "2", "2", "2", "2", "2").Codes);
    }

    [Fact]
    public void Items_are_of_a_litre_and_debris_of_a_square_metre()
    {
        var visit = Tools("J-15")
            .Tally("pick", "debris", "1", ("film", 5), ("glass", 2))
            .List("measure", "depths", "1", "mm", "19", "21", "20", "22", "18")
            .Number("count-sand", "sand-items", "34", "1")
            .Number("count-water", "water-items", "9", "1")
            .Number("count-water", "water-volume", "950 mL", "1");
        Assert.Equal("112 per m²", visit.Derived("beach-debris", "1").Text);
        Assert.Equal("27.2 per L", visit.Derived("plastics-sand", "1").Text);
        Assert.Equal("9.5 per L", visit.Derived("plastics-water", "1").Text);
        Assert.Equal(27.2m, visit.Derived("plastics-sand").Value);
    }

    [Fact]
    public void Water_two_off_sand_three_is_no_pair()
    {
        var visit = new ObservedVisit("plastics").Number("wade", "off", "3", "2");
        var finding = Assert.Single(visit.Sheet.Findings, f => f.Code == "sand-water-mispaired");
        Assert.Equal((FindingLevel.Stop, "Water 2 is off sand 3."), (finding.Level, finding.Seen));
        Assert.Empty(new ObservedVisit("plastics").Number("wade", "off", "2", "2").Codes);
    }

    [Theory]
    [InlineData(11, 53, false)]
    [InlineData(8, 0, true)]
    public void It_is_done_near_low_water(int hour, int minute, bool late)
    {
        // The visit begins at eleven.
        var visit = new ObservedVisit("plastics").Clock("ready", "low-water", hour, minute).Choose("band", "band-1", "between");
        Assert.Equal(late, visit.Codes.Contains("tide-not-low"));
    }

    [Fact]
    public void A_marker_outside_the_band_and_a_jar_that_is_not_clear_are_said()
    {
        var visit = new ObservedVisit("plastics")
            .Choose("band", "band-3", "outside")
            .Choose("sink", "holds", "jelly", "1")
            .Choose("sink", "capped", "in-air", "1")
            .Number("wade", "depth", "0.8 m", "1")
            .Count("sink", "rinses", 2, "1")
            .Tick("back", "back", "markers", "jars", "tools");
        Assert.Equal(
            ["cap-in-air", "depth-not-knee", "left-behind", "outside-tide-band", "rinses-short", "sample-has-sediment"],
            visit.Codes.Order()
        );
    }

    [Fact]
    public void Three_photographs_are_asked()
    {
        var visit = new ObservedVisit("plastics").Put("ready", "photo", new() { Photo = Guid.NewGuid() });
        Assert.Equal(["photos-few"], visit.Codes);
        visit.Put("ready", "photo", new() { Photo = Guid.NewGuid() }).Put("ready", "photo", new() { Photo = Guid.NewGuid() });
        Assert.Empty(visit.Codes);
        Assert.Equal(3, visit.Protocol.Values.Count);
    }

    [Fact]
    public void Sand_and_water_are_numbered_in_pairs()
    {
        var sheet = new ObservedVisit("plastics").Protocol;
        Assert.Equal(6, sheet.Containers.Count);
        Assert.Equal(["plastics-sand"], Of("skim", "2"));
        Assert.Equal(["plastics-water"], Of("sink", "2"));

        IEnumerable<string> Of(string step, string item) =>
            sheet
                .Steps.Single(s => s.Step == step && s.Item == item)
                .Containers!.Select(n => sheet.Containers.Single(c => c.Number == n).Type.Code);
    }

    [Fact]
    public void A_pair_that_is_crossed_is_drawn_as_it_was_written()
    {
        var points = new ObservedVisit("plastics").Number("wade", "off", "3", "2").Choose("sink", "holds", "clear", "2").Protocol.Points;
        Assert.Equal(6, points.Count);
        Assert.Equal(("water 2", true, 3), (points[3].Name, points[3].Done, points[3].Off));
        Assert.All(points.Where(p => p.Name != "water 2"), p => Assert.False(p.Done));
    }

    private static ObservedVisit Tools(string jars) =>
        new ObservedVisit("plastics").Of("tools", "quadrat", "Q-1").Of("tools", "jar-lot", jars);
}
