using System.Text;
using CsCheck;
using UpperStill.Core.Setup.Waters;
using UpperStill.Formats.Tracks;

namespace UpperStill.Formats.Tests;

public class GpxTrackTests
{
    [Fact]
    public void Depths_are_read_from_an_extension_or_from_below_zero()
    {
        var (points, fault) = Read(
            """
            <gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1" xmlns:s="urn:soundings"><trk><trkseg>
              <trkpt lat="51.91" lon="-21.44"><ele>112</ele><extensions><s:depth>30.8</s:depth></extensions></trkpt>
              <trkpt lat="51.92" lon="-21.45"><ele>-12.5</ele></trkpt>
              <trkpt lat="51.93" lon="-21.46"/>
            </trkseg></trk><wpt lat="51.94" lon="-21.47"><depth>2</depth></wpt></gpx>
            """
        );

        Assert.Null(fault);
        Assert.Equal(
            [new(51.91, -21.44, 30.8m), new(51.92, -21.45, 12.5m), new(51.93, -21.46, null), new ScoutPoint(51.94, -21.47, 2m)],
            points
        );
    }

    [Theory]
    [InlineData("<gpx/>", "The file has no points.")]
    [InlineData("<gpx><trkpt lat=\"north\" lon=\"1\"/></gpx>", "The file has no points.")]
    [InlineData("<gpx>\n<trkpt lat=\"1\" lon=\"1\">", "The file breaks off at line 2.")]
    [InlineData("depth,lat,lon", "The file breaks off at line 1.")]
    [InlineData("<!DOCTYPE gpx [<!ENTITY a \"b\">]><gpx/>", "The file breaks off at line 1.")]
    public void What_is_no_track_is_refused_with_the_line(string text, string seen)
    {
        var (points, fault) = Read(text);

        Assert.Empty(points);
        Assert.Equal(seen, fault!.Finding.Seen);
    }

    [Fact]
    public void Any_bytes_at_all_give_points_or_a_fault() =>
        Gen.OneOf(Gen.Byte.Array[0, 200], Gen.String[Gen.Char["<>/=\"'gpxtrkplatoneldh 0123-. "], 0, 200].Select(Encoding.UTF8.GetBytes))
            .Sample(bytes =>
            {
                using var stream = new MemoryStream(bytes);
                var (points, fault) = GpxTrack.Read(stream);
                Assert.True(points.Count > 0 ^ fault is not null);
            });

    private static (IReadOnlyList<ScoutPoint> Points, Core.Basis.Findings.FieldFinding? Fault) Read(string text)
    {
        using var stream = new MemoryStream(Encoding.UTF8.GetBytes(text));
        return GpxTrack.Read(stream);
    }
}
